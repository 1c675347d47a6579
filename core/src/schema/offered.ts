import { z } from 'zod';

/** Fields that a schema does not offer although its like does, with who does not read them. */
const UNREAD = new WeakMap<object, { readonly fields: readonly string[]; readonly by: string }>();

/**
 * A strict group of fields without those that are not read: who types one is told so by name, and by whom it is not read.
 * @param shape fields of which some may be unread
 * @param unread names of those that are
 * @param by what does not read them, such as "BS 5950-1"
 */
export function offered<S extends z.ZodRawShape, K extends keyof S & string>(shape: S, unread: readonly K[], by: string) {
  const kept = Object.fromEntries(Object.entries(shape).filter(([key]) => !(unread as readonly string[]).includes(key)));
  const schema = z.strictObject(kept);
  UNREAD.set(schema, { fields: unread, by });
  return schema as unknown as z.ZodObject<Omit<S, K> & { [P in K]: z.ZodOptional<S[P]> }, z.core.$strict>;
}

/** Who does not read a field that a schema leaves out; null when it is simply unknown. */
export function unreadBy(schema: object | undefined, field: string): string | null {
  const unread = schema && UNREAD.get(schema);
  return unread?.fields.includes(field) ? unread.by : null;
}
