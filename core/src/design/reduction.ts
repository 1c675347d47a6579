import { planLength, type Beam } from '../building';
import type { Combination, ImposedReduction, ReductionRole } from '../load';
import type { Assumption, Sheet } from '../sheet';
import { floorsByArrival, floorsOn, shapeForce, withValues, type Arrival, type ByCase, type FloorLoad } from '../takedown';
import type { Context } from './context';

/** A reduction of imposed load on a member with what it takes away from each case, N: on its own line, once, and never handed on. */
export interface MemberReduction extends ImposedReduction {
  /** Factors on the imposed load of roofs, by case, level and pitch. */
  readonly byRoof: ReadonlyMap<string, number>;
  readonly less: ByCase;
}

/** The reduction of a member as brief and member allow it. Null when there is none. */
export function reductionOf(context: Context, id: string, sheet?: Sheet): MemberReduction | null {
  const { building, takedown, standard } = context;
  if (building.brief.imposedReduction === 'none') return null;
  const beam = building.beams.get(id);
  const member = beam ?? building.columns.get(id) ?? building.footings.get(id);
  if (!member || member.reduction === 'none') return null;
  const role: ReductionRole = beam ? (overhangs(beam) ? 'cantilever' : 'beam') : building.columns.has(id) ? 'column' : 'footing';
  const loads = floorsOn(building, takedown, id);
  const inner = sheet?.scope('Reduction of imposed load for this member alone; it hands on all of it');
  const floors = standard.loads.imposedReduction(loads.flatMap(asFloor), role, inner);
  const roofs = loads.filter(({ nature }) => nature === 'roofImposed');
  const onRoofs = roofs.length > 0 && standard.loads.roofReduction ? standard.loads.roofReduction(roofs, inner?.scope('Roofs')) : null;
  if (!floors && !onRoofs) {
    inner?.note('Nothing is reduced.');
    return null;
  }
  const both = [floors, onRoofs].filter((one) => one !== null);
  const join = (words: (one: (typeof both)[number]) => string, by: string) => both.map(words).join(by);
  const byRoof = new Map(roofs.map(({ pitch, caseId, level }, i) => [roofKey({ pitch, caseId, level }), onRoofs?.factors[i] ?? 1]));
  const partial = { factors: floors?.factors ?? {}, byRoof };
  const [title, clause] = [join((one) => one.title, '; '), join((one) => one.clause, ', ')];
  inner?.note(`${title} (${clause}).`);
  return {
    ...partial,
    title,
    clause,
    notWithPsi: floors?.notWithPsi ?? false,
    assumption: join((one) => one.assumption, ' '),
    less: lessOf(loads, partial),
  };
}

const asFloor = ({ nature, use, ...rest }: FloorLoad) => (nature === 'imposed' && use !== null ? [{ ...rest, use }] : []);

const roofKey = ({ pitch, caseId, level }: Pick<FloorLoad, 'pitch' | 'caseId' | 'level'>) => `${caseId}:${level}:${pitch}`;

function overhangs(beam: Beam): boolean {
  const at = beam.supports.map((support) => support.at);
  return at.length > 0 && (Math.min(...at) > 1 || planLength(beam) - Math.max(...at) > 1);
}

function lessOf(loads: readonly FloorLoad[], { factors, byRoof }: Pick<MemberReduction, 'factors' | 'byRoof'>): Record<string, number> {
  const less: Record<string, number> = {};
  for (const load of loads) {
    const factor = load.use === null ? byRoof.get(roofKey(load)) : factors[load.use];
    if (factor !== undefined && factor < 1 && load.force > 0) less[load.caseId] = (less[load.caseId] ?? 0) + (1 - factor) * load.force;
  }
  return less;
}

/** The sums of a member with its reduction, as one combination sees them. */
export function reducedSums(
  sums: { readonly sum: ByCase; readonly adverse: ByCase },
  reduction: MemberReduction | null,
  combination: Combination,
): { sum: ByCase; adverse: ByCase } {
  if (!reduction) return sums;
  const sum: Record<string, number> = { ...sums.sum };
  const adverse: Record<string, number> = { ...sums.adverse };
  for (const [id, value] of Object.entries(reduction.less)) {
    if (reduction.notWithPsi && combination.accompanying?.includes(id)) continue;
    sum[id]! -= value;
    adverse[id]! -= value;
  }
  return { sum, adverse };
}

/** The arrivals of a beam with its reduction: of each that part is reduced which comes from floors. */
export function reducedArrivals(context: Context, id: string, reduction: MemberReduction | null): readonly Arrival[] {
  const { arrivals } = context.takedown.members.get(id)!;
  if (!reduction) return arrivals;
  const floors = floorsByArrival(context.building, context.takedown, id);
  return arrivals.map((arrival, i) => {
    const less = lessOf(floors[i] ?? [], reduction);
    const whole = shapeForce(arrival.shape);
    if (whole === 0 || Object.keys(less).length === 0) return arrival;
    const byCase: Record<string, number> = { ...arrival.byCase };
    const adverse: Record<string, number> = { ...arrival.adverse };
    for (const [caseId, value] of Object.entries(less)) {
      byCase[caseId]! -= value / whole;
      adverse[caseId]! -= value / whole;
    }
    return withValues(arrival, byCase, adverse);
  });
}

export function reductionAssumption({ title, clause, assumption }: MemberReduction): Assumption {
  return { type: 'assumption', key: 'imposed-reduction', text: `Imposed load is reduced: ${title} (${clause}).`, reason: assumption };
}
