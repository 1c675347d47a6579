import { z } from 'zod';
import { fieldsOf, PAD_INPUTS } from '../../input';
import { quantity } from '../../quantity';
import { mark, note, onLevel, pointSchema, reduction, status } from './common';

export const footingSchema = z.strictObject({
  mark,
  at: pointSchema,
  level: onLevel('level of its top'),
  width: quantity('length', 'size along x', { min: 100, max: 50_000 }).nullable().default(null).describe('null: sized from the load'),
  length: quantity('length', 'size along y', { min: 100, max: 50_000 }).nullable().default(null).describe('null: square'),
  thickness: quantity('sectionLength', 'thickness', { min: 50, max: 5000 }).nullable().default(null).describe('null: sized'),
  method: z.enum(['full', 'ruleOfThumb']).default('full').describe('full check, or the small-house rule of thumb'),
  bearing: quantity('bearing', 'allowable bearing of this footing', { min: 0.005, max: 50 })
    .nullable()
    .default(null)
    .describe('null: as in the brief'),
  foundingDepth: quantity('length', 'underside below ground of this footing', { min: 0, max: 50_000 })
    .nullable()
    .default(null)
    .describe('underside of this footing below ground; null: as in the brief'),
  heated: z.boolean().default(false).describe('true: it lies inside a heated building, where frost does not reach it'),
  ...fieldsOf(PAD_INPUTS),
  reduction,
  status,
  note,
});

export const stripFootingSchema = z.strictObject({
  mark,
  from: pointSchema,
  to: pointSchema,
  level: onLevel('level of its top'),
  width: quantity('length', 'width', { min: 100, max: 20_000 }).nullable().default(null).describe('null: not chosen'),
  status,
  note,
});
