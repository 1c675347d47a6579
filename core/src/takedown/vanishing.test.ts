import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, readItems, requireConsistent, type Item } from '../building';
import { surveyLooseEnds } from '../design/looseEnds';
import { takeDown, type Takedown } from '.';

const at = (x: number, y = 0) => ({ x, y });
const base = [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('buildUp', 'floor', {
    name: 'Floor',
    layers: [{ name: 'slab', load: 0.004 }],
    variable: [{ name: 'office', load: 0.003, nature: 'imposed', use: 'B' }],
  }),
];
const pad = (id: string, x: number, y = 0, level = 'L0') => item('footing', id, { mark: id, at: at(x, y), level });
const column = (id: string, x: number, y = 0, more: object = {}) =>
  item('column', id, { mark: id, at: at(x, y), base: 'L0', top: 'L1', by: null, supportsFound: true, ownWeight: 0, ...more });
const beam = (id: string, from: readonly [number, number], to: readonly [number, number], more: object = {}) =>
  item('beam', id, { mark: id, level: 'L1', from: at(...from), to: at(...to), ownWeight: 0, supportsFound: true, supports: [], ...more });
const wall = (id: string, from: readonly [number, number], to: readonly [number, number], more: object = {}) =>
  item('wall', id, {
    mark: id,
    from: at(...from),
    to: at(...to),
    base: 'L0',
    top: 'L1',
    weight: 0,
    by: null,
    supportsFound: true,
    bears: 'yes',
    ...more,
  });
const rectangle = (x1: number, y1: number, x2: number, y2: number) => [at(x1, y1), at(x2, y1), at(x2, y2), at(x1, y2)];
const panel = (id: string, outline: Item extends never ? never : ReturnType<typeof rectangle>, more: object = {}) =>
  item('panel', id, { mark: id, level: 'L1', outline, buildUp: 'floor', ...more });
const run = (...items: Item[]) => takeDown(assemble([...base, ...items]), () => []);
const sums = (t: Takedown, id: string) => {
  const line = t.balance.find(({ loadCase }) => loadCase.id === id);
  return [line?.applied.force ?? 0, line?.delivered.force ?? 0, line?.lost.force ?? 0, line?.offsets.force ?? 0].map((v) => Math.round(v));
};
const kinds = (t: Takedown) => t.looseEnds.map(({ key }) => key.split(':')[0]!);
const bay = [column('C1', 0), column('C2', 6000), pad('F1', 0), pad('F2', 6000)];

describe('no load vanishes or doubles without a word', () => {
  it('a strip whose end lies before its start is applied, lost and named; on a new edit it is refused', () => {
    const strips = [{ buildUp: 'floor', from: 6000, to: 0, widthStart: 2000, widthEnd: 2000 }];
    const t = run(...bay, beam('B', [0, 0], [6000, 0], { strips }));
    // 4 kN/m2 x 2 m x 6 m
    expect(sums(t, 'permanent')).toEqual([48_000, 0, 48_000, 0]);
    expect(t.looseEnds.find(({ key }) => key.startsWith('strip-reversed'))!.byCase['permanent']).toBeCloseTo(48_000, 3);
    const items = [...base, ...bay, beam('B', [0, 0], [6000, 0], { strips })];
    expect(() => readItems(JSON.parse(JSON.stringify(items)) as unknown[])).toThrow('strip 1 must end beyond its start');
    // what is stored stays until it is written again
    expect(() => requireConsistent(new Map(items.map((entry) => [entry.id, entry])), new Set(['C1']))).not.toThrow();
  });

  const edges = [beam('E1', [0, 0], [0, 4000]), beam('E2', [6000, 0], [6000, 4000])];
  const posts = [
    [0, 0],
    [0, 4000],
    [6000, 0],
    [6000, 4000],
  ].flatMap(([x, y]) => [column(`P${x}.${y}`.replace('.', '-'), x, y), pad(`Q${x}-${y}`, x!, y)]);
  const trimmers = [beam('T1', [2000, 0], [2000, 4000]), beam('T2', [4000, 0], [4000, 4000])];
  it('openings of a panel that lie over each other are taken off once', () => {
    const opening = (x1: number, x2: number) => ({ outline: rectangle(x1, 1000, x2, 3000) });
    const area = (openings: object[]) => {
      const t = run(...posts, ...edges, ...trimmers, panel('S', rectangle(0, 0, 6000, 4000), { openings }));
      return { sums: sums(t, 'permanent'), kinds: kinds(t) };
    };
    const once = area([opening(2000, 4000)]);
    expect(once.sums[0]).toBe(4 * (24 - 4) * 1000);
    for (const openings of [
      [opening(2000, 4000), opening(2000, 4000)],
      [opening(2000, 3500), opening(3000, 4000)],
    ]) {
      const twice = area(openings);
      expect(twice.sums).toEqual(once.sums);
      expect(twice.kinds).toContain('openings');
    }
    const items = [...base, panel('S', rectangle(0, 0, 6000, 4000), { openings: [opening(2000, 4000), opening(3000, 4500)] })];
    expect(() => readItems(JSON.parse(JSON.stringify(items)) as unknown[])).toThrow('lie over each other');
  });
  it('whatever openings are drawn, what is applied is what is delivered and lost: no force among the offsets', () => {
    const place = fc.integer({ min: 2, max: 56 }).map((n) => n * 100);
    const openings = fc.array(fc.tuple(place, place, place, place), { maxLength: 4 }).map((list) =>
      list.map(([a, b, c, d]) => ({
        outline: rectangle(Math.min(a, b), Math.min(c, d) * 0.65, Math.max(a, b) + 200, Math.max(c, d) * 0.65 + 100),
      })),
    );
    fc.assert(
      fc.property(openings, fc.constantFrom('oneWay', 'twoWay'), (list, span) => {
        const sides = [beam('N', [0, 4000], [6000, 4000]), beam('S0', [0, 0], [6000, 0])];
        const t = run(...posts, ...edges, ...sides, panel('S', rectangle(0, 0, 6000, 4000), { openings: list, span }));
        const [applied, delivered, lost, offsets] = sums(t, 'permanent');
        expect(Math.abs(offsets!)).toBeLessThanOrEqual(1);
        expect(Math.abs(applied! - delivered! - lost!)).toBeLessThanOrEqual(2);
        expect(applied!).toBeLessThanOrEqual(96_001);
      }),
      { numRuns: 80 },
    );
  });
  it('openings of a wall that lie over each other are taken off once, and their load goes round once', () => {
    const opening = (from: number, to: number) => ({ from, to, sill: 0, head: 2000 });
    for (const openingsRule of ['ignored', 'around'] as const) {
      const weight = (openings: object[]) => {
        const strip = item('stripFooting', 'G', { mark: 'G', from: at(0), to: at(5000), level: 'L0' });
        const t = run(strip, wall('W', [0, 0], [5000, 0], { weight: 0.004, openings, openingsRule }));
        return sums(t, 'permanent');
      };
      // (15 - 4) m2 x 4 kN/m2
      expect(weight([opening(1000, 3000)])).toEqual([44_000, 44_000, 0, 0]);
      expect(weight([opening(1000, 3000), opening(1000, 3000)])).toEqual([44_000, 44_000, 0, 0]);
      expect(weight([opening(1000, 2500), opening(2000, 3000)])).toEqual([44_000, 44_000, 0, 0]);
    }
  });
  it('panels that lie over each other, and marks that stand twice, are named', () => {
    const items = [
      panel('S1', rectangle(0, 0, 6000, 4000)),
      panel('S2', rectangle(5000, 0, 9000, 4000)),
      panel('S3', rectangle(9000, 0, 12_000, 4000)),
    ];
    const ends = (more: Item[]) => {
      const building = assemble([...base, ...more]);
      return surveyLooseEnds(
        building,
        takeDown(building, () => []),
      ).map(({ title }) => title);
    };
    expect(ends(items)).toContain('S1 and S2 lie over each other');
    expect(ends(items).filter((title) => title.includes('lie over'))).toHaveLength(1);
    expect(ends([column('C1', 0), { ...column('C2', 3000), body: column('C1', 3000).body } as Item])).toContain(
      'The mark C1 stands on 2 items',
    );
  });
  it('a point or a line load on a panel is applied, lost and named with its size', () => {
    const load = (id: string, body: object) =>
      item('load', id, { label: id, on: 'S', type: 'point', nature: 'permanent', ...body } as never);
    const t = run(
      panel('S', rectangle(0, 0, 6000, 4000), { buildUp: 'floor' }),
      load('stove', { force: 5000 }),
      load('partition', { type: 'line', from: 0, to: 3000, intensity: 2 }),
    );
    const [applied, delivered, lost] = sums(t, 'permanent');
    expect([applied, delivered, lost]).toEqual([96_000 + 5000 + 6000, 0, 96_000 + 5000 + 6000]);
    const named = t.looseEnds.filter(({ key }) => key.startsWith('load-on-panel'));
    expect(named.map(({ byCase }) => Math.round(byCase['permanent']!)).sort()).toEqual([5000, 6000]);
  });
  it('a ring says what load it holds', () => {
    const named = (by: string) => ({
      supportsFound: false,
      supports: [
        { at: 0, by },
        { at: 4000, by },
      ],
    });
    const load = item('load', 'P', { label: 'safe', on: 'X1', type: 'point', nature: 'permanent', at: 2000, force: 9000 });
    const t = run(beam('X1', [0, 0], [4000, 0], named('X2')), beam('X2', [0, 0], [4000, 0], named('X1')), load);
    expect(t.looseEnds.find(({ key }) => key.startsWith('loop'))!.byCase['permanent']).toBeCloseTo(9000, 6);
  });
  it('a beam across the tips of two cantilevers bears on them', () => {
    const cantilever = (id: string, y: number) => beam(id, [0, y], [5000, y]);
    const feet = [0, 3000].flatMap((y) => [0, 3500].flatMap((x) => [column(`C${x}-${y}`, x, y), pad(`F${x}-${y}`, x, y)]));
    const load = item('load', 'P', { label: 'rail', on: 'T', type: 'point', nature: 'permanent', at: 1500, force: 8000 });
    const t = run(...feet, cantilever('K1', 0), cantilever('K2', 3000), beam('T', [5000, 0], [5000, 3000]), load);
    expect(t.bearers.get('T')!.map(({ by }) => by)).toEqual(['K1', 'K2']);
    expect(sums(t, 'permanent')).toEqual([8000, 8000, 0, 0]);
    expect(kinds(t)).not.toContain('no-support');
    // the lever of each: 4 kN at 5 m of 3.5
    expect(t.members.get('F3500-0')!.sum['permanent']).toBeCloseTo((4000 * 5) / 3.5, 3);
  });
  it('a beam named on a wall that carries nothing, and supports at impossible levels, are named and hand nothing on', () => {
    const load = item('load', 'P', { label: 'safe', on: 'B', type: 'point', nature: 'permanent', at: 3000, force: 8000 });
    const named = (left: string, right: string) =>
      beam('B', [0, 0], [6000, 0], {
        supportsFound: false,
        supports: [
          { at: 0, by: left },
          { at: 6000, by: right },
        ],
      });
    const idle = run(...bay, wall('W', [0, -1000], [0, 1000], { bears: 'no' }), named('W', 'C2'), load);
    expect(kinds(idle)).toContain('idle-support');
    expect(sums(idle, 'permanent')).toEqual([8000, 4000, 4000, 0]);
    // a pad three metres below, a column that ends a storey above
    const low = run(...bay, named('F1', 'C2'), load);
    expect(low.looseEnds.find(({ key }) => key.startsWith('levels'))!.why).toContain('3.00 m down');
    expect(sums(low, 'permanent')).toEqual([8000, 4000, 4000, 0]);
    const high = run(
      ...bay,
      column('H', 0, 0, { base: 'L1', top: 'L2' }),
      beam('A', [0, 0], [6000, 0], {
        level: 'L2',
        supportsFound: false,
        supports: [
          { at: 0, by: 'H' },
          { at: 6000, by: 'C2' },
        ],
      }),
      load,
      named('C1', 'C2'),
    );
    expect(kinds(high)).toContain('levels');
  });
});
