import type { ExtraLoad, Named } from '../building';
import type { Carried } from './carried';
import type { Arrival, LooseEnd, MemberLedger } from './ledger';
import type { Node } from './node';
import type { Handed } from './outcome';
import type { PanelLanding } from './panels';
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
  loads: readonly Named<ExtraLoad>[] = NONE;
  panels: readonly PanelLanding[] = NONE;
  /** What acts on it first-hand. */
  primary: Primary | null = null;
  /** What it hands on, in order. */
  handed: readonly Handed[] = NONE;
  ledger: MemberLedger | null = null;
  /** The sum of what arrives. */
  carried: Carried | undefined = undefined;
  ends: readonly LooseEnd[] = NONE;
  /** Loose ends of supports that lift. */
  lifting: readonly LooseEnd[] = NONE;

  constructor(
    public node: Node,
    readonly entry: BookEntry,
  ) {
    super(node.id);
  }

  /** What acts on it first-hand, and after that what its givers hand to it. */
  gathered(own: Primary): { arrivals: readonly Arrival[]; carried: readonly Carried[] } {
    const { id, givers } = this;
    let count = 0;
    // what a member of a ring would hand on is not there
    for (const { inLoop, handed } of givers) if (!inLoop) for (const { to } of handed) if (to === id) count += 1;
    if (count === 0) return own;
    let n = own.arrivals.length;
    const arrivals = new Array<Arrival>(n + count);
    const carried = new Array<Carried>(n + count);
    for (let i = 0; i < n; i += 1) {
      arrivals[i] = own.arrivals[i]!;
      carried[i] = own.carried[i]!;
    }
    for (const { inLoop, handed } of givers)
      if (!inLoop)
        for (const part of handed) {
          if (part.to !== id) continue;
          arrivals[n] = part.arrival;
          carried[n] = part.carried;
          n += 1;
        }
    return { arrivals, carried };
  }
}
