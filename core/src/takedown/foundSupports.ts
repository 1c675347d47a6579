import type { Beam, Building } from '../building';
import type { Takedown } from './ledger';
import { sameBearing } from './same';
import type { Bearer } from './support/found';

/** The building with the supports that were found standing where the named ones stood: what design and drawings read. */
export function withFoundSupports(building: Building, takedown: Pick<Takedown, 'bearers'>): Building {
  const beams = new Map<string, Beam>();
  for (const [id, beam] of building.beams)
    beams.set(id, beam.supportsFound ? placed(beam, (takedown.bearers.get(id) ?? []) as readonly Bearer[]) : beam);
  return { ...building, beams };
}

const placedBeams = new WeakMap<Beam, { bearers: readonly Bearer[]; beam: Beam }>();

function placed(beam: Beam, bearers: readonly Bearer[]): Beam {
  const known = placedBeams.get(beam);
  if (known && sameBearing(known.bearers, bearers)) return known.beam;
  const made = { ...beam, supports: bearers.map(({ at, by, holdsDown }) => ({ at, by, holdsDown })) };
  placedBeams.set(beam, { bearers, beam: made });
  return made;
}
