import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  assemble,
  beside,
  crossingAt,
  defaultBrief,
  item,
  itemSchema,
  joinLines,
  joinPanels,
  measure,
  planLength,
  roundedUp,
  splitLine,
  splitPanel,
  type Fresh,
  type Item,
} from '.';
import { takeDown } from '../takedown';

const fresh = (): Fresh => {
  let n = 0;
  return { id: (kind) => `${kind}-${(n += 1)}`, mark: (old) => `${old}.${(n += 1)}` };
};
type Beam = Extract<Item, { kind: 'beam' }>;
const beam = (more: object = {}) =>
  item('beam', 'B', {
    mark: 'B1',
    level: 'L1',
    from: { x: 0, y: 0 },
    to: { x: 6000, y: 0 },
    ownWeight: 0.5,
    supportsFound: true,
    supports: [],
    ...more,
  }) as Beam;
const load = (id: string, more: object) =>
  item('load', id, { label: id, on: 'B', type: 'point', nature: 'imposed', ...more }) as Extract<Item, { kind: 'load' }>;
const rectangle = (x1: number, y1: number, x2: number, y2: number) => [
  { x: x1, y: y1 },
  { x: x2, y: y1 },
  { x: x2, y: y2 },
  { x: x1, y: y2 },
];
const panel = (id: string, outline: { x: number; y: number }[], more: object = {}) =>
  item('panel', id, { mark: id, level: 'L1', outline, buildUp: 'floor', direction: Math.PI / 2, ...more }) as Extract<
    Item,
    { kind: 'panel' }
  >;

describe('lines', () => {
  it('are copied to their left, square to themselves', () => {
    const { from, to } = beside({ from: { x: 0, y: 0 }, to: { x: 3000, y: 4000 } }, 500);
    expect([from.x, from.y, to.x, to.y].map((v) => +v.toFixed(9))).toEqual([-400, 300, 2600, 4300]);
  });
  it('are crossed by a cut within both, and not at an end', () => {
    const line = { from: { x: 0, y: 0 }, to: { x: 6000, y: 0 } };
    expect(crossingAt(line, { from: { x: 2000, y: -1 }, to: { x: 2000, y: 1 } })).toBeCloseTo(2000, 9);
    expect(crossingAt(line, { from: { x: 2000, y: 1 }, to: { x: 2000, y: 5 } })).toBeNull();
    expect(crossingAt(line, { from: { x: 0, y: -1 }, to: { x: 0, y: 1 } })).toBeNull();
    expect(crossingAt(line, { from: { x: 0, y: 1 }, to: { x: 9, y: 1 } })).toBeNull();
  });
  it('are split with what lies on them', () => {
    const b = beam({
      hinges: [1000, 4000],
      restraintPoints: [3000],
      strips: [{ buildUp: 'floor', from: 1000, to: 5000, widthStart: 1000, widthEnd: 3000 }],
      supports: [
        { at: 0, by: 'C1' },
        { at: 6000, by: 'C2' },
      ],
    });
    const loads = [
      load('p', { at: 4500, force: 1000 }),
      load('q', { type: 'line', from: 1000, to: 5000, intensity: 2 }),
      load('r', { at: 500, force: 7 }),
    ];
    const { put } = splitLine(b, 2000, loads, fresh());
    const [left, right] = put as Beam[];
    expect(left!.body).toMatchObject({ to: { x: 2000, y: 0 }, hinges: [1000], restraintPoints: [], supports: [{ at: 0, by: 'C1' }] });
    expect(right!.body).toMatchObject({
      from: { x: 2000, y: 0 },
      hinges: [2000],
      restraintPoints: [1000],
      supports: [{ at: 4000, by: 'C2' }],
    });
    expect(left!.body.strips).toMatchObject([{ from: 1000, to: 2000, widthStart: 1000, widthEnd: 1500 }]);
    expect(right!.body.strips).toMatchObject([{ from: 0, to: 3000, widthStart: 1500, widthEnd: 3000 }]);
    const moved = put.filter((entry) => entry.kind === 'load');
    expect(moved.map(({ body }) => [body.on === 'B' ? 'left' : 'right', body.type === 'point' ? body.at : [body.from, body.to]])).toEqual([
      ['right', 2500],
      ['left', [1000, 2000]],
      ['right', [0, 3000]],
    ]);
    expect(() => splitLine(b, 6000, [], fresh())).toThrow('lies on no part of it');
  });
  it('are items that the project takes: openings of a wall and stretches of a beam are cut with them', () => {
    const wall = item('wall', 'W', {
      mark: 'W',
      from: { x: 0, y: 0 },
      to: { x: 6000, y: 0 },
      base: 'L0',
      top: 'L1',
      weight: 0.004,
      by: null,
      openings: [{ from: 1000, to: 3000, sill: 0, head: 2100 }],
    }) as Extract<Item, { kind: 'wall' }>;
    const stiffer = beam({ stretches: [{ from: 1000, to: 4000, factor: 2 }] });
    for (const [whole, pieces] of [
      [wall, [[[1000, 2000]], [[0, 1000]]]],
      [stiffer, [[[1000, 2000]], [[0, 2000]]]],
    ] as const) {
      const { put } = splitLine(whole, 2000, [], fresh());
      for (const piece of put) expect(itemSchema.safeParse(piece).error?.issues ?? []).toEqual([]);
      const cut = put.map((piece) => (piece.kind === 'wall' ? piece.body.openings : (piece as Beam).body.stretches));
      expect(cut.map((list) => list.map(({ from, to }) => [from, to]))).toEqual(pieces);
    }
    const { put } = splitLine(stiffer, 2000, [], fresh());
    const [left, right] = put as [Beam, Beam];
    const whole = joinLines(left, right, 200, []).put[0] as Beam;
    expect(whole.body.stretches).toEqual([
      { from: 1000, to: 2000, factor: 2 },
      { from: 2000, to: 4000, factor: 2 },
    ]);
  });
  it('split and joined again are as they were, whichever way round', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 5900 }), fc.boolean(), fc.boolean(), (at, turn, swap) => {
        const b = beam({ hinges: [1500], strips: [{ buildUp: 'floor', from: 0, to: 6000, widthStart: 900, widthEnd: 2700 }] });
        const loads = [load('p', { at: 3000, force: 1000 })];
        const { put } = splitLine(b, at, loads, fresh());
        let [left, right] = put as [Beam, Beam];
        const onRight = put.find((entry): entry is Extract<Item, { kind: 'load' }> => entry.kind === 'load') ?? loads[0]!;
        if (turn && right.body.strips.length === 1) {
          // drawn from the other end
          const length = planLength(right.body);
          const flip = (s: number) => length - s;
          const { from, to } = right.body;
          const strip = right.body.strips[0]!;
          right = {
            ...right,
            body: {
              ...right.body,
              from: to,
              to: from,
              hinges: right.body.hinges.map(flip),
              strips: [{ ...strip, from: flip(strip.to), to: flip(strip.from), widthStart: strip.widthEnd, widthEnd: strip.widthStart }],
            },
          };
        }
        const carried =
          turn && onRight.body.on === right.id
            ? { ...onRight, body: { ...onRight.body, at: planLength(right.body) - onRight.body.at } }
            : onRight;
        const joined = swap ? joinLines(right, left, 200, [carried]) : joinLines(left, right, 200, [carried]);
        const whole = joined.put[0] as Beam;
        expect(planLength(whole.body)).toBeCloseTo(6000, 6);
        expect(whole.body.hinges.length).toBe(1);
        const area = whole.body.strips.reduce((sum, s) => sum + ((s.widthStart + s.widthEnd) / 2) * (s.to - s.from), 0);
        expect(area).toBeCloseTo(1800 * 6000, 3);
        if (!swap) expect(whole.body.hinges[0]).toBeCloseTo(1500, 6);
        left = whole;
      }),
      { numRuns: 60 },
    );
  });
  it.each([
    [
      'a beam and a wall',
      beam(),
      item('wall', 'W', { mark: 'W1', from: { x: 6000, y: 0 }, to: { x: 9000, y: 0 }, base: 'L0', top: 'L1', weight: 0.004, by: null }),
      'cannot be joined',
    ],
    ['two levels', beam(), { ...beam({ level: 'L2', from: { x: 6000, y: 0 }, to: { x: 9000, y: 0 } }), id: 'B2' }, 'different levels'],
    ['a corner', beam(), { ...beam({ from: { x: 6000, y: 0 }, to: { x: 6000, y: 3000 } }), id: 'B2' }, 'one line'],
    ['a gap', beam(), { ...beam({ from: { x: 7000, y: 0 }, to: { x: 9000, y: 0 } }), id: 'B2' }, 'a gap'],
  ] as const)('%s are not joined', (_, a, b, message) => {
    expect(() => joinLines(a, b as Beam, 200, [])).toThrow(message);
  });
});

describe('panels', () => {
  const size = (entry: Item) => (entry.kind === 'panel' ? measure({ points: entry.body.outline, closed: true, pitch: 0 }).area! : 0);
  it('are split along a cut and joined again', () => {
    const whole = panel('P', rectangle(0, 0, 6000, 4000), { openings: [{ label: 'stair', outline: rectangle(4000, 1000, 5000, 2000) }] });
    const { put } = splitPanel(whole, { from: { x: 2000, y: 100 }, to: { x: 3000, y: 3900 } }, fresh());
    expect(put.length).toBe(2);
    expect(put.reduce((sum, entry) => sum + size(entry), 0)).toBeCloseTo(24e6, 3);
    const [a, b] = put as [ReturnType<typeof panel>, ReturnType<typeof panel>];
    expect(a.body.openings.length + b.body.openings.length).toBe(1);
    const joined = joinPanels(a, b);
    expect(joined.removed).toEqual([b.id]);
    expect(size(joined.put[0]!)).toBeCloseTo(24e6, 3);
    expect((joined.put[0] as typeof a).body.openings.length).toBe(1);
  });
  it('of an L come apart in three where a cut says so', () => {
    const l = panel('P', [
      { x: 0, y: 0 },
      { x: 6000, y: 0 },
      { x: 6000, y: 2000 },
      { x: 4000, y: 2000 },
      { x: 4000, y: 1000 },
      { x: 2000, y: 1000 },
      { x: 2000, y: 2000 },
      { x: 0, y: 2000 },
    ]);
    expect(splitPanel(l, { from: { x: 0, y: 1500 }, to: { x: 100, y: 1500 } }, fresh()).put.length).toBe(3);
  });
  it('refuse a cut beside them or through an opening, and to be joined where they do not touch', () => {
    const whole = panel('P', rectangle(0, 0, 6000, 4000), { openings: [{ label: 'stair', outline: rectangle(2000, 1000, 4000, 2000) }] });
    expect(() => splitPanel(whole, { from: { x: 9000, y: 0 }, to: { x: 9000, y: 1 } }, fresh())).toThrow('does not cross P');
    expect(() => splitPanel(whole, { from: { x: 3000, y: 0 }, to: { x: 3000, y: 1 } }, fresh())).toThrow('through stair');
    expect(() => joinPanels(whole, panel('Q', rectangle(7000, 0, 9000, 4000)))).toThrow('do not touch');
  });
});

describe('measurements', () => {
  it('chain, slope and area', () => {
    const points = rectangle(0, 0, 3000, 4000);
    expect(measure({ points: points.slice(0, 3), closed: false, pitch: 0 })).toEqual({
      parts: [3000, 4000],
      length: 7000,
      slope: 7000,
      area: null,
    });
    expect(measure({ points, closed: true, pitch: 0 })).toMatchObject({ length: 14_000, area: 12e6 });
    // a rafter of 3.5 m on plan at 35 degrees is 4.273 m long
    expect(
      measure({
        points: [
          { x: 0, y: 0 },
          { x: 3500, y: 0 },
        ],
        closed: false,
        pitch: (35 * Math.PI) / 180,
      }).slope,
    ).toBeCloseTo(4272.7, 1);
  });
  it('are rounded up to a step, but not for a hair', () => {
    expect(roundedUp(2431, 100)).toBe(2500);
    expect(roundedUp(2400.05, 100)).toBe(2400);
    expect(roundedUp(2400, 100)).toBe(2400);
  });
});

it('a floor split in two puts the same on its beams', () => {
  const items = (panels: readonly Item[]) =>
    assemble([
      item('brief', 'brief', defaultBrief('Trial', 'european')),
      item('level', 'L1', { name: 'Floor', elevation: 3000 }),
      item('level', 'L0', { name: 'Ground', elevation: 0 }),
      item('buildUp', 'floor', { name: 'Floor', layers: [{ name: 'deck', load: '1 kN/m2' }] }),
      beam(),
      { ...beam({ mark: 'B2', from: { x: 0, y: 4000 }, to: { x: 6000, y: 4000 } }), id: 'B2' },
      ...panels,
    ]);
  const whole = panel('P', rectangle(0, 0, 6000, 4000));
  const { put } = splitPanel(whole, { from: { x: 2500, y: 0 }, to: { x: 2500, y: 4000 } }, fresh());
  const sums = (panels: readonly Item[]) => ['B', 'B2'].map((id) => takeDown(items(panels), () => []).members.get(id)!.sum['permanent']!);
  const [before, after] = [sums([whole]), sums(put)];
  expect(after[0]).toBeCloseTo(before[0]!, 6);
  expect(after[1]).toBeCloseTo(before[1]!, 6);
});
