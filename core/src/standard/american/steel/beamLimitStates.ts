import type { LimitState } from '../../limitState';
import type { Philosophy, SteelBeamInput } from '../../standard';
import { majorBending, majorShear } from './beam';

/** A beam and the philosophy by which it is looked at. */
export interface LookedAtBeam {
  readonly input: SteelBeamInput;
  readonly philosophy: Philosophy;
}

/** Limit states of a steel beam; chapter F gives several rows. */
export const BEAM_LIMIT_STATES: readonly LimitState<LookedAtBeam>[] = [
  { id: 'bending', reads: ['untwisted'], check: ({ input, philosophy }, sheet) => majorBending(input, philosophy, sheet).checks },
  { id: 'shear', check: ({ input, philosophy }, sheet) => majorShear(input, philosophy, sheet?.scope('Shear')) },
];
