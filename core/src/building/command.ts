import { z } from 'zod';
import { BadInput } from '../error';
import { ITEM_SCHEMAS, itemName, itemSchema, referencesOf, type Item } from './item';
import { designation, readInput } from '../schema';

const journalNumber = z
  .number()
  .int()
  .min(0)
  .max(2 ** 31 - 1);

/** One change of one item: put writes it (revision null: it is new), remove takes it away. */
export const changeSchema = z.discriminatedUnion('op', [
  z.strictObject({
    op: z.literal('put'),
    item: z.strictObject({ id: designation(), kind: designation(), body: z.unknown() }),
    revision: journalNumber.nullable().describe('revision of the item that was seen; null for a new one'),
  }),
  z.strictObject({ op: z.literal('remove'), id: designation(), revision: journalNumber.describe('revision of the item that was seen') }),
]);
export type Change = z.output<typeof changeSchema>;

export interface StoredItem {
  readonly id: string;
  readonly kind: Item['kind'];
  readonly body: unknown;
  readonly revision: number;
}

/**
 * Reads an item of a change: kind known, body as its schema wants it.
 * @throws BadInput with the field and what is wrong with it
 */
export function readItem(raw: unknown): Item {
  const kind = (raw as { kind?: unknown } | null)?.kind;
  if (typeof kind !== 'string' || !Object.hasOwn(ITEM_SCHEMAS, kind))
    throw new BadInput(`"${String(kind).slice(0, 40)}" is not a kind of item; kinds are ${Object.keys(ITEM_SCHEMAS).join(', ')}`, 'kind');
  return readInput(itemSchema, raw) as Item;
}

/**
 * Checks that a project still hangs together: one brief, every reference found and of a kind that may be referred to.
 * @throws BadInput naming the item and the field
 */
export function requireConsistent(items: ReadonlyMap<string, Item>): void {
  let briefs = 0;
  for (const item of items.values()) {
    if (item.kind === 'brief') briefs += 1;
    for (const { field, id } of referencesOf(item)) {
      const target = items.get(id);
      if (!target)
        throw new BadInput(
          `${itemName(item)} refers to "${id}", which is not in the project (it may be in use elsewhere: free it first)`,
          field,
        );
      const wanted = KINDS_OF_REFERENCE[field.replace(/\.\d+\./, '.')];
      if (wanted && !wanted.includes(target.kind))
        throw new BadInput(
          `${itemName(item)}: ${itemName(target)} is a ${target.kind}, but a ${wanted.join(' or ')} is wanted here`,
          field,
        );
    }
  }
  if (briefs !== 1) throw new BadInput('a project has exactly one brief');
}

const KINDS_OF_REFERENCE: Readonly<Record<string, readonly Item['kind'][]>> = {
  level: ['level'],
  base: ['level'],
  top: ['level'],
  by: ['beam', 'column', 'wall', 'footing', 'stripFooting'],
  'supports.by': ['beam', 'column', 'wall', 'hanger', 'footing', 'stripFooting'],
  buildUp: ['buildUp'],
  'strips.buildUp': ['buildUp'],
  'measured.by': ['measurement'],
  on: ['beam', 'column', 'wall', 'hanger', 'footing', 'stripFooting', 'panel'],
};
