import type { Bar } from '../material';
import type { BarLayer } from './standard';

/**
 * Straight bars of one size spread evenly over a width: the fewest that give the area needed within the greatest spacing.
 * @param width concrete width over which they spread, mm
 * @param step spacings are multiples of this, mm
 * @returns null when even the closest practical spacing gives too little
 */
export function spreadBars(
  width: number,
  needed: number,
  bar: Bar,
  cover: number,
  maxSpacing: number,
  minSpacing: number,
  step: number,
): BarLayer | null {
  const between = width - 2 * cover - bar.diameter;
  if (between <= 0) return null;
  for (let spacing = Math.floor(maxSpacing / step) * step; spacing >= minSpacing; spacing -= step) {
    const count = Math.ceil(between / spacing - 1e-9) + 1;
    const provided = count * bar.area;
    if (provided >= needed) return { count, spacing: between / (count - 1), needed, provided };
  }
  return null;
}
