import { planLength, type Beam, type Column } from '../building';
import type { Section } from '../section';
import type { Standard } from '../standard';
import type { MemberLedger } from '../takedown';
import { effectiveLength } from './effectiveLength';

/** What a rule of thumb says of a member: not a code check. */
export interface Sense {
  /** Span over depth, of the longest span or overhang by its rule; of a column its slenderness. */
  readonly ratio: number;
  readonly low: number;
  readonly high: number;
  readonly isUsual: boolean;
  readonly words: string;
}

/** Span over depth of steel beams as they are usually made. */
const USUAL = {
  beam: { low: 14, high: 25, what: 'a steel beam' },
  transfer: { low: 8, high: 16, what: 'a transfer beam' },
  overhang: { low: 5, high: 9, what: 'an overhang' },
} as const;

/** Slenderness of steel columns as they are usually made. */
const COLUMN = { low: 30, high: 110 } as const;

/** Effective length over radius of gyration of a column, about the axis where it is larger, against what is usual. height: mm. */
export function senseOfColumn(column: Column, section: Section, height: number, family: Standard['id']): Sense | null {
  if (!(height > 0)) return null;
  const { iy, iz, iv } = section.properties;
  const weakest = section.shape.outline === 'angle' ? iv : iz;
  const ratio = Math.max(
    effectiveLength(column, 'Y', height, family).length / Math.max(iy, weakest),
    effectiveLength(column, 'Z', height, family).length / weakest,
  );
  const words =
    ratio > COLUMN.high
      ? 'more slender than a steel column usually is: a little more length or load off its axis will tell'
      : ratio < COLUMN.low
        ? 'stockier than a steel column usually is: look whether the load is right'
        : 'usual for a steel column';
  return { ratio, ...COLUMN, isUsual: ratio <= COLUMN.high && ratio >= COLUMN.low, words };
}

/** Span over depth of a beam against what is usual, and what it may mean when it is not. */
export function senseOf(beam: Beam, ledger: MemberLedger, section: Section): Sense | null {
  const length = planLength(beam);
  const places = [...new Set(beam.supports.map(({ at }) => Math.min(at, length)))].sort((a, b) => a - b);
  if (places.length === 0) return null;
  const spans = places.slice(1).map((at, i) => at - places[i]!);
  const overhang = Math.max(places[0]!, length - places.at(-1)!);
  const { depth } = section.properties;
  const span = Math.max(0, ...spans);
  const isOverhang = overhang / USUAL.overhang.high > span / USUAL.beam.high;
  const rule = isOverhang ? USUAL.overhang : ledger.transfer ? USUAL.transfer : USUAL.beam;
  const ratio = (isOverhang ? overhang : span) / depth;
  const words =
    ratio > rule.high
      ? `shallower than ${rule.what} usually is: look at deflection, vibration and the load`
      : ratio < rule.low
        ? `deeper than ${rule.what} usually is: look whether the load is right, or the section too heavy`
        : `usual for ${rule.what}`;
  return { ratio, low: rule.low, high: rule.high, isUsual: ratio <= rule.high && ratio >= rule.low, words };
}
