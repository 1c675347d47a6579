import { BalanceSum, type BalanceBook } from './balance';
import type { CaseBalance } from './ledger';

/** Racks of shelves: so many that a usual edit touches few of them; powers of two. */
const RACKS = 32;
const SHELVES = 32;

/** The place of one member's or panel's books. */
export class BookEntry {
  private books: readonly BalanceBook[] = [];

  constructor(
    readonly name: string,
    private readonly shelf: Shelf,
  ) {}

  set(...books: readonly BalanceBook[]): void {
    this.books = books;
    this.shelf.stale();
  }

  remove(): void {
    this.shelf.remove(this);
  }

  addTo(sum: BalanceSum): void {
    for (const book of this.books) sum.take(book);
  }
}

class Shelf {
  private readonly entries: BookEntry[] = [];
  private sorted = true;
  private held: BalanceSum | null = null;

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
    this.held = null;
    this.rack.held = null;
  }

  sum(): BalanceSum {
    if (!this.sorted) this.entries.sort((a, b) => (a.name < b.name ? -1 : 1));
    this.sorted = true;
    if (!this.held) {
      this.held = new BalanceSum();
      for (const entry of this.entries) entry.addTo(this.held);
    }
    return this.held;
  }
}

class Rack {
  held: BalanceSum | null = null;
  readonly shelves = Array.from({ length: SHELVES }, () => new Shelf(this));

  sum(): BalanceSum {
    if (!this.held) {
      this.held = new BalanceSum();
      for (const shelf of this.shelves) this.held.takeSum(shelf.sum());
    }
    return this.held;
  }
}

/**
 * The books of all members and panels, added up shelf by shelf, so that a change adds up again only the shelves that it touches.
 * Within a shelf the order is that of the names: the sum does not depend on how it came about, to the last digit.
 */
export class BookShelf {
  private readonly racks = Array.from({ length: RACKS }, () => new Rack());

  /** A place for books of that name, which must be new. */
  place(name: string): BookEntry {
    let sum = 0;
    for (let i = 0; i < name.length; i += 1) sum = (sum * 31 + name.charCodeAt(i)) | 0;
    const shelf = this.racks[sum & (RACKS - 1)]!.shelves[(sum >>> 5) & (SHELVES - 1)]!;
    const entry = new BookEntry(name, shelf);
    shelf.add(entry);
    return entry;
  }

  cases(): CaseBalance[] {
    const all = new BalanceSum();
    for (const rack of this.racks) all.takeSum(rack.sum());
    return all.cases();
  }
}
