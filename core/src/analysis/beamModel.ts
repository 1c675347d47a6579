import { BeamSystem, type BeamLoad, type BeamSolution, type Effect } from '../beam';
import { planLength, stretchesOf, type Beam } from '../building';
import type { Combination, LoadCases } from '../load';
import { spansBetween, withValues, type Arrival } from '../takedown';
import { extremeSets, NO_FORCES, type EndForces, type EndSet } from './endForces';
import { distinctFor, namedLoadings, type Loading } from './loading';
import { hasAlternatives, pickParts } from './pick';
import { beamLoads, isSettlement, partsOf, type LoadPart } from './parts';
import { valuesAt, probesOf, type Probe } from './probes';

/** A loading, or a combination of which all is present. */
type PartlyPresent = Pick<Loading, 'combination'> & { readonly present?: readonly boolean[] | undefined };

/** Effects for which the loadings of a combination are picked. */
export type Picked = 'strength' | 'deflection';

/** An effect at a place: the value that each part has there by itself. */
interface Elementary {
  readonly effect: Effect;
  readonly values: readonly number[];
}

/**
 * Those that tell something of their own: at places where all parts have one sign, whatever their factors, one of each effect and sign speaks for all; what
 * is rounding beside the largest of its effect counts as nothing.
 */
function telling(all: readonly Elementary[]): Elementary[] {
  const scales = new Map<Effect, number>();
  for (const { effect, values } of all) scales.set(effect, Math.max(scales.get(effect) ?? 0, ...values.map(Math.abs)));
  const spoken = new Set<string>();
  return all.flatMap(({ effect, values: raw }) => {
    const nothing = ROUNDING * scales.get(effect)!;
    let [rises, falls] = [false, false];
    const values = raw.map((value) => {
      if (value > nothing) rises = true;
      else if (value < -nothing) falls = true;
      else return 0;
      return value;
    });
    if (!rises && !falls) return [];
    if (!(rises && falls)) {
      const key = `${effect} ${rises} ${values.map((value) => Number(value === 0)).join('')}`;
      if (spoken.has(key)) return [];
      spoken.add(key);
    }
    return [{ effect, values }];
  });
}

/** A part of the largest value of an effect below which a value is rounding. */
const ROUNDING = 1e-9;

/**
 * A beam ready to be solved under any combination of what lands on it. EI: Nmm2; null: not known, so that its supports hold firm and deflections say nothing.
 */
export class BeamModel {
  readonly length: number;
  /** Overhangs and spans, in order. */
  readonly spans: readonly { readonly from: number; readonly to: number }[];
  readonly parts: readonly LoadPart[];
  private readonly system: BeamSystem;
  private aloneSolved: readonly BeamSolution[] | null = null;
  private readonly elementary = new Map<Picked, readonly Elementary[]>();

  /**
   * @param cases the load cases of the project
   * @throws BadInput or Unstable as the beam solver does
   */
  constructor(
    readonly beam: Beam,
    readonly arrivals: readonly Arrival[],
    private readonly EI: number | null,
    cases: LoadCases,
  ) {
    this.length = planLength(beam);
    this.spans = spansBetween(
      beam.supports.map(({ at }) => at),
      this.length,
    );
    this.parts = partsOf(arrivals, this.spans, cases);
    this.system = new BeamSystem({
      length: this.length,
      EI: EI ?? 1e13,
      supports: beam.supports.map(({ at, fixed, spring }) => ({
        at: Math.min(at, this.length),
        fixed,
        spring: EI === null ? undefined : (spring ?? undefined),
      })),
      hinges: beam.hinges,
      stretches: stretchesOf(beam),
    });
  }

  /** What the beam does under a combination with all that it has, or under one of its loadings. */
  solve(combination: Combination, present?: readonly boolean[]): BeamSolution {
    return this.solved(this.partsUnder({ combination, present }));
  }

  private solved(acting: readonly { readonly part: LoadPart; readonly factor: number }[]): BeamSolution {
    const loads = acting.flatMap(({ part, factor }) => beamLoads(part.loads, factor, this.length));
    if (!this.sinks) return this.system.solve(loads);
    const sunk = this.beam.supports.map(() => 0);
    for (const { part, factor } of acting)
      for (const { arrival, value } of part.loads)
        if (arrival.source.type === 'settlement')
          sunk[arrival.source.support]! += factor * value * this.beam.supports[arrival.source.support]!.settlement;
    const places = this.beam.supports.map(({ at }) => at);
    return this.system.solve(loads, sunk).fromSunkLine(places, sunk);
  }

  /** Whether a support may sink, so that the beam bends. */
  private get sinks(): boolean {
    return this.EI !== null && this.parts.some(({ loads }) => loads.some(isSettlement));
  }

  /** The factored loads under a loading. */
  loadsUnder(loading: PartlyPresent): BeamLoad[] {
    return this.partsUnder(loading).flatMap(({ part: { loads }, factor }) => beamLoads(loads, factor, this.length));
  }

  /** The parts that act under a loading, each with its place among the parts and its factor. */
  partsUnder({ combination, present }: PartlyPresent): { readonly part: LoadPart; readonly i: number; readonly factor: number }[] {
    return this.parts.flatMap((part, i) => {
      const factor = combination.factors[part.loadCase.id] ?? 0;
      return factor === 0 || (present && !present[i] && !part.isPermanent) ? [] : [{ part, i, factor }];
    });
  }

  /** Every part by itself, unfactored. */
  private get alone(): readonly BeamSolution[] {
    return (this.aloneSolved ??= this.parts.map((part) => this.solved([{ part, factor: 1 }])));
  }

  /** What each part does to an effect at a place by itself, unfactored, in the order of the parts. */
  partsAt(effect: Effect, at: number, side: -1 | 1): number[] {
    return this.alone.map((solution) => solution.at(effect, at, side));
  }

  /** What each part hands to a support by itself, unfactored, in the order of the parts. @param support its number among the beam's supports */
  endForcesAlone(support: number): EndForces[] {
    return this.alone.map(({ reactions }) => ({ ...NO_FORCES, Vz: reactions[support]!.force, My: -reactions[support]!.moment }));
  }

  /** Sets of forces that act at once at a support, under which one of them is largest in either sense. */
  endSets(support: number, combinations: readonly Combination[]): EndSet[] {
    return extremeSets(this.parts, this.endForcesAlone(support), this.distinct(combinations), this.spans.length);
  }

  /** What lands on the beam under a loading: the arrivals with what is present of them. */
  arrivalsUnder(loading: Loading): Arrival[] {
    return this.partsUnder(loading).flatMap(({ part: { loadCase, loads } }) =>
      loads.map(({ arrival, shape, value }) =>
        withValues(
          { id: arrival.id, label: arrival.label, source: arrival.source, shape } as Arrival,
          { [loadCase.id]: value },
          { [loadCase.id]: value },
        ),
      ),
    );
  }

  /** The combinations that differ in what this beam feels: of those that give it the same loads only the first stays. */
  distinct(combinations: readonly Combination[]): Combination[] {
    return distinctFor([...new Set(this.parts.map(({ loadCase }) => loadCase.id))], combinations);
  }

  /**
   * The loadings of a combination under which moments anywhere and the shears along the beam, or deflections, are largest and least: at each place the parts
   * of variable load that add to an effect, none that takes from it. None where a combination counts permanent load as favourable and it is so nowhere.
   */
  loadings(combination: Combination, picked: Picked = 'strength'): Loading[] {
    const factors = this.parts.map(({ loadCase }) => combination.factors[loadCase.id] ?? 0);
    const all = this.parts.map(() => true);
    // one span that turns freely and all of it pressing: everything adds to everything
    if (this.spans.length === 1 && !this.isHeld && !hasAlternatives(this.parts) && this.onlyPresses(factors))
      return combination.permanent === 'favourable' ? [] : [{ combination, present: all }];
    const found = new Map<string, boolean[]>();
    const effects = this.effects(picked);
    // what is as small as rounding beside the largest of its effect says nothing of what adds to it
    const scales = new Map<Effect, number>();
    for (const { effect, values } of effects) {
      const scale = values.reduce((sum, value, i) => sum + Math.abs(factors[i]! * value), 0);
      scales.set(effect, Math.max(scales.get(effect) ?? 0, scale));
    }
    for (const { effect, values } of effects) {
      const nothing = ROUNDING * scales.get(effect)!;
      for (const sense of [1, -1]) {
        const present = pickParts(
          this.parts,
          this.parts.map((_, i) => sense * factors[i]! * values[i]!),
          combination.permanent,
          nothing,
        );
        if (present) found.set(present.map(Number).join(''), present);
      }
    }
    return namedLoadings(combination, this.parts, factors, found.values(), this.spans.length);
  }

  /** Every loading of combinations under which something is largest; of a beam without any load the first combination. */
  everyLoading(combinations: readonly Combination[], picked: Picked = 'strength'): readonly Loading[] {
    const distinct = this.distinct(combinations);
    const found = distinct.flatMap((combination) => this.loadings(combination, picked));
    return found.length > 0 ? found : distinct.slice(0, 1).map((combination) => ({ combination, present: this.parts.map(() => true) }));
  }

  /** Whether some support holds it against turning. */
  get isHeld(): boolean {
    return this.beam.supports.some(({ fixed }) => fixed);
  }

  private onlyPresses(factors: readonly number[]): boolean {
    return this.parts.every(({ loads }, i) =>
      loads.every(({ shape, value }) => {
        const least = shape.type === 'point' ? 1 : Math.min(shape.start, shape.end);
        const most = shape.type === 'point' ? 1 : Math.max(shape.start, shape.end);
        return factors[i]! * value * least >= 0 && factors[i]! * value * most >= 0;
      }),
    );
  }

  /** For every place and effect the value that each part has there by itself. */
  private effects(picked: Picked): readonly Elementary[] {
    let found = this.elementary.get(picked);
    if (!found) {
      const probes: readonly Probe[] = probesOf(this.spans, this.parts, picked, this.beam.hinges);
      const alone = this.alone.map((solution) => valuesAt(solution, probes));
      found = telling(probes.map(({ effect }, p) => ({ effect, values: alone.map((values) => values[p]!) })));
      this.elementary.set(picked, found);
    }
    return found;
  }
}
