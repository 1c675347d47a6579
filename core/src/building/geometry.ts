import { ITEM_SCHEMAS, type Item, type ItemKind, type PlanPoint } from './item';

/** How an item lies on plan: from one point to another, at a point, as an outline, as a chain of points; null: it has no place of its own. */
export type Geometry = 'line' | 'point' | 'outline' | 'points' | null;

type Schema = { readonly shape?: object; readonly def?: { readonly innerType?: Schema } } | undefined;
type Shape = Readonly<Record<string, Schema>>;

/** A point, or a field that may hold one. */
const isPoint = (schema: Schema): boolean =>
  schema?.def?.innerType ? isPoint(schema.def.innerType) : schema?.shape !== undefined && 'x' in schema.shape && 'y' in schema.shape;

/** Read off its schema: a kind that is added with `from` and `to` is a line, and is moved, split and copied as one. */
export function geometryOf(kind: ItemKind): Geometry {
  const { from, at, outline, points } = (ITEM_SCHEMAS[kind] as unknown as { readonly shape: Shape }).shape;
  if (isPoint(from)) return 'line';
  if (isPoint(at)) return 'point';
  return outline ? 'outline' : points ? 'points' : null;
}

/** Items with a line on plan: they can be split at a place, joined end to end, and copied beside themselves. */
export type LineItem = Extract<Item, { readonly body: { readonly from: PlanPoint; readonly to: PlanPoint } }>;

export function isLineItem(item: Item): item is LineItem {
  return geometryOf(item.kind) === 'line';
}

interface Placed {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly at: PlanPoint;
  readonly outline: readonly PlanPoint[];
  readonly openings?: readonly { readonly outline: readonly PlanPoint[] }[];
  readonly points: readonly PlanPoint[];
}

/** An item moved on plan, mm; what has no place of its own stays as it is. */
export function movedItem<I extends Item>(item: I, dx: number, dy: number): I {
  const move = ({ x, y }: PlanPoint) => ({ x: x + dx, y: y + dy });
  const body = item.body as unknown as Placed;
  const to = (change: Partial<Placed>): I => ({ ...item, body: { ...body, ...change } }) as unknown as I;
  switch (geometryOf(item.kind)) {
    case 'line':
      return to({ from: move(body.from), to: move(body.to) });
    case 'point':
      return to({ at: move(body.at) });
    case 'points':
      return to({ points: body.points.map(move) });
    case 'outline':
      return to({
        outline: body.outline.map(move),
        ...(body.openings && { openings: body.openings.map((opening) => ({ ...opening, outline: opening.outline.map(move) })) }),
      });
    case null:
      return item;
  }
}

/** Does every point of what lies on plan lie inside? */
export function liesInside(kind: ItemKind, item: object, inside: (point: PlanPoint) => boolean): boolean {
  const body = item as Placed;
  switch (geometryOf(kind)) {
    case 'line':
      return inside(body.from) && inside(body.to);
    case 'point':
      return inside(body.at);
    case 'points':
      return body.points.every(inside);
    case 'outline':
      return body.outline.length > 0 && body.outline.every(inside);
    case null:
      return false;
  }
}
