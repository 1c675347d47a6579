export { BeamModel, type Loading } from './beamModel';
