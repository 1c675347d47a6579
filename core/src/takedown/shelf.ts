import { BalanceBook } from './balance';
import type { CaseBalance } from './ledger';

/** So many that a usual edit touches few of them; a power of two. */
const SHELVES = 1024;

/**
 * The books of all members and panels, added up shelf by shelf, so that a change adds up again only the shelves that it touches.
 * Within a shelf the order is that of the names: the sum does not depend on how it came about, to the last digit.
 */
export class BookShelf {
  private readonly shelves = Array.from({ length: SHELVES }, () => ({
    books: new Map<string, BalanceBook>(),
    sum: null as BalanceBook | null,
  }));

  set(name: string, book: BalanceBook): void {
    const shelf = this.shelfOf(name);
    shelf.books.set(name, book);
    shelf.sum = null;
  }

  remove(name: string): void {
    const shelf = this.shelfOf(name);
    if (shelf.books.delete(name)) shelf.sum = null;
  }

  cases(): CaseBalance[] {
    const all = new BalanceBook();
    for (const shelf of this.shelves) {
      if (!shelf.sum) {
        shelf.sum = new BalanceBook();
        for (const name of [...shelf.books.keys()].sort()) shelf.sum.addBook(shelf.books.get(name)!);
      }
      all.addBook(shelf.sum);
    }
    return all.cases();
  }

  private shelfOf(name: string) {
    let sum = 0;
    for (let i = 0; i < name.length; i += 1) sum = (sum * 31 + name.charCodeAt(i)) | 0;
    return this.shelves[sum & (SHELVES - 1)]!;
  }
}
