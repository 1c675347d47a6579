import { formatQuantity, measure, type Item, type PlanPoint } from '@plinth/core';

export function isLine(body: unknown): body is { from: PlanPoint; to: PlanPoint } {
  const from = (body as { from?: unknown } | undefined)?.from;
  return typeof from === 'object' && from !== null;
}

/** A point of an item that can be dragged by itself: an end of a line, a corner of an outline, a place of a measurement. */
export type Handle = { readonly end: 'from' | 'to' } | { readonly ring: 'outline' | 'points' | number; readonly corner: number };

/** Every such point of an item, with where it lies. Of an opening of a panel `ring` is its number. */
export function handlesOf(body: Item['body']): { readonly handle: Handle; readonly point: PlanPoint }[] {
  if (isLine(body)) return (['from', 'to'] as const).map((end) => ({ handle: { end }, point: body[end] }));
  const corners = (ring: Extract<Handle, { ring: unknown }>['ring'], points: readonly PlanPoint[]) =>
    points.map((point, corner) => ({ handle: { ring, corner }, point }));
  if ('points' in body) return corners('points', body.points);
  if (!('outline' in body)) return [];
  const openings = 'openings' in body ? body.openings.flatMap((opening, i) => corners(i, opening.outline)) : [];
  return [...corners('outline', body.outline), ...openings];
}

/** An item with one of its points moved. */
export function withHandleMoved(item: Item, handle: Handle, dx: number, dy: number): Item {
  const move = ({ x, y }: PlanPoint) => ({ x: x + dx, y: y + dy });
  const { body } = item;
  if ('end' in handle) return isLine(body) ? ({ ...item, body: { ...body, [handle.end]: move(body[handle.end]) } } as Item) : item;
  const { ring, corner } = handle;
  const moved = (points: readonly PlanPoint[]) => points.map((point, i) => (i === corner ? move(point) : point));
  if (ring === 'points') return 'points' in body ? ({ ...item, body: { ...body, points: moved(body.points) } } as Item) : item;
  if (ring === 'outline') return 'outline' in body ? ({ ...item, body: { ...body, outline: moved(body.outline) } } as Item) : item;
  if (item.kind !== 'panel') return item;
  const openings = item.body.openings.map((opening, i) => (i === ring ? { ...opening, outline: moved(opening.outline) } : opening));
  return { ...item, body: { ...item.body, openings } };
}

/** Corners of a rectangle between two opposite ones. */
export function rectangle(a: PlanPoint, b: PlanPoint): PlanPoint[] {
  return [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];
}

/** A corner moved a millimetre towards the middle, so that one on the edge counts as inside. */
export function inward(corner: PlanPoint, corners: readonly PlanPoint[]): PlanPoint {
  const x = corners.reduce((sum, c) => sum + c.x, 0) / corners.length;
  const y = corners.reduce((sum, c) => sum + c.y, 0) / corners.length;
  return { x: corner.x + Math.sign(x - corner.x), y: corner.y + Math.sign(y - corner.y) };
}

/** Lines and corners of what is being moved. */
export function selectedLines(items: readonly Item[]): PlanPoint[][] {
  const ring = (outline: readonly PlanPoint[]) => (outline.length > 0 ? [[...outline, outline[0]!]] : []);
  return items.flatMap(({ body }) => {
    if (isLine(body)) return [[body.from, body.to]];
    if ('openings' in body && 'outline' in body) return [body.outline, ...body.openings.map((opening) => opening.outline)].flatMap(ring);
    if ('outline' in body && body.outline.length > 0) return ring(body.outline);
    if ('points' in body) return 'closed' in body && body.closed ? ring(body.points) : [[...body.points]];
    return 'at' in body && typeof body.at === 'object' ? [[body.at]] : [];
  });
}

/** A chain in words: each length, the sum, and the area when it is closed. */
export function measured(points: readonly PlanPoint[], length: (mm: number) => string, units: 'SI' | 'US'): string {
  const closed = isClosed(points);
  const { parts, length: sum, area } = measure({ points: closed ? points.slice(0, -1) : points, closed, pitch: 0 });
  const chain = parts.length > 1 ? `${parts.map(length).join(' + ')} = ${length(sum)}` : length(sum);
  return area === null ? chain : `${chain}; area ${formatQuantity(area, 'floorArea', units)}`;
}

/** True for a chain that ends where it began. */
export function isClosed(points: readonly PlanPoint[]): boolean {
  const [first, last] = [points[0]!, points.at(-1)!];
  return points.length > 3 && Math.hypot(first.x - last.x, first.y - last.y) < 1;
}
