export { mustLieApart } from './apart';
export { fromTheSide, readParts, STACKED, type Part, type PartInput } from './parts';
export {
  describePlace,
  jointsOf,
  solveElastic,
  solvePlastic,
  type Elastic,
  type Beyond,
  type Joint,
  type Plastic,
  type PlasticPlace,
} from './solve';
