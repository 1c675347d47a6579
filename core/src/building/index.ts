export * from './item';
export { MODEL_VERSION, upgradeBody, upgradeItem } from './upgrade';
export { assemble, Assembler } from './assembler';
export { differenceOf, noteDifference } from './difference';
export { MapView, patched } from './readMap';
export {
  isOnLevel,
  levelNameOf,
  levelOf,
  markOf,
  planLength,
  stretchesOf,
  pointAlong,
  project,
  spreadHeight,
  storeyOf,
  wallHeight,
  type Building,
  type Named,
} from './building';
export { broughtTo, onPlan, scaleByRatio, scaledByPoints, sheetCorners, squaredBy } from './drawingScale';
export { measure, roundedUp, shortWay, type Measured } from './measure';
export {
  beside,
  crossingAt,
  isLineItem,
  joinLines,
  joinPanels,
  splitLine,
  splitPanel,
  type Fresh,
  type LineItem,
  type Reshaped,
} from './reshape';
export { changeSchema, readItem, readItems, type Change, type StoredItem } from './command';
export { requireBuildable, requireConsistent, requireWhole } from './rules';
export { areaOf, pointsOf, ringOf } from './region';
export { overlap, overlappingOpenings, overlappingWallOpenings, withJoinedOpenings } from './overlap';
export { readShape, shapeInFull, shapeName } from './shapeName';
export { defaultBrief, item } from './sample';
