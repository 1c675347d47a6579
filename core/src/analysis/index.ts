export { pickParts, type Pickable } from './pick';
export { BeamModel, type Loading } from './beamModel';
export type { LoadPart } from './parts';
