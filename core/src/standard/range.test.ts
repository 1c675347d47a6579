import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { momentAt, pressedFlanges, rangeOf } from './standard';

const shape = (start: number, middle: number, end: number) => ({
  start,
  middle,
  end,
  peak: [start, middle, end].reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)),
});

describe('which flanges the moments press', () => {
  it('the range is that of the parabola, also where it turns between the places that are known', () => {
    // by hand: 10 x (2 x - 1) turns at a quarter, where it is -1.25
    expect(rangeOf(shape(0, 0, 10))).toEqual([-1.25, 10]);
    expect(rangeOf(shape(4, 4, 4))).toEqual([4, 4]);
    const moment = fc.double({ min: -100, max: 100, noNaN: true });
    fc.assert(
      fc.property(moment, moment, moment, (a, b, c) => {
        const [least, most] = rangeOf(shape(a, b, c));
        const at = Array.from({ length: 401 }, (_, i) => momentAt(shape(a, b, c), i / 400));
        expect(Math.min(...at)).toBeGreaterThanOrEqual(least - 1e-9);
        expect(Math.max(...at)).toBeLessThanOrEqual(most + 1e-9);
        expect(Math.min(...at)).toBeLessThanOrEqual(least + 0.01);
        expect(Math.max(...at)).toBeGreaterThanOrEqual(most - 0.01);
      }),
    );
  });
  it('one flange where the moment has one sign, both where it has two or is not known', () => {
    expect(pressedFlanges({ range: [0, 5] })).toEqual(['top']);
    expect(pressedFlanges({ range: [-5, 0] })).toEqual(['bottom']);
    expect(pressedFlanges({ range: [-1e-12, 5] })).toEqual(['top']);
    expect(pressedFlanges({ range: [-1, 5] })).toEqual(['top', 'bottom']);
    expect(pressedFlanges({ range: [0, 0] })).toEqual(['top', 'bottom']);
    expect(pressedFlanges({})).toEqual(['top', 'bottom']);
  });
});
