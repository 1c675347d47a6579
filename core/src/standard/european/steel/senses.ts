import type { Section } from '../../../section';
import { checkKey, type Check, type Sheet } from '../../../sheet';
import type { Segment } from '../../standard';
import { checkedSegments } from './lateralTorsional';
import type { SectionClass } from './classification';

/** Moments of one sense of bending about the major axis, Nmm, sagging positive: what a member of unlike sides is checked for once. */
export interface Sense {
  readonly peak: number;
  readonly range: readonly [least: number, most: number];
  readonly segments: readonly Segment[];
}

/** Whether the two sides of a shape are not alike, so that the sense of bending matters. */
export const hasUnlikeSides = ({ shape }: Section): boolean => shape.outline === 'tee' || shape.outline === 'unequalI';

/**
 * The two senses of bending of a tee or of an I of unequal flanges whose class is not the same in both, EN 1993-1-1 5.5.2 and table 5.2: the parts in
 * compression are others in each, so each is checked under its own moments with its own class. Null where the class is the same, where the moments are
 * all of one sense, and where their senses are not known: one check then holds for all of them. A segment with a numerical solution of its own stands in
 * both. range: least and largest moment, Nmm.
 */
export function unlikeSenses(
  section: Section,
  range: readonly [least: number, most: number] | undefined,
  segments: readonly Segment[],
  classOf: (stress: 'sagging' | 'hogging') => SectionClass,
): readonly [sagging: Sense, hogging: Sense] | null {
  if (!range || !hasUnlikeSides(section)) return null;
  const [least, most] = range;
  const little = 1e-9 * Math.max(most, -least);
  if (most <= little || least >= -little) return null;
  if (classOf('sagging') === classOf('hogging')) return null;
  const split = checkedSegments(section, segments);
  const along = (sign: 1 | -1) => split.filter(({ peak, critical }) => critical || peak * sign > 0);
  return [
    { peak: most, range: [0, most], segments: along(1) },
    { peak: least, range: [least, 0], segments: along(-1) },
  ];
}

const use = ({ verdict, utilisation }: Check): number => (verdict === 'unproven' ? Infinity : (utilisation ?? Infinity));

/** Checks of both senses as one list: of two of one kind the worse. */
export function worseOfSenses(sagging: readonly Check[], hogging: readonly Check[]): Check[] {
  const checks = new Map<string, Check>();
  for (const check of [...sagging, ...hogging]) {
    const key = checkKey(check);
    const before = checks.get(key);
    if (!before || use(check) > use(before)) checks.set(key, check);
  }
  return [...checks.values()];
}

/** A check of a member in each of its two senses, each on its own part of the sheet. */
export function inBothSenses(senses: readonly [Sense, Sense], check: (sense: Sense, sheet?: Sheet) => Check[], sheet?: Sheet): Check[] {
  sheet?.note('The class of the section is not the same where it sags and where it hogs: each is checked with its own moments.');
  return worseOfSenses(check(senses[0], sheet?.scope('Where the moment sags')), check(senses[1], sheet?.scope('Where the moment hogs')));
}
