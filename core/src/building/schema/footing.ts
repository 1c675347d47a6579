import { z } from 'zod';
import { quantity } from '../../quantity';
import { id, mark, note, pointSchema, reduction, status } from './common';

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
