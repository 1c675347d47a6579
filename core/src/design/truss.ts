import type { Building } from '../building';
import { Sheet, type Assumption } from '../sheet';
import type { Philosophy } from '../standard';
import type { Context } from './context';
import { reductionAssumption, reductionOf } from './reduction';
import type { MemberDesign } from './result';
import { ownWeightAllowance, spanAssumptions } from './spanAssumptions';
import { recordTakedown } from './takedownSheet';
import type { MemberLedger } from '../takedown';

const NOT_VERIFIED = 'Its members are not designed here: taken down as a simple beam.';

function trussAssumptions(building: Building, id: string, ledger: MemberLedger): Assumption[] {
  const { units } = building.brief;
  const beam = building.beams.get(id)!;
  const [text, reason] = ownWeightAllowance(beam, units);
  return [
    { type: 'assumption', key: 'own-weight', text, reason },
    {
      type: 'assumption',
      key: 'truss-as-beam',
      text: 'The truss is taken down as a simple beam.',
      reason: 'Its chords, branches and joints are not checked here.',
    },
    ...spanAssumptions(beam, ledger, units),
  ];
}

/** A truss is not verified: what it carries and hands on is known, and nothing about its chords, branches and joints. */
export function designTruss(context: Context, id: string): MemberDesign {
  const { building, takedown } = context;
  const reduction = reductionOf(context, id);
  return {
    id,
    kind: 'truss',
    mark: building.trusses.get(id)!.mark,
    section: null,
    grade: null,
    assumptions: [...trussAssumptions(building, id, takedown.members.get(id)!), ...(reduction ? [reductionAssumption(reduction)] : [])],
    reduction,
    results: [],
    verdict: 'unproven',
    governing: null,
    reason: NOT_VERIFIED,
  };
}

/** The calculation sheet of a truss: what lands on it and what it hands on. */
export function trussSheet(context: Context, id: string, philosophy: Philosophy = context.philosophy): Sheet {
  const { building, takedown, standard } = context;
  const ledger = takedown.members.get(id)!;
  const sheet = new Sheet();
  sheet.note(`${standard.title}. Editions: ${standard.editions.join(', ')}. By ${philosophy.title}.`);
  for (const { key, text, reason } of trussAssumptions(building, id, ledger)) sheet.assume(key, text, reason);
  recordTakedown(building, id, ledger, sheet);
  const reduction = reductionOf(context, id, sheet);
  if (reduction) {
    const { key, text, reason } = reductionAssumption(reduction);
    sheet.assume(key, text, reason);
  }
  sheet.note(NOT_VERIFIED);
  return sheet;
}
