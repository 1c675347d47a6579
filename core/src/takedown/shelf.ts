import { BalanceSum, type BalanceBook } from './balance';
import type { CaseBalance } from './ledger';

/** Racks of shelves: so many that a usual edit touches few of them; powers of two. */
const RACKS = 32;
const SHELVES = 32;

/** The place of one member's or panel's books. */
export class BookEntry {
  private first: BalanceBook | null = null;
  private second: BalanceBook | null = null;

  constructor(
    readonly name: string,
    readonly hash: number,
    private readonly shelf: Shelf,
  ) {}

  set(first: BalanceBook, second: BalanceBook | null = null): void {
    this.first = first;
    this.second = second;
    this.shelf.stale();
  }

  remove(): void {
    this.shelf.remove(this);
  }

  addTo(sum: BalanceSum): void {
    if (this.first) sum.take(this.first);
    if (this.second) sum.take(this.second);
  }
}

class Shelf {
  private readonly entries: BookEntry[] = [];
  private sorted = true;
  private fresh = false;
  private readonly held = new BalanceSum();

  constructor(private readonly rack: Rack) {}

  add(entry: BookEntry): void {
    this.entries.push(entry);
    this.sorted = false;
    this.stale();
  }

  remove(entry: BookEntry): void {
    const at = this.entries.indexOf(entry);
    if (at >= 0) this.entries.splice(at, 1);
    this.stale();
  }

  stale(): void {
    this.fresh = false;
    this.rack.fresh = false;
  }

  sum(): BalanceSum {
    if (this.fresh) return this.held;
    if (!this.sorted) this.entries.sort((a, b) => a.hash - b.hash || (a.name < b.name ? -1 : 1));
    this.sorted = true;
    this.fresh = true;
    this.held.clear();
    for (const entry of this.entries) entry.addTo(this.held);
    return this.held;
  }
}

class Rack {
  fresh = false;
  private readonly held = new BalanceSum();
  readonly shelves = Array.from({ length: SHELVES }, () => new Shelf(this));

  sum(): BalanceSum {
    if (this.fresh) return this.held;
    this.fresh = true;
    this.held.clear();
    for (const shelf of this.shelves) this.held.takeSum(shelf.sum());
    return this.held;
  }
}

/**
 * The books of all members and panels, added up shelf by shelf, so that a change adds up again only the shelves that it touches.
 * Within a shelf the order follows from the names alone: the sum does not depend on how it came about, to the last digit.
 */
export class BookShelf {
  private readonly racks = Array.from({ length: RACKS }, () => new Rack());

  /** A place for books of that name, which must be new. */
  place(name: string): BookEntry {
    let sum = 0;
    for (let i = 0; i < name.length; i += 1) sum = (sum * 31 + name.charCodeAt(i)) | 0;
    const shelf = this.racks[sum & (RACKS - 1)]!.shelves[(sum >>> 5) & (SHELVES - 1)]!;
    const entry = new BookEntry(name, sum, shelf);
    shelf.add(entry);
    return entry;
  }

  cases(): CaseBalance[] {
    const all = new BalanceSum();
    for (const rack of this.racks) all.takeSum(rack.sum());
    return all.cases();
  }
}
