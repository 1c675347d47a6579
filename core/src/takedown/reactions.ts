import { BeamSystem, type BeamLoad } from '../beam';
import type { Beam } from '../building';
import { type Arrival } from './ledger';
import { shapeForce, shapeMoment } from './shape';

/** A place where a beam rests. */
interface Rest {
  readonly at: number;
  readonly fixed: boolean;
}

/**
 * Where the lever gives the reactions: two supports, apart by at least a millimetre and on the beam, neither of which is fixed. Null elsewhere.
 * `wholeSpan` says that nothing overhangs, to a millimetre.
 */
export function leverOf(supports: readonly Rest[], length: number): { a: number; b: number; wholeSpan: boolean } | null {
  if (supports.length !== 2 || length <= 0 || supports[0]!.fixed || supports[1]!.fixed) return null;
  const [a, b] = [supports[0]!.at, supports[1]!.at];
  if (a > length + 1e-6 || b > length + 1e-6 || Math.abs(b - a) < 1) return null;
  return { a, b, wholeSpan: a <= 1 && b >= length - 1 };
}

/** Reactions at every support under one unit of each arrival: two supports by the lever, more by the beam solver. */
export function unitReactions(
  supports: readonly Rest[],
  { hinges, stretches }: Pick<Beam, 'hinges' | 'stretches'>,
  length: number,
  arrivals: readonly Pick<Arrival, 'shape'>[],
): (readonly number[])[] {
  const lever = hinges.length === 0 ? leverOf(supports, length) : null;
  if (lever) {
    const { a, b } = lever;
    return arrivals.map(({ shape }) => {
      const force = shapeForce(shape);
      const second = (shapeMoment(shape) - force * a) / (b - a);
      return [force - second, second];
    });
  }
  const system = new BeamSystem({ length, EI: 1e13, supports: supports.map(({ at, fixed }) => ({ at, fixed })), hinges, stretches });
  return arrivals.map(({ shape }) => {
    const load: BeamLoad =
      shape.type === 'point'
        ? { type: 'point', at: shape.at, force: 1 }
        : { type: 'distributed', from: shape.from, to: shape.to, start: shape.start, end: shape.end };
    return system.solve([load]).reactions.map((reaction) => reaction.force);
  });
}
