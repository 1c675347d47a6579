import type { BeamSolution, Effect } from '../beam';
import type { LoadPart } from './parts';

/** An effect at a place: at a support or a force the value just left or just right of it. */
export interface Probe {
  readonly effect: Effect;
  readonly at: number;
  readonly side: -1 | 1;
}

/** Places in a span at which effects are looked at, as parts of it: of moments closer to its ends, where they change their sign. */
const MOMENTS = [0, 1 / 32, ...Array.from({ length: 15 }, (_, i) => (i + 1) / 16), 31 / 32, 1];
const DEFLECTIONS = Array.from({ length: 17 }, (_, i) => i / 16);
const SHEARS = [0, 1 / 4, 1 / 2, 3 / 4, 1];

/**
 * Effects by which the loadings of a beam are picked. Influence lines change their sign from span to span and, near supports, within a span; these places,
 * and those under forces, hold all their patterns but those of places between two of them, which are no worse by more than a few hundredths of the largest.
 */
export function probesOf(
  spans: readonly { readonly from: number; readonly to: number }[],
  parts: readonly LoadPart[],
  picked: 'strength' | 'deflection',
  hinges: readonly number[] = [],
): Probe[] {
  const probes: Probe[] = [];
  for (const { from, to } of spans) {
    const at = (part: number) => from + (to - from) * part;
    if (picked === 'deflection') {
      // an overhang sags most at its tip
      for (const part of DEFLECTIONS) probes.push({ effect: 'deflection', at: at(part), side: 1 });
      continue;
    }
    for (const part of MOMENTS) probes.push({ effect: 'moment', at: at(part), side: part === 1 ? -1 : 1 });
    for (const part of SHEARS) probes.push({ effect: 'shear', at: at(part), side: part === 1 ? -1 : 1 });
  }
  if (picked === 'deflection') return [...probes, ...hinges.map((at): Probe => ({ effect: 'deflection', at, side: 1 }))];
  // shear is largest where a load begins or ends, moment under a force
  const shapes = parts.flatMap(({ loads }) => loads.map(({ shape }) => shape));
  for (const at of new Set(shapes.flatMap((shape) => (shape.type === 'point' ? [shape.at] : [shape.from, shape.to]))))
    probes.push({ effect: 'shear', at, side: -1 }, { effect: 'shear', at, side: 1 });
  for (const at of new Set(shapes.flatMap((shape) => (shape.type === 'point' ? [shape.at] : []))))
    probes.push({ effect: 'moment', at, side: 1 });
  return probes;
}

export const valuesAt = (solution: BeamSolution, probes: readonly Probe[]): number[] =>
  probes.map(({ effect, at, side }) => solution.at(effect, at, side));
