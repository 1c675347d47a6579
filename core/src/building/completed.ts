import type { z } from 'zod';
import { ITEM_SCHEMAS, type Body, type ItemKind } from './item';

const missing = new Map<ItemKind, readonly (readonly [field: string, value: unknown])[]>();

/** Fields of a kind that have a value when nothing is typed, with that value. */
function defaultsOf(kind: ItemKind): readonly (readonly [field: string, value: unknown])[] {
  let known = missing.get(kind);
  if (!known) {
    const found: [string, unknown][] = [];
    const { shape } = ITEM_SCHEMAS[kind] as unknown as { readonly shape?: Readonly<Record<string, z.ZodType>> };
    for (const [field, schema] of Object.entries(shape ?? {})) {
      const empty = schema.safeParse(undefined);
      if (empty.success && empty.data !== undefined) found.push([field, empty.data]);
    }
    missing.set(kind, (known = found));
  }
  return known;
}

/** A body as it was kept by an earlier version, with the fields that came since: each as if nothing was typed. */
export function completed<K extends ItemKind>(kind: K, body: Body<K>): Body<K> {
  const add: Record<string, unknown> = {};
  for (const [field, value] of defaultsOf(kind)) if (!(field in (body as object))) add[field] = value;
  return Object.keys(add).length === 0 ? body : { ...body, ...add };
}
