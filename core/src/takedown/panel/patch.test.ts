import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item, type PlanPoint } from '../../building';
import { takeDown, TakedownEngine } from '..';
import { shapeForce, shapeMoment } from '../shape';
import type { PanelSharing } from './share';
import { line, P, panel, rectangle } from './sample.test.data';
import { sharePanel, sharePatch } from './sharePanel';

const on = (sharing: PanelSharing, id: string) =>
  sharing.shares.filter((s) => s.member === id).reduce((sum, s) => sum + shapeForce(s.shape), 0) / 1e6;
const lost = (sharing: PanelSharing) => sharing.orphans.reduce((sum, o) => sum + o.region.area, 0) / 1e6;
const two = [line('A', 0, 0, 0, 4000), line('B', 6000, 0, 6000, 4000)];

describe('a load on a part of a panel, by hand', () => {
  it('2 m along the span from one side, over 3 m of it: five sixths and one sixth', () => {
    const sharing = sharePatch(panel(rectangle(0, 0, 6000, 4000)), rectangle(0, 500, 2000, 3500), two, 200);
    expect(on(sharing, 'A')).toBeCloseTo(5, 9);
    expect(on(sharing, 'B')).toBeCloseTo(1, 9);
    const [shape] = sharing.shares.filter((s) => s.member === 'A').map((s) => s.shape);
    expect(shape).toMatchObject({ from: expect.closeTo(500, 6) as number, to: expect.closeTo(3500, 6) as number });
  });
  it('on an overhang it lifts the far support: 1 m2 at 1.5 m beyond a span of 4 m', () => {
    const sharing = sharePatch(
      panel(rectangle(0, 0, 6000, 1000)),
      rectangle(5000, 0, 6000, 1000),
      [line('A', 0, 0, 0, 1000), line('B', 4000, 0, 4000, 1000)],
      200,
    );
    expect(on(sharing, 'A')).toBeCloseTo(-1.5 / 4, 9);
    expect(on(sharing, 'B')).toBeCloseTo(5.5 / 4, 9);
  });
  it('in the first span of a continuous panel of two: 7/16, 5/8, -1/16', () => {
    const three = [line('A', 0, 0, 0, 1000), line('B', 4000, 0, 4000, 1000), line('C', 8000, 0, 8000, 1000)];
    const sharing = sharePatch(panel(rectangle(0, 0, 8000, 1000), { continuity: 'continuous' }), rectangle(0, 0, 4000, 1000), three, 200);
    expect(on(sharing, 'A')).toBeCloseTo((7 / 16) * 4, 9);
    expect(on(sharing, 'B')).toBeCloseTo((5 / 8) * 4, 9);
    expect(on(sharing, 'C')).toBeCloseTo((-1 / 16) * 4, 9);
  });
  it('on a two-way panel each part goes to its nearest edge: the corner quarter of a square goes to its two sides alike', () => {
    const four = [line('W', 0, 0, 0, 4000), line('E', 4000, 0, 4000, 4000), line('S', 0, 0, 4000, 0), line('N', 0, 4000, 4000, 4000)];
    const sharing = sharePatch(panel(rectangle(0, 0, 4000, 4000), { span: 'twoWay' }), rectangle(0, 0, 2000, 2000), four, 200);
    expect([on(sharing, 'W'), on(sharing, 'S'), on(sharing, 'E'), on(sharing, 'N')].map((v) => +v.toFixed(6))).toEqual([2, 2, 0, 0]);
  });
  it('beside the panel, or over an opening, it lands nowhere, to the square metre', () => {
    const hole = { label: 'stair', outline: rectangle(2000, 1000, 4000, 3000) };
    const bearings = [...two, line('T1', 2000, 900, 2000, 3100), line('T2', 4000, 900, 4000, 3100)];
    const sharing = sharePatch(panel(rectangle(0, 0, 6000, 4000), { openings: [hole] }), rectangle(1000, 1000, 7000, 3000), bearings, 200);
    expect(lost(sharing)).toBeCloseTo(4 + 2, 6);
    expect(sharing.shares.reduce((sum, s) => sum + shapeForce(s.shape), 0) / 1e6).toBeCloseTo(12 - 6, 6);
  });
});

describe('loads on parts of a panel', () => {
  const milli = fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000);
  it('that tile it do what the whole does, in force and in first moment on every member', () => {
    fc.assert(
      fc.property(fc.array(milli, { minLength: 12, maxLength: 12 }), fc.constantFrom('simple', 'continuous'), (r, continuity) => {
        const outline = [P(0, 0), P(8000 + r[0]! * 2000, r[1]! * 800), P(8500 + r[2]! * 1500, 4000 + r[3]! * 800), P(-r[4]! * 800, 4200)];
        const p = panel(outline, { continuity, direction: (r[5]! - 0.5) * 0.4 });
        const bearings = [
          line('A', 300 * r[6]!, -900, 200 * r[7]!, 6000),
          line('B', 4000 + 900 * r[8]!, -900, 4200 + 900 * r[9]!, 6000),
          line('C', 8000, -900, 8200, 6000),
        ];
        const [x, y] = [1500 + r[10]! * 5000, 800 + r[11]! * 2400];
        const far = 20_000;
        const tiles = [rectangle(-far, -far, x, y), rectangle(x, -far, far, y), rectangle(-far, y, x, far), rectangle(x, y, far, far)].map(
          (tile) => sharePatch(p, tile, bearings, 200),
        );
        const whole = sharePanel(p, bearings, 200);
        for (const id of ['A', 'B', 'C']) {
          const sum = (sharing: PanelSharing, of: (s: PanelSharing['shares'][number]['shape']) => number) =>
            sharing.shares.filter((s) => s.member === id).reduce((total, s) => total + of(s.shape), 0);
          const force = tiles.reduce((total, tile) => total + sum(tile, shapeForce), 0);
          const moment = tiles.reduce((total, tile) => total + sum(tile, shapeMoment), 0);
          // where strips do not vary linearly the pieces are cut at other places: equal to the exactness of the integration
          expect(Math.abs(force - sum(whole, shapeForce))).toBeLessThan(1e-5 * whole.whole.area);
          expect(Math.abs(moment - sum(whole, shapeMoment))).toBeLessThan(1e-5 * whole.whole.area * 6000);
        }
      }),
      { numRuns: 60 },
    );
  });

  const items = (pressure: string, outline: PlanPoint[]): Item[] => [
    item('brief', 'brief', defaultBrief('Trial', 'european')),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('buildUp', 'floor', { name: 'Floor', layers: [{ name: 'deck', load: '1 kN/m2' }] }),
    ...[P(0, 0), P(6000, 0), P(0, 4000), P(6000, 4000)].flatMap((at, i) => [
      item('footing', `F${i}`, { mark: `F${i}`, at, level: 'L0' }),
      item('column', `C${i}`, { mark: `C${i}`, at, base: 'L0', top: 'L1', by: null, supportsFound: true, ownWeight: 0 }),
    ]),
    ...[0, 6000].map((x, i) =>
      item('beam', `B${i}`, { mark: `B${i}`, level: 'L1', from: P(x, 0), to: P(x, 4000), ownWeight: 0, supportsFound: true, supports: [] }),
    ),
    item('panel', 'P', { mark: 'P1', level: 'L1', outline: rectangle(0, 0, 6000, 4000), buildUp: 'floor' }),
    item('load', 'safe', { label: 'safe', on: 'P', type: 'area', nature: 'imposed', use: 'E', outline, pressure }),
  ];
  it('reach the ground in their own case, and an edit of one is taken up', () => {
    const engine = new TakedownEngine(() => []);
    const first = engine.run(assemble(items('5 kN/m2', rectangle(0, 0, 2000, 2000))));
    // 20 kN, five sixths on B0, of which its middle lies at 1 m of 4
    expect(first.members.get('F0')!.sum['imposed-E']).toBeCloseTo(20e3 * (5 / 6) * 0.75, 3);
    expect(first.members.get('F0')!.arrivals[0]!.label).toContain('C0');
    expect(first.members.get('B0')!.arrivals.map((arrival) => arrival.label)).toContain('safe');
    const moved = items('5 kN/m2', rectangle(4000, 0, 6000, 2000));
    const again = engine.run(assemble(moved));
    expect(again.members.get('F1')!.sum['imposed-E']).toBeCloseTo(20e3 * (5 / 6) * 0.75, 3);
    expect(again.balance).toEqual(takeDown(assemble(moved), () => []).balance);
    expect(again.looseEnds).toEqual([]);
  });
  it('past the edge are a loose end with their kN', () => {
    const t = takeDown(assemble(items('5 kN/m2', rectangle(5000, 0, 8000, 2000))), () => []);
    const end = t.looseEnds.find(({ title }) => title.startsWith('safe on P1'))!;
    expect(end.byCase['imposed-E']).toBeCloseTo(20e3, 3);
    const line = t.balance.find((entry) => entry.loadCase.id === 'imposed-E')!;
    expect(line.applied.force).toBeCloseTo(30e3, 3);
    expect(line.delivered.force + line.lost.force).toBeCloseTo(30e3, 3);
  });
});
