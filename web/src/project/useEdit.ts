import { toast } from 'sonner';
import type { Item } from '@plinth/core';
import { useStore } from './context';

/** Ways to change items. Each gives a promise: fields show its refusal where something was typed. */
export function useEdit() {
  const store = useStore();
  return {
    /** Changes part of an item's body. */
    patch: <T extends Item>(item: T, change: Partial<T['body']>, summary: string) =>
      store.edit(summary, [{ put: { ...item, body: { ...item.body, ...change } } as Item }]),
    put: (items: readonly Item[], summary: string, reason = '') =>
      store.edit(
        summary,
        items.map((item) => ({ put: item })),
        reason,
      ),
    remove: (ids: readonly string[], summary: string) =>
      store.edit(
        summary,
        ids.map((id) => ({ remove: id })),
      ),
    /** For buttons, which have no place of their own for a refusal: says it. */
    quietly: (work: Promise<unknown>) => void work.catch((error: Error) => toast.error(error.message)),
  };
}

/** A new id that says what it is of. */
export function freshId(prefix: string): string {
  return `${prefix}-${crypto.randomUUID().slice(0, 8)}`;
}

/** The next free mark with a prefix: B7 after B6. */
export function nextMark(prefix: string, marks: Iterable<string>): string {
  let most = 0;
  for (const mark of marks) {
    const match = new RegExp(`^${prefix}(\\d+)$`).exec(mark);
    if (match) most = Math.max(most, Number(match[1]));
  }
  return `${prefix}${most + 1}`;
}
