import equal from 'fast-deep-equal';
import { patched, type Item, type ItemKind } from '@plinth/core';
import type { ApiItem } from '@plinth/api';

/** An item as it is to be, or null when it is to go. */
export type ItemChange = readonly [id: string, item: ApiItem | null];

const known = new WeakMap<ApiItem, Item>();

/** An item without its revision; the same object as long as the item is the same, so that what shows it can rest. */
function itemOf(stored: ApiItem): Item {
  let item = known.get(stored);
  if (!item) known.set(stored, (item = { id: stored.id, kind: stored.kind, body: stored.body } as Item));
  return item;
}

/**
 * The items of a project as they are here. It is brought up to changes without looking at what they do not touch, which in a large building
 * is nearly all: it keeps lists by kind as long as nothing of the kind changes, and knows what was changed since the worker was told.
 */
export class HeldItems {
  private map: ReadonlyMap<string, ApiItem> = new Map();
  private readonly lists = new Map<ItemKind, readonly Item[]>();
  private readonly untold = new Set<string>();
  /** Bodies that the worker holds. */
  private readonly told = new Map<string, unknown>();

  constructor(items: readonly ApiItem[]) {
    this.replace(items);
  }

  get all(): ReadonlyMap<string, ApiItem> {
    return this.map;
  }

  /** Items of one kind, in order: the very same list as long as nothing of the kind changes. */
  ofKind<K extends ItemKind>(kind: K): readonly Extract<Item, { kind: K }>[] {
    let list = this.lists.get(kind);
    if (!list) {
      const found: Item[] = [];
      this.map.forEach((item) => {
        if (item.kind === kind) found.push(itemOf(item));
      });
      this.lists.set(kind, (list = found));
    }
    return list as readonly Extract<Item, { kind: K }>[];
  }

  /** Takes changes in; a body that says the same as the one that is here stays the one that is here. */
  change(changes: readonly ItemChange[]): void {
    const real = changes.map(([id, item]): ItemChange => {
      const here = this.map.get(id);
      if (!item || !here || here.kind !== item.kind || !equal(here.body, item.body)) {
        this.note(id, here);
        if (item) this.note(id, item);
        return [id, item];
      }
      const same = { ...item, body: here.body };
      const shown = known.get(here);
      if (shown) {
        known.set(same, shown);
      }
      return [id, same];
    });
    this.map = patched(this.map, real);
  }

  /** All items as they are elsewhere. */
  replace(items: readonly ApiItem[]): void {
    for (const [id] of this.map) this.untold.add(id);
    for (const { id } of items) this.untold.add(id);
    this.map = new Map(items.map((item) => [item.id, item]));
    this.lists.clear();
  }

  private note(id: string, item: ApiItem | undefined): void {
    this.untold.add(id);
    if (item) this.lists.delete(item.kind as ItemKind);
  }

  /** What the worker has not been told yet; from now on it has been. */
  tell(): { readonly changed: Item[]; readonly removed: string[] } {
    const changed: Item[] = [];
    const removed: string[] = [];
    for (const id of this.untold) {
      const item = this.map.get(id);
      if (!item) {
        if (this.told.delete(id)) removed.push(id);
      } else if (this.told.get(id) !== item.body) {
        changed.push(itemOf(item));
        this.told.set(id, item.body);
      }
    }
    this.untold.clear();
    return { changed, removed };
  }
}
