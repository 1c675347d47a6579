import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '../building';
import { isClosedMoment } from '../takedown';
import { computeProject, proposalsFor } from '.';

const at = (x: number, y: number) => ({ x, y });
const wall = (id: string, from: [number, number], to: [number, number], base = 'L0', top = 'L1', more: object = {}) =>
  item('wall', id, {
    mark: id,
    from: at(...from),
    to: at(...to),
    base,
    top,
    by: null,
    supportsFound: true,
    weight: '4 kN/m2',
    bears: 'yes',
    ...more,
  });
const column = (id: string, x: number, y: number) =>
  item('column', id, { mark: id, at: at(x, y), base: 'L0', top: 'L1', by: null, supportsFound: true, ownWeight: 0 });
const pad = (id: string, x: number, y: number) => item('footing', id, { mark: id, at: at(x, y), level: 'L0' });
const frame = (...more: Item[]): Item[] => [
  item('brief', 'brief', defaultBrief('Trial', 'european')),
  item('level', 'L2', { name: 'Roof', elevation: 6000 }),
  item('level', 'L1', { name: 'Floor', elevation: 3000 }),
  item('level', 'L0', { name: 'Ground', elevation: 0 }),
  ...more,
];
const propose = (items: Item[], id = 'W') => {
  const { building, takedown } = computeProject(items);
  return proposalsFor(items, building, takedown, id);
};
const places = (proposals: ReturnType<typeof propose>) =>
  proposals.map(({ item: { body }, under, on }) => [under, [body.from.x, body.from.y, body.to.x, body.to.y].map(Math.round), on]);
const accept = (items: Item[]) => computeProject([...items, ...propose(items).map(({ item: made }) => made)]);

// the wall above runs east from 0 to 4 m at y = 2 m
const above = wall('W', [0, 2000], [4000, 2000], 'L1', 'L2');
const west = wall('W1', [0, -500], [0, 6000]);
const east = wall('W2', [5000, -500], [5000, 6000]);

describe('a wall that stops above nothing', () => {
  it('is carried by a beam along it, drawn out to what stands there', () => {
    expect(places(propose(frame(above, west, east)))).toEqual([['W', [0, 2000, 5000, 2000], ['W1', 'W2']]]);
    // 4 m by 3 m of 4 kN/m2, and 0.5 kN/m of its own
    expect(propose(frame(above, west, east))[0]!.permanent).toBeCloseTo(48e3 + 2.5e3, 0);
  });
  it('where an end finds nothing, by a beam across under that end, with the load of the chain', () => {
    const posts = [column('C1', 4000, 0), column('C2', 4000, 5000), pad('F1', 4000, 0), pad('F2', 4000, 5000)];
    const items = frame(above, west, ...posts);
    const found = propose(items);
    expect(places(found)).toEqual([
      ['W', [0, 2000, 4000, 2000], ['W1', 'B2']],
      ['B1', [4000, 0, 4000, 5000], ['C1', 'C2']],
    ]);
    // half of the wall and of the first beam, and its own
    expect(found[1]!.permanent).toBeCloseTo(24e3 + 1e3 + 2.5e3, 0);
    const project = accept(items);
    expect(project.looseEnds.map(({ key }) => key)).not.toContain('no-support:W');
    // its load at the pads: by the lever, 3/5 and 2/5
    const [near, far] = ['F1', 'F2'].map((id) => project.takedown.members.get(id)!.sum['permanent']!);
    expect(near! / (25e3 * 0.6 + 1.25e3)).toBeCloseTo(1, 6);
    expect(far! / (25e3 * 0.4 + 1.25e3)).toBeCloseTo(1, 6);
  });
  it('only where it has nothing: of a wall that a wall below carries in part, the rest', () => {
    const below = wall('W3', [0, 2000], [1500, 2000]);
    const found = propose(frame(above, below, east));
    expect(places(found)).toEqual([['W', [1500, 2000, 5000, 2000], ['W3', 'W2']]]);
    expect(propose(frame(above, wall('W3', [0, 2000], [4000, 2000])))).toEqual([]);
  });
  it('with nothing near says so, and wants a footing at the lowest level', () => {
    expect(places(propose(frame(above)))).toEqual([['W', [0, 2000, 4000, 2000], [null, null]]]);
    expect(propose(frame(wall('W', [0, 2000], [4000, 2000])))).toEqual([]);
    expect(propose(frame(above), 'nobody')).toEqual([]);
    // what carries nothing takes no beam
    expect(places(propose(frame(above, west, wall('W2', [5000, -500], [5000, 6000], 'L0', 'L1', { bears: 'no' }))))[0]![2]).toEqual([
      'W1',
      null,
    ]);
  });
  it('accepted, its load lands and balances, wherever the walls below stand; turned, the proposals turn', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -4000, max: -500 }),
        fc.integer({ min: 4500, max: 9000 }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (x1, x2, turn) => {
          const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
          const turned = ([x, y]: [number, number]): [number, number] => [x * cos - y * sin, x * sin + y * cos];
          const of = (how: (p: [number, number]) => [number, number]) =>
            frame(
              wall('W', how([0, 2000]), how([4000, 2000]), 'L1', 'L2'),
              wall('W1', how([x1, -500]), how([x1, 6000])),
              wall('W2', how([x2, -500]), how([x2, 6000])),
            );
          const [plain, round] = [propose(of((p) => p)), propose(of(turned))];
          expect(round.map(({ on }) => on)).toEqual(plain.map(({ on }) => on));
          expect(plain[0]!.on).toEqual(['W1', 'W2']);
          round.forEach(({ permanent }, i) => expect(permanent / plain[i]!.permanent).toBeCloseTo(1, 6));
          const { takedown } = accept(of(turned));
          expect(takedown.looseEnds.map(({ key }) => key).filter((key) => /:W$/.test(key))).toEqual([]);
          for (const line of takedown.balance) {
            expect(Math.abs(line.gap.force)).toBeLessThan(1e-6);
            expect([isClosedMoment(line, 'aboutX'), isClosedMoment(line, 'aboutY')]).toEqual([true, true]);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
});
