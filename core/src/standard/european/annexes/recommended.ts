import type { Annex } from '../annex';
import { reductionRecommended } from '../reduction';
import { psiOfUse } from './psi';

const GENERAL = { plateau: 0.2, beta: 1, isGeneral: true } as const;

/**
 * What the Eurocodes themselves recommend where they leave the choice to a country. No country builds by them unless its annex says so: they are for
 * comparison, for teaching, and for places whose annex keeps to them.
 */
export const RECOMMENDED: Annex = {
  title: 'recommended values',
  edition: 'recommended values of the standards, no national annex',
  actions: {
    // EN 1990 table A1.1; snow for places up to 1000 m above the sea outside the Nordic countries
    psiOfUse,
    psiOfNature: {
      roofImposed: { psi0: 0, psi1: 0, psi2: 0 },
      snow: { psi0: 0.5, psi1: 0.2, psi2: 0 },
      wind: { psi0: 0.6, psi1: 0.2, psi2: 0 },
      temperature: { psi0: 0.6, psi1: 0.5, psi2: 0 },
    },
    gammaG: 1.35,
    gammaQ: 1.5,
    xi: 0.85,
    equilibrium: { unfavourable: 1.1, favourable: 0.9, source: 'EN 1990 table A1.2(A)' },
  },
  imposedReduction: reductionRecommended(psiOfUse),
  steel: {
    gammaM0: 1,
    gammaM1: 1,
    gammaM2: 1.25,
    partialFactors: 'EN 1993-1-1 6.1(1)',
    eta: 1.2,
    etaSource: 'EN 1993-1-5 5.1(2)',
    lateralTorsional: {
      // table 6.5: rolled, and welded sections equivalent to them; the others by the general case, table 6.4
      rolledI: {
        byRatio: [
          [2, 'b'],
          [Infinity, 'c'],
        ],
        plateau: 0.4,
        beta: 0.75,
      },
      weldedI: {
        byRatio: [
          [2, 'c'],
          [Infinity, 'd'],
        ],
        ...GENERAL,
      },
      hotHollow: { byRatio: [[Infinity, 'd']], ...GENERAL },
      coldHollow: { byRatio: [[Infinity, 'd']], ...GENERAL },
      other: { byRatio: [[Infinity, 'd']], ...GENERAL },
      otherWelded: { byRatio: [[Infinity, 'd']], ...GENERAL },
      source: '6.3.2.3(1), table 6.5',
      correction: 'table 6.6',
      correctionSource: 'table 6.6',
    },
  },
  concrete: {
    gammaC: 1.5,
    gammaS: 1.15,
    partialFactors: 'EN 1992-1-1 table 2.1N',
    alphaCC: 1,
    alphaCT: 1,
    punchingAtColumn: 0.4,
    punchingSource: '6.4.5(3), A1:2014',
  },
  cautions: ['recommended values: the annex of the country of the building decides, and may say otherwise'],
};
