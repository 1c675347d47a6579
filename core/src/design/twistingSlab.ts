import { planLength, pointAlong, type Building } from '../building';
import { shapeForce, shapeMoment, type Arrival, type MemberLedger, type Takedown } from '../takedown';
import { LEAST_OFFSET } from './neglectedOffset';

interface TwistingSlab {
  readonly mark: string;
  /** One of its arrivals: load for each unit of its area. */
  readonly arrival: Arrival;
  /** First moment of the cantilevering area about the beam, per unit of load, mm3. */
  readonly moment: number;
}

/** Slabs that cantilever from a beam: what their area lacks to be in equilibrium with the lines on which it lands. */
export function twistingSlabs(
  { beams, walls, panels }: Building,
  sharings: Takedown['panels'],
  { id, arrivals }: Pick<MemberLedger, 'id' | 'arrivals'>,
): TwistingSlab[] {
  const beam = beams.get(id);
  if (!beam) return [];
  const found = new Map<string, TwistingSlab>();
  for (const arrival of arrivals) {
    if (arrival.source.type !== 'panel' || found.has(arrival.source.panel)) continue;
    const { panel } = arrival.source;
    const body = panels.get(panel);
    const sharing = sharings.get(panel);
    if (!body?.cantilevers || !sharing) continue;
    let { x, y } = sharing.whole;
    for (const { member, shape } of sharing.shares) {
      const line = beams.get(member) ?? walls.get(member);
      if (!line) continue;
      const middle = pointAlong(line, shapeMoment(shape) / shapeForce(shape));
      x -= shapeForce(shape) * middle.x;
      y -= shapeForce(shape) * middle.y;
    }
    const length = planLength(beam);
    const across = length === 0 ? 0 : Math.abs((x * (beam.to.y - beam.from.y) - y * (beam.to.x - beam.from.x)) / length);
    if (across > LEAST_OFFSET * sharing.whole.area) found.set(panel, { mark: body.mark, arrival, moment: across });
  }
  return [...found.values()];
}
