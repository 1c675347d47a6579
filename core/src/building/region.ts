import type { MultiPolygon, Polygon, Ring } from 'polygon-clipping';
import type { PlanPoint } from './item';

/** An outline as it is cut and joined. */
export const ringOf = (points: readonly PlanPoint[]): Polygon => [points.map(({ x, y }): [number, number] => [x, y])];

/** Corners of what came of cutting and joining. */
export function pointsOf(ring: Ring): PlanPoint[] {
  const points = ring.map(([x, y]) => ({ x, y }));
  // the last corner repeats the first
  return points.slice(0, -1);
}

/** Area of regions less their holes, mm2. */
export function areaOf(regions: MultiPolygon): number {
  const size = (ring: Ring) => Math.abs(ring.reduce((sum, [x, y], i) => sum + cross(x, y, ring[(i + 1) % ring.length]!), 0)) / 2;
  return regions.reduce((sum, [outer, ...holes]) => sum + size(outer!) - holes.reduce((inner, hole) => inner + size(hole), 0), 0);
}

function cross(x: number, y: number, [nx, ny]: readonly [number, number]): number {
  return x * ny - nx * y;
}
