import { formatQuantity, measure, type Item, type PlanPoint } from '@plinth/core';

export function isLine(body: unknown): body is { from: PlanPoint; to: PlanPoint } {
  const from = (body as { from?: unknown } | undefined)?.from;
  return typeof from === 'object' && from !== null;
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
  return items.map(({ body }) => {
    if (isLine(body)) return [body.from, body.to];
    if ('outline' in body && body.outline.length > 0) return [...body.outline, body.outline[0]!];
    if ('points' in body) return [...body.points];
    return 'at' in body && typeof body.at === 'object' ? [body.at] : [];
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
