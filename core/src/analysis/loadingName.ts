import { actingName, spansInWords } from '../load';
import type { LoadPart } from './parts';

/** What the name of a loading tells of a part. */
export type NamedPart = Pick<LoadPart, 'loadCase' | 'sense' | 'unit' | 'oneOf' | 'isPermanent' | 'span' | 'presses'>;

/** What is there or not of cases that act together, or of one of alternatives. */
interface Unit {
  readonly label: string;
  readonly oneOf: string | undefined;
  /** Spans on which it is, and on which it may be. */
  readonly on: Set<number>;
  readonly of: Set<number>;
  isWhole: boolean;
  any: boolean;
}

/** A combination with what of its variable load is absent, in words. */
export function loadingName(
  combination: string,
  parts: readonly NamedPart[],
  factors: readonly number[],
  present: readonly boolean[],
  spans: number,
): string {
  const units = new Map<string, Unit>();
  parts.forEach(({ loadCase, sense, unit, oneOf, isPermanent, span, presses }, i) => {
    if (isPermanent || factors[i] === 0) return;
    const found = units.get(unit) ?? {
      label: actingName(loadCase, sense),
      oneOf,
      on: new Set<number>(),
      of: new Set<number>(),
      isWhole: true,
      any: false,
    };
    units.set(unit, found);
    if (!present[i]) found.isWhole = false;
    else found.any = true;
    // what relieves is a matter of its own: where a case lies is where it presses, unless it presses nowhere
    if (span !== null && presses) {
      found.of.add(span);
      if (present[i]) found.on.add(span);
    }
  });
  // of alternatives the one that is there says enough; where none is, all are named
  const there = new Set([...units.values()].flatMap(({ oneOf, any }) => (oneOf !== undefined && any ? [oneOf] : [])));
  const isAbsentAlternative = ({ oneOf, any }: Unit) => !any && oneOf !== undefined && there.has(oneOf);
  const chosen = new Set([...units.values()].filter(isAbsentAlternative).map(({ oneOf }) => oneOf));
  const listed = [...units.values()].filter(
    (unit) => !isAbsentAlternative(unit) && (!unit.isWhole || (unit.oneOf !== undefined && chosen.has(unit.oneOf))),
  );
  if (listed.length === 0) return combination;
  const key = (on: ReadonlySet<number>) => [...on].sort((a, b) => a - b).join();
  const first = listed[0]!;
  // the usual arrangement: all free load on the same spans, and nothing else left out
  if (
    spans > 1 &&
    first.on.size > 0 &&
    [...units.values()].every(({ on, of, any }) => any && of.size > 0 && key(on) === key(first.on)) &&
    first.on.size < spans
  )
    return `${combination}, variable on ${spansInWords(first.on)}`;
  const words = listed.map(({ label, on, of, any, isWhole }) => {
    if (!any) return `without ${label}`;
    if (isWhole) return `with ${label}`;
    return on.size === of.size || on.size === 0 ? `${label} in part` : `${label} on ${spansInWords(on)}`;
  });
  return `${combination}, ${words.join(', ')}`;
}
