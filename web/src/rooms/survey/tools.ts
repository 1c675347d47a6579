import type { PlacedKind } from '@plinth/core';

/** What is done to a drawing that lies under the plan, each by two points. */
export type DrawingTool = 'scale' | 'bring' | 'square';

/** What the mouse does on the plan. */
export interface SurveyTool {
  readonly id: 'select' | PlacedKind | 'rectangle' | 'opening' | 'areaLoad' | 'note' | 'split' | 'measure' | DrawingTool;
  readonly title: string;
  readonly key: string;
  /** How many points it takes; 0: as many as one likes, closed on the first. */
  readonly points: number;
  readonly hint: string;
}

export const TOOLS: readonly SurveyTool[] = [
  { id: 'select', title: 'Select', key: 'v', points: 0, hint: 'Click to choose, drag to move, drag a box to choose several; Del removes' },
  { id: 'beam', title: 'Beam', key: 'b', points: 2, hint: 'Click both ends; type a length such as 4.5 or 4.5<30; Shift keeps it square' },
  { id: 'truss', title: 'Truss', key: 't', points: 2, hint: 'Click both ends; it is taken down as a simple beam and not verified' },
  { id: 'column', title: 'Column', key: 'c', points: 1, hint: 'Click where it stands' },
  { id: 'wall', title: 'Wall', key: 'w', points: 2, hint: 'Click both ends; type a length; Shift keeps it square' },
  { id: 'rectangle', title: 'Panel', key: 'p', points: 2, hint: 'Click two opposite corners' },
  {
    id: 'panel',
    title: 'Outline',
    key: 'l',
    points: 0,
    hint: 'A panel of any outline: click the corners; click the first again, or Enter, to close',
  },
  { id: 'opening', title: 'Opening', key: 'o', points: 2, hint: 'Click two opposite corners inside a panel' },
  { id: 'areaLoad', title: 'Load', key: 'a', points: 2, hint: 'An extra load on a part of a panel: click two opposite corners' },
  { id: 'hanger', title: 'Hanger', key: 'h', points: 1, hint: 'Click where it hangs' },
  { id: 'footing', title: 'Pad', key: 'f', points: 1, hint: 'Click its centre' },
  { id: 'stripFooting', title: 'Strip', key: 's', points: 2, hint: 'Click both ends' },
  { id: 'gridline', title: 'Grid', key: 'g', points: 2, hint: 'Click both ends; Shift keeps it square' },
  {
    id: 'split',
    title: 'Split',
    key: 'x',
    points: 2,
    hint: 'Draw a line across: what is chosen is split where the line crosses it; with nothing chosen, everything of the level',
  },
  { id: 'note', title: 'Note', key: 'n', points: 1, hint: 'Click where the note is pinned; on a member it is about that member' },
  { id: 'measure', title: 'Measure', key: 'm', points: 0, hint: 'Click from place to place: lengths, and the area when closed' },
];

export const DRAWING_TOOLS: readonly (SurveyTool & { readonly id: DrawingTool })[] = [
  {
    id: 'scale',
    title: 'Scale',
    key: 'k',
    points: 2,
    hint: 'Click two points of the drawing, then type their true distance',
  },
  {
    id: 'bring',
    title: 'Bring',
    key: 'j',
    points: 2,
    hint: 'Click a point of the drawing, then the place on plan where it belongs',
  },
  {
    id: 'square',
    title: 'Square',
    key: 'q',
    points: 2,
    hint: 'Click two points of a line of the drawing that runs straight across or straight up',
  },
];

export function isDrawingTool(id: SurveyTool['id']): id is DrawingTool {
  return DRAWING_TOOLS.some((tool) => tool.id === id);
}

/**
 * What is read off a drawing lies where it lies: no grid draws the pencil away from it. Where a drawing is brought to, there is one.
 * @param placed how many points the tool has already
 */
export function isFree(id: SurveyTool['id'], placed: number): boolean {
  return id === 'measure' || (isDrawingTool(id) && !(id === 'bring' && placed > 0));
}
