import type { Combination } from '../load';
import { loadingName, type NamedPart } from './loadingName';

/** One combination with the parts of its variable load that are present, numbered as the parts of the member. */
export interface Loading {
  /** The combination, with what is absent in its name. */
  readonly combination: Combination;
  readonly present: readonly boolean[];
}

/**
 * The loadings of a combination, each with a name of its own.
 * @param found for each loading which of the parts are present
 * @param spans number of spans on which parts may lie
 */
export function namedLoadings(
  combination: Combination,
  parts: readonly NamedPart[],
  factors: readonly number[],
  found: Iterable<readonly boolean[]>,
  spans: number,
): Loading[] {
  const names = new Set<string>();
  return [...found].map((present) => {
    const plain = loadingName(combination.name, parts, factors, present, spans);
    let name = plain;
    for (let n = 2; names.has(name); n += 1) name = `${plain} (${n})`;
    names.add(name);
    return { combination: name === combination.name ? combination : { ...combination, name }, present };
  });
}

/**
 * The combinations that differ in what a member feels: of those that give its cases the same factors only the first stays.
 * @param cases ids of the cases that act on it
 * @param notBesidePsi those of them whose value is another where a psi reduces them
 */
export function distinctFor(
  cases: readonly string[],
  combinations: readonly Combination[],
  notBesidePsi: readonly string[] = [],
): Combination[] {
  const seen = new Set<string>();
  return combinations.filter(({ factors, permanent, accompanying = [] }) => {
    const beside = notBesidePsi.filter((id) => accompanying.includes(id));
    const key = `${permanent} ${cases.map((id) => factors[id] ?? 0).join()} ${beside.join()}`;
    return seen.has(key) ? false : Boolean(seen.add(key));
  });
}
