import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ApiItem } from '@plinth/api';
import { HeldItems, type ItemChange } from './items';

const item = (id: string, n: number, kind = 'note', revision = 1): ApiItem => ({ id, kind, revision, body: { text: `${n}` } }) as ApiItem;

describe('the items of a project', () => {
  it('tells the worker what changed since it was told, and no more', () => {
    const items = new HeldItems([item('a', 1), item('b', 1)]);
    expect(items.tell().changed.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(items.tell()).toEqual({ changed: [], removed: [] });
    items.change([
      ['a', item('a', 2)],
      ['b', null],
      ['c', item('c', 1)],
      ['d', item('d', 1)],
      ['d', null],
    ]);
    const told = items.tell();
    expect(told.changed.map(({ id }) => id)).toEqual(['a', 'c']);
    expect(told.removed).toEqual(['b']);
  });
  it('takes a new revision of what says the same as the same', () => {
    const items = new HeldItems([item('a', 1)]);
    items.tell();
    const [before] = items.ofKind('note');
    const list = items.ofKind('note');
    items.change([['a', item('a', 1, 'note', 2)]]);
    expect(items.all.get('a')!.revision).toBe(2);
    expect(items.tell().changed).toEqual([]);
    expect(items.ofKind('note')).toBe(list);
    items.change([['z', item('z', 1)]]);
    expect(items.ofKind('note')[0]).toBe(before);
  });
  it('keeps the list of a kind on which nothing changed', () => {
    const items = new HeldItems([item('a', 1), item('b', 1, 'load')]);
    const [notes, loads] = [items.ofKind('note'), items.ofKind('load')];
    items.change([['b', item('b', 2, 'load')]]);
    expect(items.ofKind('note')).toBe(notes);
    expect(items.ofKind('load')).not.toBe(loads);
    expect(items.ofKind('load')[0]!.body).toEqual({ text: '2' });
  });
  it('leaves the worker after any changes with what is here', () => {
    const change = fc.record({
      id: fc.constantFrom('a', 'b', 'c', 'd'),
      n: fc.nat(2),
      kind: fc.constantFrom('note', 'load', null),
      all: fc.integer({ min: 0, max: 9 }),
    });
    fc.assert(
      fc.property(fc.array(fc.array(change, { maxLength: 4 }), { maxLength: 12 }), (runs) => {
        const items = new HeldItems([item('a', 0)]);
        const worker = new Map<string, unknown>();
        for (const run of runs) {
          for (const { id, n, kind, all } of run)
            if (all === 0) items.replace(['b', 'c'].map((name) => item(name, n)));
            else items.change([[id, kind ? item(id, n, kind) : null] satisfies ItemChange]);
          const { changed, removed } = items.tell();
          for (const id of removed) worker.delete(id);
          for (const { id, kind, body } of changed) worker.set(id, { kind, body });
          expect(new Map([...items.all].map(([id, { kind, body }]) => [id, { kind, body }]))).toEqual(worker);
          for (const kind of ['note', 'load'] as const)
            expect(items.ofKind(kind)).toEqual(
              [...items.all.values()].filter((one) => one.kind === kind).map(({ id, body }) => ({ id, kind, body })),
            );
        }
      }),
    );
  });
});
