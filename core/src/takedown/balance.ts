import { planLength, type PlanPoint } from '../building';
import { compareCases, caseFromId } from '../load';
import { shapeForce, shapeMoment, type ArrivalShape, type BalanceLine, type ByCase, type CaseBalance } from './ledger';

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

export function resultantAt(point: PlanPoint, force = 1): Resultant {
  return { force, x: force * point.x, y: force * point.y };
}

type Column = 'applied' | 'delivered' | 'lost' | 'offsets';

/** Keeps, per case, what is applied, delivered, lost and shifted, in force and in moment about both plan axes. */
export class BalanceBook {
  private readonly books = new Map<string, Record<Column, [force: number, x: number, y: number]>>();

  add(column: Column, byCase: ByCase, resultant: Resultant, factor = 1): void {
    for (const id in byCase) {
      let book = this.books.get(id);
      if (!book) this.books.set(id, (book = { applied: [0, 0, 0], delivered: [0, 0, 0], lost: [0, 0, 0], offsets: [0, 0, 0] }));
      const value = byCase[id]! * factor;
      const entry = book[column];
      entry[0] += value * resultant.force;
      entry[1] += value * resultant.x;
      entry[2] += value * resultant.y;
    }
  }

  /** Load changes its line of action from one resultant to another of equal force. */
  shift(byCase: ByCase, from: Resultant, to: Resultant): void {
    this.add('offsets', byCase, { force: from.force - to.force, x: from.x - to.x, y: from.y - to.y });
  }

  cases(): CaseBalance[] {
    const line = ([force, x, y]: readonly [number, number, number]): BalanceLine => ({ force, aboutX: y, aboutY: x });
    return [...this.books]
      .map(([id, book]) => {
        const gap = [0, 1, 2].map((i) => book.applied[i]! - book.delivered[i]! - book.lost[i]! - book.offsets[i]!) as [
          number,
          number,
          number,
        ];
        return {
          loadCase: caseFromId(id),
          applied: line(book.applied),
          delivered: line(book.delivered),
          lost: line(book.lost),
          offsets: line(book.offsets),
          gap: line(gap),
        };
      })
      .sort((a, b) => compareCases(a.loadCase, b.loadCase));
  }
}
