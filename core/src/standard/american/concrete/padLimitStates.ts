import type { Check } from '../../../sheet';
import type { LimitState } from '../../limitState';
import type { BarLayer, PadInput } from '../../standard';
import { oneWayShear } from './oneWayShear';
import type { Direction } from './padCommon';
import { twoWayShear } from './twoWayShear';

/** A pad whose bars are known. */
export interface ReinforcedPad {
  readonly input: PadInput;
  /** The column off the middle, mm. */
  readonly off: { readonly x: number; readonly y: number };
  /** Mean factored pressure from the column alone, MPa. */
  readonly qu: number;
  /** Mean effective depth, mm. */
  readonly d: number;
  readonly directions: readonly Direction[];
  /** Bars of each direction. */
  readonly layers: readonly BarLayer[];
}

/** Limit states of a pad beside flexure and development of its bars, which choose them. */
export const PAD_LIMIT_STATES: readonly LimitState<ReinforcedPad>[] = [
  {
    id: 'one-way-shear',
    check: ({ input, directions, layers }, sheet) => {
      const checks: Check[] = [];
      directions.forEach((direction, i) => {
        const ratio = layers[i]!.provided / (direction.across * direction.d);
        oneWayShear(direction, input, ratio, input.factored.combination, checks, sheet?.scope(`One-way shear, ${direction.title}`));
      });
      return checks;
    },
  },
  {
    id: 'two-way-shear',
    check: ({ input, off, qu, d }, sheet) => {
      const checks: Check[] = [];
      twoWayShear(input, off, qu, d, input.factored.combination, checks, sheet?.scope('Two-way shear'));
      return checks;
    },
  },
];
