import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MapView, patched } from './readMap';

const step = fc.tuple(fc.integer({ min: 0, max: 30 }), fc.option(fc.record({ n: fc.nat() }), { nil: null }));

/** All ways in which a map is read. */
function read(map: ReadonlyMap<string, object>) {
  const told: [string, object][] = [];
  map.forEach((value, id) => told.push([id, value]));
  return { size: map.size, all: [...map], entries: [...map.entries()], keys: [...map.keys()], values: [...map.values()], told };
}

describe('a map brought up to changes', () => {
  it('is after any changes the map to which the same was done, in the same order, and leaves those before as they were', () => {
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 40 }), { maxLength: 20 }), (runs) => {
        const plain = new Map<string, object>(Array.from({ length: 12 }, (_, i) => [`${i}`, { i }]));
        let map: ReadonlyMap<string, object> = new Map(plain);
        for (const run of runs) {
          const before = map;
          const was = read(before);
          map = patched(
            map,
            run.map(([id, value]) => [`${id}`, value] as const),
          );
          for (const [id, value] of run)
            if (value) plain.set(`${id}`, value);
            else plain.delete(`${id}`);
          expect(read(map)).toEqual(read(plain));
          for (let id = 0; id < 31; id += 1) {
            expect(map.get(`${id}`)).toBe(plain.get(`${id}`));
            expect(map.has(`${id}`)).toBe(plain.has(`${id}`));
          }
          expect(read(before)).toEqual(was);
        }
      }),
    );
  });
});

describe('a map seen through its values', () => {
  it('has what is wanted of them, and follows the map', () => {
    const map = new Map([['a', { n: 1 }]]);
    const view = new MapView(map, ({ n }) => ({ twice: 2 * n }));
    map.set('b', { n: 4 });
    expect(read(view)).toEqual(
      read(
        new Map([
          ['a', { twice: 2 }],
          ['b', { twice: 8 }],
        ]),
      ),
    );
    expect(view.get('b')).toEqual({ twice: 8 });
    expect(view.get('c')).toBeUndefined();
    expect(view.has('a')).toBe(true);
  });
});
