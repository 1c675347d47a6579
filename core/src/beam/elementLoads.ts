import { BadInput } from '../error';
import { firstMoment, totalForce, type BeamLoad, type DistributedLoad } from './load';

/** Whether two places on a beam are one, to rounding. */
export const near = (a: number, b: number) => Math.abs(a - b) < 1e-9 * Math.max(1, Math.abs(a), Math.abs(b));

/** @throws BadInput for a load off the beam, one that ends before it starts, or one that is no number */
export function requireOnBeam(load: BeamLoad, length: number, index: number): void {
  const slack = 1e-9 * length;
  const off = (x: number) => !(x >= -slack && x <= length + slack);
  const [from, to] = load.type === 'distributed' ? [load.from, load.to] : [load.at, load.at];
  if (off(from) || off(to))
    throw new BadInput(`load ${index + 1} lies off the beam, which is ${+(length / 1000).toFixed(3)} m long`, `loads.${index}`);
  if (from > to) throw new BadInput(`load ${index + 1} ends before it starts`, `loads.${index}`);
  const values = load.type === 'distributed' ? [load.start, load.end] : [load.type === 'point' ? load.force : load.moment];
  if (!values.every(Number.isFinite)) throw new BadInput(`load ${index + 1} is not a finite number`, `loads.${index}`);
}

export interface ElementLoads {
  readonly length: number;
  /** Positions from the element's left end. */
  readonly loads: readonly BeamLoad[];
  readonly total: number;
  /** Sum of force times distance to the right end, less clockwise moments: what the left shear must balance. */
  readonly momentAboutRight: number;
}

/** The part of each load between two places. A point load on a node belongs to the element at its right, but for the last. */
export function loadsWithin(loads: readonly BeamLoad[], from: number, to: number, isLast: boolean): ElementLoads {
  const inside: BeamLoad[] = [];
  let [total, momentAboutRight] = [0, 0];
  const L = to - from;
  for (const load of loads) {
    if (load.type === 'distributed') {
      const [a, b] = [Math.max(load.from, from), Math.min(load.to, to)];
      if (b <= a) continue;
      const part = clip(load, a, b);
      inside.push({ ...part, from: a - from, to: b - from });
      total += totalForce(part);
      momentAboutRight += totalForce(part) * to - firstMoment(part);
    } else if (near(load.at, to) ? isLast : (load.at >= from || near(load.at, from)) && load.at < to) {
      const at = Math.min(L, Math.max(0, load.at - from));
      inside.push({ ...load, at });
      if (load.type === 'point') {
        total += load.force;
        momentAboutRight += load.force * (L - at);
      } else momentAboutRight -= load.moment;
    }
  }
  return { length: L, loads: inside, total, momentAboutRight };
}

const GAUSS: readonly (readonly [number, number])[] = [
  [-Math.sqrt(0.6), 5 / 9],
  [0, 8 / 9],
  [Math.sqrt(0.6), 5 / 9],
];

/** Work-equivalent forces of the loads on the four end displacements, by the cubic shape functions: exact for line beams. */
export function fixedEndForces({ length: L, loads }: ElementLoads): [number, number, number, number] {
  const forces: [number, number, number, number] = [0, 0, 0, 0];
  const addPoint = (x: number, P: number) => {
    const s = x / L;
    forces[0] += P * (1 - 3 * s ** 2 + 2 * s ** 3);
    forces[1] += P * L * (s - 2 * s ** 2 + s ** 3);
    forces[2] += P * (3 * s ** 2 - 2 * s ** 3);
    forces[3] += P * L * (s ** 3 - s ** 2);
  };
  for (const load of loads) {
    if (load.type === 'point') addPoint(load.at, load.force);
    else if (load.type === 'moment') {
      const s = load.at / L;
      forces[0] += (load.moment / L) * (-6 * s + 6 * s ** 2);
      forces[1] += load.moment * (1 - 4 * s + 3 * s ** 2);
      forces[2] += (load.moment / L) * (6 * s - 6 * s ** 2);
      forces[3] += load.moment * (3 * s ** 2 - 2 * s);
    } else {
      const half = (load.to - load.from) / 2;
      for (const [node, weight] of GAUSS) {
        const x = load.from + half * (1 + node);
        addPoint(x, weight * half * (load.start + ((load.end - load.start) * (1 + node)) / 2));
      }
    }
  }
  return forces;
}

/** Force that an overhang puts on its support, and the hogging moment there. side -1: what lies left of `at`; 1: right. */
export function overhang(loads: readonly BeamLoad[], at: number, side: -1 | 1): { force: number; hogging: number } {
  let [force, hogging] = [0, 0];
  for (const load of overhanging(loads, at, side)) {
    force += totalForce(load);
    hogging += side * (firstMoment(load) - totalForce(load) * at);
  }
  return { force, hogging };
}

/** The loads, or the parts of loads, beyond a support. */
export function overhanging(loads: readonly BeamLoad[], at: number, side: -1 | 1): BeamLoad[] {
  const beyond: BeamLoad[] = [];
  for (const load of loads) {
    if (load.type !== 'distributed') {
      if (!near(load.at, at) && load.at > at === side > 0) beyond.push(load);
      continue;
    }
    const [from, to] = side < 0 ? [load.from, Math.min(load.to, at)] : [Math.max(load.from, at), load.to];
    if (to > from) beyond.push(clip(load, from, to));
  }
  return beyond;
}

/** The part of a distributed load between two places on it. */
function clip(load: DistributedLoad, from: number, to: number): DistributedLoad {
  const rate = (load.end - load.start) / (load.to - load.from);
  return { type: 'distributed', from, to, start: load.start + rate * (from - load.from), end: load.start + rate * (to - load.from) };
}
