import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemble, type Item } from '../building';
import { DEMONSTRATIONS } from '../exchange';
import { takeDown } from '.';

/** A body with every place on plan, and every direction, brought elsewhere. */
interface Move {
  readonly point: (at: { x: number; y: number }) => { x: number; y: number };
  /** An angle on plan: the direction in which a panel spans, how a column is turned. */
  readonly angle: (angle: number) => number;
}

const isPoint = (value: unknown): value is { x: number; y: number } =>
  typeof value === 'object' && value !== null && typeof (value as { x?: unknown }).x === 'number' && Object.keys(value).length === 2;

function walk(value: unknown, change: (value: unknown, key: string) => unknown, key = ''): unknown {
  const changed = change(value, key);
  if (changed !== value) return changed;
  if (Array.isArray(value)) return value.map((entry) => walk(entry, change, key));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, entry]) => [name, walk(entry, change, name)]));
}

const moved = (items: readonly Item[], { point, angle }: Move): Item[] =>
  items.map((item) => {
    const body = walk(item.body, (value, key) => {
      if (isPoint(value)) return point(value);
      return typeof value === 'number' && ((key === 'direction' && item.kind === 'panel') || key === 'turn') ? angle(value) : value;
    }) as Record<string, unknown>;
    if (item.kind !== 'load') return { ...item, body } as Item;
    const { x, y } = point({ x: item.body.east, y: item.body.north });
    const zero = point({ x: 0, y: 0 });
    return { ...item, body: { ...body, east: x - zero.x, north: y - zero.y } } as Item;
  });

/** Every id another one, in another order of the alphabet. */
function renamed(items: readonly Item[]): { items: Item[]; nameOf: (id: string) => string } {
  const names = new Map(items.map(({ id }, i) => [id, `n${String((i * 7919) % 100_003).padStart(6, '0')}`]));
  const nameOf = (id: string) => names.get(id) ?? id;
  const all = items.map((item) => ({
    ...item,
    id: nameOf(item.id),
    body: walk(item.body, (value) => (typeof value === 'string' && names.has(value) ? nameOf(value) : value)),
  }));
  return { items: all as Item[], nameOf };
}

/** What every member carries, by case, and where each of its leaves goes. */
function carried(items: readonly Item[], nameOf: (id: string) => string = (id) => id) {
  const { members } = takeDown(assemble([...items]), () => []);
  return (id: string) => {
    const ledger = members.get(nameOf(id))!;
    return { sum: ledger.sum, to: ledger.leaves.map(({ to }) => to).sort() };
  };
}

const BUILDINGS = DEMONSTRATIONS.filter(({ id }) => id !== 'tallow-wharf').map(({ id, items }) => [id, items()] as const);

describe.each(BUILDINGS)('%s', (_id, items) => {
  const before = carried(items);
  const ids = [...takeDown(assemble([...items]), () => []).members.keys()];
  const expectSame = (after: ReturnType<typeof carried>, name: (id: string) => string = (id) => id) => {
    for (const id of ids) {
      const [then, now] = [before(id), after(id)];
      expect(now.to, id).toEqual(then.to.map((to) => (to === null || to === 'ground' ? to : name(to))).sort());
      const cases = new Set([...Object.keys(then.sum), ...Object.keys(now.sum)]);
      for (const loadCase of cases) {
        const [a, b] = [then.sum[loadCase] ?? 0, now.sum[loadCase] ?? 0];
        expect(Math.abs(a - b), `${id} ${loadCase}`).toBeLessThan(1e-6 * Math.max(Math.abs(a), 1e4));
      }
    }
  };

  it('turned, and brought elsewhere, carries the same', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), fc.integer({ min: -50_000, max: 50_000 }), (turn, dx) => {
        const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
        const point = ({ x, y }: { x: number; y: number }) => ({ x: x * cos - y * sin + dx, y: x * sin + y * cos });
        expectSame(carried(moved(items, { point, angle: (angle) => angle + turn })));
      }),
      { numRuns: 6 },
    );
  });
  it('mirrored carries the same', () => {
    expectSame(carried(moved(items, { point: ({ x, y }) => ({ x: -x, y }), angle: (angle) => -angle })));
    expectSame(carried(moved(items, { point: ({ x, y }) => ({ x, y: -y }), angle: (angle) => -angle })));
  });
  it('with every item under another name carries the same, in whatever order they come', () => {
    const { items: others, nameOf } = renamed(items);
    expectSame(carried(others, nameOf), nameOf);
    expectSame(carried([...items].reverse()));
  });
  it('whatever the matching tolerance, where nothing lies between: what lands is the same', () => {
    for (const reach of [1, 25, 100, 300])
      expectSame(carried(items.map((item) => (item.kind === 'brief' ? ({ ...item, body: { ...item.body, reach } } as Item) : item))));
  });
});
