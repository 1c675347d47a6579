import { planLength, type Beam } from '../building';
import type { Section } from '../section';
import type { MemberLedger } from '../takedown';

/** What a rule of thumb says of a member: not a code check. */
export interface Sense {
  /** Span over depth, of the longest span or overhang by its rule. */
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
