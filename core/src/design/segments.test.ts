import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STANDARDS } from '../standard';
import { findTool, runTool } from '../tool';
import { actionsOf } from '.';

const set = (major: { start: number; middle?: number; end: number }) => ({
  axial: 0,
  major,
  minor: { start: 0, end: 0 },
  shear: 0,
  shearAcross: 0,
  torsion: 0,
});
const segments = (major: { start: number; middle?: number; end: number }, length: number, unbraced: number) =>
  actionsOf(set(major), { length, unbraced }, 'factored', 'typed').segments;

describe('a stretch between restraints has its own moments', () => {
  it('10 m restrained at 5 m under 261, 0, -261: by hand a triangle in each half', () => {
    const found = segments({ start: 261e6, end: -261e6 }, 10_000, 5000);
    expect(found.map(({ from, to, ends, peak }) => [from, to, ends![0] / 1e6, ends![1] / 1e6, peak / 1e6])).toEqual([
      [0, 5000, 261, 0, 261],
      [5000, 10_000, 0, -261, -261],
    ]);
    // 261 x 3/4, 1/2, 1/4
    expect(found[0]!.quarters.map((m) => m / 1e6)).toEqual([195.75, 130.5, 65.25]);
  });
  it("a parabola's own peak between typed points counts: by hand", () => {
    // M = 80 (1-x)(1-2x) + 480 x(1-x) + 30 x(2x-1): peak where dM/dx = 0
    const { major } = actionsOf(set({ start: 80, middle: 120, end: 30 }), { length: 1, unbraced: 0 }, 'factored', 'typed');
    // M'' = 4 (80 - 240 + 30) = -520, M'(0) = -240 + 480 - 30 = 210; x = 210/520, M = 80 + 210^2 / 1040
    expect(major.peak).toBeCloseTo(80 + 210 ** 2 / 1040, 9);
  });
  it('where the length is no multiple of the spacing, both ends are laid out from; mirrored it is the same', () => {
    const M = { start: 100, middle: -40, end: 60 };
    const found = segments(M, 10, 4);
    expect(found.map(({ from, to }) => [from, to])).toEqual([
      [0, 4],
      [4, 8],
      [8, 10],
      [6, 10],
      [2, 6],
      [0, 2],
    ]);
    const mirrored = segments({ start: M.end, middle: M.middle, end: M.start }, 10, 4);
    const sorted = (list: typeof found, turn: boolean) =>
      list.map(({ from, to, peak }) => (turn ? [10 - to, 10 - from, peak] : [from, to, peak]).map((v) => +v.toFixed(9))).sort();
    expect(sorted(mirrored, true)).toEqual(sorted(found, false));
  });
  it('held along its length there is none; restraints closer than a hundredth are to be said so', () => {
    expect(segments({ start: 1, end: 1 }, 10_000, 0)).toEqual([]);
    expect(() => segments({ start: 1, end: 1 }, 10_000, 50)).toThrow('type 0');
  });

  const common = { axial: 0, lengthY: 9000, lengthZ: 3000 };
  const buckling = (family: string, input: object) => {
    const american = family === 'american';
    const shape = american ? { section: 'W18X50', grade: 'A992' } : { section: 'UB 457x191x67', grade: 'S275' };
    const { checks } = runTool(findTool(`${family}.steel.member`), {
      ...common,
      ...(family === 'british' ? {} : { lengthT: 3000 }),
      ...shape,
      philosophy: STANDARDS[family as 'european'].loads.philosophies[0]!.id,
      ...input,
    });
    return checks.find(({ name }) => name.startsWith('Lateral-torsional'))?.utilisation ?? 0;
  };
  const moment = fc.integer({ min: -300, max: 300 }).map((v) => v * 1e6);
  it.each(Object.keys(STANDARDS))('%s: a stretch alone gives no more than the member it is a stretch of', (family) => {
    fc.assert(
      fc.property(moment, moment, fc.constantFrom(2, 3, 4), (start, end, count) => {
        fc.pre(Math.max(Math.abs(start), Math.abs(end)) > 1e6);
        const L = 9000 / count;
        const whole = buckling(family, { major: { start, end }, length: 9000, unbraced: L });
        const alone = Array.from({ length: count }, (_, n) => {
          const at = (x: number) => start + ((end - start) * x) / count;
          return buckling(family, { major: { start: at(n), end: at(n + 1) }, length: L, unbraced: L });
        });
        expect(whole).toBeCloseTo(Math.max(...alone), 9);
      }),
      { numRuns: 60 },
    );
  });
  it.each(Object.keys(STANDARDS))('%s: a middle moment left out lies half way between the ends, never at nothing', (family) => {
    fc.assert(
      fc.property(moment, moment, (start, end) => {
        const of = (major: { start: number; middle?: number; end: number }) => buckling(family, { major, length: 9000, unbraced: 9000 });
        expect(of({ start, end })).toBeCloseTo(of({ start, middle: (start + end) / 2, end }), 9);
      }),
      { numRuns: 60 },
    );
    expect(actionsOf(set({ start: 40, end: 20 }), { length: 1, unbraced: 1 }, 'factored', 'typed').major.middle).toBe(30);
  });
  it.each(Object.keys(STANDARDS))('%s: mirror images, and turned signs, give the same', (family) => {
    fc.assert(
      fc.property(moment, moment, moment, fc.integer({ min: 900, max: 9500 }), (start, middle, end, unbraced) => {
        const one = buckling(family, { major: { start, middle, end }, length: 9000, unbraced });
        expect(buckling(family, { major: { start: end, middle, end: start }, length: 9000, unbraced })).toBeCloseTo(one, 9);
        expect(buckling(family, { major: { start: -start, middle: -middle, end: -end }, length: 9000, unbraced })).toBeCloseTo(one, 9);
      }),
      { numRuns: 60 },
    );
  });
});
