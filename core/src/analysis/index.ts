export type { EndForces, EndSet } from './endForces';
export { MOMENT_GROWTHS, pickParts, type Pickable } from './pick';
export { BeamModel } from './beamModel';
export { ColumnModel, type ColumnForces, type ColumnPart, type ColumnWeights, type OffAxisBearing } from './columnModel';
export type { Loading } from './loading';
export type { LoadPart } from './parts';
