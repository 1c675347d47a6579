import type { ExtraLoad, Named } from '../building';
import type { Carried } from './carried';
import type { Arrival, LooseEnd, MemberLedger } from './ledger';
import type { Node } from './node';
import type { Handed } from './outcome';
import type { PanelLanding } from './panels';
import type { Primary } from './primary';
import { Stop } from './route';
import type { BookEntry } from './shelf';

const NONE: readonly never[] = [];

/** A member as the engine holds it: as it was last calculated, with what it had from elsewhere. */
export class Slot extends Stop<Slot> {
  /** Is it to be calculated again? */
  stale = true;
  loads: readonly Named<ExtraLoad>[] = NONE;
  panels: readonly PanelLanding[] = NONE;
  /** What acts on it first-hand. */
  primary: Primary | null = null;
  /** What it hands on, in order. */
  handed: readonly Handed[] = NONE;
  ledger: MemberLedger | null = null;
  ends: readonly LooseEnd[] = NONE;
  /** Loose ends of supports that lift. */
  lifting: readonly LooseEnd[] = NONE;

  constructor(
    public node: Node,
    readonly entry: BookEntry,
  ) {
    super(node.id);
  }

  /** Adds what it hands to a member. */
  handTo(id: string, arrivals: Arrival[], carried: Carried[]): void {
    for (const handed of this.handed) {
      if (handed.to !== id) continue;
      arrivals.push(handed.arrival);
      carried.push(handed.carried);
    }
  }
}
