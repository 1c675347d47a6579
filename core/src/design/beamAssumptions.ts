import type { Beam, Building } from '../building';
import { findSection, isSection } from '../section';
import type { Assumption } from '../sheet';
import type { Standard } from '../standard';
import { quantitySaid, type MemberLedger } from '../takedown';
import { neglectedOffsets } from './offAxis';
import { assumptions, ownWeightAllowance, spanAssumptions } from './spanAssumptions';
import { askedAssumptions } from './unreadFields';

/** Outline of a designation; null: none that is known. */
const outlineOf = (designation: string | null) =>
  designation !== null && isSection(designation) ? findSection(designation).shape.outline : null;

/** What the checks of a steel beam take for true, to be confirmed by somebody. */
export function beamAssumptions(building: Building, beam: Beam, ledger: MemberLedger, standard: Standard): Assumption[] {
  const { units } = building.brief;
  const { list, assume } = assumptions();
  if (beam.section === null) assume('own-weight', ...ownWeightAllowance(beam, units));
  if (beam.restraint === 'floor')
    assume(
      'restraint-floor',
      'The floor holds the top flange sideways along the whole beam.',
      'Friction and fixings of the floor are taken to be enough; a strict reading wants them shown.',
    );
  if (beam.restraint === 'points')
    assume(
      'restraint-points',
      'What meets the beam at the places named holds both flanges sideways and against twisting.',
      'Members and bracing there are taken to be stiff and strong enough.',
    );
  if (beam.seat === null)
    assume(
      'web-connection',
      'At its supports the beam is connected through its web.',
      `So no force enters the web through a flange there (${standard.steel.webClause}).`,
    );
  else
    assume(
      'seat',
      `The beam sits on a stiff length of ${quantitySaid(beam.seat, 'sectionLength', units)} at each support, held against turning over.`,
      'Each seat has to be there, and end where the beam ends.',
    );
  if (ledger.arrivals.some(({ source }) => source.type === 'member' && source.member !== ledger.id) && beam.stiffBearing > 0)
    assume(
      'stiff-bearing',
      `What stands on the beam bears over a stiff length of ${quantitySaid(beam.stiffBearing, 'sectionLength', units)}.`,
      'A base plate or cap that spreads so far has to be there.',
    );
  for (const { key, text, reason } of askedAssumptions(standard, 'beam', beam, outlineOf(beam.section))) assume(key, text, reason);
  if (beam.restraint !== 'floor' && beam.loadHeight === 'centre')
    assume(
      'load-height',
      'Load acts at the shear centre or is held in place by what brings it.',
      'Load that sits on a free top flange and can move with it would lower the resistance to lateral-torsional buckling.',
    );
  return [...list, ...neglectedOffsets(building, ledger), ...spanAssumptions(beam, ledger, units)];
}
