import { effectiveLengths } from '../effectiveLengths';
import { createFamily } from '../createFamily';
import type { Philosophy } from '../standard';
import { AMERICAN_PHILOSOPHIES } from './combinations';
import { padStrength } from './concrete/pad';
import { PAD_LIMIT_STATES } from './concrete/padLimitStates';
import { readBy } from '../limitState';
import { imposedReduction } from './reduction';
import { roofReduction } from './roofReduction';
import { angleStrut } from './steel/angleStrut';
import { BEAM_LIMIT_STATES } from './steel/beamLimitStates';
import { steelColumn } from './steel/column';
import { steelBeam } from './steel/steelBeam';
import { localSlenderness } from './steel/localSlenderness';
import { steelMember } from './steel/member';
import { webUnderForce } from './steel/webForce';

const [LRFD, ASD] = AMERICAN_PHILOSOPHIES as [Philosophy, Philosophy];

/** ASCE 7, AISC 360 and ACI 318. Steel by either philosophy; concrete strength always by factored loads. */
export const american = createFamily('american', {
  editions: ['ASCE 7-16', 'AISC 360-16', 'ACI 318-19'],
  loads: {
    philosophies: AMERICAN_PHILOSOPHIES,
    compared: (chosen) => (chosen === 'ASD' ? [ASD, LRFD] : [LRFD, ASD]),
    imposedReduction,
    roofReduction,
    arrangementClause: 'ASCE 7-16 4.3.3',
    unread: { floors: [] },
  },
  steel: {
    youngsModulus: ({ E }) => E,
    beamReads: readBy(BEAM_LIMIT_STATES),
    beam: steelBeam,
    column: steelColumn,
    member: steelMember,
    localSlenderness,
    angleStrut: { check: angleStrut, unread: [] },
    webForce: webUnderForce,
    webClause: 'AISC 360-16 J10',
    memberAssumptions: [
      {
        type: 'assumption',
        key: 'sway',
        text: 'Sway effects (B2) are within the required strengths.',
        reason: 'Only P-delta between supports is added, by B1 (Appendix 8).',
      },
    ],
    effectiveLengths: effectiveLengths('AISC 360-16 table C-A-7.1', {
      pinnedPinned: 1,
      fixedPinned: 0.8,
      fixedFixed: 0.65,
      fixedFree: 2.1,
      fixedSway: 1.2,
      pinnedSway: 2,
    }),
    nominalEccentricity: { beyondFace: 3 * 25.4, source: 'bolts 3 in off the face of a simple shear connection' },
    unread: { member: [], webForce: [] },
  },
  concrete: {
    padReads: readBy(PAD_LIMIT_STATES),
    pad: padStrength,
    padThickness: { step: 76.2, least: 304.8, leastOfThumb: 152.4 },
    philosophy: () => LRFD,
  },
  notCovered: [
    'vibration',
    'fire',
    'structural integrity and accidental actions',
    'overall stability and sway',
    'fatigue',
    'wind, snow, seismic and accidental loads are typed, not derived',
  ],
});
