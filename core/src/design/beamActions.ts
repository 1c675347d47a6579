import type { BeamModel, Loading } from '../analysis';
import { lateralBucklingFactor, type BeamSolution } from '../beam';
import type { Beam } from '../building';
import type { BeamActions, Segment } from '../standard';
import { bearingEnds, liesOnBearing } from './bearingEnds';

export type Flange = 'top' | 'bottom';

/** Places of one beam where its flanges are held sideways, mm from its start. */
interface HeldPlaces {
  /** Both flanges: its supports, and the points named as restraints of both. */
  readonly both: readonly number[];
  /** Of its supports the only one that a cantilever has: held against turning sideways too, free to warp. */
  readonly turnsNot: readonly number[];
  /** Beside them only the one flange. */
  readonly only: Readonly<Record<Flange, readonly number[]>>;
}

function heldPlaces(beam: Beam, length: number): HeldPlaces {
  const on = (places: readonly number[]) => places.filter((at) => at <= length + 1e-6);
  const points = beam.restraint === 'points';
  const [first, ...others] = beam.supports;
  return {
    turnsNot: first?.fixed && others.length === 0 ? [first.at] : [],
    both: sorted([...beam.supports.map((support) => support.at), ...(points ? on(beam.restraintPoints) : [])]),
    only: { top: points ? on(beam.topPoints) : [], bottom: beam.restraint === 'supports' ? [] : on(beam.bottomPoints) },
  };
}

const sorted = (places: readonly number[]): number[] => [...new Set(places)].sort((a, b) => a - b);
const within = (places: readonly number[], at: number) => places.some((place) => Math.abs(place - at) < 1);

/**
 * Segments in which a flange in compression is free to move sideways: each runs from a place where that flange is held to the next, the top
 * flange where the beam sags and the bottom flange where it hogs. A floor holds the top flange along the beam: what is left are the
 * lengths in which the bottom flange is in compression. A stretch that both flanges share is one segment, under its largest moment.
 */
export function unbracedSegments(beam: Beam, length: number, solution: BeamSolution): Segment[] {
  const held = heldPlaces(beam, length);
  const { max, min } = solution.extremes('moment');
  const nothing = 1e-9 * Math.max(Math.abs(max.value), Math.abs(min.value), 1);
  const floor = beam.restraint === 'floor';
  // what lies on a bearing is no overhang
  const seated = bearingEnds(beam);
  const spanning = (list: readonly (readonly [number, number])[]) => list.filter(([from, to]) => !liesOnBearing(seated, from, to));
  const bottom = spanning(stretches([...held.both, ...held.only.bottom], length));
  const isOneForBoth = held.only.top.length === 0 && held.only.bottom.length === 0;
  if (floor || isOneForBoth) {
    // beside a floor, a place that holds the bottom flange holds both
    const both = floor ? [...held.both, ...held.only.bottom] : held.both;
    return bottom.flatMap(([from, to]) => {
      const extremes = solution.extremes('moment', from, to);
      const sagging = floor ? 0 : extremes.max.value;
      const peak = Math.abs(extremes.min.value) > Math.abs(sagging) ? extremes.min.value : sagging;
      if (Math.abs(peak) <= nothing || (floor && peak >= -nothing)) return [];
      return [segment(beam, length, solution, { from, to, peak, held, fully: both, tensionFlangeHeld: floor })];
    });
  }
  const top = spanning(stretches([...held.both, ...held.only.top], length));
  const isIn = (list: readonly (readonly [number, number])[], [from, to]: readonly [number, number]) =>
    list.some(([a, b]) => Math.abs(a - from) < 1 && Math.abs(b - to) < 1);
  const found: Segment[] = [];
  const add = (flange: Flange, [from, to]: readonly [number, number], isShared: boolean) => {
    const extremes = solution.extremes('moment', from, to);
    const [sagging, hogging] = [extremes.max.value, extremes.min.value];
    let peak = flange === 'top' ? sagging : hogging;
    if (isShared && Math.abs(hogging) > Math.abs(sagging)) peak = hogging;
    if (Math.abs(peak) <= nothing || (!isShared && (flange === 'top' ? peak < 0 : peak > 0))) return;
    const isReversed = sagging > nothing && hogging < -nothing;
    const isFork = within(held.both, from) && within(held.both, to);
    found.push(
      segment(beam, length, solution, {
        from,
        to,
        peak,
        held,
        fully: held.both,
        flange: isShared ? undefined : flange,
        // places that hold the other flange can only help
        tensionFlangeHeld: !isShared && isReversed,
        // where an end holds one flange only and both are pressed, the diagram is not read
        isEven: !isShared && isReversed && !isFork,
      }),
    );
  };
  for (const stretch of top) add('top', stretch, isIn(bottom, stretch));
  for (const stretch of bottom) if (!isIn(top, stretch)) add('bottom', stretch, false);
  return found.sort((a, b) => a.from - b.from || a.to - b.to);
}

/** Lengths between places along a beam, from end to end. */
function stretches(places: readonly number[], length: number): (readonly [number, number])[] {
  const all = sorted([0, ...places, length]).filter((at) => at >= 0 && at <= length);
  return all.flatMap((from, i) => (i + 1 < all.length && all[i + 1]! - from >= 1 ? [[from, all[i + 1]!] as const] : []));
}

/**
 * How far from each other its flanges may move sideways at a place: the longest length there along either flange that nothing holds, and whether the
 * top flange is held against turning; nothing where both are held.
 */
export function swayAt(beam: Beam, length: number, at: number): { readonly unbraced: number; readonly rotationHeld: boolean } | undefined {
  const { both, only } = heldPlaces(beam, length);
  if (within(both, at)) return undefined;
  const longest = (places: readonly number[]) =>
    stretches([...both, ...places], length).reduce(
      (most, [from, to]) => (at >= from - 1 && at <= to + 1 ? Math.max(most, to - from) : most),
      0,
    );
  const isFloor = beam.restraint === 'floor';
  if (isFloor && within(only.bottom, at)) return undefined;
  return { unbraced: Math.max(isFloor ? 0 : longest(only.top), longest(only.bottom)), rotationHeld: isFloor };
}

interface SegmentAt {
  readonly from: number;
  readonly to: number;
  readonly peak: number;
  readonly held: HeldPlaces;
  /** Places where the flanges of this segment are both held. */
  readonly fully: readonly number[];
  readonly flange?: Flange;
  readonly tensionFlangeHeld: boolean;
  readonly isEven?: boolean;
}

function segment(beam: Beam, length: number, solution: BeamSolution, at: SegmentAt): Segment {
  const { from, to, peak, held, fully, flange, tensionFlangeHeld, isEven } = at;
  const extremes = solution.extremes('moment', from, to);
  const moment = (x: number) => (isEven ? peak : solution.at('moment', x));
  const quarter = (n: number) => moment(from + ((to - from) * n) / 4);
  const loadOnTop = beam.loadHeight === 'top' && beam.restraint !== 'floor';
  // a tip must be held in both flanges; a place along the beam in the one that is pressed
  const isHeld = (place: number) =>
    within(fully, place) || (flange !== undefined && place > 1 && place < length - 1 && within(held.only[flange], place));
  const freeTip = !isHeld(from) || !isHeld(to);
  return {
    from,
    to,
    quarters: [quarter(1), quarter(2), quarter(3)],
    peak,
    ends: [moment(from), moment(to)],
    freeTip,
    flange,
    loadOnTop,
    critical: wholeBeam(beam, length, held, solution),
    tensionFlangeHeld,
    largest: isEven ? Math.abs(peak) : Math.max(extremes.max.value, -extremes.min.value),
  };
}

/** Lateral-torsional buckling of the whole beam with its restraints, by section: what overhangs with a free tip, loads on top and tees are proved by. */
function wholeBeam(beam: Beam, length: number, held: HeldPlaces, solution: BeamSolution): Segment['critical'] {
  return (section, E, G) => {
    const { Iz, It, Iw, depth, cy, shearCentreUp, zj } = section.properties;
    // faces from the shear centre
    const [above, below] = [cy - shearCentreUp, cy - shearCentreUp - depth];
    return lateralBucklingFactor({
      length,
      EIz: E * Iz,
      GIt: G * It,
      EIw: E * Iw,
      moment: (x) => solution.at('moment', x),
      held: held.both,
      slopeHeld: held.turnsNot,
      heldLines: [...held.only.top.map((at) => ({ at, above })), ...held.only.bottom.map((at) => ({ at, above: below }))],
      zj,
      loadHeight: beam.loadHeight === 'top' ? above : 0,
      heldAlong: beam.restraint === 'floor' ? above : undefined,
    });
  };
}

/** The actions of one loading on a beam, as a family's check wants them. */
export function beamActions(model: BeamModel, { combination, present }: Loading): { actions: BeamActions; solution: BeamSolution } {
  const solution = model.solve(combination, present);
  const moment = solution.extremes('moment');
  const shear = solution.extremes('shear');
  const larger = (a: number, b: number) => (Math.abs(a) >= Math.abs(b) ? a : b);
  const actions: BeamActions = {
    basis: combination.basis,
    combination: combination.name,
    moment: larger(moment.max.value, moment.min.value),
    shear: larger(shear.max.value, shear.min.value),
    range: [moment.min.value, moment.max.value],
    segments: unbracedSegments(model.beam, model.length, solution),
  };
  return { actions, solution };
}
