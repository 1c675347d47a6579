import { z } from 'zod';
import { quantity } from '../../quantity';
import { refersTo, text } from '../../schema';

/** What the items of a building have in common. Positions x, y in mm on plan; every reference is an item's id. */

/** Kinds that carry what stands or rests on them. */
export const BEARERS = ['beam', 'truss', 'column', 'wall', 'footing', 'stripFooting'] as const;
/** Kinds on which a load acts, or of which a note speaks. */
export const MEMBERS = ['beam', 'truss', 'column', 'wall', 'hanger', 'footing', 'stripFooting', 'panel'] as const;
export const onLevel = (what: string) => refersTo(['level'], what);
export const mark = text(24, 1, 'a mark is needed, such as B1').describe('mark on the drawings');
export const pointSchema = z.strictObject({ x: quantity('position', 'east on plan'), y: quantity('position', 'north on plan') });
export const status = z.enum(['new', 'existing', 'removed']).default('new').describe('new, existing or removed');
export const reduction = z
  .enum(['brief', 'none'])
  .default('brief')
  .describe('reduction of imposed floor load in its design: as in the brief, or none');
export const locked = z.boolean().default(false).describe('true: its section stays when members are sized');
export const note = text(2000).default('').describe('note');

/** Dimensions of a member that were measured: which, by what, and the exact length where the one used was rounded up. */
export const measured = z
  .array(
    z.strictObject({
      field: text(60).describe('dimension: length, or strips.N.width'),
      by: refersTo(['measurement'], 'measurement'),
      exact: quantity('length', 'length as measured', { min: 0 }),
    }),
  )
  .max(100)
  .default([])
  .describe('dimensions that were measured');

export const supportsFound = z.boolean().default(false).describe('true: what it rests on is found from the plan; false: it is named here');

export const outline = z
  .array(pointSchema)
  .min(3, 'an outline needs at least three corners')
  .max(200, 'an outline has at most 200 corners');
