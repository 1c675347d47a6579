import type { SteelAnnex } from '../annex';
import { EN1993_1_1 } from '../documents';
import { compare, unproven, type Check, type Sheet } from '../../../sheet';
import type { Segment, SteelBeamInput } from '../../standard';
import { placeOf, segmentBuckling } from './lateralTorsional';

/** The segment with the largest ratio of moment to resistance; one that cannot be proved comes before any number. */
export function lateralTorsional(
  annex: SteelAnnex,
  segments: readonly Segment[],
  input: SteelBeamInput,
  W: number,
  fy: number,
): Segment | undefined {
  if (segments.length <= 1) return segments[0];
  let worst: Segment | undefined;
  let ratio = -1;
  for (const segment of segments) {
    const found =
      segment.peak === 0
        ? { MbRd: Infinity }
        : segmentBuckling(annex, input.section, input.grade, segment, W, fy, input.asked?.untwisted ?? false);
    const value = 'reason' in found ? Infinity : Math.abs(segment.peak) / found.MbRd;
    if (value > ratio) [worst, ratio] = [segment, value];
  }
  return worst;
}

/** One segment's lateral-torsional buckling, EN 1993-1-1 6.3.2. */
export function lateralTorsionalCheck(
  annex: SteelAnnex,
  segment: Segment,
  input: SteelBeamInput,
  W: number,
  fy: number,
  sheet?: Sheet,
): Check {
  const { section, grade, actions } = input;
  const name = { id: 'lateral-torsional-buckling', name: 'Lateral-torsional buckling' } as const;
  const clause = EN1993_1_1('6.3.2');
  const { combination } = actions;
  if (segment.peak === 0)
    return {
      id: name.id,
      name: name.name,
      clause,
      mode: 'instability',
      kind: 'moment',
      demand: 0,
      capacity: (W * fy) / annex.gammaM1,
      utilisation: 0,
      verdict: 'carries',
      combination,
    };
  const found = segmentBuckling(annex, section, grade, segment, W, fy, input.asked?.untwisted ?? false, sheet);
  if ('reason' in found) return unproven(name, clause, 'instability', found.reason, sheet);
  return compare(
    {
      id: name.id,
      name: name.name,
      clause,
      mode: 'instability',
      kind: 'moment',
      demand: segment.peak,
      demandSymbol: 'M_s',
      capacity: found.MbRd,
      capacitySymbol: 'M_bRd',
      combination,
      reason: placeOf(segment),
    },
    sheet,
  );
}
