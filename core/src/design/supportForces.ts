import { BeamModel, ColumnModel, type EndForces, type EndSet } from '../analysis';
import {
  connectionKey,
  contactsOf,
  markOf,
  planLength,
  saidOf,
  type BeamConnection,
  type Building,
  type Contact,
  type PostConnection,
} from '../building';
import { actingName, type Combination } from '../load';
import { formatQuantity } from '../quantity';
import type { Sheet } from '../sheet';
import type { Philosophy } from '../standard';
import { PlinthError } from '../error';
import { recordTerms } from './axialSheet';
import type { Context } from './context';
import { acting } from './effectsSheet';
import { stiffnessBy } from './stiffness';

/** What a beam hands to one of its supports, or a column to what it stands on, for the connection there: sets of forces that act at once, each the largest of something. */
export interface SupportForces {
  /** Name of the connection; null: nothing takes it there. */
  readonly key: string | null;
  /** Mark of what takes it; null: nothing does. */
  readonly by: string | null;
  /** Mark of the joint that is chosen for it; empty: none. */
  readonly joint: string;
  /** mm from the start of the beam; 0 of a column. */
  readonly at: number;
  readonly sets: readonly { readonly combination: string; readonly forces: EndForces }[];
}

function modelOf({ building, takedown, standard }: Context, id: string): BeamModel {
  const beam = building.beams.get(id)!;
  return new BeamModel(beam, takedown.members.get(id)!.arrivals, stiffnessBy(standard)(building, beam), building.cases);
}

const columnModelOf = ({ building, takedown }: Context, id: string): ColumnModel =>
  new ColumnModel(takedown.members.get(id)!, [], building.cases, null);

const FOOT: Contact = { end: 'foot', contact: 1 };

/** A connection by its name, what takes it, and the joint that is chosen for it. */
function named(
  building: Building,
  id: string,
  by: string | null,
  contact: Contact,
  said: readonly (BeamConnection | PostConnection)[],
): Pick<SupportForces, 'key' | 'by' | 'joint'> {
  if (by === null) return { key: null, by: null, joint: '' };
  return {
    key: connectionKey(id, by, contact),
    by: markOf(building, by),
    joint: saidOf<BeamConnection | PostConnection>(said, by, contact)?.joint ?? '',
  };
}

/** Forces of a beam at each of its supports, or of a column at its foot, by the combinations for strength; imposed load is not reduced. None where it cannot be solved. */
export function supportForces(context: Context, id: string, philosophy: Philosophy = context.philosophy): SupportForces[] {
  const { building } = context;
  const beam = building.beams.get(id);
  const ledger = context.takedown.members.get(id);
  if (!ledger) return [];
  const { strength } = context.combinations(philosophy);
  const told = ({ loading, forces }: EndSet) => ({ combination: loading.combination.name, forces });
  if (ledger.kind === 'column') {
    const { to } = ledger.leaves[0]!;
    const joined = { ...named(building, id, to, FOOT, building.columns.get(id)!.connections), at: 0 };
    return [{ ...joined, sets: columnModelOf(context, id).footSets(strength).map(told) }];
  }
  if (!beam) return [];
  try {
    const model = modelOf(context, id);
    const contacts = contactsOf(beam.supports, planLength(beam));
    return beam.supports.map(({ by, at }, i) => ({
      ...named(building, id, by, contacts[i]!, beam.connections),
      at,
      sets: model.endSets(i, strength).map(told),
    }));
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return [];
  }
}

/** The forces of a column at its foot on its sheet, each from what every case brings. */
export function recordFootForces(context: Context, id: string, combinations: readonly Combination[], sheet: Sheet): void {
  const model = columnModelOf(context, id);
  sheet.note(
    'For the connection there: the largest force of either sense. Imposed load is not reduced; nominal moments have died out at the foot.',
  );
  for (const { loading } of model.footSets(combinations)) {
    const { combination } = loading;
    const terms = model.partsUnder(loading).map(({ part, factor }) => ({
      factor,
      value: part.axial,
      text: `${actingName(part.loadCase, part.sense)}${part.presses ? '' : ', what relieves'}`,
    }));
    recordTerms(terms, combination, sheet.scope(combination.name));
  }
}

/** The forces of a beam at its supports on its sheet, each from what every part of its load does there. */
export function recordSupportForces(context: Context, id: string, combinations: readonly Combination[], sheet: Sheet): void {
  const { building } = context;
  const model = modelOf(context, id);
  const { units } = building.brief;
  sheet.note(
    'For the connections there: each set acts at once, and one of its forces is the largest of all combinations. Imposed load is not reduced.',
  );
  model.beam.supports.forEach(({ by, at }, i) => {
    const where = `${by === null ? 'nothing' : markOf(building, by)} at ${formatQuantity(at, 'length', units)}`;
    for (const set of model.endSets(i, combinations)) recordSet(model, i, set, sheet.scope(`${where}, ${set.loading.combination.name}`));
  });
}

function recordSet(model: BeamModel, support: number, { loading, forces }: EndSet, sheet: Sheet): void {
  const alone = model.endForcesAlone(support);
  const there = acting(model, loading);
  there.forEach(({ factor, title }, n) =>
    sheet.given(`gamma_${n + 1}`, factor, 'ratio', `factor of load ${n + 1}: ${title}`, loading.combination.clause),
  );
  for (const [component, symbol, result, kind, meaning] of [
    ['Vz', 'F', 'V', 'force', 'force downward on the support'],
    ['My', 'J', 'M', 'moment', 'moment on the support'],
  ] as const) {
    const terms = there.map(({ i, factor }, n) => ({ n: n + 1, factor, value: alone[i]![component] })).filter(({ value }) => value !== 0);
    if (terms.length === 0) continue;
    const inputs: Record<string, number> = {};
    for (const { n, factor, value } of terms) {
      sheet.given(`${symbol}_${n}`, value, kind, `of load ${n}, unfactored`, 'statics');
      Object.assign(inputs, { [`gamma_${n}`]: factor, [`${symbol}_${n}`]: value });
    }
    sheet.step(
      result,
      terms.map(({ n }) => `gamma_${n} * ${symbol}_${n}`).join(' + '),
      inputs,
      forces[component],
      kind,
      loading.combination.name,
      meaning,
    );
  }
}
