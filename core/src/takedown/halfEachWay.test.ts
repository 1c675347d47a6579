import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, defaultBrief, item, type Item } from '../building';
import { halfEachWay, takeDown } from '.';

const beam = (length: number, posts: readonly number[], loads: Item[] = []) => {
  const items = [
    item('brief', 'brief', defaultBrief('Trial', 'european')),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    ...posts.map((x, i) =>
      item('column', `C${i}`, { mark: `C${i}`, at: { x, y: 0 }, base: 'L0', top: 'L1', by: null, supportsFound: true, ownWeight: 0 }),
    ),
    item('beam', 'B', {
      mark: 'B',
      level: 'L1',
      from: { x: 0, y: 0 },
      to: { x: length, y: 0 },
      ownWeight: '2 kN/m',
      supportsFound: true,
      supports: [],
    }),
    ...loads,
  ];
  return takeDown(assemble(items), () => []).members.get('B')!;
};
const permanent = (shares: ReturnType<typeof halfEachWay>) => shares!.map((byCase) => Math.round(byCase['permanent'] ?? 0));

describe('half each way', () => {
  it('of a beam over three posts stands beside 3/8, 10/8, 3/8 of the continuous one', () => {
    const ledger = beam(8000, [0, 4000, 8000]);
    expect(permanent(halfEachWay(ledger))).toEqual([4000, 8000, 4000]);
    expect(ledger.leaves.map(({ byCase }) => Math.round(byCase['permanent']!))).toEqual([3000, 10_000, 3000]);
  });
  it('an overhang goes to its support, a point load to the nearer one; two supports share by the lever alone', () => {
    const force = item('load', 'P', { label: 'P', on: 'B', type: 'point', nature: 'imposed', use: 'A', at: 2900, force: 1000 });
    const shares = halfEachWay(beam(9000, [0, 3000, 7000], [force]))!;
    expect(permanent(shares)).toEqual([3000, 7000, 8000]);
    expect(shares.map((byCase) => byCase['imposed-A'] ?? Object.entries(byCase).find(([id]) => id !== 'permanent')?.[1] ?? 0)).toEqual([
      0, 1000, 0,
    ]);
    expect(halfEachWay(beam(6000, [0, 6000]))).toBeNull();
  });
  it('adds up to what the reactions add up to', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 20 }), { minLength: 3, maxLength: 6 }), (places) => {
        const ledger = beam(
          10_000,
          places.map((place) => place * 500),
        );
        const sum = (list: readonly Readonly<Record<string, number>>[]) =>
          list.reduce((total, byCase) => total + (byCase['permanent'] ?? 0), 0);
        expect(sum(halfEachWay(ledger)!)).toBeCloseTo(sum(ledger.leaves.map(({ byCase }) => byCase)), 3);
      }),
      { numRuns: 30 },
    );
  });
});
