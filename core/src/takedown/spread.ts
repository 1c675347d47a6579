import type { ArrivalShape } from './ledger';

/** A shape on one line laid over another: position s becomes offset + ratio * s; the total is kept. Null when it shrinks to a point. */
export function mapShape(shape: ArrivalShape, offset: number, ratio: number): ArrivalShape {
  if (shape.type === 'point') return { type: 'point', at: offset + ratio * shape.at };
  const [a, b] = [offset + ratio * shape.from, offset + ratio * shape.to];
  const squeeze = 1 / Math.abs(ratio);
  return a <= b
    ? { type: 'distributed', from: a, to: b, start: shape.start * squeeze, end: shape.end * squeeze }
    : { type: 'distributed', from: b, to: a, start: shape.end * squeeze, end: shape.start * squeeze };
}

/** The parts of a distributed shape inside and outside [0, length]. Nothing is lost between them. */
export function clipShape(shape: ArrivalShape, length: number): { inside: ArrivalShape | null; outside: ArrivalShape[] } {
  if (shape.type === 'point')
    return shape.at >= 0 && shape.at <= length ? { inside: shape, outside: [] } : { inside: null, outside: [shape] };
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
