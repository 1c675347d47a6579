import type { Item } from '../building';
import { ebbwickSailLoft } from './demonstration/ebbwick';
import { quillfernToolLibrary } from './demonstration/quillfern';
import { TALLOW_DEMONSTRATION, tallowOf, tallowWharf } from './demonstration/tallow';

export { filesOf, readProjectFile, writeProjectFile, FILE_FORMAT, type ProjectFile, type StoredFile } from './projectFile';
export { memberSchedule, orderCsv, reactionCsv, writeCsv } from './csv';
export { ownShapesCsv, readOwnShapes, type OwnShape, type ReadOwnShapes } from './ownShapes';
export { FORCE_COLUMNS, readForceSets, type ReadForceSets } from './forceSets';
export { cellsOf, isScheduled, readSchedule, SCHEDULED, scheduleCsv, type ReadSchedule, type ScheduledKind } from './schedule';
export { ebbwickSailLoft, quillfernToolLibrary, tallowOf, tallowWharf };
export { type TallowSize } from './demonstration/tallow';

/** The demonstration buildings drawn by hand, by the slug under which they are stored. */
export const DEMONSTRATIONS: readonly { readonly id: string; readonly items: () => Item[] }[] = [
  { id: 'ebbwick-sail-loft', items: ebbwickSailLoft },
  { id: 'quillfern-tool-library', items: quillfernToolLibrary },
];

/** The generated demonstration building: for size and speed. */
export const GENERATED: { readonly id: string; readonly items: () => Item[] } = {
  id: 'tallow-wharf',
  items: () => tallowWharf(TALLOW_DEMONSTRATION),
};
