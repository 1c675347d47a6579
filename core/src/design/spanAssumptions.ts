import type { Beam, Made } from '../building';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Assumption } from '../sheet';
import { quantitySaid, type MemberLedger } from '../takedown';
import { bearingEnds } from './bearingEnds';

/** A list of assumptions, and what adds one. */
export function assumptions() {
  const list: Assumption[] = [];
  return { list, assume: (key: string, text: string, reason: string) => void list.push({ type: 'assumption', key, text, reason }) };
}

/** Text and reason of the self-weight that is typed, or allowed while no section is chosen. N/mm */
export const ownWeightAllowance = (
  { ownWeight, material }: { readonly ownWeight: number; readonly material: Made['material'] },
  units: UnitSystem,
): readonly [text: string, reason: string] =>
  material === 'steel'
    ? [
        `${formatQuantity(ownWeight, 'lineLoad', units)} is allowed for self-weight while no section is chosen.`,
        'The takedown below it takes this allowance on; it follows the section once one is chosen.',
      ]
    : [`Its self-weight is ${formatQuantity(ownWeight, 'lineLoad', units)}.`, 'Typed, not derived: the takedown below it takes it on.'];

/** What the connections and stretches of a beam are taken to be, of whatever it is made: the loads that it hands on follow from it. */
export function supportAssumptions(beam: Beam, units: UnitSystem): Assumption[] {
  const { list, assume } = assumptions();
  for (const { at, fixed } of beam.supports)
    if (fixed)
      assume(
        `fixed-${Math.round(at)}`,
        `Its connection at ${formatQuantity(at, 'length', units)} from its start holds it fully against turning${beam.supports.length === 1 ? ', sideways too; it may warp there' : ''}.`,
        'The connection, and what it is fixed to, have to take the moment; neither is designed for it here.',
      );
  for (const { at, spring, settlement } of beam.supports) {
    const place = formatQuantity(at, 'length', units);
    if (spring !== null)
      assume(
        `yields-${Math.round(at)}`,
        `Its support at ${place} goes down by its load over ${formatQuantity(spring, 'lineLoad', units)} per length.`,
        'Typed, not derived: what is too stiff or too soft moves load to the other supports; the deflection of the beam counts it.',
      );
    if (settlement !== 0)
      assume(
        `sinks-${Math.round(at)}`,
        `Its support at ${place} may sink by ${formatQuantity(settlement, 'sectionLength', units)} against the others, or by less.`,
        'Typed, not derived. Elastic stiffness without creep; deflections count from the line through the sunk supports.',
      );
  }
  if (beam.stretches.length > 0)
    assume(
      'stretches',
      `Stretches of it have another stiffness than ${beam.section ?? 'its section'}: forces and deflections follow.`,
      'Its checks, and its own weight, are those of the section all along: what a stretch adds or lacks in strength is not looked at.',
    );
  return list;
}

/** What is assumed of anything that spans: where it bears, how it is held there, and that it runs through. */
export function spanAssumptions(beam: Beam, ledger: MemberLedger, units: UnitSystem): Assumption[] {
  const { list, assume } = assumptions();
  for (const { from, to } of bearingEnds(beam))
    assume(
      `bearing-end-${from === 0 ? 'start' : 'end'}`,
      `The last ${quantitySaid(to - from, 'sectionLength', units)} at its ${from === 0 ? 'start' : 'end'} lie on the bearing and are no cantilever.`,
      'It is drawn past the support by no more than a bearing length; load beyond the support is taken there all the same.',
    );
  list.push(...supportAssumptions(beam, units));
  if (ledger.leaves.length > 2)
    assume(
      'continuity',
      'The beam runs through over its inner supports with one section.',
      'Continuity is what its supports were calculated with.',
    );
  return list;
}
