import { ITEM_SCHEMAS, type Item, type ItemKind } from './item';

/** Kinds between which an item may change and stay the same item. */
const ALIKE: readonly (readonly ItemKind[])[] = [['beam', 'truss']];

/** May an item of a kind become one of another? What refers to it must be content with either. */
export function mayBecome(from: ItemKind, to: ItemKind): boolean {
  return from === to || ALIKE.some((kinds) => kinds.includes(from) && kinds.includes(to));
}

/** A beam as a truss, or a truss as a beam: what both have stays, what only one has is as if nothing was typed. */
export function become(item: Extract<Item, { kind: 'beam' | 'truss' }>, kind: 'beam' | 'truss'): Item {
  const known = Object.keys(ITEM_SCHEMAS[kind].shape);
  const body = Object.fromEntries(Object.entries(item.body).filter(([field]) => known.includes(field)));
  return { id: item.id, kind, body: ITEM_SCHEMAS[kind].parse(body) } as Item;
}
