import { expose } from 'comlink';
import {
  BadInput,
  beamDiagram,
  BeamModel,
  computeProject,
  contextOf,
  findSection,
  gradeFor,
  PlinthError,
  sheetFor,
  trySections,
  why,
  type Candidate,
  type Cause,
  type Combination,
  type Drawing,
  type Effect,
  type Entry,
  type Item,
  type ProjectResult,
  type SizingRequest,
} from '@plinth/core';

/** What crosses from the worker: everything of a result that can be cloned. The building is assembled again outside. */
export type Computed = Omit<ProjectResult, 'building'>;

let result: ProjectResult | null = null;

function held(): ProjectResult {
  if (!result) throw new BadInput('nothing has been computed yet');
  return result;
}

/** The engine beside the screen: it holds the project as computed last and answers questions about it. */
const engine = {
  /** Takes down and designs the project. Gives the reason in words when it cannot. */
  compute(items: readonly Item[]): Computed | { readonly failed: string } {
    try {
      result = computeProject(items);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { failed: error.message };
    }
    const { takedown, members, footings, balance, looseEnds, assumptions } = result;
    return { takedown, members, footings, balance, looseEnds, assumptions };
  },

  sheet(id: string, philosophy?: string): readonly Entry[] {
    return sheetFor(held(), id, philosophy)?.entries ?? [];
  },

  candidates(id: string, request: SizingRequest): Candidate[] {
    const { building, takedown } = held();
    return trySections(contextOf(building, takedown), id, request);
  },

  causes(id: string, leave: number | null): Cause[] {
    const { building, takedown } = held();
    return why(building, takedown, id, leave);
  },

  /** Diagrams of a beam under one combination (by its name). Empty when it cannot be solved. */
  diagrams(
    id: string,
    effects: readonly Effect[],
    width: number,
    height: number,
    combinationName?: string,
  ): { drawings: Drawing[]; combinations: string[]; shown?: string } {
    const { building, takedown } = held();
    const beam = building.beams.get(id);
    const ledger = takedown.members.get(id);
    if (!beam || !ledger) return { drawings: [], combinations: [] };
    const context = contextOf(building, takedown);
    try {
      const section = beam.section === null ? null : findSection(beam.section);
      const EI = section ? gradeFor(building, beam, section).E * section.properties.Iy : 1e13;
      const model = new BeamModel(beam, ledger.arrivals, EI);
      const { strength, service } = context.combinations(context.philosophy);
      const all = [...model.distinct(strength), ...model.distinct(service)];
      if (all.length === 0) return { drawings: [], combinations: [] };
      const largest = (candidate: Combination) => {
        const { max, min } = model.solve(candidate).extremes('moment');
        return Math.max(Math.abs(max.value), Math.abs(min.value));
      };
      // without a wish the combination with the largest moment is shown
      const combination =
        all.find((candidate) => candidate.name === combinationName) ??
        all.reduce((worst, candidate) => (largest(candidate) > largest(worst) ? candidate : worst));
      const solution = model.solve(combination);
      const shown = section ? effects : effects.filter((effect) => effect !== 'deflection');
      const drawings = shown.map((effect) =>
        beamDiagram({
          mark: beam.mark,
          solution,
          supports: beam.supports.map((support) => support.at),
          effect,
          combination: combination.name,
          units: building.brief.units,
          width,
          height,
        }),
      );
      return { drawings, combinations: all.map((candidate) => candidate.name), shown: combination.name };
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { drawings: [], combinations: [] };
    }
  },
};

export type Engine = typeof engine;
expose(engine);
