import { Designs, MapView, unpackLedger, type Design, type MemberLedger, type PackedLedgers } from '@plinth/core';
import type { Computed, ComputedChange, Delta } from './engine.worker';

/** A keyed part of a result. */
class HeldMap<V> {
  private readonly map = new Map<string, V>();
  /** Another one after each change, though what stands behind it is always the same. */
  view = this.look();

  private look(): ReadonlyMap<string, V> {
    return new MapView(this.map, (value: V) => value);
  }

  take({ set, gone }: Delta<V>): void {
    if (set.length + gone.length > 0) this.view = this.look();
    for (const id of gone) this.map.delete(id);
    for (const [id, value] of set) this.map.set(id, value);
  }
}

/** A ledger that came, and once somebody has asked for it what it is. */
interface Received {
  readonly packed: PackedLedgers;
  readonly place: number;
  ledger: MemberLedger | null;
}

/** The ledgers: of the hundreds that come with an edit only those are made that are looked at. */
class HeldLedgers {
  private readonly map = new Map<string, Received>();
  view = this.look();

  private look(): ReadonlyMap<string, MemberLedger> {
    return new MapView(this.map, (received: Received) => (received.ledger ??= unpackLedger(received.packed, received.place)));
  }

  take({ packed, gone }: ComputedChange['takedown']['members']): void {
    if (packed.ids.length + gone.length > 0) this.view = this.look();
    for (const id of gone) this.map.delete(id);
    packed.ids.forEach((id, place) => this.map.set(id, { packed, place, ledger: null }));
  }
}

type ValueOf<M> = M extends ReadonlyMap<string, infer V> ? V : never;
type Takedown = Computed['takedown'];

/**
 * What the worker has made of the project. Changes are put in only when they are shown, all at once: what is on the screen meanwhile goes on
 * reading what it was given.
 */
export class HeldResult {
  private readonly ledgers = new HeldLedgers();
  private readonly bearers = new HeldMap<ValueOf<Takedown['bearers']>>();
  private readonly panels = new HeldMap<ValueOf<Takedown['panels']>>();
  private readonly designs = new HeldMap<Design>();
  private shown = new Designs(this.designs.view);
  private readonly assumptions = new HeldMap<ValueOf<Computed['assumptions']>>();
  private order: Takedown['order'] = [];
  private waiting: ComputedChange[] = [];
  private last: ComputedChange | null = null;

  take(change: ComputedChange): void {
    this.waiting.push(change);
    this.last = change;
  }

  /** How many designs are still to come. */
  get pending(): number {
    return this.last?.pending ?? 0;
  }

  /**
   * @returns what is computed, and the members whose supports may be others than those shown before (null: all)
   * @throws Error before anything came
   */
  show(): { readonly computed: Computed; readonly restsElsewhere: ReadonlySet<string> | null } {
    if (!this.last) throw new Error('nothing has been computed yet');
    let restsElsewhere: Set<string> | null = new Set();
    for (const change of this.waiting) {
      this.putIn(change);
      if (!change.restsElsewhere) restsElsewhere = null;
      else if (restsElsewhere) for (const id of change.restsElsewhere) restsElsewhere.add(id);
    }
    this.waiting = [];
    const { takedown, balance, looseEnds, openAssumptions, pending } = this.last;
    return {
      restsElsewhere,
      computed: {
        takedown: {
          ...takedown,
          order: this.order,
          members: this.ledgers.view,
          bearers: this.bearers.view,
          panels: this.panels.view,
        },
        designs: this.shown,
        assumptions: this.assumptions.view,
        openAssumptions,
        balance,
        looseEnds,
        pending,
      },
    };
  }

  private putIn({ takedown, designs, assumptions }: ComputedChange): void {
    this.ledgers.take(takedown.members);
    this.bearers.take(takedown.bearers);
    this.panels.take(takedown.panels);
    this.designs.take(designs);
    if (this.shown.all !== this.designs.view) this.shown = new Designs(this.designs.view);
    this.assumptions.take(assumptions);
    this.order = takedown.order ?? this.order;
  }
}
