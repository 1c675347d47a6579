import type { ExtraLoad, Named } from '../building';
import type { BalanceBook } from './balance';
import { KeptLedger, type Landed } from './landed';
import type { LooseEnd } from './ledger';
import { hasBuildUp, type Node } from './node';
import type { Outcome } from './outcome';
import type { Primary } from './primary';
import { sameLists, sameLoads } from './same';

/** A member as it was last calculated: its ledger, and what the engine keeps besides. All in one, since there are ten thousands. */
export class Calculated extends KeptLedger {
  readonly looseEnds: readonly LooseEnd[];
  /** Of what arrives the first so many act on it first-hand. */
  private readonly ownCount: number;
  private readonly ownEnds: readonly LooseEnd[];

  /**
   * @param loads extra loads on it
   * @param panels what panels put on it
   * @param own what acts on it first-hand
   * @param arrivals that, and after it what its givers hand to it
   */
  constructor(
    readonly node: Node,
    inLoop: boolean,
    transfer: boolean,
    readonly loads: readonly Named<ExtraLoad>[],
    readonly panels: readonly Landed[],
    own: Primary,
    arrivals: readonly Landed[],
    outcome: Outcome,
  ) {
    super(node.id, node.kind, node.mark, inLoop, arrivals, transfer, outcome.carried, outcome.leaves, outcome);
    this.ownCount = own.arrivals.length;
    this.ownEnds = own.looseEnds;
    this.looseEnds = outcome.looseEnds.length === 0 ? own.looseEnds : [...own.looseEnds, ...outcome.looseEnds];
  }

  /** What acts on it first-hand, if that is still the same; null when it is to be found again. @param book what that added to the balance */
  firstHand(node: Node, loads: readonly Named<ExtraLoad>[], panels: readonly Landed[], book: BalanceBook): Primary | null {
    if (this.node !== node || !sameLists(this.panels, panels) || !sameLoads(this.loads, loads)) return null;
    // strips, and the weight of walls, follow from build-ups, which may be others
    if (hasBuildUp(node)) return null;
    const { arrivals, ownCount, ownEnds } = this;
    return { arrivals: arrivals.length === ownCount ? arrivals : arrivals.slice(0, ownCount), book, looseEnds: ownEnds };
  }
}
