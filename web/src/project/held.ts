import type { Computed, ComputedChange, Delta } from './engine.worker';

/** A keyed part of a result as it comes from the worker piece by piece; what is shown of it is another map after each change. */
class HeldMap<V> {
  private readonly map = new Map<string, V>();
  private shown: ReadonlyMap<string, V> | null = null;

  take({ set, gone }: Delta<V>): void {
    if (set.length + gone.length > 0) this.shown = null;
    for (const id of gone) this.map.delete(id);
    for (const [id, value] of set) this.map.set(id, value);
  }

  show(): ReadonlyMap<string, V> {
    return (this.shown ??= new Map(this.map));
  }
}

type ValueOf<M> = M extends ReadonlyMap<string, infer V> ? V : never;
type Takedown = Computed['takedown'];

/** What the worker has made of the project, with every change put in. */
export class HeldResult {
  private readonly ledgers = new HeldMap<ValueOf<Takedown['members']>>();
  private readonly bearers = new HeldMap<ValueOf<Takedown['bearers']>>();
  private readonly panels = new HeldMap<ValueOf<Takedown['panels']>>();
  private readonly members = new HeldMap<ValueOf<Computed['members']>>();
  private readonly footings = new HeldMap<ValueOf<Computed['footings']>>();
  private readonly assumptions = new HeldMap<ValueOf<Computed['assumptions']>>();
  private order: Takedown['order'] = [];
  private last: ComputedChange | null = null;
  /** Members whose supports may be others than those shown; null: all. */
  private moved: Set<string> | null = null;

  take(change: ComputedChange): void {
    const { takedown, restsElsewhere } = change;
    this.ledgers.take(takedown.members);
    this.bearers.take(takedown.bearers);
    this.panels.take(takedown.panels);
    this.members.take(change.members);
    this.footings.take(change.footings);
    this.assumptions.take(change.assumptions);
    this.order = takedown.order ?? this.order;
    this.last = change;
    if (!restsElsewhere) this.moved = null;
    else if (this.moved) for (const id of restsElsewhere) this.moved.add(id);
  }

  /** How many designs are still to come. */
  get pending(): number {
    return this.last?.pending ?? 0;
  }

  /** @throws Error before anything came */
  show(): { readonly computed: Computed; readonly restsElsewhere: ReadonlySet<string> | null } {
    if (!this.last) throw new Error('nothing has been computed yet');
    const { takedown, balance, looseEnds, pending } = this.last;
    const restsElsewhere = this.moved;
    this.moved = new Set();
    return {
      restsElsewhere,
      computed: {
        takedown: {
          ...takedown,
          order: this.order,
          members: this.ledgers.show(),
          bearers: this.bearers.show(),
          panels: this.panels.show(),
        },
        members: this.members.show(),
        footings: this.footings.show(),
        assumptions: this.assumptions.show(),
        balance,
        looseEnds,
        pending,
      },
    };
  }
}
