import type { FamilyProfile } from './profile';
import { METRIC, US } from './start';

const EUROCODES = {
  ...METRIC,
  rules: ['6.10ab', '6.10'],
  serviceLevels: ['characteristic', 'frequent', 'quasiPermanent'],
  brief: { ...METRIC.brief, grade: 'S355', hollowGrade: 'S355H' },
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
  },
  british: {
    ...METRIC,
    title: 'BS 5950-1, older British practice',
    rules: ['BS5950'],
    serviceLevels: ['characteristic'],
    brief: { ...METRIC.brief, grade: 'S275', hollowGrade: 'S355H' },
    usualShapes: { beam: ['UB', 'UC'], column: ['UC', 'SHS', 'CHS'] },
  },
} as const satisfies Readonly<Record<string, FamilyProfile>>;
