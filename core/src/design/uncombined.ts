import { NATURE_LABEL, uncombined, type Combination, type LoadCase } from '../load';
import { citing, unproven, type Check, type Sheet } from '../sheet';
import type { MemberLedger } from '../takedown';

export const COMBINATION = { id: 'combination-of-loads', name: 'Combination of loads' } as const;

const natures = (cases: readonly LoadCase[]) => [...new Set(cases.map(({ nature }) => NATURE_LABEL[nature]))].join(' and ');

/**
 * A row that names the load of a member to which no combination gives a factor: it is in none of the checks that are made under them.
 * @param source where the combinations come from
 * @param purpose of the combinations
 * @param what the checks that leave it out
 */
export function uncombinedChecks(
  { arrivals }: Pick<MemberLedger, 'arrivals'>,
  combinations: readonly Combination[],
  cases: readonly LoadCase[],
  { source, purpose, what }: { readonly source: string; readonly purpose: 'strength' | 'service'; readonly what: string },
  sheet?: Sheet,
): Check[] {
  const isLoaded = ({ id }: LoadCase) => arrivals.some(({ byCase }) => (byCase[id] ?? 0) !== 0);
  const left = uncombined(cases, combinations).filter(isLoaded);
  if (left.length === 0) return [];
  return [
    unproven(
      COMBINATION,
      citing(source)(''),
      'ductile',
      `${natures(left)} load is in no combination for ${purpose} (${source}): ${what} leave it out`,
      sheet,
    ),
  ];
}

/** Why some cases cannot be combined, in words; null when each is in some combination. */
export function whyUncombined(cases: readonly LoadCase[], combinations: readonly Combination[], source: string): string | null {
  const left = uncombined(cases, combinations);
  return left.length === 0 ? null : `${source} has no combination with ${natures(left)} load`;
}
