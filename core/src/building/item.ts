import { z } from 'zod';
import { id, idsAt, referenceFields } from '../schema';
import { ITEM_SCHEMAS } from './itemSchemas';
import type { pointSchema } from './schema/common';
import type { Made } from './schema/material';

export { ITEM_SCHEMAS } from './itemSchemas';
export { MATERIALS, type Made } from './schema/material';
export { END_CONDITIONS, type EndConditions } from './schema/posts';

export type ItemKind = keyof typeof ITEM_SCHEMAS;
/** A body as its schema gives it; what a member is made of, as the union that it is. */
type AsMade<B> = B extends { material: Made['material'] } ? Omit<B, keyof Made> & Made : B;
export type Body<K extends ItemKind> = AsMade<z.output<(typeof ITEM_SCHEMAS)[K]>>;
export type Item = { [K in ItemKind]: { readonly id: string; readonly kind: K; readonly body: Body<K> } }[ItemKind];

export type Brief = Body<'brief'>;
export type Beam = Body<'beam'>;
export type Truss = Body<'truss'>;
export type Column = Body<'column'>;
export type Hanger = Body<'hanger'>;
export type Wall = Body<'wall'>;
export type Footing = Body<'footing'>;
export type StripFooting = Body<'stripFooting'>;
export type Panel = Body<'panel'>;
export type Gridline = Body<'gridline'>;
export type LaidDrawing = Body<'drawing'>;
export type WallOpening = Wall['openings'][number];
export type ExtraLoad = Body<'load'>;
export type Measurement = Body<'measurement'>;
export type PinnedNote = Body<'note'>;
export type PlanPoint = z.output<typeof pointSchema>;

/** An item of any kind. */
export const itemSchema = z.discriminatedUnion(
  'kind',
  Object.entries(ITEM_SCHEMAS).map(([kind, body]) => z.strictObject({ id, kind: z.literal(kind), body })) as never,
) as unknown as z.ZodType<Item>;

const shapeOf = (kind: ItemKind): object => (ITEM_SCHEMAS[kind] as unknown as { readonly shape: object }).shape;

export const ITEM_KINDS = Object.keys(ITEM_SCHEMAS) as ItemKind[];
/** Kinds that stand in the building, or are to be taken out of it. */
export const STANDING: ReadonlySet<ItemKind> = new Set(ITEM_KINDS.filter((kind) => 'status' in shapeOf(kind)));

const FIELDS = new Map(ITEM_KINDS.map((kind) => [kind, referenceFields(ITEM_SCHEMAS[kind])]));

/** A reference of an item: the field, the id, and of which kinds the other item may be. */
export interface Reference {
  readonly field: string;
  readonly id: string;
  readonly kinds: readonly string[];
}

/** Every id that an item's body refers to, as its schema declares. */
export function referencesOf({ kind, body }: Item): Reference[] {
  const found: Reference[] = [];
  for (const { path, kinds } of FIELDS.get(kind)!) for (const { field, id: to } of idsAt(body, path)) found.push({ field, id: to, kinds });
  return found;
}

/** What an item is called: its mark, name or label, the words of a note; failing all its id. */
export function itemName({ id, body }: { readonly id: string; readonly body: object }): string {
  const { mark, name, label, text } = body as { mark?: string; name?: string; label?: string; text?: string };
  return mark ?? name ?? label ?? text ?? id;
}
