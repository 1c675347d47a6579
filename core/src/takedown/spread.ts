import type { ArrivalShape } from './ledger';
import { shapeForce, shapeMoment } from './ledger';

/**
 * What a rigid wall passes to whatever it stands on: pressure varying linearly along its foot, so that force and line of
 * action are kept; outside the middle third the contact shortens to three times the distance from the near end.
 * @param shape what lands on the wall, in mm along it
 * @param length of the wall, mm
 * @returns unit shapes along the wall whose total and first moment equal those of `shape`
 */
export function spreadAlongWall(shape: ArrivalShape, length: number): ArrivalShape {
  const force = shapeForce(shape);
  if (force === 0) return { type: 'distributed', from: 0, to: length, start: 0, end: 0 };
  const x = shapeMoment(shape) / force;
  const eccentricity = x - length / 2;
  const mean = force / length;
  if (Math.abs(eccentricity) <= length / 6) {
    const lean = (6 * eccentricity) / length;
    return { type: 'distributed', from: 0, to: length, start: mean * (1 - lean), end: mean * (1 + lean) };
  }
  const toEnd = Math.min(x, length - x);
  // at the very end there is no length left to spread over
  if (toEnd < 1)
    return { type: 'distributed', from: eccentricity < 0 ? 0 : length - 1, to: eccentricity < 0 ? 1 : length, start: force, end: force };
  const contact = 3 * toEnd;
  const peak = (2 * force) / contact;
  return eccentricity < 0
    ? { type: 'distributed', from: 0, to: contact, start: peak, end: 0 }
    : { type: 'distributed', from: length - contact, to: length, start: 0, end: peak };
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
