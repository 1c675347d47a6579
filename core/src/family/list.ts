import type { FamilyProfile } from './profile';
import { METRIC, US } from './start';

const EUROCODES = {
  ...METRIC,
  rules: ['6.10ab', '6.10'],
  serviceLevels: ['characteristic', 'frequent', 'quasiPermanent'],
  brief: { ...METRIC.brief, grade: 'S355', hollowGrade: 'S355H' },
  wallSpread: { angle: Math.PI / 6, depth: 'whole', source: 'EN 1996-1-1 6.1.3' },
} as const;

/** Families of design standards by which a project may work, in the order of lists. A family is known by its name here and nowhere else above the clauses. */
export const PROFILES = {
  european: { title: 'Eurocodes, UK annexes', ...EUROCODES },
  recommended: { title: 'Eurocodes, recommended values', ...EUROCODES },
  american: {
    ...US,
    title: 'ASCE 7, AISC 360, ACI 318',
    rules: ['LRFD', 'ASD'],
    serviceLevels: ['characteristic'],
    brief: { ...US.brief, grade: 'A992', hollowGrade: 'A500C' },
    // two down to one across
    wallSpread: { angle: Math.atan(0.5), depth: 'half', source: 'TMS 402 5.1.3' },
  },
  british: {
    ...METRIC,
    title: 'BS 5950-1, older British practice',
    rules: ['BS5950'],
    serviceLevels: ['characteristic'],
    brief: { ...METRIC.brief, grade: 'S275', hollowGrade: 'S355H' },
    wallSpread: { angle: Math.PI / 4, depth: 'whole', source: 'BS 5628-1 34' },
    usualShapes: { beam: ['UB', 'UC'], column: ['UC', 'SHS', 'CHS'] },
  },
} as const satisfies Readonly<Record<string, FamilyProfile>>;
