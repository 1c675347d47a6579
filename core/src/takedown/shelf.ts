import type { PlanPoint } from '../building';
import { BalanceTable, type BalanceBook } from './balance';
import type { LoadCases } from '../load';
import type { CaseBalance } from './ledger';

/** Sums are made in steps, so many parts to a sum: what changes is added up again with its neighbours only. */
const FAN_BITS = 2;
const FAN = 1 << FAN_BITS;
const STEPS = 5;
const SHELVES = FAN ** STEPS;
/** What stands on one level is on so many shelves, so that an edit of a storey touches few. */
const LEVEL_SHELVES = 16;

/** Which shelf: things that change together lie together. */
export type Neighbourhood = { readonly level: string } | { readonly at: PlanPoint };

function hashOf(name: string, start: number): number {
  let hash = start;
  for (let i = 0; i < name.length; i += 1) hash = (hash * 31 + name.charCodeAt(i)) | 0;
  return hash;
}

/** Where the hashes of each kind begin. */
const KINDS = { member: 0, panel: 0x51ed27 } as const;

function rowOf(hash: number, near: Neighbourhood): number {
  if ('at' in near) {
    const mixed = Math.imul(Math.round(near.at.x) + Math.imul(Math.round(near.at.y), 31), 0x9e3779b1);
    return mixed >>> (32 - FAN_BITS * STEPS);
  }
  const level = Math.imul(hashOf(near.level, 0), 0x9e3779b1) >>> (32 - FAN_BITS * STEPS);
  return (level & -LEVEL_SHELVES) | (hash & (LEVEL_SHELVES - 1));
}

/** The place of one member's or panel's books. */
export class BookEntry {
  /** What it does with what comes to it. */
  private book: BalanceBook = null;
  /** What it brings itself. */
  own: BalanceBook = null;

  constructor(
    readonly name: string,
    readonly hash: number,
    readonly row: number,
    private readonly shelves: BookShelf,
  ) {}

  set(own: BalanceBook, book: BalanceBook = null): void {
    this.own = own;
    this.book = book;
    this.shelves.makeStale(this);
  }

  remove(): void {
    this.shelves.remove(this);
  }

  addTo(table: BalanceTable, row: number): void {
    if (this.book) table.take(row, this.book);
    if (this.own) table.take(row, this.own);
  }
}

function order(a: BookEntry, b: BookEntry): number {
  return a.hash - b.hash || (a.name < b.name ? -1 : 1);
}

/**
 * The books of all members and panels on some thousand shelves, added up shelf by shelf and then four sums at a time, so that a change
 * adds up again only what it touches. The sum follows from the names, places and books alone: it does not depend on how it came about, to
 * the last digit.
 */
export class BookShelf {
  /** Each shelf in an order that follows from the names, when it is added up. */
  private readonly shelves = Array.from({ length: SHELVES }, (): BookEntry[] => []);
  /** Shelves that are to be put in order. */
  private readonly mixed = new Uint8Array(SHELVES);
  /** Sums of shelves, of four shelves, and so on to the sum of all. */
  private readonly sums = Array.from({ length: STEPS + 1 }, (_, step) => new BalanceTable(SHELVES >> (FAN_BITS * step)));
  private readonly stale = Array.from({ length: STEPS + 1 }, (_, step) => new Uint8Array(SHELVES >> (FAN_BITS * step)));

  /**
   * A place for books of that name, which must be new among its kind: where it stands on plan, or on which level.
   * @param kind tells those of panels from those of members
   */
  place(name: string, near: Neighbourhood, kind: 'member' | 'panel' = 'member'): BookEntry {
    const hash = hashOf(name, KINDS[kind]);
    const row = rowOf(hash, near);
    const entry = new BookEntry(name, hash, row, this);
    const shelf = this.shelves[row]!;
    if (shelf.length > 0 && order(shelf[shelf.length - 1]!, entry) > 0) this.mixed[row] = 1;
    shelf.push(entry);
    return entry;
  }

  remove(entry: BookEntry): void {
    const shelf = this.shelves[entry.row]!;
    const at = shelf.indexOf(entry);
    if (at >= 0) shelf.splice(at, 1);
    this.makeStale(entry);
  }

  makeStale({ row }: BookEntry): void {
    for (let step = 0; step <= STEPS; step += 1) this.stale[step]![row >> (FAN_BITS * step)] = 1;
  }

  private inOrder(row: number): readonly BookEntry[] {
    const shelf = this.shelves[row]!;
    if (this.mixed[row] === 1) shelf.sort(order);
    this.mixed[row] = 0;
    return shelf;
  }

  /** @param known the load cases of the project */
  cases(known: LoadCases): CaseBalance[] {
    this.sums.forEach((table, step) => {
      const stale = this.stale[step]!;
      for (let row = 0; row < stale.length; row += 1) {
        if (stale[row] === 0) continue;
        stale[row] = 0;
        table.clear(row);
        if (step === 0) for (const entry of this.inOrder(row)) entry.addTo(table, row);
        else for (let part = 0; part < FAN; part += 1) table.takeRow(row, this.sums[step - 1]!, row * FAN + part);
      }
    });
    return this.sums[STEPS]!.cases(0, known);
  }
}
