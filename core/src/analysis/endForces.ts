import type { Combination } from '../load';
import { namedLoadings, type Loading } from './loading';
import type { NamedPart } from './loadingName';
import { pickParts, type Pickable } from './pick';

/**
 * What a member hands to what it rests on, at once, N and Nmm, in its own axes: N along it, compression positive; Vy across, Vz downward; T about it; My
 * about its horizontal axis, clockwise positive with its start at the left; Mz about the other. What nothing produces is 0.
 */
export interface EndForces {
  readonly N: number;
  readonly Vy: number;
  readonly Vz: number;
  readonly T: number;
  readonly My: number;
  readonly Mz: number;
}

/** Forces of an end under one loading. */
export interface EndSet {
  readonly loading: Loading;
  readonly forces: EndForces;
}

export const NO_FORCES: EndForces = { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0 };
const COMPONENTS = Object.keys(NO_FORCES) as (keyof EndForces)[];

/** A part of the sum of what acts below which a value is rounding. */
const ROUNDING = 1e-9;

/**
 * The sets of forces of an end under which some component is largest in either sense, each with all that acts at once; one set once.
 * @param parts what may be there or not
 * @param alone what each part does there by itself, unfactored
 */
export function extremeSets(
  parts: readonly (NamedPart & Pickable)[],
  alone: readonly EndForces[],
  combinations: readonly Combination[],
  spans: number,
): EndSet[] {
  const found = new Map<string, EndSet>();
  for (const component of COMPONENTS) {
    if (alone.every((forces) => forces[component] === 0)) continue;
    for (const sense of [1, -1]) {
      let best: { value: number; combination: Combination; factors: readonly number[]; present: readonly boolean[] } | undefined;
      for (const combination of combinations) {
        const factors = parts.map(({ loadCase }) => combination.factors[loadCase.id] ?? 0);
        const values = alone.map((forces, i) => sense * factors[i]! * forces[component]);
        const nothing = ROUNDING * values.reduce((sum, value) => sum + Math.abs(value), 0);
        const present = pickParts(parts, values, combination.permanent, nothing);
        if (!present) continue;
        const value = values.reduce((sum, one, i) => sum + (present[i] ? one : 0), 0);
        if (!best || value > best.value * (1 + ROUNDING)) best = { value, combination, factors, present };
      }
      if (!best) continue;
      const { combination, factors, present } = best;
      const [loading] = namedLoadings(combination, parts, factors, [present], spans);
      const sum = (of: keyof EndForces) => alone.reduce((total, forces, i) => total + (present[i] ? factors[i]! * forces[of] : 0), 0);
      const forces = Object.fromEntries(COMPONENTS.map((of) => [of, sum(of)])) as unknown as EndForces;
      found.set(`${combination.id} ${present.map(Number).join('')}`, { loading: loading!, forces });
    }
  }
  return [...found.values()];
}
