/** A map seen through what is wanted of its values: nothing is kept twice. */
export class MapView<S, V> implements ReadonlyMap<string, V> {
  constructor(
    private readonly map: ReadonlyMap<string, S>,
    private readonly of: (value: S) => V,
  ) {}

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

  keys(): MapIterator<string> {
    return this.map.keys();
  }

  values(): MapIterator<V> {
    return seen(this.map.values(), this.of);
  }

  entries(): MapIterator<[string, V]> {
    return seen(this.map.entries(), ([id, value]): [string, V] => [id, this.of(value)]);
  }

  [Symbol.iterator](): MapIterator<[string, V]> {
    return this.entries();
  }
}

function seen<S, V>(values: Iterable<S>, of: (value: S) => V): MapIterator<V> {
  function* each() {
    for (const value of values) yield of(value);
  }
  return each() as MapIterator<V>;
}
