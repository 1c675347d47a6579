import type { Combination } from '../load';

/** What can be there or not, as far as the choice of it goes. */
export interface Pickable {
  readonly isPermanent: boolean;
  /** Name of a group of alternatives: one of them is there, or none. */
  readonly oneOf?: string | undefined;
}

/**
 * The parts under which an effect is largest in the sense that is looked for: permanent ones, and of the variable ones those that add to it, of
 * alternatives the one that adds most. A part without effect stays, unless it is one of alternatives.
 * @param values what each part adds to the effect, factored, positive in the sense that is looked for
 * @param nothing a value so small is rounding
 * @returns for each part whether it is there; null where the sum is none of that sense, or where the combination counts permanent load as the opposite of
 *   what it is to this effect
 */
export function pickParts(
  parts: readonly Pickable[],
  values: readonly number[],
  permanent: Combination['permanent'],
  nothing: number,
): boolean[] | null {
  let fixed = 0;
  let variable = 0;
  // of each group of alternatives the one that adds most
  const best = new Map<string, number>();
  for (let i = 0; i < parts.length; i += 1) {
    const { isPermanent, oneOf } = parts[i]!;
    const value = values[i]!;
    if (isPermanent) fixed += value;
    else if (value <= 0) continue;
    else if (oneOf === undefined) variable += value;
    else if (value > (values[best.get(oneOf) ?? -1] ?? 0)) best.set(oneOf, i);
  }
  for (const i of best.values()) variable += values[i]!;
  if (fixed + variable <= nothing) return null;
  if (permanent === 'unfavourable' && fixed < -nothing) return null;
  if (permanent === 'favourable' && fixed >= -nothing) return null;
  return parts.map(({ isPermanent, oneOf }, i) => isPermanent || (oneOf === undefined ? values[i]! >= -nothing : best.get(oneOf) === i));
}
