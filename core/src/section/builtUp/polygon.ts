/** A corner: x to the right, z upward, mm. */
export type Corner = readonly [x: number, z: number];

/** Area, and its first and second moments about the x axis (z = 0). */
export interface Moments {
  readonly area: number;
  readonly first: number;
  readonly second: number;
}

/** Moments of a polygon by Green's theorem; the way round does not matter. */
export function momentsOf(corners: readonly Corner[]): Moments {
  let [area, first, second] = [0, 0, 0];
  corners.forEach(([x0, z0], i) => {
    const [x1, z1] = corners[(i + 1) % corners.length]!;
    const cross = x0 * z1 - x1 * z0;
    area += cross / 2;
    first += (cross * (z0 + z1)) / 6;
    second += (cross * (z0 * z0 + z0 * z1 + z1 * z1)) / 12;
  });
  const sign = Math.sign(area) || 1;
  return { area: sign * area, first: sign * first, second: sign * second };
}

/** The part of a polygon above a level. */
export function above(corners: readonly Corner[], level: number): Corner[] {
  const kept: Corner[] = [];
  corners.forEach((from, i) => {
    const to = corners[(i + 1) % corners.length]!;
    const [a, b] = [from[1] - level, to[1] - level];
    if (a >= 0) kept.push(from);
    if ((a > 0 && b < 0) || (a < 0 && b > 0)) {
      const share = a / (a - b);
      kept.push([from[0] + share * (to[0] - from[0]), level]);
    }
  });
  return kept;
}
