import { describe, expect, it } from 'vitest';
import { steelGrade } from '../../material';
import { findSection, sectionProperties, type Section, type Shape } from '../../section';
import type { BeamActions, Segment } from '..';
import { american } from '.';
import { flangeLocalBucklingBox, flangeLocalBucklingI, lateralTorsionalBox } from './steel/flexure';
import { shearStrength } from './steel/shear';
import { isCheck } from '../../sheet';

/** Branches that few catalogued shapes reach, each by hand in kips and inches. */
const IN = 25.4;
const KSI = 6.894757293168361;
const KIP = 4448.2216152605;
const E = 29_000 * KSI;
const Fy = 50 * KSI;
const lrfd = american.loads.philosophies[0]!;
const a992 = steelGrade('A992');
const off = (got: number, expected: number) => Math.abs(got / expected - 1);
const made = (designation: string, shape: Shape): Section => ({
  designation,
  family: 'made',
  region: 'american',
  product: shape.outline === 'I' ? 'rolled' : 'hollow',
  mass: 0,
  shape,
  properties: sectionProperties(shape),
});
const inches = (shape: Shape): Shape =>
  Object.fromEntries(
    Object.entries(shape).map(([key, value]) => [key, typeof value === 'number' ? value * IN : value]),
  ) as unknown as Shape;
const segment = (Lb: number): Segment => ({ from: 0, to: Lb, peak: 1, quarters: [1, 1, 1], freeTip: false, tensionFlangeHeld: false });
const actions = (Lb: number): BeamActions => ({
  basis: 'factored',
  combination: 't',
  moment: 1,
  shear: 1,
  segments: Lb ? [segment(Lb)] : [],
});

describe('flange local buckling', () => {
  it('slender flange, F3-2: 12 x 0.2 in flange (30 > 24.1), web 11.6 x 0.3: kc 0.643, Mn = 0.9 E kc Sx / 900', () => {
    const section = made('thin', inches({ outline: 'I', h: 12, b: 12, tw: 0.3, tf: 0.2, r: 0 }));
    const Sx = section.properties.Wely / IN ** 3;
    const kc = 4 / Math.sqrt(11.6 / 0.3);
    expect(kc).toBeCloseTo(0.643, 3);
    expect(off(flangeLocalBucklingI(section, 'slender', 1, 1e12, E, Fy) / (KIP * IN), (0.9 * 29_000 * kc * Sx) / 30 ** 2)).toBeLessThan(
      1e-9,
    );
  });
  it('noncompact flange of a box, F7-2: 8 x 8 x 0.2 in, (8 - 0.6) / 0.2 = 37 beyond 1.12 root = 27', () => {
    const section = made('box', inches({ outline: 'box', h: 8, b: 8, t: 0.2, ro: 0.4, ri: 0.2 }));
    const { Wply, Wely } = section.properties;
    const [Z, S] = [Wply / IN ** 3, Wely / IN ** 3];
    // 3.57 * 37 * root(50 / 29000) - 4.0 = 1.4849
    const expected = Math.min(50 * Z, 50 * Z - (50 * Z - 50 * S) * (3.57 * 37 * Math.sqrt(50 / 29_000) - 4));
    expect(off(flangeLocalBucklingBox(section, 'noncompact', Fy * Wply, E, Fy) / (KIP * IN), expected)).toBeLessThan(1e-9);
    // 37 is beyond 1.40 root = 33.7 too: slender, be = 1.92 * 0.2 * 24.083 * (1 - 0.38 / 37 * 24.083) = 6.961 in of 7.4 in
    const be = 6.9607;
    const { A, Iy } = section.properties;
    const [lost, z] = [(7.4 - be) * 0.2, 3.9];
    const e = (lost * z) / (A / IN ** 2 - lost);
    const Ie = Iy / IN ** 4 - lost * (z ** 2 + 0.2 ** 2 / 12) - (A / IN ** 2 - lost) * e ** 2;
    const checks = american.steel.beam({ section, grade: steelGrade('A500C'), actions: actions(0) }, lrfd);
    const local = checks.find(isCheck('flange-local-buckling'))!;
    expect(off(local.capacity! / (KIP * IN), (0.9 * 50 * Ie) / (4 + e))).toBeLessThan(1e-4);
  });
});

describe('boxes bent about their strong axis, F7.4', () => {
  const section = findSection('HSS12X6X3/8');
  const { It, A, iz, Wply, Wely } = section.properties;
  const Mp = Fy * Wply;
  const Lp = (0.13 * E * iz * Math.sqrt(It * A)) / Mp;
  const Lr = (2 * E * iz * Math.sqrt(It * A)) / (0.7 * Fy * Wely);
  it('yield up to Lp, fall in a line to Lr, and elastically beyond', () => {
    const Mn = (Lb: number) => lateralTorsionalBox(section, Lb, 1, Mp, E, Fy);
    expect(Mn(0.9 * Lp)).toBe(Mp);
    expect(off(Mn((Lp + Lr) / 2), (Mp + 0.7 * Fy * Wely) / 2)).toBeLessThan(1e-9);
    expect(off(Mn(Lr * 1.0001), 0.7 * Fy * Wely)).toBeLessThan(1e-3);
    expect(off(Mn(2 * Lr), 0.35 * Fy * Wely)).toBeLessThan(1e-9);
  });
  it('a square box does not buckle sideways', () => {
    const check = american.steel
      .beam({ section: findSection('HSS6X6X3/8'), grade: steelGrade('A500C'), actions: actions(9000) }, lrfd)
      .find(isCheck('lateral-torsional-buckling'))!;
    expect(off(check.capacity!, 0.9 * Fy * findSection('HSS6X6X3/8').properties.Wply)).toBeLessThan(1e-9);
  });
});

describe('shear', () => {
  it('a slender web, G2-4: 30 x 0.25 in web, h/tw 118.4 beyond 2.24 and 1.10 root', () => {
    const section = made('deep', inches({ outline: 'I', h: 30, b: 10, tw: 0.25, tf: 0.2, r: 0 }));
    const Cv = (1.1 * Math.sqrt((5.34 * 29_000) / 50)) / 118.4;
    const strength = shearStrength(section, E, Fy);
    expect(off(strength.nominal / KIP, 0.6 * 50 * 30 * 0.25 * Cv)).toBeLessThan(1e-9);
    expect(strength.safety.phi).toBe(0.9);
  });
  it('a box, G4: two webs of h = H - 3t', () => {
    const section = findSection('HSS6X6X3/8');
    const t = 0.93 * 0.375;
    expect(off(shearStrength(section, E, Fy).nominal / KIP, 0.6 * 50 * 2 * (6 - 3 * t) * t)).toBeLessThan(1e-9);
  });
  it('a round shape, G5: 0.78 E / (D/t)^1.5 is far above 0.6 Fy, half the area yields', () => {
    const section = findSection('HSS4.500X0.250');
    expect(off(shearStrength(section, E, Fy).nominal / KIP, (0.6 * 50 * section.properties.A) / IN ** 2 / 2)).toBeLessThan(1e-9);
  });
});

describe('torsional buckling of columns, E4-2', () => {
  it('W10x33, 12 ft, by hand', () => {
    const { Iy: Ix, Iz: Iy, It: J, Iw: Cw, A } = findSection('W10X33').properties;
    const [ix, iy, j, cw] = [Ix / IN ** 4, Iy / IN ** 4, J / IN ** 4, Cw / IN ** 6];
    const Fe = ((Math.PI ** 2 * 29_000 * cw) / 144 ** 2 + 11_200 * j) / (ix + iy);
    const Pn = 0.658 ** (50 / Fe) * 50 * (A / IN ** 2);
    const checks = american.steel.column(
      {
        section: findSection('W10X33'),
        grade: a992,
        axial: 1,
        basis: 'factored',
        combination: 't',
        lengthY: 144 * IN,
        lengthZ: 144 * IN,
        lengthT: 144 * IN,
      },
      lrfd,
    );
    expect(off(checks.find(isCheck('torsional-buckling'))!.capacity! / KIP, 0.9 * Pn)).toBeLessThan(1e-9);
  });
});

describe('a tee whose moments are of both signs', () => {
  const section = findSection('WT8X25');
  const checksOf = (moment: number, range: readonly [number, number]) =>
    american.steel.beam(
      { section, grade: a992, actions: { basis: lrfd.basis, combination: 't', moment, shear: 0, range, segments: [] } },
      lrfd,
    );
  it('is checked for the smaller one as if it came alone', () => {
    const both = checksOf(10e6, [-8e6, 10e6]);
    const [sags, hogs] = [checksOf(10e6, [0, 10e6]), checksOf(-8e6, [-8e6, 0])];
    const find = (checks: typeof both, name: string) => checks.find(isCheck(name))!;
    expect(sags.some(({ id }) => id.includes('stem'))).toBe(false);
    expect(find(both, 'stem-local-buckling')).toMatchObject({ demand: 8e6, capacity: find(hogs, 'stem-local-buckling').capacity });
    expect(find(both, 'bending-yielding/other-sign')).toMatchObject({
      demand: 8e6,
      capacity: find(hogs, 'bending-yielding').capacity,
    });
    expect(find(both, 'bending-yielding')).toMatchObject({ demand: 10e6, capacity: find(sags, 'bending-yielding').capacity });
    // the other way round the flange of the smaller moment is looked at
    expect(checksOf(-10e6, [-10e6, 8e6]).map(({ name }) => name)).toContain('Bending, yielding, where the flange is pressed');
  });
});
