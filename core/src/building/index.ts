export * from './item';
export { assemble, isOnLevel, levelNameOf, markOf, planLength, pointAlong, project, type Building, type Named } from './building';
export { onPlan, scaleByRatio, scaledByPoints } from './drawingScale';
export { changeSchema, readItem, requireConsistent, type Change, type StoredItem } from './command';
export { defaultBrief, item } from './sample';
