import type { Building, ExtraLoad, Named } from '../building';
import type { Bearer, WallBearer } from './support/found';

/** Comparing what the engine holds with what comes: by identity as far as that goes. */
export type Bearers = readonly (Bearer | WallBearer)[];

const NONE: readonly never[] = [];

export function sameLists<T>(a: readonly T[], b: readonly T[]): boolean {
  if (a === b) return true;
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return false;
  return true;
}

/** Extra loads on parts of panels, by panel. */
export function areaLoadsOf({ loads, panels }: Building): Map<string, readonly Named<ExtraLoad>[]> {
  const byPanel = new Map<string, Named<ExtraLoad>[]>();
  for (const load of loads) {
    // of other types too: a panel has to say what it cannot spread
    if (load.body.type !== 'area' && !panels.has(load.body.on)) continue;
    const list = byPanel.get(load.body.on);
    if (list) list.push(load);
    else byPanel.set(load.body.on, [load]);
  }
  return byPanel;
}

export function sameAreas(
  a: ReadonlyMap<string, readonly Named<ExtraLoad>[]>,
  b: ReadonlyMap<string, readonly Named<ExtraLoad>[]>,
): boolean {
  if (a.size !== b.size) return false;
  for (const [id, list] of a) if (!sameLoads(list, b.get(id) ?? NONE)) return false;
  return true;
}

export function sameLoads(a: readonly Named<ExtraLoad>[], b: readonly Named<ExtraLoad>[]): boolean {
  return a.length === b.length && a.every((load, i) => load.body === b[i]!.body && load.id === b[i]!.id);
}

export function sameBearing(a: Bearers, b: Bearers): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) {
    const [one, two] = [a[i]!, b[i]!];
    if (one.by !== two.by || one.rule !== two.rule) return false;
    if (
      'at' in one
        ? !('at' in two) ||
          one.at !== two.at ||
          one.holdsDown !== two.holdsDown ||
          one.fixed !== two.fixed ||
          one.spring !== two.spring ||
          one.settlement !== two.settlement
        : !('from' in two) || one.from !== two.from || one.to !== two.to
    )
      return false;
  }
  return true;
}

/** Names under which two maps have not the same. */
export function otherValues(a: ReadonlyMap<string, unknown>, b: ReadonlyMap<string, unknown>): ReadonlySet<string> {
  const names = new Set<string>();
  if (a === b) return names;
  for (const [id, value] of a) if (b.get(id) !== value) names.add(id);
  for (const [id, value] of b) if (a.get(id) !== value) names.add(id);
  return names;
}
