import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findSection } from '../../section';
import { checksOf } from '../measured.test.data';
import { checkKey, isCheck } from '../../sheet';

const even = (M: number) => ({ start: M, middle: M, end: M });
const L = 2000;
const base = { grade: 'A992', lengthY: L, lengthZ: L, lengthT: L, unbraced: L };
const used = (input: object, name: string) => {
  const checks = checksOf('american', { ...base, ...input });
  return Math.max(...checks.filter((check) => checkKey(check).startsWith(name)).map(({ utilisation }) => utilisation ?? Infinity));
};
const moment = fc.integer({ min: 2, max: 20 }).map((v) => v * 1e6);

describe('moments that turn round within an unbraced length', () => {
  const tees = ['WT9X25', 'own T 200x150x8x12', 'own T 150x250x6x8'];
  it('of a tee: flange and stem each with its own moment, F9.2', () => {
    fc.assert(
      fc.property(fc.constantFrom(...tees), moment, moment, (section, sagging, hogging) => {
        const both = used({ section, major: { start: sagging, end: -hogging } }, 'lateral-torsional');
        const apart = [sagging, -hogging].map((M) => used({ section, major: even(M) }, 'lateral-torsional'));
        expect(both).toBeCloseTo(Math.max(...apart), 9);
      }),
      { numRuns: 60 },
    );
  });
  it('of a tee beside axial force, H1: the side that is used more', () => {
    fc.assert(
      fc.property(fc.constantFrom(...tees), moment, moment, (section, sagging, hogging) => {
        // in tension no moment is amplified
        const axial = -50e3;
        const both = used({ section, axial, major: { start: sagging, end: -hogging } }, 'bending-and-axial-force');
        const apart = [sagging, -hogging].map((M) => used({ section, axial, major: even(M) }, 'bending-and-axial-force'));
        expect(both).toBeCloseTo(Math.max(...apart), 9);
      }),
      { numRuns: 60 },
    );
  });
  it('a little hogging at the end of a sagging tee does not make the stem bear the sagging moment', () => {
    const section = 'WT9X25';
    const sagging = used({ section, axial: -50e3, major: { start: 20e6, end: 0 } }, 'bending-and-axial-force');
    const little = used({ section, axial: -50e3, major: { start: 20e6, end: -1e5 } }, 'bending-and-axial-force');
    expect(Math.abs(little / sagging - 1)).toBeLessThan(0.02);
  });
  it('of a welded I of unequal flanges: each flange with the moment that compresses it', () => {
    const section = 'own I 500x300x10x16 bottom 150x16';
    fc.assert(
      fc.property(moment, moment, (top, bottom) => {
        const scale = 10;
        const both = { start: top * scale, end: -bottom * scale };
        for (const name of ['bending-yielding', 'lateral-torsional']) {
          const apart = [both.start, both.end].map((M) => used({ section, major: even(M) }, name));
          expect(used({ section, major: both }, name)).toBeCloseTo(Math.max(...apart), 9);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('an angle by the leg that is in compression, F10.3', () => {
  it('held along its length: the vertical leg under sagging, the horizontal one under hogging, by hand', () => {
    // legs 100 and 180 of 8 in A992: 12.5 and 22.5 against 0.54 and 0.91 of 24.08 (13.0 and 21.9): compact, and slender
    const section = 'own L 100x180x8';
    const capacity = (M: number) =>
      checksOf('american', { ...base, section, unbraced: 0, major: even(M) }).find(isCheck('bending-yielding'))!.capacity!;
    const { Wely, WelBottom } = findSection(section).properties;
    const [E, Fy] = [29_000 * 6.894757293168361, 50 * 6.894757293168361];
    expect(capacity(1e6)).toBeCloseTo(0.9 * 1.5 * Fy * Wely, 0);
    expect(capacity(-1e6)).toBeCloseTo(0.9 * Math.min(1.5 * Fy * Wely, ((0.71 * E) / 22.5 ** 2) * WelBottom), 0);
  });
  it('held along its length, moments of both signs: the smaller one compresses the weaker leg, and is checked as if it came alone', () => {
    const angle = { section: 'own L 100x180x6', unbraced: 0 };
    const of = (major: object) => checksOf('american', { ...base, ...angle, major }).filter(({ id }) => id.startsWith('bending-yielding'));
    const [alone] = of(even(9e6));
    const both = of({ start: -10e6, end: 9e6 });
    expect(both).toHaveLength(2);
    expect(both[1]!.utilisation).toBeCloseTo(alone!.utilisation!, 9);
    // it decides, although it is the smaller
    expect(both[1]!.utilisation!).toBeGreaterThan(both[0]!.utilisation!);
  });
});
