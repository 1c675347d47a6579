import { findLoops } from './loops';

/** What the route must know of a member. */
export interface Stop {
  readonly mark: string;
  /** Elevation at which it is calculated, mm. */
  readonly elevation: number;
  /** Those that it hands to. */
  readonly targets: readonly string[];
}

/** Where a member stands in the order: the lowest level that it has to wait for, how often it waits there, its mark. */
interface Place {
  readonly id: string;
  readonly level: number;
  readonly depth: number;
  readonly letters: string;
  readonly digits: number;
  readonly rest: string;
}

const NONE: readonly never[] = [];

/** B2 before B10: by the letters of a mark, then its number, then the rest. */
function markKey(mark: string): Pick<Place, 'letters' | 'digits' | 'rest'> {
  const [, letters, digits, rest] = /^(\D*)(\d*)(.*)$/s.exec(mark)!;
  return { letters: letters!, digits: digits ? Number(digits) : -1, rest: rest! };
}

const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

function compare(a: Place, b: Place): number {
  return (
    b.level - a.level ||
    a.depth - b.depth ||
    byText(a.letters, b.letters) ||
    a.digits - b.digits ||
    byText(a.rest, b.rest) ||
    byText(a.id, b.id)
  );
}

/**
 * Who hands to whom, and the order of calculation that follows: a member only after everything that lands on it; a whole storey before
 * the next, from the top down; among those of a storey that wait for each other in turn, then by mark. Members of a ring hand to nothing
 * here, so that all others can still be calculated. It is kept up to changes without being made anew, unless a ring comes or goes.
 */
export class Route {
  readonly graph = new Map<string, readonly string[]>();
  /** The members that hand to each, in the order of calculation. */
  readonly givers = new Map<string, readonly string[]>();
  order: readonly string[] = [];
  loops: readonly (readonly string[])[] = [];
  inLoop: ReadonlySet<string> = new Set();
  private places = new Map<string, Place>();

  /** Makes the route from nothing. */
  rebuild(ids: Iterable<string>, stopOf: (id: string) => Stop): void {
    this.graph.clear();
    this.givers.clear();
    this.places.clear();
    const stops = new Map<string, Stop>();
    for (const id of ids) {
      const stop = stopOf(id);
      stops.set(id, stop);
      this.graph.set(id, stop.targets);
    }
    this.loops = [];
    this.inLoop = new Set();
    let walked = this.walk();
    if (walked.length < this.graph.size) {
      this.loops = findLoops(this.graph);
      this.inLoop = new Set(this.loops.flat());
      walked = this.walk();
    }
    const incoming = new Map<string, string[]>();
    for (const [id, targets] of this.graph)
      for (const target of targets) {
        const list = incoming.get(target);
        if (list) list.push(id);
        else incoming.set(target, [id]);
      }
    for (const id of walked) this.places.set(id, this.placeFor(id, stops.get(id)!, incoming.get(id) ?? NONE));
    const sorted = [...this.places.values()].sort(compare);
    this.order = sorted.map(({ id }) => id);
    for (const [target, list] of incoming) this.givers.set(target, this.inOrder(list));
  }

  /** Members so that each comes after its givers; those of a ring, and what waits for them, are missing. */
  private walk(): string[] {
    const waiting = new Map<string, number>();
    for (const [id, targets] of this.graph) {
      if (!waiting.has(id)) waiting.set(id, 0);
      if (!this.inLoop.has(id)) for (const target of targets) waiting.set(target, (waiting.get(target) ?? 0) + 1);
    }
    const ready: string[] = [];
    for (const [id, count] of waiting) if (count === 0) ready.push(id);
    for (const id of ready) {
      if (this.inLoop.has(id)) continue;
      for (const target of this.graph.get(id)!) {
        const left = waiting.get(target)! - 1;
        waiting.set(target, left);
        if (left === 0) ready.push(target);
      }
    }
    return ready;
  }

  private placeFor(id: string, { mark, elevation }: Stop, givers: readonly string[]): Place {
    let level = elevation;
    for (const giver of givers) if (!this.inLoop.has(giver)) level = Math.min(level, this.places.get(giver)?.level ?? level);
    let depth = 0;
    for (const giver of givers) {
      const place = this.inLoop.has(giver) ? undefined : this.places.get(giver);
      if (place && place.level === level) depth = Math.max(depth, place.depth + 1);
    }
    return { id, level, depth, ...markKey(mark) };
  }

  /** Members in the order of calculation; those that are not in it are left out. */
  sorted(ids: Iterable<string>): readonly string[] {
    return this.inOrder([...ids].filter((id) => this.places.has(id)));
  }

  private inOrder(ids: readonly string[]): readonly string[] {
    return [...ids].sort((a, b) => compare(this.places.get(a)!, this.places.get(b)!));
  }

  /**
   * Takes up changes.
   * @param changed members that are new, or whose mark, elevation or targets changed
   * @returns members whose givers, or their order, changed; null when a ring is in the way and the route must be made anew
   */
  update(changed: Iterable<string>, gone: readonly string[], stopOf: (id: string) => Stop): Set<string> | null {
    if (this.loops.length > 0) return null;
    const touched = new Set<string>();
    const order = [...this.order];
    const takeOut = (id: string) => {
      const place = this.places.get(id);
      if (!place) return;
      const at = this.find(order, place);
      if (order[at] === id) order.splice(at, 1);
    };
    const putIn = (place: Place) => {
      this.places.set(place.id, place);
      order.splice(this.find(order, place), 0, place.id);
    };
    const leave = (target: string, id: string) => {
      const left = (this.givers.get(target) ?? NONE).filter((giver) => giver !== id);
      if (left.length > 0) this.givers.set(target, left);
      else this.givers.delete(target);
      touched.add(target);
    };
    for (const id of gone) {
      takeOut(id);
      for (const target of this.graph.get(id) ?? NONE) leave(target, id);
      this.graph.delete(id);
      this.places.delete(id);
      this.givers.delete(id);
    }
    const queue = [...changed].filter((id) => !gone.includes(id));
    const fresh = new Set(queue);
    for (const id of queue) {
      const { targets } = stopOf(id);
      const before = this.graph.get(id) ?? NONE;
      this.graph.set(id, targets);
      for (const target of before) if (!targets.includes(target)) leave(target, id);
      for (const target of targets)
        if (!before.includes(target)) {
          this.givers.set(target, [...(this.givers.get(target) ?? NONE), id]);
          touched.add(target);
        }
    }
    for (const id of queue) if (this.reaches(this.graph.get(id)!, id)) return null;
    // places are found again from each change downward, as far as they move
    const walkFrom = (start: readonly string[]) => {
      const waiting = [...start];
      for (let n = 0; n < waiting.length; n += 1) {
        const id = waiting[n]!;
        const old = this.places.get(id);
        const place = this.placeFor(id, stopOf(id), this.givers.get(id) ?? NONE);
        if (old && compare(old, place) === 0) {
          if (fresh.has(id)) for (const target of this.graph.get(id)!) touched.add(target);
          continue;
        }
        takeOut(id);
        putIn(place);
        for (const target of this.graph.get(id)!) {
          touched.add(target);
          waiting.push(target);
        }
      }
    };
    walkFrom(queue);
    walkFrom([...touched].filter((id) => this.graph.has(id)));
    for (const target of touched) {
      const list = this.givers.get(target);
      if (list) this.givers.set(target, this.inOrder(list));
    }
    this.order = order;
    return touched;
  }

  /** Where a place is in the order, or would be. */
  private find(order: readonly string[], place: Place): number {
    let [low, high] = [0, order.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (compare(this.places.get(order[middle]!)!, place) < 0) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** True when one of the members hands, however far down, to the one given. */
  private reaches(from: readonly string[], wanted: string): boolean {
    const seen = new Set<string>();
    const waiting = [...from];
    for (const id of waiting) {
      if (id === wanted) return true;
      if (seen.has(id)) continue;
      seen.add(id);
      for (const target of this.graph.get(id) ?? NONE) waiting.push(target);
    }
    return false;
  }
}
