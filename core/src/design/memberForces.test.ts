import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readForceSets } from '../exchange';
import { findTool, runTool } from '../tool';
import { STANDARDS } from '../standard';

const none = { start: 0, middle: 0, end: 0 };
const lengths = { lengthY: 4000, lengthZ: 4000, lengthT: 4000, unbraced: 4000 };
const common = { section: 'UC 203x203x60', grade: 'S355', length: 4000, ...lengths };
const FIRST: Readonly<Record<string, string>> = { european: '6.10', american: 'LRFD', british: 'BS5950' };
type Set = Record<string, unknown>;
const forced = (given: string, sets: readonly Set[], more: object = {}, family = 'european') =>
  runTool(findTool(`${family}.steel.memberForces`), { ...common, philosophy: FIRST[family], given, sets, ...more });
const single = ({ name: _, ...set }: Set, more: object = {}, family = 'european') =>
  runTool(findTool(`${family}.steel.member`), { ...common, philosophy: FIRST[family], ...set, ...more });
const uses = (checks: readonly { name: string; utilisation: number | null }[]) =>
  Object.fromEntries(checks.map(({ name, utilisation }) => [name, utilisation]));

const bent: Set = { name: 'bent', axial: 200e3, major: { start: 60e6, middle: 30e6, end: 0 }, minor: none, shear: 15e3 };
const pressed: Set = {
  name: 'pressed',
  axial: 900e3,
  major: { start: 10e6, middle: 0, end: -10e6 },
  minor: { start: 4e6, middle: 2e6, end: 0 },
};

describe('sets that act at once', () => {
  it('one set gives what the member gives', () => {
    expect(uses(forced('sets', [bent]).checks)).toEqual(uses(single(bent).checks));
  });
  it('of several the worst of each check, under the name of its set', () => {
    const { checks } = forced('sets', [bent, pressed]);
    const [a, b] = [uses(single(bent).checks), uses(single(pressed).checks)];
    for (const { name, utilisation, combination } of checks) {
      expect(utilisation).toBe(Math.max(a[name] ?? 0, b[name] ?? 0));
      expect(combination).toBe((a[name] ?? 0) >= (b[name] ?? 0) ? 'bent' : 'pressed');
    }
  });
});

describe('an envelope', () => {
  it('is never below the sets that it envelops, and says that its peaks are taken together', () => {
    const moment = fc.integer({ min: -60, max: 60 }).map((value) => value * 1e6);
    const set = fc.record({
      axial: fc.integer({ min: -300, max: 900 }).map((value) => value * 1e3),
      major: fc.record({ start: moment, middle: moment, end: moment }),
      minor: fc
        .record({ start: moment, middle: moment, end: moment })
        .map(({ start, middle, end }) => ({ start: start / 8, middle: middle / 8, end: end / 8 })),
      shear: fc.integer({ min: -40, max: 40 }).map((value) => value * 1e3),
    });
    fc.assert(
      fc.property(fc.array(set, { minLength: 1, maxLength: 3 }), (sets) => {
        const together = uses(forced('envelope', sets).checks);
        for (const [name, use] of Object.entries(uses(forced('sets', sets).checks)))
          if (use) expect(together[name]! / use, name).toBeGreaterThan(1 - 1e-9);
      }),
      {
        numRuns: 120,
        // the section is worst at an axial force between the ends of the range: its exponent for the minor axis grows with it
        examples: [
          [
            [
              { axial: 544e3, major: none, minor: none, shear: 0 },
              { axial: 0, major: none, minor: none, shear: 0 },
              { axial: 514e3, major: { ...none, start: -16e6 }, minor: { ...none, end: -3.125e6 }, shear: 0 },
            ],
          ],
        ],
      },
    );
    const { assumptions } = forced('envelope', [bent, pressed]);
    expect(assumptions.map(({ text }) => text).join()).toContain('they need not occur together');
  });
});

describe('sets by load case', () => {
  const dead = { name: 'dead', nature: 'permanent', axial: 200e3, major: { start: 10e6, middle: 5e6, end: 0 } };
  const floors = { name: 'floors', nature: 'imposed', use: 'B', axial: 150e3, major: { start: 12e6, middle: 6e6, end: 0 } };
  it('are combined by the rules: 1.35 and 1.5 by hand', () => {
    const { checks } = forced('cases', [dead, floors], { philosophy: '6.10' });
    const byHand = single({
      axial: 1.35 * 200e3 + 1.5 * 150e3,
      major: { start: 1.35 * 10e6 + 1.5 * 12e6, middle: 1.35 * 5e6 + 1.5 * 6e6, end: 0 },
    });
    const expected = uses(byHand.checks);
    for (const { name, utilisation } of checks) expect(utilisation!).toBeCloseTo(expected[name]!, 9);
  });
  it('by the American philosophies side by side, each with its own combinations', () => {
    const more = { section: 'W8X31', grade: 'A992' };
    const [lrfd, asd] = ['LRFD', 'ASD'].map((philosophy) => forced('cases', [dead, floors], { ...more, philosophy }, 'american').checks);
    const wanted = { axial: 1.2 * 200e3 + 1.6 * 150e3, major: { start: 1.2 * 10e6 + 1.6 * 12e6, middle: 1.2 * 5e6 + 1.6 * 6e6, end: 0 } };
    const byHand = uses(single(wanted, { ...more, philosophy: 'LRFD' }, 'american').checks);
    for (const { name, utilisation } of lrfd!) expect(utilisation!).toBeCloseTo(byHand[name]!, 6);
    const both = uses(asd!);
    for (const { name, utilisation } of lrfd!) expect(both[name]!).toBeLessThanOrEqual(1.25 * utilisation!);
  });
  it('wind that lifts finds the combination without imposed load', () => {
    const wind = { name: 'wind', nature: 'wind', axial: -500e3 };
    const { checks } = forced('cases', [dead, floors, wind]);
    expect(checks.some(({ id, demand }) => id.startsWith('tension') && demand! > 0)).toBe(true);
  });
  it('every family has the tool; no set, or a bad one, is refused at its field', () => {
    for (const family of Object.keys(STANDARDS)) expect(findTool(`${family}.steel.memberForces`).id).toContain(family);
    expect(() => forced('cases', [])).toThrow('give at least one set');
    expect(() => forced('cases', [{ ...dead, nature: 'hail' }])).toThrow('Sets 1, nature must be one of');
  });
  it('nature and use are wanted where they are read, and refused where they are not', () => {
    const { nature: _, ...unnamed } = dead;
    expect(() => forced('cases', [unnamed])).toThrow('Nature is missing');
    expect(() => forced('sets', [dead])).toThrow('read of forces by load case only');
    expect(() => forced('cases', [dead, { ...floors, use: undefined }])).toThrow('Use is missing');
    expect(() => forced('cases', [{ ...dead, use: 'B' }, floors])).toThrow('Use is read of imposed loads only');
    const line = { family: 'european', section: 'UB 406x178x54', grade: 'S355', length: '6 m', supports: [0, '6 m'] };
    const load = { type: 'line', at: 0, to: '6 m', intensity: '9 kN/m' };
    const run = (more: object, of: object) => runTool(findTool('steel.beam.line'), { ...line, loads: [{ ...load, ...of }], ...more });
    expect(() => run({}, { nature: 'snow', use: 'B' })).toThrow('Use is read of imposed loads only');
    expect(() => run({}, { nature: 'imposed' })).toThrow('Use is missing');
    expect(() => run({ restraint: 'floor', loadHeight: 'top' }, { nature: 'permanent' })).toThrow('height of the load is not read');
    const channel = { family: 'british', section: 'PFC 200x90x30', grade: 'S275', untwisted: true };
    expect(() => run(channel, { nature: 'permanent' })).toThrow('"channel held against twisting" is not used by BS 5950-1');
  });
});

describe('end forces from rows of a spreadsheet', () => {
  it('reads what is there; a middle moment left out lies half way', () => {
    const { sets, faults } = readForceSets(
      'name\tcase\taxial [kN]\tMy start\tMy end\tMy middle\tshear\nD\tpermanent\t180\t9\t-1\t\t3\nL\timposed C\t120 kN\t12 kNm\t0\t8\t\nW\twind\t-30\t15\t-15\t0\t8',
      'SI',
    );
    expect(faults).toEqual([]);
    expect(sets).toHaveLength(3);
    expect(sets[0]).toMatchObject({
      name: 'D',
      nature: 'permanent',
      axial: 180e3,
      major: { start: 9e6, end: -1e6 },
      shear: 3e3,
    });
    expect(sets[1]).toMatchObject({ nature: 'imposed', use: 'C', axial: 120e3, major: { start: 12e6, middle: 8e6, end: 0 }, minor: none });
    expect(sets[2]!.axial).toBe(-30e3);
  });
  it('an end moment left out is a fault, never nothing; an axis of which no moment is written has none', () => {
    const { sets, faults } = readForceSets(
      'name\tMy start\tMy middle\tMy end\tMz start\nA\t9\t\t\t\nB\t\t4\t2\t\nC\t1\t\t2\t\nD\t\t\t\t5',
      'SI',
    );
    expect(faults.map(({ row, message }) => `${row} ${message}`)).toEqual([
      '2 My end is missing: write 0 where there is no moment',
      '3 My start is missing: write 0 where there is no moment',
      '5 Mz end is missing: write 0 where there is no moment',
    ]);
    expect(sets[0]).toMatchObject({ name: 'C', major: { start: 1e6, end: 2e6 }, minor: none });
  });
  it('says which row it cannot read', () => {
    const { sets, faults } = readForceSets(
      'name,axial,case,both ways\nA,much,wind\nB,1,hail\nC,1,imposed Z\nD,1,wind,yes\nE,1,\nF,1,wind,perhaps',
      'SI',
    );
    expect(sets.map(({ name, bothWays }) => [name, bothWays])).toEqual([['D', true]]);
    expect(faults.map(({ row, message }) => `${row} ${message.slice(0, 12)}`)).toEqual([
      '2 axial: "much',
      '3 case "hail" ',
      '4 use "Z" is n',
      '6 case is miss',
      '7 both ways: "',
    ]);
    expect(readForceSets('a,b\n1,2', 'SI').faults[0]!.message).toContain('none of the forces is there');
  });
});
