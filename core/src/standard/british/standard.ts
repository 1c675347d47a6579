import type { SteelGrade } from '../../material';
import type { Section } from '../../section';
import { EUROPEAN_PHILOSOPHIES } from '../european/combinations';
import { padStrength } from '../european/concrete/pad';
import { effectiveLengths } from '../effectiveLengths';
import type { Standard } from '../standard';
import { BRITISH_PHILOSOPHIES } from './combinations';
import { steelColumn } from './column';
import { steelBeam, steelMember } from './member';
import { imposedReduction } from './reduction';
import { classOf, designStrength, E } from './section';
import { webUnderForce } from './webForce';

/** Class in words; a hollow shape is judged where it is checked. */
function localSlenderness(section: Section, grade: SteelGrade) {
  if (section.shape.outline !== 'I' || section.product !== 'rolled') return { bending: 'not written', compression: 'with its strut check' };
  const py = designStrength(section, grade);
  return { bending: classOf(section, py, null), compression: classOf(section, py, section.properties.A * py) };
}

/** Older British practice: steel by BS 5950-1 under its own load factors; the concrete of pads by EN 1992-1-1 under those of EN 1990. */
export const british: Standard = {
  id: 'british',
  materials: 'european',
  title: 'BS 5950-1, older British practice',
  editions: ['BS 5950-1:2000', 'BS 6399-1:1996', 'pads: EN 1992-1-1:2004 under EN 1990 (6.10)'],
  philosophies: BRITISH_PHILOSOPHIES,
  compared: () => BRITISH_PHILOSOPHIES,
  youngsModulus: () => E,
  steelBeam,
  steelColumn,
  steelMember,
  localSlenderness,
  angleStrut: null,
  webUnderForce,
  memberAssumptions: [
    {
      type: 'assumption',
      key: 'sway',
      text: 'Moments hold what sway of the frame brings.',
      reason: 'Effective lengths without sway, and the simplified method for the member between its supports (4.8.3.3.1).',
    },
  ],
  padThickness: { step: 50, least: 250, leastOfThumb: 150 },
  padStrength,
  imposedReduction,
  concretePhilosophy: () => EUROPEAN_PHILOSOPHIES[0]!,
  effectiveLengths: effectiveLengths(
    'BS 5950-1 table 22',
    { pinnedPinned: 1, fixedPinned: 0.85, fixedFixed: 0.7, fixedFree: 2, fixedSway: 1.2, pinnedSway: 2 },
    { pinnedSway: 'theory' },
  ),
  nominalEccentricity: { beyondFace: 100, source: 'BS 5950-1 4.7.6' },
  unread: {
    member: ['lengthT', 'throughShearCentre'],
    webForce: ['moment', 'opposed', 'unbraced', 'rotationHeld'],
    floors: ['intensity'],
  },
  webClause: 'BS 5950-1 4.5',
  arrangementClause: 'BS 5950-1 5.1.2.2',
  notCovered: [
    'vibration',
    'fire',
    'structural integrity (2.4.5)',
    'overall stability and sway',
    'fatigue',
    'wind, snow, seismic and accidental loads are typed, not derived; temperature, seismic and accidental load has no combination: what it acts on is not verified',
    'a withdrawn standard: whether it may still be used is for the authority to say',
  ],
};
