import type { Building } from '../building';
import type { Combination } from '../load';
import { philosophyOf, STANDARDS, type Philosophy, type Standard } from '../standard';
import type { Takedown } from '../takedown';

/** What every design of a project looks at. */
export interface Context {
  readonly building: Building;
  readonly takedown: Takedown;
  readonly standard: Standard;
  readonly philosophy: Philosophy;
  /** Combinations of the project's cases by a philosophy: made once. */
  readonly combinations: (philosophy: Philosophy) => {
    readonly strength: readonly Combination[];
    readonly service: readonly Combination[];
    /** Under which deflection is looked at, as the brief says. */
    readonly deflection: readonly Combination[];
  };
}

/** What every design of a project needs. @throws BadInput when the brief's philosophy is not one of its family */
export function contextOf(building: Building, takedown: Takedown): Context {
  const standard = STANDARDS[building.brief.family];
  const made = new Map<string, ReturnType<Context['combinations']>>();
  const { cases } = takedown;
  const level = building.brief.deflectionCombination;
  const combinations: Context['combinations'] = ({ id, rules }) => {
    let found = made.get(id);
    if (!found) {
      const service = rules.service(cases);
      // a project that was by other codes keeps its choice: by these there is the usual one
      const deflection = level !== rules.serviceLevels[0] && rules.serviceLevels.includes(level) ? rules.service(cases, level) : service;
      made.set(id, (found = { strength: rules.strength(cases), service, deflection }));
    }
    return found;
  };
  return { building, takedown, standard, philosophy: philosophyOf(standard, building.brief.combinationRule), combinations };
}
