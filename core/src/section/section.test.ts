import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue, findSection, massRatio, sectionProperties, type Shape } from '.';

describe('catalogue', () => {
  it.each(catalogue().map((entry) => [entry.designation, entry] as const))('%s weighs what its area says, within 1.5 %', (_, entry) => {
    expect(Math.abs(massRatio(entry) - 1)).toBeLessThan(0.015);
  });

  it('holds at least sixty European and sixty American shapes, none twice', () => {
    const names = catalogue().map((entry) => entry.designation);
    expect(new Set(names).size).toBe(names.length);
    expect(catalogue().filter((entry) => entry.region === 'european').length).toBeGreaterThanOrEqual(60);
    expect(catalogue().filter((entry) => entry.region === 'american').length).toBeGreaterThanOrEqual(60);
  });

  it('names what it does not hold', () => {
    expect(() => findSection('UB 1x1x1')).toThrow('is not in the catalogue');
  });

  // published tables of properties (cm units), remembered with certainty
  it.each([
    ['UB 457x191x82', { A: 104, Iy: 37100, Iz: 1870, Wely: 1610, Wply: 1830, It: 69.2, iz: 4.23 }],
    ['UB 254x146x43', { A: 54.8, Iy: 6540, Iz: 677, Wely: 504, Wply: 566, It: 23.9 }],
    ['UC 203x203x46', { A: 58.7, Iy: 4570, Iz: 1550, Wely: 450, Wply: 497, It: 22.2, iz: 5.13 }],
    ['UC 254x254x73', { A: 93.1, Iy: 11400, Iz: 3910, Wply: 992, It: 57.6 }],
    ['IPE 300', { A: 53.8, Iy: 8356, Iz: 604, Wely: 557, Wply: 628, It: 20.1 }],
    ['HEB 200', { A: 78.1, Iy: 5696, Iz: 2003, Wply: 642.5, It: 59.3 }],
    ['PFC 200x90x30', { A: 37.9, Iy: 2523, Iz: 314, Wply: 291, It: 18.3, cz: 3.12 }],
    ['SHS 150x150x8', { A: 44.8, Iy: 1491, Wply: 237, It: 2351 }],
    ['RHS 200x100x8', { A: 44.8, Iy: 2234, Iz: 739, Wply: 282, Wplz: 172 }],
    ['CHS 168.3x6.3', { A: 32.1, Iy: 1053, Wply: 165 }],
  ] as const)('%s has the published properties within 1 %%', (name, published) => {
    const got = findSection(name).properties as unknown as Record<string, number>;
    const power: Record<string, number> = { A: 2, Iy: 4, Iz: 4, Wely: 3, Wply: 3, Wplz: 3, It: 4, iz: 1, cz: 1 };
    for (const [property, expected] of Object.entries(published))
      expect(got[property]! / 10 ** power[property]! / expected, property).toBeCloseTo(1, 1.7);
  });

  it.each([
    ['W8X31', { A: 9.13, Iy: 110, Wply: 30.4, Iz: 37.1, It: 0.536, Iw: 530 }],
    ['W16X31', { A: 9.13, Iy: 375, Wply: 54.0, Iz: 12.4, It: 0.461, Iw: 739 }],
    ['W18X50', { A: 14.7, Iy: 800, Wply: 101, Iz: 40.1, It: 1.24, Iw: 3040 }],
    ['W21X62', { A: 18.3, Iy: 1330, Wply: 144, Iz: 57.5, It: 1.83, Iw: 5960 }],
    ['HSS6X6X3/8', { A: 7.58, Iy: 39.5, Wply: 15.8 }],
    ['HSS8X4X1/4', { A: 5.24, Iy: 42.5, Iz: 14.4 }],
  ] as const)('%s has the published properties (in) within 3 %%', (name, published) => {
    const got = findSection(name).properties as unknown as Record<string, number>;
    const power: Record<string, number> = { A: 2, Iy: 4, Iz: 4, Wply: 3, It: 4, Iw: 6 };
    for (const [property, expected] of Object.entries(published))
      expect(Math.abs(got[property]! / 25.4 ** power[property]! / expected - 1), property).toBeLessThan(0.03);
  });
});

/** Independent route: the outline sampled on a fine grid of cells. */
function byCells(inside: (x: number, y: number) => boolean, width: number, depth: number) {
  const n = 900;
  const [dx, dy] = [width / n, depth / n];
  let [A, Sx, Iy] = [0, 0, 0];
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j < n; j += 1) {
      const [x, y] = [(i + 0.5) * dx, (j + 0.5) * dy - depth / 2];
      if (!inside(x, y)) continue;
      A += dx * dy;
      Sx += x * dx * dy;
      Iy += y * y * dx * dy;
    }
  return { A, cz: Sx / A, Iy };
}

describe('properties against integration over cells', () => {
  it('of a channel with root radii', () => {
    const [h, b, tw, tf, r] = [200, 90, 7, 14, 12];
    const shape: Shape = { outline: 'channel', h, b, tw, tf, r };
    const got = sectionProperties(shape);
    const cells = byCells(
      (x, y) => {
        const edge = h / 2 - Math.abs(y);
        if (x <= tw || edge <= tf) return true;
        const [u, v] = [x - tw, edge - tf];
        return u < r && v < r && (r - u) ** 2 + (r - v) ** 2 >= r * r;
      },
      b,
      h,
    );
    expect(got.A / cells.A).toBeCloseTo(1, 2);
    expect(got.cz / cells.cz).toBeCloseTo(1, 2);
    expect(got.Iy / cells.Iy).toBeCloseTo(1, 2);
  });

  it('plastic modulus about the minor axis of a channel equals that of two equal areas', () => {
    // without radii, by hand: 200 x 80, tw 10, tf 20: A = 4800; half of it lies left of x = 10 + 400/40 = 20
    const got = sectionProperties({ outline: 'channel', h: 200, b: 80, tw: 10, tf: 20, r: 0 });
    expect(got.A).toBeCloseTo(4800, 9);
    expect(got.Wplz).toBeCloseTo(2000 * 15 + 400 * 5 + 2 * 20 * 60 * 30, 4);
  });
});

describe('property laws', () => {
  const iShape = fc.record({
    h: fc.double({ min: 150, max: 900, noNaN: true }),
    b: fc.double({ min: 90, max: 400, noNaN: true }),
    tw: fc.double({ min: 4, max: 20, noNaN: true }),
    tf: fc.double({ min: 5, max: 35, noNaN: true }),
    r: fc.double({ min: 0, max: 20, noNaN: true }),
  });
  it('scale with the powers of length', () => {
    fc.assert(
      fc.property(iShape, fc.double({ min: 0.2, max: 5, noNaN: true }), (s, k) => {
        const one = sectionProperties({ outline: 'I', ...s });
        const scaled = sectionProperties({ outline: 'I', h: s.h * k, b: s.b * k, tw: s.tw * k, tf: s.tf * k, r: s.r * k });
        expect(scaled.A / one.A / k ** 2).toBeCloseTo(1, 9);
        expect(scaled.Iy / one.Iy / k ** 4).toBeCloseTo(1, 9);
        expect(scaled.Wply / one.Wply / k ** 3).toBeCloseTo(1, 9);
        expect(scaled.It / one.It / k ** 4).toBeCloseTo(1, 9);
        expect(scaled.Iw / one.Iw / k ** 6).toBeCloseTo(1, 9);
      }),
    );
  });
  it('the plastic modulus exceeds the elastic one', () => {
    fc.assert(
      fc.property(iShape, (s) => {
        const p = sectionProperties({ outline: 'I', ...s });
        expect(p.Wply).toBeGreaterThan(p.Wely);
        expect(p.Wplz).toBeGreaterThan(p.Welz);
      }),
    );
  });
  it('a box without corners equals its two rectangles', () => {
    const p = sectionProperties({ outline: 'box', h: 200, b: 100, t: 10, ro: 0, ri: 0 });
    expect(p.A).toBeCloseTo(200 * 100 - 180 * 80, 9);
    expect(p.Iy).toBeCloseTo((100 * 200 ** 3 - 80 * 180 ** 3) / 12, 3);
    expect(p.Wplz).toBeCloseTo((200 * 100 ** 2 - 180 * 80 ** 2) / 4, 6);
  });
  it.each([
    [{ outline: 'I', h: 100, b: 50, tw: 5, tf: 60, r: 0 }, 'deeper than the section'],
    [{ outline: 'I', h: 100, b: 5, tw: 5, tf: 6, r: 0 }, 'wider than the flange'],
    [{ outline: 'box', h: 100, b: 50, t: 25, ro: 0, ri: 0 }, 'thicker than the section'],
    [{ outline: 'box', h: 100, b: 50, t: 5, ro: 40, ri: 5 }, 'corner radii'],
    [{ outline: 'tube', d: 50, t: 25 }, 'thicker than the diameter'],
    [{ outline: 'I', h: -1, b: 50, tw: 5, tf: 6, r: 0 }, 'h must be greater than 0'],
    [{ outline: 'I', h: 100, b: 50, tw: 5, tf: 6, r: -1 }, 'r must be at least 0'],
  ] as [Shape, string][])('refuses what cannot be a section: %j', (shape, message) => {
    expect(() => sectionProperties(shape)).toThrow(message);
  });
});
