import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shapeForce, shapeMoment, type ArrivalShape } from '../shape';
import { footShapes, pressure, type WallSpread } from './foot';

const wall = (more: Partial<WallSpread> = {}): WallSpread => ({
  spread: 'angle',
  spreadAngle: Math.PI / 4,
  spreadDepth: 'whole',
  openings: [],
  openingsRule: 'ignored',
  ...more,
});
const point = (at: number): ArrivalShape => ({ type: 'point', at });
const total = (shapes: readonly ArrivalShape[]) => shapes.reduce((sum, shape) => sum + shapeForce(shape), 0);
const moment = (shapes: readonly ArrivalShape[]) => shapes.reduce((sum, shape) => sum + shapeMoment(shape), 0);

describe('a point load on a wall 6 m long and 2.5 m high, by hand', () => {
  it('spreads at 45 degrees to 5 m of foot, evenly', () => {
    expect(footShapes(wall(), point(3000), 6000, 2500)).toEqual([
      {
        type: 'distributed',
        from: expect.closeTo(500, 9),
        to: expect.closeTo(5500, 9),
        start: expect.closeTo(1 / 5000, 12),
        end: expect.closeTo(1 / 5000, 12),
      },
    ]);
  });
  it('at a steeper angle it spreads less', () => {
    // 30 degrees from the vertical: 2.5 x 0.577 = 1.443 m each way
    const [shape] = footShapes(wall({ spreadAngle: Math.PI / 6 }), point(3000), 6000, 2500);
    expect(shape).toMatchObject({ from: expect.closeTo(1556.62, 1), to: expect.closeTo(4443.38, 1) });
  });
  it('two down to one across, down to half its height and no wider below: 0.625 m each way', () => {
    const half = wall({ spreadAngle: Math.atan(0.5), spreadDepth: 'half' });
    expect(footShapes(half, point(3000), 6000, 2500)[0]).toMatchObject({ from: expect.closeTo(2375, 6), to: expect.closeTo(3625, 6) });
    // a wall that rises 1 m past the level on which the load lands: half its height is 1.75 m, the load comes 0.75 m above that
    const [low] = footShapes(half, point(3000), 6000, 2500, 3500);
    expect(low).toMatchObject({ from: expect.closeTo(2625, 6), to: expect.closeTo(3375, 6) });
    // load that comes below half its height is not spread any more
    const [least] = footShapes(half, point(3000), 6000, 1000, 3500);
    expect(least).toMatchObject({ from: 2999.5, to: 3000.5 });
  });
  it('round a door whose lintel lies below half the height it spreads over the bearing alone', () => {
    const door = { from: 2000, to: 3000, sill: 0, head: 2100, bearing: 150 };
    const round = (high: number) =>
      footShapes(
        wall({ spreadAngle: Math.atan(0.5), spreadDepth: 'half', openings: [door], openingsRule: 'around' }),
        point(2500),
        6000,
        2500,
        high,
      );
    // 4.2 m high: the head of the door is at half of it
    for (const shape of round(4200)) {
      expect(shapeForce(shape)).toBeCloseTo(0.5, 9);
      if (shape.type === 'distributed') expect(shape.to - shape.from).toBeLessThanOrEqual(150 + 1e-6);
    }
    // 3 m high: 0.6 m above half, 0.3 m more
    for (const shape of round(3000)) if (shape.type === 'distributed') expect(shape.to - shape.from).toBeLessThanOrEqual(450 + 1e-6);
    expect(total(round(3000))).toBeCloseTo(1, 9);
    expect(moment(round(3000))).toBeCloseTo(2500, 6);
  });
  it('cut off at the end it keeps its line of action, on a shortened contact', () => {
    // spread 0 to 3 m about 0.5 m: outside the middle third, contact 1.5 m, twice the mean at the end
    expect(footShapes(wall(), point(500), 6000, 2500)).toEqual([{ type: 'distributed', from: 0, to: 1500, start: 2 / 1500, end: 0 }]);
    // spread 0 to 4.2 m about 1.7 m: e = 0.4 < 0.7, mean (1 + 6 x 0.4 / 4.2)
    const [shape] = footShapes(wall(), point(1700), 6000, 2500);
    expect((shape as { start: number }).start * 4200).toBeCloseTo(1 + 2.4 / 4.2, 9);
    expect((shape as { end: number }).end * 4200).toBeCloseTo(1 - 2.4 / 4.2, 9);
  });
  it('evenly over the whole wall moves the line of action, as is said', () => {
    expect(footShapes(wall({ spread: 'even' }), point(500), 6000, 2500)).toEqual([
      { type: 'distributed', from: 0, to: 6000, start: 1 / 6000, end: 1 / 6000 },
    ]);
  });
  it('over the whole wall with the line of action kept', () => {
    const shapes = footShapes(wall({ spread: 'whole' }), point(2500), 6000, 2500);
    expect(shapes[0]).toMatchObject({ from: 0, to: 6000 });
    expect(moment(shapes)).toBeCloseTo(2500, 9);
  });
  it('what is spread already goes straight down', () => {
    const strip: ArrivalShape = { type: 'distributed', from: 1000, to: 2000, start: 3, end: 5 };
    expect(footShapes(wall(), strip, 6000, 2500)).toEqual([strip]);
  });
});

describe('a door', () => {
  const door = { from: 2000, to: 3000, sill: 0, head: 2100, bearing: 150 };
  it('ignored, load goes on as if the wall were whole', () => {
    expect(footShapes(wall({ openings: [door] }), point(2500), 6000, 2500)).toHaveLength(1);
  });
  it('gone round, nothing lands in it, and the lintel shares by the lever', () => {
    const shapes = footShapes(
      wall({ openings: [door], openingsRule: 'around' }),
      { type: 'distributed', from: 2000, to: 3000, start: 10, end: 10 },
      6000,
      2500,
    );
    expect(shapes).toHaveLength(2);
    expect(total(shapes)).toBeCloseTo(10_000, 6);
    for (const shape of shapes) {
      expect(shapeForce(shape)).toBeCloseTo(5000, 6);
      if (shape.type === 'distributed') expect(shape.to <= 2000 || shape.from >= 3000).toBe(true);
    }
    // each bearing acts in the middle of its 150 mm
    expect(shapeMoment(shapes[0]!) / 5000).toBeCloseTo(1925, 6);
    expect(shapeMoment(shapes[1]!) / 5000).toBeCloseTo(3075, 6);
  });
  it('two that lie over each other are gone round as one: nothing lands in either', () => {
    const openings = [
      { ...door, from: 2000, to: 3500 },
      { ...door, from: 3000, to: 4000, bearing: 200 },
    ];
    for (const at of [2200, 2900, 3200, 3900]) {
      const shapes = footShapes(wall({ openings, openingsRule: 'around', spreadAngle: 0 }), point(at), 6000, 2500);
      expect(total(shapes)).toBeCloseTo(1, 9);
      expect(moment(shapes)).toBeCloseTo(at, 6);
      for (const shape of shapes) {
        const [from, to] = shape.type === 'point' ? [shape.at, shape.at] : [shape.from, shape.to];
        expect(to <= 2000 || from >= 4000).toBe(true);
      }
    }
  });
  it('at the very end of the wall there is no bearing: load stays', () => {
    const end = { ...door, from: 0, to: 1000 };
    expect(footShapes(wall({ openings: [end], openingsRule: 'around' }), point(500), 6000, 2500)).toHaveLength(1);
  });
});

describe('any wall', () => {
  const integer = (max: number) => fc.integer({ min: 0, max });
  const shapes = fc.oneof(
    integer(6000).map((at) => point(at)),
    fc.tuple(integer(5900), integer(5900), integer(50), integer(50)).map(([a, b, p, q]): ArrivalShape => ({
      type: 'distributed',
      from: Math.min(a, b),
      to: Math.max(a, b) + 100,
      start: p + 1,
      end: q + 1,
    })),
  );
  const doors = fc.array(fc.tuple(integer(5000), fc.integer({ min: 300, max: 1500 })), { maxLength: 2 });
  it('passes all of it down, keeps its line of action to a millimetre, and never pulls', () => {
    fc.assert(
      fc.property(shapes, doors, fc.boolean(), fc.integer({ min: 0, max: 11 }), (shape, list, around, tenth) => {
        const openings = list.map(([from, width]) => ({ from, to: from + width, sill: 0, head: 2100, bearing: 150 }));
        const foot = footShapes(
          wall({ openings, openingsRule: around ? 'around' : 'ignored', spreadAngle: tenth / 10 }),
          shape,
          6000,
          2500,
        );
        const force = shapeForce(shape);
        expect(total(foot) / force).toBeCloseTo(1, 9);
        expect(Math.abs(moment(foot) - shapeMoment(shape)) / force).toBeLessThan(1);
        for (const part of foot)
          if (part.type === 'distributed') {
            expect(Math.min(part.start, part.end)).toBeGreaterThanOrEqual(-1e-9);
            expect(part.from).toBeGreaterThanOrEqual(-1e-9);
            expect(part.to).toBeLessThanOrEqual(6000 + 1e-9);
          }
      }),
      { numRuns: 500 },
    );
  });
  it('at the edge of the middle third the far end just comes off', () => {
    const shape = pressure(0, 6000, 2000) as Extract<ArrivalShape, { type: 'distributed' }>;
    expect(shape.start * 3000).toBeCloseTo(1, 9);
    expect(shape.end).toBeCloseTo(0, 12);
  });
});
