import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lateralBucklingFactor } from '../beam';
import { findSection } from '../section';
import { heldFlangeFactor } from './heldFlange';
import type { Segment } from '.';

/** A span with the top flange held along it, by its end moments and the even load between them; Nmm, N/mm. */
function span(L: number, start: number, end: number, load: number): { segment: Segment; moment: (x: number) => number } {
  const moment = (x: number) => start + ((end - start) * x) / L + (load * x * (L - x)) / 2;
  const peak = Math.min(start, end);
  const quarters = [moment(L / 4), moment(L / 2), moment((3 * L) / 4)] as const;
  return {
    moment,
    segment: { from: 0, to: L, peak, quarters, ends: [start, end], freeTip: false, tensionFlangeHeld: true },
  };
}
const M = 100e6;

describe('the factor of a hogging zone under a floor', () => {
  it('of a fixed beam, a propped one, and even or straight hogging: by hand from (C-F1-5)', () => {
    const L = 8000;
    // both ends -wL2/12, middle wL2/24
    expect(heldFlangeFactor(span(L, -M, -M, (12 * M) / L ** 2).segment)).toBeCloseTo(3, 9);
    // -wL2/8, 0, middle wL2/16
    expect(heldFlangeFactor(span(L, -M, 0, (8 * M) / L ** 2).segment)).toBeCloseTo(13 / 3, 9);
    expect(heldFlangeFactor(span(L, -M, -M, 0).segment)).toBeCloseTo(1, 9);
    expect(heldFlangeFactor(span(L, 0, -M, 0).segment)).toBeCloseTo(5 / 3, 9);
    expect(heldFlangeFactor(span(L, M, -M, 0).segment)).toBeCloseTo(3 + 2 / 3, 9);
  });
  it('is asked only where the top flange is held and an end hogs most', () => {
    const { segment } = span(8000, -M, 0, 10);
    expect(heldFlangeFactor({ ...segment, tensionFlangeHeld: false })).toBeNull();
    expect(heldFlangeFactor({ ...segment, freeTip: true })).toBeNull();
    expect(heldFlangeFactor(span(8000, M, M, 0).segment)).toBeNull();
    expect(heldFlangeFactor({ ...segment, peak: -2 * M })).toBeNull();
  });
  it('is never more than 5 % above the numerical solution with that restraint', () => {
    const [E, G] = [210_000, 81_000];
    fc.assert(
      fc.property(
        fc.constantFrom('UB 457x191x67', 'UB 610x229x101', 'UB 305x165x40', 'IPE 400', 'UC 254x254x73', 'W18X50'),
        fc.integer({ min: 3000, max: 14_000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 14, noNaN: true }),
        (designation, L, other, load) => {
          const { segment, moment } = span(L, -M, -other * M, (load * M) / L ** 2);
          const { Iz, It, Iw, depth } = findSection(designation).properties;
          const factor = lateralBucklingFactor({
            length: L,
            EIz: E * Iz,
            GIt: G * It,
            EIw: E * Iw,
            moment,
            held: [0, L],
            heldAlong: depth / 2,
          });
          const uniform = ((Math.PI ** 2 * E * Iz) / L ** 2) * Math.sqrt(Iw / Iz + (L ** 2 * G * It) / (Math.PI ** 2 * E * Iz));
          expect(heldFlangeFactor(segment)! * uniform).toBeLessThanOrEqual(1.05 * factor * M);
        },
      ),
      { numRuns: 120 },
    );
  });
});
