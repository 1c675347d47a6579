import { at, type Sloped } from './axes';
import type { Bearing } from './share';

/** A line that a one-way panel lies on, in the panel's axes. */
export interface Support extends Sloped {
  readonly bearing: Bearing;
  /** Its own ends, without what a panel may reach past them. */
  readonly end1: number;
  readonly end2: number;
}

/** Supports that run under a strip, or end within reach of it, in order along the span. */
export function beneathAt(supports: readonly Support[], v: number): Support[] {
  const beneath: Support[] = [];
  for (const support of supports) {
    if (support.v1 >= v || support.v2 <= v) continue;
    let i = beneath.length;
    for (; i > 0 && inOrder(beneath[i - 1]!, support, v) > 0; i -= 1) beneath[i] = beneath[i - 1]!;
    beneath[i] = support;
  }
  return beneath;
}

/** By their place along the span; those in one place, to a hundredth of a millimetre, by name. */
function inOrder(a: Support, b: Support, v: number): number {
  const apart = at(a, v) - at(b, v);
  return Math.abs(apart) > 0.01 ? apart : a.bearing.id < b.bearing.id ? -1 : 1;
}

/**
 * What a strip lies on: the supports that run under it, and beyond the outermost of them such as end only just beside it, so
 * that a strip does not overhang for want of a hand's breadth.
 */
export function supportsOf(
  from: Sloped,
  to: Sloped,
  beneath: readonly Support[],
  v1: number,
  v2: number,
  reach: number,
): readonly Support[] {
  const under = apartFrom(from, to, beneath, (v1 + v2) / 2, reach);
  return under.length === 1 ? (cornerOf(from, to, beneath, v1, v2, reach) ?? under) : under;
}

/** Supports of a strip, those that count as one taken once. */
function apartFrom(from: Sloped, to: Sloped, beneath: readonly Support[], v: number, reach: number): Support[] {
  const near: Support[] = [];
  const strict: Support[] = [];
  const low = at(from, v) - reach;
  const high = at(to, v) + reach;
  for (const support of beneath) {
    const place = at(support, v);
    if (place <= low || place >= high) continue;
    near.push(support);
    if (support.end1 < v && support.end2 > v) strict.push(support);
  }
  if (strict.length === near.length) return distinct(strict, v, reach);
  const [first, last] = strict.length ? [at(strict[0]!, v), at(strict.at(-1)!, v)] : [Infinity, -Infinity];
  return distinct(
    near.filter((s) => (s.end1 < v && s.end2 > v) || at(s, v) < first - reach || at(s, v) > last + reach),
    v,
    reach,
  );
}

/**
 * In an acute corner two supports come so near to each other that they count as one, while the strips between them still have their load: it goes to
 * both, as long as its middle lies between them. Null where it does not: that would be an overhang on next to nothing.
 */
function cornerOf(from: Sloped, to: Sloped, beneath: readonly Support[], v1: number, v2: number, reach: number): Support[] | null {
  const v = (v1 + v2) / 2;
  const [low, high] = [at(from, v) - reach, at(to, v) + reach];
  const near = beneath.filter((s) => s.end1 < v && s.end2 > v && at(s, v) > low && at(s, v) < high);
  const [a, b] = [near[0], near.at(-1)];
  // side by side they are one support, however the strip lies on them
  if (!a || !b || Math.abs(a.slope - b.slope) < 1e-9) return null;
  const isBetween = [v1, v2].every((end) => {
    const middle = (at(from, end) + at(to, end)) / 2;
    return at(a, end) <= middle + 1e-6 && middle <= at(b, end) + 1e-6;
  });
  return isBetween ? [a, b] : null;
}

/** Of supports in one place the preferred one. */
function distinct(supports: Support[], v: number, reach: number): Support[] {
  let apart = true;
  for (let i = 1; i < supports.length && apart; i += 1) apart = at(supports[i]!, v) - at(supports[i - 1]!, v) >= reach;
  if (apart) return supports;
  const kept: Support[] = [];
  for (const support of supports) {
    const last = kept[kept.length - 1];
    if (last && at(support, v) - at(last, v) < reach) {
      if (support.bearing.rank < last.bearing.rank) kept[kept.length - 1] = support;
    } else kept.push(support);
  }
  return kept;
}
