import type { FamilyProfile } from './profile';

type Usual = Pick<FamilyProfile, 'materials' | 'units' | 'usualShapes' | 'samples'> & {
  readonly brief: Omit<FamilyProfile['brief'], 'grade' | 'hollowGrade'>;
};

/** Families that build with European materials in metric units. */
export const METRIC = {
  materials: 'european',
  units: 'SI',
  brief: {
    roundGrade: 'S355H',
    concrete: 'C30/37',
    reinforcement: 'B500B',
    bar: '12',
    cover: 50,
    bearing: 0.15,
    soilUnitWeight: 18e-6,
    concreteUnitWeight: 25e-6,
    foundingDepth: 1000,
    footingStep: 50,
    deflectionTotal: 250,
  },
  usualShapes: { beam: ['UB', 'UC', 'IPE', 'HEA', 'HEB'], column: ['UC', 'SHS', 'HEA', 'HEB', 'CHS'] },
  samples: {
    floorBeam: 'UB 406x178x54',
    beam: 'UB 457x191x67',
    column: 'UC 203x203x46',
    beamColumn: 'UC 203x203x60',
    angle: { section: 'L 100x100x10', grade: 'S275' },
    footingBar: '16',
  },
} as const satisfies Usual;

/** Families that build with American materials in US units. */
export const US = {
  materials: 'american',
  units: 'US',
  brief: {
    roundGrade: 'A53B',
    concrete: '4000 psi',
    reinforcement: 'Grade 60',
    bar: '#5',
    cover: 76.2,
    bearing: '3 ksf',
    soilUnitWeight: '110 pcf',
    concreteUnitWeight: '150 pcf',
    foundingDepth: '3 ft',
    footingStep: '6 in',
    deflectionTotal: 240,
  },
  usualShapes: { beam: ['W'], column: ['W', 'HSS'] },
  samples: {
    floorBeam: 'W16X36',
    beam: 'W18X50',
    column: 'W8X31',
    beamColumn: 'W10X49',
    angle: { section: 'L4X4X3/8', grade: 'A36' },
    footingBar: '#5',
  },
} as const satisfies Usual;
