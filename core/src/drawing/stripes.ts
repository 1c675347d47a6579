import { caseIn, NATURES, type LoadCases, type Nature } from '../load';
import type { ByCase } from '../takedown';
import type { Pencil } from './drawing';

/** Sums by nature, times the factor of each case, in the order in which natures are drawn. */
export function byNature(byCase: ByCase, factor: (caseId: string) => number, cases: LoadCases): [Nature, number][] {
  const sums = new Map<Nature, number>();
  for (const id in byCase) {
    const { nature } = caseIn(cases, id);
    sums.set(nature, (sums.get(nature) ?? 0) + byCase[id]! * factor(id));
  }
  return NATURES.filter((nature) => sums.get(nature)).map((nature) => [nature, sums.get(nature)!]);
}

/** A band from one place to another, a stripe for each nature, as wide as its force. @param scale px to a newton */
export function drawStripes(
  pencil: Pencil,
  parts: readonly (readonly [Nature, number])[],
  scale: number,
  [x1, y1, x2, y2]: readonly [number, number, number, number],
  { item, title, opacity }: { readonly item: string; readonly title: string; readonly opacity: number },
): void {
  let offset = (-parts.reduce((sum, [, value]) => sum + Math.abs(value), 0) * scale) / 2;
  for (const [nature, value] of parts) {
    const band = Math.abs(value) * scale;
    pencil.band({
      x1: x1 + offset + band / 2,
      y1,
      x2: x2 + offset + band / 2,
      y2,
      width: Math.max(band, 0.4),
      // what lifts is shown in the colour that asks for attention
      fill: value < 0 ? 'accent' : nature,
      opacity,
      item,
      title,
    });
    offset += band;
  }
}
