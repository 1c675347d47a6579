import { z } from 'zod';
import { quantity } from '../../quantity';
import { postConnectionSchema } from './connection';
import { BEARERS, locked, mark, note, onLevel, pointSchema, reduction, status, supportsFound } from './common';
import { refersTo } from '../../schema';
import { madeOf } from './material';

/** How the two ends of a column are held; number: its effective length is typed. */
export const END_CONDITIONS = ['number', 'pinnedPinned', 'fixedPinned', 'fixedFixed', 'fixedFree', 'fixedSway', 'pinnedSway'] as const;
export type EndConditions = (typeof END_CONDITIONS)[number];
const endConditions = z.enum(END_CONDITIONS).default('number');
const heldHeights = z
  .array(quantity('length', 'height above the base', { above: 0 }))
  .max(20, 'at most 20 places')
  .default([]);

export const columnSchema = madeOf({
  mark,
  at: pointSchema,
  base: onLevel('level at which it stands'),
  top: onLevel('level that it reaches'),
  supportsFound,
  by: refersTo(BEARERS, 'what it stands on').nullable(),
  connections: z.array(postConnectionSchema).max(20).default([]).describe('what is said of the connection at its foot'),
  ownWeight: quantity('lineLoad', 'own weight; of steel an allowance while no section is chosen', { min: 0 }),
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

export const hangerSchema = z.strictObject({
  mark,
  at: pointSchema,
  top: onLevel('level of the member that it hangs from'),
  base: onLevel('level of what it carries'),
  supportsFound,
  by: refersTo(BEARERS, 'the beam above that it hangs from').nullable(),
  connections: z.array(postConnectionSchema).max(20).default([]).describe('what is said of the connection at its head'),
  ownWeight: quantity('lineLoad', 'own weight', { min: 0 }),
  status,
  note,
});
