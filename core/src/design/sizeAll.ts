import { Assembler, itemName, type Item } from '../building';
import { findSection } from '../section';
import { philosophyOf, STANDARDS } from '../standard';
import { TakedownEngine, withFoundSupports, type LooseEnd } from '../takedown';
import { contextOf } from './context';
import { iterate, type Feedback } from './feedback';
import { lightest, trySections } from './sizing';
import { stiffnessBy } from './stiffness';

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
  /** What had not settled when it stopped trying. */
  readonly looseEnds: readonly LooseEnd[];
}

const MOST_PASSES = 8;

/** Items with the sections chosen so far, and of each member that was looked at what came of it. */
interface Sizes {
  readonly items: readonly Item[];
  readonly chosen: ReadonlyMap<string, SizedMember>;
}

/** A heavier section loads what is beneath it. */
const OWN_WEIGHT: Feedback<Sizes> = {
  id: 'own-weight',
  title: 'The own weight of the sections',
  read: ({ chosen }) => new Map([...chosen].map(([id, { section }]) => [id, section === null ? 0 : findSection(section).mass])),
  tolerance: 0,
};

/**
 * Sizes every beam and column that has no section, from the top down, each trial with its own weight, and again until nothing changes:
 * a heavier beam loads what is beneath it. Where two sections take turns the heavier stays. A section that somebody chose is never
 * touched. Yields each member before it is looked at, so that who runs it can show how far it is, and stop.
 */
export function* sizeUnsized(items: readonly Item[]): Generator<SizingStep, SizedBuilding, void> {
  const assembler = new Assembler();
  const first = assembler.assemble(items);
  const standard = STANDARDS[first.brief.family];
  const engine = new TakedownEngine(philosophyOf(standard, first.brief.combinationRule).rules.lifting, stiffnessBy(standard));
  const open = new Set(
    items.flatMap((item) =>
      item.kind === 'beam' || item.kind === 'column'
        ? item.body.material === 'steel' && item.body.section === null && item.body.status !== 'removed' && item.body.status !== 'existing'
          ? [item.id]
          : []
        : [],
    ),
  );
  if (open.size === 0) return { members: [], passes: 0, looseEnds: [] };

  function* pass(sizes: Sizes, number: number): Generator<SizingStep, Sizes, void> {
    let current = sizes.items;
    const chosen = new Map(sizes.chosen);
    let done = 0;
    const order = engine.run(assembler.assemble(current)).order.filter((id) => open.has(id));
    for (const id of order) {
      const drawn = assembler.assemble(current);
      const takedown = engine.run(drawn);
      const building = withFoundSupports(drawn, takedown);
      const { mark } = takedown.members.get(id)!;
      yield { done, total: order.length, pass: number, mark };
      done += 1;
      const best = lightest(trySections(contextOf(building, takedown), id));
      const before = chosen.get(id)?.section ?? null;
      if (!best) {
        // what was found in an earlier pass no longer carries
        chosen.set(id, { id, mark, section: null });
        continue;
      }
      if (before !== null && findSection(before).mass >= best.mass) continue;
      chosen.set(id, { id, mark, section: best.designation });
      current = current.map((item) => (item.id === id ? ({ ...item, body: { ...item.body, section: best.designation } } as Item) : item));
    }
    return { items: current, chosen };
  }

  const start: Sizes = { items, chosen: new Map() };
  const markIn = new Map(items.map((item) => [item.id, itemName(item)]));
  const { state, passes, looseEnds } = yield* iterate(start, [OWN_WEIGHT], pass, MOST_PASSES, (id) => markIn.get(id) ?? id);
  return { members: [...state.chosen.values()], passes, looseEnds };
}
