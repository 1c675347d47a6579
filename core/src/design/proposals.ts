import { assemble, type Building, type Item } from '../building';
import { caseIn, isPermanent } from '../load';
import { freshProposals, proposeBeams, proposedMark, takeDown, type ProposedBeam, type Takedown, type WallBearer } from '../takedown';

/** A proposed beam as it is shown: what it carries and rests on, by mark, and the load that comes to it. */
export interface Proposal extends ProposedBeam {
  readonly under: string;
  /** What each end would rest on; null: nothing is there yet. */
  readonly on: readonly (string | null)[];
  /** All that lands on it, its own weight included, unfactored, N. */
  readonly permanent: number;
  readonly variable: number;
}

/**
 * Beams that would carry a wall which stops above nothing, one under the other, with the loads that they would take: as if all of them were drawn.
 * @param items of the project
 */
export function proposalsFor(items: Iterable<Item>, building: Building, takedown: Takedown, wall: string): Proposal[] {
  const made = proposeBeams(building, wall, (takedown.bearers.get(wall) ?? []) as readonly WallBearer[], freshProposals(building));
  if (made.length === 0) return [];
  const { members } = takeDown(assemble([...items, ...made.map(({ item }) => item)]), () => []);
  return made.map((proposed) => {
    const { sum = {} } = members.get(proposed.item.id) ?? {};
    let [permanent, variable] = [0, 0];
    for (const [id, value] of Object.entries(sum)) {
      if (isPermanent(caseIn(building.cases, id).nature)) permanent += value;
      else variable += value;
    }
    const mark = (id: string) => proposedMark(building, made, id);
    return {
      ...proposed,
      under: mark(proposed.carries),
      on: proposed.ends.map(({ on }) => (on === null ? null : mark(on))),
      permanent,
      variable,
    };
  });
}
