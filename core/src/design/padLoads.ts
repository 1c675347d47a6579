import { planLength, pointAlong, type Building, type Footing } from '../building';
import { actingTerms, isPermanent, type ActingTerm, type Combination } from '../load';
import type { Arrival, MemberLedger } from '../takedown';
import type { BaseLoad } from './contactPressure';

/** What stands on a pad, and where its load enters it. */
export interface PlacedLoad {
  readonly arrival: Pick<Arrival, 'byCase' | 'adverse'>;
  readonly id: string;
  readonly mark: string;
  /** From the middle of the pad, mm. */
  readonly x: number;
  readonly y: number;
}

/** Everything that lands on a pad, each at its true place. What is typed on the pad itself acts in its middle. */
export function placedLoads(
  { beams, columns, hangers }: Building,
  { at }: Footing,
  { arrivals }: Pick<MemberLedger, 'arrivals'>,
): PlacedLoad[] {
  return arrivals.map((arrival) => {
    const { source, label } = arrival;
    if (source.type !== 'member') return { arrival, id: arrival.id, mark: label, x: 0, y: 0 };
    const { member, leave } = source;
    const post = columns.get(member) ?? hangers.get(member);
    const beam = beams.get(member);
    const support = beam?.supports[leave];
    const point = post ? post.at : beam && support ? pointAlong(beam, Math.min(planLength(beam), support.at)) : at;
    return { arrival, id: member, mark: post?.mark ?? beam?.mark ?? label, x: point.x - at.x, y: point.y - at.y };
  });
}

export const distanceOff = ({ x, y }: Pick<PlacedLoad, 'x' | 'y'>): number => Math.hypot(x, y);

/** A force of one case from one place, as it acts in a combination. */
export interface PlacedForce {
  readonly term: ActingTerm;
  readonly load: PlacedLoad;
  /** Unfactored, N. */
  readonly force: number;
}

/** What presses on a pad under one combination: all that acts at once, and its resultant. */
export interface PadSet {
  readonly combination: Combination;
  readonly forces: readonly PlacedForce[];
  readonly resultant: BaseLoad;
}

/** What of a case acts at a place: of permanent load all; of another what adds to what is looked for, whatever its sign there. */
function acting({ loadCase, sense }: ActingTerm, { byCase, adverse }: PlacedLoad['arrival'], weight: number): number {
  const net = byCase[loadCase.id] ?? 0;
  if (isPermanent(loadCase.nature)) return net;
  const presses = adverse[loadCase.id] ?? 0;
  const relieves = net - presses;
  // turned round, what relieves presses
  if (sense > 0) return weight >= 0 ? presses : relieves;
  return weight >= 0 ? -relieves : -presses;
}

/** The set under which a sum of the loads, each with a weight, is largest in a combination. Null where nothing acts. */
function setFor(loads: readonly PlacedLoad[], weights: readonly number[], combination: Combination): PadSet | null {
  const sum: Record<string, number> = {};
  const adverse: Record<string, number> = {};
  loads.forEach(({ arrival }, i) => {
    const weight = weights[i]!;
    for (const [id, net] of Object.entries(arrival.byCase)) {
      const presses = arrival.adverse[id] ?? 0;
      sum[id] = (sum[id] ?? 0) + weight * net;
      adverse[id] = (adverse[id] ?? 0) + weight * (weight >= 0 ? presses : net - presses);
    }
  });
  const forces = actingTerms(sum, adverse, combination, 'pressing').flatMap((term) =>
    loads.flatMap((load, i): PlacedForce[] => {
      const force = acting(term, load.arrival, weights[i]!);
      return force === 0 ? [] : [{ term, load, force }];
    }),
  );
  const total = (of: (one: PlacedForce) => number) => forces.reduce((all, one) => all + one.term.factor * one.force * of(one), 0);
  const force = total(() => 1);
  if (force === 0) return null;
  return { combination, forces, resultant: { force, x: total(({ load }) => load.x) / force, y: total(({ load }) => load.y) / force } };
}

const SENSES = [
  [0, 0],
  [1, 1],
  [1, -1],
  [-1, 1],
  [-1, -1],
] as const;

/**
 * The sets of loads on a pad under which it is pressed hardest as a whole, or at one of its corners, in each combination; a set once. The pressure at a corner
 * of a base in full contact is N/A (1 + 6 x/B_x + 6 y/B_y): its weights say which parts of a variable action are there.
 * @param width, length of the pad, mm
 */
export function padSets(loads: readonly PlacedLoad[], combinations: readonly Combination[], width: number, length: number): PadSet[] {
  const found = new Map<string, PadSet>();
  for (const [sx, sy] of SENSES) {
    const weights = loads.map(({ x, y }) => 1 + (6 * sx * x) / width + (6 * sy * y) / length);
    for (const combination of combinations) {
      const set = setFor(loads, weights, combination);
      if (!set) continue;
      const { force, x, y } = set.resultant;
      const key = `${combination.id} ${force.toPrecision(12)} ${x.toFixed(6)} ${y.toFixed(6)}`;
      if (!found.has(key)) found.set(key, set);
    }
  }
  return [...found.values()];
}
