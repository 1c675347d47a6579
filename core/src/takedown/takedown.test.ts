import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../building';
import { usualCases, type Combination, type LoadCase } from '../load';
import { isClosedMoment, numbersOf, takeDown, why, type Cause, type Takedown } from '.';

const noLifting = () => [];
const ground = [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
];
const floor = item('buildUp', 'floor', {
  name: 'Floor',
  layers: [
    { name: 'deck', load: '0.5 kN/m2' },
    { name: 'screed', load: '1.5 kN/m2' },
    { name: 'ceiling', load: '0.25 kN/m2', nature: 'superimposed', carriedBy: 'joists' },
  ],
  variable: [{ name: 'office', load: '3 kN/m2', nature: 'imposed', use: 'B' }],
});
const footing = (id: string, x: number, y: number) => item('footing', id, { mark: id, at: { x, y }, level: 'L0' });
const column = (id: string, x: number, y: number, by: string | null, base = 'L0', top = 'L1') =>
  item('column', id, { mark: id, at: { x, y }, base, top, by, ownWeight: 0.5 });
const beam = (
  id: string,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  supports: [number, string | null, boolean?][],
  more: object = {},
) =>
  item('beam', id, {
    mark: id,
    level: 'L1',
    from: { x: x1, y: y1 },
    to: { x: x2, y: y2 },
    ownWeight: 0.4,
    supports: supports.map(([at, by, fixed = false]) => ({ at, by, fixed })),
    ...more,
  });
/** Pads that a beam rests on directly lie at its level. */
function raised(items: readonly Item[]): Item[] {
  const levels = new Map(
    items.flatMap((entry) => (entry.kind === 'beam' ? entry.body.supports.map(({ by }) => [by, entry.body.level] as const) : [])),
  );
  return items.map((entry) =>
    entry.kind === 'footing' && levels.has(entry.id) ? { ...entry, body: { ...entry.body, level: levels.get(entry.id)! } } : entry,
  );
}
const run = (items: Item[]): Takedown => takeDown(assemble([...ground, floor, ...raised(items)]), noLifting);
const titles = (t: Takedown) => t.looseEnds.map((end) => end.title);

function expectClosed(t: Takedown): void {
  for (const line of t.balance) {
    const scale = Math.abs(line.applied.force) + Math.abs(line.delivered.force) + Math.abs(line.lost.force);
    expect(Math.abs(line.gap.force)).toBeLessThanOrEqual(1e-9 * scale + 1e-9);
    const turn = 1e-9 * (scale * 30_000 + Math.abs(line.applied.aboutX) + Math.abs(line.applied.aboutY) + 1);
    expect(Math.abs(line.gap.aboutX)).toBeLessThanOrEqual(turn);
    expect(Math.abs(line.gap.aboutY)).toBeLessThanOrEqual(turn);
  }
}

describe('a simple bay', () => {
  const items = [
    footing('F1', 0, 0),
    footing('F2', 6000, 0),
    column('C1', 0, 0, 'F1'),
    column('C2', 6000, 0, 'F2'),
    beam(
      'B1',
      0,
      0,
      6000,
      0,
      [
        [0, 'C1'],
        [6000, 'C2'],
      ],
      { strips: [{ buildUp: 'floor', from: 0, to: 6000, widthStart: 2000, widthEnd: 2000 }] },
    ),
    item('load', 'P', { label: 'safe', on: 'B1', type: 'point', nature: 'imposed', use: 'E', at: 4500, force: '12 kN' }),
  ];
  const t = run(items);
  it('gives each column its lever share, case by case, by hand', () => {
    // permanent 2.0 kN/m2 x 2 m x 6 m / 2 = 12; own 0.4 x 6 / 2 = 1.2; ceiling 0.25 x 2 x 3 = 1.5; office 3 x 2 x 3 = 18; safe 12 x 4.5 / 6
    const [left, right] = t.members.get('B1')!.leaves;
    expect(left!.byCase['permanent']).toBeCloseTo(13_200, 6);
    expect(left!.byCase['superimposed']).toBeCloseTo(1500, 6);
    expect(left!.byCase['imposed-B']).toBeCloseTo(18_000, 6);
    expect(right!.byCase['imposed-E']).toBeCloseTo(9000, 6);
    expect(left!.byCase['imposed-E']).toBeCloseTo(3000, 6);
    // column adds 0.5 kN/m x 3 m
    expect(t.members.get('F1')!.sum['permanent']).toBeCloseTo(14_700, 6);
  });
  it('closes and has no loose ends', () => {
    expectClosed(t);
    expect(t.looseEnds).toEqual([]);
    expect(t.balance.map((line) => line.loadCase.id)).toEqual(['permanent', 'superimposed', 'imposed-B', 'imposed-E']);
  });
  it('numbers the members as one would calculate them', () => {
    expect(t.order).toEqual(['B1', 'C1', 'C2', 'F1', 'F2']);
  });
  it('shows on the plumb what passes below each level', () => {
    const below = t.plumb.find((level) => level.level === 'L1')!;
    expect(below.byCase['imposed-B']).toBeCloseTo(36_000, 6);
    expect(t.plumb.find((level) => level.level === 'L2')!.byCase).toEqual({});
    expect(t.plumb.find((level) => level.level === 'L0')!.byCase['imposed-E']).toBeCloseTo(12_000, 6);
  });
  it('answers why down to the layer, and the layers add up', () => {
    const building = assemble([...ground, floor, ...items]);
    const causes = why(building, t, 'F1', 0);
    const leafSum = (list: readonly Cause[], id: string): number =>
      list.reduce((sum, cause) => sum + (cause.causes.length ? leafSum(cause.causes, id) : (cause.byCase[id] ?? 0)), 0);
    expect(leafSum(causes, 'permanent')).toBeCloseTo(14_700, 4);
    expect(leafSum(causes, 'imposed-B')).toBeCloseTo(18_000, 4);
    expect(JSON.stringify(causes)).toContain('screed');
  });
});

describe('ways down that are not straight', () => {
  it('a pitched strip: layers per area of slope, imposed per area of plan', () => {
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 6000, 0),
      beam(
        'B1',
        0,
        0,
        6000,
        0,
        [
          [0, 'F1'],
          [6000, 'F2'],
        ],
        { ownWeight: 0, strips: [{ buildUp: 'floor', from: 0, to: 6000, widthStart: 1000, widthEnd: 1000, pitch: '60 deg' }] },
      ),
    ]);
    expect(t.members.get('B1')!.sum['permanent']).toBeCloseTo(2 * 2.0 * 6000, 5);
    expect(t.members.get('B1')!.sum['imposed-B']).toBeCloseTo(3.0 * 6000, 6);
  });
  it('hangers carry load up before it comes down, and count against the plumb', () => {
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 8000, 0),
      column('C1', 0, 0, 'F1', 'L0', 'L2'),
      column('C2', 8000, 0, 'F2', 'L0', 'L2'),
      beam(
        'T1',
        0,
        0,
        8000,
        0,
        [
          [0, 'C1'],
          [8000, 'C2'],
        ],
        { level: 'L2', ownWeight: 0 },
      ),
      item('hanger', 'R1', { mark: 'R1', at: { x: 2000, y: 0 }, top: 'L2', base: 'L1', by: 'T1', ownWeight: 0 }),
      item('hanger', 'R2', { mark: 'R2', at: { x: 6000, y: 0 }, top: 'L2', base: 'L1', by: 'T1', ownWeight: 0 }),
      beam(
        'G1',
        2000,
        0,
        6000,
        0,
        [
          [0, 'R1'],
          [4000, 'R2'],
        ],
        { ownWeight: 0, strips: [{ buildUp: 'floor', from: 0, to: 4000, widthStart: 1000, widthEnd: 1000 }] },
      ),
    ]);
    expectClosed(t);
    expect(t.looseEnds).toEqual([]);
    expect(t.order.indexOf('G1')).toBeLessThan(t.order.indexOf('T1'));
    expect(t.members.get('T1')!.leaves[0]!.byCase['imposed-B']).toBeCloseTo(6000, 6);
    // below the roof the columns carry 12 kN down and the hangers hold 12 kN up: nothing net passes but column weight
    expect(t.plumb.find((level) => level.level === 'L2')!.byCase['imposed-B']).toBeCloseTo(0, 6);
    expect(t.plumb.find((level) => level.level === 'L1')!.byCase['imposed-B']).toBeCloseTo(12_000, 6);
  });
  it('an overhang lifts the far support; judged with what helps left out', () => {
    const lifting = (cases: readonly LoadCase[]): Combination[] => [
      {
        id: 'EQU',
        name: 'EQU',
        basis: 'overturning',
        clause: 'test',
        purpose: 'lifting',
        favourablePermanent: 0.9,
        cases: usualCases,
        factors: Object.fromEntries(cases.map((c) => [c.id, c.nature === 'permanent' ? 1.1 : 1.5])),
      },
    ];
    const items = (holdsDown: boolean) => [
      ...ground,
      floor,
      footing('F1', 0, 0),
      footing('F2', 4000, 0),
      item('beam', 'B1', {
        mark: 'B1',
        level: 'L1',
        from: { x: 0, y: 0 },
        to: { x: 7000, y: 0 },
        ownWeight: 0.2,
        supports: [
          { at: 0, by: 'F1', holdsDown },
          { at: 4000, by: 'F2' },
        ],
        strips: [{ buildUp: 'floor', from: 4000, to: 7000, widthStart: 1000, widthEnd: 1000 }],
      }),
    ];
    const t = takeDown(assemble(raised(items(false))), lifting);
    expectClosed(t);
    // share of an overhang load at 5.5 m: -1.5/4; permanent 6 kN, imposed 9 kN; own 1.4 kN at 3.5 m helps by 0.5/4
    const lift = 1.1 * 6 * (1.5 / 4) + 1.5 * (0.75 + 9) * (1.5 / 4) - 0.9 * 1.4 * (0.5 / 4);
    expect(titles(t)).toContain(`B1 lifts off F1 by ${lift.toFixed(2)} kN`);
    expect(takeDown(assemble(raised(items(true))), lifting).looseEnds.filter((end) => end.item === 'B1')).toEqual([]);
  });
  it('variable load that relieves a support does not count for it: it may be absent', () => {
    const t = run([
      ...[0, 5000, 10000].map((x, i) => footing(`F${i}`, x, 0)),
      beam(
        'B1',
        0,
        0,
        10000,
        0,
        [
          [0, 'F0'],
          [5000, 'F1'],
          [10000, 'F2'],
        ],
        { ownWeight: 0, strips: [{ buildUp: 'floor', from: 0, to: 5000, widthStart: 1000, widthEnd: 1000 }] },
      ),
      item('load', 'P', { label: 'safe', on: 'B1', type: 'point', nature: 'imposed', use: 'B', at: 9900, force: 1000 }),
    ]);
    // one span of two loaded with 3 kN/m: -wl/16 at the far end, by hand
    const far = t.members.get('F2')!;
    const lever = far.arrivals[0]!;
    expect(far.adverse['imposed-B']! - far.sum['imposed-B']!).toBeCloseTo((3 * 5000) / 16, 4);
    expect(far.adverse['imposed-B']!).toBeGreaterThan(900);
    expect(lever.adverse['imposed-B']).toBe(far.adverse['imposed-B']);
  });
  it('a wall keeps the line of action of what stands on it', () => {
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 6000, 0),
      beam(
        'TB',
        0,
        0,
        6000,
        0,
        [
          [0, 'F1'],
          [6000, 'F2'],
        ],
        { ownWeight: 0 },
      ),
      item('wall', 'W1', {
        mark: 'W1',
        from: { x: 1000, y: 50 },
        to: { x: 5000, y: 50 },
        base: 'L1',
        top: 'L2',
        weight: '4 kN/m2',
        by: 'TB',
      }),
      item('beam', 'R1', {
        mark: 'R1',
        level: 'L2',
        from: { x: 1800, y: 50 },
        to: { x: 1800, y: 4050 },
        ownWeight: 0,
        supports: [
          { at: 0, by: 'W1' },
          { at: 4000, by: null },
        ],
        strips: [{ buildUp: 'floor', from: 0, to: 4000, widthStart: 1000, widthEnd: 1000 }],
      }),
    ]);
    expectClosed(t);
    expect(titles(t)).toEqual(['R1 rests on nothing at 4.00 m']);
    // wall 4 x 3 x 4 = 48 kN about x = 3; roof beam end 6 kN imposed at x = 1.8
    expect(t.members.get('TB')!.leaves[0]!.byCase['imposed-B']).toBeCloseTo(6000 * (4200 / 6000), 6);
    expect(t.members.get('TB')!.leaves[1]!.byCase['permanent']).toBeCloseTo(24_000 + 4000 * 0.3, 4);
    expect(t.members.get('TB')!.transfer).toBe(true);
    // the wall stands 50 mm beside the beam: that moment stands on its own line
    const imposed = t.balance.find((line) => line.loadCase.id === 'imposed-B')!;
    expect(imposed.offsets.aboutX).toBeCloseTo(6000 * 50, 3);
    expect([isClosedMoment(imposed, 'aboutX'), isClosedMoment(imposed, 'aboutY')]).toEqual([true, true]);
    expect(isClosedMoment({ ...imposed, gap: { ...imposed.gap, aboutX: 1000 } }, 'aboutX')).toBe(false);
  });
  it('load near the end of a wall presses on a shortened contact', () => {
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 6000, 0),
      beam(
        'TB',
        0,
        0,
        6000,
        0,
        [
          [0, 'F1'],
          [6000, 'F2'],
        ],
        { ownWeight: 0 },
      ),
      item('wall', 'W1', { mark: 'W1', from: { x: 0, y: 0 }, to: { x: 6000, y: 0 }, base: 'L1', top: 'L2', weight: 0, by: 'TB' }),
      item('load', 'P', { label: 'post', on: 'W1', type: 'point', nature: 'permanent', at: 500, force: 9000 }),
    ]);
    expectClosed(t);
    const shape = t.members.get('TB')!.arrivals[0]!.shape;
    expect(shape).toEqual({ type: 'distributed', from: 0, to: 1500, start: 2 / 1500, end: 0 });
  });
  it('a slab that carries two ways is divided by a wall inside it, and goes around an inward corner', () => {
    const wall = (id: string, x1: number, y1: number, x2: number, y2: number) => {
      const ends = { from: { x: x1, y: y1 }, to: { x: x2, y: y2 } };
      return [
        item('stripFooting', `S${id}`, { mark: `S${id}`, level: 'L0', ...ends }),
        item('wall', id, { mark: id, ...ends, base: 'L0', top: 'L1', weight: 0, by: `S${id}` }),
      ];
    };
    const slab = (corners: readonly (readonly [number, number])[]) =>
      item('panel', 'P', { mark: 'P', level: 'L1', outline: corners.map(([x, y]) => ({ x, y })), buildUp: 'floor', span: 'twoWay' });
    const imposed = (t: Takedown, id: string) => t.members.get(id)!.sum['imposed-B']! / 3000;
    const divided = run([
      ...wall('W1', 0, 0, 8000, 0),
      ...wall('W2', 8000, 0, 8000, 4000),
      ...wall('W3', 8000, 4000, 0, 4000),
      ...wall('W4', 0, 4000, 0, 0),
      ...wall('W5', 4000, 0, 4000, 4000),
      slab([
        [0, 0],
        [8000, 0],
        [8000, 4000],
        [0, 4000],
      ]),
    ]);
    // two squares of 4 m: a quarter, 4 m2, to each side of each
    expect(['W1', 'W2', 'W3', 'W4', 'W5'].map((id) => Number(imposed(divided, id).toFixed(6)))).toEqual([8, 4, 8, 4, 8]);
    const corners = [
      [0, 0],
      [4000, 0],
      [4000, 2000],
      [2000, 2000],
      [2000, 4000],
      [0, 4000],
    ] as const;
    const around = run([
      ...corners.flatMap(([x, y], i) => {
        const [toX, toY] = corners[(i + 1) % corners.length]!;
        return wall(`W${i}`, x, y, toX, toY);
      }),
      slab(corners),
    ]);
    expect(corners.reduce((sum, _, i) => sum + imposed(around, `SW${i}`), 0)).toBeCloseTo(12, 9);
    // the ends of the arms are triangles of 1 m2
    expect([imposed(around, 'W1'), imposed(around, 'W4')]).toEqual([expect.closeTo(1, 6), expect.closeTo(1, 6)]);
    for (const t of [divided, around]) {
      expect(titles(t)).toEqual([]);
      expectClosed(t);
    }
  });
  it('a wall weighs by its own height, and load spreads through no more than its storey', () => {
    const wall = (height: string | null) =>
      run([
        item('stripFooting', 'S', { mark: 'S', level: 'L1', from: { x: 0, y: 0 }, to: { x: 8000, y: 0 } }),
        item('wall', 'W1', {
          mark: 'W1',
          from: { x: 0, y: 0 },
          to: { x: 8000, y: 0 },
          base: 'L1',
          top: 'L2',
          height,
          weight: '4 kN/m2',
          by: 'S',
          openings: [{ from: 1000, to: 2000, sill: 0, head: 2100 }],
        }),
        item('load', 'P', { label: 'post', on: 'W1', type: 'point', nature: 'snow', at: 4000, force: 6000 }),
      ]);
    const expectReach = (t: Takedown, from: number, to: number) => {
      const foot = t.members.get('S')!.arrivals.find(({ byCase }) => byCase['snow'])!.shape as { from: number; to: number };
      expect([foot.from, foot.to].map((at) => Math.round(at * 1e6) / 1e6)).toEqual([from, to]);
    };
    // 3 m of storey: 4 x (8 x 3 - 1 x 2.1); the cone is 3 m to either side
    const storey = wall(null);
    expect(storey.members.get('S')!.sum['permanent']).toBeCloseTo(4000 * (24 - 2.1), 6);
    expectReach(storey, 1000, 7000);
    const low = wall('2.4 m');
    expect(low.members.get('S')!.sum['permanent']).toBeCloseTo(4000 * (8 * 2.4 - 2.1), 6);
    expectReach(low, 1600, 6400);
    const parapet = wall('3.9 m');
    expect(parapet.members.get('S')!.sum['permanent']).toBeCloseTo(4000 * (8 * 3.9 - 2.1), 6);
    expectReach(parapet, 1000, 7000);
    for (const t of [storey, low, parapet]) {
      expect(titles(t)).toEqual([]);
      expectClosed(t);
    }
    // a door higher than its wall: what is inside the wall is taken off, and it is said
    const dwarf = wall('1.5 m');
    expect(dwarf.members.get('S')!.sum['permanent']).toBeCloseTo(4000 * 1.5 * 7, 6);
    expect(titles(dwarf)).toEqual(['Opening 1 of W1 reaches out of the wall']);
  });
  it('a wall through two storeys takes the panels of both, and a panel above nothing is lost', () => {
    const panel = (id: string, level: string, x: number) =>
      item('panel', id, {
        mark: id,
        level,
        outline: [
          { x, y: 0 },
          { x: x + 6000, y: 0 },
          { x: x + 6000, y: 4000 },
          { x, y: 4000 },
        ],
        buildUp: 'floor',
        span: 'oneWay',
        direction: Math.PI / 2,
      });
    const wall = (id: string, y: number) => [
      item('stripFooting', `S${id}`, { mark: `S${id}`, level: 'L0', from: { x: 0, y }, to: { x: 6000, y } }),
      item('wall', id, { mark: id, from: { x: 0, y }, to: { x: 6000, y }, base: 'L0', top: 'L2', weight: 0, by: `S${id}` }),
    ];
    const t = run([...wall('W1', 0), ...wall('W2', 4000), panel('P1', 'L1', 0), panel('P2', 'L2', 0), panel('P3', 'L2', 20_000)]);
    // 2 m of 3 kN/m2 over 6 m from each floor; the panel that stands above nothing has 24 m2
    for (const id of ['W1', 'W2']) {
      expect(t.members.get(id)!.arrivals.flatMap(({ source }) => (source.type === 'panel' ? [source.panel] : []))).toEqual(['P2', 'P1']);
      expect(t.members.get(id)!.sum['imposed-B']).toBeCloseTo(72_000, 6);
      expect(t.members.get(`S${id}`)!.sum['imposed-B']).toBeCloseTo(72_000, 6);
    }
    const imposed = t.balance.find(({ loadCase }) => loadCase.id === 'imposed-B')!;
    expect([imposed.applied.force, imposed.delivered.force, imposed.lost.force].map(Math.round)).toEqual([216_000, 144_000, 72_000]);
    expect([...t.panels.keys()].sort()).toEqual(['P1', 'P2', 'P3']);
    expectClosed(t);
  });
  it('a continuous beam over three columns', () => {
    const t = run([
      ...[0, 5000, 10000].flatMap((x, i) => [footing(`F${i}`, x, 0)]),
      beam(
        'B1',
        0,
        0,
        10000,
        0,
        [
          [0, 'F0'],
          [5000, 'F1'],
          [10000, 'F2'],
        ],
        { ownWeight: 0, strips: [{ buildUp: 'floor', from: 0, to: 10000, widthStart: 1000, widthEnd: 1000 }] },
      ),
    ]);
    expectClosed(t);
    expect(t.members.get('F1')!.sum['imposed-B']).toBeCloseTo(1.25 * 3 * 5000, 4);
  });
});

describe('loose ends', () => {
  const strips = [{ buildUp: 'floor', from: 0, to: 6000, widthStart: 1000, widthEnd: 1000 }];
  it.each([
    [
      'a support that is not named',
      [
        footing('F1', 0, 0),
        beam('B1', 0, 0, 6000, 0, [
          [0, 'F1'],
          [6000, null],
        ]),
      ],
      'B1 rests on nothing at 6.00 m',
    ],
    ['a column without a footing', [column('C1', 0, 0, null)], 'C1 rests on nothing'],
    [
      'a wall that stops above nothing',
      [item('wall', 'W1', { mark: 'W1', from: { x: 0, y: 0 }, to: { x: 3000, y: 0 }, base: 'L1', top: 'L2', weight: 0.003, by: null })],
      'W1 stops above nothing',
    ],
    [
      'a mechanism',
      [footing('F1', 0, 0), beam('B1', 0, 0, 6000, 0, [[0, 'F1']])],
      'B1: the beam is a mechanism: its supports and hinges do not hold it (a single pinned support, or too many hinges)',
    ],
    [
      'a support off the beam',
      [
        footing('F1', 0, 0),
        footing('F2', 6000, 0),
        beam('B1', 0, 0, 6000, 0, [
          [0, 'F1'],
          [7000, 'F2'],
        ]),
      ],
      'B1: a support at 7 m lies off the beam, which is 6 m long',
    ],
    [
      'a zero span',
      [
        footing('F1', 0, 0),
        beam('B1', 0, 0, 0, 0, [
          [0, 'F1'],
          [10, 'F1'],
        ]),
        item('load', 'P', { label: 'post', on: 'B1', type: 'point', nature: 'permanent', at: 0, force: 9000 }),
      ],
      'B1: the beam has no length: its span must be greater than 0',
    ],
    [
      'a member far from its support',
      [
        footing('F1', 0, 0),
        footing('F2', 9000, 0),
        beam('B1', 0, 0, 6000, 0, [
          [0, 'F1'],
          [6000, 'F2'],
        ]),
      ],
      'B1 is 3.00 m away from F2, on which it is said to rest',
    ],
    [
      'a strip past the end',
      [
        footing('F1', 0, 0),
        footing('F2', 5000, 0),
        beam(
          'B1',
          0,
          0,
          5000,
          0,
          [
            [0, 'F1'],
            [5000, 'F2'],
          ],
          { strips },
        ),
      ],
      'Floor reaches past the end of B1',
    ],
    [
      'a load with no path',
      [item('load', 'P', { label: 'tank', on: 'gone', type: 'point', nature: 'permanent', force: 9000 })],
      'tank acts on a member that is not in the building',
    ],
  ])('%s', (_, items, title) => {
    const t = run(items);
    expect(titles(t)).toContain(title);
    expectClosed(t);
  });
  it('members that rest on each other in a ring are named, and the rest is still calculated', () => {
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 6000, 0),
      beam('B1', 0, 0, 6000, 0, [
        [0, 'F1'],
        [6000, 'F2'],
      ]),
      beam('X1', 0, 2000, 4000, 2000, [
        [0, 'X2'],
        [4000, 'X2'],
      ]),
      beam('X2', 0, 2000, 4000, 2000, [
        [0, 'X1'],
        [4000, 'B1'],
      ]),
    ]);
    expect(titles(t)).toContain('X1, X2 rest on each other in a ring');
    expectClosed(t);
    expect(t.members.get('F1')!.sum['permanent']).toBeGreaterThan(1000);
    expect(numbersOf(t).get('X1')).toBe(0);
  });
  it('on a level without members a panel is lost whole, not forgotten', () => {
    const outline = [
      { x: 0, y: 0 },
      { x: 6000, y: 0 },
      { x: 6000, y: 4000 },
      { x: 0, y: 4000 },
    ];
    const t = run([item('panel', 'P1', { mark: 'P1', level: 'L2', outline, buildUp: 'floor', span: 'oneWay', direction: 0 })]);
    const imposed = t.balance.find(({ loadCase }) => loadCase.id === 'imposed-B')!;
    expect([imposed.applied.force, imposed.lost.force].map(Math.round)).toEqual([72_000, 72_000]);
    expect(titles(t)).toContain('P1: 24.00 m² span between nothing');
  });
  it('every loose end has a key of its own', () => {
    const t = run([
      column('C1', 0, 0, null),
      beam('B1', 0, 0, 6000, 0, [
        [0, null],
        [6000, null],
      ]),
    ]);
    expect(new Set(t.looseEnds.map((end) => end.key)).size).toBe(t.looseEnds.length);
  });
});

/** Random structures: every kind of connection, right and wrong. */
const randomItems = fc
  .record({
    seed: fc.array(
      fc.integer({ min: 0, max: 100_000 }).map((n) => n / 100_000),
      { minLength: 60, maxLength: 60 },
    ),
    bays: fc.integer({ min: 1, max: 3 }),
    beams: fc.integer({ min: 1, max: 8 }),
  })
  .map(({ seed, bays, beams }) => {
    let n = 0;
    const r = () => seed[n++ % seed.length]!;
    const items: Item[] = [];
    for (let i = 0; i <= bays; i += 1) {
      items.push(footing(`F${i}`, i * 5000 + r() * 200, r() * 200));
      items.push(column(`C${i}`, i * 5000 + r() * 100, r() * 100, r() < 0.9 ? `F${i}` : null));
    }
    items.push(
      beam(
        'M',
        0,
        0,
        bays * 5000,
        0,
        Array.from({ length: bays + 1 }, (_, i) => [i * 5000, r() < 0.95 ? `C${i}` : null, r() < 0.2] as [number, string | null, boolean]),
        {
          stretches: r() < 0.3 ? [{ from: r() * 2000, to: 2000 + r() * 3000, factor: 0.5 + 3 * r() }] : [],
          strips: [
            { buildUp: 'floor', from: r() * 1000, to: bays * 5000 + (r() < 0.2 ? 500 : 0), widthStart: r() * 4000, widthEnd: r() * 4000 },
          ],
        },
      ),
    );
    for (let i = 0; i < beams; i += 1) {
      const x = r() * bays * 5000;
      const y = 1000 + r() * 5000;
      const overhang = r() < 0.4 ? r() * 1500 : 0;
      const before = i === 0 || r() < 0.5 ? 'M' : `J${Math.floor(r() * beams)}`;
      items.push(footing(`Q${i}`, x, y));
      items.push(
        beam(
          `J${i}`,
          x,
          r() * 250,
          x + r() * 200,
          y + overhang,
          r() < 0.15
            ? [[0, before, true]]
            : [
                [0, before, r() < 0.15],
                [Math.max(1.5, y - 200), `Q${i}`, r() < 0.15],
              ],
          { strips: [{ buildUp: 'floor', from: 0, to: y, widthStart: r() * 3000, widthEnd: r() * 3000 }] },
        ),
      );
      if (r() < 0.5)
        items.push(
          item('load', `P${i}`, {
            label: 'plant',
            on: `J${i}`,
            type: r() < 0.5 ? 'point' : 'line',
            nature: 'imposed',
            use: 'E',
            at: r() * y,
            force: (r() - 0.3) * 40_000,
            from: 0,
            to: r() * y,
            intensity: r() * 10,
          }),
        );
    }
    const start = r() * 2000;
    items.push(
      item('wall', 'W', {
        mark: 'W',
        from: { x: start, y: r() * 250 },
        to: { x: start + 500 + r() * 4000, y: r() * 250 },
        base: 'L1',
        top: 'L2',
        weight: 0.004,
        by: r() < 0.9 ? 'M' : null,
      }),
    );
    items.push(
      item('load', 'onWall', { label: 'on the wall', on: 'W', type: 'point', nature: 'snow', at: r() * 500, force: r() * 50_000 }),
    );
    return items;
  });

describe('fixed ends', () => {
  const balcony = (more: object = {}) => [
    footing('F1', 0, 0),
    column('C1', 0, 0, 'F1'),
    beam('B1', 0, 0, 1500, 0, [[0, 'C1', true]], more),
    item('load', 'tip', { label: 'rail', on: 'B1', type: 'point', nature: 'imposed', use: 'A', at: 1500, force: 3000 }),
  ];
  it('a cantilever hands all of its load to what it is fixed to, and the balance closes with its moment', () => {
    const t = run(balcony());
    expect(titles(t)).toEqual([]);
    // 0.4 kN/m x 1.5 m and 0.5 kN/m x 3 m of column; 3 kN
    expect(t.members.get('F1')!.sum).toEqual({ permanent: expect.closeTo(0.6e3 + 1.5e3, 6), 'imposed-A': expect.closeTo(3000, 6) });
    expectClosed(t);
    // the moment of 3 kN at 1.5 m stands among what changes its line of action
    const line = t.balance.find(({ loadCase }) => loadCase.id === 'imposed-A')!;
    expect(Math.max(Math.abs(line.offsets.aboutX), Math.abs(line.offsets.aboutY)) / 1e6).toBeCloseTo(4.5, 6);
  });
  it('not fixed, the same beam is a mechanism, and the loose end says what is missing', () => {
    const t = run(balcony({ supports: [{ at: 0, by: 'C1' }] }));
    expect(t.looseEnds.some(({ key, remedy }) => key.startsWith('unstable') && remedy.includes('fixed'))).toBe(true);
  });
  it('fixed at one end, a middle load gives 11/16 to it and 5/16 to the other', () => {
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 8000, 0),
      beam(
        'B1',
        0,
        0,
        8000,
        0,
        [
          [0, 'F1', true],
          [8000, 'F2'],
        ],
        { ownWeight: 0 },
      ),
      item('load', 'P', { label: 'plant', on: 'B1', type: 'point', nature: 'imposed', use: 'E', at: 4000, force: 16_000 }),
    ]);
    expect(t.members.get('F1')!.sum['imposed-E']).toBeCloseTo(11_000, 6);
    expect(t.members.get('F2')!.sum['imposed-E']).toBeCloseTo(5000, 6);
    expectClosed(t);
  });
  it('a stretch that is stiffer draws load to it: over the middle of two spans, by the force method', () => {
    // two spans of 4 m under 10 kN/m, the middle 4 m k times as stiff: middle reaction = d0 / f of the simple span of 8 m
    const [L, k, w] = [8000, 4, 10];
    const t = run([
      footing('F1', 0, 0),
      footing('F2', 4000, 0),
      footing('F3', L, 0),
      beam(
        'B1',
        0,
        0,
        L,
        0,
        [
          [0, 'F1'],
          [4000, 'F2'],
          [L, 'F3'],
        ],
        { ownWeight: 0, stretches: [{ from: 2000, to: 6000, factor: k }] },
      ),
      item('load', 'w', { label: 'wall', on: 'B1', type: 'line', nature: 'permanent', from: 0, to: L, intensity: w }),
    ]);
    // int of M m / EI over half a span; M = w x (L - x) / 2, m = x / 2
    const d = (a: number, b: number) => (w / 4) * ((L * (b ** 3 - a ** 3)) / 3 - (b ** 4 - a ** 4) / 4);
    const f = (a: number, b: number) => (b ** 3 - a ** 3) / 12;
    const middle = (d(0, 2000) + d(2000, 4000) / k) / (f(0, 2000) + f(2000, 4000) / k);
    expect(t.members.get('F2')!.sum.permanent).toBeCloseTo(middle, 4);
    expectClosed(t);
  });
});

describe('any building', () => {
  it('closes in force and in moment about both plan axes, case by case, to 1e-9 of the applied load', () => {
    fc.assert(
      fc.property(randomItems, (items) => expectClosed(run(items))),
      { numRuns: 400 },
    );
  });
  it('is linear in its loads: twice the build-up gives twice the reactions', () => {
    fc.assert(
      fc.property(randomItems, (items) => {
        const double = item('buildUp', 'floor', {
          name: 'Floor',
          layers: [],
          variable: [{ name: 'office', load: '6 kN/m2', nature: 'imposed', use: 'B' }],
        });
        const [one, two] = [run(items), takeDown(assemble([...ground, double, ...raised(items)]), noLifting)];
        for (const [id, ledger] of one.members)
          expect(two.members.get(id)!.sum['imposed-B'] ?? 0).toBeCloseTo(2 * (ledger.sum['imposed-B'] ?? 0), 3);
      }),
      { numRuns: 100 },
    );
  });
});
