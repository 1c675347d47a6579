import type { Wall, WallOpening } from '../../building';
import { shapeForce, shapeMoment, type ArrivalShape } from '../shape';

export type WallSpread = Pick<Wall, 'spread' | 'spreadAngle' | 'spreadDepth' | 'openings' | 'openingsRule'>;

/** Height through which load that comes to a wall at some height widens, mm: down to its foot, or to half the height of the wall. */
export const widening = ({ spreadDepth }: Pick<Wall, 'spreadDepth'>, from: number, high: number): number =>
  spreadDepth === 'whole' ? from : Math.max(0, from - high / 2);

/**
 * Pressure of a unit force on a stretch of foot: linear, so that force and line of action are kept; outside the middle third the
 * contact shortens to three times the distance from the near end. Nothing pulls.
 * @param a start of the stretch, mm
 * @param b end of the stretch
 * @param at line of action, between a and b
 */
export function pressure(a: number, b: number, at: number, force = 1): ArrivalShape {
  const length = b - a;
  const eccentricity = at - (a + b) / 2;
  const mean = force / length;
  if (Math.abs(eccentricity) <= length / 6) {
    const lean = (6 * eccentricity) / length;
    return { type: 'distributed', from: a, to: b, start: mean * (1 - lean), end: mean * (1 + lean) };
  }
  const toEnd = Math.min(at - a, b - at);
  // at the very end there is no length left to spread over
  if (toEnd < 1 / 3) {
    const short = Math.min(1, length);
    return eccentricity < 0
      ? { type: 'distributed', from: a, to: a + short, start: force / short, end: force / short }
      : { type: 'distributed', from: b - short, to: b, start: force / short, end: force / short };
  }
  const contact = 3 * toEnd;
  const peak = (2 * force) / contact;
  return eccentricity < 0
    ? { type: 'distributed', from: a, to: a + contact, start: peak, end: 0 }
    : { type: 'distributed', from: b - contact, to: b, start: 0, end: peak };
}

/**
 * What a wall passes to its foot of something that lands on its top, as shapes along the wall. The total is kept always; the line
 * of action too, unless the wall is said to spread evenly.
 * @param shape what lands, mm along the wall
 * @param height at which it lands, mm above the foot
 * @param high height of the wall itself, mm; left out: it lands on its head
 */
export function footShapes(wall: WallSpread, shape: ArrivalShape, length: number, height: number, high = height): ArrivalShape[] {
  const spread = spreadDown(wall, shape, length, widening(wall, height, high));
  if (wall.openingsRule === 'ignored') return [spread];
  return joined(wall.openings).reduce<ArrivalShape[]>(
    (shapes, opening) => shapes.flatMap((part) => aroundOpening(wall, opening, part, length, high)),
    [spread],
  );
}

/** Openings from one end to the other; those that share a part of the length as one, with the higher head and the longer bearing. */
function joined(openings: readonly WallOpening[]): WallOpening[] {
  const list: WallOpening[] = [];
  for (const opening of [...openings].sort((x, y) => x.from - y.from)) {
    const last = list.at(-1);
    if (!last || opening.from >= last.to - 1) list.push(opening);
    else
      list[list.length - 1] = {
        ...last,
        to: Math.max(last.to, opening.to),
        head: Math.max(last.head, opening.head),
        bearing: Math.max(last.bearing, opening.bearing),
      };
  }
  return list;
}

function spreadDown(wall: WallSpread, shape: ArrivalShape, length: number, height: number): ArrivalShape {
  const force = shapeForce(shape);
  if (wall.spread === 'even') return { type: 'distributed', from: 0, to: length, start: force / length, end: force / length };
  if (wall.spread === 'whole') {
    if (force === 0) return { type: 'distributed', from: 0, to: length, start: 0, end: 0 };
    return pressure(0, length, Math.min(length, Math.max(0, shapeMoment(shape) / force)), force);
  }
  // what is spread already goes straight down
  if (shape.type !== 'point') return shape;
  const half = Math.max(0.5, height * Math.tan(wall.spreadAngle));
  return pressure(Math.max(0, shape.at - half), Math.min(length, shape.at + half), shape.at);
}

/** Load over an opening goes to the bearings of its lintel, by the lever, and spreads from there away from the opening. */
function aroundOpening(wall: WallSpread, opening: WallOpening, shape: ArrivalShape, length: number, high: number): ArrivalShape[] {
  const [from, to] = [Math.max(0, opening.from), Math.min(length, opening.to)];
  // a lintel with no wall beside it on one side has no bearing there: the load stays where it is
  if (!(to > from) || from < 1 || to > length - 1) return [shape];
  const { before, within, after } = cut(shape, from, to);
  if (!within) return [shape];
  const force = shapeForce(within);
  if (force === 0) return [shape];
  const at = shapeMoment(within) / force;
  const left = Math.max(from / 2, from - opening.bearing / 2);
  const right = Math.min((to + length) / 2, to + opening.bearing / 2);
  const toRight = (force * (at - left)) / (right - left);
  const reach = widening(wall, opening.head, high) * Math.tan(wall.spreadAngle) + opening.bearing;
  const sides: ArrivalShape[] = [
    pressure(Math.max(0, from - reach), from, left, force - toRight),
    pressure(to, Math.min(length, to + reach), right, toRight),
  ];
  return [before, after, ...sides].filter((part): part is ArrivalShape => part !== null);
}

/** A shape cut at two places. A point on the edge of the middle belongs to it. */
export function cut(
  shape: ArrivalShape,
  from: number,
  to: number,
): { before: ArrivalShape | null; within: ArrivalShape | null; after: ArrivalShape | null } {
  if (shape.type === 'point')
    return {
      before: shape.at < from ? shape : null,
      within: shape.at >= from && shape.at <= to ? shape : null,
      after: shape.at > to ? shape : null,
    };
  const rate = shape.to === shape.from ? 0 : (shape.end - shape.start) / (shape.to - shape.from);
  const part = (a: number, b: number): ArrivalShape | null =>
    b > a
      ? { type: 'distributed', from: a, to: b, start: shape.start + rate * (a - shape.from), end: shape.start + rate * (b - shape.from) }
      : null;
  return {
    before: part(shape.from, Math.min(shape.to, from)),
    within: part(Math.max(shape.from, from), Math.min(shape.to, to)),
    after: part(Math.max(shape.from, to), shape.to),
  };
}
