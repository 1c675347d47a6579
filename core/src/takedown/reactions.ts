import { BeamSystem, type BeamLoad } from '../beam';
import type { Beam } from '../building';
import { shapeForce, shapeMoment, type ArrivalShape } from './shape';
import type { Bearer } from './support/found';

/** How a beam rests at a place. */
type Rest = Pick<Bearer, 'at' | 'fixed' | 'spring'>;

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

/** What is asked of the reactions: one unit of a shape, or how far a support sinks, mm. */
export type Asked = { readonly shape: ArrivalShape } | { readonly sinks: number; readonly by: number };

/**
 * Reactions at every support under one unit of each arrival: two supports by the lever, more by the beam solver.
 * @param EI Nmm2; null: not known, and nothing yields
 */
export function unitReactions(
  supports: readonly Rest[],
  { hinges, stretches }: Pick<Beam, 'hinges' | 'stretches'>,
  length: number,
  arrivals: readonly Asked[],
  EI: number | null,
): (readonly number[])[] {
  const lever = hinges.length === 0 ? leverOf(supports, length) : null;
  if (lever) {
    const { a, b } = lever;
    return arrivals.map((arrival) => {
      // what turns freely on two supports feels nothing of it
      if ('sinks' in arrival) return supports.map(() => 0);
      const { shape } = arrival;
      const force = shapeForce(shape);
      const second = (shapeMoment(shape) - force * a) / (b - a);
      return [force - second, second];
    });
  }
  const rests = supports.map(({ at, fixed, spring }) => ({ at, fixed, spring: EI === null ? undefined : (spring ?? undefined) }));
  const system = new BeamSystem({ length, EI: EI ?? 1e13, supports: rests, hinges, stretches });
  const nothing = supports.map(() => 0);
  return arrivals.map((arrival) => {
    if ('sinks' in arrival) {
      if (EI === null) return nothing;
      const sunk = supports.map((_, j) => (j === arrival.sinks ? arrival.by : 0));
      return system.solve([], sunk).reactions.map(({ force }) => force);
    }
    const { shape } = arrival;
    const load: BeamLoad =
      shape.type === 'point'
        ? { type: 'point', at: shape.at, force: 1 }
        : { type: 'distributed', from: shape.from, to: shape.to, start: shape.start, end: shape.end };
    return system.solve([load]).reactions.map((reaction) => reaction.force);
  });
}
