import type { ComponentType } from 'react';
import type { Item, ItemKind, Kind } from '@plinth/core';
import * as cells from './cells';
import { BeamForm } from './forms/BeamForm';
import type { Of } from './forms/common';
import { DrawingForm } from './forms/DrawingForm';
import { GridlineForm } from './forms/GridlineForm';
import { LoadForm } from './forms/LoadForm';
import { MeasurementForm } from './forms/MeasurementForm';
import { NoteForm } from './forms/NoteForm';
import { PanelForm } from './forms/PanelForm';
import { ColumnForm, FootingForm, HangerForm, StripFootingForm } from './forms/PostForms';
import { TrussForm } from './forms/TrussForm';
import { WallForm } from './forms/WallForm';

/** Head of a column of a schedule: its title and, of a number, what it is a number of. */
type Head = readonly [title: string, unit?: Kind];

/** How Survey shows items of a kind: their schedule under the plan, and all of one beside it. */
interface SurveyKind<K extends ItemKind> {
  /** On the tab of its schedule. */
  readonly title: string;
  /** Heads of its schedule beside the first, which names the row. */
  readonly heads: readonly Head[];
  readonly Cells: ComponentType<{ item: Of<K> }>;
  readonly Form: ComponentType<{ item: Of<K> }>;
  /** On the button that adds one; null: it comes to be on the plan only. */
  readonly add: string | null;
  /** Said of an empty schedule, where it is not the usual words. */
  readonly empty?: string;
}

const FROM_TO: readonly Head[] = [
  ['from x', 'position'],
  ['from y', 'position'],
  ['to x', 'position'],
  ['to y', 'position'],
];
const AT: readonly Head[] = [
  ['x', 'position'],
  ['y', 'position'],
];

/** Every kind once, in the order of the tabs; null: Survey does not list it, another room edits it. */
export const SURVEY_KINDS = {
  beam: {
    title: 'Beams',
    heads: [['Level'], ...FROM_TO, ['length', 'length'], ['Section'], ['Rests on']],
    Cells: cells.BeamCells,
    Form: BeamForm,
    add: 'Add a beam',
  },
  truss: {
    title: 'Trusses',
    heads: [['Level'], ...FROM_TO, ['length', 'length'], ['Rests on']],
    Cells: cells.TrussCells,
    Form: TrussForm,
    add: 'Add a truss',
  },
  column: {
    title: 'Columns',
    heads: [...AT, ['From'], ['To'], ['Section'], ['Stands on']],
    Cells: cells.ColumnCells,
    Form: ColumnForm,
    add: 'Add a column',
  },
  wall: {
    title: 'Walls',
    heads: [...FROM_TO, ['face', 'areaLoad'], ['Stands on']],
    Cells: cells.WallCells,
    Form: WallForm,
    add: 'Add a wall',
  },
  panel: {
    title: 'Panels',
    heads: [['Level'], ['Build-up'], ['Spans'], ['Area', 'floorArea'], ['Lies on']],
    Cells: cells.PanelCells,
    Form: PanelForm,
    add: 'Add a panel',
  },
  hanger: {
    title: 'Hangers',
    heads: [...AT, ['Top'], ['Foot'], ['Hangs from']],
    Cells: cells.HangerCells,
    Form: HangerForm,
    add: 'Add a hanger',
  },
  footing: {
    title: 'Pads',
    heads: [...AT, ['Level'], ['Method']],
    Cells: cells.FootingCells,
    Form: FootingForm,
    add: 'Add a pad',
  },
  stripFooting: {
    title: 'Strips',
    heads: [...FROM_TO, ['Level']],
    Cells: cells.StripFootingCells,
    Form: StripFootingForm,
    add: 'Add a strip footing',
  },
  gridline: { title: 'Grid', heads: FROM_TO, Cells: cells.GridlineCells, Form: GridlineForm, add: 'Add a gridline' },
  load: {
    title: 'Loads',
    heads: [['On'], ['Case'], ['Where'], ['Amount']],
    Cells: cells.LoadCells,
    Form: LoadForm,
    add: 'Add a load',
  },
  drawing: {
    title: 'Drawings',
    heads: [['Level'], ['Scale set by'], ['Strength']],
    Cells: cells.DrawingCells,
    Form: DrawingForm,
    add: null,
    empty: 'None yet. Lay a PNG, a JPG, a page of a PDF or a DXF under this level with “Lay drawing…”, above the plan.',
  },
  measurement: {
    title: 'Measured',
    heads: [['Level'], ['On plan', 'length'], ['From']],
    Cells: cells.MeasurementCells,
    Form: MeasurementForm,
    add: null,
    empty: 'None yet. Press M, click from place to place on the plan, and keep what was measured.',
  },
  note: {
    title: 'Notes',
    heads: [['Level'], ['About']],
    Cells: cells.NoteCells,
    Form: NoteForm,
    add: null,
    empty: 'None yet. Press N and click where the note is pinned; on a member it is about that member.',
  },
  brief: null,
  level: null,
  action: null,
  buildUp: null,
  answer: null,
} as const satisfies { readonly [K in ItemKind]: SurveyKind<K> | null };

/** Kinds with a schedule under the plan. */
export type TableKind = { [K in ItemKind]: (typeof SURVEY_KINDS)[K] extends null ? never : K }[ItemKind];
/** What stands in one of them. */
export type Member = Extract<Item, { kind: TableKind }>;

/** A kind as Survey shows it, asked as if all were of one type: what one gives is given to no other. */
export function surveyKind(kind: ItemKind): SurveyKind<ItemKind> | null {
  return SURVEY_KINDS[kind] as unknown as SurveyKind<ItemKind> | null;
}

export const TABLE_KINDS = (Object.keys(SURVEY_KINDS) as ItemKind[]).filter((kind): kind is TableKind => surveyKind(kind) !== null);
