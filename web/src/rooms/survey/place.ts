import type { Building, Item } from '@plinth/core';
import { KIND_WORD } from '../../parts/kindWord';

type Member = Extract<Item, { kind: 'beam' | 'column' | 'wall' | 'hanger' | 'footing' | 'stripFooting' }>;

/** Everything that could be named as a support, for a list: beams, columns, walls, hangers, footings. */
export function supportOptions(building: Building, self: string, kinds: readonly Member['kind'][]): { value: string; label: string }[] {
  const lists = {
    beam: building.beams,
    column: building.columns,
    wall: building.walls,
    hanger: building.hangers,
    footing: building.footings,
    stripFooting: building.stripFootings,
  } as const;
  const options = kinds.flatMap((kind) =>
    [...lists[kind]].filter(([id]) => id !== self).map(([id, member]) => ({ value: id, label: `${member.mark} (${KIND_WORD[kind]})` })),
  );
  return [{ value: '', label: 'nothing' }, ...options.sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))];
}

/** Which items are shown: of every status, or of one. */
export type StatusFilter = 'every' | 'new' | 'existing' | 'removed';

/** What has no status, such as a gridline, is shown always. */
export function hasStatus(body: object, wanted: StatusFilter): boolean {
  return wanted === 'every' || !('status' in body) || body.status === wanted;
}

/** The building with only those members of it that have a status: what the plan draws. */
export function ofStatus(building: Building, wanted: StatusFilter): Building {
  if (wanted === 'every') return building;
  const some = <B extends object>(members: ReadonlyMap<string, B>) => new Map([...members].filter(([, body]) => hasStatus(body, wanted)));
  const { beams, columns, hangers, walls, footings, stripFootings, panels } = building;
  return {
    ...building,
    beams: some(beams),
    columns: some(columns),
    hangers: some(hangers),
    walls: some(walls),
    footings: some(footings),
    stripFootings: some(stripFootings),
    panels: some(panels),
    removed: wanted === 'removed' ? building.removed : [],
  };
}
