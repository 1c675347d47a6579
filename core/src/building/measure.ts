import type { Measurement, PlanPoint } from './item';

/** What a measurement comes to. mm, mm2. */
export interface Measured {
  readonly parts: readonly number[];
  /** On plan. */
  readonly length: number;
  /** Along the slope of its pitch; the same as `length` when there is none. */
  readonly slope: number;
  /** Inside a closed chain, on plan; null when it is open. */
  readonly area: number | null;
}

/** Lengths of a chain of places, their sum, the sum along a slope, and the area inside when it is closed. */
export function measure({
  points,
  closed,
  pitch,
}: Pick<Measurement, 'closed' | 'pitch'> & { readonly points: readonly PlanPoint[] }): Measured {
  const ring = closed ? [...points, points[0]!] : points;
  const parts = ring.slice(1).map((p, i) => Math.hypot(p.x - ring[i]!.x, p.y - ring[i]!.y));
  const length = parts.reduce((sum, part) => sum + part, 0);
  return { parts, length, slope: length / Math.cos(pitch), area: closed && points.length > 2 ? Math.abs(shoelace(points)) : null };
}

/** Direction of the short way of an outline: floors usually span it. 0: east, else north, rad. */
export function shortWay(outline: readonly PlanPoint[]): number {
  const xs = outline.map((p) => p.x);
  const ys = outline.map((p) => p.y);
  return Math.max(...xs) - Math.min(...xs) <= Math.max(...ys) - Math.min(...ys) ? 0 : Math.PI / 2;
}

function shoelace(points: readonly PlanPoint[]): number {
  let twice = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    twice += p.x * q.y - q.x * p.y;
  });
  return twice / 2;
}

/** A length rounded up to a step, as widths read off a drawing are; what is a whole number of steps to a tenth of a millimetre stays. */
export function roundedUp(length: number, step: number): number {
  return Math.ceil((length - 0.1) / step) * step;
}
