import type { Family } from '../../family';
import { createFamily } from '../createFamily';
import { effectiveLengths } from '../effectiveLengths';
import { readBy } from '../limitState';
import type { ConcreteCapability, LoadsCapability, Standard, SteelCapability } from '../standard';
import type { Annex } from './annex';
import { RECOMMENDED } from './annexes/recommended';
import { UK } from './annexes/uk';
import { philosophiesOf } from './combinations';
import { padStrength } from './concrete/pad';
import { PAD_LIMIT_STATES } from './concrete/padLimitStates';
import { angleStrut } from './steel/angleStrut';
import { steelBeam } from './steel/beam';
import { BEAM_LIMIT_STATES } from './steel/beamLimitStates';
import { steelColumn } from './steel/column';
import { localSlenderness } from './steel/classification';
import { steelMember } from './steel/member';
import { webUnderForce } from './steel/webForce';

/** Loads of EN 1990 and EN 1991 with an annex. */
export function loadsOf({ actions, imposedReduction }: Annex): LoadsCapability {
  const philosophies = philosophiesOf(actions);
  return {
    philosophies,
    compared: (chosen) => [philosophies.find(({ id }) => id === chosen) ?? philosophies[0]!],
    imposedReduction,
    arrangementClause: 'EN 1991-1-1 6.2.1(1)',
    unread: { floors: ['intensity'] },
  };
}

/** Steel by EN 1993 with an annex. */
function steelOf({ steel: annex }: Annex): SteelCapability {
  return {
    youngsModulus: ({ E }) => E,
    beamReads: readBy(BEAM_LIMIT_STATES),
    beam: (input, philosophy, sheet) => steelBeam(annex, input, philosophy, sheet),
    column: (input, philosophy, sheet) => steelColumn(annex, input, philosophy, sheet),
    member: (input, philosophy, sheet) => steelMember(annex, input, philosophy, sheet),
    localSlenderness,
    angleStrut: { check: (input, philosophy, sheet) => angleStrut(annex, input, philosophy, sheet), unread: ['leg', 'arrangement'] },
    webForce: (input, philosophy, sheet) => webUnderForce(annex, input, philosophy, sheet),
    webClause: 'EN 1993-1-5 6',
    memberAssumptions: [
      {
        type: 'assumption',
        key: 'sway',
        text: 'Moments hold what sway and imperfections of the frame bring.',
        reason: 'Effective lengths without sway, and Annex B for the member between its supports (5.2.2(7)).',
      },
    ],
    // the Eurocode has no table of them
    effectiveLengths: effectiveLengths(
      'office rule: the factors usual in practice',
      { pinnedPinned: 1, fixedPinned: 0.85, fixedFixed: 0.7, fixedFree: 2, fixedSway: 1.2, pinnedSway: 2 },
      { pinnedSway: 'theory' },
    ),
    nominalEccentricity: { beyondFace: 100, source: 'simple construction (SN005)' },
    unread: { member: [], webForce: ['unbraced', 'rotationHeld'] },
  };
}

/** Concrete by EN 1992 with an annex. @param philosophyFor whose loads strength is designed for */
export function concreteOf({ concrete: annex }: Annex, philosophyFor: ConcreteCapability['philosophy']): ConcreteCapability {
  return {
    padReads: readBy(PAD_LIMIT_STATES),
    pad: (input, sheet) => padStrength(annex, input, sheet),
    padThickness: { step: 50, least: 250, leastOfThumb: 150 },
    philosophy: philosophyFor,
  };
}

/** The Eurocodes with an annex. */
export function createEuropean(id: Family, annex: Annex): Standard {
  const loads = loadsOf(annex);
  return createFamily(id, {
    editions: ['EN 1990:2002', 'EN 1991-1-1:2002', 'EN 1992-1-1:2004', 'EN 1993-1-1:2005', 'EN 1997-1:2004', annex.edition],
    loads,
    steel: steelOf(annex),
    concrete: concreteOf(annex, (chosen) => loads.compared(chosen)[0]!),
    notCovered: [
      ...annex.cautions,
      'vibration',
      'fire',
      'robustness',
      'overall stability and sway',
      'fatigue',
      'wind, snow, seismic and accidental loads are typed, not derived',
    ],
  });
}

export const european = createEuropean('european', UK);
export const recommended = createEuropean('recommended', RECOMMENDED);
