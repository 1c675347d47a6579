import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rationalise, type GroupMember } from '.';

const SIZES = [10, 13, 17, 22, 28, 35, 43, 52].map((mass) => ({ designation: `S${mass}`, mass: mass / 1000 }));
/** A member that every size from this one up carries. */
const from = (id: string, first: number, length = 6000): GroupMember => ({ id, mark: id, length, options: SIZES.slice(first) });

describe('few sizes for a group', () => {
  it('one size: the heaviest that is needed; two: where the cut saves most, by hand', () => {
    const group = [from('a', 0), from('b', 0), from('c', 1), from('d', 4)];
    const [one, two, three] = rationalise(group, 3, 0);
    expect(one!.sizes).toEqual(['S28']);
    expect(one!.mass).toBeCloseTo(4 * 6000 * 0.028, 9);
    // 28 + 3 x 13, against 28 + 28 + 2 x 10
    expect(two!.sizes).toEqual(['S28', 'S13']);
    expect(two!.mass).toBeCloseTo(6000 * (0.028 + 3 * 0.013), 9);
    expect(three!.sizes).toEqual(['S28', 'S13', 'S10']);
    expect(three!.chosen.get('c')).toBe('S13');
  });
  it('a charge for each size is added, and none for a size that nobody has', () => {
    const sets = rationalise([from('a', 2), from('b', 2)], 3, 50);
    expect(sets).toHaveLength(1);
    expect(sets[0]!.cost).toBeCloseTo(2 * 6000 * 0.017 + 50, 9);
  });
  it('sizes that carry unlike members: a shallow one and a deep one', () => {
    const group: GroupMember[] = [
      { id: 'a', mark: 'a', length: 1000, options: [SIZES[1]!, SIZES[5]!] },
      { id: 'b', mark: 'b', length: 1000, options: [SIZES[2]!, SIZES[5]!] },
      { id: 'c', mark: 'c', length: 1000, options: [SIZES[1]!, SIZES[5]!] },
    ];
    const [one, two] = rationalise(group, 2, 0);
    expect(one!.sizes).toEqual(['S35']);
    expect(two!.sizes).toEqual(['S17', 'S13']);
  });
  it('says who has no size, and that one must be asked for', () => {
    expect(() => rationalise([{ id: 'a', mark: 'B1', length: 1, options: [] }], 2, 0)).toThrow('no size tried carries B1');
    expect(() => rationalise([from('a', 0)], 0, 0)).toThrow('at least one size');
    expect(rationalise([], 3, 0)).toEqual([]);
  });
  it('is the best of all sets, tried one by one', () => {
    const masks = fc.array(fc.tuple(fc.integer({ min: 1, max: 255 }), fc.integer({ min: 1, max: 9 })), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(masks, (drawn) => {
        const group = drawn.map(([mask, length], i): GroupMember => ({
          id: `m${i}`,
          mark: `m${i}`,
          length: length * 1000,
          options: SIZES.filter((_, s) => mask & (1 << s)),
        }));
        const sets = rationalise(group, 8, 0);
        for (let k = 1; k <= 8; k += 1) {
          let best = Infinity;
          for (let set = 1; set < 256; set += 1) {
            if ([...set.toString(2)].filter((bit) => bit === '1').length > k) continue;
            const cost = drawn.reduce((sum, [mask, length]) => {
              const size = SIZES.find((_, s) => mask & set & (1 << s));
              return size ? sum + length * 1000 * size.mass : Infinity;
            }, 0);
            best = Math.min(best, cost);
          }
          const got = sets.filter(({ count }) => count <= k).reduce((least, { mass }) => Math.min(least, mass), Infinity);
          if (best === Infinity) expect(got).toBe(Infinity);
          else expect(got).toBeCloseTo(best, 6);
        }
      }),
      { numRuns: 150 },
    );
  });
});
