import type { z } from 'zod';
import { ITEM_SCHEMAS, type Body, type Item, type ItemKind } from './item';

/**
 * Version of the model in which items are written today. Items, entries of the journal and project files carry the version in which they
 * were written, and are brought up to this one when they are read: here, and nowhere else.
 *
 * 1: bodies as they came, unknown fields dropped without a word. 2: unknown fields are refused by name when they are typed or sent. 3: loads may belong to
 * an action of the project.
 */
export const MODEL_VERSION = 3;

interface Upgrade {
  /** The version that it makes. */
  readonly to: number;
  /** The body of an item as the next version writes it. */
  readonly body: (kind: ItemKind, body: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>;
}

const shapeOf = (schema: z.ZodType) => (schema as unknown as { readonly shape: Readonly<Record<string, z.ZodType>> }).shape;

/** A body without the fields that its kind does not know, at any depth: version 1 dropped them when it read them. */
function withoutUnknown(schema: z.ZodType, value: unknown): unknown {
  const { def } = schema._zod as unknown as { def: { type: string; innerType?: z.ZodType; element?: z.ZodType } };
  if (def.innerType) return withoutUnknown(def.innerType, value);
  if (def.type === 'array' && Array.isArray(value)) return value.map((entry) => withoutUnknown(def.element!, entry));
  if (def.type !== 'object' || typeof value !== 'object' || value === null) return value;
  const shape = shapeOf(schema);
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key]) => Object.hasOwn(shape, key))
      .map(([key, entry]) => [key, withoutUnknown(shape[key]!, entry)]),
  );
}

/** Variable loads of a build-up as they were before there were actions: each in the usual case of its nature. */
const inUsualCases = (loads: unknown): unknown =>
  Array.isArray(loads) ? loads.map((load: object) => ({ action: null, loadCase: '', ...load })) : [];

const UPGRADES: readonly Upgrade[] = [
  { to: 2, body: (kind, body) => withoutUnknown(ITEM_SCHEMAS[kind], body) as Readonly<Record<string, unknown>> },
  { to: 3, body: (kind, body) => (kind === 'buildUp' ? { ...body, variable: inUsualCases(body['variable']) } : body) },
];

const defaults = new Map<ItemKind, readonly (readonly [field: string, value: unknown])[]>();

/** Fields of a kind that have a value when nothing is typed, with that value. */
function defaultsOf(kind: ItemKind): readonly (readonly [field: string, value: unknown])[] {
  let known = defaults.get(kind);
  if (!known) {
    const found: [string, unknown][] = [];
    for (const [field, schema] of Object.entries(shapeOf(ITEM_SCHEMAS[kind]))) {
      const empty = schema.safeParse(undefined);
      if (empty.success && empty.data !== undefined) found.push([field, empty.data]);
    }
    defaults.set(kind, (known = found));
  }
  return known;
}

/**
 * A body as an earlier version wrote it, brought up to this version: changed step by step, then completed with the fields that came since,
 * each as if nothing was typed. The same object when nothing is missing.
 */
export function upgradeBody<K extends ItemKind>(kind: K, body: unknown, version: number): Body<K> {
  let current = body as Readonly<Record<string, unknown>>;
  for (const upgrade of UPGRADES) if (upgrade.to > version) current = upgrade.body(kind, current);
  const add: Record<string, unknown> = {};
  for (const [field, value] of defaultsOf(kind)) if (!(field in current)) add[field] = value;
  return (Object.keys(add).length === 0 ? current : { ...current, ...add }) as Body<K>;
}

/** An item of an earlier version; what is no item of a known kind is left for the reader to refuse. */
export function upgradeItem(raw: unknown, version: number): unknown {
  const item = raw as Partial<Item> | null;
  if (typeof item !== 'object' || item === null || typeof item.body !== 'object' || item.body === null) return raw;
  if (typeof item.kind !== 'string' || !Object.hasOwn(ITEM_SCHEMAS, item.kind)) return raw;
  return { ...item, body: upgradeBody(item.kind, item.body, version) };
}
