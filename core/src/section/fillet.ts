/**
 * The concave fillet that fills a right-angled corner with radius r, measured from that corner along either leg:
 * area, distance of its centroid, second moment and product of inertia about its own centroid.
 * Exact, as the square r x r less the quarter circle.
 */
export function fillet(r: number): { area: number; centroid: number; second: number; product: number } {
  if (r === 0) return { area: 0, centroid: 0, second: 0, product: 0 };
  const area = r * r * (1 - Math.PI / 4);
  const centroid = (r * (5 / 6 - Math.PI / 4)) / (1 - Math.PI / 4);
  const second = r ** 4 * (1 - (5 * Math.PI) / 16) - area * centroid ** 2;
  const product = r ** 4 * (19 / 24 - Math.PI / 4) - area * centroid ** 2;
  return { area, centroid, second, product };
}
