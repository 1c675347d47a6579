import type { z } from 'zod';
import { contactsOf } from './connection';
import { ITEM_SCHEMAS, type Item, type ItemKind, type PlanPoint } from './item';
import { newBeamConnection, saysHeld } from './schema/connection';

/**
 * Version of the model in which items are written today. Items, entries of the journal and project files carry the version in which they
 * were written, and are brought up to this one when they are read: here, and nowhere else.
 *
 * 1: bodies as they came, unknown fields dropped without a word. 2: unknown fields are refused by name when they are typed or sent. 3: loads may belong to
 * an action of the project. 4: members say what they are made of; a truss is a kind of its own, no role of a beam. 5: what is said of a connection that was
 * found stands under what it joins, no longer under the place where it was.
 */
export const MODEL_VERSION = 5;

/** An item as it is stored: its kind is one of its version. */
interface Stored {
  readonly kind: string;
  readonly body: Readonly<Record<string, unknown>>;
}

interface Upgrade {
  /** The version that it makes. */
  readonly to: number;
  /** An item as the next version writes it. */
  readonly item: (stored: Stored) => Stored;
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

/** What a truss of version 4 takes over from the beam as which it was drawn. */
const OF_TRUSS =
  'mark level from to ownWeight supportsFound supports hinges stretches strips transfer measured reduction status note'.split(' ');

/** A beam that was called a truss is one; what is left is a beam of steel. */
function byItsKind({ kind, body: { role, ...body } }: Stored): Stored {
  // what was never a role is left for the reader to refuse
  if (role !== 'truss') return { kind, body: role === undefined || role === 'beam' ? body : { ...body, role } };
  return { kind: 'truss', body: Object.fromEntries(OF_TRUSS.flatMap((field) => (field in body ? [[field, body[field]]] : []))) };
}

type Supports = readonly { readonly at: number; readonly by: string | null }[];

/** What was said of the supports of a beam that are found is said of its connections. */
function saidOfConnections({ kind, body }: Stored): Stored {
  const { supportsFound, supports, from, to } = body as { supportsFound?: boolean; supports?: Supports; from: PlanPoint; to: PlanPoint };
  if (!supportsFound || !supports || supports.length === 0) return { kind, body };
  const places = [...supports].sort((a, b) => a.at - b.at);
  const contacts = contactsOf(places, Math.hypot(to.x - from.x, to.y - from.y));
  const connections = places.flatMap(({ at: _, by, ...said }, i) => {
    if (by === null) return [];
    const one = newBeamConnection({ ...said, to: by, ...contacts[i]! });
    return saysHeld(one) ? [one] : [];
  });
  return { kind, body: { ...body, supports: [], connections } };
}

const UPGRADES: readonly Upgrade[] = [
  { to: 3, item: ({ kind, body }) => ({ kind, body: kind === 'buildUp' ? { ...body, variable: inUsualCases(body['variable']) } : body }) },
  { to: 4, item: (stored) => (stored.kind === 'beam' ? byItsKind(stored) : stored) },
  { to: 5, item: (stored) => (stored.kind === 'beam' || stored.kind === 'truss' ? saidOfConnections(stored) : stored) },
];

/** Completes a value with the fields that have a value when nothing is typed; the same value when none is missing. */
type Complete = (value: unknown) => unknown;

/** How the objects of a schema are completed, at any depth; null: nothing in it can be missing. */
function completing(schema: z.ZodType): Complete | null {
  const { def } = schema._zod as unknown as { def: { type: string; innerType?: z.ZodType; element?: z.ZodType } };
  if (def.innerType) return completing(def.innerType);
  if (def.type === 'array') {
    const each = completing(def.element!);
    return each && ((value) => (Array.isArray(value) ? eachOf(value, each) : value));
  }
  if (def.type !== 'object') return null;
  const missing: [field: string, value: unknown][] = [];
  const within: [field: string, complete: Complete][] = [];
  for (const [field, inner] of Object.entries(shapeOf(schema))) {
    const empty = inner.safeParse(undefined);
    if (empty.success && empty.data !== undefined) missing.push([field, empty.data]);
    const complete = completing(inner);
    if (complete) within.push([field, complete]);
  }
  return missing.length + within.length === 0 ? null : (value) => completed(value, missing, within);
}

function eachOf(list: readonly unknown[], complete: Complete): readonly unknown[] {
  let next: unknown[] | null = null;
  for (let i = 0; i < list.length; i += 1) {
    const made = complete(list[i]);
    if (made !== list[i]) (next ??= list.slice())[i] = made;
  }
  return next ?? list;
}

function completed(
  value: unknown,
  missing: readonly (readonly [field: string, value: unknown])[],
  within: readonly (readonly [field: string, complete: Complete])[],
): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const before = value as Readonly<Record<string, unknown>>;
  let next: Record<string, unknown> | null = null;
  for (const [field, empty] of missing) if (!(field in before)) (next ??= { ...before })[field] = empty;
  for (const [field, complete] of within) {
    const made = complete(before[field]);
    if (made !== before[field]) (next ??= { ...before })[field] = made;
  }
  return next ?? value;
}

const known = new Map<ItemKind, Complete>();

function completeOf(kind: ItemKind): Complete {
  let found = known.get(kind);
  if (!found) known.set(kind, (found = completing(ITEM_SCHEMAS[kind]) ?? ((value) => value)));
  return found;
}

/**
 * An item as an earlier version wrote it, brought up to this version: changed step by step, then completed with the fields that came since, at any
 * depth, each as if nothing was typed. The same body when nothing is missing.
 */
export function upgradeStored(stored: { readonly kind: string; readonly body: unknown }, version: number): Pick<Item, 'kind' | 'body'> {
  let current = stored as Stored;
  for (const upgrade of UPGRADES) if (upgrade.to > version) current = upgrade.item(current);
  const kind = current.kind as ItemKind;
  if (version < 2) current = { kind, body: withoutUnknown(ITEM_SCHEMAS[kind], current.body) as Stored['body'] };
  return { kind, body: completeOf(kind)(current.body) as Item['body'] };
}

/** An item of an earlier version; what is no item of a known kind is left for the reader to refuse. */
export function upgradeItem(raw: unknown, version: number): unknown {
  const item = raw as Partial<Item> | null;
  if (typeof item !== 'object' || item === null || typeof item.body !== 'object' || item.body === null) return raw;
  if (typeof item.kind !== 'string' || !Object.hasOwn(ITEM_SCHEMAS, item.kind)) return raw;
  return { ...item, ...upgradeStored({ kind: item.kind, body: item.body }, version) };
}
