import type { SteelGrade } from '../material';
import type { BeamModel, Loading } from '../analysis';
import { combinePressing } from '../load';
import type { Section } from '../section';
import { checkKey, type Check, type Sheet } from '../sheet';
import type { Philosophy, WebForceInput } from '../standard';
import { quantitySaid, shapeForce, type Arrival } from '../takedown';
import { swayAt } from './beamActions';
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
  readonly loadings: readonly Loading[];
}

/** A force that enters the beam's web through a flange, with what it is. */
interface Entering {
  readonly words: string;
  readonly input: WebForceInput;
}

/**
 * The web under each thing that stands on the beam, and over each seat that it sits on, under every combination; of each row the worst. A wall counts
 * by the load on a web's depth.
 */
export function webChecks(
  standing: readonly Standing[],
  { section, grade, model, loadings }: Trial,
  { standard, building }: Context,
  philosophy: Philosophy,
  sheet?: Sheet,
): Check[] {
  const { units } = building.brief;
  const worst = new Map<string, Check>();
  const { depth } = section.properties;
  const inputs = loadings.flatMap((loading): Entering[] => {
    const { combination } = loading;
    const solution = model.solve(combination, loading.present);
    const { name } = combination;
    /** A force at a place with the largest moment on half a depth either way. */
    const entering = (words: string, at: number, force: number, bearing: number, more: Partial<WebForceInput> = {}): Entering => {
      const { max, min } = solution.extremes('moment', Math.max(0, at - depth / 2), Math.min(model.length, at + depth / 2));
      const toEnd = Math.max(0, Math.min(at, model.length - at));
      const moment = Math.max(Math.abs(max.value), Math.abs(min.value));
      return { words, input: { section, grade, force, bearing, toEnd, moment, basis: combination.basis, combination: name, ...more } };
    };
    const seats = model.beam.supports.map(({ at }) => Math.min(at, model.length));
    const isOverSeat = (at: number) => model.beam.seat !== null && seats.some((seat) => Math.abs(seat - at) < depth / 2);
    const found: Entering[] = [];
    for (const { arrival, mark } of standing) {
      const { shape } = arrival;
      // all that presses through it, whatever else the loading leaves out: on the safe side
      const value = combinePressing(arrival.byCase, arrival.adverse, combination);
      let force = value * shapeForce(shape);
      let bearing = model.beam.stiffBearing;
      let at = shape.type === 'point' ? shape.at : (shape.from + shape.to) / 2;
      if (shape.type === 'distributed') {
        const length = Math.min(depth, shape.to - shape.from);
        // of a load that varies its heavier end
        const heavier = shape.start >= shape.end ? shape.from : shape.to;
        force = value * Math.max(shape.start, shape.end) * length;
        bearing = length;
        at = heavier === shape.from ? shape.from + length / 2 : shape.to - length / 2;
      }
      if (force > 0)
        found.push(
          entering(`under ${mark}`, at, force, bearing, { opposed: isOverSeat(at), sidesway: swayAt(model.beam, model.length, at) }),
        );
    }
    if (model.beam.seat !== null)
      for (const { at, force } of solution.reactions)
        if (force > 0) found.push(entering(`over the seat at ${quantitySaid(at, 'length', units)}`, at, force, model.beam.seat));
    return found;
  });
  const governs = new Map<string, (typeof inputs)[number]>();
  for (const entry of inputs)
    for (const check of standard.steel.webForce(entry.input, philosophy)) {
      const said = { ...check, reason: check.reason ?? entry.words };
      mergeWorst(worst, [said]);
      const key = checkKey(said);
      if (worst.get(key) === said) governs.set(key, entry);
    }
  // every case that governs a row is printed whole
  for (const { words, input } of sheet ? new Set(governs.values()) : []) {
    const scope = sheet!.scope(`Web ${words}, ${input.combination}`);
    scope.note(
      input.bearing === 0
        ? 'No stiff bearing length is named: the force enters through the flange alone, conservative.'
        : 'The largest moment within half a depth of the force is taken: conservative.',
    );
    standard.steel.webForce(input, philosophy, scope);
  }
  return [...worst.values()];
}
