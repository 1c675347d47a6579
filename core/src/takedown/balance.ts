import { planLength, type PlanPoint } from '../building';
import { caseIn, compareCases, type LoadCases } from '../load';
import { caseIdAt, caseSetOf, NO_CASES, type CaseSet } from './caseSet';
import type { Carried } from './carried';
import type { BalanceLine, CaseBalance } from './ledger';
import { shapeForce, shapeMoment, type ArrivalShape } from './shape';

/** Force and first moments on plan of one unit of a shape: force, force times x, force times y. */
export interface Resultant {
  readonly force: number;
  readonly x: number;
  readonly y: number;
}

/** A member's line or point on plan. */
export type Place = { readonly from: PlanPoint; readonly to: PlanPoint } | { readonly at: PlanPoint };

export function resultantOf(place: Place, shape: ArrivalShape): Resultant {
  const force = shapeForce(shape);
  if ('at' in place) return { force, x: force * place.at.x, y: force * place.at.y };
  const length = planLength(place);
  const along = length === 0 ? 0 : shapeMoment(shape) / length;
  return {
    force,
    x: force * place.from.x + along * (place.to.x - place.from.x),
    y: force * place.from.y + along * (place.to.y - place.from.y),
  };
}

/** Columns of the balance, three numbers each: force, force times x, force times y. */
const COLUMNS = { applied: 0, delivered: 1, lost: 2, offsets: 3 } as const;
type Column = keyof typeof COLUMNS;
const WIDTH = 12;
/** Nothing, for so many entries; numbers that begin as fractions are kept as plain numbers by the machine. */
const ROOM: (readonly number[])[] = [];
const room = (entries: number): number[] =>
  (ROOM[entries] ??= Array.from({ length: 4 * entries }, () => 0.5).map((half) => half - half)).slice();

/** Values of cases, in their order, and which cases those are. */
type Values = Pick<Carried, 'cases' | 'values'>;

/**
 * What one member or panel adds to the balance: per case, what is applied, delivered, lost and shifted, in force and in moment about both
 * plan axes. There are tens of thousands of books with an entry or two each: a book is one flat list, four numbers to an entry, the first
 * of which is the place of its column among all. Null: nothing.
 */
export type BalanceBook = readonly number[] | null;

/** Writes a book. */
export class BookKeeper {
  private entries: number[] | null = null;
  /** How far the list is written. */
  private end = 0;

  get book(): BalanceBook {
    return this.entries;
  }

  add(column: Column, what: Values, resultant: Resultant): void {
    this.put(column, what, resultant.force, resultant.x, resultant.y);
  }

  /** Load changes its line of action from one point to another. */
  shift(what: Values, fromX: number, fromY: number, toX: number, toY: number): void {
    this.put('offsets', what, 0, fromX - toX, fromY - toY);
  }

  put(column: Column, { cases, values }: Values, force: number, x: number, y: number): void {
    if (force === 0 && x === 0 && y === 0) return;
    // most books have one column: their list is made as long as it has to be
    this.entries ??= room(values.length);
    const { entries } = this;
    const { numbers } = cases;
    for (let n = 0; n < numbers.length; n += 1) {
      const place = numbers[n]! * WIDTH + COLUMNS[column] * 3;
      let at = 0;
      while (at < this.end && entries[at] !== place) at += 4;
      if (at === this.end) {
        if (at === entries.length) entries.push(place, 0, 0, 0);
        else entries[at] = place;
        this.end += 4;
      }
      const value = values[n]!;
      entries[at + 1]! += value * force;
      entries[at + 2]! += value * x;
      entries[at + 3]! += value * y;
    }
  }
}

/** A row of the table: for each case that it ever met twelve numbers, three of each column, and whether it met the case since it was cleared. */
interface Row {
  cases: CaseSet;
  sums: Float64Array;
  met: Uint8Array;
}

/** Sums of books, one to a row. */
export class BalanceTable {
  private readonly rows: Row[];

  constructor(rows: number) {
    this.rows = Array.from({ length: rows }, () => ({ cases: NO_CASES, sums: new Float64Array(0), met: new Uint8Array(0) }));
  }

  clear(row: number): void {
    const { sums, met } = this.rows[row]!;
    sums.fill(0);
    met.fill(0);
  }

  take(row: number, entries: NonNullable<BalanceBook>): void {
    const into = this.rows[row]!;
    for (let i = 0; i < entries.length; i += 4) {
      const place = entries[i]!;
      const number = (place / WIDTH) | 0;
      let n = into.cases.placeOf(number);
      if (n === undefined) {
        widen(into, caseSetOf([caseIdAt(number)]));
        n = into.cases.placeOf(number)!;
      }
      const at = n * WIDTH + (place - number * WIDTH);
      const { sums } = into;
      into.met[n] = 1;
      sums[at]! += entries[i + 1]!;
      sums[at + 1]! += entries[i + 2]!;
      sums[at + 2]! += entries[i + 3]!;
    }
  }

  /** Adds a row of another table. */
  takeRow(row: number, other: BalanceTable, from: number): void {
    const into = this.rows[row]!;
    const { cases, sums: source, met: metThere } = other.rows[from]!;
    widen(into, cases);
    const { sums, met } = into;
    const places = into.cases.placesOf(cases);
    for (let n = 0; n < places.length; n += 1) {
      if (metThere[n] === 0) continue;
      const place = places[n]!;
      met[place] = 1;
      for (let i = 0; i < WIDTH; i += 1) sums[place * WIDTH + i]! += source[n * WIDTH + i]!;
    }
  }

  /** The cases that a row met, in the order of tables. */
  cases(row: number, known: LoadCases): CaseBalance[] {
    const { cases, sums, met } = this.rows[row]!;
    const lines = cases.ids.flatMap((id, n) => {
      if (met[n] === 0) return [];
      const at = (i: number) => sums[n * WIDTH + i]!;
      const of = (column: Column) => line(at(COLUMNS[column] * 3), at(COLUMNS[column] * 3 + 1), at(COLUMNS[column] * 3 + 2));
      const gap = (i: number) => at(i) - at(3 + i) - at(6 + i) - at(9 + i);
      return {
        loadCase: caseIn(known, id),
        applied: of('applied'),
        delivered: of('delivered'),
        lost: of('lost'),
        offsets: of('offsets'),
        gap: line(gap(0), gap(1), gap(2)),
      };
    });
    return lines.sort((a, b) => compareCases(a.loadCase, b.loadCase));
  }
}

/** Makes room in a row for cases. */
function widen(row: Row, cases: CaseSet): void {
  const all = row.cases.union(cases);
  if (all === row.cases) return;
  const [sums, met] = [new Float64Array(all.size * WIDTH), new Uint8Array(all.size)];
  all.placesOf(row.cases).forEach((place, n) => {
    sums.set(row.sums.subarray(n * WIDTH, (n + 1) * WIDTH), place * WIDTH);
    met[place] = row.met[n]!;
  });
  row.cases = all;
  row.sums = sums;
  row.met = met;
}

function line(force: number, x: number, y: number): BalanceLine {
  return { force, aboutX: y, aboutY: x };
}

/** True where a case closes in moment about an axis: what is left is rounding of sums about a far origin. */
export function isClosedMoment(line: CaseBalance, axis: 'aboutX' | 'aboutY'): boolean {
  const size = [line.applied, line.delivered, line.lost, line.offsets].reduce((sum, part) => sum + Math.abs(part[axis]), 0);
  return Math.abs(line.gap[axis]) <= 1e-9 * size + 1;
}
