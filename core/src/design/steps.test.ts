import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearingPressure, sizeByBearing, type Ground } from '.';

const ground: Ground = { depth: 1000, concrete: 25e-6, soil: 18e-6, allowable: 0.15, basis: 'gross' };

describe('sizes on a grid of steps', () => {
  it('end at once however small the step is', () => {
    for (const step of [1e-14, 1e-9, 0.001]) {
      const { width } = sizeByBearing(300e3, { width: null, length: null }, step, 400, ground)!;
      // by hand: A (0.15 - 400 x 25e-6 - 600 x 18e-6) = 300e3, so A = 2.322e6 and the side 1523.8
      expect(width).toBeCloseTo(Math.sqrt(300e3 / (0.15 - 0.01 - 0.0108)), 1);
    }
    expect(sizeByBearing(1e9, { width: null, length: null }, 1e-14, 400, ground)).toBeNull();
  });
  it('are the least that is allowed: a step less is not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10_000, max: 3_000_000 }), fc.integer({ min: 1, max: 300 }), (load, step) => {
        const size = sizeByBearing(load, { width: null, length: null }, step, 400, ground);
        if (!size) return;
        expect(size.width / step).toBeCloseTo(Math.round(size.width / step), 9);
        expect(bearingPressure(load, size.width, size.length, 400, ground)).toBeLessThanOrEqual(ground.allowable);
        const less = size.width - step;
        if (less >= 400) expect(bearingPressure(load, less, less, 400, ground)).toBeGreaterThan(ground.allowable);
      }),
    );
  });
});
