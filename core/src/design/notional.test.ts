import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readForceSets } from '../exchange';
import { audit, checkKey, isCheck } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { findTool, runTool } from '../tool';

const COMMON = {
  european: { section: 'UC 203x203x60', grade: 'S355', philosophy: '6.10', lengthY: 4000, lengthZ: 4000, lengthT: 4000 },
  american: { section: 'W8X31', grade: 'A992', philosophy: 'LRFD', lengthY: 4000, lengthZ: 4000, lengthT: 4000 },
} as const;
type Family = keyof typeof COMMON;

const run = (family: Family, sets: readonly object[], given: 'sets' | 'cases' = 'cases') =>
  runTool(findTool(`${family}.steel.memberForces`), { ...COMMON[family], length: 4000, unbraced: 4000, given, sets });
const uses = (family: Family, sets: readonly object[]) =>
  new Map(run(family, sets).checks.map((check) => [checkKey(check), check.utilisation]));

const bends = (name: string, start: number, more: object = {}) => ({ name, major: { start, middle: start / 2, end: 0 }, ...more });
const dead = bends('dead', 5e6, { nature: 'permanent', axial: 200e3 });
const floors = bends('floors', 8e6, { nature: 'imposed', use: 'B', axial: 150e3 });
const wind = bends('wind', 20e6, { nature: 'wind', axial: -20e3 });

describe('notional loads of an analysis', () => {
  it('take the factors of the vertical load that causes them, and lean to the worse side', () => {
    const leaning = [dead, bends('dead leans', -3e6, { notionalOf: 'dead' }), floors, bends('floors lean', 2e6, { notionalOf: 'floors' })];
    const { checks, steps } = run('european', leaning);
    // 1.35 (5 + 3) + 1.5 (8 + 2)
    expect(checks.find(isCheck('bending'))!.demand! / 1e6).toBeCloseTo(1.35 * 8 + 1.5 * 10, 9);
    expect(JSON.stringify(steps)).toContain('factor of dead leans');
    expect(audit(steps, evaluate)).toEqual([]);
    const american = run('american', leaning).checks.find(isCheck('lateral-torsional-buckling'))!;
    // 1.2 (5 + 3) + 1.6 (8 + 2)
    expect(american.demand! / 1e6).toBeCloseTo(1.2 * 8 + 1.6 * 10, 9);
  });
  it('are as two alternatives of what causes them, in every combination', () => {
    const moment = fc.integer({ min: -20, max: 20 }).map((kNm) => kNm * 1e6);
    fc.assert(
      fc.property(moment, moment, moment, moment, moment, fc.constantFrom<Family>('european', 'american'), (g, n, q, m, w, family) => {
        const given = (sideOfDead: number, sideOfFloors: number) => [
          { ...dead, ...bends('dead', g + sideOfDead * n) },
          { ...floors, ...bends('floors', q + sideOfFloors * m) },
          { ...wind, ...bends('wind', w) },
        ];
        const leaning = [...given(0, 0), bends('dead leans', n, { notionalOf: 'dead' }), bends('floors lean', m, { notionalOf: 'floors' })];
        const ours = uses(family, leaning);
        const sides = [1, -1].flatMap((a) => [1, -1].map((b) => uses(family, given(a, b))));
        for (const [name, use] of ours) {
          if (use === null) continue;
          const worst = Math.max(...sides.map((one) => one.get(name) ?? 0));
          expect(use, name).toBeGreaterThan(worst * 0.98 - 1e-9);
          // a parabola through three moments is picked at its ends and middle: the peak between them may be of another pairing
          expect(use, name).toBeLessThan(worst * 1.02 + 1e-9);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('never help: with one more no use is less', () => {
    const bare = uses('european', [dead, floors, wind]);
    const leaning = uses('european', [dead, floors, wind, bends('lean', 4e6, { notionalOf: 'floors', shear: 2e3 })]);
    for (const [name, use] of bare) expect(leaning.get(name)!, name).toBeGreaterThanOrEqual(use! - 1e-9);
  });
  it('are refused where they name nothing, or say what follows from their cause', () => {
    const refused = (more: object, words: string) =>
      expect(() => run('european', [dead, bends('lean', 3e6, { notionalOf: 'dead', ...more })])).toThrow(words);
    refused({ notionalOf: 'roof' }, 'No set is called "roof"');
    refused({ nature: 'permanent' }, 'leave them out');
    refused({ bothWays: true }, 'to both sides as it is');
    refused({ action: 'dead' }, 'no action of its own');
    expect(() => run('european', [dead, dead, bends('lean', 3e6, { notionalOf: 'dead' })])).toThrow('2 sets are called "dead"');
    const combined = [bends('a', 1e6, { axial: 1e3 }), bends('lean', 1e6, { notionalOf: 'a' })];
    expect(() => run('european', combined, 'sets')).toThrow('given by load case');
  });
  it('are read from a spreadsheet with the case of their cause', () => {
    const { sets, faults } = readForceSets(
      ['name,case,axial,My start,My end,notional of', 'floors,imposed D,150,8,0,', 'lean,,,2,0,floors'].join('\n'),
      'SI',
    );
    expect(faults).toEqual([]);
    expect(sets[1]).toMatchObject({ notionalOf: 'floors', nature: 'imposed', use: 'D' });
  });
});
