import { planLength, type PlanPoint } from '../building';
import { compareCases, caseFromId } from '../load';
import { type BalanceLine, type ByCase, type CaseBalance } from './ledger';
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

/** The same on a line whose direction is at hand. */
export function resultantOn(line: { readonly from: PlanPoint; readonly dx: number; readonly dy: number }, shape: ArrivalShape): Resultant {
  const force = shapeForce(shape);
  const moment = shapeMoment(shape);
  return { force, x: force * line.from.x + moment * line.dx, y: force * line.from.y + moment * line.dy };
}

export function resultantAt(point: PlanPoint, force = 1): Resultant {
  return { force, x: force * point.x, y: force * point.y };
}

const COLUMNS = { applied: 0, delivered: 1, lost: 2, offsets: 3 } as const;
type Column = keyof typeof COLUMNS;

/**
 * What one member or panel adds to the balance: per case, what is applied, delivered, lost and shifted, in force and in moment about both
 * plan axes. There are tens of thousands of books with a few entries each: they are kept as flat lists.
 */
export class BalanceBook {
  readonly ids: string[] = [];
  readonly columns: number[] = [];
  /** Three numbers for each entry: force, force times x, force times y. */
  readonly values: number[] = [];

  add(column: Column, byCase: ByCase, { force, x, y }: Resultant): void {
    if (force === 0 && x === 0 && y === 0) return;
    const into = COLUMNS[column];
    for (const id in byCase) {
      const at = this.placeOf(id, into);
      const value = byCase[id]!;
      this.values[at]! += value * force;
      this.values[at + 1]! += value * x;
      this.values[at + 2]! += value * y;
    }
  }

  private placeOf(id: string, column: number): number {
    const { ids, columns, values } = this;
    for (let i = 0; i < ids.length; i += 1) if (columns[i] === column && ids[i] === id) return i * 3;
    ids.push(id);
    columns.push(column);
    values.push(0, 0, 0);
    return values.length - 3;
  }

  /** Load changes its line of action from one resultant to another of equal force. */
  shift(byCase: ByCase, from: Resultant, to: Resultant): void {
    this.add('offsets', byCase, { force: from.force - to.force, x: from.x - to.x, y: from.y - to.y });
  }
}

/** Sums of books: for each case twelve numbers, three of each column. */
export class BalanceSum {
  private readonly ids: string[] = [];
  private readonly values: number[] = [];

  private placeOf(id: string): number {
    const known = this.ids.indexOf(id);
    if (known >= 0) return known * 12;
    this.ids.push(id);
    for (let i = 0; i < 12; i += 1) this.values.push(0);
    return this.values.length - 12;
  }

  take({ ids, columns, values }: BalanceBook): void {
    for (let n = 0; n < ids.length; n += 1) {
      const at = this.placeOf(ids[n]!) + columns[n]! * 3;
      for (let i = 0; i < 3; i += 1) this.values[at + i]! += values[n * 3 + i]!;
    }
  }

  takeSum({ ids, values }: BalanceSum): void {
    for (let n = 0; n < ids.length; n += 1) {
      const at = this.placeOf(ids[n]!);
      for (let i = 0; i < 12; i += 1) this.values[at + i]! += values[n * 12 + i]!;
    }
  }

  cases(): CaseBalance[] {
    const line = (force: number, x: number, y: number): BalanceLine => ({ force, aboutX: y, aboutY: x });
    return this.ids
      .map((id, n) => {
        const book = this.values.slice(n * 12, n * 12 + 12);
        const of = (column: Column) => {
          const at = COLUMNS[column] * 3;
          return line(book[at]!, book[at + 1]!, book[at + 2]!);
        };
        const gap = (i: number) => book[i]! - book[3 + i]! - book[6 + i]! - book[9 + i]!;
        return {
          loadCase: caseFromId(id),
          applied: of('applied'),
          delivered: of('delivered'),
          lost: of('lost'),
          offsets: of('offsets'),
          gap: line(gap(0), gap(1), gap(2)),
        };
      })
      .sort((a, b) => compareCases(a.loadCase, b.loadCase));
  }
}
