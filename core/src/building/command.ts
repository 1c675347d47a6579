import { z } from 'zod';
import { BadInput } from '../error';
import { designation, id, nearestKnown, readInput } from '../schema';
import { ITEM_SCHEMAS, type Item, type ItemKind } from './item';
import { requireConsistent } from './rules';

const journalNumber = z
  .number()
  .int()
  .min(0)
  .max(2 ** 31 - 1);

/** One change of one item: put writes it (revision null: it is new), remove deletes it. */
export const changeSchema = z.discriminatedUnion('op', [
  z.strictObject({
    op: z.literal('put'),
    item: z.strictObject({ id: designation(), kind: designation(), body: z.unknown() }),
    revision: journalNumber.nullable().describe('revision of the item that was seen; null for a new one'),
  }),
  z.strictObject({
    op: z.literal('remove'),
    id: designation(),
    revision: journalNumber.describe('revision of the item that was seen'),
  }),
]);
export type Change = z.output<typeof changeSchema>;

export interface StoredItem {
  readonly id: string;
  readonly kind: Item['kind'];
  readonly body: unknown;
  readonly revision: number;
}

const envelopeSchema = z.strictObject({ id, kind: z.string().max(40), body: z.unknown() });

/**
 * Reads an item of a change: kind known, body as its schema wants it.
 * @throws BadFields with every fault at its field, of the body without a prefix
 */
export function readItem(raw: unknown): Item {
  const { id: itemId, kind, body } = readInput(envelopeSchema, raw);
  if (!Object.hasOwn(ITEM_SCHEMAS, kind)) {
    const near = nearestKnown(kind, Object.keys(ITEM_SCHEMAS));
    throw new BadInput(`"${kind}" is not a kind of item${near ? `: did you mean "${near}"?` : ''}`, 'kind');
  }
  return { id: itemId, kind, body: readInput(ITEM_SCHEMAS[kind as ItemKind] as z.ZodType, body) } as Item;
}

/**
 * Reads the items of a whole project: each by its schema, every id once, and all of them hanging together.
 * @throws BadInput that names the item by its place in the list, its id and the field
 */
export function readItems(list: readonly unknown[]): Item[] {
  const items = list.map((raw, i) => {
    try {
      return readItem(raw);
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      const { id: named } = (raw ?? {}) as { id?: unknown };
      const who = `Item ${i + 1}${typeof named === 'string' ? ` ("${named.slice(0, 40)}")` : ''}`;
      throw new BadInput(`${who}: ${error.message}`, `items.${i}${error.field ? `.${error.field}` : ''}`);
    }
  });
  const known = new Map<string, Item>();
  for (const item of items) {
    if (known.has(item.id)) throw new BadInput(`two items have the id "${item.id}"`, 'items');
    known.set(item.id, item);
  }
  requireConsistent(known);
  return items;
}
