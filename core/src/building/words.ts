import type { Building } from './building';
import type { ItemKind } from './item';

/** Items as they are called in sentences, tables and lists. */
export const KIND_WORD: Record<ItemKind, string> = {
  brief: 'brief',
  level: 'level',
  action: 'action',
  buildUp: 'build-up',
  beam: 'beam',
  truss: 'truss',
  column: 'column',
  hanger: 'hanger',
  wall: 'wall',
  footing: 'pad',
  stripFooting: 'strip footing',
  panel: 'panel',
  gridline: 'gridline',
  drawing: 'drawing',
  load: 'load',
  measurement: 'measurement',
  note: 'note',
  answer: 'answer',
};

/** What a member is, in a list: what is calculated as a beam may be a truss. */
export function wordOf({ trusses }: Pick<Building, 'trusses'>, { id, kind }: { readonly id: string; readonly kind: ItemKind }): string {
  return KIND_WORD[trusses.has(id) ? 'truss' : kind];
}
