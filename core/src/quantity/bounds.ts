import type { Kind } from './kind';

/** What is physically possible of a kind, in core units: `least` is the smallest that is not zero, `most` the greatest of either sign. */
export interface Bounds {
  readonly least: number;
  readonly most: number;
}

/** A field may be narrower, never wider. Wide enough for any building; beyond stands a slip of the keyboard, or nonsense. */
export const BOUNDS: Readonly<Record<Kind, Bounds>> = {
  ratio: { least: 1e-6, most: 1e6 },
  count: { least: 1, most: 1e6 },
  angle: { least: 1e-6, most: 7 },
  // 1 mm to 500 m
  length: { least: 1, most: 5e5 },
  // 1,000 km from the origin: national grids
  position: { least: 1e-3, most: 1e9 },
  sectionLength: { least: 0.1, most: 2e4 },
  area: { least: 1, most: 1e8 },
  floorArea: { least: 1e3, most: 1e12 },
  sectionModulus: { least: 1, most: 1e13 },
  secondMoment: { least: 1, most: 1e17 },
  torsionConstant: { least: 1e-3, most: 1e17 },
  warpingConstant: { least: 1e-3, most: 1e25 },
  // 1 N to 10 GN
  force: { least: 1, most: 1e10 },
  moment: { least: 1e3, most: 1e15 },
  lineLoad: { least: 1e-6, most: 1e5 },
  areaLoad: { least: 1e-9, most: 10 },
  unitWeight: { least: 1e-8, most: 2.5e-4 },
  stress: { least: 0.01, most: 1e6 },
  bearing: { least: 1e-3, most: 100 },
  massPerLength: { least: 1e-6, most: 1e3 },
  barArea: { least: 1e-3, most: 1e3 },
  stiffness: { least: 1e6, most: 1e22 },
};
