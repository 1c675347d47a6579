import { BS5950 } from './documents';
import { compare, unproven, type Check, type Sheet } from '../../sheet';
import type { Segment, SteelBeamInput } from '../standard';
import { heldFlangeFactor } from '../heldFlange';
import { bucklingMoment, uniformMomentFactor } from './beam';
import type { BritishClass } from './section';

const NAME = { id: 'lateral-torsional-buckling', name: 'Lateral-torsional buckling' } as const;
const CLAUSE = BS5950('4.3.6');

interface Length {
  readonly factor: number;
  readonly source: string;
  /** The factor of uniform moment is read; otherwise it is 1. */
  readonly isRead: boolean;
}

/**
 * Effective length over length of a segment, BS 5950-1 tables 13 and 14: ends held sideways with nominal torsional restraint and free to turn on plan; of an
 * overhang held sideways and against twisting at its support, tip free. Load that moves with the top flange is destabilising.
 */
function lengthRule({ freeTip, loadOnTop, tensionFlangeHeld }: Segment): Length {
  if (freeTip)
    return {
      factor: loadOnTop ? 2.5 : 1,
      source: `table 14, continuous, held sideways and against twisting at its support${loadOnTop ? ', destabilising' : ''}`,
      isRead: false,
    };
  if (loadOnTop) return { factor: 1.2, source: 'table 13, destabilising', isRead: false };
  return { factor: 1, source: '4.3.5, ends held sideways and nominally against twisting', isRead: !tensionFlangeHeld };
}

/** Resistance over the factor of uniform moment, Nmm. */
function resistance(input: SteelBeamInput, segment: Segment, found: Exclude<BritishClass, 'slender'>, py: number, sheet?: Sheet): number {
  const rule = lengthRule(segment);
  const L = segment.to - segment.from;
  if (sheet) {
    sheet.note(
      `Segment from ${+(segment.from / 1000).toFixed(2)} m to ${+(segment.to / 1000).toFixed(2)} m${segment.flange ? `, ${segment.flange} flange` : ''}.`,
    );
    sheet.given('L_s', L, 'length', 'length of the segment');
    sheet.given('k_E', rule.factor, 'ratio', 'effective length over length', `BS 5950-1 ${rule.source}`);
    sheet.given('M_x', Math.abs(segment.peak), 'moment', 'largest moment in the segment');
    sheet.step('L_E', 'k_E * L_s', { k_E: rule.factor, L_s: L }, rule.factor * L, 'length', '4.3.5');
  }
  // load that moves with the top flange does not where a floor holds that flange
  const gain = segment.loadOnTop ? null : heldFlangeFactor(segment, sheet);
  if (gain !== null)
    sheet?.note(
      'The hogging zone with the top flange held along it: an inflection point is no restraint, the held flange is (compare BS 5950-1 Annex G).',
    );
  const { pb, W } = bucklingMoment(input.section, found, rule.factor * L, py, sheet, gain);
  const m = rule.isRead ? Math.min(1, uniformMomentFactor(segment.peak, segment.quarters, sheet)) : 1;
  if (!rule.isRead)
    sheet?.step(
      'm_LT',
      '1',
      {},
      1,
      'ratio',
      gain !== null ? 'the diagram is within the slenderness' : segment.tensionFlangeHeld ? 'conservative' : '4.3.6.6',
    );
  const Mb = (pb * W) / m;
  sheet?.step('M_b', 'p_b * W_x / m_LT', { p_b: pb, W_x: W, m_LT: m }, Mb, 'moment', '4.3.6.2', 'buckling resistance over m_LT');
  return Mb;
}

/** The segment with the largest ratio of its moment to its resistance; null where there is none to check. */
export function worstSegment(input: SteelBeamInput, found: Exclude<BritishClass, 'slender'>, py: number, sheet?: Sheet): Check | null {
  let worst: Segment | null = null;
  let most = -1;
  for (const segment of input.actions.segments) {
    if (segment.peak === 0) continue;
    const ratio = Math.abs(segment.peak) / resistance(input, segment, found, py);
    if (ratio > most) [worst, most] = [segment, ratio];
  }
  if (!worst) return null;
  if (!Number.isFinite(most)) return unproven(NAME, CLAUSE, 'instability', 'a segment has no resistance', sheet);
  return compare(
    {
      id: NAME.id,
      name: NAME.name,
      clause: CLAUSE,
      mode: 'instability',
      kind: 'moment',
      demand: Math.abs(worst.peak),
      demandSymbol: 'M_x',
      capacity: resistance(input, worst, found, py, sheet),
      capacitySymbol: 'M_b',
      combination: input.actions.combination,
      reason: `from ${+(worst.from / 1000).toFixed(2)} m to ${+(worst.to / 1000).toFixed(2)} m`,
    },
    sheet,
  );
}
