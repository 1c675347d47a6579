import type { Check } from '../../../sheet';
import type { LimitState } from '../../limitState';
import type { BarLayer, PadInput } from '../../standard';
import type { ConcreteAnnex } from '../annex';
import { beamShear } from './beamShear';
import type { Direction } from './direction';
import { punch } from './punching';

/** A pad whose bars are known. */
export interface ReinforcedPad {
  readonly annex: ConcreteAnnex;
  readonly input: PadInput;
  /** The column off the middle, mm. */
  readonly off: { readonly x: number; readonly y: number };
  /** Mean design pressure from the column alone, MPa. */
  readonly p: number;
  /** Mean effective depth, mm, and ratio of the bars. */
  readonly d: number;
  readonly rho: number;
  readonly directions: readonly Direction[];
  /** Bars of each direction. */
  readonly layers: readonly BarLayer[];
}

/** Limit states of a pad beside bending and anchorage of its bars, which choose them. */
export const PAD_LIMIT_STATES: readonly LimitState<ReinforcedPad>[] = [
  {
    id: 'shear',
    check: ({ annex, input, directions, layers }, sheet) => {
      const checks: Check[] = [];
      directions.forEach((direction, i) => {
        const ratio = layers[i]!.provided / (direction.across * direction.d);
        const inner = sheet?.scope(`Shear at d from the face, ${direction.title}`);
        beamShear(annex, direction, input, ratio, input.factored.combination, checks, inner);
      });
      return checks;
    },
  },
  {
    id: 'punching',
    check: ({ annex, input, off, p, d, rho }, sheet) => {
      const checks: Check[] = [];
      punch(annex, input, off, p, d, rho, input.factored.combination, checks, sheet?.scope('Punching'));
      return checks;
    },
  },
];
