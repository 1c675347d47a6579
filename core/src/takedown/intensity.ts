import { areaLoads, type BuildUp } from '../load';
import { carriedOf, type Carried } from './carried';
import { addInto } from './ledger';

const intensities = new WeakMap<BuildUp, Map<number, Carried>>();

/** Load of a build-up by case, N/mm2 on plan; made once for each build-up and pitch. */
export function intensityOf(buildUp: BuildUp, pitch: number): Carried {
  let known = intensities.get(buildUp);
  if (!known) intensities.set(buildUp, (known = new Map()));
  let carried = known.get(pitch);
  if (carried) return carried;
  const sum: Record<string, number> = {};
  for (const part of areaLoads(buildUp, pitch)) addInto(sum, { [part.caseId]: part.intensity });
  known.set(pitch, (carried = carriedOf(sum)));
  return carried;
}

const layers = new WeakMap<BuildUp, Carried>();

/** Weight of the layers of a build-up by case, N/mm2 of its face: of a wall, on which nothing lies. */
export function weightOfLayers(buildUp: BuildUp): Carried {
  let known = layers.get(buildUp);
  if (!known) layers.set(buildUp, (known = intensityOf({ ...buildUp, variable: [] }, 0)));
  return known;
}
