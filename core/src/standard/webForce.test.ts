import { describe, expect, it } from 'vitest';
import { FAMILIES, type Family } from '../family';
import { computeProject, sheetFor } from '../design';
import { bay } from '../design/bay.test.data';
import { steelGrade } from '../material';
import { isCheck, audit } from '../sheet';
import { evaluate } from '../sheet/evaluate.test.data';
import { findSection, type IShape } from '../section';
import { american } from './american';
import { webCompression, webCrippling, webSidesway, webYielding } from './american/steel/webForce';
import { european } from './european';
import { patchResistance } from './european/steel/webForce';
import { UK } from './european/annexes/uk';

const off = (got: number, expected: number) => Math.abs(got / expected - 1);
const KIP = 4448.2216152605;
const KSI = 6.894757293168361;

describe('EN 1993-1-5 6, computed apart: UB 457x191x67 in S355', () => {
  const { shape } = findSection('UB 457x191x67');
  it.each([
    // stiff length, distance to the end, effective length, chi, kN
    [0, null, 195.894, 0.82956, 490.363],
    [100, null, 295.894, 0.67498, 602.664],
    [50, 0, 135.247, 0.66985, 273.371],
  ] as const)('stiff length %i mm, %s mm from the end', (ss, c, ly, chi, kN) => {
    const got = patchResistance(UK.steel, shape as IShape, 355, 210_000, ss, c);
    expect(off(got.ly, ly)).toBeLessThan(1e-5);
    expect(off(got.chi, chi)).toBeLessThan(1e-4);
    expect(off(got.resistance / 1e3, kN)).toBeLessThan(1e-5);
  });
  it('with bending, (7.2): at 80 % of each, 0.8 + 0.8 * 0.8 = 1.44 of 1.4', () => {
    const section = findSection('UB 457x191x67');
    const checks = european.steel.webForce(
      {
        section,
        grade: steelGrade('S355'),
        force: 0.8 * 602_664,
        bearing: 100,
        toEnd: 3000,
        moment: 0.8 * 355 * section.properties.Wply,
        basis: 'factored',
        combination: 't',
      },
      european.loads.philosophies[0]!,
    );
    expect(checks[1]!.utilisation!).toBeCloseTo(1.44 / 1.4, 4);
  });
  it('grows with the stiff length, and falls towards the end', () => {
    const at = (ss: number, c: number | null) => patchResistance(UK.steel, shape as IShape, 355, 210_000, ss, c).resistance;
    for (let ss = 0; ss < 400; ss += 20) expect(at(ss + 20, null)).toBeGreaterThanOrEqual(at(ss, null));
    for (let c = 0; c < 400; c += 20) expect(at(50, c + 20)).toBeGreaterThanOrEqual(at(50, c) - 1e-6);
    expect(at(50, 400)).toBeLessThanOrEqual(at(50, null) + 1e-6);
  });
});

describe('AISC 360-16 J10, computed apart: W21x62, Fy 50 ksi (k 1.12, tw 0.400, tf 0.615 in)', () => {
  const shape = findSection('W21X62').shape as IShape;
  const Fy = 50 * KSI;
  const E = 29_000 * KSI;
  it('yielding: 112 and 56 kip without a bearing length, 192 and 136 with 4 in', () => {
    expect(off(webYielding(shape, Fy, 0, false) / KIP, 112)).toBeLessThan(1e-9);
    expect(off(webYielding(shape, Fy, 0, true) / KIP, 56)).toBeLessThan(1e-9);
    expect(off(webYielding(shape, Fy, 4 * 25.4, false) / KIP, 192)).toBeLessThan(1e-9);
    expect(off(webYielding(shape, Fy, 4 * 25.4, true) / KIP, 136)).toBeLessThan(1e-9);
  });
  it('crippling: 191.12, 248.40; at an end 124.20 (4 in) and 142.82 (6 in)', () => {
    expect(off(webCrippling(shape, Fy, E, 0, false) / KIP, 191.118)).toBeLessThan(1e-5);
    expect(off(webCrippling(shape, Fy, E, 4 * 25.4, false) / KIP, 248.403)).toBeLessThan(1e-5);
    expect(off(webCrippling(shape, Fy, E, 4 * 25.4, true) / KIP, 248.403 / 2)).toBeLessThan(1e-5);
    expect(off(webCrippling(shape, Fy, E, 6 * 25.4, true) / KIP, 142.819)).toBeLessThan(1e-5);
  });
  it('one nominal strength, two philosophies: 1.0 and 1.5, 0.75 and 2.0', () => {
    const [lrfd, asd] = american.loads.philosophies.map((philosophy) =>
      american.steel.webForce(
        {
          section: findSection('W21X62'),
          grade: steelGrade('A992'),
          force: 1e5,
          bearing: 100,
          toEnd: 3000,
          moment: 0,
          basis: philosophy.basis,
          combination: 't',
        },
        philosophy,
      ),
    );
    expect(lrfd!.map((check, i) => check.capacity! / asd![i]!.capacity!)).toEqual([expect.closeTo(1.5, 9), expect.closeTo(1.5, 9)]);
  });
  it('sidesway, (J10-6) and (J10-7), computed apart; 2.3 and 1.7 bound it', () => {
    // d 21.0, bf 8.24, tw 0.400, tf 0.615, k 1.12: h = 18.76, h / tw = 46.9
    const at = (feet: number, rotationHeld: boolean, yields = false) =>
      webSidesway(shape, { unbraced: feet * 304.8, rotationHeld, yields });
    const x = (feet: number) => 18.76 / 0.4 / ((feet * 12) / 8.24);
    const base = (960_000 * 0.4 ** 3 * 0.615) / 18.76 ** 2;
    expect(off(at(20, true)! / KIP, base * (1 + 0.4 * x(20) ** 3))).toBeLessThan(2e-3);
    expect(off(at(20, true, true)! / KIP, (base / 2) * (1 + 0.4 * x(20) ** 3))).toBeLessThan(2e-3);
    expect(off(at(20, false)! / KIP, base * 0.4 * x(20) ** 3)).toBeLessThan(2e-3);
    expect([at(14.1, true), at(13.9, true)].map((value) => value === null)).toEqual([false, true]);
    expect([at(19, false), at(18.9, false)].map((value) => value === null)).toEqual([false, true]);
  });
  it('pressed from both flanges, (J10-8): 98.6 kip, half of it near an end', () => {
    const Rn = (24 * 0.4 ** 3 * Math.sqrt(29_000 * 50)) / 18.76;
    expect(off(webCompression(shape, Fy, E, false) / KIP, Rn)).toBeLessThan(1e-3);
    expect(off(webCompression(shape, Fy, E, true) / KIP, Rn / 2)).toBeLessThan(1e-3);
  });
});

describe('a beam on seats, and a post over one of them', () => {
  const checks = (family: Family, beam: object) =>
    computeProject(bay({ family, beam: { seat: 120, ...beam } }))
      .designs.member('B1')!
      .results[0]!.checks.filter(({ id }) => id.startsWith('web'));
  it.each(FAMILIES)('%s: bearing and buckling of its web over the reaction of the end', (family) => {
    const found = checks(family, {});
    expect(found.length).toBeGreaterThan(0);
    const result = computeProject(bay({ family, beam: { seat: 120 } }));
    expect(audit(sheetFor(result, 'B1')!.entries, evaluate)).toEqual([]);
    const shear = result.designs.member('B1')!.results[0]!.checks.find(isCheck('shear'))!.demand!;
    expect(Math.abs(found[0]!.demand! / shear)).toBeCloseTo(1, 6);
    expect(found[0]!.reason).toContain('over the seat at');
    expect(
      computeProject(bay({ family }))
        .designs.member('B1')!
        .results[0]!.checks.some(({ id }) => id.startsWith('web')),
    ).toBe(false);
  });
  it('a longer seat carries more', () => {
    expect(checks('european', { seat: 250 })[0]!.capacity!).toBeGreaterThan(checks('european', { seat: 50 })[0]!.capacity!);
  });
  it('with a like force opposite, kF is 3.5: the resistance falls, EN 1993-1-5 figure 6.1 (b)', () => {
    const ub = findSection('UB 457x191x67').shape as IShape;
    const [one, two] = [false, true].map(
      (opposed) => patchResistance(UK.steel, ub, 355, 210_000, 100, null, undefined, opposed).resistance,
    );
    expect(two! / one!).toBeCloseTo(Math.sqrt(3.5 / 6), 2);
  });
});
