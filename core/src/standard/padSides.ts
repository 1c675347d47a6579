import type { Sheet } from '../sheet';

/** One side of a pad beyond the axis of its column, along the bars. */
export interface PadSide {
  /** even: the column stands in the middle, and both sides are alike; else the side towards which it stands off the middle, or the other one. */
  readonly kind: 'even' | 'short' | 'long';
  /** Extent of the pad along the bars, and how far the axis stands off its middle, mm. */
  readonly span: number;
  readonly off: number;
  /** From the axis of the column to the edge, mm. */
  readonly reach: number;
  /** Mean pressure from the column alone, MPa. */
  readonly mean: number;
}

/**
 * The sides of a pad along the bars. The pressure from the column alone is linear over the whole base, mean (1 + 12 e x / L^2) at x from the middle; across the
 * bars it is even on average.
 * @param span along the bars, mm. off: of the column and its load from the middle, mm. mean: pressure, MPa
 */
export function sidesOf(span: number, off: number, mean: number): readonly PadSide[] {
  const e = Math.abs(off);
  if (e === 0) return [{ kind: 'even', span, off: 0, reach: span / 2, mean }];
  return [
    { kind: 'short', span, off: e, reach: span / 2 - e, mean },
    { kind: 'long', span, off: e, reach: span / 2 + e, mean },
  ];
}

/** What the pressure over a strip at the edge is gathered for: its force, or its moment about the inner end of the strip. */
type Effect = 'force' | 'moment';

/** Pressure at a distance from the edge of a side, from the column alone, MPa; negative: the pad's own weight presses it. */
function pressureAt({ kind, span, off, mean }: PadSide, fromEdge: number): number {
  const x = span / 2 - fromEdge;
  return mean * (1 + ((kind === 'long' ? -12 : 12) * off * x) / span ** 2);
}

/** The even pressure over a strip at the edge that has the same force, or the same moment about its inner end, MPa. strip: mm */
export function evenPressure(side: PadSide, strip: number, effect: Effect): number {
  if (side.kind === 'even') return side.mean;
  const [edge, inner] = [pressureAt(side, 0), pressureAt(side, strip)];
  return effect === 'force' ? (edge + inner) / 2 : (2 * edge + inner) / 3;
}

/** Symbols under which a family prints the even pressure and the projection. */
interface SideSymbols {
  readonly pressure: string;
  readonly projection: string;
  readonly clause: string;
}

/** Records the projection of a side beyond the face of the column. L_b and c are to be in scope. column: outline along the bars, mm */
export function recordProjection(
  { kind, span, off, reach }: PadSide,
  column: number,
  { projection, clause }: SideSymbols,
  sheet?: Sheet,
): void {
  if (!sheet) return;
  const sides = { L_b: span, c: column };
  const [a, meaning] = [reach - column / 2, 'projection beyond the face of the column'];
  if (kind === 'even') {
    sheet.step(projection, '(L_b - c) / 2', sides, a, 'length', clause, meaning);
    return;
  }
  sheet.given('e', off, 'sectionLength', 'the column off the middle of the pad', 'takedown');
  const formula = kind === 'short' ? 'L_b / 2 - e - c / 2' : 'L_b / 2 + e - c / 2';
  sheet.step(projection, formula, { ...sides, e: off }, a, 'length', clause, `${meaning}, on the ${kind} side`);
}

/**
 * Records the even pressure over a strip at the edge of a side; of a pad whose column stands in the middle it is that of the whole pad, and stands above.
 * e and L_b are to be in scope.
 * @param strip symbol and value of its length, mm
 */
export function recordPressure(
  side: PadSide,
  strip: { readonly symbol: string; readonly value: number },
  effect: Effect,
  { pressure }: SideSymbols,
  sheet?: Sheet,
): void {
  if (!sheet || side.kind === 'even') return;
  const { kind, span, off, mean } = side;
  const sign = kind === 'short' ? '+' : '-';
  const inputs = { p_m: mean, e: off, L_b: span };
  sheet.given('p_m', mean, 'bearing', 'mean pressure from the column alone, from above');
  const [edge, inner] = [pressureAt(side, 0), pressureAt(side, strip.value)];
  sheet.step('p_e', `p_m * (1 ${sign} 6 * e / L_b)`, inputs, edge, 'bearing', 'statics', 'at the edge, the whole base in contact');
  sheet.step(
    'p_i',
    `p_m * (1 ${sign} 12 * e * (L_b / 2 - ${strip.symbol}) / L_b^2)`,
    { ...inputs, [strip.symbol]: strip.value },
    inner,
    'bearing',
    'statics',
    `at ${strip.symbol} from the edge`,
  );
  const even = evenPressure(side, strip.value, effect);
  if (effect === 'force')
    sheet.step(pressure, '(p_e + p_i) / 2', { p_e: edge, p_i: inner }, even, 'bearing', 'statics', 'even, of the same force');
  else sheet.step(pressure, '(2 * p_e + p_i) / 3', { p_e: edge, p_i: inner }, even, 'bearing', 'statics', 'even, of the same moment');
}

/** The side under which something is largest. */
export function worstSide(sides: readonly PadSide[], of: (side: PadSide) => number): PadSide {
  return sides.reduce((worst, side) => (of(side) > of(worst) ? side : worst));
}

/** Pressure from an eccentric column at its own axis, MPa, and how it grows along x and y, MPa/mm. */
export function pressureAtColumn(mean: number, width: number, length: number, off: { readonly x: number; readonly y: number }) {
  const alongX = (12 * mean * off.x) / width ** 2;
  const alongY = (12 * mean * off.y) / length ** 2;
  return { pressure: mean + alongX * off.x + alongY * off.y, alongX: Math.abs(alongX), alongY: Math.abs(alongY) };
}
