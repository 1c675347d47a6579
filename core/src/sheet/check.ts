import type { Kind } from '../quantity';
import type { Clause } from './clause';
import type { Sheet } from './sheet';
import type { Check, CheckName, FailureMode, VerdictWord } from './verdict';

export function verdictOf(utilisation: number | null): VerdictWord {
  if (utilisation === null) return 'unproven';
  if (utilisation <= 0.95) return 'carries';
  return utilisation <= 1 ? 'tight' : 'short';
}

export interface CheckInput extends CheckName {
  readonly clause: Clause;
  readonly mode: FailureMode;
  readonly kind: Kind;
  /** The printed formula of the utilisation's two sides are the symbols `demandSymbol` and `capacitySymbol`. */
  readonly demand: number;
  readonly demandSymbol: string;
  readonly capacity: number;
  readonly capacitySymbol: string;
  readonly reason?: string;
  readonly combination?: string;
}

/** Compares a demand with a capacity (both as magnitudes), records the comparison as a step and returns the check. */
export function compare(input: CheckInput, sheet?: Sheet): Check {
  const { id, part, name, clause, mode, kind, capacity, reason, combination, demandSymbol, capacitySymbol } = input;
  const demand = Math.abs(input.demand);
  const hasCapacity = capacity > 0;
  const utilisation = hasCapacity ? demand / capacity : demand === 0 ? 0 : null;
  const verdict = utilisation === null ? 'short' : verdictOf(utilisation);
  const check: Check = { id, part, name, clause, mode, kind, demand, capacity, utilisation, verdict, reason, combination };
  if (sheet) {
    if (hasCapacity)
      sheet.step(
        'U',
        `abs(${demandSymbol}) / ${capacitySymbol}`,
        { [demandSymbol]: input.demand, [capacitySymbol]: input.capacity },
        demand / input.capacity,
        'ratio',
        input.clause,
        'utilisation',
      );
    sheet.verdict(check);
  }
  return check;
}

/** A check that the standard requires and that is not written, or that lies outside its formula's range: never a number. */
export function unproven({ id, part, name }: CheckName, clause: Clause, mode: FailureMode, reason: string, sheet?: Sheet): Check {
  const check: Check = {
    id,
    part,
    name,
    clause,
    mode,
    kind: 'ratio',
    demand: null,
    capacity: null,
    utilisation: null,
    verdict: 'unproven',
    reason,
  };
  sheet?.verdict(check);
  return check;
}

const SEVERITY: Record<VerdictWord, number> = { short: 3, unproven: 2, tight: 1, carries: 0 };

/** The verdict of a whole: short before unproven before tight before carries; no check at all is unproven. */
export function worstVerdict(checks: readonly { readonly verdict: VerdictWord }[]): VerdictWord {
  if (checks.length === 0) return 'unproven';
  return checks.reduce<VerdictWord>((worst, check) => (SEVERITY[check.verdict] > SEVERITY[worst] ? check.verdict : worst), 'carries');
}

/** The failure ladder: weakest first, what is short without any capacity on top, unproven at the foot. */
export function failureLadder(checks: readonly Check[]): Check[] {
  const rank = (check: Check) => (check.verdict === 'unproven' ? -1 : (check.utilisation ?? Number.MAX_VALUE));
  return [...checks].sort((a, b) => rank(b) - rank(a));
}

/** The largest utilisation that is proved, or null when none is. */
export function governing(checks: readonly Check[]): Check | null {
  const proved = failureLadder(checks).filter((check) => check.verdict !== 'unproven');
  return proved[0] ?? null;
}
