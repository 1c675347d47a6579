import type { Brief } from '../building';
import { combinePressing, type Combination } from '../load';
import { byRule, compare } from '../sheet';
import type { MemberLedger } from '../takedown';
import { recordAxial } from './axialSheet';
import { bearingPressure, sizeByBearing } from './padBearing';
import type { PadDemand } from './padDemand';
import { reducedSums, type MemberReduction } from './reduction';

function largest(
  ledger: MemberLedger,
  combinations: readonly Combination[],
  reduction: MemberReduction | null,
): { force: number; combination: Combination } | null {
  let best: { force: number; combination: Combination } | null = null;
  for (const combination of combinations) {
    // what counts permanent load as favourable presses less than what does not
    if (combination.permanent === 'favourable') continue;
    const { sum, adverse } = reducedSums(ledger, reduction, combination);
    const force = combinePressing(sum, adverse, combination);
    if (!best || force > best.force) best = { force, combination };
  }
  return best;
}

/** What a load in the middle of a pad asks of it. Null where no compression reaches it. */
export function concentricDemand(
  ledger: MemberLedger,
  inService: readonly Combination[],
  forStrength: readonly Combination[],
  reduction: MemberReduction | null,
  { units }: Brief,
): PadDemand | null {
  const service = largest(ledger, inService, reduction);
  const strength = largest(ledger, forStrength, reduction);
  if (!service || !strength || service.force <= 0) return null;
  return {
    service: service.force,
    size: (given, step, thickness, ground) => sizeByBearing(service.force, given, step, thickness, ground),
    bearing: ({ width, length }, thickness, ground, source, sheet) => {
      const { combination, force } = service;
      const inner = sheet?.scope(`Bearing on the soil, ${combination.name} (${combination.clause})`);
      recordAxial(reducedSums(ledger, reduction, combination), combination, units, inner);
      const pressure = bearingPressure(force, width, length, thickness, ground, inner);
      inner?.given('q_a', ground.allowable, 'bearing', `allowable bearing, ${ground.basis}`, source);
      const checks = () => [
        compare(
          {
            id: 'bearing',
            name: 'Bearing',
            clause: byRule(`allowable bearing, ${ground.basis}`),
            mode: 'service',
            kind: 'bearing',
            demand: pressure,
            demandSymbol: ground.basis === 'gross' ? 'q' : 'q_n',
            capacity: ground.allowable,
            capacitySymbol: 'q_a',
            combination: combination.name,
          },
          inner,
        ),
      ];
      return { pressure, sheet: inner, checks };
    },
    strength: (_size, _thickness, _ground, sheet) => {
      const { combination, force } = strength;
      const inner = sheet?.scope(`Strength, ${combination.name} (${combination.clause})`);
      recordAxial(reducedSums(ledger, reduction, combination), combination, units, inner);
      return { factored: { force, combination: combination.name }, checks: [], sheet: inner };
    },
  };
}
