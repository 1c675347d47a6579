import { z } from 'zod';
import { quantity } from '../../quantity';
import { BEARERS, mark, measured, note, onLevel, pointSchema, status, supportsFound } from './common';
import { refersTo, text } from '../../schema';

const wallOpeningSchema = z
  .strictObject({
    from: quantity('length', 'start from the wall end', { min: 0 }),
    to: quantity('length', 'end from the wall end', { min: 0 }),
    sill: quantity('length', 'underside above the foot of the wall; 0 for a door', { min: 0 }).default(0),
    head: quantity('length', 'top above the foot of the wall', { above: 0 }),
    bearing: quantity('length', 'bearing of the lintel on each side', { above: 0 }).default(150),
  })
  .refine(({ from, to }) => to > from, { message: 'an opening ends beyond its start', path: ['to'] })
  .refine(({ sill, head }) => head > sill, { message: 'the head of an opening lies above its sill', path: ['head'] });

/** An opening from place to place along a wall, as high as a door. */
export const newWallOpening = (from: number, to: number) => wallOpeningSchema.parse({ from, to, head: 2100 });

export const wallSchema = z.strictObject({
  mark,
  from: pointSchema,
  to: pointSchema,
  base: onLevel('level at which it starts'),
  top: onLevel('level that it reaches'),
  height: quantity('length', 'height of the wall itself; empty: from level to level', { above: 0 })
    .nullable()
    .default(null)
    .describe('height of the wall itself; null: from level to level'),
  buildUp: refersTo(['buildUp'], 'layers and leaves of the wall: its face weighs what they weigh')
    .nullable()
    .default(null)
    .describe('layers and leaves of the wall: its face weighs what they weigh; null: it weighs what is typed'),
  weight: quantity('areaLoad', 'weight per area of its face; of a wall without build-up', { min: 0, max: 0.2 }),
  weightGiven: z.boolean().default(true).describe('false: nobody has typed the weight, it is a usual one'),
  thickness: quantity('sectionLength', 'thickness', { min: 10, max: 5000 }).default(215),
  construction: text(80).default('').describe('construction'),
  openings: z.array(wallOpeningSchema).max(100).default([]).describe('doors and windows'),
  openingsRule: z
    .enum(['ignored', 'around'])
    .default('ignored')
    .describe('ignored: load spreads as if the wall were whole; around: load over an opening goes to the bearings of its lintel'),
  spread: z
    .enum(['angle', 'whole', 'even'])
    .default('angle')
    .describe('how a point load spreads: at an angle down the wall; over the whole wall with its line of action kept; evenly over it'),
  spreadAngle: quantity('angle', 'angle of spread from the vertical', { min: 0, max: 1.2 }).default(Math.PI / 4),
  spreadDepth: z
    .enum(['whole', 'half'])
    .default('whole')
    .describe('how far down it widens at its angle: whole, to the foot; half, to half the height of the wall and no wider below'),
  bears: z.enum(['open', 'yes', 'no']).default('open').describe('does this wall carry load? open until somebody answers'),
  bearsReason: text(500).default('').describe('how one knows'),
  braces: z.boolean().default(false).describe('true: it braces the outside walls, whatever it carries'),
  measured,
  supportsFound,
  by: refersTo(BEARERS, 'the beam that it stands on').nullable(),
  status,
  note,
});
