import { z } from 'zod';
import { buildUpSchema, NATURES, USES } from '../load';
import { quantity } from '../quantity';
import { isSection } from '../section';

/** Items of a building. Positions x, y in mm on plan; elevations in mm; every reference is an item's id. */

const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, 'an id is 1 to 40 letters, digits, - or _');
const reference = id.nullable();
const mark = z
  .string()
  .trim()
  .min(1, 'a mark is needed, such as B1')
  .max(24, 'a mark has at most 24 characters')
  .describe('mark on the drawings');
const pointSchema = z.object({ x: quantity('position', 'east on plan'), y: quantity('position', 'north on plan') });
const status = z.enum(['new', 'existing', 'removed']).default('new').describe('new, existing or removed');
const reduction = z
  .enum(['brief', 'none'])
  .default('brief')
  .describe('reduction of imposed floor load in its design: as in the brief, or none');
const locked = z.boolean().default(false).describe('true: its section stays when members are sized');
const note = z.string().max(2000).default('').describe('note');

/** Families of design standards by which a project may work. */
export const FAMILIES = ['european', 'american', 'british'] as const;
export type Family = (typeof FAMILIES)[number];

export const briefSchema = z.object({
  name: z.string().trim().min(1, 'the project needs a name').max(80).describe('name of the building'),
  family: z.enum(FAMILIES).describe('code family'),
  units: z.enum(['SI', 'US']).describe('units in which the project is shown and typed'),
  combinationRule: z
    .enum(['6.10', '6.10ab', 'LRFD', 'ASD', 'BS5950'])
    .describe('European: 6.10 or 6.10a/6.10b; American: LRFD or ASD; older British: BS5950'),
  grade: z.string().describe('steel grade of rolled shapes'),
  hollowGrade: z.string().describe('steel grade of rectangular hollow shapes'),
  roundGrade: z.string().describe('steel grade of circular hollow shapes'),
  concrete: z.string().describe('concrete of footings'),
  reinforcement: z.enum(['B500B', 'Grade 60']).describe('reinforcing steel'),
  bar: z.string().describe('bar of footings'),
  cover: quantity('sectionLength', 'cover to the bars of footings', { min: 0 }),
  bearing: quantity('bearing', 'allowable bearing pressure', { above: 0 }),
  bearingBasis: z.enum(['gross', 'net']).describe('gross: on all that presses on the soil; net: on what exceeds the soil taken out'),
  bearingSource: z.string().max(200).default('').describe('where the bearing pressure comes from'),
  soilUnitWeight: quantity('unitWeight', 'unit weight of soil and backfill', { min: 0 }),
  concreteUnitWeight: quantity('unitWeight', 'unit weight of reinforced concrete', { above: 0 }),
  foundingDepth: quantity('length', 'underside of footings below ground', { min: 0 }),
  footingStep: quantity('sectionLength', 'footing sizes are rounded up to a multiple of this', { above: 0 }),
  imposedReduction: z
    .enum(['none', 'code'])
    .default('none')
    .describe('reduction of imposed floor load in the design of members: none, or as the code allows'),
  reach: quantity('length', 'how near counts as touching when supports are found', { min: 1, max: 1000 }).default(200),
  deflectionVariable: z.number().min(50).max(2000).describe('span over this: limit under variable load'),
  deflectionTotal: z.number().min(50).max(2000).describe('span over this: limit under total load'),
  deflectionTransfer: z.number().min(50).max(2000).describe('span over this: limit of beams that carry another member'),
  deflectionBrittle: z
    .number()
    .min(50)
    .max(2000)
    .default(480)
    .describe('span over this: limit under variable load of beams that carry brittle finishes'),
  deflectionCrane: z.number().min(50).max(2000).default(600).describe('span over this: limit under variable load of crane runway beams'),
  deflectionCantilever: z
    .number()
    .min(50)
    .max(2000)
    .default(180)
    .describe('own length over this: limit under variable load of overhangs and cantilevers'),
  ownShapes: z
    .array(
      z.object({
        name: z.string().trim().min(1, 'a shape needs a name').max(40, 'a name has at most 40 characters'),
        designation: z
          .string()
          .max(60)
          .refine(
            (text) => text.startsWith('own ') && isSection(text),
            'write an own shape by its dimensions, such as own I 600x250x10x20',
          ),
      }),
    )
    .max(500, 'at most 500 own shapes')
    .default([])
    .describe('shapes of one’s own that members may be sized from'),
  priceHollow: z.number().min(0.2).max(20).default(1.3).describe('price of a kg of hollow sections over that of a kg of rolled shapes'),
  priceWelded: z.number().min(0.2).max(20).default(1.6).describe('price of a kg of welded shapes over that of a kg of rolled shapes'),
  deflectionMostVariable: quantity('sectionLength', 'limit under variable load however long the span', { above: 0 })
    .nullable()
    .default(null),
  deflectionMostTotal: quantity('sectionLength', 'limit under total load however long the span', { above: 0 }).nullable().default(null),
});

export const levelSchema = z.object({
  name: z.string().trim().min(1, 'a level needs a name').max(40).describe('name'),
  elevation: quantity('position', 'elevation above datum'),
});

/** Dimensions of a member that were measured: which, by what, and the exact length where the one used was rounded up. */
const measured = z
  .array(
    z.object({
      field: z.string().max(60).describe('dimension: length, or strips.N.width'),
      by: id.describe('measurement'),
      exact: quantity('length', 'length as measured', { min: 0 }),
    }),
  )
  .max(100)
  .default([])
  .describe('dimensions that were measured');

const stripSchema = z.object({
  buildUp: id.describe('build-up that the strip carries'),
  from: quantity('length', 'start from the beam end', { min: 0 }),
  to: quantity('length', 'end from the beam end', { min: 0 }),
  widthStart: quantity('length', 'tributary width at the start', { min: 0 }),
  widthEnd: quantity('length', 'tributary width at the end', { min: 0 }),
  exactStart: quantity('length', 'exact width at the start', { min: 0 }).nullable().default(null).describe('null: the width is exact'),
  exactEnd: quantity('length', 'exact width at the end', { min: 0 }).nullable().default(null).describe('null: the width is exact'),
  pitch: quantity('angle', 'pitch of the plane; layers act per area of slope', { min: 0, max: 1.4 }).default(0),
  label: z.string().max(60).default('').describe('what the strip is'),
});

const supportsFound = z.boolean().default(false).describe('true: what it rests on is found from the plan; false: it is named here');

const beamSupportSchema = z.object({
  at: quantity('length', 'from the start of the beam', { min: 0 }),
  by: reference.describe('the member that it rests on, or hangs from'),
  holdsDown: z.boolean().default(false).describe('true when the connection can hold the beam down'),
});

export const beamSchema = z.object({
  mark,
  level: id,
  from: pointSchema,
  to: pointSchema,
  role: z.enum(['beam', 'truss']).default('beam').describe('beam, or truss taken down as a simple beam'),
  section: z.string().nullable().default(null).describe('designation of the catalogue; null: not chosen'),
  grade: z.string().nullable().default(null).describe('null: the grade of the brief'),
  ownWeight: quantity('lineLoad', 'allowance for own weight while no section is chosen', { min: 0 }),
  supportsFound,
  supports: z
    .array(beamSupportSchema)
    .describe('where it rests, and on what; when supports are found, only what is held down is read here'),
  hinges: z.array(quantity('length', 'from the start of the beam', { min: 0 })).default([]),
  strips: z.array(stripSchema).default([]).describe('tributary strips of floor or roof'),
  restraint: z
    .enum(['supports', 'floor', 'points'])
    .default('supports')
    .describe('what holds the compression flange: only the supports; the floor along the top flange; points at the positions given'),
  restraintPoints: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .default([])
    .describe('places where both flanges are held sideways'),
  topPoints: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .default([])
    .describe('places where only the top flange is held sideways'),
  bottomPoints: z
    .array(quantity('length', 'from the start of the beam', { min: 0 }))
    .default([])
    .describe('places where only the bottom flange is held sideways; also beside a floor on the top flange'),
  loadHeight: z
    .enum(['centre', 'top'])
    .default('centre')
    .describe('centre: load acts at the shear centre, or is held in place; top: it stands on the top flange and can move with it'),
  untwisted: z
    .boolean()
    .default(false)
    .describe('of a channel: true where it is loaded through its shear centre, or held against twisting by what it carries'),
  stiffBearing: quantity('sectionLength', 'stiff length along the beam under each post that stands on it, such as its base plate', {
    min: 0,
  })
    .default(0)
    .describe('stiff length along the beam under each post that stands on it'),
  seat: quantity('sectionLength', 'stiff length on which it sits at each support; empty: it is connected through its web', { above: 0 })
    .nullable()
    .default(null)
    .describe('stiff length of its seats; null: connected through its web'),
  serves: z
    .enum(['floor', 'brittle', 'crane'])
    .default('floor')
    .describe('what its deflection must spare: a floor or roof; brittle finishes; a crane runway'),
  precamber: quantity('sectionLength', 'upward curve that it is made with, at the middle of its span', { min: 0 })
    .default(0)
    .describe('upward curve that it is made with, at the middle of its span'),
  measured,
  reduction,
  locked,
  status,
  note,
});

/** How the two ends of a column are held; number: its effective length is typed. */
export const END_CONDITIONS = ['number', 'pinnedPinned', 'fixedPinned', 'fixedFixed', 'fixedFree', 'fixedSway', 'pinnedSway'] as const;
export type EndConditions = (typeof END_CONDITIONS)[number];
const endConditions = z.enum(END_CONDITIONS).default('number');
const heldHeights = z
  .array(quantity('length', 'height above the base', { above: 0 }))
  .max(20, 'at most 20 places')
  .default([]);

export const columnSchema = z.object({
  mark,
  at: pointSchema,
  base: id.describe('level at which it stands'),
  top: id.describe('level that it reaches'),
  supportsFound,
  by: reference.describe('what it stands on'),
  section: z.string().nullable().default(null),
  grade: z.string().nullable().default(null),
  ownWeight: quantity('lineLoad', 'allowance for own weight while no section is chosen', { min: 0 }),
  factorY: z.number().min(0.5).max(10).default(1).describe('effective length over storey height, buckling about the major axis'),
  factorZ: z.number().min(0.5).max(10).default(1).describe('effective length over storey height, buckling about the minor axis'),
  endsY: endConditions.describe('how its ends are held, buckling about the major axis; number: the factor typed'),
  endsZ: endConditions.describe('how its ends are held, buckling about the minor axis; number: the factor typed'),
  heldY: heldHeights.describe('heights above the base at which buckling about the major axis is prevented'),
  heldZ: heldHeights.describe('heights above the base at which buckling about the minor axis is prevented'),
  turn: quantity('angle', 'turned anticlockwise; not turned its depth lies along north', { min: -7, max: 7 }).default(0),
  beamsBear: z
    .enum(['nominal', 'central'])
    .default('nominal')
    .describe('nominal: beams that end at it bear off its face, as in simple construction; central: on its axis'),
  reduction,
  locked,
  status,
  note,
});

export const hangerSchema = z.object({
  mark,
  at: pointSchema,
  top: id.describe('level of the member that it hangs from'),
  base: id.describe('level of what it carries'),
  supportsFound,
  by: reference.describe('the beam above that it hangs from'),
  ownWeight: quantity('lineLoad', 'own weight', { min: 0 }),
  status,
  note,
});

const wallOpeningSchema = z.object({
  from: quantity('length', 'start from the wall end', { min: 0 }),
  to: quantity('length', 'end from the wall end', { min: 0 }),
  sill: quantity('length', 'underside above the foot of the wall; 0 for a door', { min: 0 }).default(0),
  head: quantity('length', 'top above the foot of the wall', { above: 0 }),
  bearing: quantity('length', 'bearing of the lintel on each side', { above: 0 }).default(150),
});

export const wallSchema = z.object({
  mark,
  from: pointSchema,
  to: pointSchema,
  base: id.describe('level at which it starts'),
  top: id.describe('level that it reaches'),
  weight: quantity('areaLoad', 'weight per area of its face', { min: 0 }),
  thickness: quantity('sectionLength', 'thickness', { above: 0 }).default(215),
  construction: z.string().max(80).default('').describe('construction'),
  openings: z.array(wallOpeningSchema).default([]).describe('doors and windows'),
  openingsRule: z
    .enum(['ignored', 'around'])
    .default('ignored')
    .describe('ignored: load spreads as if the wall were whole; around: load over an opening goes to the bearings of its lintel'),
  spread: z
    .enum(['angle', 'whole', 'even'])
    .default('angle')
    .describe('how a point load spreads: at an angle down the wall; over the whole wall with its line of action kept; evenly over it'),
  spreadAngle: quantity('angle', 'angle of spread from the vertical', { min: 0, max: 1.2 }).default(Math.PI / 4),
  bears: z.enum(['open', 'yes', 'no']).default('open').describe('does this wall carry load? open until somebody answers'),
  bearsReason: z.string().max(500).default('').describe('how one knows'),
  braces: z.boolean().default(false).describe('true: it braces the outside walls, whatever it carries'),
  measured,
  supportsFound,
  by: reference.describe('the beam that it stands on'),
  status,
  note,
});

export const footingSchema = z.object({
  mark,
  at: pointSchema,
  level: id.describe('level of its top'),
  width: quantity('length', 'size along x', { above: 0 }).nullable().default(null).describe('null: sized from the load'),
  length: quantity('length', 'size along y', { above: 0 }).nullable().default(null).describe('null: square'),
  thickness: quantity('sectionLength', 'thickness', { above: 0 }).nullable().default(null).describe('null: sized'),
  method: z.enum(['full', 'ruleOfThumb']).default('full').describe('full check, or the small-house rule of thumb'),
  bearing: quantity('bearing', 'allowable bearing of this footing', { above: 0 })
    .nullable()
    .default(null)
    .describe('null: as in the brief'),
  reduction,
  status,
  note,
});

export const stripFootingSchema = z.object({
  mark,
  from: pointSchema,
  to: pointSchema,
  level: id.describe('level of its top'),
  width: quantity('length', 'width', { above: 0 }).nullable().default(null).describe('null: not chosen'),
  status,
  note,
});

const outline = z.array(pointSchema).min(3, 'an outline needs at least three corners').max(200, 'an outline has at most 200 corners');

export const panelSchema = z.object({
  mark,
  level: id,
  outline: outline.describe('corners in order'),
  openings: z
    .array(z.object({ label: z.string().max(40).default('').describe('what it is'), outline }))
    .default([])
    .describe('openings: their edges carry nothing'),
  buildUp: id.describe('build-up of the panel'),
  span: z.enum(['oneWay', 'twoWay']).default('oneWay').describe('one way along its arrow, or two ways to the nearest edges'),
  direction: quantity('angle', 'direction of a one-way span, from east towards north', { min: -7, max: 7 }).default(0),
  pitch: quantity('angle', 'pitch of the plane; layers act per area of slope', { min: 0, max: 1.4 }).default(0),
  continuity: z.enum(['simple', 'continuous']).default('simple').describe('simple spans, or continuous over inner supports'),
  status,
  note,
});

export const gridlineSchema = z.object({
  label: z.string().trim().min(1, 'a gridline needs a label').max(8, 'a label has at most 8 characters').describe('label'),
  from: pointSchema,
  to: pointSchema,
});

/** A drawing laid under a level, to scale: a picture, a page of a PDF, or the lines of a DXF. */
export const drawingSchema = z.object({
  name: z.string().trim().min(1, 'a drawing needs a name').max(80).describe('name'),
  level: id.describe('level under which it lies'),
  file: z
    .string()
    .regex(/^[0-9a-f]{64}$/, 'a file is named by its hash')
    .describe('hash of the file'),
  format: z.enum(['picture', 'pdf', 'dxf']).default('picture').describe('PNG or JPG; a page of a PDF; lines of a DXF'),
  page: z.number().int().min(1).max(5000).default(1).describe('page of a PDF'),
  hiddenLayers: z.array(z.string().max(255)).max(2000).default([]).describe('layers of a DXF that are not shown'),
  width: z.number().positive().max(1e9).describe('width: pixels of a picture, points of a PDF, units of a DXF'),
  height: z.number().positive().max(1e9).describe('height, likewise'),
  at: pointSchema.describe('middle of the drawing on plan'),
  scale: z.number().positive('a scale is greater than 0').max(100_000).describe('mm on plan to a pixel, point or unit'),
  scaleSource: z.string().max(120).default('').describe('how the scale was set'),
  turn: quantity('angle', 'turned anticlockwise', { min: -7, max: 7 }).default(0),
  opacity: z.number().min(0.05, 'at least 0.05').max(1, 'at most 1').default(0.6).describe('1: as it is; less: faded'),
  locked: z.boolean().default(false).describe('true: it does not move'),
});

export const loadSchema = z.object({
  label: z.string().trim().min(1, 'a load needs a name').max(60).describe('what the load is'),
  on: id.describe('member that it acts on; of an area load the panel'),
  type: z.enum(['point', 'line', 'area']).describe('point or line on a member, or an area of a panel'),
  nature: z.enum(NATURES).describe('nature'),
  use: z.enum(USES).optional().describe('use of an imposed load'),
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
export const measurementSchema = z.object({
  name: z.string().trim().min(1, 'a measurement needs a name').max(60, 'a name has at most 60 characters').describe('what was measured'),
  level: id.describe('level on whose plan it was read'),
  points: z.array(pointSchema).min(2, 'a measurement has two points at least').max(200).describe('from place to place'),
  closed: z.boolean().default(false).describe('true: the last place joins the first, and there is an area'),
  source: z.string().max(200).default('').describe('from which drawing and scale'),
  pitch: quantity('angle', 'pitch of what was measured on plan; its slope is longer', { min: 0, max: 1.4 }).default(0),
  note,
});

/** A note pinned to a place of a plan, and to a member when there is one. */
export const noteSchema = z.object({
  text: z.string().trim().min(1, 'a note needs words').max(500, 'a note has at most 500 characters').describe('words'),
  level: id,
  at: pointSchema,
  on: reference.describe('what it is about'),
});

/** An assumption that somebody has confirmed, with the reason. */
export const answerSchema = z.object({
  key: z.string().min(1).max(160).describe('key of the assumption'),
  reason: z.string().trim().min(1, 'write why it may be taken so').max(500).describe('reason'),
  by: z.string().trim().min(1, 'write who confirms it').max(60).describe('who confirms it'),
});

export const ITEM_SCHEMAS = {
  brief: briefSchema,
  level: levelSchema,
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
  z.object({ id, kind: z.literal('brief'), body: briefSchema }),
  z.object({ id, kind: z.literal('level'), body: levelSchema }),
  z.object({ id, kind: z.literal('buildUp'), body: buildUpSchema }),
  z.object({ id, kind: z.literal('beam'), body: beamSchema }),
  z.object({ id, kind: z.literal('column'), body: columnSchema }),
  z.object({ id, kind: z.literal('hanger'), body: hangerSchema }),
  z.object({ id, kind: z.literal('wall'), body: wallSchema }),
  z.object({ id, kind: z.literal('footing'), body: footingSchema }),
  z.object({ id, kind: z.literal('stripFooting'), body: stripFootingSchema }),
  z.object({ id, kind: z.literal('panel'), body: panelSchema }),
  z.object({ id, kind: z.literal('gridline'), body: gridlineSchema }),
  z.object({ id, kind: z.literal('drawing'), body: drawingSchema }),
  z.object({ id, kind: z.literal('load'), body: loadSchema }),
  z.object({ id, kind: z.literal('measurement'), body: measurementSchema }),
  z.object({ id, kind: z.literal('note'), body: noteSchema }),
  z.object({ id, kind: z.literal('answer'), body: answerSchema }),
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
      break;
    case 'note':
      add('level', item.body.level);
      add('on', item.body.on);
      break;
    case 'brief':
    case 'level':
    case 'buildUp':
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
