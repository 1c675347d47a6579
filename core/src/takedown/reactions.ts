import { BeamSystem, type BeamLoad } from '../beam';
import { type Arrival } from './ledger';
import { shapeForce, shapeMoment } from './shape';

/** Reactions at every support under one unit of each arrival: two supports by the lever, more by the beam solver. */
export function unitReactions(
  supports: readonly { readonly at: number }[],
  hinges: readonly number[],
  length: number,
  arrivals: readonly Pick<Arrival, 'shape'>[],
): (readonly number[])[] {
  if (
    supports.length === 2 &&
    hinges.length === 0 &&
    length > 0 &&
    supports.every((s) => s.at <= length + 1e-6) &&
    Math.abs(supports[1]!.at - supports[0]!.at) >= 1
  ) {
    const [a, b] = [supports[0]!.at, supports[1]!.at];
    return arrivals.map(({ shape }) => {
      const force = shapeForce(shape);
      const second = (shapeMoment(shape) - force * a) / (b - a);
      return [force - second, second];
    });
  }
  const system = new BeamSystem({ length, EI: 1e13, supports: supports.map(({ at }) => ({ at })), hinges });
  return arrivals.map(({ shape }) => {
    const load: BeamLoad =
      shape.type === 'point'
        ? { type: 'point', at: shape.at, force: 1 }
        : { type: 'distributed', from: shape.from, to: shape.to, start: shape.start, end: shape.end };
    return system.solve([load]).reactions.map((reaction) => reaction.force);
  });
}
