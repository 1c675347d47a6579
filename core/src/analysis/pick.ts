import type { Combination } from '../load';

/** What can be there or not, as far as the choice of it goes. */
export interface Pickable {
  readonly isPermanent: boolean;
  /** Name of a group of alternatives: one unit of it is there, or none. */
  readonly oneOf?: string | undefined;
  /** Which of the alternatives it belongs to; left out: it is one by itself. */
  readonly unit?: string | undefined;
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
  // what each unit of each group of alternatives adds
  const groups = new Map<string, Map<string, number>>();
  const unitAt = (i: number) => parts[i]!.unit ?? `${i}`;
  for (let i = 0; i < parts.length; i += 1) {
    const { isPermanent, oneOf } = parts[i]!;
    const value = values[i]!;
    if (isPermanent) fixed += value;
    else if (value <= 0) continue;
    else if (oneOf === undefined) variable += value;
    else {
      let units = groups.get(oneOf);
      if (!units) groups.set(oneOf, (units = new Map()));
      units.set(unitAt(i), (units.get(unitAt(i)) ?? 0) + value);
    }
  }
  const best = new Map<string, string>();
  for (const [group, units] of groups) {
    let most = 0;
    for (const [unit, value] of units) {
      if (value <= most) continue;
      best.set(group, unit);
      most = value;
    }
    variable += most;
  }
  if (fixed + variable <= nothing) return null;
  if (permanent === 'unfavourable' && fixed < -nothing) return null;
  if (permanent === 'favourable' && fixed >= -nothing) return null;
  return parts.map(
    ({ isPermanent, oneOf }, i) =>
      isPermanent || (oneOf === undefined ? values[i]! >= -nothing : best.get(oneOf) === unitAt(i) && values[i]! >= -nothing),
  );
}

/** Whether two parts are never there together. */
export const hasAlternatives = (parts: readonly Pickable[]): boolean =>
  parts.some(({ oneOf, unit }) => oneOf !== undefined && parts.some((other) => other.oneOf === oneOf && other.unit !== unit));

/**
 * Growths of the moments beside the axial force for which the parts of an interaction are picked: its factors lie between, and where the axial force is small
 * it counts half or not at all.
 */
export const MOMENT_GROWTHS: readonly (readonly [major: number, minor: number])[] = [
  [1, 1],
  [0.6, 0.6],
  [1.6, 1.6],
  [5, 5],
  [0.5, 1.2],
  [1.2, 0.5],
];
