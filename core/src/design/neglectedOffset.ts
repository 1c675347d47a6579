import type { Brief } from '../building';
import type { Assumption } from '../sheet';
import { quantitySaid } from '../takedown';

/** A smaller offset is rounding, mm. */
export const LEAST_OFFSET = 0.5;

/** Something that stands off an axis or a centre. distance: mm */
interface Offset {
  readonly id: string;
  readonly mark: string;
  readonly distance: number;
}

/** Offsets within the construction tolerance of the brief are neglected: an assumption that names each; none where there is none. @param from what they are off, in words */
export function neglectedAssumption(
  key: string,
  offsets: readonly Offset[],
  from: string,
  { constructionTolerance, units }: Pick<Brief, 'constructionTolerance' | 'units'>,
): Assumption[] {
  const within = offsets.filter(({ distance }) => distance > LEAST_OFFSET && distance <= constructionTolerance);
  const each = new Map(within.map((offset) => [offset.id, offset]));
  if (each.size === 0) return [];
  const said = [...each.values()].map(({ mark, distance }) => `${mark} is ${quantitySaid(distance, 'sectionLength', units)} off ${from}`);
  return [
    {
      type: 'assumption',
      key,
      text: `${said.join('; ')}: this eccentricity is neglected.`,
      reason: `It is within the construction tolerance of the brief, ${quantitySaid(constructionTolerance, 'sectionLength', units)}.`,
    },
  ];
}
