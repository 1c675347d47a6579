import { BEAM_INPUTS, emptyOf, FAMILIES, profileOf, type Family, type FamilyProfile, type TypedBeam } from '@plinth/core';

const FOOT = 304.8;
const KIP = 4448.2216152605;
const KLF = KIP / FOOT;

/** A floor beam in whole numbers of each system of units. */
const LAID_OUT: Record<FamilyProfile['units'], Omit<Required<TypedBeam>, 'family' | 'philosophy' | 'section' | 'grade'>> = {
  SI: {
    length: 12_500,
    supports: [0, 6000, 11_000],
    hinges: [],
    fixed: [],
    restraint: 'floor',
    restraintPoints: [],
    topPoints: [],
    bottomPoints: [],
    loadHeight: 'centre',
    ...emptyOf(BEAM_INPUTS),
    seat: null,
    serves: 'floor',
    precamber: 0,
    loads: [
      { name: 'floor', nature: 'permanent', use: 'B', type: 'line', at: 0, to: 12_500, value: 9 },
      { name: 'offices', nature: 'imposed', use: 'B', type: 'line', at: 0, to: 12_500, value: 12 },
      { name: 'plant', nature: 'permanent', use: 'B', type: 'point', at: 3000, to: 0, value: 25e3 },
    ],
    deflectionCombination: 'characteristic',
    limitVariable: 360,
    limitTotal: 250,
    mostVariable: null,
    mostTotal: null,
  },
  US: {
    length: 40 * FOOT,
    supports: [0, 20 * FOOT, 40 * FOOT],
    hinges: [],
    fixed: [],
    restraint: 'floor',
    restraintPoints: [],
    topPoints: [],
    bottomPoints: [],
    loadHeight: 'centre',
    ...emptyOf(BEAM_INPUTS),
    seat: null,
    serves: 'floor',
    precamber: 0,
    loads: [
      { name: 'floor', nature: 'permanent', use: 'B', type: 'line', at: 0, to: 40 * FOOT, value: 0.6 * KLF },
      { name: 'offices', nature: 'imposed', use: 'B', type: 'line', at: 0, to: 40 * FOOT, value: 0.8 * KLF },
      { name: 'plant', nature: 'permanent', use: 'B', type: 'point', at: 10 * FOOT, to: 0, value: 5 * KIP },
    ],
    deflectionCombination: 'characteristic',
    limitVariable: 360,
    limitTotal: 240,
    mostVariable: null,
    mostTotal: null,
  },
};

/** What the bench of beams begins with by a family, in whole units of it. */
export function beamStart(family: Family): Required<TypedBeam> {
  const { units, rules, samples, brief } = profileOf(family);
  return { ...LAID_OUT[units], family, philosophy: rules[0], section: samples.floorBeam, grade: brief.grade };
}

export const BEAM_STARTS = Object.fromEntries(FAMILIES.map((family) => [family, beamStart(family)])) as Record<Family, Required<TypedBeam>>;
