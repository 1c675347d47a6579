import type { Building } from '../building';
import type { Check } from '../sheet';
import type { LooseEnd } from '../takedown';
import type { FootingDesign } from './footing';
import { FIXING } from './fixedEnds';
import { ECCENTRIC } from './offAxis';
import { NOT_STEEL, UNKNOWN_SECTION, type MemberDesign } from './result';

/** What design finds missing on a member. */
export function memberEnd({ id, mark, section, reason, results }: MemberDesign): LooseEnd | null {
  if (reason === UNKNOWN_SECTION)
    return {
      key: `no-section:${id}`,
      item: id,
      title: `The section of ${mark} is not known`,
      why: reason,
      remedy: 'Measure it, or open it up, and choose its section; until then it is taken down with an allowance for its own weight.',
      byCase: {},
    };
  if (reason === NOT_STEEL)
    return {
      key: `not-steel:${id}`,
      item: id,
      title: `${mark} is of concrete, and is not verified`,
      why: reason,
      remedy: 'Design it elsewhere, and make it load only; or make it of steel.',
      byCase: {},
    };
  if (section === null)
    return {
      key: `no-section:${id}`,
      item: id,
      title: `${mark} has no section`,
      why: 'It is taken down with an allowance for its own weight, and nothing about it is proved.',
      remedy: 'Size it, or choose a section.',
      byCase: {},
    };
  if (!reason) return eccentricEnd(id, mark, results[0]?.checks ?? []);
  return {
    key: `not-designed:${id}`,
    item: id,
    title: `${mark} could not be checked`,
    why: reason,
    remedy: 'Put right what the message names.',
    byCase: {},
  };
}

/** What stands beside the axis of a member by more than the construction tolerance, or is fixed to it: what brings a moment that nothing is designed for. */
function eccentricEnd(id: string, mark: string, checks: readonly Check[]): LooseEnd | null {
  const fixing = checks.find(({ id: of }) => of === FIXING.id);
  if (fixing)
    return {
      key: `fixed:${id}`,
      item: id,
      title: `${mark} takes the moment of a beam that is fixed to it`,
      why: `${fixing.reason ?? ''}. Until it is, ${mark} is not verified.`,
      remedy: 'Let the beam turn freely there, or design for the moment outside this program and say so.',
      byCase: {},
    };
  const row = checks.find(({ id: of }) => of === ECCENTRIC.id);
  if (!row) return null;
  return {
    key: `eccentric:${id}`,
    item: id,
    title: `${mark} is loaded off its axis`,
    why: `${row.reason ?? ''}. Until it is, ${mark} is not verified.`,
    remedy: 'Move one of them onto the axis of the other, or design for the offset outside this program and say so.',
    byCase: {},
  };
}

/** What design finds missing on a pad. */
export function footingEnd({ id, mark, reason, checks }: FootingDesign): LooseEnd | null {
  if (!reason) return eccentricEnd(id, mark, checks);
  return {
    key: `no-pad:${id}`,
    item: id,
    title: `${mark}: ${reason}`,
    why: 'The pad cannot be sized.',
    remedy: 'Put right what the message names.',
    byCase: {},
  };
}

/**
 * What design finds missing, in the order of the building.
 * @param kinds bodies of what is designed, kind by kind
 * @param found by the item
 */
export function designLooseEnds(
  building: Building,
  kinds: readonly ReadonlyMap<string, unknown>[],
  found: ReadonlyMap<string, LooseEnd>,
): LooseEnd[] {
  const { beams, columns, walls, footings, stripFootings } = building;
  const ends: LooseEnd[] = [];
  if (found.size > 0)
    for (const members of kinds)
      for (const id of members.keys()) {
        const end = found.get(id);
        if (end) ends.push(end);
      }
  if (beams.size + columns.size + walls.size > 0 && footings.size + stripFootings.size === 0)
    ends.push({
      key: 'no-footing',
      item: 'brief',
      title: 'There is no footing',
      why: 'No load reaches the ground.',
      remedy: 'Add a pad under each column and a strip under each wall that goes down to the ground.',
      byCase: {},
    });
  return ends;
}
