import { caseOf, isPermanent, type Combination, type LoadCases } from '../load';
import { checkKey, type Check } from '../sheet';
import type { Standard } from '../standard';
import type { ByCase } from '../takedown';
import type { PhilosophyResult } from './result';

/** How two methods of one family compare on a member: by the ratio of live to dead load under which both use it alike. */
export interface MethodComparison {
  /** The limit state that governs by the first method, and how much each of them uses of it. */
  readonly check: string;
  readonly methods: readonly [string, string];
  readonly uses: readonly [number, number];
  /** Live over dead load at which both use it alike; null: one of them is stricter whatever the ratio. */
  readonly equal: number | null;
  /** The method that uses more below that ratio, and above it. */
  readonly stricter: { readonly below: string; readonly above: string };
  /** Live over dead load on the member; null where other variable load is on it, or no dead load. */
  readonly own: number | null;
}

/** Factors on dead and on live load of the combinations of both: where both add up. */
interface Line {
  readonly dead: number;
  readonly live: number;
}

function linesOf(combinations: readonly Combination[], live: string): Line[] {
  return combinations
    .filter(({ permanent }) => permanent !== 'favourable')
    .map(({ factors }) => ({ dead: factors['permanent'] ?? 0, live: factors[live] ?? 0 }));
}

/** What the worst of some combinations makes of dead load 1 and live load r. */
const demandAt = (lines: readonly Line[], r: number) => Math.max(...lines.map(({ dead, live }) => dead + live * r));

/**
 * The ratio of live to dead load at which two methods use a resistance alike, by their combinations of dead and live load alone; the largest where there are
 * several. Null: one is stricter whatever the ratio.
 * @param ratio resistance by the first method over that by the second
 */
export function equalRatio(first: readonly Line[], second: readonly Line[], ratio: number): number | null {
  const gap = (r: number) => demandAt(first, r) - ratio * demandAt(second, r);
  const found = first.flatMap((a) =>
    second.flatMap((b) => {
      const slope = a.live - ratio * b.live;
      const r = slope === 0 ? NaN : -(a.dead - ratio * b.dead) / slope;
      // both must be the worst of their method there, and the sign must change
      return r > 0 && Math.abs(gap(r)) < 1e-9 * demandAt(first, r) && gap(r * (1 - 1e-6)) * gap(r * (1 + 1e-6)) < 0 ? [r] : [];
    }),
  );
  return found.length > 0 ? Math.max(...found) : null;
}

/** The check that governs by the first method and is a plain one by both: what it asks for grows with the load, and its resistance does not. */
function commonCheck([first, second]: readonly [PhilosophyResult, PhilosophyResult]): readonly [Check, Check] | null {
  const plain = ({ kind, mode, capacity, utilisation }: Check) =>
    kind !== 'ratio' && mode !== 'service' && (capacity ?? 0) > 0 && (utilisation ?? 0) > 0;
  const mine = first.checks.filter(plain).reduce<Check | null>((a, b) => (a === null || b.utilisation! > a.utilisation! ? b : a), null);
  const other = mine && second.checks.find((check) => checkKey(check) === checkKey(mine) && plain(check));
  // a moment gradient that another combination has makes another resistance: then the two are not comparable by the factors alone
  return mine && other ? [mine, other] : null;
}

/**
 * Two methods compared on a member, where the standard has two and a plain check governs. From the same characteristic cases each has its own demand.
 * @param sums of what the member carries by case, N
 */
export function compareMethods(
  standard: Pick<Standard, 'loads'>,
  results: readonly PhilosophyResult[],
  sums: ByCase,
  cases: LoadCases,
): MethodComparison | null {
  const [first, second] = results;
  if (!first || !second || results.length !== 2) return null;
  const pair = commonCheck([first, second]);
  if (!pair) return null;
  const [mine, other] = pair;
  const live = caseOf('imposed', 'B');
  const rules = [first, second].map(({ philosophy }) => standard.loads.philosophies.find(({ id }) => id === philosophy)!.rules);
  const [a, b] = rules.map(({ strength }) => linesOf(strength([caseOf('permanent'), live]), live.id)) as [Line[], Line[]];
  const ratio = mine.capacity! / other.capacity!;
  const equal = equalRatio(a, b, ratio);
  const stricterAt = (r: number) => (demandAt(a, r) > ratio * demandAt(b, r) ? first.philosophy : second.philosophy);
  return {
    check: mine.name,
    methods: [first.philosophy, second.philosophy],
    uses: [mine.utilisation!, other.utilisation!],
    equal,
    stricter: { below: stricterAt(equal === null ? 1 : equal / 2), above: stricterAt(equal === null ? 1 : equal * 2) },
    own: ownRatio(sums, cases),
  };
}

function ownRatio(sums: ByCase, cases: LoadCases): number | null {
  let [dead, live] = [0, 0];
  for (const id in sums) {
    const nature = cases.get(id)!.nature;
    if (isPermanent(nature)) dead += sums[id]!;
    else if (nature === 'imposed') live += sums[id]!;
    else if (sums[id] !== 0) return null;
  }
  return dead > 0 && live >= 0 ? live / dead : null;
}

/** The comparison in words. */
export function methodsInWords({ check, methods, equal, stricter, own }: MethodComparison): string {
  const ratio = (value: number) => value.toFixed(1);
  const now = own === null ? 'Other variable load is on it too' : `Here it is ${ratio(own)} times`;
  return equal === null
    ? `${check}: under dead and live load ${stricter.above} is the stricter of ${methods.join(' and ')}, whatever their ratio.`
    : `${check}: ${methods.join(' and ')} use it alike where live load is ${ratio(equal)} times dead load; below that ${stricter.below} is stricter, above it ${stricter.above}. ${now}.`;
}
