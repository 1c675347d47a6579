import { describe, expect, it } from 'vitest';
import type { Item } from '../building';
import { ebbwickSailLoft } from '../exchange';
import { compareRevisions } from '.';

const before = ebbwickSailLoft();
const changed = (id: string, change: object) =>
  before.map((entry) => (entry.id === id ? ({ ...entry, body: { ...entry.body, ...change } } as Item) : entry));

describe('two revisions compared', () => {
  it('alike: nothing', () => {
    const { items, reactions, looked } = compareRevisions(before, ebbwickSailLoft(), 0);
    expect([items, reactions]).toEqual([[], []]);
    expect(looked).toBeGreaterThan(40);
  });
  it('a heavier hoist: the load, and every reaction on its way down that moved by more than was asked', () => {
    const after = changed('hoist-lift', { force: 33_000 });
    const all = compareRevisions(before, after, 0);
    expect(all.items).toEqual([
      {
        id: 'hoist-lift',
        kind: 'load',
        name: 'chain hoist, safe load with impact',
        change: 'changed',
        fields: [{ field: 'force', before: '22000', after: '33000' }],
      },
    ]);
    const marks = all.reactions.map(({ mark }) => mark);
    expect(marks).toContain('HB1');
    // half of eleven kilonewtons goes each way
    const half = all.reactions.find(({ mark, to }) => mark === 'HB1' && to === 'B1')!;
    expect(half.after.variable - half.before.variable).toBeCloseTo(5500, 3);
    expect(half.after.permanent).toBe(half.before.permanent);
    expect(half.moved).toBeCloseTo(5500 / half.before.variable, 9);
    // the hoist hangs on B1 and TG2, and those on six columns at most: the others did not move
    expect(marks).not.toContain('F-D1');
    const few = compareRevisions(before, after, 0.2);
    expect(few.reactions.length).toBeLessThan(all.reactions.length);
    expect(few.reactions.every(({ moved }) => moved === null || moved > 0.2)).toBe(true);
  });
  it('a member added and one taken away', () => {
    const post = before.find((entry) => entry.id === 'HB1')!;
    const after = [
      ...before.filter((entry) => entry.id !== 'OB2'),
      { ...post, id: 'HB2', body: { ...post.body, mark: 'HB2', from: { x: 7000, y: 4500 }, to: { x: 7000, y: 9000 } } } as Item,
    ];
    const { items, reactions } = compareRevisions(before, after, 0.05);
    expect(items.map(({ name, change }) => [name, change])).toEqual([
      ['HB2', 'added'],
      ['OB2', 'removed'],
    ]);
    const fresh = reactions.filter(({ mark }) => mark === 'HB2');
    expect(fresh.length).toBe(2);
    expect(fresh.every(({ moved, before: was }) => moved === null && was.permanent === 0)).toBe(true);
    expect(reactions.some(({ mark, after: now }) => mark === 'OB2' && now.permanent === 0)).toBe(true);
  });
});
