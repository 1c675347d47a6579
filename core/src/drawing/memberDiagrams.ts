import type { BeamSolution, Effect } from '../beam';
import { BeamModel, type Loading } from '../analysis';
import { contextOf, gradeFor } from '../design';
import { markOf, type Building } from '../building';
import { PlinthError } from '../error';
import { findSection } from '../section';
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
 * The elevation of a beam with its loads, and its diagrams, under one combination by its name; without a name under that of the largest moment.
 * Empty when it cannot be solved.
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
    const section = beam.section === null ? null : findSection(beam.section);
    const EI = section ? context.standard.youngsModulus(gradeFor(building, beam, section)) * section.properties.Iy : 1e13;
    const model = new BeamModel(beam, ledger.arrivals, EI, building.cases);
    const { strength, service } = context.combinations(context.philosophy);
    const all = [...model.everyLoading(strength), ...model.everyLoading(service, 'deflection')];
    if (all.length === 0) return { drawings: [], combinations: [] };
    const solved = new Map<Loading, BeamSolution>(all.map((loading) => [loading, model.solve(loading.combination, loading.present)]));
    const largest = (loading: Loading) => {
      const { max, min } = solved.get(loading)!.extremes('moment');
      return Math.max(Math.abs(max.value), Math.abs(min.value));
    };
    const loading =
      all.find((candidate) => candidate.combination.name === combinationName) ??
      all.reduce((worst, candidate) => (largest(candidate) > largest(worst) ? candidate : worst));
    const { combination } = loading;
    const solution = solved.get(loading)!;
    const shown = section ? effects : effects.filter((effect) => effect !== 'deflection');
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
    const diagrams = shown.map((effect) =>
      beamDiagram({
        mark: beam.mark,
        solution,
        supports: beam.supports.map((support) => support.at),
        effect,
        combination: combination.name,
        units: building.brief.units,
        ...size,
      }),
    );
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
