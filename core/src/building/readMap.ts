/** A map that can only be read; what it is made of is its own business. */
abstract class ReadMap<V> implements ReadonlyMap<string, V> {
  abstract readonly size: number;
  abstract get(id: string): V | undefined;
  abstract has(id: string): boolean;
  abstract forEach(look: (value: V, id: string, map: ReadonlyMap<string, V>) => void): void;
  protected abstract each(): Generator<[string, V], undefined>;

  entries(): MapIterator<[string, V]> {
    return this.each();
  }

  keys(): MapIterator<string> {
    return seen(this.each(), ([id]) => id);
  }

  values(): MapIterator<V> {
    return seen(this.each(), ([, value]) => value);
  }

  [Symbol.iterator](): MapIterator<[string, V]> {
    return this.each();
  }
}

function* seen<S, V>(entries: Iterable<S>, of: (entry: S) => V): Generator<V, undefined> {
  for (const entry of entries) yield of(entry);
  return undefined;
}

/** A map seen through what is wanted of its values: nothing is kept twice. */
export class MapView<S, V> extends ReadMap<V> {
  constructor(
    private readonly map: ReadonlyMap<string, S>,
    private readonly of: (value: S) => V,
  ) {
    super();
  }

  get size(): number {
    return this.map.size;
  }

  get(id: string): V | undefined {
    const value = this.map.get(id);
    return value === undefined ? undefined : this.of(value);
  }

  has(id: string): boolean {
    return this.map.has(id);
  }

  forEach(look: (value: V, id: string, map: ReadonlyMap<string, V>) => void): void {
    this.map.forEach((value, id) => look(this.of(value), id, this));
  }

  protected *each(): Generator<[string, V], undefined> {
    for (const [id, value] of this.map) yield [id, this.of(value)];
    return undefined;
  }
}

/** The values of a map that stays as it is, in order, and the place of each. */
interface Listed {
  readonly values: readonly unknown[];
  readonly places: ReadonlyMap<string, number>;
}

const listed = new WeakMap<ReadonlyMap<string, unknown>, Listed>();

function listOf(map: ReadonlyMap<string, unknown>): Listed {
  let known = listed.get(map);
  if (!known) {
    const places = new Map<string, number>();
    let n = 0;
    for (const id of map.keys()) places.set(id, n++);
    listed.set(map, (known = { values: [...map.values()], places }));
  }
  return known;
}

/** After so many changes a map is written out again. */
const WRITTEN_OUT = 256;

/**
 * A map that is another one but for a few changes: that one is kept as it is and not copied, which would take longer than all that
 * follows from an edit. Order is that of a map to which the same was done.
 */
class PatchedMap<V> extends ReadMap<V> {
  private constructor(
    readonly base: ReadonlyMap<string, V>,
    /** Other values of what is in the base. */
    private readonly replaced: Map<string, V>,
    /** What is in the base and no more here, or here again but at the end. */
    private readonly gone: Set<string>,
    private readonly added: Map<string, V>,
  ) {
    super();
  }

  static of<V>(before: ReadonlyMap<string, V>): PatchedMap<V> {
    return before instanceof PatchedMap
      ? new PatchedMap<V>(before.base as ReadonlyMap<string, V>, new Map(before.replaced), new Set(before.gone), new Map(before.added))
      : new PatchedMap(before, new Map(), new Set(), new Map());
  }

  get changes(): number {
    return this.replaced.size + this.gone.size + this.added.size;
  }

  set(id: string, value: V): void {
    if (this.base.has(id) && !this.gone.has(id)) this.replaced.set(id, value);
    else this.added.set(id, value);
  }

  remove(id: string): void {
    this.added.delete(id);
    this.replaced.delete(id);
    if (this.base.has(id)) this.gone.add(id);
  }

  get size(): number {
    return this.base.size - this.gone.size + this.added.size;
  }

  get(id: string): V | undefined {
    return this.added.get(id) ?? (this.gone.has(id) ? undefined : (this.replaced.get(id) ?? this.base.get(id)));
  }

  has(id: string): boolean {
    return this.added.has(id) || (this.base.has(id) && !this.gone.has(id));
  }

  forEach(look: (value: V, id: string, map: ReadonlyMap<string, V>) => void): void {
    this.base.forEach((value, id) => {
      if (!this.gone.has(id)) look(this.replaced.get(id) ?? value, id, this);
    });
    this.added.forEach((value, id) => look(value, id, this));
  }

  /** Thousands are read with every edit, of which a few are others than last time. */
  override values(): MapIterator<V> {
    const { values, places } = listOf(this.base);
    let list = values.slice() as V[];
    this.replaced.forEach((value, id) => (list[places.get(id)!] = value));
    if (this.gone.size > 0) {
      const away = new Set([...this.gone].map((id) => places.get(id)!));
      list = list.filter((_, n) => !away.has(n));
    }
    this.added.forEach((value) => list.push(value));
    return list.values() as unknown as MapIterator<V>;
  }

  protected *each(): Generator<[string, V], undefined> {
    for (const [id, value] of this.base) if (!this.gone.has(id)) yield [id, this.replaced.get(id) ?? value];
    yield* this.added;
    return undefined;
  }
}

/** The map with some values changed, added at the end, or taken away (null). The map itself stays as it is. */
export function patched<V extends object>(
  before: ReadonlyMap<string, V>,
  changes: Iterable<readonly [string, V | null]>,
): ReadonlyMap<string, V> {
  const after = PatchedMap.of(before);
  for (const [id, value] of changes)
    if (value) after.set(id, value);
    else after.remove(id);
  return after.changes > WRITTEN_OUT ? new Map(after) : after;
}
