import americanCombined from './expected/american-combined.json';
import american from './expected/american.json';
import british from './expected/british.json';
import europeanRecommended from './expected/european-recommended.json';
import european from './expected/european.json';

/** What docs/verification/members.py worked out apart from the program: by check its capacity, or its demand where that is a sum of ratios. N, mm, Nmm. */
export interface MemberCase {
  readonly input: Readonly<Record<string, unknown>>;
  readonly expected: Readonly<Record<string, number>>;
}
const casesIn = (list: readonly unknown[]) => list as readonly MemberCase[];

export const EUROPEAN = casesIn(european);
export const EUROPEAN_RECOMMENDED = casesIn(europeanRecommended);
export const AMERICAN = casesIn(american);
export const AMERICAN_COMBINED = casesIn(americanCombined);
export const BRITISH = casesIn(british);
