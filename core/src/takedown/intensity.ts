import { areaLoads, type BuildUp } from '../load';
import { addInto, type ByCase } from './ledger';

const intensities = new WeakMap<BuildUp, Map<number, ByCase>>();

/** Load of a build-up by case, N/mm2 on plan; made once for each build-up and pitch. */
export function intensityOf(buildUp: BuildUp, pitch: number): ByCase {
  let known = intensities.get(buildUp);
  if (!known) intensities.set(buildUp, (known = new Map()));
  let byCase = known.get(pitch);
  if (byCase) return byCase;
  const sum: Record<string, number> = {};
  for (const part of areaLoads(buildUp, pitch)) addInto(sum, { [part.loadCase.id]: part.intensity });
  known.set(pitch, (byCase = sum));
  return byCase;
}
