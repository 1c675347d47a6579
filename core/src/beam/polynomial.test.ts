import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate, rootsBetween } from './polynomial';

/** Coefficients of the polynomial with these roots, lowest power first. */
const withRoots = (roots: readonly number[]) =>
  roots.reduce<number[]>(
    (poly, root) => {
      const next = [...poly.map(() => 0), 0];
      poly.forEach((c, i) => {
        next[i]! -= root * c;
        next[i + 1]! += c;
      });
      return next;
    },
    [1],
  );

describe('roots between two places', () => {
  it('are all found, in order, and no others', () => {
    const places = fc.uniqueArray(fc.integer({ min: -20, max: 20 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(places, fc.integer({ min: -15, max: 0 }), fc.integer({ min: 1, max: 15 }), (roots, a, b) => {
        const found = rootsBetween(withRoots(roots), a, b);
        const expected = roots.filter((root) => root >= a && root <= b).sort((x, y) => x - y);
        expect(found.length).toBe(expected.length);
        found.forEach((root, i) => expect(root).toBeCloseTo(expected[i]!, 6));
      }),
    );
  });
  it('a touching root counts where the value is nothing; a constant has none', () => {
    expect(rootsBetween([4], 0, 1)).toEqual([]);
    expect(rootsBetween([0, 0, 0], 0, 1)).toEqual([]);
    expect(rootsBetween([-6, 3], 0, 5)).toEqual([2]);
    expect(rootsBetween([-6, 3], 3, 5)).toEqual([]);
  });
  it('evaluates from the highest power down', () => expect(evaluate([1, -2, 3], 2)).toBe(9));
});
