export * from './nature';
export * from './action';
export * from './reduction';
export { spansInWords } from './pattern';
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
  actingTerms,
  combinePressing,
  combineRelieving,
  combineWorst,
  factorsFor,
  SERVICE_LEVELS,
  SERVICE_LEVEL_LABEL,
  uncombined,
  type ActingTerm,
  type Combination,
  type Effects,
  type LoadRules,
  type ServiceLevel,
} from './combination';
