import { Assembler, type Item } from '../building';
import { findSection } from '../section';
import { philosophyOf, STANDARDS } from '../standard';
import { TakedownEngine, withFoundSupports } from '../takedown';
import { contextOf } from './context';
import { lightest, trySections } from './sizing';

/** One member that was looked at while all are sized. */
export interface SizingStep {
  /** Members looked at so far, and all that there are to be looked at in this pass. */
  readonly done: number;
  readonly total: number;
  readonly pass: number;
  readonly mark: string;
}

export interface SizedMember {
  readonly id: string;
  readonly mark: string;
  /** Null: no shape of the usual families carries. */
  readonly section: string | null;
}

export interface SizedBuilding {
  readonly members: readonly SizedMember[];
  readonly passes: number;
  /** False when the weights had not settled when it stopped trying. */
  readonly settled: boolean;
}

const MOST_PASSES = 8;

/**
 * Sizes every beam and column that has no section, from the top down, each trial with its own weight, and again until nothing changes:
 * a heavier beam loads what is beneath it. Where two sections take turns the heavier stays. A section that somebody chose is never
 * touched. Yields each member before it is looked at, so that who runs it can show how far it is, and stop.
 */
export function* sizeUnsized(items: readonly Item[]): Generator<SizingStep, SizedBuilding, void> {
  const assembler = new Assembler();
  const first = assembler.assemble(items);
  const engine = new TakedownEngine(philosophyOf(STANDARDS[first.brief.family], first.brief.combinationRule).rules.lifting);
  const open = new Set(
    items.flatMap((item) =>
      (item.kind === 'beam' && item.body.role === 'beam') || item.kind === 'column'
        ? item.body.section === null && item.body.status !== 'removed' && item.body.status !== 'existing'
          ? [item.id]
          : []
        : [],
    ),
  );
  const chosen = new Map<string, SizedMember>();
  let current = items;
  let pass = 0;
  let settled = open.size === 0;
  while (!settled && pass < MOST_PASSES) {
    pass += 1;
    settled = true;
    let done = 0;
    const order = engine.run(assembler.assemble(current)).order.filter((id) => open.has(id));
    for (const id of order) {
      const drawn = assembler.assemble(current);
      const takedown = engine.run(drawn);
      const building = withFoundSupports(drawn, takedown);
      const { mark } = takedown.members.get(id)!;
      yield { done, total: order.length, pass, mark };
      done += 1;
      const best = lightest(trySections(contextOf(building, takedown), id));
      const before = chosen.get(id)?.section ?? null;
      if (!best) {
        // what was found in an earlier pass no longer carries
        if (before !== null || !chosen.has(id)) chosen.set(id, { id, mark, section: null });
        if (before !== null) settled = false;
        continue;
      }
      if (before !== null && findSection(before).mass >= best.mass) continue;
      chosen.set(id, { id, mark, section: best.designation });
      current = current.map((item) => (item.id === id ? ({ ...item, body: { ...item.body, section: best.designation } } as Item) : item));
      settled = false;
    }
  }
  return { members: [...chosen.values()], passes: pass, settled };
}
