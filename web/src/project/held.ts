import { receivedLedger } from '@plinth/core';
import type { Computed, ComputedChange, Delta } from './engine.worker';

/** A map as it is shown: another one after each change, though what stands behind it is always the same. */
class View<V> implements ReadonlyMap<string, V> {
  constructor(private readonly map: ReadonlyMap<string, V>) {}

  get size(): number {
    return this.map.size;
  }
  get(id: string): V | undefined {
    return this.map.get(id);
  }
  has(id: string): boolean {
    return this.map.has(id);
  }
  forEach(look: (value: V, id: string, map: ReadonlyMap<string, V>) => void): void {
    this.map.forEach((value, id) => look(value, id, this));
  }
  keys(): MapIterator<string> {
    return this.map.keys();
  }
  values(): MapIterator<V> {
    return this.map.values();
  }
  entries(): MapIterator<[string, V]> {
    return this.map.entries();
  }
  [Symbol.iterator](): MapIterator<[string, V]> {
    return this.map.entries();
  }
}

/** A keyed part of a result. */
class HeldMap<V> {
  private readonly map = new Map<string, V>();
  view = new View(this.map);

  /** @param received what a value is, that came in a message */
  constructor(private readonly received: (message: V) => V = (message) => message) {}

  take({ set, gone }: Delta<V>): void {
    if (set.length + gone.length > 0) this.view = new View(this.map);
    for (const id of gone) this.map.delete(id);
    for (const [id, value] of set) this.map.set(id, this.received(value));
  }
}

type ValueOf<M> = M extends ReadonlyMap<string, infer V> ? V : never;
type Takedown = Computed['takedown'];

/**
 * What the worker has made of the project. Changes are put in only when they are shown, all at once: what is on the screen meanwhile goes on
 * reading what it was given.
 */
export class HeldResult {
  private readonly ledgers = new HeldMap<ValueOf<Takedown['members']>>(receivedLedger);
  private readonly bearers = new HeldMap<ValueOf<Takedown['bearers']>>();
  private readonly panels = new HeldMap<ValueOf<Takedown['panels']>>();
  private readonly members = new HeldMap<ValueOf<Computed['members']>>();
  private readonly footings = new HeldMap<ValueOf<Computed['footings']>>();
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
        members: this.members.view,
        footings: this.footings.view,
        assumptions: this.assumptions.view,
        openAssumptions,
        balance,
        looseEnds,
        pending,
      },
    };
  }

  private putIn({ takedown, members, footings, assumptions }: ComputedChange): void {
    this.ledgers.take(takedown.members);
    this.bearers.take(takedown.bearers);
    this.panels.take(takedown.panels);
    this.members.take(members);
    this.footings.take(footings);
    this.assumptions.take(assumptions);
    this.order = takedown.order ?? this.order;
  }
}
