import type { PlanPoint } from '../../building';
import { offset, type Segment } from '../support/line';

/** A line to which load goes: an edge of a panel, or what bears inside it. */
export interface Site {
  readonly line: Segment;
}

/** What is loaded: inside all of some rings and outside of others. */
export interface Loaded {
  readonly within: readonly (readonly PlanPoint[])[];
  readonly without: readonly (readonly PlanPoint[])[];
}

/** A side of one of the rings of what is loaded. */
export interface Edge {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  /** Number of its ring. */
  readonly of: number;
}

/** Places closer than this are one, mm. */
export const ONE = 1e-3;
/** Abscissae and weights of the three-point rule on 0 to 1: exact for what is integrated here, up to the fifth power. */
export const GAUSS = [
  [0.5 - Math.sqrt(0.15), 5 / 18],
  [0.5, 4 / 9],
  [0.5 + Math.sqrt(0.15), 5 / 18],
] as const;

/** Loaded stretches of a ray, from its start outward. @param hits distance and ring of every crossing */
export function* loadedAlong({ within, without }: Loaded, hits: { readonly t: number; readonly of: number }[]) {
  hits.sort((a, b) => a.t - b.t);
  // the far end lies outside of everything: counted from there
  const inside = new Array<boolean>(within.length + without.length).fill(false);
  for (let k = hits.length - 1; k > 0; k -= 1) {
    const { t, of } = hits[k]!;
    inside[of] = !inside[of];
    if (inside.every((value, ring) => value === ring < within.length)) yield { from: hits[k - 1]!.t, to: t };
  }
}

/** How far from a point in a direction another line is no nearer than the point. */
export function towards(other: Segment, p: PlanPoint, nx: number, ny: number): number {
  const h = offset(other, p);
  const sign = h < 0 ? -1 : 1;
  const under = 1 - sign * (other.dx * ny - other.dy * nx);
  if (under > 1e-9) {
    const t = Math.abs(h) / under;
    const foot = (p.x + nx * t - other.from.x) * other.dx + (p.y + ny * t - other.from.y) * other.dy;
    if (foot >= 0 && foot <= other.length) return t;
  }
  let least = Infinity;
  for (const end of [other.from, other.to]) {
    const [x, y] = [end.x - p.x, end.y - p.y];
    const ahead = x * nx + y * ny;
    if (ahead > 1e-9) least = Math.min(least, (x * x + y * y) / (2 * ahead));
  }
  return least;
}
