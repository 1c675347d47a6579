import { caseFromId, caseLabel, spansInWords } from '../load';
import type { Part } from './parts';

/** A combination with what of its variable load is absent, in words. */
export function loadingName(
  combination: string,
  parts: readonly Part[],
  factors: readonly number[],
  present: readonly boolean[],
  spans: number,
): string {
  const cases = new Map<string, { readonly on: Set<number>; readonly of: Set<number>; isWhole: boolean; any: boolean }>();
  parts.forEach(({ caseId, isPermanent, span, presses }, i) => {
    if (isPermanent || factors[i] === 0) return;
    const found = cases.get(caseId) ?? { on: new Set<number>(), of: new Set<number>(), isWhole: true, any: false };
    cases.set(caseId, found);
    if (!present[i]) found.isWhole = false;
    else found.any = true;
    // what relieves is a matter of its own: where a case lies is where it presses, unless it presses nowhere
    if (span !== null && presses) {
      found.of.add(span);
      if (present[i]) found.on.add(span);
    }
  });
  const listed = [...cases].filter(([, { isWhole }]) => !isWhole);
  if (listed.length === 0) return combination;
  const key = (on: ReadonlySet<number>) => [...on].sort((a, b) => a - b).join();
  const first = listed[0]![1];
  // the usual arrangement: all free load on the same spans, and nothing else left out
  if (
    spans > 1 &&
    first.on.size > 0 &&
    [...cases.values()].every(({ on, of, any }) => any && of.size > 0 && key(on) === key(first.on)) &&
    first.on.size < spans
  )
    return `${combination}, variable on ${spansInWords(first.on)}`;
  const said = listed.map(([caseId, { on, of, any }]) => {
    const label = caseLabel(caseFromId(caseId));
    if (!any) return `without ${label}`;
    return on.size === of.size || on.size === 0 ? `${label} in part` : `${label} on ${spansInWords(on)}`;
  });
  return `${combination}, ${said.join(', ')}`;
}
