import { differenceOf, noteDifference, type Beam, type Building } from '../building';
import type { Takedown } from './ledger';
import { sameBearing } from './same';
import type { Bearer } from './support/found';

/** The building with the supports that were found standing where the named ones stood: what design and drawings read. */
export function withFoundSupports(building: Building, takedown: Pick<Takedown, 'bearers'>): Building {
  return new SupportPlacer().place(building, takedown, null);
}

/** Puts found supports into a building again and again as it is edited: where nothing changed its beams stay the very same map. */
export class SupportPlacer {
  private last: { readonly drawn: Building['beams']; readonly placed: Building['beams'] } | null = null;

  /** @param changed members whose bearers may be others than the last time; null: all */
  place(building: Building, { bearers }: Pick<Takedown, 'bearers'>, changed: Iterable<string> | null): Building {
    const { beams: drawn } = building;
    const placed = (beam: Beam, id: string) =>
      beam.supportsFound ? withSupports(beam, (bearers.get(id) ?? []) as readonly Bearer[]) : beam;
    const { last } = this;
    const edited = last && changed ? (last.drawn === drawn ? [] : differenceOf(last.drawn, drawn)) : null;
    if (!last || !changed || !edited) {
      const beams = new Map<string, Beam>();
      drawn.forEach((beam, id) => beams.set(id, placed(beam, id)));
      this.last = { drawn, placed: beams };
      return { ...building, beams };
    }
    const others = new Map<string, Beam | undefined>();
    for (const list of [edited, changed])
      for (const id of list) {
        const beam = drawn.get(id);
        const now = beam && placed(beam, id);
        if (now !== last.placed.get(id)) others.set(id, now);
      }
    let beams = last.placed;
    if (others.size > 0) {
      const next = new Map(last.placed);
      for (const [id, beam] of others)
        if (beam) next.set(id, beam);
        else next.delete(id);
      noteDifference(next, last.placed, [...others.keys()]);
      beams = next;
    }
    this.last = { drawn, placed: beams };
    return { ...building, beams };
  }
}

const known = new WeakMap<Beam, { bearers: readonly Bearer[]; beam: Beam }>();

function withSupports(beam: Beam, bearers: readonly Bearer[]): Beam {
  const made = known.get(beam);
  if (made && (made.bearers === bearers || sameBearing(made.bearers, bearers))) return made.beam;
  const placed = { ...beam, supports: bearers.map(({ rule: _, ...support }) => support) };
  known.set(beam, { bearers, beam: placed });
  return placed;
}
