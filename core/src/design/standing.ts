import type { SteelGrade } from '../material';
import { combine, type Combination } from '../load';
import type { Section } from '../section';
import type { Check, Sheet } from '../sheet';
import type { Philosophy } from '../standard';
import { shapeForce, type Arrival } from '../takedown';
import type { BeamModel } from './analysis';
import type { Context } from './context';
import { mergeWorst } from './result';

/** Something that presses on a beam's top flange: a post at a place, or a wall along it. */
export interface Standing {
  readonly mark: string;
  readonly arrival: Arrival;
}

/** Posts and walls that stand on a beam. What else lands on it comes through its web, which is recorded. */
export function standingLoads({ building, takedown }: Context, model: BeamModel): readonly Standing[] {
  return model.arrivals.flatMap((arrival) => {
    const { source } = arrival;
    if (source.type !== 'member' || !(building.columns.has(source.member) || building.walls.has(source.member))) return [];
    return [{ arrival, mark: takedown.members.get(source.member)!.mark }];
  });
}

interface Trial {
  readonly section: Section;
  readonly grade: SteelGrade;
  readonly model: BeamModel;
  readonly combinations: readonly Combination[];
}

/** The web under each thing that stands on the beam, under every combination; of each row the worst. A wall counts by the load on a web's depth. */
export function webChecks(
  standing: readonly Standing[],
  { section, grade, model, combinations }: Trial,
  { standard }: Context,
  philosophy: Philosophy,
  sheet?: Sheet,
): Check[] {
  const worst = new Map<string, Check>();
  const ways = combinations.map((combination) => {
    const { max, min } = model.solve(combination).extremes('moment');
    return { combination, moment: Math.max(Math.abs(max.value), Math.abs(min.value)) };
  });
  const inputs = standing.flatMap(({ arrival, mark }) =>
    ways.flatMap(({ combination, moment }) => {
      const { shape } = arrival;
      const value = combine(arrival.byCase, combination);
      let force = value * shapeForce(shape);
      let bearing = model.beam.stiffBearing;
      let at = shape.type === 'point' ? shape.at : (shape.from + shape.to) / 2;
      if (shape.type === 'distributed') {
        const length = Math.min(section.properties.depth, shape.to - shape.from);
        // of a load that varies its heavier end
        const heavier = shape.start >= shape.end ? shape.from : shape.to;
        force = value * Math.max(shape.start, shape.end) * length;
        bearing = length;
        at = heavier === shape.from ? shape.from + length / 2 : shape.to - length / 2;
      }
      if (force <= 0) return [];
      const toEnd = Math.max(0, Math.min(at, model.length - at));
      return [{ mark, input: { section, grade, force, bearing, toEnd, moment, basis: combination.basis, combination: combination.name } }];
    }),
  );
  const governs = new Map<string, (typeof inputs)[number]>();
  for (const entry of inputs)
    for (const check of standard.webUnderForce(entry.input, philosophy)) {
      mergeWorst(worst, [{ ...check, reason: check.reason ?? `under ${entry.mark}` }]);
      if (worst.get(check.name)?.reason === `under ${entry.mark}` && worst.get(check.name)?.combination === check.combination)
        governs.set(check.name, entry);
    }
  // every case that governs a row is printed whole
  for (const { mark, input } of sheet ? new Set(governs.values()) : []) {
    const scope = sheet!.scope(`Web under ${mark}, ${input.combination}`);
    scope.note(
      input.bearing === 0
        ? 'No stiff bearing length is named: the force enters through the flange alone, conservative.'
        : 'The largest moment of the member is taken at the force: conservative.',
    );
    standard.webUnderForce(input, philosophy, scope);
  }
  return [...worst.values()];
}
