import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { caseOf } from '../../load';
import { BARS, concrete, steelGrade } from '../../material';
import { catalogue, findSection } from '../../section';
import { philosophyOf, type BeamActions, type Segment } from '..';
import { american } from '.';
import { criticalStress } from './steel/compression';
import { lateralTorsionalI, momentGradientFactor, plasticMoment } from './steel/flexure';
import { isCheck } from '../../sheet';

const KIP = 4448.2216152605;
const IN = 25.4;
const FT = 304.8;
const KSI = 6.894757293168361;
const PSI = KSI / 1000;
const [LRFD, ASD] = american.loads.philosophies as [(typeof american.loads.philosophies)[0], (typeof american.loads.philosophies)[0]];
const off = (got: number, expected: number) => Math.abs(got / expected - 1);
const a992 = steelGrade('A992');
const segment = (Lb: number, quarters: [number, number, number] = [1, 1, 1]): Segment => ({
  from: 0,
  to: Lb,
  peak: 1,
  quarters,
  freeTip: false,
  tensionFlangeHeld: false,
});
const beam = (name: string, philosophy: typeof LRFD, Lb = 0, grade = a992) => {
  const actions: BeamActions = { basis: philosophy.basis, combination: 't', moment: 1, shear: 1, segments: Lb ? [segment(Lb)] : [] };
  return american.steel.beam({ section: findSection(name), grade, actions }, philosophy);
};
const capacity = (checks: { id: string; part?: string | undefined; capacity: number | null }[], name: string) =>
  checks.find(isCheck(name))!.capacity!;

describe('examples and tables published with AISC 360-16', () => {
  it('W18x50, braced along its length: 379 and 252 kip-ft', () => {
    expect(off(capacity(beam('W18X50', LRFD), 'bending-yielding') / (KIP * FT), 379)).toBeLessThan(0.004);
    expect(off(capacity(beam('W18X50', ASD), 'bending-yielding') / (KIP * FT), 252)).toBeLessThan(0.004);
  });
  it('W18x50, braced at third points, Cb 1.01: Mn 339 kip-ft; at the middle, Cb 1.30: Mn 320 kip-ft', () => {
    const section = findSection('W18X50');
    const Mp = plasticMoment(section, 50 * KSI);
    const Mn = (Lb: number, Cb: number) => lateralTorsionalI(section, Lb * FT, Cb, Mp, 29_000 * KSI, 50 * KSI) / (KIP * FT);
    expect(off(Mn(35 / 3, 1.01), 339)).toBeLessThan(0.01);
    expect(off(Mn(17.5, 1.3), 320)).toBeLessThan(0.015);
  });
  it('W24x62 in shear: 306 and 204 kips', () => {
    expect(off(capacity(beam('W24X62', LRFD), 'shear') / KIP, 306)).toBeLessThan(0.005);
    expect(off(capacity(beam('W24X62', ASD), 'shear') / KIP, 204)).toBeLessThan(0.005);
  });
  it('W14x132 strut, 30 ft: 893 and 594 kips, by stress and area', () => {
    const Fe = (Math.PI ** 2 * 29_000 * KSI) / ((30 * 12) / 3.76) ** 2;
    const Pn = (criticalStress(Fe, 50 * KSI) / KSI) * 38.8;
    expect(off(0.9 * Pn, 893)).toBeLessThan(0.002);
    expect(off(Pn / 1.67, 594)).toBeLessThan(0.002);
  });
  it('W8x31, whose flange is just noncompact: 113.9 kip-ft', () => {
    expect(off(capacity(beam('W8X31', LRFD), 'flange-local-buckling') / (KIP * FT), 0.9 * (1518.4 / 12))).toBeLessThan(0.005);
  });
});

/** Computed apart from the code, from the clauses and published section properties, in kips and inches. */
describe('values computed apart', () => {
  it.each([
    ['W18X50', 4, 420.8],
    ['W18X50', 11.667, 339.5 / 1.01],
    ['W18X50', 17.5, 320.3 / 1.3],
    ['W18X50', 30, 128.2 / 1.14],
    ['W21X62', 8, 566.1],
    ['W21X62', 20, 315.0],
  ])('Mn of %s with Lb %d ft and Cb 1', (name, Lb, expected) => {
    const section = findSection(name);
    expect(
      off(lateralTorsionalI(section, Lb * FT, 1, plasticMoment(section, 50 * KSI), 29_000 * KSI, 50 * KSI) / (KIP * FT), expected),
    ).toBeLessThan(0.015);
  });
  it.each([
    ['W8X31', 'A992', 14, 'flexural-buckling/minor', 247.8],
    ['W8X31', 'A992', 25, 'flexural-buckling/minor', 93.5],
    ['W8X24', 'A992', 10, 'flexural-buckling/minor', 212.2],
    ['HSS6X6X3/8', 'A500C', 12, 'flexural-buckling/minor', 254.8],
  ])('phi Pn of %s %s, %d ft', (name, grade, L, check, expected) => {
    const checks = american.steel.column(
      {
        section: findSection(name),
        grade: steelGrade(grade),
        axial: 1,
        basis: 'factored',
        combination: 't',
        lengthY: L * FT,
        lengthZ: L * FT,
        lengthT: L * FT,
      },
      LRFD,
    );
    expect(off(capacity(checks, check) / KIP, expected)).toBeLessThan(0.015);
  });
  it('Cb: 1.0 constant, 1.14 uniform load, 1.32 point load at the middle, 2.27 double curvature (commentary to F1)', () => {
    expect(momentGradientFactor(segment(1))).toBeCloseTo(1, 12);
    expect(momentGradientFactor(segment(1, [0.75, 1, 0.75]))).toBeCloseTo(1.136, 3);
    expect(momentGradientFactor(segment(1, [0.5, 1, 0.5]))).toBeCloseTo(1.316, 3);
    expect(momentGradientFactor(segment(1, [0.5, 0, -0.5]))).toBeCloseTo(2.273, 3);
    expect(momentGradientFactor({ ...segment(1, [0.2, 0.1, 0]), freeTip: true })).toBe(1);
  });
});

describe('laws', () => {
  const shapes = catalogue().filter((s) => s.region === 'american' && s.shape.outline === 'I');
  it('both philosophies agree in nominal strength', () => {
    fc.assert(
      fc.property(fc.constantFrom(...shapes), fc.double({ min: 500, max: 12_000, noNaN: true }), (section, Lb) => {
        const [byLrfd, byAsd] = [beam(section.designation, LRFD, Lb), beam(section.designation, ASD, Lb)];
        byLrfd.forEach((check, i) => {
          if (check.verdict === 'unproven') return;
          const stocky = check.id === 'shear' && off(check.capacity! / byAsd[i]!.capacity!, 1.5) < 1e-9;
          expect(stocky || off(check.capacity! / 0.9, byAsd[i]!.capacity! * 1.67) < 1e-9, check.name).toBe(true);
        });
      }),
    );
  });
  it('moment strength is continuous at Lp and Lr (to the rounding of the constants there) and falls with length', () => {
    for (const section of shapes) {
      const Mp = plasticMoment(section, 50 * KSI);
      const Mn = (Lb: number) => lateralTorsionalI(section, Lb, 1, Mp, 29_000 * KSI, 50 * KSI);
      let before = Mn(100);
      for (let Lb = 200; Lb < 14_000; Lb += 50) {
        const now = Mn(Lb);
        expect(now).toBeLessThanOrEqual(before * (1 + 1e-9));
        expect(before - now).toBeLessThan(0.06 * Mp);
        before = now;
      }
    }
  });
  it('column stress is continuous where inelastic meets elastic buckling', () => {
    const Fy = 50 * KSI;
    expect(off(criticalStress(Fy / 2.25 + 1e-9, Fy), criticalStress(Fy / 2.25 - 1e-9, Fy))).toBeLessThan(1e-3);
  });
  it('refuses the effects of the other philosophy', () => {
    const actions: BeamActions = { basis: 'factored', combination: 't', moment: 1, shear: 1, segments: [] };
    expect(() => american.steel.beam({ section: findSection('W18X50'), grade: a992, actions }, ASD)).toThrow(
      'factored effects were given to a resistance that wants allowable',
    );
  });
  it('gives no number for an overhang with a free tip', () => {
    const actions: BeamActions = {
      basis: 'factored',
      combination: 't',
      moment: 1,
      shear: 1,
      segments: [{ ...segment(3000), freeTip: true }],
    };
    expect(
      american.steel.beam({ section: findSection('W18X50'), grade: a992, actions }, LRFD).find(isCheck('lateral-torsional-buckling'))!
        .verdict,
    ).toBe('unproven');
  });
});

describe('combinations, ASCE 7-16', () => {
  const cases = [caseOf('permanent'), caseOf('imposed', 'B'), caseOf('roofImposed'), caseOf('snow'), caseOf('wind')];
  it('LRFD 2.3.1, each of roof live and snow tried', () => {
    const all = philosophyOf(american, 'LRFD').rules.strength(cases);
    const by = (id: string) => all.find((c) => c.id === id)!.factors;
    expect(all.find((c) => c.id === 'LRFD 1')!.factors).toEqual({ permanent: 1.4 });
    expect(by('LRFD 2 S')).toEqual({ permanent: 1.2, 'imposed-B': 1.6, snow: 0.5 });
    expect(by('LRFD 3a Lr')).toEqual({ permanent: 1.2, 'imposed-B': 1, roofImposed: 1.6 });
    expect(by('LRFD 4 S')).toEqual({ permanent: 1.2, 'imposed-B': 1, snow: 0.5, wind: 1 });
    expect(by('LRFD 5')).toEqual({ permanent: 0.9, wind: 1 });
    for (const c of all) expect(Boolean(c.factors['roofImposed'] && c.factors['snow'])).toBe(false);
  });
  it('ASD 2.4.1', () => {
    const all = philosophyOf(american, 'ASD').rules.strength(cases);
    const by = (id: string) => all.find((c) => c.id === id)!.factors;
    expect(by('ASD 4 S')).toEqual({ permanent: 1, 'imposed-B': 0.75, snow: 0.75 });
    expect(by('ASD 6 Lr')).toEqual({ permanent: 1, 'imposed-B': 0.75, roofImposed: 0.75, wind: 0.45 });
    expect(by('ASD 7')).toEqual({ permanent: 0.6, wind: 0.6 });
    expect(new Set(all.map((c) => c.basis))).toEqual(new Set(['allowable']));
  });
  it('against live load dead load is lowered by an office rule only, which says so', () => {
    const rows = (philosophy: string) =>
      philosophyOf(american, philosophy)
        .rules.strength([caseOf('permanent'), caseOf('imposed', 'A'), caseOf('imposed', 'B'), caseOf('snow')])
        .filter(({ permanent }) => permanent === 'favourable')
        .map(({ clause, factors }) => `${clause.split(':')[0]} ${Object.entries(factors).join(' ')}`);
    expect(rows('LRFD')).toEqual([
      'office rule permanent,0.9 imposed-A,1.6 imposed-B,1.6 snow,0.5',
      'office rule permanent,0.9 imposed-A,1 imposed-B,1 snow,1.6',
    ]);
    expect(rows('ASD')).toEqual([
      'office rule permanent,0.6 imposed-A,1 imposed-B,1',
      'office rule permanent,0.6 snow,1',
      'office rule permanent,0.6 imposed-A,0.75 imposed-B,0.75 snow,0.75',
    ]);
    for (const { clause } of philosophyOf(american, 'LRFD').rules.service(cases)) expect(clause).not.toContain('office');
  });
  it('service takes wind along: a pad under wind is sized for it', () => {
    const all = philosophyOf(american, 'LRFD').rules.service(cases);
    expect(all.some((c) => c.factors['wind'] === 0.6)).toBe(true);
    expect(new Set(all.map((c) => c.basis))).toEqual(new Set(['service']));
  });
  it('lifting: 0.9 D where it helps (LRFD), 0.6 D (ASD)', () => {
    expect(
      new Set(
        philosophyOf(american, 'LRFD')
          .rules.lifting(cases)
          .map((c) => c.favourablePermanent),
      ),
    ).toEqual(new Set([0.9]));
    expect(
      new Set(
        philosophyOf(american, 'ASD')
          .rules.lifting(cases)
          .map((c) => c.favourablePermanent),
      ),
    ).toEqual(new Set([0.6]));
  });
});

describe('pad footing, ACI 318-19', () => {
  // 8 ft square, 20 in thick, 12 in column, 4000 psi, No. 8 bars, Pu 400 kip
  const input = {
    width: 96 * IN,
    length: 96 * IN,
    thickness: 20 * IN,
    columnWidth: 12 * IN,
    columnDepth: 12 * IN,
    concrete: concrete('4000 psi'),
    bar: BARS.find((b) => b.id === '#8')!,
    fy: 60_000 * PSI,
    cover: 3 * IN,
    factored: { force: 400 * KIP, combination: 't' },
  };
  const { checks } = american.concrete.pad(input);
  const find = (name: string) => checks.find(isCheck(name))!;
  it('flexure at the face, by hand: qu 6.25 ksf over 3.5 ft: 306 kip-ft', () => {
    expect(off(find('flexure/x').demand! / (KIP * FT), (6.25 * 8 * 3.5 ** 2) / 2)).toBeLessThan(1e-9);
  });
  it('two-way shear by hand: d 16 in (mean), b0 112 in, 4 root fc: 0.75 x 4 x 63.25 x 112 x 16 = 340 kip', () => {
    // mean d = 20 - 3 - 1 = 16 in; Vu = 400 - 6.25 * (28/12)^2 = 366 kip
    expect(off(find('two-way-shear').demand! / KIP, 400 - 6.25 * (28 / 12) ** 2)).toBeLessThan(1e-9);
    expect(off(find('two-way-shear').capacity! / KIP, (0.75 * 4 * Math.sqrt(4000) * 112 * 16) / 1000)).toBeLessThan(1e-9);
  });
  it('one-way shear by hand: d 16.5 in, 25.5 in beyond d: 106.25 kip, by 8 rho^(1/3) root fc', () => {
    expect(off(find('one-way-shear/x').demand! / KIP, (6.25 * 8 * 25.5) / 12)).toBeLessThan(1e-9);
    const { alongX } = american.concrete.pad(input).bars!;
    const rho = alongX.provided / IN ** 2 / (96 * 16.5);
    expect(
      off(find('one-way-shear/x').capacity! / KIP, (0.75 * Math.min(5, 8 * rho ** (1 / 3)) * Math.sqrt(4000) * 96 * 16.5) / 1000),
    ).toBeLessThan(1e-9);
  });
  it('least bars 0.0018 Ag: 3.46 in2; full development of No. 8 would be 47.4 in', () => {
    const { alongX } = american.concrete.pad({ ...input, factored: { force: 100 * KIP, combination: 't' } }).bars!;
    expect(off(alongX.needed / IN ** 2, 0.0018 * 96 * 20)).toBeLessThan(1e-9);
    const ratio = 60_000 / (20 * Math.sqrt(4000));
    expect(ratio).toBeCloseTo(47.43, 2);
    const need = american.concrete.pad(input);
    const excess = need.bars!.alongX.needed / need.bars!.alongX.provided;
    expect(off(find('development/x').demand! / IN, ratio * excess)).toBeLessThan(1e-9);
  });
  it('refuses bars nearer than 6 in to the top', () => {
    expect(american.concrete.pad({ ...input, thickness: 10 * IN }).checks[0]!.verdict).toBe('unproven');
  });
});
