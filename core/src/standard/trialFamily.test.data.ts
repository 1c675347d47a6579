import type { FamilyProfile } from '../family/profile';
import { METRIC } from '../family/start';
import type { Annex } from './european/annex';

/** Stands for any family that is added: its own name, units and rules, a grade that no other starts with, and an annex that agrees with no other. */
export const TRIAL_PROFILE: FamilyProfile = {
  ...METRIC,
  title: 'Trial code',
  rules: ['6.10', '6.10ab'],
  serviceLevels: ['characteristic', 'frequent', 'quasiPermanent'],
  brief: { ...METRIC.brief, grade: 'S235', hollowGrade: 'S275H', roundGrade: 'S275H', concrete: 'C25/30', bar: '20' },
  wallSpread: { angle: 0.4, depth: 'whole', source: 'trial rule 6' },
  samples: {
    ...METRIC.samples,
    floorBeam: 'IPE 400',
    beam: 'IPE 450',
    column: 'HEB 180',
    beamColumn: 'HEB 220',
    angle: { section: 'L 90x90x10', grade: 'S235' },
    footingBar: '20',
  },
  usualShapes: { beam: ['IPE'], column: ['HEB'] },
};

const psi = { psi0: 0.65, psi1: 0.45, psi2: 0.25 };
const any = { byRatio: [[Infinity, 'd']], plateau: 0.3, beta: 0.9 } as const;

export const TRIAL_ANNEX: Annex = {
  title: 'trial annex',
  edition: 'trial annex',
  actions: {
    psiOfUse: { A: psi, B: psi, C: psi, D: psi, E: psi, F: psi, G: psi },
    psiOfNature: { roofImposed: psi, snow: psi, wind: psi, temperature: psi },
    gammaG: 1.31,
    gammaQ: 1.57,
    xi: 0.87,
    equilibrium: { unfavourable: 1.13, favourable: 0.91, source: 'trial annex 1' },
  },
  imposedReduction: () => null,
  steel: {
    gammaM0: 1.03,
    gammaM1: 1.07,
    gammaM2: 1.21,
    partialFactors: 'trial annex 2',
    eta: 1.1,
    etaSource: 'trial annex 3',
    lateralTorsional: {
      rolledI: any,
      weldedI: any,
      hotHollow: any,
      coldHollow: any,
      other: any,
      otherWelded: any,
      source: 'trial annex 4',
      correction: 'C1',
      correctionSource: 'trial annex 5',
    },
  },
  concrete: {
    gammaC: 1.43,
    gammaS: 1.11,
    partialFactors: 'trial annex 6',
    alphaCC: 0.93,
    alphaCT: 0.97,
    punchingAtColumn: 0.45,
    punchingSource: 'trial annex 7',
  },
  cautions: ['a trial: nothing is built by it'],
};
