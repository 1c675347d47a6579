/** Pressure a + b x + c y under a base, MPa and MPa/mm, from the middle; what would be negative is none: the ground does not pull. */
export interface ContactPressure {
  readonly mean: number;
  readonly alongX: number;
  readonly alongY: number;
  /** The largest, at a corner, MPa. */
  readonly most: number;
  /** Part of the base that is in contact, 0 to 1. */
  readonly contact: number;
}

/** What presses on a base: force, N, and where, mm from the middle. */
export interface BaseLoad {
  readonly force: number;
  readonly x: number;
  readonly y: number;
}

/** Within this of the edge of the kern, as a part of the base, rounding counts as full contact. */
const ROUNDING = 1e-12;

/**
 * Linear contact pressure under a rigid rectangular base on ground that cannot pull. Over the whole base while the load lies within its kern, by
 * N/A (1 + 12 e_x x / B_x^2 + 12 e_y y / B_y^2); else over the part that is left, by equilibrium.
 * @param width, length of the base along x and y, mm
 * @returns null where nothing presses, or where the load lies off the base: nothing can be in equilibrium with it
 */
export function contactPressure(width: number, length: number, { force, x, y }: BaseLoad): ContactPressure | null {
  const [ex, ey] = [x / width, y / length];
  if (force <= 0 || Math.abs(ex) >= 0.5 || Math.abs(ey) >= 0.5) return null;
  const mean = force / (width * length);
  if (6 * (Math.abs(ex) + Math.abs(ey)) <= 1 + ROUNDING) return scaled({ a: 1, b: 12 * ex, c: 12 * ey }, 1, mean, width, length);
  const alone = Math.abs(ey) < ROUNDING ? partial(ex, 'x') : Math.abs(ex) < ROUNDING ? partial(ey, 'y') : null;
  const found = alone ?? cornerAlone(ex, ey) ?? partialBothWays(ex, ey);
  return found && scaled(found.plane, found.contact, mean, width, length);
}

/** A plane over the base of side 1 under a load of 1. */
interface Plane {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

function scaled({ a, b, c }: Plane, contact: number, mean: number, width: number, length: number): ContactPressure {
  const most = mean * (a + (Math.abs(b) + Math.abs(c)) / 2);
  return { mean: mean * a, alongX: (mean * b) / width, alongY: (mean * c) / length, most, contact };
}

/** Off the middle one way: a triangle three times as long as the load is from the edge. */
function partial(e: number, along: 'x' | 'y'): { plane: Plane; contact: number } {
  const contact = 3 * (0.5 - Math.abs(e));
  const most = 2 / contact;
  const slope = (Math.sign(e) * most) / contact;
  const a = most - Math.abs(slope) / 2;
  return { plane: { a, b: along === 'x' ? slope : 0, c: along === 'y' ? slope : 0 }, contact };
}

/** So near a corner that only a triangle there is in contact: its legs are four times as long as the load is from the edges. */
function cornerAlone(ex: number, ey: number): { plane: Plane; contact: number } | null {
  const [legX, legY] = [4 * (0.5 - Math.abs(ex)), 4 * (0.5 - Math.abs(ey))];
  if (legX > 1 || legY > 1) return null;
  const contact = (legX * legY) / 2;
  const most = 3 / contact;
  const [b, c] = [(Math.sign(ex) * most) / legX, (Math.sign(ey) * most) / legY];
  return { plane: { a: most - (Math.abs(b) + Math.abs(c)) / 2, b, c }, contact };
}

/** Moments of an area of second order and below. */
interface Moments {
  readonly area: number;
  readonly x: number;
  readonly y: number;
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

type Corner = readonly [x: number, y: number];
const BASE: readonly Corner[] = [
  [-0.5, -0.5],
  [0.5, -0.5],
  [0.5, 0.5],
  [-0.5, 0.5],
];

/** The part of the base of side 1 over which a plane is positive. */
function pressed({ a, b, c }: Plane): Corner[] {
  const at = ([x, y]: Corner) => a + b * x + c * y;
  return BASE.flatMap((corner, i): Corner[] => {
    const next = BASE[(i + 1) % BASE.length]!;
    const [here, there] = [at(corner), at(next)];
    const kept: Corner[] = here >= 0 ? [corner] : [];
    if (here >= 0 !== there >= 0) {
      const part = here / (here - there);
      kept.push([corner[0] + part * (next[0] - corner[0]), corner[1] + part * (next[1] - corner[1])]);
    }
    return kept;
  });
}

/** Moments of a polygon, anticlockwise, by sums over its edges. */
function momentsOf(corners: readonly Corner[]): Moments {
  let [area, x, y, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  corners.forEach(([x1, y1], i) => {
    const [x2, y2] = corners[(i + 1) % corners.length]!;
    const cross = x1 * y2 - x2 * y1;
    area += cross / 2;
    x += ((x1 + x2) * cross) / 6;
    y += ((y1 + y2) * cross) / 6;
    xx += ((x1 * x1 + x1 * x2 + x2 * x2) * cross) / 12;
    yy += ((y1 * y1 + y1 * y2 + y2 * y2) * cross) / 12;
    xy += ((x1 * y2 + 2 * x1 * y1 + 2 * x2 * y2 + x2 * y1) * cross) / 24;
  });
  return { area, x, y, xx, xy, yy };
}

/**
 * Off the middle both ways. The plane under which half the integral of its square, less the work of the load, is least over the base is the one in
 * equilibrium; that sum is convex, and Newton's steps, halved where they overshoot, find it.
 * @returns null where it is not found: the contact is next to nothing
 */
function partialBothWays(ex: number, ey: number): { plane: Plane; contact: number } | null {
  let plane: Plane = { a: 1, b: 12 * ex, c: 12 * ey };
  const energy = (p: Plane) => {
    const [A, B, C] = forces(p, momentsOf(pressed(p)));
    return (p.a * A + p.b * B + p.c * C) / 2 - (p.a + p.b * ex + p.c * ey);
  };
  for (let n = 0; n < 200; n += 1) {
    const moments = momentsOf(pressed(plane));
    const [A, B, C] = forces(plane, moments);
    const rest = [1 - A, ex - B, ey - C] as const;
    const off = Math.max(...rest.map(Math.abs));
    if (off < 1e-12) return { plane, contact: moments.area };
    const step = solve(moments, rest);
    if (!step) return null;
    const before = energy(plane);
    let next = plane;
    for (let part = 1; part > 1e-9; part /= 2) {
      next = { a: plane.a + part * step[0], b: plane.b + part * step[1], c: plane.c + part * step[2] };
      // close by, the sum tells no more: rounding is larger than what is still to be gained
      if (off < 1e-5 || energy(next) <= before) break;
    }
    plane = next;
  }
  const { area } = momentsOf(pressed(plane));
  const [A, B, C] = forces(plane, momentsOf(pressed(plane)));
  return Math.max(Math.abs(1 - A), Math.abs(ex - B), Math.abs(ey - C)) < 1e-9 ? { plane, contact: area } : null;
}

/** Force and moments of a plane over a part of the base. */
function forces({ a, b, c }: Plane, { area, x, y, xx, xy, yy }: Moments): readonly [number, number, number] {
  return [a * area + b * x + c * y, a * x + b * xx + c * xy, a * y + b * xy + c * yy];
}

/** Three equations in three unknowns, by Cramer's rule; null where they hang together. */
function solve({ area, x, y, xx, xy, yy }: Moments, [r, s, t]: readonly [number, number, number]): [number, number, number] | null {
  const det = area * (xx * yy - xy * xy) - x * (x * yy - xy * y) + y * (x * xy - xx * y);
  if (!(Math.abs(det) > 1e-18)) return null;
  const a = r * (xx * yy - xy * xy) - x * (s * yy - xy * t) + y * (s * xy - xx * t);
  const b = area * (s * yy - xy * t) - r * (x * yy - xy * y) + y * (x * t - s * y);
  const c = area * (xx * t - s * xy) - x * (x * t - s * y) + r * (x * xy - xx * y);
  return [a / det, b / det, c / det];
}
