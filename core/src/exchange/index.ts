import type { Item } from '../building';
import { ebbwickSailLoft } from './demonstration/ebbwick';
import { quillfernToolLibrary } from './demonstration/quillfern';

export { readProjectFile, writeProjectFile, FILE_FORMAT, type ProjectFile } from './projectFile';
export { memberSchedule, reactionSchedule, writeCsv } from './csv';
export { ebbwickSailLoft, quillfernToolLibrary };

/** The demonstration buildings, by the slug under which they are stored. */
export const DEMONSTRATIONS: readonly { readonly id: string; readonly items: () => Item[] }[] = [
  { id: 'ebbwick-sail-loft', items: ebbwickSailLoft },
  { id: 'quillfern-tool-library', items: quillfernToolLibrary },
];
