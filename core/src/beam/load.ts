/** Loads on a line beam. Positions in mm from the left end; forces in N, downward positive; moments in Nmm, clockwise positive. */

export interface PointLoad {
  readonly type: 'point';
  readonly at: number;
  readonly force: number;
}

/** Linear between `start` at `from` and `end` at `to`, N/mm. */
export interface DistributedLoad {
  readonly type: 'distributed';
  readonly from: number;
  readonly to: number;
  readonly start: number;
  readonly end: number;
}

export interface MomentLoad {
  readonly type: 'moment';
  readonly at: number;
  readonly moment: number;
}

export type BeamLoad = PointLoad | DistributedLoad | MomentLoad;

/** Total force of a load, N. */
export function totalForce(load: BeamLoad): number {
  if (load.type === 'point') return load.force;
  return load.type === 'distributed' ? ((load.start + load.end) / 2) * (load.to - load.from) : 0;
}

/** First moment of a load about the left end, Nmm (force times position; an applied moment counts as clockwise). */
export function firstMoment(load: BeamLoad): number {
  if (load.type === 'point') return load.force * load.at;
  if (load.type === 'moment') return load.moment;
  const length = load.to - load.from;
  return load.start * length * (load.from + length / 2) + ((load.end - load.start) / 2) * length * (load.from + (2 * length) / 3);
}

/** The same load times a factor. */
export function scaleLoad<L extends BeamLoad>(load: L, factor: number): L {
  if (load.type === 'point') return { ...load, force: load.force * factor };
  if (load.type === 'moment') return { ...load, moment: load.moment * factor };
  return { ...load, start: load.start * factor, end: load.end * factor };
}
