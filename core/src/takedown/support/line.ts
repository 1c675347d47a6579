import type { PlanPoint } from '../../building';

/** A segment on plan with its direction ready at hand. */
export interface Segment {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly length: number;
  /** Unit direction; (1, 0) when the segment has no length. */
  readonly dx: number;
  readonly dy: number;
}

export function segment(line: { readonly from: PlanPoint; readonly to: PlanPoint }): Segment {
  const { from, to } = line;
  const [x, y] = [to.x - from.x, to.y - from.y];
  const length = Math.sqrt(x * x + y * y);
  return length === 0
    ? { from, to, length, dx: 1, dy: 0 }
    : { from, to, length, dx: (to.x - from.x) / length, dy: (to.y - from.y) / length };
}

/** Distance along the segment's line of the foot of the perpendicular from a point, mm from its start. */
export function along(s: Segment, point: PlanPoint): number {
  return (point.x - s.from.x) * s.dx + (point.y - s.from.y) * s.dy;
}

/** Signed distance of a point to the left of the segment's line, mm. */
export function offset(s: Segment, point: PlanPoint): number {
  return (point.y - s.from.y) * s.dx - (point.x - s.from.x) * s.dy;
}

export function pointAt(s: Segment, distance: number): PlanPoint {
  return { x: s.from.x + s.dx * distance, y: s.from.y + s.dy * distance };
}

/** Below this sine of their angle two lines count as parallel: about 3 degrees. */
export const PARALLEL = 0.05;

/** Where the lines of two segments cross, as distances along each. Null when they are as good as parallel. */
export function crossing(a: Segment, b: Segment): { a: number; b: number } | null {
  const cross = a.dx * b.dy - a.dy * b.dx;
  if (Math.abs(cross) < PARALLEL) return null;
  const [x, y] = [b.from.x - a.from.x, b.from.y - a.from.y];
  return { a: (x * b.dy - y * b.dx) / cross, b: (x * a.dy - y * a.dx) / cross };
}

/** The part of `a` beside which `b` runs, both ends within reach of its line. Null when they do not run together. */
export function overlap(a: Segment, b: Segment, reach: number): { from: number; to: number } | null {
  if (Math.abs(a.dx * b.dy - a.dy * b.dx) >= PARALLEL) return null;
  const [s1, s2] = [along(a, b.from), along(a, b.to)];
  const [from, to] = [Math.max(0, Math.min(s1, s2)), Math.min(a.length, Math.max(s1, s2))];
  if (to - from <= 1) return null;
  // the distance between the lines at both ends of the common part
  const at = (s: number) => Math.abs(offset(b, pointAt(a, s)));
  return at(from) <= reach && at(to) <= reach ? { from, to } : null;
}

/** The end of `a`, as a distance along it, at which an end of a parallel `b` meets it in its own line; null when none does. */
export function endToEnd(a: Segment, b: Segment, reach: number): number | null {
  if (Math.abs(a.dx * b.dy - a.dy * b.dx) >= PARALLEL) return null;
  let found: { at: number; distance: number } | null = null;
  for (const end of [0, a.length])
    for (const other of [b.from, b.to]) {
      const distance = Math.hypot(along(a, other) - end, offset(a, other));
      if (distance <= reach && (!found || distance < found.distance)) found = { at: end, distance };
    }
  return found && found.at;
}

/** Distance of a point from a segment and where along it the nearest place lies. */
export function nearest(s: Segment, point: PlanPoint): { at: number; distance: number } {
  const at = Math.min(s.length, Math.max(0, along(s, point)));
  const [x, y] = [point.x - s.from.x - s.dx * at, point.y - s.from.y - s.dy * at];
  return { at, distance: Math.sqrt(x * x + y * y) };
}
