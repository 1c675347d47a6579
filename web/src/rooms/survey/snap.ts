import { isOnLevel, standing, STANDING_KINDS, type Building, type PlanPoint } from '@plinth/core';

export type SnapKind = 'end' | 'crossing' | 'middle' | 'line' | 'grid' | 'free';

export interface Snap {
  readonly point: PlanPoint;
  readonly kind: SnapKind;
}

interface Segment {
  readonly a: PlanPoint;
  readonly b: PlanPoint;
}

/** What a cursor can catch on. */
export interface SnapTargets {
  readonly points: readonly PlanPoint[];
  readonly segments: readonly Segment[];
}

/** Ends, posts, corners, edges and gridlines of the levels given. @param drawn lines of the drawings that lie under them */
export function snapTargets(building: Building, levels: readonly string[], drawn: readonly Segment[] = []): SnapTargets {
  const points: PlanPoint[] = [];
  const segments: Segment[] = [...drawn];
  for (const { a, b } of drawn) points.push(a, b);
  const on = (member: Parameters<typeof isOnLevel>[1]) => levels.some((level) => isOnLevel(building, member, level));
  const line = ({ from, to }: { from: PlanPoint; to: PlanPoint }) => {
    points.push(from, to);
    segments.push({ a: from, b: to });
  };
  for (const kind of STANDING_KINDS)
    for (const body of standing(building, kind).values()) {
      if (!on(body)) continue;
      if ('from' in body) line(body);
      else if ('at' in body) points.push(body.at);
    }
  for (const panel of building.panels.values()) {
    if (!on(panel)) continue;
    for (const ring of [panel.outline, ...panel.openings.map((opening) => opening.outline)])
      ring.forEach((a, i) => {
        points.push(a);
        segments.push({ a, b: ring[(i + 1) % ring.length]! });
      });
  }
  for (const { body } of building.gridlines) segments.push({ a: body.from, b: body.to });
  return { points, segments };
}

const distance = (p: PlanPoint, q: PlanPoint) => Math.hypot(p.x - q.x, p.y - q.y);

function footOn({ a, b }: Segment, p: PlanPoint): PlanPoint {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const t = length === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / length));
  return { x: a.x + t * dx, y: a.y + t * dy };
}

function crossingOf(s: Segment, t: Segment): PlanPoint | null {
  const [sx, sy, tx, ty] = [s.b.x - s.a.x, s.b.y - s.a.y, t.b.x - t.a.x, t.b.y - t.a.y];
  const cross = sx * ty - sy * tx;
  if (Math.abs(cross) < 1e-6 * (Math.hypot(sx, sy) * Math.hypot(tx, ty) + 1)) return null;
  const u = ((t.a.x - s.a.x) * ty - (t.a.y - s.a.y) * tx) / cross;
  const v = ((t.a.x - s.a.x) * sy - (t.a.y - s.a.y) * sx) / cross;
  return u < -1e-9 || u > 1 + 1e-9 || v < -1e-9 || v > 1 + 1e-9 ? null : { x: s.a.x + u * sx, y: s.a.y + u * sy };
}

/** A whole step of the grid that is at least `least` mm: 50 mm, 100 mm, 500 mm, 1 m; in US units 1 in, 6 in, 1 ft, 5 ft. */
export function gridStep(least: number, units: 'SI' | 'US'): number {
  const steps = units === 'SI' ? [10, 50, 100, 500, 1000, 5000] : [25.4, 152.4, 304.8, 1524, 3048];
  return steps.find((step) => step >= least) ?? steps.at(-1)!;
}

/**
 * Where a cursor really points: to an end, a crossing, a middle, a line, or the grid, in this order.
 * @param reach how far it catches, mm
 * @param step of the grid, mm; null: no grid, it stays where it points when there is nothing else
 * @param from the point that is drawn from; with `ortho` the result lies straight across or straight up from it
 */
export function snapTo(
  targets: SnapTargets,
  cursor: PlanPoint,
  reach: number,
  step: number | null,
  from: PlanPoint | null = null,
  ortho = false,
): Snap {
  const caught = catchOn(targets, cursor, reach, step);
  if (!from || !ortho) return caught;
  // what is caught gives the distance, the axis gives the direction
  const across = Math.abs(cursor.x - from.x) >= Math.abs(cursor.y - from.y);
  return { kind: caught.kind, point: across ? { x: caught.point.x, y: from.y } : { x: from.x, y: caught.point.y } };
}

function catchOn(targets: SnapTargets, cursor: PlanPoint, reach: number, step: number | null): Snap {
  const closest = (points: readonly PlanPoint[]) => {
    let best: PlanPoint | undefined;
    let least = reach;
    for (const point of points) {
      const d = distance(point, cursor);
      if (d <= least) [best, least] = [point, d];
    }
    return best;
  };
  const end = closest(targets.points);
  if (end) return { point: end, kind: 'end' };
  const near = targets.segments.filter((segment) => distance(footOn(segment, cursor), cursor) <= reach);
  const crossings: PlanPoint[] = [];
  for (let i = 0; i < near.length; i += 1)
    for (let j = i + 1; j < near.length; j += 1) {
      const point = crossingOf(near[i]!, near[j]!);
      if (point) crossings.push(point);
    }
  const crossing = closest(crossings);
  if (crossing) return { point: crossing, kind: 'crossing' };
  const middle = closest(near.map(({ a, b }) => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })));
  if (middle) return { point: middle, kind: 'middle' };
  // a millimetre is finer than anybody reads off paper
  const onGrid =
    step === null
      ? { x: Math.round(cursor.x), y: Math.round(cursor.y) }
      : { x: Math.round(cursor.x / step) * step, y: Math.round(cursor.y / step) * step };
  const line = closest(near.map((segment) => footOn(segment, onGrid)).filter((p) => distance(p, cursor) <= reach));
  if (line) return { point: line, kind: 'line' };
  return { point: onGrid, kind: step === null ? 'free' : 'grid' };
}

/**
 * The end of a line from what a person types: a length, or a length and an angle as `4.5 < 30`.
 * @throws what `length` throws for a length that cannot be read
 */
export function typedEnd(text: string, from: PlanPoint, cursor: PlanPoint, length: (text: string) => number): PlanPoint {
  const [lengthText = '', angleText] = text.split('<');
  const mm = length(lengthText.trim());
  const angle = angleText === undefined ? Math.atan2(cursor.y - from.y, cursor.x - from.x) : (Number(angleText) * Math.PI) / 180;
  if (!Number.isFinite(angle)) throw new Error(`"${angleText}" is not an angle in degrees`);
  return { x: from.x + mm * Math.cos(angle), y: from.y + mm * Math.sin(angle) };
}
