import { z } from 'zod';

/** An item's id. */
export const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, 'an id is 1 to 40 letters, digits, - or _');

const KINDS = new WeakMap<z.ZodType, readonly string[]>();

/** The id of another item, of one of some kinds: that it is there, and of such a kind, follows from this declaration. */
export function refersTo(kinds: readonly string[], what: string) {
  const schema = id.describe(what);
  KINDS.set(schema, kinds);
  return schema;
}

const LOOSE = new WeakSet<z.ZodType>();

/** The id of another item that may be gone: what is said under it is then a loose end, and keeps nobody from taking the other away. */
export function mayBeGone(what: string) {
  const schema = id.describe(what);
  LOOSE.add(schema);
  return schema;
}

/** Whether a field holds an id of an item that may be gone. */
export const isLoose = (schema: z.ZodType): boolean => LOOSE.has(schema);

/** A field of a schema that refers to items: its path, `*` for each entry of a list. */
export interface ReferenceField {
  readonly path: readonly string[];
  readonly kinds: readonly string[];
}

/** Every field of a schema that refers to items, at any depth. */
export function referenceFields(schema: z.ZodType, path: readonly string[] = []): ReferenceField[] {
  const kinds = KINDS.get(schema);
  if (kinds) return [{ path, kinds }];
  const { def } = schema._zod as unknown as {
    def: { type: string; innerType?: z.ZodType; element?: z.ZodType; shape?: Readonly<Record<string, z.ZodType>> };
  };
  if (def.innerType) return referenceFields(def.innerType, path);
  if (def.type === 'array') return referenceFields(def.element!, [...path, '*']);
  if (def.type === 'object') return Object.entries(def.shape!).flatMap(([field, inner]) => referenceFields(inner, [...path, field]));
  return [];
}

/** The ids that a value holds at such a field, with where: `supports.0.by`. */
export function* idsAt(value: unknown, path: readonly string[], at = ''): Generator<{ readonly field: string; readonly id: string }> {
  const [first, ...rest] = path;
  if (first === undefined) {
    if (typeof value === 'string') yield { field: at, id: value };
    return;
  }
  const within = (name: string) => (at === '' ? name : `${at}.${name}`);
  if (first === '*') {
    if (Array.isArray(value)) for (const [i, entry] of value.entries()) yield* idsAt(entry, rest, within(String(i)));
  } else if (typeof value === 'object' && value !== null) yield* idsAt((value as Record<string, unknown>)[first], rest, within(first));
}
