import { describe, expect, it } from 'vitest';
import { catalogue, findSection, readDesignation, readOwnDesignation, sectionProperties, type Shape } from '.';

const off = (got: number, expected: number) => Math.abs(got / expected - 1);

describe('tees, angles and tapered channels', () => {
  // published tables, cm
  it.each([
    ['L 100x100x10', { A: 19.2, Iy: 177, Iz: 177, Iv: 73, iy: 3.04, iv: 1.95 }],
    ['L 150x150x15', { A: 43, Iy: 898, Iv: 370 }],
    ['L 150x75x10', { A: 21.7, Iy: 501, Iz: 85.6, Iv: 55.6 }],
    ['UPN 200', { A: 32.2, Iy: 1910, Iz: 148, Wply: 228 }],
    ['HEM 200', { A: 131.3, Iy: 10_640, Wply: 1135 }],
    ['HEB 600', { A: 270, Iy: 171_000, Wply: 6425 }],
    ['HEA 400', { A: 159, Iy: 45_070, Wply: 2562 }],
  ] as const)('%s as published, within 2.5 %%', (name, published) => {
    const got = findSection(name).properties as unknown as Record<string, number>;
    const power: Record<string, number> = { A: 2, Iy: 4, Iz: 4, Iv: 4, Wply: 3, iy: 1, iv: 1 };
    for (const [key, value] of Object.entries(published)) expect(off(got[key]! / 10 ** power[key]!, value), key).toBeLessThan(0.025);
  });
  // inches
  it.each([
    ['L4X4X1/2', { A: 3.75, Iy: 5.52, Wely: 1.96, iv: 0.776 }],
    ['L6X4X1/2', { A: 4.75, Iy: 17.3, Iz: 6.22, iv: 0.864 }],
    ['WT9X25', { A: 7.35, Iy: 53.5, Wely: 7.79, Iz: 20 }],
    ['WT8X25', { A: 7.37, Iy: 42.3, Wely: 6.78 }],
    ['C12X20.7', { A: 6.08, Iy: 129, Iz: 3.86, Wply: 25.6 }],
    ['MC10X28.5', { A: 8.37, Iy: 126 }],
    ['S12X35', { A: 10.2, Iy: 228, Wply: 44.6 }],
    ['HP14X73', { A: 21.4, Iy: 729, Iz: 261, Wply: 118 }],
  ] as const)('%s as published, within 3 %%', (name, published) => {
    const got = findSection(name).properties as unknown as Record<string, number>;
    const power: Record<string, number> = { A: 2, Iy: 4, Iz: 4, Wply: 3, Wely: 3, iv: 1 };
    for (const [key, value] of Object.entries(published)) expect(off(got[key]! / 25.4 ** power[key]!, value), key).toBeLessThan(0.03);
  });

  it('an equal angle: principal axes at 45 degrees, Iu + Iv = Iy + Iz, Iv = Iy - |Iyz|', () => {
    const p = findSection('L 120x120x12').properties;
    expect(Math.abs(p.principal)).toBeCloseTo(Math.PI / 4, 9);
    expect(p.Iu + p.Iv).toBeCloseTo(p.Iy + p.Iz, 3);
    expect(p.Iv).toBeCloseTo(p.Iy - Math.abs(p.Iyz), 3);
    // material lies up to the left and down to the right of the middle
    expect(p.Iyz).toBeLessThan(0);
  });

  it('two rectangles without radii, by hand: tee 100 x 10 over 90 x 8', () => {
    const p = sectionProperties({ outline: 'tee', h: 100, b: 100, tw: 8, tf: 10, r: 0 });
    // A = 1000 + 720; centroid (1000 * 5 + 720 * 55) / 1720 = 25.93 below the top
    expect(p.A).toBeCloseTo(1720, 9);
    expect(p.cy).toBeCloseTo(44_600 / 1720, 9);
    const c = 44_600 / 1720;
    const I = (100 * 1000) / 12 + 1000 * (c - 5) ** 2 + (8 * 90 ** 3) / 12 + 720 * (55 - c) ** 2;
    expect(p.Iy).toBeCloseTo(I, 3);
    // equal areas: 860 = 100 * 8.6 within the flange
    const first = (100 * 8.6 ** 2) / 2 + (100 * 1.4 ** 2) / 2 + 720 * (55 - 8.6);
    expect(p.Wply).toBeCloseTo(first, 1);
    expect(p.WelTop).toBeCloseTo(I / c, 3);
    expect(p.WelBottom).toBeCloseTo(I / (100 - c), 3);
  });

  it('an angle without radii, by hand: 80 x 60 x 8', () => {
    const p = sectionProperties({ outline: 'angle', h: 80, b: 60, t: 8, r: 0, toe: 0 });
    // 80 x 8 upright and 52 x 8 flat: A 1056; x (640 * 4 + 416 * 34) / 1056, z (640 * 40 + 416 * 4) / 1056
    const [x, z] = [(640 * 4 + 416 * 34) / 1056, (640 * 40 + 416 * 4) / 1056];
    expect(p.cz).toBeCloseTo(x, 9);
    expect(p.cy).toBeCloseTo(80 - z, 9);
    expect(p.Iyz).toBeCloseTo(640 * (4 - x) * (40 - z) + 416 * (34 - x) * (4 - z), 3);
  });
});

describe('shapes that somebody writes', () => {
  it('reads them by their dimensions, and weighs them', () => {
    const welded = findSection('own I 600x250x10x20');
    expect(welded).toMatchObject({ region: 'own', product: 'welded', shape: { outline: 'I', h: 600, b: 250, tw: 10, tf: 20, r: 0 } });
    expect(welded.properties.A).toBeCloseTo(2 * 250 * 20 + 560 * 10, 9);
    expect(welded.mass).toBeCloseTo(welded.properties.A * 7.85e-6, 12);
    expect(findSection('own I 600x250x10x20')).toBe(welded);
    expect(findSection('own I 300x150x7x11 r15').product).toBe('rolled');
    expect(findSection('own tube 200x8').shape).toEqual({ outline: 'tube', d: 200, t: 8 });
    expect(findSection('own L 100x75x10 r8').shape).toMatchObject({ outline: 'angle', toe: 4 });
    expect(findSection('own box 300x200x10').product).toBe('hollow');
  });
  it.each(['own I 600x250x10', 'own X 1x1', 'own I 600x250xax20', 'I 600x250x10x20'])('"%s" is refused with an example', (name) => {
    expect(() => findSection(name)).toThrow('own I 600x250x10x20');
  });
  it('is meant by blanks, signs of times and small letters too', () => {
    for (const text of ['ub 457 x 191 x 67', '457×191×67 UB', 'UB457x191x67', ' UB 457*191*67 '])
      expect(readDesignation(text)).toBe('UB 457x191x67');
    expect(readDesignation('w16x31')).toBe('W16X31');
    expect(readDesignation('own I 600 x 250 x 10 x 20')).toBe('own I 600x250x10x20');
    expect(readOwnDesignation('I 600 × 250 × 10 × 20 bottom 180 x 15')).toBe('own I 600x250x10x20 bottom 180x15');
    // a mistyped angle of the catalogue does not become an own one
    expect(() => readDesignation('L 151x150x12')).toThrow('is not in the catalogue');
    expect(() => readOwnDesignation('Z 100x50x5')).toThrow('is not in the catalogue');
    for (const { designation } of catalogue()) expect(readDesignation(designation.toLowerCase())).toBe(designation);
  });
  it('and what does not fit together is named', () => {
    expect(() => findSection('own I 40x250x10x20')).toThrow('deeper than the section');
    expect(() => findSection('own T 150x8x8x12')).toThrow('wider than the flange');
    expect(() => sectionProperties({ outline: 'angle', h: 50, b: 10, t: 8, r: 5, toe: 2 } as Shape)).toThrow('longer than the other leg');
  });
});
