import type { Column, EndConditions } from '../building';
import { STANDARDS, type Standard } from '../standard';

export type BucklingAxis = 'Y' | 'Z';

/** How the ends are held, in words: base first, then top. */
export const END_WORDS: Record<EndConditions, string> = {
  number: 'a factor that is typed',
  pinnedPinned: 'both ends held in position, free to turn',
  fixedPinned: 'both ends held in position, one held against turning',
  fixedFixed: 'both ends held in position and against turning',
  fixedFree: 'base built in, top free',
  fixedSway: 'base built in, top held against turning and free to sway',
  pinnedSway: 'base free to turn, top held against turning and free to sway',
};

const SWAY: readonly EndConditions[] = ['fixedFree', 'fixedSway', 'pinnedSway'];

/** Whether the ends of a column may move sideways from each other about either axis. */
export const sways = ({ endsY, endsZ }: Column): boolean => SWAY.includes(endsY) || SWAY.includes(endsZ);

/** The factor of a column's whole length about an axis, and where it comes from. */
export function endFactor(
  column: Column,
  axis: BucklingAxis,
  family: Standard['id'],
): { readonly factor: number; readonly source: string } {
  const ends = column[`ends${axis}`];
  if (ends === 'number') return { factor: column[`factor${axis}`], source: 'typed' };
  return STANDARDS[family].steel.effectiveLengths[ends];
}

export interface EffectiveLength {
  /** The piece that governs, mm above the base. */
  readonly from: number;
  readonly to: number;
  readonly factor: number;
  /** factor times the piece, mm. */
  readonly length: number;
  readonly source: string;
}

/**
 * The length over which a column buckles about an axis: the longest of the pieces between its ends and the heights at which it is held. A
 * piece of several has the factor 1, for it runs on over the place that holds it, but a factor that is typed holds for each piece, and
 * the top piece of a column that sways sways.
 * @param height mm
 */
export function effectiveLength(column: Column, axis: BucklingAxis, height: number, family: Standard['id']): EffectiveLength {
  const { factor: whole, source } = endFactor(column, axis, family);
  const ends = column[`ends${axis}`];
  const held = column[`held${axis}`].filter((at) => at > 0 && at < height);
  const places = [...new Set([0, ...held, height])].sort((a, b) => a - b);
  let worst: EffectiveLength | null = null;
  for (let i = 0; i + 1 < places.length; i += 1) {
    const [from, to] = [places[i]!, places[i + 1]!];
    const keeps = held.length === 0 || ends === 'number' || (SWAY.includes(ends) && to === height);
    const piece = { from, to, factor: keeps ? whole : 1, source: keeps ? source : 'runs on over the place that holds it' };
    const length = piece.factor * (to - from);
    if (!worst || length > worst.length) worst = { ...piece, length };
  }
  return worst!;
}

/** The rule by which a column's effective length about an axis comes, in words. */
export function effectiveLengthWords(column: Column, axis: BucklingAxis, family: Standard['id']): string {
  const ends = column[`ends${axis}`];
  const { factor } = endFactor(column, axis, family);
  const of = column[`held${axis}`].length > 0 ? 'the lengths between places that are held' : 'the storey height';
  return ends === 'number' ? `${factor} times ${of}` : `${factor} times ${of} (${END_WORDS[ends]})`;
}
