export { firstMoment, scaleLoad, totalForce, type BeamLoad, type DistributedLoad, type MomentLoad, type PointLoad } from './load';
export {
  BeamSolution,
  BeamSystem,
  solveBeam,
  type BeamSupport,
  type Effect,
  type Extreme,
  type Extremes,
  type LineBeam,
  type Piece,
  type Reaction,
} from './solver';
export { evaluate as evaluatePolynomial } from './polynomial';
