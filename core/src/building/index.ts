export * from './item';
export { assemble, levelNameOf, markOf, planLength, pointAlong, project, type Building, type Named } from './building';
export { scaleByRatio, scaledByPoints } from './drawingScale';
export { changeSchema, readItem, requireConsistent, type Change, type StoredItem } from './command';
export { defaultBrief, item } from './sample';
