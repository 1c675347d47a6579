import type { Effect, Extreme, Extremes, Piece, Reaction } from './model';
import { evaluate, rootsBetween } from './polynomial';

const ORDER_DOWN: Record<Effect, keyof Pick<Piece, 'shear' | 'moment' | 'slope'> | 'load'> = {
  shear: 'load',
  moment: 'shear',
  deflection: 'slope',
};

/** What a beam does under one set of loads: exact, as polynomials. */
export class BeamSolution {
  constructor(
    readonly length: number,
    /** In the order of the beam's supports. */
    readonly reactions: readonly Reaction[],
    readonly pieces: readonly Piece[],
  ) {}

  /** Value of an effect at x; at a break the value just left (`side` -1) or right of it. */
  at(effect: Effect | 'slope', x: number, side: -1 | 1 = 1): number {
    const { pieces } = this;
    let found = pieces[0]!;
    for (const piece of pieces) if (piece.from < x || (side > 0 && piece.from <= x)) found = piece;
    return evaluate(found[effect], Math.min(x, found.to) - found.from);
  }

  /** The largest and the smallest value of an effect over [from, to]: exact, at breaks and at roots of the next lower effect. */
  extremes(effect: Effect, from = 0, to = this.length): Extremes {
    let max: Extreme = { value: -Infinity, at: from };
    let min: Extreme = { value: Infinity, at: from };
    for (const piece of this.pieces) {
      if (piece.to < from || piece.from > to) continue;
      const [a, b] = [Math.max(0, from - piece.from), Math.min(piece.to, to) - piece.from];
      const lower = ORDER_DOWN[effect];
      const turning = lower === 'load' ? [piece.shear[1]!, 2 * piece.shear[2]!] : piece[lower];
      for (const x of [a, ...rootsBetween(turning, a, b), b]) {
        const value = evaluate(piece[effect], x);
        if (value > max.value) max = { value, at: piece.from + x };
        if (value < min.value) min = { value, at: piece.from + x };
      }
    }
    return { max, min };
  }

  /**
   * The same with deflections measured from the line through the sunk supports, which goes on straight over the ends.
   * @param places of the supports, mm
   * @param sunk how far each is sunk, mm
   */
  fromSunkLine(places: readonly number[], sunk: readonly number[]): BeamSolution {
    const points = places.map((at, i) => ({ at, sunk: sunk[i]! })).sort((a, b) => a.at - b.at);
    const pieces = this.pieces.map((piece): Piece => {
      const middle = (piece.from + piece.to) / 2;
      const next = Math.max(
        1,
        points.findIndex(({ at }, i) => i === points.length - 1 || at > middle),
      );
      const [a, b] = [points[next - 1]!, points[next] ?? points[next - 1]!];
      const fall = b.at > a.at ? (b.sunk - a.sunk) / (b.at - a.at) : 0;
      const [v0 = 0, v1 = 0, ...rest] = piece.deflection;
      const [s0 = 0, ...more] = piece.slope;
      return {
        ...piece,
        deflection: [v0 - a.sunk - fall * (piece.from - a.at), v1 - fall, ...rest],
        slope: [s0 - fall, ...more],
      };
    });
    return new BeamSolution(this.length, this.reactions, pieces);
  }

  /** Places where the moment changes sign, ascending: the ends of hogging zones. */
  contraflexures(): number[] {
    const found: number[] = [];
    for (const piece of this.pieces)
      for (const x of rootsBetween(piece.moment, 0, piece.to - piece.from))
        if (x > 0 && piece.from + x < this.length) found.push(piece.from + x);
    return [...new Set(found)].sort((a, b) => a - b);
  }
}
