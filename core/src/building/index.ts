export * from './item';
export { MODEL_VERSION, upgradeItem, upgradeStored } from './upgrade';
export { geometryOf, isLineItem, liesInside, movedItem, type Geometry, type LineItem } from './geometry';
export { levelNameOf, levelOf, markOf, marksOf, standing, standingBody, PART, STANDING_KINDS, type StandingKind } from './parts';
export { BEARERS, MEMBERS } from './schema/common';
export { become, mayBecome } from './become';
export { newStrip, newSupport } from './schema/beam';
export { newBeamConnection, saysAnything, saysHeld, type BeamConnection, type PostConnection } from './schema/connection';
export { connectionKey, contactsOf, endsAt, isAmong, saidOf, withSaid, type ConnectionEnd, type Contact } from './connection';
export { newWallOpening } from './schema/wall';
export { KIND_WORD, wordOf } from './words';
export { isPlaced, PLACED, placedItem, storeyAt, type PlacedKind } from './placed';
export { assemble, Assembler } from './assembler';
export { differenceOf, noteDifference } from './difference';
export { MapView, patched } from './readMap';
export {
  isOnLevel,
  planLength,
  stretchesOf,
  pointAlong,
  project,
  landingHeight,
  storeyOf,
  wallHeight,
  faceWeight,
  type Building,
  type Named,
} from './building';
export { broughtTo, onPlan, scaleByRatio, scaledByPoints, sheetCorners, squaredBy } from './drawingScale';
export { measure, roundedUp, shortWay, type Measured } from './measure';
export { beside, crossingAt, joinLines, joinPanels, splitLine, splitPanel, type Fresh, type Reshaped } from './reshape';
export { changeSchema, readItem, readItems, type Change, type StoredItem } from './command';
export { requireBuildable, requireConsistent, requireWhole } from './rules';
export { areaOf, pointsOf, ringOf } from './region';
export { overlap, overlappingOpenings, overlappingWallOpenings, withJoinedOpenings } from './overlap';
export { readShape, shapeInFull, shapeName } from './shapeName';
export { defaultBrief, item } from './sample';
