import { BalanceTable, type BalanceBook } from './balance';
import type { CaseBalance } from './ledger';

/** Sums are made in steps, so many parts to a sum: what changes is added up again with its neighbours only. */
const FAN_BITS = 3;
const FAN = 1 << FAN_BITS;
const STEPS = 3;
const SHELVES = FAN ** STEPS;

/** The place of one member's or panel's books. */
export class BookEntry {
  private first: BalanceBook = null;
  private second: BalanceBook = null;

  constructor(
    readonly name: string,
    readonly hash: number,
    private readonly shelves: BookShelf,
  ) {}

  set(first: BalanceBook, second: BalanceBook = null): void {
    this.first = first;
    this.second = second;
    this.shelves.makeStale(this);
  }

  remove(): void {
    this.shelves.remove(this);
  }

  addTo(table: BalanceTable, row: number): void {
    if (this.first) table.take(row, this.first);
    if (this.second) table.take(row, this.second);
  }
}

function isBefore(a: BookEntry, b: BookEntry): boolean {
  return a.hash < b.hash || (a.hash === b.hash && a.name < b.name);
}

/**
 * The books of all members and panels on some hundred shelves, added up shelf by shelf and then eight sums at a time, so that a change
 * adds up again only what it touches. The sum follows from the names and the books alone: it does not depend on how it came about, to
 * the last digit.
 */
export class BookShelf {
  /** Each shelf in an order that follows from the names. */
  private readonly shelves = Array.from({ length: SHELVES }, (): BookEntry[] => []);
  /** Sums of shelves, of eight shelves, and so on to the sum of all. */
  private readonly sums = Array.from({ length: STEPS + 1 }, (_, step) => new BalanceTable(SHELVES >> (FAN_BITS * step)));
  private readonly stale = Array.from({ length: STEPS + 1 }, (_, step) => new Uint8Array(SHELVES >> (FAN_BITS * step)));

  /** A place for books of that name, which must be new. */
  place(name: string): BookEntry {
    let hash = 0;
    for (let i = 0; i < name.length; i += 1) hash = (hash * 31 + name.charCodeAt(i)) | 0;
    const entry = new BookEntry(name, hash, this);
    const shelf = this.shelves[hash & (SHELVES - 1)]!;
    let at = shelf.length;
    while (at > 0 && isBefore(entry, shelf[at - 1]!)) at -= 1;
    if (at === shelf.length) shelf.push(entry);
    else shelf.splice(at, 0, entry);
    return entry;
  }

  remove(entry: BookEntry): void {
    const shelf = this.shelves[entry.hash & (SHELVES - 1)]!;
    const at = shelf.indexOf(entry);
    if (at >= 0) shelf.splice(at, 1);
    this.makeStale(entry);
  }

  makeStale({ hash }: BookEntry): void {
    const row = hash & (SHELVES - 1);
    for (let step = 0; step <= STEPS; step += 1) this.stale[step]![row >> (FAN_BITS * step)] = 1;
  }

  cases(): CaseBalance[] {
    this.sums.forEach((table, step) => {
      const stale = this.stale[step]!;
      for (let row = 0; row < stale.length; row += 1) {
        if (stale[row] === 0) continue;
        stale[row] = 0;
        table.clear(row);
        if (step === 0) for (const entry of this.shelves[row]!) entry.addTo(table, row);
        else for (let part = 0; part < FAN; part += 1) table.takeRow(row, this.sums[step - 1]!, row * FAN + part);
      }
    });
    return this.sums[STEPS]!.cases(0);
  }
}
