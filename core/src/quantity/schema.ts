import { z } from 'zod';
import { PlinthError } from '../error';
import { told } from '../schema';
import { BOUNDS } from './bounds';
import type { Kind } from './kind';
import { parseQuantity } from './parse';
import { DISPLAY } from './unit';

/** Limits of a quantity field, in core units. What is not given follows from what is physically possible of its kind. */
export interface QuantityLimits {
  /** At least this. */
  readonly min?: number;
  /** Greater than this: 0 becomes the smallest value that the kind can have. */
  readonly above?: 0;
  /** At most this. */
  readonly max?: number;
}

/** @returns least and greatest value of a field, core units */
function rangeOf(kind: Kind, { min, above, max }: QuantityLimits): readonly [number, number] {
  const { least, most } = BOUNDS[kind];
  return [min ?? (above === 0 ? least : -most), max ?? most];
}

/**
 * A Zod schema of one quantity. Takes a number in core units (N, mm, MPa, kg) or a string with a unit; gives the number.
 * Kind, description and limits travel in the schema's metadata, from which forms, JSON Schema and replies are made.
 */
export function quantity(kind: Kind, description: string, limits: QuantityLimits = {}) {
  const coreUnit = CORE_UNIT[kind];
  const [least, most] = rangeOf(kind, limits);
  const { factor, label } = DISPLAY.SI[kind];
  const say = (limit: number) => `${Number((limit / factor).toPrecision(6))}${label ? ` ${label}` : ''}`;
  return z
    .union([z.number(), z.string()], {
      error: ({ input }) =>
        input === undefined
          ? 'is missing'
          : `must be a number${coreUnit ? ` in ${coreUnit}, or text with a unit` : ''}, got ${told(input)}`,
    })
    .transform((input, context) => {
      const refuse = (message: string) => {
        context.addIssue({ code: 'custom', message });
        return z.NEVER;
      };
      let value: number;
      try {
        value = typeof input === 'number' ? input : parseQuantity(input, kind, null);
      } catch (error) {
        if (!(error instanceof PlinthError)) throw error;
        return refuse(error.message);
      }
      if (value < least || value > most)
        return refuse(
          `must lie between ${say(least)} and ${say(most)}, got ${typeof input === 'string' ? told(input) : `${input}${coreUnit ? ` ${coreUnit}` : ''}`}`,
        );
      return value;
    })
    .meta({ description: coreUnit ? `${description}; a number in ${coreUnit}, or text with a unit` : description, kind, least, most });
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
