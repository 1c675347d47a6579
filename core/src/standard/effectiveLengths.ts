import type { EndConditions } from '../building';

type Held = Exclude<EndConditions, 'number'>;

/** Effective length over length for ideal ends as recommended for design, a little above the theory because no end is quite fixed, and where each stands. */
export type EffectiveLengths = Readonly<Record<Held, { readonly factor: number; readonly source: string }>>;

/**
 * @param source of the factors
 * @param elsewhere sources of those that do not stand there
 */
export function effectiveLengths(
  source: string,
  factors: Readonly<Record<Held, number>>,
  elsewhere: Readonly<Partial<Record<Held, string>>> = {},
): EffectiveLengths {
  const entries = Object.entries(factors).map(([ends, factor]) => [ends, { factor, source: elsewhere[ends as Held] ?? source }]);
  return Object.fromEntries(entries) as EffectiveLengths;
}
