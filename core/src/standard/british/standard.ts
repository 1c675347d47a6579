import type { SteelGrade } from '../../material';
import type { Section } from '../../section';
import { createFamily } from '../createFamily';
import { concreteOf, loadsOf } from '../european';
import { UK } from '../european/annexes/uk';
import { effectiveLengths } from '../effectiveLengths';
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
export const british = createFamily('british', {
  editions: ['BS 5950-1:2000', 'BS 6399-1:1996', 'pads: EN 1992-1-1:2004 under EN 1990 (6.10)'],
  loads: {
    philosophies: BRITISH_PHILOSOPHIES,
    compared: () => BRITISH_PHILOSOPHIES,
    imposedReduction,
    arrangementClause: 'BS 5950-1 5.1.2.2',
    unread: { floors: ['intensity'] },
  },
  steel: {
    youngsModulus: () => E,
    beamReads: [],
    beam: steelBeam,
    column: steelColumn,
    member: steelMember,
    localSlenderness,
    angleStrut: null,
    webForce: webUnderForce,
    webClause: 'BS 5950-1 4.5',
    memberAssumptions: [
      {
        type: 'assumption',
        key: 'sway',
        text: 'Moments hold what sway of the frame brings.',
        reason: 'Effective lengths without sway, and the simplified method for the member between its supports (4.8.3.3.1).',
      },
    ],
    effectiveLengths: effectiveLengths(
      'BS 5950-1 table 22',
      { pinnedPinned: 1, fixedPinned: 0.85, fixedFixed: 0.7, fixedFree: 2, fixedSway: 1.2, pinnedSway: 2 },
      { pinnedSway: 'theory' },
    ),
    nominalEccentricity: { beyondFace: 100, source: 'BS 5950-1 4.7.6' },
    unread: { member: ['lengthT', 'throughShearCentre'], webForce: ['moment', 'opposed', 'unbraced', 'rotationHeld'] },
  },
  concrete: concreteOf(UK, () => loadsOf(UK).philosophies.find(({ id }) => id === '6.10')!),
  notCovered: [
    'vibration',
    'fire',
    'structural integrity (2.4.5)',
    'overall stability and sway',
    'fatigue',
    'wind, snow, seismic and accidental loads are typed, not derived; temperature, seismic and accidental load has no combination: what it acts on is not verified',
    'a withdrawn standard: whether it may still be used is for the authority to say',
  ],
});
