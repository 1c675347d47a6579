import type { Annex, LateralTorsionalCurves } from '../annex';
import { psiOfUse } from './psi';
import { reductionUK } from '../reduction';

/** Rolled I and hot-finished hollow sections, NA.2.17. */
const HOT: LateralTorsionalCurves = {
  byRatio: [
    [2, 'b'],
    [3.1, 'c'],
    [Infinity, 'd'],
  ],
  plateau: 0.4,
  beta: 0.75,
};

/** The annexes of the United Kingdom. */
export const UK: Annex = {
  title: 'UK annexes',
  edition: 'UK national annexes',
  actions: {
    // EN 1990 table NA.A1.1, which keeps psi of uses as recommended; snow up to 1000 m above the sea
    psiOfUse,
    psiOfNature: {
      roofImposed: { psi0: 0.7, psi1: 0, psi2: 0 },
      snow: { psi0: 0.5, psi1: 0.2, psi2: 0 },
      wind: { psi0: 0.5, psi1: 0.2, psi2: 0 },
      temperature: { psi0: 0.6, psi1: 0.5, psi2: 0 },
    },
    gammaG: 1.35,
    gammaQ: 1.5,
    xi: 0.925,
    equilibrium: { unfavourable: 1.1, favourable: 0.9, source: 'EN 1990 table NA.A1.2(A)' },
  },
  imposedReduction: reductionUK,
  steel: {
    gammaM0: 1,
    gammaM1: 1,
    gammaM2: 1.1,
    partialFactors: 'EN 1993-1-1 NA.2.15',
    eta: 1,
    etaSource: 'EN 1993-1-5 NA.2.4',
    lateralTorsional: {
      rolledI: HOT,
      weldedI: {
        byRatio: [
          [2, 'c'],
          [Infinity, 'd'],
        ],
        plateau: 0.2,
        beta: 1,
      },
      hotHollow: HOT,
      coldHollow: {
        byRatio: [
          [2, 'c'],
          [Infinity, 'd'],
        ],
        plateau: 0.4,
        beta: 0.75,
      },
      other: { byRatio: [[Infinity, 'd']], plateau: 0.4, beta: 0.75 },
      otherWelded: { byRatio: [[Infinity, 'd']], plateau: 0.2, beta: 1, isGeneral: true },
      source: 'NA.2.17',
      correction: 'C1',
      correctionSource: 'NA.2.18',
    },
  },
  concrete: {
    gammaC: 1.5,
    gammaS: 1.15,
    partialFactors: 'EN 1992-1-1 NA.1',
    alphaCC: 0.85,
    alphaCT: 1,
    punchingAtColumn: 0.5,
    punchingSource: '6.4.5(3), NA.1',
  },
  cautions: [],
};
