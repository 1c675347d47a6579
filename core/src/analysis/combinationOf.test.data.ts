import { usualCases, type Combination } from '../load';

/** A combination of usual cases for strength, with what is said of it. */
export const combinationOf = (factors: Record<string, number>, more: Partial<Combination> = {}): Combination => ({
  id: 'c',
  name: 'c',
  basis: 'factored',
  clause: '',
  factors,
  cases: usualCases,
  purpose: 'strength',
  ...more,
});
