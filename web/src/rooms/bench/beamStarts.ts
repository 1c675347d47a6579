import type { Standard, TypedBeam } from '@plinth/core';

const FOOT = 304.8;
const KIP = 4448.2216152605;
const KLF = KIP / FOOT;

const MODERN: Record<'european' | 'american', Required<TypedBeam>> = {
  european: {
    family: 'european',
    philosophy: '6.10ab',
    section: 'UB 406x178x54',
    grade: 'S355',
    length: 12_500,
    supports: [0, 6000, 11_000],
    hinges: [],
    fixed: [],
    restraint: 'floor',
    restraintPoints: [],
    topPoints: [],
    bottomPoints: [],
    loadHeight: 'centre',
    untwisted: false,
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
  american: {
    family: 'american',
    philosophy: 'LRFD',
    section: 'W16X36',
    grade: 'A992',
    length: 40 * FOOT,
    supports: [0, 20 * FOOT, 40 * FOOT],
    hinges: [],
    fixed: [],
    restraint: 'floor',
    restraintPoints: [],
    topPoints: [],
    bottomPoints: [],
    loadHeight: 'centre',
    untwisted: false,
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

/** What the bench of beams begins with by each family, in whole units of it. */
export const BEAM_STARTS: Record<Standard['id'], Required<TypedBeam>> = {
  ...MODERN,
  british: { ...MODERN.european, family: 'british', philosophy: 'BS5950', grade: 'S275' },
};
