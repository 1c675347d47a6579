/** How an arrival lies on the member: unit point load, or linear unit load between two places (mm from the start). */
export type ArrivalShape =
  | { readonly type: 'point'; readonly at: number }
  | { readonly type: 'distributed'; readonly from: number; readonly to: number; readonly start: number; readonly end: number };

/** Total force of an arrival's unit shape. */
export function shapeForce(shape: ArrivalShape): number {
  return shape.type === 'point' ? 1 : ((shape.start + shape.end) / 2) * (shape.to - shape.from);
}

/** First moment of an arrival's unit shape about the member's start. */
export function shapeMoment(shape: ArrivalShape): number {
  if (shape.type === 'point') return shape.at;
  const length = shape.to - shape.from;
  return shape.start * length * (shape.from + length / 2) + ((shape.end - shape.start) / 2) * length * (shape.from + (2 * length) / 3);
}

/** A shape on one line laid over another: position s becomes offset + ratio * s; the total is kept. Null when it shrinks to a point. */
export function mapShape(shape: ArrivalShape, offset: number, ratio: number): ArrivalShape {
  if (shape.type === 'point') return { type: 'point', at: offset + ratio * shape.at };
  const [a, b] = [offset + ratio * shape.from, offset + ratio * shape.to];
  const squeeze = 1 / Math.abs(ratio);
  return a <= b
    ? { type: 'distributed', from: a, to: b, start: shape.start * squeeze, end: shape.end * squeeze }
    : { type: 'distributed', from: b, to: a, start: shape.end * squeeze, end: shape.start * squeeze };
}

const NOTHING: readonly never[] = [];

/** The parts of a distributed shape inside and outside [0, length]. Nothing is lost between them. */
export function clipShape(shape: ArrivalShape, length: number): { inside: ArrivalShape | null; outside: readonly ArrivalShape[] } {
  if (shape.type === 'point')
    return shape.at >= 0 && shape.at <= length ? { inside: shape, outside: NOTHING } : { inside: null, outside: [shape] };
  if (shape.from >= 0 && shape.to <= length && shape.to > shape.from) return { inside: shape, outside: NOTHING };
  const rate = shape.to === shape.from ? 0 : (shape.end - shape.start) / (shape.to - shape.from);
  const part = (from: number, to: number): ArrivalShape | null =>
    to > from
      ? { type: 'distributed', from, to, start: shape.start + rate * (from - shape.from), end: shape.start + rate * (to - shape.from) }
      : null;
  const before = part(shape.from, Math.min(shape.to, 0));
  const after = part(Math.max(shape.from, length), shape.to);
  return {
    inside: part(Math.max(0, shape.from), Math.min(length, shape.to)),
    outside: [before, after].filter((p): p is ArrivalShape => p !== null),
  };
}
