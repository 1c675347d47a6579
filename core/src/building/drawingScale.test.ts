import { describe, expect, it } from 'vitest';
import { item, scaleByRatio, scaledByPoints, type LaidDrawing } from '.';

const sheet = (more: Partial<LaidDrawing> = {}): LaidDrawing => ({
  ...(item('drawing', 'd', { name: 'Plan', level: 'L', file: '0'.repeat(64), width: 4200, height: 2970, at: { x: 0, y: 0 }, scale: 10 })
    .body as LaidDrawing),
  ...more,
});

describe('the scale of a drawing', () => {
  it('by ratio and paper: A3 at 1:50 on 4200 dots is 5 mm to a dot', () => {
    expect(scaleByRatio(50, 420, 4200)).toBe(5);
  });
  it('by two points: what measured 8 m and is 6 m shrinks to three quarters about the first point', () => {
    const scaled = scaledByPoints(sheet(), { x: -4000, y: 0 }, { x: 4000, y: 0 }, 6000);
    expect(scaled.scale).toBeCloseTo(7.5, 12);
    expect(scaled.at.x).toBeCloseTo(-1000, 9);
    // the first point keeps its place on the paper: (point - middle) / scale
    expect((-4000 - scaled.at.x) / scaled.scale).toBeCloseTo(-4000 / 10, 9);
  });
  it('along a slope too, and twice gives the same again', () => {
    const [a, b] = [
      { x: 100, y: 200 },
      { x: 3100, y: 4200 },
    ];
    const once = scaledByPoints(sheet(), a, b, 10_000);
    expect(once.scale).toBeCloseTo(20, 9);
    const end = { x: 6100, y: 8200 };
    expect(scaledByPoints(sheet(once), a, end, 10_000).scale).toBeCloseTo(20, 9);
  });
  it('one point, or no distance, is refused in words', () => {
    expect(() => scaledByPoints(sheet(), { x: 1, y: 1 }, { x: 1, y: 1 }, 1000)).toThrow('two points are one');
    expect(() => scaledByPoints(sheet(), { x: 0, y: 0 }, { x: 1, y: 1 }, 0)).toThrow('greater than 0');
  });
});
