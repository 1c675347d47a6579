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
  };
}

/** What every design of a project needs. @throws BadInput when the brief's philosophy is not one of its family */
export function contextOf(building: Building, takedown: Takedown): Context {
  const standard = STANDARDS[building.brief.family];
  const made = new Map<string, { strength: Combination[]; service: Combination[] }>();
  const combinations: Context['combinations'] = ({ id, rules }) => {
    let found = made.get(id);
    if (!found) made.set(id, (found = { strength: rules.strength(takedown.cases), service: rules.service(takedown.cases) }));
    return found;
  };
  return { building, takedown, standard, philosophy: philosophyOf(standard, building.brief.combinationRule), combinations };
}
