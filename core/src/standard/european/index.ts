import { effectiveLengths } from '../effectiveLengths';
import type { Philosophy, Standard } from '../standard';
import { EUROPEAN_PHILOSOPHIES } from './combinations';
import { padStrength } from './concrete/pad';
import { imposedReduction } from './reduction';
import { angleStrut } from './steel/angleStrut';
import { steelBeam } from './steel/beam';
import { steelColumn } from './steel/column';
import { localSlenderness } from './steel/classification';
import { steelMember } from './steel/member';
import { webUnderForce } from './steel/webForce';

const find = (id: string): Philosophy => EUROPEAN_PHILOSOPHIES.find((philosophy) => philosophy.id === id) ?? EUROPEAN_PHILOSOPHIES[0]!;

/** The Eurocodes with their UK annexes. */
export const european: Standard = {
  id: 'european',
  materials: 'european',
  title: 'Eurocodes, UK annexes',
  editions: ['EN 1990:2002', 'EN 1991-1-1:2002', 'EN 1992-1-1:2004', 'EN 1993-1-1:2005', 'EN 1997-1:2004', 'UK national annexes'],
  philosophies: EUROPEAN_PHILOSOPHIES,
  compared: (chosen) => [find(chosen)],
  youngsModulus: ({ E }) => E,
  steelBeam,
  steelColumn,
  steelMember,
  localSlenderness,
  angleStrut: { check: angleStrut, unread: ['leg', 'arrangement'] },
  webUnderForce,
  memberAssumptions: [
    {
      type: 'assumption',
      key: 'sway',
      text: 'Moments hold what sway and imperfections of the frame bring.',
      reason: 'Effective lengths without sway, and Annex B for the member between its supports (5.2.2(7)).',
    },
  ],
  padThickness: { step: 50, least: 250, leastOfThumb: 150 },
  padStrength,
  imposedReduction,
  concretePhilosophy: find,
  // the Eurocode has no table of them
  effectiveLengths: effectiveLengths(
    'office rule: the factors usual in practice',
    { pinnedPinned: 1, fixedPinned: 0.85, fixedFixed: 0.7, fixedFree: 2, fixedSway: 1.2, pinnedSway: 2 },
    { pinnedSway: 'theory' },
  ),
  nominalEccentricity: { beyondFace: 100, source: 'UK simple construction (SN005)' },
  unread: { member: [], webForce: ['unbraced', 'rotationHeld'], floors: ['intensity'] },
  webClause: 'EN 1993-1-5 6',
  arrangementClause: 'EN 1991-1-1 6.2.1(1)',
  notCovered: [
    'vibration',
    'fire',
    'robustness',
    'overall stability and sway',
    'fatigue',
    'wind, snow, seismic and accidental loads are typed, not derived',
  ],
};
