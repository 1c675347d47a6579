import { BEAM_INPUTS, emptyOf } from '../input';
import type { Building } from './building';
import { differenceOf, noteDifference } from './difference';
import type { Beam, Truss } from './item';
import { patched } from './readMap';

type Drawn = Pick<Building, 'beams' | 'trusses'>;

/** What a truss has not, as the simple beam as which it is taken down. */
const NO_BEAM = {
  material: 'loadOnly',
  section: null,
  grade: null,
  restraint: 'supports',
  restraintPoints: [],
  topPoints: [],
  bottomPoints: [],
  loadHeight: 'centre',
  ...emptyOf(BEAM_INPUTS),
  stiffBearing: 0,
  seat: null,
  serves: 'floor',
  precamber: 0,
  locked: false,
} as const satisfies Omit<Beam, keyof Truss>;

const known = new WeakMap<Truss, Beam>();

/** The simple beam as which a truss is taken down: the same one as long as the truss is. */
export function beamOf(truss: Truss): Beam {
  let beam = known.get(truss);
  if (!beam) known.set(truss, (beam = { ...NO_BEAM, ...truss } as Beam));
  return beam;
}

/** Beams and trusses in one map again and again as they are edited; where there is no truss it is the map of the beams itself. */
export class SpanMap {
  private last: (Drawn & { readonly spans: Building['beams'] }) | null = null;

  of({ beams, trusses }: Drawn): Building['beams'] {
    const { last } = this;
    if (last && last.beams === beams && last.trusses === trusses) return last.spans;
    const spans = trusses.size === 0 ? beams : this.joined({ beams, trusses });
    this.last = { beams, trusses, spans };
    return spans;
  }

  private joined({ beams, trusses }: Drawn): Building['beams'] {
    const { last } = this;
    const edited = (before: ReadonlyMap<string, unknown>, now: ReadonlyMap<string, unknown>) =>
      before === now ? [] : differenceOf(before, now);
    const ids = last && last.trusses.size > 0 ? [edited(last.beams, beams), edited(last.trusses, trusses)] : [null];
    if (!last || ids.includes(null)) return new Map([...beams, ...[...trusses].map(([id, truss]) => [id, beamOf(truss)] as const)]);
    const changed = ids.flatMap((list) => list!);
    const bodyOf = (id: string): Beam | null => {
      const truss = trusses.get(id);
      return truss ? beamOf(truss) : (beams.get(id) ?? null);
    };
    const spans = patched(
      last.spans,
      changed.map((id): [string, Beam | null] => [id, bodyOf(id)]),
    );
    noteDifference(spans, last.spans, changed);
    return spans;
  }
}
