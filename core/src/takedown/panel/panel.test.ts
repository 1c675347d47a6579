import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PlanPoint } from '../../building';
import { shapeForce, shapeMoment } from '../shape';
import { segment } from '../support/line';
import { contains, isConvex, regionOf, tidyRing } from './polygon';
import type { Bearing, PanelShape, PanelSharing } from './share';
import { line, P, panel, rectangle } from './sample.test.data';
import { sharePanel } from './sharePanel';

const share = (p: PanelShape, bearings: readonly Bearing[]) => sharePanel(p, bearings, 200);
const areaOn = (sharing: PanelSharing, id: string) =>
  sharing.shares.filter((s) => s.member === id).reduce((sum, s) => sum + shapeForce(s.shape), 0) / 1e6;
const lostArea = (sharing: PanelSharing) => sharing.orphans.reduce((sum, o) => sum + o.region.area, 0) / 1e6;
const shapesOn = (sharing: PanelSharing, id: string) => sharing.shares.filter((s) => s.member === id).map((s) => s.shape);

describe('polygons', () => {
  it('area and centre of a triangle and of an L, whichever way round', () => {
    for (const ring of [
      [P(0, 0), P(6, 0), P(0, 3)],
      [P(0, 3), P(6, 0), P(0, 0)],
    ]) {
      const { area, x, y } = regionOf(ring);
      expect([area, x / area, y / area]).toEqual([9, 2, 1]);
    }
    // 4 x 4 less 2 x 2 at the upper right: 12; x = (16 x 2 - 4 x 3) / 12
    const { area, x } = regionOf([P(0, 0), P(4, 0), P(4, 2), P(2, 2), P(2, 4), P(0, 4)]);
    expect([area, x / area]).toEqual([12, 20 / 12]);
  });
  it('tells convex from not, inside from outside', () => {
    expect(isConvex(tidyRing(rectangle(0, 0, 4, 3)))).toBe(true);
    expect(isConvex(tidyRing([P(0, 0), P(4, 0), P(1, 1), P(0, 4)]))).toBe(false);
    expect(contains(rectangle(0, 0, 4, 3), P(1, 1))).toBe(true);
    expect(contains(rectangle(0, 0, 4, 3), P(5, 1))).toBe(false);
  });
});

describe('one way, by hand', () => {
  it('a rectangle gives half to each side, evenly', () => {
    const sharing = share(panel(rectangle(0, 0, 6000, 4000)), [line('A', 0, 0, 0, 4000), line('B', 6000, 0, 6000, 4000)]);
    expect(shapesOn(sharing, 'A')).toEqual([
      { type: 'distributed', from: 0, to: 4000, start: expect.closeTo(3000, 9), end: expect.closeTo(3000, 9) },
    ]);
    expect(areaOn(sharing, 'B')).toBeCloseTo(12, 9);
    expect(lostArea(sharing)).toBe(0);
  });
  it('turns with its arrow: edges along the span carry nothing', () => {
    const bearings = [line('A', 0, 0, 0, 4000), line('B', 6000, 0, 6000, 4000), line('C', 0, 0, 6000, 0), line('D', 0, 4000, 6000, 4000)];
    const sharing = share(panel(rectangle(0, 0, 6000, 4000), { direction: Math.PI / 2 }), bearings);
    expect(['A', 'B', 'C', 'D'].map((id) => areaOn(sharing, id))).toEqual([0, 0, expect.closeTo(12, 9), expect.closeTo(12, 9)]);
  });
  it('on a skew support each strip has its own span: the far side takes a trapezium', () => {
    // spans from x = 0 to a line running from (4, 0) to (8, 4): strips of 4 to 8 m, 24 m2 in all
    const sharing = share(panel([P(0, 0), P(4000, 0), P(8000, 4000), P(0, 4000)]), [
      line('A', 0, 0, 0, 4000),
      line('S', 4000, 0, 8000, 4000),
    ]);
    const a = shapesOn(sharing, 'A');
    expect(a).toHaveLength(1);
    expect(a[0]).toMatchObject({ from: 0, to: 4000 });
    expect((a[0] as { start: number }).start).toBeCloseTo(2000, 6);
    expect((a[0] as { end: number }).end).toBeCloseTo(4000, 6);
    // on the skew line the same widths, spread over a length longer by the root of two
    const s = shapesOn(sharing, 'S')[0] as { to: number; start: number; end: number };
    expect(s.to).toBeCloseTo(4000 * Math.SQRT2, 6);
    expect(s.start).toBeCloseTo(2000 / Math.SQRT2, 6);
    expect(areaOn(sharing, 'S')).toBeCloseTo(12, 9);
  });
  it('an overhang by statics: 2 m beyond a span of 4 m', () => {
    const sharing = share(panel(rectangle(0, 0, 6000, 3000)), [line('A', 0, 0, 0, 3000), line('B', 4000, 0, 4000, 3000)]);
    expect(areaOn(sharing, 'A')).toBeCloseTo(1.5 * 3, 9);
    expect(areaOn(sharing, 'B')).toBeCloseTo(4.5 * 3, 9);
  });
  it('in an acute corner the strips shorter than what counts as touching go to both sides, half to each', () => {
    // a triangle of 6 m by 3 m, 9 m2: its strips of up to 200 mm, 0.04 m2, would lie on one support; the corner turned as well
    for (const sign of [1, -1]) {
      const sharing = share(panel([P(0, 0), P(3000 * sign, 6000), P(0, 6000)]), [
        line('A', 0, 0, 0, 6000),
        line('B', 0, 0, 3000 * sign, 6000),
      ]);
      expect(lostArea(sharing)).toBe(0);
      expect(areaOn(sharing, 'A')).toBeCloseTo(4.5, 6);
      expect(areaOn(sharing, 'B')).toBeCloseTo(4.5, 6);
    }
  });
  it('a strip on two supports that count as one, beside which it lies, still lands nowhere and is told', () => {
    const sharing = share(panel(rectangle(0, 0, 1000, 4000)), [line('A', 0, 0, 0, 4000), line('B', 100, 0, 100, 4000)]);
    expect(lostArea(sharing)).toBeCloseTo(4, 9);
    expect(sharing.orphans.map(({ reason }) => reason)).toEqual(['one support']);
    // nor is a narrow strip that lies evenly on both of them shared: side by side they are one support
    const even = share(panel(rectangle(-50, 0, 150, 4000)), [line('A', 0, 0, 0, 4000), line('B', 100, 0, 100, 4000)]);
    expect(lostArea(even)).toBeCloseTo(0.8, 9);
  });
  it('a tapering overhang is cut, and each piece keeps its total and first moment', () => {
    // overhang growing from 0 to 2 m over 3 m of length, beyond a span of 4 m: integral of c^2 / 8 dv = 0.5 m2 off the far side
    const sharing = share(panel([P(0, 0), P(4000, 0), P(6000, 3000), P(0, 3000)]), [
      line('A', 0, 0, 0, 3000),
      line('B', 4000, 0, 4000, 3000),
    ]);
    expect(areaOn(sharing, 'A')).toBeCloseTo(6 - 0.5, 9);
    expect(areaOn(sharing, 'B')).toBeCloseTo(6 + 3 + 0.5, 9);
    // first moment of what A loses about its start: integral of v c^2 / 8 = 9 / 8 m3
    const moment = shapesOn(sharing, 'A').reduce((sum, shape) => sum + shapeMoment(shape), 0) / 1e9;
    expect(moment).toBeCloseTo(2 * 3 * 1.5 - 9 / 8, 9);
    expect(shapesOn(sharing, 'A').length).toBeGreaterThan(2);
  });
  it('an opening leaves free edges: strips beside it need a trimmer', () => {
    const opening = { label: 'stair', outline: rectangle(2000, 1000, 4000, 2000) };
    const bearings = [line('A', 0, 0, 0, 4000), line('B', 6000, 0, 6000, 4000)];
    const free = share(panel(rectangle(0, 0, 6000, 4000), { openings: [opening] }), bearings);
    expect(free.whole.area / 1e6).toBeCloseTo(22, 9);
    // 1 m of width, 2 m on each side of the opening
    expect(lostArea(free)).toBeCloseTo(4, 9);
    expect(free.orphans.map((o) => o.reason)).toEqual(['one support']);
    const trimmed = share(panel(rectangle(0, 0, 6000, 4000), { openings: [opening] }), [
      ...bearings,
      line('T1', 2000, 1000, 2000, 2000),
      line('T2', 4000, 1000, 4000, 2000),
    ]);
    expect(lostArea(trimmed)).toBe(0);
    expect(areaOn(trimmed, 'T1')).toBeCloseTo(1, 9);
    expect(areaOn(trimmed, 'A')).toBeCloseTo(3 * 3 + 1, 9);
  });
  it('over three supports, simple or continuous; unequal spans read as simple are named', () => {
    const bearings = [line('A', 0, 0, 0, 1000), line('B', 4000, 0, 4000, 1000), line('C', 8000, 0, 8000, 1000)];
    const outline = rectangle(0, 0, 8000, 1000);
    expect(areaOn(share(panel(outline, { continuity: 'continuous' }), bearings), 'B')).toBeCloseTo(5, 9);
    expect(areaOn(share(panel(outline), bearings), 'B')).toBeCloseTo(4, 9);
    const unequal = share(panel(rectangle(0, 0, 6000, 1000)), [bearings[0]!, bearings[1]!, line('D', 6000, 0, 6000, 1000)]);
    expect(unequal.doubts.map((d) => d.kind)).toEqual(['unequal']);
  });
  it('where a beam lies on a wall the beam takes the panel', () => {
    const sharing = share(panel(rectangle(0, 0, 6000, 4000)), [
      line('W', 0, 0, 0, 4000, 1),
      line('A', 60, 0, 60, 4000, 0),
      line('B', 6000, 0, 6000, 4000),
    ]);
    expect(areaOn(sharing, 'W')).toBe(0);
    expect(areaOn(sharing, 'A') + areaOn(sharing, 'B')).toBeCloseTo(24, 9);
  });
  it('nothing beneath, or one support alone, leaves the load in the air', () => {
    expect(share(panel(rectangle(0, 0, 6000, 4000)), []).orphans.map((o) => o.reason)).toEqual(['no support']);
    const one = share(panel(rectangle(0, 0, 6000, 4000)), [line('A', 0, 0, 0, 4000)]);
    expect(lostArea(one)).toBeCloseTo(24, 9);
  });
  it('a support that ends early leaves the strips beyond it', () => {
    const sharing = share(panel(rectangle(0, 0, 6000, 4000)), [line('A', 0, 0, 0, 4000), line('B', 6000, 0, 6000, 2500)]);
    // what is within reach of the end still lands on it
    expect(lostArea(sharing)).toBeCloseTo(6 * (1.5 - 0.2), 6);
  });
  it('an outline that crosses itself is no outline, an opening outside is not taken out', () => {
    expect(share(panel([P(0, 0), P(4000, 4000), P(4000, 0), P(0, 4000)]), []).doubts[0]!.kind).toBe('outline');
    const outside = share(
      panel(rectangle(0, 0, 4000, 4000), { openings: [{ label: 'void', outline: rectangle(3000, 0, 5000, 1000) }] }),
      [],
    );
    expect(outside.doubts[0]!.text).toContain('void');
    expect(outside.whole.area).toBe(16e6);
  });
});

describe('two ways, by hand', () => {
  const edges = [line('S', 0, 0, 6000, 0), line('E', 6000, 0, 6000, 4000), line('N', 6000, 4000, 0, 4000), line('W', 0, 4000, 0, 0)];
  it('6 m by 4 m: triangles of 4 m2 on the short sides, trapezia of 8 m2 on the long', () => {
    const sharing = share(panel(rectangle(0, 0, 6000, 4000), { span: 'twoWay' }), edges);
    expect(['S', 'E', 'N', 'W'].map((id) => Number(areaOn(sharing, id).toFixed(9)))).toEqual([8, 4, 8, 4]);
    const highest = Math.max(...shapesOn(sharing, 'S').flatMap((s) => (s.type === 'distributed' ? [s.start, s.end] : [])));
    expect(highest).toBeCloseTo(2000, 6);
    expect(lostArea(sharing)).toBe(0);
  });
  it('with a free edge it shares among the others and says that it is unproven', () => {
    const sharing = share(panel(rectangle(0, 0, 6000, 4000), { span: 'twoWay' }), edges.slice(0, 3));
    expect(sharing.doubts.map((d) => d.kind)).toEqual(['free-edge']);
    expect(areaOn(sharing, 'S') + areaOn(sharing, 'E') + areaOn(sharing, 'N')).toBeCloseTo(24, 9);
  });
});

/** Convex outlines with lines across and along them. */
const cases = fc
  .record({
    corners: fc.uniqueArray(fc.integer({ min: 0, max: 71 }), { minLength: 3, maxLength: 9 }),
    direction: fc.integer({ min: -31, max: 31 }).map((n) => n / 10),
    lines: fc.array(fc.tuple(...[0, 1, 2, 3].map(() => fc.integer({ min: -6000, max: 6000 }))), { minLength: 0, maxLength: 6 }),
    continuous: fc.boolean(),
    turn: fc.integer({ min: 0, max: 62 }).map((n) => n / 10),
    hole: fc.boolean(),
  })
  .map(({ corners, direction, lines, continuous, turn, hole }) => ({
    outline: [...corners]
      .sort((a, b) => a - b)
      .map((n) => P(5000 * Math.cos((n * 5 * Math.PI) / 180), 4000 * Math.sin((n * 5 * Math.PI) / 180))),
    direction,
    bearings: lines
      .filter(([x1, y1, x2, y2]) => Math.hypot(x2! - x1!, y2! - y1!) > 500)
      .map(([x1, y1, x2, y2], i) => line(`L${i}`, x1! + 0.137 * i, y1! + 0.071, x2! - 0.053 * i, y2! + 0.029)),
    continuity: continuous ? ('continuous' as const) : ('simple' as const),
    turn,
    hole,
  }));

function landed({ shares }: PanelSharing, bearings: readonly Bearing[]) {
  let [area, x, y] = [0, 0, 0];
  for (const { member, shape } of shares) {
    const { from, dx, dy } = bearings.find((b) => b.id === member)!.line;
    const [force, moment] = [shapeForce(shape), shapeMoment(shape)];
    area += force;
    x += force * from.x + moment * dx;
    y += force * from.y + moment * dy;
  }
  return { area, x, y };
}

describe('any panel', () => {
  const opening = { label: '', outline: rectangle(-300, -200, 400, 300) };
  const withHole = (outline: PlanPoint[], hole: boolean) =>
    hole && opening.outline.every((corner) => contains(outline, corner)) ? [opening] : [];

  it('one way: shares and orphans are the panel, in area and in first moment about both axes', () => {
    fc.assert(
      fc.property(cases, ({ outline, direction, bearings, continuity, hole }) => {
        const sharing = share(panel(outline, { direction, continuity, openings: withHole(outline, hole) }), bearings);
        const sum = landed(sharing, bearings);
        for (const { region } of sharing.orphans) {
          sum.area += region.area;
          sum.x += region.x;
          sum.y += region.y;
        }
        const size = Math.max(1e6, ...sharing.shares.map((s) => Math.abs(shapeForce(s.shape))));
        expect(Math.abs(sum.area - sharing.whole.area)).toBeLessThan(1e-6 * size);
        expect(Math.abs(sum.x - sharing.whole.x)).toBeLessThan(1e-6 * size * 6000);
        expect(Math.abs(sum.y - sharing.whole.y)).toBeLessThan(1e-6 * size * 6000);
      }),
      { numRuns: 500 },
    );
  });
  it('one way: turning the whole plan changes no share', () => {
    fc.assert(
      fc.property(cases, ({ outline, direction, bearings, continuity, turn, hole }) => {
        const turned = (p: PlanPoint) => P(p.x * Math.cos(turn) - p.y * Math.sin(turn), p.x * Math.sin(turn) + p.y * Math.cos(turn));
        const openings = withHole(outline, hole);
        const one = share(panel(outline, { direction, continuity, openings }), bearings);
        const two = share(
          panel(outline.map(turned), {
            direction: direction + turn,
            continuity,
            openings: openings.map((o) => ({ ...o, outline: o.outline.map(turned) })),
          }),
          bearings.map((b) => ({ ...b, line: segment({ from: turned(b.line.from), to: turned(b.line.to) }) })),
        );
        const scale = 1 + Math.max(0, ...bearings.map((b) => Math.abs(areaOn(one, b.id))));
        for (const { id } of bearings) expect(Math.abs(areaOn(two, id) - areaOn(one, id))).toBeLessThan(1e-6 * scale);
      }),
      { numRuns: 200 },
    );
  });
  it('two ways: areas are all there', () => {
    fc.assert(
      fc.property(cases, ({ outline, turn }) => {
        const bearings = outline.map((p, i) => {
          const q = outline[(i + 1) % outline.length]!;
          return line(`E${i}`, p.x, p.y, q.x, q.y);
        });
        // one edge is left free by chance
        const some = turn > 3 ? bearings : bearings.slice(1);
        const sharing = share(panel(outline, { span: 'twoWay' }), some);
        const all = landed(sharing, some).area + sharing.orphans.reduce((sum, o) => sum + o.region.area, 0);
        expect(Math.abs(all - sharing.whole.area)).toBeLessThan(1);
      }),
      { numRuns: 300 },
    );
  });
});
