import type { Kind } from '../quantity';

/** carries: up to 0.95; tight: to 1.00; short: above; unproven: not checked, or outside the range of a formula. */
export type VerdictWord = 'carries' | 'tight' | 'short' | 'unproven';

/** What loads a check wants. A resistance refuses effects of another basis. */
export type Basis = 'unfactored' | 'factored' | 'service' | 'allowable' | 'overturning';

/** How the limit state announces itself when it is passed. */
export type FailureMode = 'ductile' | 'brittle' | 'instability' | 'service';

export interface Check {
  readonly name: string;
  readonly clause: string;
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
