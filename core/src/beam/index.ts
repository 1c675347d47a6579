export { firstMoment, scaleLoad, totalForce, type BeamLoad, type DistributedLoad, type MomentLoad, type PointLoad } from './load';
export type { BeamStretch, BeamSupport, Effect, Extreme, Extremes, LineBeam, Piece, Reaction } from './model';
export { requireStretches } from './stretches';
export { BeamSolution } from './solution';
export { BeamSystem, solveBeam } from './solver';
export { evaluate as evaluatePolynomial } from './polynomial';
export { lateralBucklingFactor, type LateralMember } from './lateralBuckling';
