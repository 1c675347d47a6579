/** Quantity kinds: what a number means. Inside the core every number is in N, mm, MPa (kg for mass); kinds say how to show it. */

export const KINDS = [
  'ratio',
  'count',
  'length',
  'position',
  'sectionLength',
  'area',
  'floorArea',
  'sectionModulus',
  'secondMoment',
  'torsionConstant',
  'warpingConstant',
  'force',
  'moment',
  'lineLoad',
  'areaLoad',
  'unitWeight',
  'stress',
  'bearing',
  'massPerLength',
  'barArea',
  'stiffness',
  'angle',
] as const;

export type Kind = (typeof KINDS)[number];
export type UnitSystem = 'SI' | 'US';

/** Exponents of force, length and mass. */
export type Dimension = readonly [force: number, length: number, mass: number];

export const DIMENSION: Record<Kind, Dimension> = {
  ratio: [0, 0, 0],
  count: [0, 0, 0],
  angle: [0, 0, 0],
  length: [0, 1, 0],
  position: [0, 1, 0],
  sectionLength: [0, 1, 0],
  area: [0, 2, 0],
  floorArea: [0, 2, 0],
  sectionModulus: [0, 3, 0],
  secondMoment: [0, 4, 0],
  torsionConstant: [0, 4, 0],
  warpingConstant: [0, 6, 0],
  force: [1, 0, 0],
  moment: [1, 1, 0],
  lineLoad: [1, -1, 0],
  areaLoad: [1, -2, 0],
  unitWeight: [1, -3, 0],
  stress: [1, -2, 0],
  bearing: [1, -2, 0],
  massPerLength: [0, -1, 1],
  barArea: [0, 1, 0],
  stiffness: [1, 2, 0],
};
