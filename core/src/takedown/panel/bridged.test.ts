import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../../building';
import { allAssumptions, computeProject, ProjectEngine } from '../../design';
import { isClosedMoment, shapeForce, takeDown, trimmedArea } from '..';

const corners = (x1: number, y1: number, x2: number, y2: number) => [
  { x: x1, y: y1 },
  { x: x2, y: y1 },
  { x: x2, y: y2 },
  { x: x1, y: y2 },
];
/** A floor of 6 m by 4 m that spans north between two beams, with a hole. */
const floor = (hole: readonly [number, number, number, number], bridged: boolean, more: Item[] = []): Item[] => [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  item('buildUp', 'deck', {
    name: 'Deck',
    layers: [{ name: 'slab', load: '2 kN/m2' }],
    variable: [{ name: 'office', load: '3 kN/m2', nature: 'imposed', use: 'B' }],
  }),
  ...[0, 4000].map((y, i) =>
    item('beam', `B${i + 1}`, {
      mark: `B${i + 1}`,
      level: 'L1',
      from: { x: 0, y },
      to: { x: 6000, y },
      ownWeight: 0,
      supports: [
        { at: 0, by: null },
        { at: 6000, by: null },
      ],
    }),
  ),
  item('panel', 'P', {
    mark: 'P',
    level: 'L1',
    outline: corners(0, 0, 6000, 4000),
    openings: [{ label: 'duct', outline: corners(...hole), bridged }],
    buildUp: 'deck',
    direction: Math.PI / 2,
  }),
  ...more,
];
const run = (items: Item[]) => takeDown(assemble(items), () => []);
const sums = (items: Item[]) => ['B1', 'B2'].map((id) => run(items).members.get(id)!.sum['permanent']!);

describe('a small opening that the strips beside it bridge', () => {
  const hole = [2000, 1000, 2500, 1600] as const;
  it('loses none of the floor beside it; without, what it cuts off lands nowhere', () => {
    const [open, bridged] = [run(floor(hole, false)), run(floor(hole, true))];
    const ends = (of: typeof open) => of.looseEnds.filter(({ key }) => key.startsWith('panel-edge')).length;
    expect([ends(open), ends(bridged)]).toEqual([1, 0]);
    // 24 m2 less 0.3 m2; by the lever of the hole's middle at 1.3 m of 4 m
    const whole = 2e3 * 12;
    expect(sums(floor(hole, true))[0]).toBeCloseTo(whole - 2e3 * 0.3 * (2.7 / 4), 3);
    expect(sums(floor(hole, true))[1]).toBeCloseTo(whole - 2e3 * 0.3 * (1.3 / 4), 3);
    // 0.5 m by 1 m and 2.4 m had only one support
    expect(sums(floor(hole, false))[0]! + sums(floor(hole, false))[1]!).toBeCloseTo(2 * whole - 2e3 * 0.5 * 4, 3);
  });
  it('is an assumption that names the floor whose load goes to its sides', () => {
    expect(trimmedArea({ direction: Math.PI / 2, outline: corners(0, 0, 6000, 4000) }, corners(...hole)) / 1e6).toBeCloseTo(
      0.5 * 4 - 0.3,
      9,
    );
    const said = (bridged: boolean) => JSON.stringify(allAssumptions(computeProject(floor(hole, bridged)).assumptions));
    expect(said(true)).toContain('duct has no trimmers');
    expect(said(true)).toContain('carry the load of the strips that it cuts, 1.70 m');
    expect(said(false)).not.toContain('no trimmers');
  });
  it('anywhere, of any size: force and both moments balance, the areas are all there, and edits follow', () => {
    const engine = new ProjectEngine();
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 5000 }),
        fc.integer({ min: 100, max: 3000 }),
        fc.integer({ min: 50, max: 900 }),
        fc.integer({ min: 50, max: 900 }),
        (x, y, width, depth) => {
          const items = floor([x, y, x + width, y + depth], true);
          const takedown = run(items);
          const shared = takedown.panels.get('P')!;
          expect(shared.orphans).toEqual([]);
          expect(shared.shares.reduce((sum, { shape }) => sum + shapeForce(shape), 0) / (24e6 - width * depth)).toBeCloseTo(1, 9);
          for (const line of takedown.balance) {
            expect(Math.abs(line.gap.force)).toBeLessThan(1e-6);
            expect([isClosedMoment(line, 'aboutX'), isClosedMoment(line, 'aboutY')]).toEqual([true, true]);
            expect(Math.abs(line.offsets.aboutX) + Math.abs(line.offsets.aboutY)).toBeLessThan(1e3);
          }
          const kept = engine.run(items).takedown.members.get('B1')!.sum;
          expect(kept).toEqual(takedown.members.get('B1')!.sum);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('on a two-way panel neither that nor a cantilever is read, and both are told', () => {
    const twoWay = (change: object) =>
      run(
        floor(hole, false).map((entry) =>
          entry.kind === 'panel' ? ({ ...entry, body: { ...entry.body, span: 'twoWay', ...change } } as Item) : entry,
        ),
      ).looseEnds.filter(({ title }) => title.includes('read of one-way panels only')).length;
    const bridged = [{ label: 'duct', outline: corners(...hole), bridged: true }];
    expect([twoWay({}), twoWay({ cantilevers: true }), twoWay({ openings: bridged })]).toEqual([0, 1, 1]);
  });
  it('a load on a part of the panel over it is carried too', () => {
    const load = item('load', 'Q', {
      label: 'tank',
      on: 'P',
      type: 'area',
      nature: 'imposed',
      use: 'B',
      pressure: '1 kN/m2',
      outline: corners(1500, 500, 3000, 2000),
    });
    expect(run(floor(hole, true, [load])).looseEnds.filter(({ key }) => key.startsWith('panel-edge'))).toEqual([]);
  });
});
