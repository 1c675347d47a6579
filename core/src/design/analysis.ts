import { BeamSystem, lateralBucklingFactor, type BeamLoad, type BeamSolution } from '../beam';
import { planLength, type Beam } from '../building';
import { arrangementName, arrangements, caseFromId, combine, type Combination } from '../load';
import type { BeamActions, Segment } from '../standard';
import { piecesOn, spansBetween, type Arrival, type ArrivalShape, type ByCase } from '../takedown';

/** A beam ready to be solved for any combination of its arrivals. EI: Nmm2. */
export class BeamModel {
  readonly length: number;
  /** Overhangs and spans, in order. */
  readonly spans: readonly { readonly from: number; readonly to: number }[];
  private readonly system: BeamSystem;

  /** @throws BadInput or Unstable as the beam solver does */
  constructor(
    readonly beam: Beam,
    readonly arrivals: readonly Arrival[],
    EI: number,
  ) {
    this.length = planLength(beam);
    this.spans = spansBetween(
      beam.supports.map(({ at }) => at),
      this.length,
    );
    this.system = new BeamSystem({
      length: this.length,
      EI,
      supports: beam.supports.map(({ at }) => ({ at: Math.min(at, this.length) })),
      hinges: beam.hinges,
    });
  }

  /**
   * The loads of one combination, N and N/mm.
   * @param loaded spans on which free variable load lies; left out: on all
   */
  loads(combination: Combination, loaded?: readonly boolean[]): BeamLoad[] {
    const loads: BeamLoad[] = [];
    const add = (shape: ArrivalShape, factor: number) => {
      if (factor === 0) return;
      if (shape.type === 'point') loads.push({ type: 'point', at: Math.min(shape.at, this.length), force: factor });
      else
        loads.push({
          type: 'distributed',
          from: shape.from,
          to: Math.min(shape.to, this.length),
          start: shape.start * factor,
          end: shape.end * factor,
        });
    };
    for (const { shape, byCase } of this.arrivals) {
      const all = combine(byCase, combination);
      if (!loaded) {
        add(shape, all);
        continue;
      }
      const free = combine(freePart(byCase), combination);
      add(shape, all - free);
      if (free !== 0) for (const piece of piecesOn(this.spans, shape)) if (loaded[piece.span]) add(piece.shape, free);
    }
    return loads;
  }

  solve(combination: Combination, loaded?: readonly boolean[]): BeamSolution {
    return this.system.solve(this.loads(combination, loaded));
  }

  /**
   * The arrangements of variable load that have to be looked at; one alone for a beam that does not run on over a support, or that
   * bears none. Null when they are too many: then the worst of them is not known.
   */
  arrangements(): readonly (readonly boolean[] | undefined)[] | null {
    if (this.spans.length < 2 || !this.arrivals.some(({ byCase }) => Object.values(freePart(byCase)).some((value) => value !== 0)))
      return [undefined];
    const sets = arrangements(this.spans.length, this.beam.hinges.length > 0);
    return sets && sets.map((set) => (set.every(Boolean) ? undefined : set));
  }

  /** The combinations that differ in what this beam feels: of those that give it the same loads only the first stays. */
  distinct(combinations: readonly Combination[]): Combination[] {
    const cases = [...new Set(this.arrivals.flatMap((arrival) => Object.keys(arrival.byCase)))];
    const seen = new Set<string>();
    return combinations.filter((combination) => {
      const key = cases.map((id) => combination.factors[id] ?? 0).join();
      return seen.has(key) ? false : Boolean(seen.add(key));
    });
  }
}

/** Places where both flanges of a beam are held sideways: its supports, and the points that are named as restraints. */
function heldPlaces(beam: Beam, length: number): number[] {
  const points = beam.restraint === 'points' ? beam.restraintPoints.filter((at) => at <= length + 1e-6) : [];
  return [...new Set([...beam.supports.map((support) => support.at), ...points])].sort((a, b) => a - b);
}

/**
 * Segments in which the compression flange is free to move sideways. A floor holds the top flange along the beam: what is
 * left are the lengths in which the bottom flange is in compression, from held place to held place.
 */
export function unbracedSegments(beam: Beam, length: number, solution: BeamSolution): Segment[] {
  const held = heldPlaces(beam, length);
  const places = [...new Set([0, ...held, length])].filter((at) => at >= 0 && at <= length).sort((a, b) => a - b);
  const { max, min } = solution.extremes('moment');
  const nothing = 1e-9 * Math.max(Math.abs(max.value), Math.abs(min.value), 1);
  const segments: Segment[] = [];
  for (let i = 0; i + 1 < places.length; i += 1) {
    const [from, to] = [places[i]!, places[i + 1]!];
    if (to - from < 1) continue;
    const within = solution.extremes('moment', from, to);
    const sagging = beam.restraint === 'floor' ? 0 : within.max.value;
    const peak = Math.abs(within.min.value) > Math.abs(sagging) ? within.min.value : sagging;
    if (Math.abs(peak) <= nothing || (beam.restraint === 'floor' && peak >= -nothing)) continue;
    const isHeld = (at: number) => held.some((place) => Math.abs(place - at) < 1);
    const loadOnTop = beam.loadHeight === 'top' && beam.restraint !== 'floor';
    const freeTip = !isHeld(from) || !isHeld(to);
    const quarter = (n: number) => solution.at('moment', from + ((to - from) * n) / 4);
    segments.push({
      from,
      to,
      quarters: [quarter(1), quarter(2), quarter(3)],
      peak,
      ends: [solution.at('moment', from), solution.at('moment', to)],
      freeTip,
      loadOnTop,
      critical: freeTip || loadOnTop ? wholeBeam(beam, length, held, solution) : undefined,
      tensionFlangeHeld: beam.restraint === 'floor',
      largest: Math.max(within.max.value, -within.min.value),
    });
  }
  return segments;
}

/** Lateral-torsional buckling of the whole beam with its restraints, by section: what an overhang with a free tip is proved by. */
function wholeBeam(beam: Beam, length: number, held: readonly number[], solution: BeamSolution): Segment['critical'] {
  return (section, E, G) => {
    const { Iz, It, Iw, depth } = section.properties;
    return lateralBucklingFactor({
      length,
      EIz: E * Iz,
      GIt: G * It,
      EIw: E * Iw,
      moment: (x) => solution.at('moment', x),
      held,
      loadHeight: beam.loadHeight === 'top' ? depth / 2 : 0,
      heldAlong: beam.restraint === 'floor' ? depth / 2 : undefined,
    });
  };
}

/** The part of values that may be there on one span and not on the next: wind and earthquake come over the whole. */
function freePart(byCase: ByCase): Record<string, number> {
  const free: Record<string, number> = {};
  for (const id in byCase) {
    const { nature } = caseFromId(id);
    if (nature === 'imposed' || nature === 'roofImposed' || nature === 'snow') free[id] = byCase[id]!;
  }
  return free;
}

/** A combination with the arrangement of its variable load in its name. */
export function arranged(combination: Combination, loaded: readonly boolean[] | undefined): Combination {
  const name = loaded ? arrangementName(loaded) : '';
  return name ? { ...combination, name: `${combination.name}, ${name}` } : combination;
}

/** The actions of one combination on a beam, as a family's check wants them. */
export function beamActions(
  model: BeamModel,
  combination: Combination,
  loaded?: readonly boolean[],
): { actions: BeamActions; solution: BeamSolution } {
  const solution = model.solve(combination, loaded);
  const moment = solution.extremes('moment');
  const shear = solution.extremes('shear');
  const larger = (a: number, b: number) => (Math.abs(a) >= Math.abs(b) ? a : b);
  const actions: BeamActions = {
    basis: combination.basis,
    combination: combination.name,
    moment: larger(moment.max.value, moment.min.value),
    shear: larger(shear.max.value, shear.min.value),
    segments: unbracedSegments(model.beam, model.length, solution),
  };
  return { actions, solution };
}
