import { z } from 'zod';
import { actionSchema, buildUpSchema } from '../load';
import { beamSchema } from './schema/beam';
import { briefSchema } from './schema/brief';
import { id, type pointSchema } from './schema/common';
import { footingSchema, stripFootingSchema } from './schema/footing';
import {
  answerSchema,
  drawingSchema,
  gridlineSchema,
  levelSchema,
  loadSchema,
  measurementSchema,
  noteSchema,
  panelSchema,
} from './schema/plan';
import { columnSchema, hangerSchema } from './schema/posts';
import { wallSchema } from './schema/wall';

export { END_CONDITIONS, type EndConditions } from './schema/posts';

/** Items of a building, by kind. Positions x, y in mm on plan; elevations in mm; every reference is an item's id. */
export const ITEM_SCHEMAS = {
  brief: briefSchema,
  level: levelSchema,
  action: actionSchema,
  buildUp: buildUpSchema,
  beam: beamSchema,
  column: columnSchema,
  hanger: hangerSchema,
  wall: wallSchema,
  footing: footingSchema,
  stripFooting: stripFootingSchema,
  panel: panelSchema,
  gridline: gridlineSchema,
  drawing: drawingSchema,
  load: loadSchema,
  measurement: measurementSchema,
  note: noteSchema,
  answer: answerSchema,
} as const;

export type ItemKind = keyof typeof ITEM_SCHEMAS;
export type Body<K extends ItemKind> = z.output<(typeof ITEM_SCHEMAS)[K]>;
export type Item = { [K in ItemKind]: { readonly id: string; readonly kind: K; readonly body: Body<K> } }[ItemKind];

export type Brief = Body<'brief'>;
export type Beam = Body<'beam'>;
export type Column = Body<'column'>;
export type Hanger = Body<'hanger'>;
export type Wall = Body<'wall'>;
export type Footing = Body<'footing'>;
export type StripFooting = Body<'stripFooting'>;
export type Panel = Body<'panel'>;
export type Gridline = Body<'gridline'>;
export type LaidDrawing = Body<'drawing'>;
export type WallOpening = Wall['openings'][number];
export type ExtraLoad = Body<'load'>;
export type Measurement = Body<'measurement'>;
export type PinnedNote = Body<'note'>;
export type PlanPoint = z.output<typeof pointSchema>;

export const itemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ id, kind: z.literal('brief'), body: briefSchema }),
  z.strictObject({ id, kind: z.literal('level'), body: levelSchema }),
  z.strictObject({ id, kind: z.literal('action'), body: actionSchema }),
  z.strictObject({ id, kind: z.literal('buildUp'), body: buildUpSchema }),
  z.strictObject({ id, kind: z.literal('beam'), body: beamSchema }),
  z.strictObject({ id, kind: z.literal('column'), body: columnSchema }),
  z.strictObject({ id, kind: z.literal('hanger'), body: hangerSchema }),
  z.strictObject({ id, kind: z.literal('wall'), body: wallSchema }),
  z.strictObject({ id, kind: z.literal('footing'), body: footingSchema }),
  z.strictObject({ id, kind: z.literal('stripFooting'), body: stripFootingSchema }),
  z.strictObject({ id, kind: z.literal('panel'), body: panelSchema }),
  z.strictObject({ id, kind: z.literal('gridline'), body: gridlineSchema }),
  z.strictObject({ id, kind: z.literal('drawing'), body: drawingSchema }),
  z.strictObject({ id, kind: z.literal('load'), body: loadSchema }),
  z.strictObject({ id, kind: z.literal('measurement'), body: measurementSchema }),
  z.strictObject({ id, kind: z.literal('note'), body: noteSchema }),
  z.strictObject({ id, kind: z.literal('answer'), body: answerSchema }),
]);

/** Every id that an item's body refers to, with the field that does so. */
export function referencesOf(item: Item): { field: string; id: string }[] {
  const found: { field: string; id: string }[] = [];
  const add = (field: string, value: string | null) => {
    if (value !== null) found.push({ field, id: value });
  };
  switch (item.kind) {
    case 'beam':
      add('level', item.body.level);
      item.body.supports.forEach((support, i) => add(`supports.${i}.by`, support.by));
      item.body.strips.forEach((strip, i) => add(`strips.${i}.buildUp`, strip.buildUp));
      item.body.measured.forEach((entry, i) => add(`measured.${i}.by`, entry.by));
      break;
    case 'wall':
      item.body.measured.forEach((entry, i) => add(`measured.${i}.by`, entry.by));
      add('base', item.body.base);
      add('top', item.body.top);
      add('by', item.body.by);
      break;
    case 'column':
    case 'hanger':
      add('base', item.body.base);
      add('top', item.body.top);
      add('by', item.body.by);
      break;
    case 'footing':
    case 'stripFooting':
    case 'drawing':
    case 'measurement':
      add('level', item.body.level);
      break;
    case 'panel':
      add('level', item.body.level);
      add('buildUp', item.body.buildUp);
      break;
    case 'load':
      add('on', item.body.on);
      add('action', item.body.action);
      break;
    case 'buildUp':
      item.body.variable.forEach((load, i) => add(`variable.${i}.action`, load.action));
      break;
    case 'note':
      add('level', item.body.level);
      add('on', item.body.on);
      break;
    case 'brief':
    case 'level':
    case 'action':
    case 'gridline':
    case 'answer':
      break;
  }
  return found;
}

/** What an item is called: its mark, name or label, the words of a note; failing all its id. */
export function itemName({ id, body }: { readonly id: string; readonly body: object }): string {
  const { mark, name, label, text } = body as { mark?: string; name?: string; label?: string; text?: string };
  return mark ?? name ?? label ?? text ?? id;
}
