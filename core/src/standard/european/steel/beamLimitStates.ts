import type { SteelAnnex } from '../annex';
import type { LimitState } from '../../limitState';
import type { SteelBeamInput } from '../../standard';
import { lateralTorsional, lateralTorsionalCheck } from './beamBuckling';
import type { SectionClass } from './classification';
import { flangeInducedBuckling } from './flangeInduced';
import { checkedSegments } from './lateralTorsional';

/** A beam whose section has been classified and bends. */
export interface BentBeam {
  readonly annex: SteelAnnex;
  readonly input: SteelBeamInput;
  /** Yield strength of the section, MPa. */
  readonly fy: number;
  readonly sectionClass: SectionClass;
  /** Modulus by its class, mm3. */
  readonly W: number;
}

/** Limit states of a steel beam beside bending and shear of its section, which `beam.ts` works out together. */
export const BEAM_LIMIT_STATES: readonly LimitState<BentBeam>[] = [
  {
    id: 'flange-induced-buckling',
    check: ({ input, fy, sectionClass }, sheet) => {
      const { product, shape } = input.section;
      if (product !== 'welded' || (shape.outline !== 'I' && shape.outline !== 'unequalI')) return null;
      return flangeInducedBuckling(input, fy, sectionClass, sheet?.scope('Flange-induced buckling'));
    },
  },
  {
    id: 'lateral-torsional-buckling',
    reads: ['untwisted'],
    check: ({ annex, input, W, fy }, sheet) => {
      const worst = lateralTorsional(annex, checkedSegments(input.section, input.actions.segments), input, W, fy);
      return worst ? lateralTorsionalCheck(annex, worst, input, W, fy, sheet?.scope('Lateral-torsional buckling')) : null;
    },
  },
];
