import type { BeamSolution, Effect } from '../beam';
import { BeamModel, type Loading } from '../analysis';
import { contextOf, stiffnessBy } from '../design';
import { markOf, type Building } from '../building';
import { PlinthError } from '../error';
import type { Takedown } from '../takedown';
import { beamDiagram } from './beamDiagram';
import { beamElevation } from './beamElevation';
import type { Drawing } from './drawing';

/** Height of an elevation with room for two rows of loads. */
const ELEVATION = 132;

export interface MemberDiagrams {
  readonly drawings: readonly Drawing[];
  /** Every combination that differs for the beam, by name, and the one that is shown. */
  readonly combinations: readonly string[];
  readonly shown?: string;
}

/**
 * The elevation of a beam with its loads, and its diagrams, under one combination by its name; without a name moment and shear under that of the largest
 * moment, and deflection under the service combination in which it sags most. Empty when it cannot be solved.
 */
export function memberDiagrams(
  building: Building,
  takedown: Takedown,
  id: string,
  effects: readonly Effect[],
  size: { readonly width: number; readonly height: number },
  combinationName?: string,
): MemberDiagrams {
  const beam = building.beams.get(id);
  const ledger = takedown.members.get(id);
  if (!beam || !ledger) return { drawings: [], combinations: [] };
  const context = contextOf(building, takedown);
  try {
    const EI = stiffnessBy(context.standard)(building, beam);
    const model = new BeamModel(beam, ledger.arrivals, EI, building.cases);
    const { strength, deflection } = context.combinations(context.philosophy);
    const factored = model.everyLoading(strength);
    const inService = model.everyLoading(deflection, 'deflection');
    const all = [...factored, ...inService];
    if (all.length === 0) return { drawings: [], combinations: [] };
    const solved = new Map<Loading, BeamSolution>(all.map((loading) => [loading, model.solve(loading.combination, loading.present)]));
    const worst = (list: readonly Loading[], effect: Effect) => {
      const largest = (loading: Loading) => {
        const { max, min } = solved.get(loading)!.extremes(effect);
        return Math.max(Math.abs(max.value), Math.abs(min.value));
      };
      return list.length === 0 ? null : list.reduce((a, b) => (largest(b) > largest(a) ? b : a));
    };
    const named = all.find(({ combination }) => combination.name === combinationName);
    const loading = named ?? worst(factored, 'moment') ?? all[0]!;
    const sagging = named ?? worst(inService, 'deflection') ?? loading;
    const { combination } = loading;
    const shown = EI ? effects : effects.filter((effect) => effect !== 'deflection');
    const elevation = beamElevation({
      beam,
      length: model.length,
      arrivals: model.arrivalsUnder(loading),
      carriers: beam.supports.map(({ by }) => (by === null ? null : markOf(building, by))),
      combination,
      units: building.brief.units,
      width: size.width,
      height: ELEVATION,
    });
    const diagrams = shown.map((effect) => {
      const under = effect === 'deflection' ? sagging : loading;
      return beamDiagram({
        mark: beam.mark,
        solution: solved.get(under)!,
        supports: beam.supports,
        effect,
        combination: under.combination.name,
        units: building.brief.units,
        ...size,
      });
    });
    return {
      drawings: [elevation, ...diagrams],
      combinations: all.map((candidate) => candidate.combination.name),
      shown: combination.name,
    };
  } catch (error) {
    if (!(error instanceof PlinthError)) throw error;
    return { drawings: [], combinations: [] };
  }
}
