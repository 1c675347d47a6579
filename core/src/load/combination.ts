import type { Basis } from '../sheet';
import { caseIn, groupOf, sensesOf, unitOf, type LoadCase, type LoadCases } from './action';
import { isPermanent } from './nature';

/**
 * A combination: one factor for every case it contains. Cases it does not name are left out. Of cases that are alternatives it has the factors of all: one of
 * them acts at a time, or none.
 */
export interface Combination {
  readonly id: string;
  readonly name: string;
  readonly basis: Basis;
  readonly clause: string;
  readonly factors: Readonly<Record<string, number>>;
  /** The cases from which it was made, by id. */
  readonly cases: LoadCases;
  /** Factor of permanent load where it helps (loads that lift are judged source by source). */
  readonly favourablePermanent?: number;
  /**
   * Whether it counts permanent load as unfavourable, or as favourable, where another combination does the other: it says nothing of effects that
   * permanent load lowers, or raises. Left out: it is for both.
   */
  readonly permanent?: 'unfavourable' | 'favourable';
  readonly purpose: 'strength' | 'service' | 'lifting';
  /** Cases that it reduces by a psi, as accompanying ones, or as the main one beside an accident. */
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

/** Adds up what acts: of each group of alternatives the unit that adds most in the sense that is looked for, or none. */
class ActingSum {
  private sum = 0;
  private readonly units = new Map<string, Map<string, number>>();

  /** What is there whatever else is. */
  add(value: number): void {
    this.sum += value;
  }

  /** A variable case, in one of its senses: what helps as a whole is left out. @param value positive in the sense that is looked for */
  take(loadCase: LoadCase, sense: 1 | -1, value: number): void {
    // nearly all are of a usual case, which is alone in its action and in no group
    const group = groupOf(loadCase) ?? (loadCase.id === loadCase.action ? undefined : unitOf(loadCase));
    if (group === undefined) {
      if (value > 0) this.sum += value;
      return;
    }
    let units = this.units.get(group);
    if (!units) this.units.set(group, (units = new Map()));
    const unit = `${unitOf(loadCase)} ${sense}`;
    units.set(unit, (units.get(unit) ?? 0) + value);
  }

  /** Of alternatives the one that adds most. */
  most(): number {
    let sum = this.sum;
    for (const units of this.units.values()) sum += Math.max(0, ...units.values());
    return sum;
  }

  /** Whether a variable case in a sense is among what makes up the most. */
  acts(loadCase: LoadCase, sense: 1 | -1): boolean {
    const group = groupOf(loadCase);
    if (group === undefined) return true;
    const units = this.units.get(group);
    const value = units?.get(`${unitOf(loadCase)} ${sense}`) ?? 0;
    // of two alike the first
    return value > 0 && [...units!].find(([, other]) => other === Math.max(...units!.values()))![0] === `${unitOf(loadCase)} ${sense}`;
  }
}

/**
 * Combined value of shares that may help or harm, taken one by one: a share of variable load that helps is left out, a
 * share of permanent load that helps gets the favourable factor; of alternatives the one that harms most counts. `harmful` is -1 when negative values are
 * the harm (lifting), 1 when positive ones are.
 */
export function combineWorst(
  shares: readonly { readonly loadCase: LoadCase; readonly value: number }[],
  combination: Combination,
  harmful: 1 | -1,
): number {
  const sum = new ActingSum();
  for (const { loadCase, value } of shares) {
    const factor = combination.factors[loadCase.id] ?? 0;
    const harm = value * harmful;
    if (isPermanent(loadCase.nature)) sum.add((harm > 0 ? factor : (combination.favourablePermanent ?? factor)) * harm);
    else for (const sense of sensesOf(loadCase)) if (sense * harm > 0) sum.take(loadCase, sense, sense * factor * harm);
  }
  return harmful * sum.most();
}

/** What of a case counts when a member is to be pressed as hard, or as little, as can be. */
export interface ActingTerm {
  readonly loadCase: LoadCase;
  readonly sense: 1 | -1;
  readonly factor: number;
  readonly value: number;
}

/** Calls for every case that has a factor, in each of its senses. Value: as it presses; positive in the sense that is looked for. */
function eachTerm(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
  looked: 'pressing' | 'relieving',
  each: (loadCase: LoadCase, turned: 1 | -1, factor: number, value: number) => void,
): void {
  const sign = looked === 'pressing' ? 1 : -1;
  for (const id in byCase) {
    const named = combination.factors[id] ?? 0;
    if (named === 0) continue;
    const loadCase = caseIn(combination.cases, id);
    const [net, pressing] = [byCase[id]!, adverse[id] ?? 0];
    if (isPermanent(loadCase.nature)) {
      const factor = looked === 'relieving' && net > 0 ? (combination.favourablePermanent ?? named) : named;
      each(loadCase, 1, factor, sign * net);
      continue;
    }
    const relieving = net - pressing;
    for (const sense of sensesOf(loadCase)) {
      // turned round, what relieves presses
      const value = looked === 'pressing' ? (sense > 0 ? pressing : -relieving) : sense > 0 ? -relieving : pressing;
      each(loadCase, sense, named, value);
    }
  }
}

function sumOfTerms(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
  looked: 'pressing' | 'relieving',
): ActingSum {
  const sum = new ActingSum();
  eachTerm(byCase, adverse, combination, looked, (loadCase, sense, factor, value) => {
    if (isPermanent(loadCase.nature)) sum.add(factor * value);
    else sum.take(loadCase, sense, factor * value);
  });
  return sum;
}

/**
 * The largest that a combination can press on a member: permanent load as it is, variable load without the parts that would
 * relieve it, since they may be absent; of alternatives the one that presses most.
 * @param byCase net values by case
 * @param adverse what presses, without what relieves
 */
export function combinePressing(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
): number {
  return sumOfTerms(byCase, adverse, combination, 'pressing').most();
}

/**
 * The least that a combination can press on a member: permanent load that presses at its favourable factor, of variable load only the
 * parts that relieve, of alternatives those of the one that relieves most.
 * @param byCase net values by case
 * @param adverse what presses, without what relieves
 */
export function combineRelieving(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
): number {
  return -sumOfTerms(byCase, adverse, combination, 'relieving').most();
}

/** The terms of which `combinePressing`, or `combineRelieving`, is the sum of factor times value. */
export function actingTerms(
  byCase: Readonly<Record<string, number>>,
  adverse: Readonly<Record<string, number>>,
  combination: Combination,
  looked: 'pressing' | 'relieving',
): ActingTerm[] {
  const sum = sumOfTerms(byCase, adverse, combination, looked);
  const terms: ActingTerm[] = [];
  eachTerm(byCase, adverse, combination, looked, (loadCase, sense, factor, value) => {
    if (factor === 0 || value === 0 || !(isPermanent(loadCase.nature) || sum.acts(loadCase, sense))) return;
    terms.push({ loadCase, sense, factor, value: looked === 'pressing' ? value : -value });
  });
  return terms;
}

/** Values of variable actions in which serviceability is looked at. */
export const SERVICE_LEVELS = ['characteristic', 'frequent', 'quasiPermanent'] as const;
export type ServiceLevel = (typeof SERVICE_LEVELS)[number];
export const SERVICE_LEVEL_LABEL: Readonly<Record<ServiceLevel, string>> = {
  characteristic: 'the characteristic combination',
  frequent: 'the frequent combination',
  quasiPermanent: 'the quasi-permanent combination',
};

/** Of some cases those to which no combination gives a factor: what they do is in no check. */
export const uncombined = (cases: readonly LoadCase[], combinations: readonly Combination[]): LoadCase[] =>
  cases.filter(({ id }) => !combinations.some(({ factors }) => (factors[id] ?? 0) !== 0));

/** What a family must say about loads, so that combinations can be made without knowing the family. */
export interface LoadRules {
  /** Standard, and clause, of the combinations for strength. */
  readonly source: string;
  readonly strength: (cases: readonly LoadCase[]) => Combination[];
  /** What serviceability may be looked at in, the usual one first. */
  readonly serviceLevels: readonly ServiceLevel[];
  /** @param level one of those that the family has; left out: the first of them, which is also that of bearing on the ground */
  readonly service: (cases: readonly LoadCase[], level?: ServiceLevel) => Combination[];
  readonly lifting: (cases: readonly LoadCase[]) => Combination[];
}
