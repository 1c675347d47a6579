import { actionSchema, buildUpSchema } from '../load';
import { beamSchema, trussSchema } from './schema/beam';
import { briefSchema } from './schema/brief';
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

/** Items of a building, by kind. Positions x, y in mm on plan; elevations in mm; every reference is an item's id. */
export const ITEM_SCHEMAS = {
  brief: briefSchema,
  level: levelSchema,
  action: actionSchema,
  buildUp: buildUpSchema,
  beam: beamSchema,
  truss: trussSchema,
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
