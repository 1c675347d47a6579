import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BadInput } from '../error';
import { findSection, sectionProperties, unequalParts, withThinnerFlange, type UnequalIShape } from '.';

const girder: UnequalIShape = { outline: 'unequalI', h: 600, b: 300, tf: 20, bBottom: 180, tfBottom: 15, tw: 12 };
const turned = ({ h, b, tf, bBottom, tfBottom, tw }: UnequalIShape): UnequalIShape => ({
  outline: 'unequalI',
  h,
  b: bBottom,
  tf: tfBottom,
  bBottom: b,
  tfBottom: tf,
  tw,
});
const shapes = fc
  .record({
    hw: fc.integer({ min: 200, max: 1500 }),
    b: fc.integer({ min: 100, max: 600 }),
    tf: fc.integer({ min: 6, max: 60 }),
    bBottom: fc.integer({ min: 100, max: 600 }),
    tfBottom: fc.integer({ min: 6, max: 60 }),
    tw: fc.integer({ min: 5, max: 30 }),
  })
  .map(({ hw, ...rest }): UnequalIShape => ({ outline: 'unequalI', h: hw + rest.tf + rest.tfBottom, ...rest }));

describe('welded I of unequal flanges', () => {
  // by hand, mm: A = 6000 + 6780 + 2700; centroid from the top (6000 x 10 + 6780 x 302.5 + 2700 x 592.5) / A
  it('has the properties of its three plates', () => {
    const p = sectionProperties(girder);
    expect(p.A).toBeCloseTo(15_480, 6);
    expect(p.cy).toBeCloseTo((60_000 + 2_050_950 + 1_599_750) / 15_480, 6);
    // half of the area: 7740 = 6000 + 12 x 145
    expect(unequalParts(girder).plasticAxis).toBeCloseTo(165, 9);
    expect(p.Wply).toBeCloseTo(6000 * 155 + (12 * 145 ** 2) / 2 + (12 * 420 ** 2) / 2 + 2700 * 427.5, 3);
    expect(p.Iz).toBeCloseTo(45e6 + 7.29e6 + (565 * 12 ** 3) / 12, 3);
    const hs = 582.5;
    expect(p.Iw).toBeCloseTo((hs ** 2 * 45e6 * 7.29e6) / (45e6 + 7.29e6), -3);
    expect(p.shearCentreUp).toBeCloseTo(p.cy - 10 - (hs * 7.29) / (45 + 7.29), 6);
  });
  it('turned over is the same the other way up', () => {
    fc.assert(
      fc.property(shapes, (shape) => {
        const [p, q] = [sectionProperties(shape), sectionProperties(turned(shape))];
        for (const name of ['A', 'Iy', 'Iz', 'Wely', 'Welz', 'Wply', 'Wplz', 'It', 'Iw'] as const)
          expect(q[name] / p[name]).toBeCloseTo(1, 9);
        expect(q.cy).toBeCloseTo(shape.h - p.cy, 6);
        expect(q.WelTop / p.WelBottom).toBeCloseTo(1, 9);
        expect(q.shearCentreUp).toBeCloseTo(-p.shearCentreUp, 6);
        expect(q.zj).toBeCloseTo(-p.zj, 6);
      }),
    );
  });
  it('of equal flanges is the I without fillets, but for what its web adds to warping', () => {
    const [p, q] = [
      sectionProperties({ ...girder, bBottom: 300, tfBottom: 20 }),
      sectionProperties({ outline: 'I', h: 600, b: 300, tw: 12, tf: 20, r: 0 }),
    ];
    for (const name of ['A', 'Iy', 'Iz', 'Wely', 'Wply', 'Wplz', 'It'] as const) expect(p[name] / q[name]).toBeCloseTo(1, 9);
    // the I counts its web among what bends sideways
    expect(p.Iw / q.Iw).toBeCloseTo(1, 2);
    expect(p.zj).toBeCloseTo(0, 9);
  });
  it('is written by its dimensions, and says what is wrong with them', () => {
    const found = findSection('own I 600x300x12x20 bottom 180x15');
    expect(found.shape).toEqual(girder);
    expect(found.product).toBe('welded');
    expect(findSection('own I 600x300x12x20 bottom 300x20').shape.outline).toBe('I');
    expect(() => findSection('own T 600x300x12x20 bottom 180x15')).toThrow(BadInput);
    expect(() => findSection('own I 600x300x12x20 bottom 180x15 r10')).toThrow(BadInput);
    expect(() => findSection('own I 30x300x12x20 bottom 180x15')).toThrow('flanges are deeper than the section');
  });
  it('has beneath a force through either flange the lesser of both', () => {
    expect(withThinnerFlange(girder)).toEqual({ outline: 'I', h: 595, b: 180, tw: 12, tf: 15, r: 0 });
  });
});
