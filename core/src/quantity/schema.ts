import { z } from 'zod';
import { PlinthError } from '../error';
import type { Kind } from './kind';
import { parseQuantity } from './parse';
import { DISPLAY } from './unit';

/** Limits of a quantity field, in core units, with the reason that a person is told. */
export interface QuantityLimits {
  readonly min?: number;
  readonly above?: number;
  readonly max?: number;
}

/**
 * A Zod schema of one quantity. Takes a number in core units (N, mm, MPa, kg) or a string with a unit; gives the number.
 * The kind and description travel in the schema's metadata, from which forms, JSON Schema and replies are made.
 */
export function quantity(kind: Kind, description: string, limits: QuantityLimits = {}) {
  const coreUnit = CORE_UNIT[kind];
  return z
    .union([z.number(), z.string()])
    .transform((input, context) => {
      let value: number;
      try {
        value = typeof input === 'number' ? input : parseQuantity(input, kind, null);
      } catch (error) {
        if (!(error instanceof PlinthError)) throw error;
        context.addIssue({ code: 'custom', message: error.message });
        return z.NEVER;
      }
      const { factor, label } = DISPLAY.SI[kind];
      const say = (limit: number) => `${Number((limit / factor).toPrecision(6))}${label ? ` ${label}` : ''}`;
      let problem: string | undefined;
      if (!Number.isFinite(value)) problem = 'must be a finite number';
      else if (limits.above !== undefined && value <= limits.above) problem = `must be greater than ${say(limits.above)}`;
      else if (limits.min !== undefined && value < limits.min) problem = `must be at least ${say(limits.min)}`;
      else if (limits.max !== undefined && value > limits.max) problem = `must be at most ${say(limits.max)}`;
      if (problem) {
        context.addIssue({ code: 'custom', message: problem });
        return z.NEVER;
      }
      return value;
    })
    .meta({ description: coreUnit ? `${description}; a number in ${coreUnit}, or text with a unit` : description, kind });
}

/** The unit in which a bare number of each kind is read inside the core and the API. */
const CORE_UNIT: Partial<Record<Kind, string>> = {
  length: 'mm',
  position: 'mm',
  sectionLength: 'mm',
  area: 'mm2',
  floorArea: 'mm2',
  sectionModulus: 'mm3',
  secondMoment: 'mm4',
  torsionConstant: 'mm4',
  warpingConstant: 'mm6',
  force: 'N',
  moment: 'Nmm',
  lineLoad: 'N/mm',
  areaLoad: 'N/mm2',
  unitWeight: 'N/mm3',
  stress: 'MPa',
  bearing: 'MPa',
  massPerLength: 'kg/mm',
  stiffness: 'Nmm2',
  angle: 'rad',
};
