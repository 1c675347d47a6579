import { planLength, type Beam } from '../building';

/** A beam drawn past a support by no more than this lies on its bearing there where no seat is given, mm. */
const USUAL_BEARING = 150;

/** A length at an end of a beam that lies on its bearing. mm from its start. */
export interface BearingEnd {
  readonly from: number;
  readonly to: number;
}

/**
 * Ends of a beam that are drawn past their bearing point by no more than the bearing length: they lie on it, and are no cantilevers. The bearing
 * length is that of its seat, or a usual one.
 */
export function bearingEnds(beam: Pick<Beam, 'from' | 'to' | 'supports' | 'seat'>): BearingEnd[] {
  const bearing = Math.max(beam.seat ?? 0, USUAL_BEARING) + 1e-6;
  const length = planLength(beam);
  const places = beam.supports.map(({ at }) => at);
  if (places.length < 2) return [];
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const ends: BearingEnd[] = [];
  if (first > 0 && first <= bearing) ends.push({ from: 0, to: first });
  if (last < length && length - last <= bearing) ends.push({ from: last, to: length });
  return ends;
}

/** Whether a stretch lies on one of them. */
export const liesOnBearing = (ends: readonly BearingEnd[], from: number, to: number): boolean =>
  ends.some((end) => from >= end.from - 1 && to <= end.to + 1);
