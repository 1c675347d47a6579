export * from './nature';
export * from './reduction';
export { arrangementName, arrangements } from './pattern';
export {
  areaLoads,
  buildUpSchema,
  CARRIERS,
  layerSchema,
  sumByCase,
  variableLoadSchema,
  variableTotal,
  type AreaLoadPart,
  type BuildUp,
  type Layer,
} from './buildUp';
export {
  combine,
  combinePressing,
  combineRelieving,
  combineWorst,
  factorsFor,
  type Combination,
  type Effects,
  type LoadRules,
} from './combination';
