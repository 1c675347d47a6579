import type { Item } from '@plinth/core';

/** The schedules under the plan. */
export const TABLES = [
  { kind: 'beam', title: 'Beams' },
  { kind: 'column', title: 'Columns' },
  { kind: 'wall', title: 'Walls' },
  { kind: 'panel', title: 'Panels' },
  { kind: 'hanger', title: 'Hangers' },
  { kind: 'footing', title: 'Pads' },
  { kind: 'stripFooting', title: 'Strips' },
  { kind: 'gridline', title: 'Grid' },
  { kind: 'load', title: 'Loads' },
  { kind: 'drawing', title: 'Drawings' },
  { kind: 'measurement', title: 'Measured' },
  { kind: 'note', title: 'Notes' },
] as const;
export type TableKind = (typeof TABLES)[number]['kind'];

/** What stands in one of them. */
export type Member = Extract<Item, { kind: TableKind }>;

/** What comes to be on the plan only, and how. */
export const ON_PLAN = {
  drawing: 'None yet. Lay a PNG, a JPG, a page of a PDF or a DXF under this level with “Lay drawing…”, above the plan.',
  measurement: 'None yet. Press M, click from place to place on the plan, and keep what was measured.',
  note: 'None yet. Press N and click where the note is pinned; on a member it is about that member.',
} as const;
export type MadeOnPlan = keyof typeof ON_PLAN;

export function isMadeOnPlan(kind: TableKind): kind is MadeOnPlan {
  return kind in ON_PLAN;
}
