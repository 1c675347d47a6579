import { markOf, planLength } from '../building';
import { BadInput } from '../error';
import type { Context } from './context';
import { isEnough, trySections, type SizingRequest } from './sizing';

/** A member of a group that is to have few sizes. Lengths mm, masses kg/mm. */
export interface GroupMember {
  readonly id: string;
  readonly mark: string;
  readonly length: number;
  /** Sizes that carry it. */
  readonly options: readonly { readonly designation: string; readonly mass: number }[];
}

/** The best way with at most so many distinct sizes. */
export interface SizeSet {
  readonly count: number;
  /** Chosen sizes, heaviest first. */
  readonly sizes: readonly string[];
  /** Size of each member, by its id. */
  readonly chosen: ReadonlyMap<string, string>;
  /** Steel, kg; and cost: steel and a charge for each distinct size, kg of steel. */
  readonly mass: number;
  readonly cost: number;
}

/** Members that the same sizes carry: what one weighs with a size is what all weigh. */
interface Bundle {
  readonly members: readonly number[];
  readonly length: number;
}

/**
 * For each number of distinct sizes up to `most` the set that weighs least, exactly: branch and bound over the sizes, heaviest first. What a
 * further size can save only falls as others are chosen, so that the largest savings of single sizes bound what several can save.
 * charge: kg of steel that one more distinct size is worth.
 * @throws BadInput when a member has no size that carries it, or `most` is less than 1
 */
export function rationalise(members: readonly GroupMember[], most: number, charge: number): SizeSet[] {
  if (!(most >= 1)) throw new BadInput('ask for at least one size', 'most');
  if (!(charge >= 0)) throw new BadInput('a charge for a size is at least 0', 'charge');
  const helpless = members.filter(({ options }) => options.length === 0);
  if (helpless.length > 0) throw new BadInput(`no size tried carries ${helpless.map(({ mark }) => mark).join(', ')}`, 'members');
  if (members.length === 0) return [];

  const masses = new Map<string, number>();
  for (const { options } of members) for (const { designation, mass } of options) masses.set(designation, mass);
  const byMass = [...masses].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));
  // members bundled by what carries them
  const index = new Map(byMass.map(([designation], i) => [designation, i]));
  const bundles = new Map<string, { members: number[]; length: number; carried: number[] }>();
  members.forEach(({ options, length }, i) => {
    const carried = options.map(({ designation }) => index.get(designation)!).sort((a, b) => a - b);
    const key = carried.join();
    const bundle = bundles.get(key);
    if (bundle) {
      bundle.members.push(i);
      bundle.length += length;
    } else bundles.set(key, { members: [i], length, carried });
  });
  const all = [...bundles.values()];
  const carries = byMass.map((_, s) => all.map(({ carried }) => carried.includes(s)));
  // a size that is not lighter than another and carries nothing that the other does not is never needed
  const kept = byMass
    .map((_, s) => s)
    .filter(
      (s) =>
        !byMass.some(
          (_other, o) =>
            o !== s &&
            (byMass[o]![1] < byMass[s]![1] || (byMass[o]![1] === byMass[s]![1] && o < s)) &&
            carries[s]!.every((does, b) => !does || carries[o]![b]!),
        ),
    );
  const search = new Search(
    all,
    kept.map((s) => byMass[s]![1]),
    kept.map((s) => carries[s]!),
  );
  const sets: SizeSet[] = [];
  for (let k = 1; k <= Math.min(most, kept.length); k += 1) {
    const found = search.best(k);
    // so few sizes do not carry every member
    if (!found) continue;
    const sizes = found.map((i) => byMass[kept[i]!]![0]);
    const chosen = new Map<string, string>();
    all.forEach((bundle, b) => {
      // lightest that carries it: chosen ones are heaviest first
      const size = [...found].reverse().find((i) => carries[kept[i]!]![b])!;
      for (const m of bundle.members) chosen.set(members[m]!.id, byMass[kept[size]!]![0]);
    });
    const used = sizes.filter((size) => [...chosen.values()].includes(size));
    const mass = members.reduce((sum, { id, length }) => sum + length * masses.get(chosen.get(id)!)!, 0);
    sets.push({ count: used.length, sizes: used, chosen, mass, cost: mass + charge * used.length });
  }
  return sets;
}

/** Which k of the sizes make the bundles weigh least. */
class Search {
  private bestCost = Infinity;
  private bestSet: readonly number[] | null = null;
  private readonly lengths: Float64Array;
  /** Bundles that each size carries. */
  private readonly carried: readonly Int32Array[];
  /** Lightest size from each on, heaviest first, that carries a bundle. */
  private readonly floors: readonly Float64Array[];
  /** Weight of each bundle per length with what is chosen, for each depth of the search. */
  private now: Float64Array[] = [];

  constructor(
    bundles: readonly Bundle[],
    private readonly masses: readonly number[],
    carries: readonly (readonly boolean[])[],
  ) {
    this.lengths = Float64Array.from(bundles, ({ length }) => length);
    this.carried = carries.map((does) => Int32Array.from(does.flatMap((yes, b) => (yes ? [b] : []))));
    const floors = [new Float64Array(bundles.length).fill(Infinity)];
    for (let s = masses.length - 1; s >= 0; s -= 1) {
      const floor = floors[0]!.slice();
      for (const b of this.carried[s]!) floor[b] = Math.min(floor[b]!, masses[s]!);
      floors.unshift(floor);
    }
    this.floors = floors;
  }

  /** Indices of sizes, heaviest first; null when k of them do not carry everything. */
  best(k: number): number[] | null {
    this.bestCost = Infinity;
    this.bestSet = null;
    this.improve(this.greedy(k));
    this.now = Array.from({ length: k + 1 }, () => new Float64Array(this.lengths.length));
    // what nothing carries yet counts with the heaviest that could: never less than it will weigh
    const heaviest = this.now[0]!.fill(0);
    this.carried.forEach((bundles, s) => bundles.forEach((b) => (heaviest[b] = Math.max(heaviest[b]!, this.masses[s]!))));
    this.branch(0, 0, k, [], new Uint8Array(this.lengths.length));
    return this.bestSet && [...this.bestSet].sort((a, b) => a - b);
  }

  /** Weight with a set; Infinity when it does not carry everything. */
  private costOf(set: readonly number[]): number {
    const light = new Float64Array(this.lengths.length).fill(Infinity);
    for (const s of set) for (const b of this.carried[s]!) if (this.masses[s]! < light[b]!) light[b] = this.masses[s]!;
    return light.reduce((sum, mass, b) => sum + mass * this.lengths[b]!, 0);
  }

  private take(set: readonly number[], cost: number): void {
    if (cost >= this.bestCost) return;
    this.bestCost = cost;
    this.bestSet = [...set];
  }

  /** A first answer: the size that saves most, one after the other. */
  private greedy(k: number): number[] {
    const set: number[] = [];
    const light = new Float64Array(this.lengths.length).fill(1e6);
    for (let n = 0; n < k; n += 1) {
      let [pick, most] = [-1, 0];
      this.masses.forEach((mass, s) => {
        if (set.includes(s)) return;
        let gain = 0;
        for (const b of this.carried[s]!) if (mass < light[b]!) gain += this.lengths[b]! * (light[b]! - mass);
        if (gain > most) [pick, most] = [s, gain];
      });
      if (pick < 0) break;
      set.push(pick);
      for (const b of this.carried[pick]!) if (this.masses[pick]! < light[b]!) light[b] = this.masses[pick]!;
    }
    return set;
  }

  /** Changes one size for another as long as that saves: what the search then has to beat. */
  private improve(first: readonly number[]): void {
    let set = first;
    this.take(set, this.costOf(set));
    for (let better = true; better;) {
      better = false;
      for (let at = 0; at < set.length && !better; at += 1)
        for (let s = 0; s < this.masses.length && !better; s += 1) {
          if (set.includes(s)) continue;
          const changed = set.map((size, i) => (i === at ? s : size));
          if (this.costOf(changed) >= this.bestCost) continue;
          set = changed;
          this.take(set, this.costOf(set));
          better = true;
        }
    }
  }

  /** Sizes from `from` on, which are lighter, `left` of them yet to choose. `covered`: bundles that what is chosen carries. */
  private branch(depth: number, from: number, left: number, set: readonly number[], covered: Uint8Array): void {
    const { lengths, masses, carried } = this;
    const now = this.now[depth]!;
    const floor = this.floors[from]!;
    let [cost, least, open] = [0, 0, 0];
    for (let b = 0; b < lengths.length; b += 1) {
      cost += lengths[b]! * now[b]!;
      if (covered[b]) least += lengths[b]! * Math.min(now[b]!, floor[b]!);
      else {
        open += 1;
        // nothing that is left carries it
        if (floor[b] === Infinity) return;
        least += lengths[b]! * floor[b]!;
      }
    }
    if (open === 0) this.take(set, cost);
    if (left === 0 || from >= masses.length || least >= this.bestCost) return;
    // what single sizes would save, the most of them first
    const gains: { s: number; gain: number }[] = [];
    for (let s = from; s < masses.length; s += 1) {
      let gain = 0;
      const mass = masses[s]!;
      for (const b of carried[s]!) if (mass < now[b]!) gain += lengths[b]! * (now[b]! - mass);
      gains.push({ s, gain });
    }
    const sorted = [...gains].sort((a, b) => b.gain - a.gain);
    const top = (count: number, without: number) => {
      let sum = 0;
      for (let i = 0, taken = 0; taken < count && i < sorted.length; i += 1) {
        if (sorted[i]!.s <= without) continue;
        sum += sorted[i]!.gain;
        taken += 1;
      }
      return sum;
    };
    for (const { s, gain } of gains) {
      // s is the heaviest of those to come: the others are lighter
      if (cost - gain - top(left - 1, s) >= this.bestCost) continue;
      const next = this.now[depth + 1]!;
      next.set(now);
      const covers = covered.slice();
      for (const b of carried[s]!) {
        if (masses[s]! < next[b]!) next[b] = masses[s]!;
        covers[b] = 1;
      }
      this.branch(depth + 1, s + 1, left - 1, [...set, s], covers);
    }
  }
}

/** A beam or column of a building as a member of a group: its length, and the sizes tried that carry it. */
export function groupMember(context: Context, id: string, request: SizingRequest = {}): GroupMember {
  const { building } = context;
  const [beam, column] = [building.beams.get(id), building.columns.get(id)];
  const height = column ? Math.abs(building.elevation(column.top) - building.elevation(column.base)) : 0;
  return {
    id,
    mark: markOf(building, id),
    length: beam ? planLength(beam) : height,
    options: trySections(context, id, request).filter(isEnough),
  };
}
