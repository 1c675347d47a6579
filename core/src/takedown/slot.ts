import type { Brief } from '../building';
import type { Calculated } from './calculated';
import type { Landed } from './landed';
import type { LooseEnd } from './ledger';
import type { Node } from './node';
import type { Primary } from './primary';
import { Stop } from './route';
import type { Bearers } from './same';
import type { BookEntry } from './shelf';

const NONE: readonly never[] = [];

/** A member as the engine holds it: as it was last calculated, with what it had from elsewhere. */
export class Slot extends Stop<Slot> {
  /** Is it to be calculated again? */
  stale = true;
  /** What it rests on. */
  bearers: Bearers = NONE;
  /** As it was last calculated; null before. */
  ledger: Calculated | null = null;
  /** May one of its supports lift? Then that is judged. */
  mayLift = false;
  /** Loose ends of supports that lift. */
  lifting: readonly LooseEnd[] = NONE;

  constructor(
    public node: Node,
    /** Its books. */
    public entry: BookEntry,
  ) {
    super(node.id);
  }

  /** What it hands on, in order. */
  get handed(): readonly Landed[] {
    return this.ledger?.handed ?? NONE;
  }

  /** What acts on it first-hand, and after that what its givers hand to it. */
  gathered(own: Primary): readonly Landed[] {
    const { id, givers } = this;
    let count = 0;
    // what a member of a ring would hand on is not there
    for (const { inLoop, handed } of givers) if (!inLoop) for (const { on } of handed) if (on === id) count += 1;
    if (count === 0) return own.arrivals;
    let n = own.arrivals.length;
    const arrivals = new Array<Landed>(n + count);
    for (let i = 0; i < n; i += 1) arrivals[i] = own.arrivals[i]!;
    for (const { inLoop, handed } of givers)
      if (!inLoop)
        for (const part of handed) {
          if (part.on !== id) continue;
          arrivals[n] = part;
          n += 1;
        }
    return arrivals;
  }

  /** Whether a member hands load to it that makes it a transfer beam: a column or wall from above, or by the other rule a beam too. Hangers never. */
  carriesFromAbove(rule: Brief['transferRule']): boolean {
    for (const { inLoop, handed, node } of this.givers) {
      if (inLoop || node.kind === 'hanger' || (rule === 'posts' && node.kind === 'beam')) continue;
      for (const { on } of handed) if (on === this.id) return true;
    }
    return false;
  }
}
