import type { Check, Sheet } from '../sheet';

/** A way in which something fails, with the declared inputs that its clause reads. A family lists its own; what is listed is checked, shown and asked for. */
export interface LimitState<Context> {
  readonly id: string;
  /** Names of declared inputs (`core/input`) that it reads; left out: none. */
  readonly reads?: readonly string[];
  /** Null: it does not come about here. */
  readonly check: (context: Context, sheet?: Sheet) => Check | readonly Check[] | null;
}

/** Checks of all limit states of a list, in its order, behind those that are there. */
export function checkAll<Context>(checks: Check[], list: readonly LimitState<Context>[], context: Context, sheet?: Sheet): Check[] {
  for (let i = 0; i < list.length; i += 1) {
    const found = list[i]!.check(context, sheet);
    if (found === null) continue;
    if (Array.isArray(found)) checks.push(...(found as readonly Check[]));
    else checks.push(found as Check);
  }
  return checks;
}

/** Declared inputs that some limit state of a list reads. */
export const readBy = (list: readonly Pick<LimitState<never>, 'reads'>[]): readonly string[] => [
  ...new Set(list.flatMap(({ reads }) => reads ?? [])),
];
