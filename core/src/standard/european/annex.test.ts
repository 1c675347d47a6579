import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BARS, concrete, REINFORCEMENT, steelGrade } from '../../material';
import { findSection } from '../../section';
import { audit, checkKey, entriesOf, Sheet, type Check } from '../../sheet';
import { evaluate } from '../../sheet/evaluate.test.data';
import type { MomentShape, Segment, SteelMemberInput } from '../standard';
import type { SteelAnnex } from './annex';
import { RECOMMENDED } from './annexes/recommended';
import { UK } from './annexes/uk';
import { european, recommended } from '.';
import { padStrength } from './concrete/pad';
import { angleStrut } from './steel/angleStrut';
import { steelColumn } from './steel/column';
import { steelMember } from './steel/member';
import { webUnderForce } from './steel/webForce';

const [philosophy] = european.loads.philosophies as [(typeof european.loads.philosophies)[number]];
const BASIS = { basis: 'factored', combination: 't' } as const;
const ONE: SteelAnnex = { ...UK.steel, gammaM0: 1, gammaM1: 1, gammaM2: 1 };
const allBy = (g: number): SteelAnnex => ({ ...ONE, gammaM0: g, gammaM1: g, gammaM2: g });

const straight = (M: number, psi: number): MomentShape => ({ start: M, middle: (M * (1 + psi)) / 2, end: M * psi, peak: M });
const segmentOf = (M: number, psi: number, to: number): Segment => ({
  from: 0,
  to,
  peak: M,
  quarters: [M * (0.75 + 0.25 * psi), M * (0.5 + 0.5 * psi), M * (0.25 + 0.75 * psi)],
  ends: [M, M * psi],
  freeTip: false,
  tensionFlangeHeld: false,
});

interface Forces {
  readonly axial: number;
  readonly My: number;
  readonly Mz: number;
  readonly V: number;
  readonly across: number;
  readonly torsion: number;
}
const scaled = (forces: Forces, g: number) =>
  Object.fromEntries(Object.entries(forces).map(([name, value]) => [name, value * g])) as unknown as Forces;

function memberUnder(name: string, grade: string, length: number, psi: number, net: boolean, forces: Forces): SteelMemberInput {
  const section = findSection(name);
  return {
    section,
    grade: steelGrade(grade),
    actions: {
      ...BASIS,
      axial: forces.axial,
      major: straight(forces.My, psi),
      minor: straight(forces.Mz, psi),
      shear: forces.V,
      shearAcross: forces.across,
      torsion: forces.torsion,
      segments: forces.My === 0 ? [] : [segmentOf(forces.My, psi, length)],
    },
    lengthY: length,
    lengthZ: length,
    lengthT: length,
    netArea: net ? 0.8 * section.properties.A : null,
    untwisted: true,
  };
}

const used = (checks: readonly Check[]) =>
  new Map(
    checks
      .filter(({ utilisation }) => typeof utilisation === 'number' && utilisation > 0)
      .map((check) => [checkKey(check), check.utilisation!]),
  );

/** Shapes of class 1 in compression, so that the class does not follow from the force. */
const STOCKY = ['UC 254x254x107', 'HEB 240', 'SHS 150x150x8', 'RHS 200x120x6.3', 'CHS 168.3x6.3', 'UC 152x152x37'];
const OTHERS = ['PFC 200x90x30', 'L 120x120x12', 'own T 120x160x12x18', 'UB 457x191x67', 'own I 400x300x12x20 bottom 180x15'];
const gradeOf = (name: string) => (/^[SRC]HS/.test(name) ? 'S275H' : 'S275');
/** Nothing, or a force that can be felt. */
const force = (most: number) =>
  fc.oneof(
    fc.constant(0),
    fc.integer({ min: -100, max: 100 }).map((percent) => (percent / 100) * most),
  );
const forces = fc.record({
  axial: force(400e3),
  My: force(40e6),
  Mz: force(8e6),
  V: force(200e3),
  across: force(80e3),
  torsion: force(1e6),
});
const member = (names: readonly string[]) =>
  fc.tuple(
    fc.constantFrom(...names),
    fc.double({ min: 1500, max: 7000, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.boolean(),
  );

describe('partial factors of an annex', () => {
  it('all of them g: as if every force were g times as large, in every check of a member', () => {
    fc.assert(
      fc.property(member(STOCKY), forces, fc.double({ min: 1, max: 1.3, noNaN: true }), ([name, length, psi, net], given, g) => {
        const by = (annex: SteelAnnex, times: number) =>
          used(steelMember(annex, memberUnder(name, gradeOf(name), length, psi, net, scaled(given, times)), philosophy));
        const [divided, enlarged] = [by(allBy(g), 1), by(ONE, g)];
        expect([...divided.keys()], name).toEqual([...enlarged.keys()]);
        for (const [key, value] of divided) expect(value / enlarged.get(key)!, `${key} of ${name}`).toBeCloseTo(1, 6);
      }),
      { numRuns: 400 },
    );
  });
  it('where moments grow by the compression: as if the sum were g times as large', () => {
    let seen = 0;
    fc.assert(
      fc.property(member(OTHERS), forces, fc.double({ min: 1, max: 1.3, noNaN: true }), ([name, length, psi, net], given, g) => {
        const by = (annex: SteelAnnex) => used(steelMember(annex, memberUnder(name, 'S275', length, psi, net, given), philosophy));
        const [divided, plain] = [by(allBy(g)), by(ONE)];
        const key = 'bending-and-compression-of-the-member';
        if (!divided.has(key) || !plain.has(key)) return;
        seen += 1;
        expect(divided.get(key)! / plain.get(key)!, name).toBeCloseTo(g, 5);
      }),
      { numRuns: 400 },
    );
    expect(seen).toBeGreaterThan(40);
  });
  it('columns with nominal moments, webs under a force, angle struts: as if every force were g times as large', () => {
    const post = (axial: number) => (annex: SteelAnnex, times: number) =>
      steelColumn(
        annex,
        {
          ...BASIS,
          section: findSection('UC 203x203x60'),
          grade: steelGrade('S275'),
          axial: axial * times,
          lengthY: 4000,
          lengthZ: 4000,
          lengthT: 4000,
          moments: { major: 20e6 * times, minor: 5e6 * times },
        },
        philosophy,
      );
    const web = (annex: SteelAnnex, times: number) =>
      webUnderForce(
        annex,
        {
          ...BASIS,
          section: findSection('UB 457x191x67'),
          grade: steelGrade('S275'),
          force: 150e3 * times,
          bearing: 100,
          toEnd: 2000,
          moment: 90e6 * times,
        },
        philosophy,
      );
    const strut = (annex: SteelAnnex, times: number) =>
      angleStrut(
        annex,
        {
          ...BASIS,
          section: findSection('L 100x100x10'),
          grade: steelGrade('S275'),
          axial: 90e3 * times,
          length: 2400,
          leg: 'long',
          fastening: 'boltsOrWeld',
        },
        philosophy,
      );
    for (const check of [post(400e3), post(-400e3), web, strut]) {
      const [divided, enlarged] = [used(check(allBy(1.2), 1)), used(check(ONE, 1.2))];
      expect(divided.size).toBeGreaterThan(0);
      for (const [key, value] of divided) expect(value / enlarged.get(key)!, key).toBeCloseTo(1, 6);
    }
  });
  it('none of them helps where it is larger than another', () => {
    fc.assert(
      fc.property(
        member([...STOCKY, ...OTHERS]),
        forces,
        fc.constantFrom('gammaM0', 'gammaM1', 'gammaM2'),
        ([name, length, psi, net], given, factor) => {
          const input = memberUnder(name, gradeOf(name), length, psi, net, given);
          const [before, after] = [ONE, { ...ONE, [factor]: 1.2 }].map((annex) => used(steelMember(annex, input, philosophy)));
          for (const [key, value] of before!)
            if (after!.has(key)) expect(after!.get(key)!, `${key} of ${name}`).toBeGreaterThanOrEqual(value * (1 - 1e-9));
        },
      ),
      { numRuns: 400 },
    );
  });
  it('stand on a sheet that closes, whatever they are', () => {
    const odd = { ...RECOMMENDED.steel, gammaM0: 1.05, gammaM1: 1.1 };
    fc.assert(
      fc.property(member([...STOCKY, ...OTHERS]), forces, ([name, length, psi, net], given) => {
        const sheet = new Sheet();
        steelMember(odd, memberUnder(name, gradeOf(name), length, psi, net, given), philosophy, sheet);
        expect(audit(sheet.entries, evaluate)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

describe('two annexes in one run', () => {
  it('keep apart what they remember of a section and of a segment', () => {
    const input = memberUnder('UB 457x191x67', 'S355', 4000, 1, true, { axial: 0, My: 200e6, Mz: 0, V: 0, across: 0, torsion: 0 });
    const bent = (annex: SteelAnnex) => used(steelMember(annex, input, philosophy)).get('lateral-torsional-buckling')!;
    const dear = { ...ONE, gammaM1: 1.2 };
    expect(bent(dear) / bent(ONE)).toBeCloseTo(1.2, 9);
    const strut = memberUnder('UC 203x203x60', 'S275', 4000, 1, false, { axial: 400e3, My: 0, Mz: 0, V: 0, across: 0, torsion: 0 });
    const pressed = (annex: SteelAnnex) => used(steelMember(annex, strut, philosophy)).get('flexural-buckling/minor')!;
    expect(pressed(dear) / pressed(ONE)).toBeCloseTo(1.2, 9);
  });
});

// by hand, from the notes of the standards
describe('what the standards recommend', () => {
  it('the shear of a stocky web by 1.2; of one that would then need stiffeners by 1', () => {
    const shear = (name: string, annex = RECOMMENDED.steel) =>
      steelMember(
        annex,
        memberUnder(name, 'S275', 3000, 1, false, { axial: 0, My: 1e6, Mz: 0, V: 1000, across: 0, torsion: 0 }),
        philosophy,
      ).find(({ id }) => id === 'shear')!.capacity!;
    // 30 <= 72 epsilon / 1.2 = 55.5: 1.2 * 300 * 10 * 275 / sqrt(3)
    expect(shear('own I 332x200x10x16')).toBeCloseTo((1.2 * 300 * 10 * 275) / Math.sqrt(3), 3);
    // 60 between 55.5 and 66.6
    expect(shear('own I 632x200x10x16')).toBeCloseTo((600 * 10 * 275) / Math.sqrt(3), 3);
    expect(shear('own I 332x200x10x16', UK.steel)).toBeCloseTo((300 * 10 * 275) / Math.sqrt(3), 3);
  });
  it('k_c of table 6.6: 0.94 for an even load between simple supports; 1 for what the table does not have', () => {
    const sheetOf = (segment: Segment) => {
      const sheet = new Sheet();
      const input = memberUnder('UB 457x191x67', 'S275', 6000, 1, false, { axial: 0, My: 100e6, Mz: 0, V: 0, across: 0, torsion: 0 });
      steelMember(RECOMMENDED.steel, { ...input, actions: { ...input.actions, segments: [segment] } }, philosophy, sheet);
      return [...entriesOf(sheet.entries, 'step'), ...entriesOf(sheet.entries, 'lookup')].flatMap(({ symbol, value }) =>
        symbol === 'k_c' ? [value] : [],
      );
    };
    const M = 100e6;
    const parabola: Segment = { ...segmentOf(M, 1, 6000), quarters: [0.75 * M, M, 0.75 * M], ends: [0, 0] };
    expect(sheetOf(parabola)).toEqual([0.94]);
    expect(sheetOf({ ...parabola, quarters: [0.5 * M, M, 0.5 * M] })).toEqual([1]);
    expect(sheetOf(segmentOf(M, 0, 6000))).toEqual([expect.closeTo(1 / 1.33, 12)]);
    expect(sheetOf(segmentOf(M, -1, 6000))).toEqual([expect.closeTo(1 / 1.66, 12)]);
    expect(sheetOf({ ...segmentOf(M, -1, 6000), quarters: [-M / 2, 0, M / 2], ends: [-M, M] })).toEqual([expect.closeTo(1 / 1.66, 12)]);
  });
  it('concrete: alpha_cc 1 in bending, 0.4 nu f_cd at the column', () => {
    const pad = (annex = RECOMMENDED.concrete) =>
      padStrength(annex, {
        width: 2000,
        length: 2000,
        thickness: 300,
        columnWidth: 250,
        columnDepth: 250,
        concrete: concrete('C30/37'),
        bar: BARS.find(({ id }) => id === '16')!,
        fy: REINFORCEMENT.B500B.fyk,
        cover: 50,
        factored: { force: 1200e3, combination: 't' },
      });
    const atColumn = (annex?: typeof RECOMMENDED.concrete) =>
      pad(annex).checks.find(({ id }) => id === 'punching-at-the-column')!.capacity!;
    // 0.6 (1 - 30/250) = 0.528; f_cd 20 MPa
    expect(atColumn()).toBeCloseTo(0.4 * 0.528 * 20, 9);
    expect(atColumn(UK.concrete)).toBeCloseTo(0.5 * 0.528 * 20, 9);
    // along x: M = 0.3 * 2000 * 875^2 / 2 = 229.7 kNm on d = 242, b = 2000; K 0.098 and 0.115, so that z is below 0.95 d
    const needed = (share: number) => {
      const [M, d, fcd] = [(0.3 * 2000 * 875 ** 2) / 2, 300 - 50 - 8, (share * 30) / 1.5];
      return M / (((d * (1 + Math.sqrt(1 - (2 * M) / (2000 * d * d * fcd)))) / 2) * (500 / 1.15));
    };
    expect(pad().bars!.alongX.needed).toBeCloseTo(needed(1), 6);
    expect(pad(UK.concrete).bars!.alongX.needed).toBeCloseTo(needed(0.85), 6);
    expect(needed(0.85) / needed(1)).toBeGreaterThan(1.005);
  });
  it('reduction of imposed load: (6.1) of beams by area, (6.2) of columns by storeys, never for storage', () => {
    const floor = (use: 'B' | 'C' | 'E', level: string, area: number) => ({
      use,
      level,
      area: area * 1e6,
      force: area * 3000,
      intensity: 0.003,
    });
    const { imposedReduction } = recommended.loads;
    // 5/7 * 0.7 + 10/40 = 0.75; of C not below 0.6: 0.5 + 10/200 = 0.55
    expect(imposedReduction([floor('B', '1', 40)], 'beam')!.factors).toEqual({ B: expect.closeTo(0.75, 12) as number });
    expect(imposedReduction([floor('C', '1', 200)], 'beam')!.factors).toEqual({ C: 0.6 });
    expect(imposedReduction([floor('B', '1', 12)], 'beam')).toBeNull();
    // (2 + 3 * 0.7) / 5 = 0.82
    const five = [1, 2, 3, 4, 5].map((n) => floor('B', `${n}`, 30));
    expect(imposedReduction(five, 'column')!.factors).toEqual({ B: expect.closeTo(0.82, 12) as number });
    expect(imposedReduction(five.slice(0, 2), 'column')).toBeNull();
    expect(imposedReduction([floor('E', '1', 400)], 'beam')).toBeNull();
    // two categories, each by its own storeys
    expect(imposedReduction([...five, floor('C', '1', 30)], 'footing')!.factors).toEqual({ B: expect.closeTo(0.82, 12) as number });
  });
});
