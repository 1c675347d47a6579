import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { momentGradientFactor as americanFactor } from '../standard/american/steel/flexure';
import { criticalMomentAsymmetric, momentGradientFactor as europeanFactor } from '../standard/european/steel/lateralTorsional';
import { findSection } from '../section';
import { bySense } from '../standard/standard';
import { lateralBucklingFactor, type LateralMember } from '.';

const [E, G] = [210_000, 81_000];
const UB = findSection('UB 457x191x67').properties;
const rigid = { EIz: E * UB.Iz, GIt: G * UB.It, EIw: E * UB.Iw };
/** Uniform moment between forks, closed form. */
const uniform = (L: number) => (Math.PI / L) * Math.sqrt(rigid.EIz * (rigid.GIt + (Math.PI ** 2 * rigid.EIw) / L ** 2));
const factor = (L: number, moment: (x: number) => number, more: Partial<LateralMember> = {}) =>
  lateralBucklingFactor({ length: L, ...rigid, moment, held: [0, L], ...more }) / uniform(L);

describe('lateral-torsional buckling by finite elements', () => {
  it.each([2000, 6000, 15_000])('uniform moment on %i mm: the closed form', (L) => {
    expect(factor(L, () => 1)).toBeCloseTo(1, 5);
    expect(factor(L, () => -1)).toBeCloseTo(1, 5);
  });
  it('known gradients (Trahair; ECCS): uniform load 1.13, load at the middle 1.36, triangle 1.84, double curvature 2.7', () => {
    const L = 8000;
    expect(factor(L, (x) => (4 * x * (L - x)) / L ** 2)).toBeCloseTo(1.13, 2);
    expect(factor(L, (x) => (2 * Math.min(x, L - x)) / L, { corners: [L / 2] })).toBeCloseTo(1.36, 2);
    expect(Math.abs(factor(L, (x) => x / L) / 1.84 - 1)).toBeLessThan(0.01);
    expect(Math.abs(factor(L, (x) => 1 - (2 * x) / L) / 2.7 - 1)).toBeLessThan(0.02);
  });
  it.each([4000, 9000])('load on the top flange and below, %i mm: C1 1.132, C2 0.459', (L) => {
    const N = (Math.PI ** 2 * rigid.EIz) / L ** 2;
    const closed = (z: number) => (1.132 * N * (Math.sqrt(UB.Iw / UB.Iz + rigid.GIt / N + (0.459 * z) ** 2) - 0.459 * z)) / uniform(L);
    const moment = (x: number) => (4 * x * (L - x)) / L ** 2;
    for (const z of [226, -226]) expect(Math.abs(factor(L, moment, { loadHeight: z }) / closed(z) - 1)).toBeLessThan(0.015);
  });
  it('a narrow strip as a cantilever: 4.013 sqrt(EI GJ) / L at its tip, 12.85 spread along it', () => {
    const L = 5000;
    const strip = { length: L, EIz: 1e12, GIt: 1e12, EIw: 1e9, held: [], builtIn: { start: true, end: false } };
    const tip = lateralBucklingFactor({ ...strip, moment: (x) => -(L - x) / L });
    expect(Math.abs((tip * L) / 1e12 / 4.013 - 1)).toBeLessThan(0.02);
    const spread = lateralBucklingFactor({ ...strip, moment: (x) => -((L - x) ** 2) / L ** 2 });
    expect(Math.abs((spread * L) / 1e12 / (12.85 / 2) - 1)).toBeLessThan(0.025);
  });
  it('held sideways, twisted and turned but free to warp, a narrow strip does the same; an I less than built in, the same from either end', () => {
    const L = 5000;
    const strip = { length: L, EIz: 1e12, GIt: 1e12, EIw: 1e9, held: [0], slopeHeld: [0] };
    const tip = lateralBucklingFactor({ ...strip, moment: (x) => -(L - x) / L });
    expect(Math.abs((tip * L) / 1e12 / 4.013 - 1)).toBeLessThan(0.02);
    const cantilever = (more: Partial<LateralMember>) =>
      lateralBucklingFactor({ length: 3000, ...rigid, moment: (x) => -(3000 - x), held: [0], ...more });
    const warps = cantilever({ slopeHeld: [0] });
    expect(warps).toBeLessThan(cantilever({ builtIn: { start: true, end: false } }));
    const turned = cantilever({ held: [3000], slopeHeld: [3000], moment: (x) => -x });
    expect(turned / warps).toBeCloseTo(1, 6);
    expect(() => cantilever({})).toThrow('turning over');
  });
  it('a restraint at the middle of a uniform moment: the half length buckles', () => {
    expect((factor(8000, () => 1, { held: [0, 4000, 8000] }) * uniform(8000)) / uniform(4000)).toBeCloseTo(1, 4);
  });
  it('a floor along the compressed flange leaves nothing to buckle in practice; along the other flange it helps', () => {
    const L = 9000;
    const sagging = () => 1;
    const free = factor(L, sagging);
    expect(factor(L, sagging, { heldAlong: 226 })).toBeGreaterThan(10 * free);
    // hogging, tension flange held: M z = GIt + (EIw + EIz z^2) pi^2 / L^2 in half waves between the forks, closed form
    const z = 226;
    const closed = (rigid.GIt + (rigid.EIw + rigid.EIz * z ** 2) * (Math.PI / L) ** 2) / (2 * z);
    expect((factor(L, () => -1, { heldAlong: z }) * uniform(L)) / closed).toBeCloseTo(1, 2);
    expect(closed).toBeGreaterThan(uniform(L));
  });
  it('is not moved by the unit of the load, nor by the end from which it is read', () => {
    const L = 7000;
    const moment = (x: number) => x * (L - x) * (1 + x / L);
    const one = factor(L, moment);
    expect(factor(L, (x) => 1e6 * moment(x)) * 1e6).toBeCloseTo(one, 8);
    expect(factor(L, (x) => moment(L - x)) / one).toBeCloseTo(1, 6);
  });
  it.each(['own T 200x150x10x15', 'own I 600x300x12x20 bottom 180x15'])(
    '%s under uniform moment: the closed form with z_j, of either sign',
    (name) => {
      const { Iz, It, Iw, zj } = findSection(name).properties;
      expect(zj).toBeGreaterThan(0);
      for (const L of [2000, 6000])
        for (const sign of [1, -1]) {
          const Ncr = (Math.PI ** 2 * E * Iz) / L ** 2;
          const closed = Ncr * (Math.sqrt(Iw / Iz + (G * It) / Ncr + zj ** 2) + sign * zj);
          const member = { length: L, EIz: E * Iz, GIt: G * It, EIw: E * Iw, zj, held: [0, L] };
          expect(lateralBucklingFactor({ ...member, moment: () => sign }) / closed).toBeCloseTo(1, 4);
        }
    },
  );
  it.each(['own T 200x150x10x15', 'own I 600x300x12x20 bottom 180x15', 'own I 800x200x10x15 bottom 350x25'])(
    '%s under moments that vary: what a segment of which only the ends and quarters are known is given is on the safe side',
    (name) => {
      const section = findSection(name);
      const { Iz, It, Iw, zj } = section.properties;
      const drawn = fc.tuple(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1.2, max: 1.2, noNaN: true }),
        fc.constantFrom(1, -1),
      );
      let most = 0;
      fc.assert(
        fc.property(drawn, fc.constantFrom(1500, 4000, 8000), ([psi, load, sign], L) => {
          const moment = (x: number) => sign * (1 + ((psi - 1) * x) / L + (load * 4 * x * (L - x)) / L ** 2);
          const at = Array.from({ length: 201 }, (_, i) => moment((i * L) / 200));
          const peak = at.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
          const quarters = [moment(L / 4), moment(L / 2), moment((3 * L) / 4)] as const;
          const ends = [moment(0), moment(L)] as const;
          const segment = { from: 0, to: L, peak, quarters, ends, freeTip: false, tensionFlangeHeld: false };
          // what all moments may grow by until either sense of bending reaches its own critical moment
          const given = Math.min(...bySense(segment).map((one) => criticalMomentAsymmetric(section, one, E, G) / Math.abs(one.peak)));
          const member = { length: L, EIz: E * Iz, GIt: G * It, EIw: E * Iw, zj, held: [0, L], moment };
          most = Math.max(most, given / lateralBucklingFactor(member));
        }),
        { numRuns: 120 },
      );
      expect(most).toBeLessThan(1.001);
    },
  );
  it('lines held at single places: two of one place hold it, many of one line hold it all along, one in tension hardly helps', () => {
    const L = 9000;
    const lines = (at: number, ...heights: number[]) => heights.map((above) => ({ at, above }));
    const both = factor(L, () => 1, { heldLines: lines(4500, 226, -226) });
    expect(both / factor(L, () => 1, { held: [0, 4500, L] })).toBeCloseTo(1, 3);
    const many = Array.from({ length: 17 }, (_, i) => ({ at: (i * L) / 16, above: 226 }));
    expect(factor(L, () => -1, { heldLines: many }) / factor(L, () => -1, { heldAlong: 226 })).toBeCloseTo(1, 2);
    const [pressed, drawn] = [226, -226].map((above) => factor(L, () => 1, { heldLines: lines(4500, above) }));
    expect(pressed! / both).toBeGreaterThan(0.97);
    expect(drawn!).toBeLessThan(0.6 * both);
  });
  it('says what turns over without any load', () => {
    expect(() => lateralBucklingFactor({ length: 5000, ...rigid, moment: () => 1, held: [0] })).toThrow('nothing keeps the member');
  });
});

describe('moment gradient factors of the codes against it', () => {
  /** End moments, and a load between them that bends the other way or the same. */
  const diagram = fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1.2, max: 1.2, noNaN: true }));
  const read = (L: number, moment: (x: number) => number) => {
    const at = Array.from({ length: 201 }, (_, i) => moment((i * L) / 200));
    const peak = at.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
    return {
      peak,
      segment: {
        from: 0,
        to: L,
        peak,
        quarters: [moment(L / 4), moment(L / 2), moment((3 * L) / 4)] as const,
        freeTip: false,
        tensionFlangeHeld: false,
      },
    };
  };
  it('ends M and psi M with a uniform load between: neither is more than a tenth above, nor far below', () => {
    let [most, least] = [0, Infinity];
    fc.assert(
      fc.property(diagram, fc.constantFrom(3000, 6000, 12_000), ([psi, load], L) => {
        const moment = (x: number) => 1 + ((psi - 1) * x) / L + (load * 4 * x * (L - x)) / L ** 2;
        const { peak, segment } = read(L, moment);
        const exact = factor(L, moment) * Math.abs(peak);
        const [eu, us] = [europeanFactor(segment), americanFactor(segment)];
        most = Math.max(most, eu / exact, us / exact);
        least = Math.min(least, eu / exact, us / exact);
      }),
      { numRuns: 150, seed: 7 },
    );
    expect(most).toBeLessThan(1.1);
    expect(least).toBeGreaterThan(0.6);
  });

  it('tension flange held along, hogging at the ends and sagging between: what the codes are given is on the safe side', () => {
    let most = 0;
    const drawn = fc.tuple(
      fc.double({ min: 0.2, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 2.5, noNaN: true }),
    );
    fc.assert(
      fc.property(drawn, fc.constantFrom(4000, 7000, 11_000), ([first, second, load], L) => {
        const moment = (x: number) => -first + ((first - second) * x) / L + (load * 4 * x * (L - x)) / L ** 2;
        const { segment } = read(L, moment);
        const at = Array.from({ length: 201 }, (_, i) => moment((i * L) / 200));
        const held = { ...segment, peak: Math.min(...at), largest: Math.max(...at.map(Math.abs)), tensionFlangeHeld: true };
        const exact = factor(L, moment, { heldAlong: 226 }) * Math.abs(held.peak);
        for (const codes of [europeanFactor, americanFactor]) most = Math.max(most, codes(held) / exact);
      }),
      { numRuns: 120 },
    );
    expect(most).toBeLessThan(1.05);
  });
});
