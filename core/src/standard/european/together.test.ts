import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { steelGrade } from '../../material';
import { findSection } from '../../section';
import { checksOf } from '../measured.test.data';
import { webUnderForce } from './steel/webForce';
import { european } from '.';
import { isCheck } from '../../sheet';
import { UK } from './annexes/uk';

const even = (M: number) => ({ start: M, middle: M, end: M });
const lengths = { lengthY: 3000, lengthZ: 3000, lengthT: 3000, unbraced: 3000 };
const used = (input: object, name = 'section-in-bending-and-axial-force') =>
  checksOf('european', { grade: 'S355', ...lengths, ...input }).find(isCheck(name))!;

describe('everything at once has the class of its own stresses', () => {
  it('a hollow section whose other wall is of class 3 adds its shares up: by hand', () => {
    // 175 x 100 x 5: (175 - 15) / 5 = 32, between 38 and 42 times 0.8136 (30.9 and 34.2): class 3 when bent about the minor axis
    const section = 'own box 175x100x5';
    const { A, Wely, Welz, Wply } = findSection(section).properties;
    const N = 100e3;
    const [My, Mz] = [10e6, 8e6];
    const both = used({ section, grade: 'S355H', axial: N, major: even(My), minor: even(Mz) });
    expect(both.demand).toBeCloseTo(N / (A * 355) + My / (Wely * 355) + Mz / (Welz * 355), 9);
    // bent about the major axis alone its compressed wall is 100 wide: plastic
    const one = used({ section, grade: 'S355H', axial: 1000, major: even(My) });
    expect(one.demand).toBeCloseTo(My / (Wply * 355), 2);
  });
  it('compression beside bending about the minor axis only: the web is pressed all over', () => {
    // UB 610x229x101: c/t of the web 547.6 / 10.5 = 52.2, beyond 42 x 0.814: class 4 in compression
    const checks = checksOf('european', { section: 'UB 610x229x101', grade: 'S355', ...lengths, axial: 1000e3, minor: even(20e6) });
    const section = checks.find(isCheck('section-in-bending-and-axial-force'))!;
    expect(section.clause).toEqual({ document: 'EN 1993-1-1', number: '6.2.9.3' });
    const { A, Welz } = findSection('UB 610x229x101').properties;
    expect(section.demand!).toBeGreaterThan(1000e3 / (A * 355) + 20e6 / (Welz * 355));
  });
});

describe('a large shear weakens its own area only, 6.2.10(3)', () => {
  it('UB 457x191x67 in S355 at 0.9 of its shear resistance: by hand', () => {
    const section = 'UB 457x191x67';
    const { A, Wply } = findSection(section).properties;
    const { h, b, tw, tf, r } = findSection(section).shape as { h: number; b: number; tw: number; tf: number; r: number };
    const Av = A - 2 * b * tf + (tw + 2 * r) * tf;
    const shear = 0.9 * ((Av * 355) / Math.sqrt(3));
    const rho = (2 * 0.9 - 1) ** 2;
    // area without rho of the shear area, never more than what is no flange; modulus by (6.30)
    const left = A - rho * Math.min(Av, A - 2 * b * tf);
    const Aw = (h - 2 * tf) * tw;
    const W = Wply - (rho * Aw ** 2) / (4 * tw);
    const n = 300e3 / (left * 355);
    const a = Math.min(0.5, (left - 2 * b * tf) / left);
    const MN = Math.min(W * 355, (W * 355 * (1 - n)) / (1 - 0.5 * a));
    expect(used({ section, shear, axial: 300e3, major: even(200e6) }).demand).toBeCloseTo(200e6 / MN, 9);
  });
  it('grows with the shear, never without bounds, and the flanges keep their moment', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('UB 457x191x67', 'UC 203x203x60', 'SHS 150x150x8', 'RHS 250x150x8', 'CHS 219.1x8'),
        fc.double({ min: 0.05, max: 0.25, noNaN: true }),
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        (section, n, m) => {
          const grade = /HS/.test(section) ? 'S355H' : 'S355';
          const { A, Wply, Wely } = findSection(section).properties;
          const Vpl = checksOf('european', { section, grade, ...lengths, shear: 1000, major: even(1e6) }).find(isCheck('shear'))!.capacity!;
          const at = (part: number) => used({ section, grade, axial: n * A * 355, major: even(m * Wely * 355), shear: part * Vpl }).demand!;
          let before = at(0);
          for (const part of [0.5, 0.6, 0.8, 0.9, 0.99, 0.9999]) {
            const now = at(part);
            expect(now).toBeGreaterThanOrEqual(before * (1 - 1e-9));
            before = now;
          }
          // what is left when the whole shear area is gone is a part of the section, not nothing
          expect(before).toBeLessThan(40 * ((m * Wely) / Wply + n));
        },
      ),
      { numRuns: 60 },
    );
  });
  it('a shear beyond the section says so instead of a number', () => {
    const check = used({ section: 'UB 457x191x67', axial: 100e3, major: even(50e6), shear: 5000e3 });
    expect([check.verdict, check.utilisation]).toEqual(['unproven', null]);
    expect(check.reason).toContain('more than the section resists');
  });
});

describe('a force through a flange beside bending, EN 1993-1-5 7.2 with 4.6', () => {
  const interaction = (designation: string, moment: number) => {
    const section = findSection(designation);
    const input = { section, grade: steelGrade('S355'), force: 50e3, bearing: 100, toEnd: 3000, moment, basis: 'factored' as const };
    const checks = webUnderForce(UK.steel, { ...input, combination: 'typed' }, european.loads.philosophies[0]!);
    return { alone: checks[0]!.utilisation!, both: checks[1]!.utilisation! };
  };
  it('in class 3 the elastic modulus: by hand', () => {
    // flange 200 x 8.5 with web 10: (200 - 10) / 2 / 8.5 = 11.18, between 10 and 14 times 0.8136 (8.1 and 11.4): class 3
    const designation = 'own I 300x200x10x8.5';
    const { alone, both } = interaction(designation, 100e6);
    const { Wely } = findSection(designation).properties;
    expect(both).toBeCloseTo((alone + (0.8 * 100e6) / (Wely * 355)) / 1.4, 9);
  });
  it('in class 4 less than the elastic one', () => {
    const designation = 'own I 1200x300x7x20';
    const { alone, both } = interaction(designation, 1000e6);
    const { Wely } = findSection(designation).properties;
    expect(both).toBeGreaterThan((alone + (0.8 * 1000e6) / (Wely * 345)) / 1.4);
  });
});

describe('susceptibility to torsional deformation follows from the shape and its restraint, not from a resistance', () => {
  it('no jump over the length between restraints', () => {
    const at = (unbraced: number) =>
      used(
        {
          section: 'UC 203x203x60',
          axial: 800e3,
          major: { start: 60e6, middle: 30e6, end: 0 },
          length: unbraced,
          unbraced,
        },
        'bending-and-compression/minor',
      ).demand!;
    for (let L = 100; L < 6000; L += 50) expect(Math.abs(at(L + 50) / at(L) - 1)).toBeLessThan(0.03);
  });
});
