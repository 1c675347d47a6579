import { findLoops } from './loops';

/** What the route asks of a member. */
export interface Ask<S> {
  readonly mark: string;
  /** Elevation at which it is calculated, mm. */
  readonly elevation: number;
  /** Those that it hands to. */
  readonly targets: readonly S[];
}

const NONE: readonly never[] = [];

/**
 * A member on the route, with what the route keeps of it: whom it hands to, who hands to it in the order of calculation, and where it
 * stands in that order, which is given by the lowest level that it has to wait for, how often it waits there, and its mark.
 */
export class Stop<S> {
  targets: readonly S[] = NONE;
  givers: readonly S[] = NONE;
  inLoop = false;
  level = 0;
  depth = 0;
  letters = '';
  digits = -1;
  rest = '';
  /** The mark that was taken apart last; null before any. */
  read: string | null = null;
  /** While the route is made: how many givers are still to come, or have come; between times 0. */
  waiting = 0;

  constructor(readonly id: string) {}
}

/** B2 before B10: by the letters of a mark, then its number, then the rest. */
function readMark(stop: Stop<unknown>, mark: string): void {
  if (stop.read === mark) return;
  const isDigit = (i: number) => mark.charCodeAt(i) >= 48 && mark.charCodeAt(i) <= 57;
  let from = 0;
  while (from < mark.length && !isDigit(from)) from += 1;
  let to = from;
  while (to < mark.length && isDigit(to)) to += 1;
  stop.read = mark;
  stop.letters = theOne(mark.slice(0, from));
  stop.digits = to > from ? Number(mark.slice(from, to)) : -1;
  stop.rest = theOne(mark.slice(to));
}

const texts = new Map<string, string>();

/** The same text, and always the very same string: thousands of marks begin alike, and are told apart the quicker. */
function theOne(text: string): string {
  let known = texts.get(text);
  if (known === undefined) {
    if (texts.size > 4000) texts.clear();
    texts.set(text, (known = text));
  }
  return known;
}

const byText = (a: string, b: string) => (a === b ? 0 : a < b ? -1 : 1);

/** Which of two comes first in the order of calculation. */
export function compare(a: Stop<unknown>, b: Stop<unknown>): number {
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
export class Route<S extends Stop<S>> {
  order: readonly S[] = [];
  /** The names of the order. */
  ids: readonly string[] = [];
  loops: readonly (readonly string[])[] = [];

  /** Makes the route from nothing. */
  rebuild(stops: Iterable<S>, ask: (stop: S) => Ask<S>): void {
    const all = [...stops];
    for (const stop of all) {
      const { mark, elevation, targets } = ask(stop);
      readMark(stop, mark);
      stop.level = elevation;
      stop.depth = 0;
      stop.inLoop = false;
      stop.targets = targets;
      for (const target of targets) target.waiting += 1;
    }
    for (const stop of all) stop.givers = stop.waiting === 0 ? NONE : new Array<S>(stop.waiting);
    let walked = walk(all);
    this.loops = [];
    if (walked.length < all.length) {
      this.loops = findLoops(new Map(all.map(({ id, targets }) => [id, targets.map((target) => target.id)])));
      const ringed = new Set(this.loops.flat());
      for (const stop of all) {
        stop.inLoop = ringed.has(stop.id);
        stop.level = ask(stop).elevation;
        stop.depth = 0;
        stop.waiting = 0;
      }
      for (const { inLoop, targets } of all) if (!inLoop) for (const target of targets) target.waiting += 1;
      walked = walk(all);
    }
    const order = inOrder(walked);
    this.order = order;
    this.ids = new Array<string>(order.length);
    const isRinged = this.loops.length > 0;
    for (let i = 0; i < order.length; i += 1) {
      const stop = order[i]!;
      (this.ids as string[])[i] = stop.id;
      for (const target of stop.targets) {
        (target.givers as S[])[target.waiting] = stop;
        target.waiting += 1;
      }
      // outside a ring all that hand to it came before
      if (!isRinged) stop.waiting = 0;
    }
    if (isRinged) for (const stop of all) stop.waiting = 0;
  }

  /** Where a member belongs by those that hand to it. */
  private placeOf({ givers }: S, elevation: number): { level: number; depth: number } {
    let level = elevation;
    for (const giver of givers) if (giver.level < level) level = giver.level;
    let depth = 0;
    for (const giver of givers) if (giver.level === level && giver.depth >= depth) depth = giver.depth + 1;
    return { level, depth };
  }

  /**
   * Takes up changes.
   * @param changed members that are new, or whose mark, elevation or targets changed
   * @returns members whose givers, or their order, changed; null when a ring is in the way and the route must be made anew
   */
  update(changed: Iterable<S>, gone: readonly S[], ask: (stop: S) => Ask<S>): Set<S> | null {
    if (this.loops.length > 0) return null;
    const touched = new Set<S>();
    const order = this.order.slice();
    const ids = this.ids.slice();
    const takeOut = (stop: S) => {
      const at = find(order, stop);
      if (order[at] !== stop) return;
      order.splice(at, 1);
      ids.splice(at, 1);
    };
    const putIn = (stop: S) => {
      const at = find(order, stop);
      order.splice(at, 0, stop);
      ids.splice(at, 0, stop.id);
    };
    const left = (target: S, stop: S) => {
      target.givers = target.givers.filter((giver) => giver !== stop);
      touched.add(target);
    };
    const away = new Set(gone);
    for (const stop of gone) {
      takeOut(stop);
      for (const target of stop.targets) left(target, stop);
    }
    const queue = [...changed].filter((stop) => !away.has(stop));
    const fresh = new Set(queue);
    for (const stop of queue) {
      const { targets } = ask(stop);
      const before = stop.targets;
      stop.targets = targets;
      for (const target of before) if (!targets.includes(target)) left(target, stop);
      for (const target of targets)
        if (!before.includes(target)) {
          target.givers = [...target.givers, stop];
          touched.add(target);
        }
    }
    for (const stop of queue) if (reaches(stop.targets, stop)) return null;
    // places are found again from each change downward, as far as they move
    const walkFrom = (start: readonly S[]) => {
      const waiting = [...start];
      for (let n = 0; n < waiting.length; n += 1) {
        const stop = waiting[n]!;
        const { mark, elevation } = ask(stop);
        const { level, depth } = this.placeOf(stop, elevation);
        if (stop.read === mark && stop.level === level && stop.depth === depth && order[find(order, stop)] === stop) {
          if (fresh.has(stop)) for (const target of stop.targets) touched.add(target);
          continue;
        }
        takeOut(stop);
        readMark(stop, mark);
        stop.level = level;
        stop.depth = depth;
        putIn(stop);
        for (const target of stop.targets) {
          touched.add(target);
          waiting.push(target);
        }
      }
    };
    walkFrom(queue);
    walkFrom([...touched].filter((stop) => !away.has(stop)));
    for (const target of touched) target.givers = [...target.givers].sort(compare);
    this.order = order;
    this.ids = ids;
    return touched;
  }
}

/** Sorts level by level: the members of one are few enough to be at hand all at once. */
function inOrder<S extends Stop<S>>(stops: readonly S[]): S[] {
  const byLevel = new Map<number, S[]>();
  for (const stop of stops) {
    const list = byLevel.get(stop.level);
    if (list) list.push(stop);
    else byLevel.set(stop.level, [stop]);
  }
  const levels = [...byLevel.keys()].sort((a, b) => b - a);
  return levels.flatMap((level) => byLevel.get(level)!.sort(compare));
}

/**
 * Members so that each comes after its givers, with their level and depth; those of a ring whose rings are not known yet, and what waits
 * for them, are missing. Each is to wait for as many as hand to it; then none waits any more.
 */
function walk<S extends Stop<S>>(all: readonly S[]): S[] {
  const ready: S[] = [];
  for (const stop of all) if (stop.waiting === 0) ready.push(stop);
  for (const { inLoop, level, depth, targets } of ready) {
    if (inLoop) continue;
    for (const target of targets) {
      if (level < target.level) {
        target.level = level;
        target.depth = depth + 1;
      } else if (level === target.level && depth >= target.depth) target.depth = depth + 1;
      target.waiting -= 1;
      if (target.waiting === 0) ready.push(target);
    }
  }
  return ready;
}

/** Where a member is in the order, or would be. */
function find<S extends Stop<S>>(order: readonly S[], stop: S): number {
  let [low, high] = [0, order.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (compare(order[middle]!, stop) < 0) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** True when one of the members hands, however far down, to the one given. */
function reaches<S extends Stop<S>>(from: readonly S[], wanted: S): boolean {
  const seen = new Set<S>();
  const waiting = [...from];
  for (const stop of waiting) {
    if (stop === wanted) return true;
    if (seen.has(stop)) continue;
    seen.add(stop);
    for (const target of stop.targets) waiting.push(target);
  }
  return false;
}
