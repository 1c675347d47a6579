import { z } from 'zod';
import { caseFields, LOAD_NATURES, USES } from '../../load';
import { quantity } from '../../quantity';
import { mark, MEMBERS, note, onLevel, outline, pointSchema, status } from './common';
import { refersTo, text } from '../../schema';

export const levelSchema = z.strictObject({
  name: text(40, 1, 'a level needs a name').describe('name'),
  elevation: quantity('position', 'elevation above datum'),
});

export const panelSchema = z.strictObject({
  mark,
  level: onLevel('level of the panel'),
  outline: outline.describe('corners in order'),
  openings: z
    .array(
      z.strictObject({
        label: text(40).default('').describe('what it is'),
        outline,
        bridged: z
          .boolean()
          .default(false)
          .describe('true: small and without trimmers, the strips beside it carry what it cuts; read of panels that span one way'),
      }),
    )
    .max(200)
    .default([])
    .describe('openings: their edges carry nothing'),
  buildUp: refersTo(['buildUp'], 'build-up of the panel'),
  span: z.enum(['oneWay', 'twoWay']).default('oneWay').describe('one way along its arrow, or two ways to the nearest edges'),
  direction: quantity('angle', 'direction of a one-way span, from east towards north', { min: -7, max: 7 }).default(0),
  pitch: quantity('angle', 'pitch of the plane; layers act per area of slope', { min: 0, max: 1.4 }).default(0),
  continuity: z.enum(['simple', 'continuous']).default('simple').describe('simple spans, or continuous over inner supports'),
  cantilevers: z
    .boolean()
    .default(false)
    .describe('true: strips with one support under them hang on it and twist it; read of panels that span one way'),
  status,
  note,
});

export const gridlineSchema = z.strictObject({
  label: text(8, 1, 'a gridline needs a label').describe('label'),
  from: pointSchema,
  to: pointSchema,
});

/** A drawing laid under a level, to scale: a picture, a page of a PDF, or the lines of a DXF. */
export const drawingSchema = z.strictObject({
  name: text(80, 1, 'a drawing needs a name').describe('name'),
  level: onLevel('level under which it lies'),
  file: z
    .string()
    .regex(/^[0-9a-f]{64}$/, 'a file is named by its hash')
    .describe('hash of the file'),
  format: z.enum(['picture', 'pdf', 'dxf']).default('picture').describe('PNG or JPG; a page of a PDF; lines of a DXF'),
  page: z.number().int().min(1).max(5000).default(1).describe('page of a PDF'),
  hiddenLayers: z.array(text(255)).max(2000).default([]).describe('layers of a DXF that are not shown'),
  width: z.number().min(0.001).max(1e9).describe('width: pixels of a picture, points of a PDF, units of a DXF'),
  height: z.number().min(0.001).max(1e9).describe('height, likewise'),
  at: pointSchema.describe('middle of the drawing on plan'),
  scale: z.number().min(0.000_01).max(100_000).describe('mm on plan to a pixel, point or unit'),
  scaleSource: text(120).default('').describe('how the scale was set'),
  turn: quantity('angle', 'turned anticlockwise', { min: -7, max: 7 }).default(0),
  opacity: z.number().min(0.05, 'at least 0.05').max(1, 'at most 1').default(0.6).describe('1: as it is; less: faded'),
  locked: z.boolean().default(false).describe('true: it does not move'),
});

export const loadSchema = z.strictObject({
  label: text(60, 1, 'a load needs a name').describe('what the load is'),
  on: refersTo(MEMBERS, 'member that it acts on; of an area load the panel'),
  type: z.enum(['point', 'line', 'area']).describe('point or line on a member, or an area of a panel'),
  nature: z.enum(LOAD_NATURES).describe('nature'),
  use: z.enum(USES).optional().describe('use of an imposed load'),
  ...caseFields,
  at: quantity('length', 'point load: from the start of the member', { min: 0 }).default(0),
  force: quantity('force', 'point load, downward').default(0),
  east: quantity('force', 'point load, horizontal part towards the east').default(0),
  north: quantity('force', 'point load, horizontal part towards the north').default(0),
  from: quantity('length', 'line load: start', { min: 0 }).default(0),
  to: quantity('length', 'line load: end', { min: 0 }).default(0),
  intensity: quantity('lineLoad', 'line load, downward').default(0),
  outline: z.array(pointSchema).max(200, 'an outline has at most 200 corners').default([]).describe('area load: corners in order'),
  pressure: quantity('areaLoad', 'area load, per area of plan, downward').default(0),
});

/** A distance, a chain or an area read off a plan and kept. */
export const measurementSchema = z.strictObject({
  name: text(60, 1, 'a measurement needs a name').describe('what was measured'),
  level: onLevel('level on whose plan it was read'),
  points: z.array(pointSchema).min(2, 'a measurement has two points at least').max(200).describe('from place to place'),
  closed: z.boolean().default(false).describe('true: the last place joins the first, and there is an area'),
  source: text(200).default('').describe('from which drawing and scale'),
  pitch: quantity('angle', 'pitch of what was measured on plan; its slope is longer', { min: 0, max: 1.4 }).default(0),
  note,
});

/** A note pinned to a place of a plan, and to a member when there is one. */
export const noteSchema = z.strictObject({
  text: text(500, 1, 'a note needs words').describe('words'),
  level: onLevel('level on whose plan it is pinned'),
  at: pointSchema,
  on: refersTo(MEMBERS, 'what it is about').nullable(),
});

/** An assumption that somebody has confirmed, with the reason. */
export const answerSchema = z.strictObject({
  key: text(160, 1).describe('key of the assumption'),
  reason: text(500, 1, 'write why it may be taken so').describe('reason'),
  by: text(60, 1, 'write who confirms it').describe('who confirms it'),
});
