import type { Made } from '../building';
import type { DesignOf } from './designOf';
import type { MemberReduction } from './reduction';
import { checkKey, type Assumption, type Check } from '../sheet';
import type { LooseEnd } from '../takedown';

/** An assumption on an item: it stays open until somebody confirms it with a reason. */
export interface RecordedAssumption extends Omit<Assumption, 'type'> {
  readonly item: string | null;
  readonly mark: string;
  readonly answer: { readonly reason: string; readonly by: string } | null;
}

/** A loose end, open or dismissed with a written reason. */
export interface JudgedLooseEnd extends LooseEnd {
  readonly dismissed: { readonly reason: string; readonly by: string } | null;
}

/** Under which key the answer that dismisses a loose end is kept. */
export function dismissalKey(end: Pick<LooseEnd, 'key'>): string {
  return `loose:${end.key}`;
}

export interface PhilosophyResult {
  readonly philosophy: string;
  readonly title: string;
  readonly checks: readonly Check[];
}

export interface MemberDesign extends DesignOf<'beam' | 'truss' | 'column'> {
  readonly section: string | null;
  readonly grade: string | null;
  /** Strength by the project's philosophy first, then those shown beside it; service checks stand in each. */
  readonly results: readonly PhilosophyResult[];
  /** Reduction of imposed load in its design, and what it takes away; what it hands on is not reduced. */
  readonly reduction: MemberReduction | null;
}

/** Said of an existing member whose section nobody knows. */
export const UNKNOWN_SECTION = 'Its section is not known: carrying what it carries today does not prove an existing member.';

/** Said of a member of a material that nothing here verifies. */
export const NOT_STEEL = 'It is of concrete: nothing here verifies members of concrete.';

/** Why a member without a section proves nothing. */
export function withoutSection({ status, material }: { readonly status: 'new' | 'existing' | 'removed' } & Pick<Made, 'material'>): string {
  if (material === 'concrete') return NOT_STEEL;
  return status === 'existing' ? UNKNOWN_SECTION : 'No section is chosen.';
}

/** Keeps, check by check, the one that comes out worst over all combinations. */
export function mergeWorst(into: Map<string, Check>, checks: readonly Check[]): void {
  const rank = (check: Check) => (check.verdict === 'unproven' ? Number.MAX_VALUE : (check.utilisation ?? Number.MAX_VALUE));
  for (const check of checks) {
    const key = checkKey(check);
    const held = into.get(key);
    if (!held || rank(check) > rank(held)) into.set(key, check);
  }
}
