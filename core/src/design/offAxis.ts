import { planLength, pointAlong, project, type Building, type PlanPoint } from '../building';
import type { UnitSystem } from '../quantity';
import { byRule, unproven, type Check, type Sheet } from '../sheet';
import { quantitySaid, type MemberLedger } from '../takedown';

/** Something that stands, or hangs, beside the axis of what carries it. */
export interface OffAxis {
  readonly id: string;
  readonly mark: string;
  /** Between the axes on plan, mm. */
  readonly distance: number;
}

const apart = (a: PlanPoint, b: PlanPoint) => Math.hypot(a.x - b.x, a.y - b.y);

/** Distance of a point from a line's axis, mm, along its length or past its ends. */
function fromLine(line: { readonly from: PlanPoint; readonly to: PlanPoint }, point: PlanPoint): number {
  if (planLength(line) === 0) return apart(line.from, point);
  return apart(pointAlong(line, Math.min(planLength(line), Math.max(0, project(line, point)))), point);
}

/**
 * What stands beside the axis of a member by more than the construction tolerance of the brief: columns, hangers and walls on anything, and beams
 * on pads. Beams that end at a column's side are not among them: their nominal moments are designed for. Each carries its load to the axis in the
 * takedown, so that the moment, or the torsion, of the offset is missing.
 */
export function offAxis(building: Building, { id, arrivals }: Pick<MemberLedger, 'id' | 'arrivals'>): OffAxis[] {
  const { beams, columns, hangers, walls, footings, stripFootings, brief } = building;
  const post = footings.get(id) ?? columns.get(id) ?? hangers.get(id);
  const line = beams.get(id) ?? walls.get(id) ?? stripFootings.get(id);
  const from = (point: PlanPoint) => (post ? apart(post.at, point) : line ? fromLine(line, point) : 0);
  const seen = new Set<string>();
  const found: OffAxis[] = [];
  for (const { source } of arrivals) {
    if (source.type !== 'member') continue;
    const { member, leave } = source;
    const key = `${member}.${leave}`;
    if (seen.has(key)) continue;
    seen.add(key);
    const above = columns.get(member) ?? hangers.get(member);
    const wall = walls.get(member);
    const beam = footings.has(id) ? beams.get(member) : undefined;
    const place = beam?.supports[leave];
    const distance = above
      ? from(above.at)
      : wall && line
        ? Math.min(offLine(line, wall.from), offLine(line, wall.to))
        : beam && place
          ? from(pointAlong(beam, place.at))
          : 0;
    const mark = (above ?? wall ?? beam)?.mark;
    if (mark !== undefined && distance > brief.constructionTolerance) found.push({ id: member, mark, distance });
  }
  return found;
}

/** Distance from a line's axis as if it went on for ever, mm: where a wall begins and ends along it is no offset. */
function offLine(line: { readonly from: PlanPoint; readonly to: PlanPoint }, point: PlanPoint): number {
  return planLength(line) === 0 ? apart(line.from, point) : apart(pointAlong(line, project(line, point)), point);
}

export const ECCENTRIC = { id: 'eccentric-load', name: 'Eccentric load' } as const;

/** A row that says what is missing for each thing that stands off the axis. */
export function eccentricChecks(building: Building, ledger: Pick<MemberLedger, 'id' | 'arrivals'>, what: string, sheet?: Sheet): Check[] {
  const found = offAxis(building, ledger);
  if (found.length === 0) return [];
  const named = found
    .map(({ mark, distance }) => `${mark} stands ${quantitySaid(distance, 'sectionLength', building.brief.units)} off its axis`)
    .join('; ');
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
