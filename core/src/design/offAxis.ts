import { planLength, pointAlong, project, type Building, type PlanPoint } from '../building';
import { combinePressing, combineRelieving, type Combination } from '../load';
import { formatQuantity, type UnitSystem } from '../quantity';
import { byRule, unproven, type Assumption, type Check, type Sheet } from '../sheet';
import { quantitySaid, type Arrival, type MemberLedger, type Takedown } from '../takedown';
import { neglectedAssumption } from './neglectedOffset';
import { twistingSlabs } from './twistingSlab';

/** Something that stands, or hangs, beside the axis of what carries it. */
export interface OffAxis {
  readonly id: string;
  readonly mark: string;
  /** Between the axes on plan, mm. */
  readonly distance: number;
  /** Number of its first arrival in the ledger. */
  readonly arrival: number;
}

const apart = (a: PlanPoint, b: PlanPoint) => Math.hypot(a.x - b.x, a.y - b.y);

/** Distance of a point from a line's axis, mm, along its length or past its ends. */
function fromLine(line: { readonly from: PlanPoint; readonly to: PlanPoint }, point: PlanPoint): number {
  if (planLength(line) === 0) return apart(line.from, point);
  return apart(pointAlong(line, Math.min(planLength(line), Math.max(0, project(line, point)))), point);
}

/**
 * What stands beside the axis of a beam, wall, hanger or strip footing by more than the construction tolerance of the brief: columns, hangers and walls. Each
 * carries its load to the axis in the takedown, so that the moment, or the torsion, of the offset is missing there. Columns on columns, and what stands on pads,
 * are not among them: those are designed for what stands off their axis.
 */
export function offAxis(building: Building, ledger: Pick<MemberLedger, 'id' | 'arrivals'>): OffAxis[] {
  const onColumn = building.columns.has(ledger.id);
  return besideAxis(building, ledger).filter(
    ({ id, distance }) => distance > building.brief.constructionTolerance && !(onColumn && building.columns.has(id)),
  );
}

/** Supported members whose offset is within the construction tolerance, and neglected: one assumption. */
export function neglectedOffsets(building: Building, ledger: Pick<MemberLedger, 'id' | 'arrivals'>): Assumption[] {
  return neglectedAssumption('off-axis', besideAxis(building, ledger), 'its axis', building.brief);
}

/** Everything that stands on a member, or hangs from it, with how far beside its axis. */
function besideAxis(building: Building, { id, arrivals }: Pick<MemberLedger, 'id' | 'arrivals'>): OffAxis[] {
  const { beams, columns, hangers, walls, stripFootings } = building;
  const post = columns.get(id) ?? hangers.get(id);
  const line = beams.get(id) ?? walls.get(id) ?? stripFootings.get(id);
  const from = (point: PlanPoint) => (post ? apart(post.at, point) : line ? fromLine(line, point) : 0);
  const seen = new Set<string>();
  const found: OffAxis[] = [];
  arrivals.forEach(({ source }, arrival) => {
    if (source.type !== 'member') return;
    const { member, leave } = source;
    const key = `${member}.${leave}`;
    if (seen.has(key)) return;
    seen.add(key);
    const above = columns.get(member) ?? hangers.get(member);
    const wall = walls.get(member);
    const distance = above ? from(above.at) : wall && line ? Math.min(offLine(line, wall.from), offLine(line, wall.to)) : 0;
    const mark = (above ?? wall)?.mark;
    if (mark !== undefined) found.push({ id: member, mark, distance, arrival });
  });
  return found;
}

/** Distance from a line's axis as if it went on for ever, mm: where a wall begins and ends along it is no offset. */
function offLine(line: { readonly from: PlanPoint; readonly to: PlanPoint }, point: PlanPoint): number {
  return planLength(line) === 0 ? apart(line.from, point) : apart(pointAlong(line, project(line, point)), point);
}

export const ECCENTRIC = { id: 'eccentric-load', name: 'Eccentric load' } as const;

/**
 * A row that says what is missing for each thing that stands off the axis, with the largest moment that it brings: of a post on a beam the torsion.
 * @param combinations for strength
 */
export function eccentricChecks(
  building: Building,
  panels: Takedown['panels'],
  ledger: Pick<MemberLedger, 'id' | 'arrivals'>,
  combinations: readonly Combination[],
  what: string,
  sheet?: Sheet,
): Check[] {
  const found = offAxis(building, ledger);
  const slabs = twistingSlabs(building, panels, ledger);
  if (found.length + slabs.length === 0) return [];
  const { units } = building.brief;
  const largest = ({ byCase, adverse }: Pick<Arrival, 'byCase' | 'adverse'>) =>
    Math.max(...combinations.flatMap((one) => [combinePressing(byCase, adverse, one), -combineRelieving(byCase, adverse, one)]), 0);
  const twisted = slabs.map(
    ({ mark, arrival, moment }) =>
      `${mark} cantilevers from it and brings ${formatQuantity(largest(arrival) * moment, 'moment', units)} of torsion over its length`,
  );
  const posts = found.map(({ mark, distance, arrival }) => {
    const landed = ledger.arrivals[arrival]!;
    const stands = `${mark} stands ${quantitySaid(distance, 'sectionLength', units)} off its axis`;
    // a wall comes in pieces, of which this is one
    if (landed.shape.type !== 'point') return stands;
    return `${stands} and brings ${formatQuantity(largest(landed) * distance, 'moment', units)}`;
  });
  const named = [...posts, ...twisted].join('; ');
  return [unproven(ECCENTRIC, byRule('statics'), 'ductile', `${named}: ${what} is not designed for yet`, sheet)];
}

export const SUPPORT = { id: 'support', name: 'Support' } as const;

/** A row for a member of which load reaches nothing, because a support is missing, too far away or part of a ring. */
export function supportChecks({ leaves, inLoop }: Pick<MemberLedger, 'leaves' | 'inLoop'>, units: UnitSystem, sheet?: Sheet): Check[] {
  const lost = leaves.filter(({ to }) => to === null);
  if (lost.length === 0 && !inLoop) return [];
  const reason = inLoop
    ? 'it is supported by what it supports itself: no load of it reaches the ground'
    : `its reaction at ${lost.map(({ at }) => quantitySaid(at, 'length', units)).join(', ')} reaches nothing: the support is missing, or impossible`;
  return [unproven(SUPPORT, byRule('statics'), 'ductile', reason, sheet)];
}
