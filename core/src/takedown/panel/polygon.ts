import type { PlanPoint } from '../../building';

/** Area, mm2, and first moments of area, mm3, of a region on plan. */
export interface Region {
  readonly area: number;
  readonly x: number;
  readonly y: number;
}

export const NO_REGION: Region = { area: 0, x: 0, y: 0 };

/** Area and first moments inside a ring of corners, whichever way round it runs (shoelace about its first corner). */
export function regionOf(ring: readonly PlanPoint[]): Region {
  const o = ring[0]!;
  let [area, x, y] = [0, 0, 0];
  for (let i = 1; i + 1 < ring.length; i += 1) {
    const [ax, ay] = [ring[i]!.x - o.x, ring[i]!.y - o.y];
    const [bx, by] = [ring[i + 1]!.x - o.x, ring[i + 1]!.y - o.y];
    const twice = ax * by - ay * bx;
    area += twice / 2;
    x += (twice / 6) * (ax + bx);
    y += (twice / 6) * (ay + by);
  }
  const sign = area < 0 ? -1 : 1;
  return { area: sign * area, x: sign * (x + area * o.x), y: sign * (y + area * o.y) };
}

export function sumRegions(regions: readonly Region[], factor = 1): Region {
  let [area, x, y] = [0, 0, 0];
  for (const region of regions) {
    area += region.area;
    x += region.x;
    y += region.y;
  }
  return { area: area * factor, x: x * factor, y: y * factor };
}

/** The part of a ring where a linear function is not negative (one step of Sutherland and Hodgman). */
export function clip(ring: readonly PlanPoint[], value: (p: PlanPoint) => number): PlanPoint[] {
  const kept: PlanPoint[] = [];
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    const [a, b] = [value(p), value(q)];
    if (a >= 0) kept.push(p);
    if ((a > 0 && b < 0) || (a < 0 && b > 0)) {
      const t = a / (a - b);
      kept.push({ x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) });
    }
  });
  return kept;
}

/** Anticlockwise, without corners that repeat. */
export function tidyRing(ring: readonly PlanPoint[]): PlanPoint[] {
  const distinct: PlanPoint[] = [];
  for (let i = 0; i < ring.length; i += 1) {
    const p = ring[i]!;
    const before = ring[i === 0 ? ring.length - 1 : i - 1]!;
    const [dx, dy] = [p.x - before.x, p.y - before.y];
    if (dx * dx + dy * dy > 1e-12) distinct.push(p);
  }
  if (distinct.length < 3) return [];
  let twice = 0;
  for (let i = 0; i < distinct.length; i += 1) {
    const p = distinct[i]!;
    const q = distinct[i + 1 === distinct.length ? 0 : i + 1]!;
    twice += p.x * q.y - p.y * q.x;
  }
  return twice < 0 ? distinct.reverse() : distinct;
}

/** True when every corner of an anticlockwise ring turns left or goes straight on. */
export function isConvex(ring: readonly PlanPoint[]): boolean {
  return ring.every((p, i) => {
    const [q, r] = [ring[(i + 1) % ring.length]!, ring[(i + 2) % ring.length]!];
    const [ax, ay, bx, by] = [q.x - p.x, q.y - p.y, r.x - q.x, r.y - q.y];
    return ax * by - ay * bx >= -1e-9 * Math.hypot(ax, ay) * Math.hypot(bx, by);
  });
}

/** True when a ring crosses itself: its inside is then not what was meant. */
export function crossesItself(ring: readonly PlanPoint[]): boolean {
  const n = ring.length;
  for (let i = 0; i < n; i += 1)
    for (let j = i + 2; j < n; j += 1)
      if (!(i === 0 && j === n - 1) && segmentsCross(ring[i]!, ring[(i + 1) % n]!, ring[j]!, ring[(j + 1) % n]!)) return true;
  return false;
}

function segmentsCross(a: PlanPoint, b: PlanPoint, c: PlanPoint, d: PlanPoint): boolean {
  const side = (p: PlanPoint, q: PlanPoint, r: PlanPoint) => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** True when two rings cross, or one holds a corner of the other. */
export function meets(one: readonly PlanPoint[], other: readonly PlanPoint[]): boolean {
  const cross = one.some((a, i) => other.some((c, j) => segmentsCross(a, one[(i + 1) % one.length]!, c, other[(j + 1) % other.length]!)));
  return cross || other.some((p) => contains(one, p)) || one.some((p) => contains(other, p));
}

export function contains(ring: readonly PlanPoint[], p: PlanPoint): boolean {
  let inside = false;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
  });
  return inside;
}
