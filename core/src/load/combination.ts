import type { Basis } from '../sheet';
import { caseFromId, isPermanent, type LoadCase } from './nature';

/** A combination: one factor for every case it contains. Cases it does not name are left out. */
export interface Combination {
  readonly id: string;
  readonly name: string;
  readonly basis: Basis;
  readonly clause: string;
  readonly factors: Readonly<Record<string, number>>;
  /** Factor of permanent load where it helps (loads that lift are judged source by source). */
  readonly favourablePermanent?: number;
  /**
   * Whether it counts permanent load as unfavourable, or as favourable, where another combination does the other: it says nothing of effects that
   * permanent load lowers, or raises. Left out: it is for both.
   */
  readonly permanent?: 'unfavourable' | 'favourable';
  readonly purpose: 'strength' | 'service' | 'lifting';
  /** Cases that it reduces as accompanying ones. */
  readonly accompanying?: readonly string[];
}

/** Loads with the basis they are combined on: a resistance refuses another. */
export interface Effects {
  readonly basis: Basis;
  readonly combination: string;
}

/** Factors of a family for one case in one combination, by nature. */
export function factorsFor(cases: readonly LoadCase[], factor: (loadCase: LoadCase) => number): Record<string, number> {
  return Object.fromEntries(cases.map((loadCase) => [loadCase.id, factor(loadCase)] as const).filter(([, value]) => value !== 0));
}

/** The sum over cases of value times factor; a case without a factor counts nothing. */
export function combine(byCase: Readonly<Record<string, number>>, combination: Combination): number {
  let sum = 0;
  for (const id in byCase) sum += (combination.factors[id] ?? 0) * byCase[id]!;
  return sum;
}

/**
 * Combined value of shares that may help or harm, taken one by one: a share of variable load that helps is left out, a
 * share of permanent load that helps gets the favourable factor. `harmful` is -1 when negative values are the harm
 * (lifting), 1 when positive ones are.
 */
export function combineWorst(
  shares: readonly { readonly loadCase: LoadCase; readonly value: number }[],
  combination: Combination,
  harmful: 1 | -1,
): number {
  let sum = 0;
  for (const { loadCase, value } of shares) {
    const harms = value * harmful > 0;
    const factor = combination.factors[loadCase.id] ?? 0;
    if (harms) sum += factor * value;
    else if (isPermanent(loadCase.nature)) sum += (combination.favourablePermanent ?? factor) * value;
  }
  return sum;
}

/**
 * The largest that a combination can press on a member: permanent load as it is, variable load without the parts that would
 * relieve it, since they may be absent.
 * @param byCase net values by case
 * @param adverse what presses, without what relieves
 */
export function combinePressing(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
): number {
  let sum = 0;
  for (const id in byCase) sum += (combination.factors[id] ?? 0) * (isPermanent(caseFromId(id).nature) ? byCase[id]! : (adverse[id] ?? 0));
  return sum;
}

/**
 * The least that a combination can press on a member: permanent load that presses at its favourable factor, of variable load only the
 * parts that relieve.
 * @param byCase net values by case
 * @param adverse what presses, without what relieves
 */
export function combineRelieving(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
): number {
  let sum = 0;
  for (const id in byCase) {
    const factor = combination.factors[id] ?? 0;
    const value = byCase[id]!;
    if (!isPermanent(caseFromId(id).nature)) sum += factor * (value - (adverse[id] ?? 0));
    else sum += (value > 0 ? (combination.favourablePermanent ?? factor) : factor) * value;
  }
  return sum;
}

/** What a family must say about loads, so that combinations can be made without knowing the family. */
export interface LoadRules {
  readonly strength: (cases: readonly LoadCase[]) => Combination[];
  readonly service: (cases: readonly LoadCase[]) => Combination[];
  readonly lifting: (cases: readonly LoadCase[]) => Combination[];
}
