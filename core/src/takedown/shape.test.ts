import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shapeForce, shapeMoment, type ArrivalShape } from './shape';
import { clipShape, mapShape } from './shape';

const share = fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000);
const shapes = fc.oneof(
  share.map((t): ArrivalShape => ({ type: 'point', at: 6000 * t })),
  fc.tuple(share, share, share, share).map(([a, b, p, q]): ArrivalShape => ({
    type: 'distributed',
    from: 6000 * Math.min(a, b),
    to: 6000 * Math.max(a, b) + 1,
    start: p + 0.1,
    end: q + 0.1,
  })),
);

describe('laying one line over another', () => {
  it('keeps the force, whichever way the other line runs', () => {
    fc.assert(
      fc.property(shapes, fc.integer({ min: -3000, max: 3000 }), fc.constantFrom(1, -1, 0.99, -0.995), (shape, offset, ratio) => {
        const laid = mapShape(shape, offset, ratio);
        expect(shapeForce(laid) / shapeForce(shape)).toBeCloseTo(1, 9);
        expect(Math.abs(shapeMoment(laid) - (offset * shapeForce(shape) + ratio * shapeMoment(shape)))).toBeLessThan(
          1e-6 * 6000 * (1 + Math.abs(shapeForce(shape))),
        );
      }),
    );
  });
  it('what is cut off at the ends and what stays add up', () => {
    fc.assert(
      fc.property(shapes, fc.integer({ min: -2000, max: 2000 }), fc.integer({ min: 500, max: 7000 }), (shape, offset, length) => {
        const moved = mapShape(shape, offset, 1);
        const { inside, outside } = clipShape(moved, length);
        const parts = [...(inside ? [inside] : []), ...outside];
        const sum = (of: (part: ArrivalShape) => number) => parts.reduce((total, part) => total + of(part), 0);
        expect(sum(shapeForce)).toBeCloseTo(shapeForce(moved), 6);
        expect(Math.abs(sum(shapeMoment) - shapeMoment(moved))).toBeLessThan(1e-6 * 8000 * (1 + shapeForce(moved)));
      }),
    );
  });
});
