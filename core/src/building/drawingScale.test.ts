import { describe, expect, it } from 'vitest';
import { broughtTo, item, onPlan, scaleByRatio, scaledByPoints, sheetCorners, squaredBy, type LaidDrawing } from '.';

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

describe('the place of a drawing', () => {
  it('its corners turn with it: 42 m by 29.7 m, a quarter turn about its middle', () => {
    const corners = sheetCorners(sheet({ at: { x: 1000, y: 0 }, turn: Math.PI / 2 }));
    expect(corners.map(({ x, y }) => [Math.round(x), Math.round(y)])).toEqual([
      [15850, -21000],
      [15850, 21000],
      [-13850, 21000],
      [-13850, -21000],
    ]);
  });
  it('a point of it is brought where it belongs', () => {
    const at = broughtTo(sheet({ at: { x: 100, y: 50 } }), { x: 2000, y: 1000 }, { x: 0, y: 0 });
    expect(at).toEqual({ at: { x: -1900, y: -950 } });
  });
  it.each([
    [1, 'a line nearly across'],
    [89, 'a line nearly upright'],
    [181, 'drawn from right to left'],
    [-92, 'drawn downward'],
  ])('is squared by a line at %d degrees: %s', (degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const askew = sheet({ at: { x: 500, y: -300 }, turn: 0.3 });
    // a line on the paper, and where it lies
    const [p, q] = [
      { x: -100, y: 40 },
      { x: -100 + 200 * Math.cos(angle - 0.3), y: 40 + 200 * Math.sin(angle - 0.3) },
    ];
    const squared = { ...askew, ...squaredBy(askew, onPlan(askew, p), onPlan(askew, q)) };
    const [a, b] = [onPlan(squared, p), onPlan(squared, q)];
    expect(Math.min(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeLessThan(1e-6);
    // about its start, and by no more than it lay askew
    expect(a.x).toBeCloseTo(onPlan(askew, p).x, 6);
    expect(a.y).toBeCloseTo(onPlan(askew, p).y, 6);
    expect(Math.abs(squared.turn - 0.3)).toBeLessThan((2.01 * Math.PI) / 180);
    expect(() => squaredBy(askew, a, a)).toThrow('two points are one');
  });
});
