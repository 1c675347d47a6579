import type { Kind } from '../quantity';
import type { Clause } from './clause';

/** carries: up to 0.95; tight: to 1.00; short: above; unproven: not checked, or outside the range of a formula. */
export type VerdictWord = 'carries' | 'tight' | 'short' | 'unproven';

/** What loads a check wants. A resistance refuses effects of another basis. */
export type Basis = 'unfactored' | 'factored' | 'service' | 'allowable' | 'overturning';

/** How the limit state announces itself when it is passed. */
export type FailureMode = 'ductile' | 'brittle' | 'instability' | 'service';

/** What a check is: its id, which never changes, of several alike its part, and what it is called on screen. */
export interface CheckName {
  /** The limit state, the same in every family that has it. */
  readonly id: string;
  /** Which of several alike: a direction, a layer, a segment, a bolt row. Left out: there is one. */
  readonly part?: string | undefined;
  readonly name: string;
}

/** By what checks are told apart: never by what they are called. */
export const checkKey = ({ id, part }: Pick<CheckName, 'id' | 'part'>): string => (part === undefined ? id : `${id}/${part}`);

/** Whether a check is the one of such a key, as in `checks.find(isCheck('shear'))`. */
export const isCheck =
  (key: string) =>
  (check: Pick<CheckName, 'id' | 'part'>): boolean =>
    checkKey(check) === key;

export interface Check extends CheckName {
  readonly clause: Clause;
  readonly mode: FailureMode;
  readonly kind: Kind;
  /** Null when the check is unproven. */
  readonly demand: number | null;
  readonly capacity: number | null;
  /** Demand over capacity; null when unproven, or when there is no capacity at all. */
  readonly utilisation: number | null;
  readonly verdict: VerdictWord;
  /** Why it is unproven, or what else must be known to read the line. */
  readonly reason?: string;
  /** The combination that governs, where one does. */
  readonly combination?: string;
}
