import type { ByCase, LooseEnd } from './ledger';

const NONE: readonly never[] = [];

/** Collects the loose ends of one item, each under a key that stays the same while the fault does. */
export class LooseEnds {
  list: readonly LooseEnd[] = NONE;

  constructor(private readonly item: string) {}

  /**
   * @param kind what is wrong, a word of the engine
   * @param place tells apart several of a kind on one item, such as a position
   */
  add(kind: string, place: string | number, title: string, why: string, remedy: string, byCase: ByCase = {}): void {
    // a key fits into an answer's key
    const key = `${kind}:${this.item}${place === '' ? '' : `:${place}`}`.slice(0, 140);
    const twins = this.list.filter((end) => end.key === key || end.key.startsWith(`${key}#`)).length;
    this.list = [...this.list, { key: twins ? `${key}#${twins + 1}` : key, item: this.item, title, why, remedy, byCase }];
  }
}
