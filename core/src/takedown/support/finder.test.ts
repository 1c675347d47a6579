import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineFinder } from './finder';
import { segment } from './line';

const number = fc.integer({ min: -20_000, max: 20_000 });

describe('finding lines near a box', () => {
  it('finds all whose box comes within reach, few or many, in their order', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0, 1, 30, 500),
        fc.infiniteStream(fc.tuple(number, number, number, number)),
        fc.tuple(number, number, number, number),
        fc.integer({ min: 0, max: 300 }),
        (count, stream, [x1, y1, x2, y2], reach) => {
          const entries = [...stream.take(count)].map(([ax, ay, bx, by], i) => ({
            id: `L${i}`,
            line: segment({ from: { x: ax, y: ay }, to: { x: bx, y: by } }),
          }));
          const apart = (a1: number, a2: number, b1: number, b2: number) =>
            Math.min(a1, a2) - reach > Math.max(b1, b2) || Math.max(a1, a2) + reach < Math.min(b1, b2);
          const wanted = entries.filter(({ line: { from, to } }) => !apart(x1, x2, from.x, to.x) && !apart(y1, y2, from.y, to.y));
          expect(lineFinder(entries).near(x1, y1, x2, y2, reach)).toEqual(wanted);
        },
      ),
      { numRuns: 60 },
    );
  });
});
