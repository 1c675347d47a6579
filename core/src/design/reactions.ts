import type { Building, PlanPoint } from '../building';
import { combinePressing, combineRelieving, type Combination } from '../load';
import { addInto, numbersOf, type ByCase, type MemberLedger, type Takedown } from '../takedown';
import { contextOf } from './context';
import type { ProjectResult } from './project';

/** The largest and the least of a force over the combinations of one purpose, N, each with the name of its combination. */
export interface MostAndLeast {
  readonly most: { readonly value: number; readonly combination: string };
  readonly least: { readonly value: number; readonly combination: string };
}

/** A force that goes down through one member, unfactored by case and at its extremes. Downward positive, N. */
export interface ScheduledReaction {
  readonly member: string;
  readonly mark: string;
  readonly kind: MemberLedger['kind'];
  /** Number in the order of calculation; 0 when it has none. */
  readonly number: number;
  /** Where on plan: the point, or the middle of the line, mm. */
  readonly at: PlanPoint;
  /** Length over which it is spread, mm; 0 for a point. */
  readonly length: number;
  readonly byCase: ByCase;
  /** For each purpose of the schedule, in its order; null: nothing combines what it carries. */
  readonly extremes: readonly (MostAndLeast | null)[];
}

export interface ReactionSchedule {
  /** Null: the ground. */
  readonly level: string | null;
  readonly title: string;
  /** What the extremes are for: strength, service, and where the family has it the quasi-permanent value, under which ground settles. */
  readonly purposes: readonly string[];
  readonly rows: readonly ScheduledReaction[];
  /** Sum of the rows by case: for a level the same as at the plumb, for the ground the same as the balance without pads. */
  readonly sum: ByCase;
}

/**
 * The reaction schedule of the ground (what footings hand to the soil, pads and backfill apart), or of a level: what goes through a cut
 * just below it, member by member. A hanger pulls on what is above the cut and is negative.
 */
export function reactionsOf({ building, takedown }: Pick<ProjectResult, 'building' | 'takedown'>, level: string | null): ReactionSchedule {
  const { combinations, philosophy } = contextOf(building, takedown);
  const { strength, service } = combinations(philosophy);
  const { rules } = philosophy;
  const lifting = rules.lifting(takedown.cases);
  const purposes = [
    { name: 'strength', forMost: strength, forLeast: [...strength, ...lifting] },
    { name: 'service', forMost: service, forLeast: service },
  ];
  if (rules.serviceLevels.includes('quasiPermanent')) {
    const standing = rules.service(takedown.cases, 'quasiPermanent');
    purposes.push({ name: 'quasi-permanent', forMost: standing, forLeast: standing });
  }
  const numbers = numbersOf(takedown);
  const sum: Record<string, number> = {};
  const rows: ScheduledReaction[] = [];
  for (const { id, sign } of crossing(building, takedown, level)) {
    const ledger = takedown.members.get(id)!;
    const signed = (values: ByCase) => (sign === 1 ? values : negative(values));
    const byCase = signed(ledger.sum);
    // of a force turned round, what pressed relieves
    const adverse = sign === 1 ? ledger.adverse : negative(difference(ledger.sum, ledger.adverse));
    addInto(sum, byCase);
    rows.push({
      member: id,
      mark: ledger.mark,
      kind: ledger.kind,
      number: numbers.get(id) ?? 0,
      ...placeOf(building, id),
      byCase,
      extremes: purposes.map(({ forMost, forLeast }) => extremes(byCase, adverse, forMost, forLeast)),
    });
  }
  rows.sort((a, b) => a.mark.localeCompare(b.mark, 'en', { numeric: true }) || a.member.localeCompare(b.member));
  const name = building.levels.find((entry) => entry.id === level)?.body.name;
  return {
    level,
    title: name === undefined ? 'the ground' : `a cut just below ${name}`,
    purposes: purposes.map((one) => one.name),
    rows,
    sum,
  };
}

function extremes(byCase: ByCase, adverse: ByCase, forMost: readonly Combination[], forLeast: readonly Combination[]): MostAndLeast | null {
  let most: MostAndLeast['most'] | null = null;
  let least: MostAndLeast['least'] | null = null;
  for (const combination of forMost) {
    const value = combinePressing(byCase, adverse, combination);
    if (!most || value > most.value) most = { value, combination: combination.name };
  }
  for (const combination of forLeast) {
    const value = combineRelieving(byCase, adverse, combination);
    if (!least || value < least.value) least = { value, combination: leastName(combination) };
  }
  return most && least ? { most, least } : null;
}

/** A combination as the least is reckoned from it: its own name has the factors of what presses. */
function leastName({ name, favourablePermanent }: Combination): string {
  const title = name.split(':')[0]!;
  return favourablePermanent === undefined
    ? `${title}: variable load only where it lifts`
    : `${title}: ${favourablePermanent} times permanent load that presses, variable load only where it lifts`;
}

/** The members that hand load to the ground, or those that a cut just below a level goes through. */
function* crossing(building: Building, { members }: Takedown, level: string | null): Generator<{ id: string; sign: 1 | -1 }> {
  const { columns, walls, hangers, footings, stripFootings, elevation } = building;
  if (level === null) {
    for (const [id, { leaves }] of members) if (leaves.some(({ to }) => to === 'ground')) yield { id, sign: 1 };
    return;
  }
  const cut = elevation(level);
  const passes = (member: { readonly base: string; readonly top: string }) => elevation(member.top) >= cut && elevation(member.base) < cut;
  for (const list of [columns, walls]) for (const [id, member] of list) if (members.has(id) && passes(member)) yield { id, sign: 1 };
  for (const [id, hanger] of hangers) if (members.has(id) && passes(hanger)) yield { id, sign: -1 };
  for (const list of [footings, stripFootings])
    for (const [id, member] of list) if (members.has(id) && elevation(member.level) >= cut) yield { id, sign: 1 };
}

function placeOf(building: Building, id: string): { at: PlanPoint; length: number } {
  const point = building.columns.get(id) ?? building.hangers.get(id) ?? building.footings.get(id);
  if (point) return { at: point.at, length: 0 };
  const { from, to } = (building.walls.get(id) ?? building.stripFootings.get(id))!;
  return { at: { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, length: Math.hypot(to.x - from.x, to.y - from.y) };
}

function negative(byCase: ByCase): ByCase {
  return Object.fromEntries(Object.entries(byCase).map(([id, value]) => [id, -value]));
}

function difference(a: ByCase, b: ByCase): ByCase {
  return Object.fromEntries(Object.entries(a).map(([id, value]) => [id, value - (b[id] ?? 0)]));
}
