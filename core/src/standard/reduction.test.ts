import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USES, type ReducibleFloor, type ReductionRole } from '../load';
import { Sheet } from '../sheet';
import { american } from './american';
import { liveLoadFactor } from './american/reduction';
import { roofAreaFactor, roofPitchFactor, roofReduction } from './american/roofReduction';
import { european } from './european';
import { reductionByArea, reductionByStoreys } from './european/reduction';

const FT2 = 304.8 ** 2;
const PSF = 4.4482216152605 / FT2;
const floor = (use: ReducibleFloor['use'], level: string, area: number, intensity: number): ReducibleFloor => ({
  use,
  level,
  area,
  intensity,
  force: area * intensity,
});
const storeys = (n: number, use: ReducibleFloor['use'], area: number, intensity: number) =>
  Array.from({ length: n }, (_, i) => floor(use, `L${i}`, area, intensity));

describe('EN 1991-1-1 6.3.1.2 with the UK annex', () => {
  it('by area, (NA.1): 1 - A/1000 m2, not below 0.75', () => {
    expect(reductionByArea(100e6)).toBeCloseTo(0.9, 12);
    expect(reductionByArea(250e6)).toBeCloseTo(0.75, 12);
    expect(reductionByArea(900e6)).toBe(0.75);
  });
  it('by storeys, (NA.2): 1.0 0.9 0.8 0.7 0.6, then 0.6 to ten, 0.5 beyond', () => {
    expect([1, 2, 3, 4, 5, 6, 10, 11, 40].map((n) => +reductionByStoreys(n).toFixed(9))).toEqual([
      1, 0.9, 0.8, 0.7, 0.6, 0.6, 0.6, 0.5, 0.5,
    ]);
  });
  it('a column of four storeys of 50 m2: 0.7 by storeys, not also 0.8 by area', () => {
    const found = european.loads.imposedReduction(storeys(4, 'B', 50e6, 0.003), 'column')!;
    expect(found.factors).toEqual({ B: expect.closeTo(0.7, 9) as number });
    expect(found.title).toContain('alpha_n');
    expect(found.notWithPsi).toBe(true);
  });
  it('a column of one storey of 120 m2: 0.88 by area', () => {
    const found = european.loads.imposedReduction(storeys(1, 'A', 120e6, 0.002), 'column')!;
    expect(found.factors['A']).toBeCloseTo(0.88, 12);
    expect(found.title).toContain('alpha_A');
  });
  it('a beam never by storeys; storage, garages and their like never at all', () => {
    expect(european.loads.imposedReduction(storeys(6, 'B', 20e6, 0.003), 'beam')!.factors['B']).toBeCloseTo(0.88, 12);
    for (const use of ['E', 'F', 'G'] as const) expect(european.loads.imposedReduction(storeys(6, use, 100e6, 0.005), 'column')).toBeNull();
    const mixed = european.loads.imposedReduction([...storeys(3, 'B', 10e6, 0.003), ...storeys(3, 'E', 10e6, 0.0075)], 'column')!;
    expect(mixed.factors).toEqual({ B: expect.closeTo(0.8, 9) as number });
  });
});

describe('ASCE 7-16 4.7', () => {
  it('(4.7-1), by hand: 900 ft2 on an inner column of one floor: 0.25 + 15/60 = 0.5', () => {
    expect(liveLoadFactor(900 * FT2, 4, 1)).toBeCloseTo(0.5, 12);
  });
  it('an inner beam of 400 ft2: 0.25 + 15/sqrt(800) = 0.7803', () => {
    expect(liveLoadFactor(400 * FT2, 2, 1)).toBeCloseTo(0.78033, 5);
  });
  it('nothing below 400 ft2 of influence, a half at least for one floor, 0.4 for two or more', () => {
    expect(liveLoadFactor(199 * FT2, 2, 1)).toBe(1);
    // at 400 ft2 the formula itself gives 1
    expect(liveLoadFactor(200 * FT2, 2, 1)).toBeCloseTo(1, 12);
    expect(liveLoadFactor(5000 * FT2, 4, 1)).toBe(0.5);
    expect(liveLoadFactor(5000 * FT2, 4, 2)).toBe(0.4);
  });
  it('above 100 psf only over two floors and by a fifth at most; garages likewise; where people gather never', () => {
    expect(american.loads.imposedReduction(storeys(1, 'E', 1000 * FT2, 125 * PSF), 'column')).toBeNull();
    expect(american.loads.imposedReduction(storeys(3, 'E', 1000 * FT2, 125 * PSF), 'column')!.factors).toEqual({ E: 0.8 });
    expect(american.loads.imposedReduction(storeys(3, 'F', 1000 * FT2, 40 * PSF), 'column')!.factors).toEqual({ F: 0.8 });
    expect(american.loads.imposedReduction(storeys(3, 'C', 1000 * FT2, 60 * PSF), 'column')).toBeNull();
    // exactly 100 psf is not yet heavy
    expect(american.loads.imposedReduction(storeys(1, 'D', 900 * FT2, 100 * PSF), 'column')!.factors['D']).toBeCloseTo(0.5, 9);
  });
});

describe('any reduction', () => {
  const any = fc.array(
    fc.record({
      use: fc.constantFrom(...USES),
      level: fc.constantFrom('1', '2', '3', '4', '5', '6', '7'),
      m2: fc.integer({ min: 1, max: 900 }),
      kPa: fc.integer({ min: 1, max: 90 }),
    }),
    { maxLength: 12 },
  );
  it.each([european, american])('of the $id family is at most 1, at least 0.4, and never grows with more of the same floor', (standard) => {
    fc.assert(
      fc.property(any, fc.constantFrom<ReductionRole>('beam', 'column', 'footing'), (list, role) => {
        const floors = list.map(({ use, level, m2, kPa }) => floor(use, level, m2 * 1e6, kPa * 1e-4));
        const found = standard.loads.imposedReduction(floors, role, new Sheet());
        const larger = standard.loads.imposedReduction(
          floors.map((f) => ({ ...f, area: 2 * f.area, force: 2 * f.force })),
          role,
        );
        for (const [use, factor] of Object.entries(found?.factors ?? {})) {
          expect(factor).toBeLessThan(1);
          expect(factor).toBeGreaterThanOrEqual(0.4);
          expect(larger!.factors[use as 'A']!).toBeLessThanOrEqual(factor + 1e-12);
        }
      }),
    );
  });
});

describe('ASCE 7-16 4.8.2, ordinary roofs', () => {
  const roof = (area: number, psf: number, rise = 0) => ({
    pitch: Math.atan(rise / 12),
    area: area * FT2,
    intensity: psf * PSF,
    force: area * FT2 * psf * PSF,
  });
  it('R1 by hand: 1 to 200 ft2, 0.8 at 400 ft2, 0.6 from 600 ft2; R2: 1 to 4 in 12, 0.8 at 8 in 12, 0.6 from 12 in 12', () => {
    expect([150, 200, 400, 600, 2000].map((area) => +roofAreaFactor(area * FT2).toFixed(9))).toEqual([1, 1, 0.8, 0.6, 0.6]);
    expect([0, 4, 8, 12, 20].map((rise) => +roofPitchFactor(Math.atan(rise / 12)).toFixed(9))).toEqual([1, 1, 0.8, 0.6, 0.6]);
  });
  it('20 psf on 400 ft2 is 16 psf; never below 12 psf; more than 20 psf is no ordinary roof', () => {
    expect(roofReduction([roof(400, 20)])!.factors).toEqual([expect.closeTo(0.8, 9)]);
    expect(roofReduction([roof(900, 20, 12)])!.factors).toEqual([expect.closeTo(0.6, 9)]);
    expect(roofReduction([roof(900, 12)])).toBeNull();
    expect(roofReduction([roof(900, 30)])).toBeNull();
    expect(roofReduction([roof(150, 20)])).toBeNull();
    // the area of the ordinary one alone counts
    expect(roofReduction([roof(400, 20), roof(900, 30)])!.factors).toEqual([expect.closeTo(0.8, 9), 1]);
  });
  it('slopes are reduced each by its own pitch, with the area of all', () => {
    expect(roofReduction([roof(200, 20), roof(200, 20, 8)])!.factors).toEqual([expect.closeTo(0.8, 9), expect.closeTo(0.64, 9)]);
  });
  it('never adds load, and never falls as the area grows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 3000 }),
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 5, max: 20 }),
        (area, more, psf) => {
          const of = (ft2: number) => roofReduction([roof(ft2, psf)])?.factors[0] ?? 1;
          expect(of(area)).toBeLessThanOrEqual(1);
          expect(of(area + more)).toBeLessThanOrEqual(of(area) + 1e-12);
          expect(of(area) * psf).toBeGreaterThanOrEqual(Math.min(psf, 12) - 1e-9);
        },
      ),
    );
  });
});
