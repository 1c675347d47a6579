import { planLength, type PlanPoint } from '../building';
import { CASE_IDS, caseFromId } from '../load';
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
/** Nothing, for as many entries as a book can begin with; numbers that begin as fractions are kept as plain numbers by the machine. */
const ROOM: readonly number[] = CASE_IDS.flatMap(() => [0.5, 0.5, 0.5, 0.5]).map((half) => half - half);

/** Values of cases, in their order, and which cases those are. */
type Values = Pick<Carried, 'mask' | 'values'>;

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

  put(column: Column, { mask, values }: Values, force: number, x: number, y: number): void {
    if (force === 0 && x === 0 && y === 0) return;
    // most books have one column: their list is made as long as it has to be
    this.entries ??= ROOM.slice(0, 4 * values.length);
    const { entries } = this;
    let n = 0;
    for (let rest = mask; rest !== 0; rest &= rest - 1) {
      const place = (31 - Math.clz32(rest & -rest)) * WIDTH + COLUMNS[column] * 3;
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
      n += 1;
    }
  }
}

const ROW = CASE_IDS.length * WIDTH;

/** Sums of books, one to a row: for each case twelve numbers, three of each column. */
export class BalanceTable {
  private readonly sums: Float64Array;
  /** Which cases each row has met: bit n for the nth. */
  private readonly met: Int32Array;

  constructor(rows: number) {
    this.sums = new Float64Array(rows * ROW);
    this.met = new Int32Array(rows);
  }

  clear(row: number): void {
    if (this.met[row] !== 0) this.sums.fill(0, row * ROW, (row + 1) * ROW);
    this.met[row] = 0;
  }

  take(row: number, entries: NonNullable<BalanceBook>): void {
    const { sums } = this;
    for (let i = 0; i < entries.length; i += 4) {
      const place = entries[i]!;
      const at = row * ROW + place;
      this.met[row]! |= 1 << ((place / WIDTH) | 0);
      sums[at]! += entries[i + 1]!;
      sums[at + 1]! += entries[i + 2]!;
      sums[at + 2]! += entries[i + 3]!;
    }
  }

  /** Adds a row of another table. */
  takeRow(row: number, other: BalanceTable, from: number): void {
    const met = other.met[from]!;
    this.met[row]! |= met;
    for (let n = 0, rest = met; rest !== 0; n += WIDTH, rest >>= 1) {
      if ((rest & 1) === 0) continue;
      const [to, source] = [row * ROW + n, from * ROW + n];
      for (let i = 0; i < WIDTH; i += 1) this.sums[to + i]! += other.sums[source + i]!;
    }
  }

  cases(row: number): CaseBalance[] {
    const lines: CaseBalance[] = [];
    CASE_IDS.forEach((id, n) => {
      if ((this.met[row]! & (1 << n)) === 0) return;
      const at = (i: number) => this.sums[row * ROW + n * WIDTH + i]!;
      const of = (column: Column) => line(at(COLUMNS[column] * 3), at(COLUMNS[column] * 3 + 1), at(COLUMNS[column] * 3 + 2));
      const gap = (i: number) => at(i) - at(3 + i) - at(6 + i) - at(9 + i);
      lines.push({
        loadCase: caseFromId(id),
        applied: of('applied'),
        delivered: of('delivered'),
        lost: of('lost'),
        offsets: of('offsets'),
        gap: line(gap(0), gap(1), gap(2)),
      });
    });
    return lines;
  }
}

function line(force: number, x: number, y: number): BalanceLine {
  return { force, aboutX: y, aboutY: x };
}

/** True where a case closes in moment about an axis: what is left is rounding of sums about a far origin. */
export function isClosedMoment(line: CaseBalance, axis: 'aboutX' | 'aboutY'): boolean {
  const size = [line.applied, line.delivered, line.lost, line.offsets].reduce((sum, part) => sum + Math.abs(part[axis]), 0);
  return Math.abs(line.gap[axis]) <= 1e-9 * size + 1;
}
