import type { Assumption, Check, VerdictWord } from '../sheet';

/** What a design has, whatever it is of. */
export interface DesignOf<Kind extends string> {
  readonly id: string;
  readonly kind: Kind;
  readonly mark: string;
  readonly verdict: VerdictWord;
  readonly governing: Check | null;
  readonly assumptions: readonly Assumption[];
  /** Why there is nothing to show, when there is nothing. */
  readonly reason: string | null;
}
