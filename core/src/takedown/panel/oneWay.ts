import { lengthIn } from '../inUnits';
import type { PlanPoint } from '../../building';
import type { ArrivalShape } from '../shape';
import { at, Axes, GAUSS, type Sloped } from './axes';
import { beneathAt, supportsOf, type Support } from './beneath';
import { sumRegions, type Region } from './polygon';
import type { Bearing, Orphan, PanelShape, PanelShare, PanelSharing } from './share';
import { stripReactions } from './strip';

/** Supports at less than this sine to the span do not carry it: about 15 degrees. */
const ALONGSIDE = 0.26;
/** Spans beside each other that differ more than this are named when they are read as simple. */
const UNEQUAL = 1.5;
/** Before, at, beyond. */
const SIDES = [-1, 0, 1];

/**
 * Shares a one-way panel between what it lies on, strip by strip across the span. Between two neighbouring corners, support
 * ends or crossings everything runs straight, so that there each strip's reactions are integrated; where they do not vary
 * linearly the length is cut, and each piece keeps its total and its first moment.
 * @param reach how far a support may lie outside the panel and still carry it, mm
 * @param loaded what is loaded, when that is not all that the rings bound: the strips stay those of the panel
 * @param part false: what is loaded is all that there is of the panel, whose strips run on over what the rings leave out
 */
export function shareOneWay(
  panel: PanelShape,
  rings: readonly (readonly PlanPoint[])[],
  bearings: readonly Bearing[],
  reach: number,
  loaded: readonly (readonly PlanPoint[])[] | null = null,
  part = loaded !== null,
): Pick<PanelSharing, 'shares' | 'orphans' | 'doubts'> {
  const axes = new Axes(panel.direction);
  const edges = edgesOf(axes, rings);
  const patch = loaded ? edgesOf(axes, loaded) : edges;
  let [low, high] = [Infinity, -Infinity];
  for (const { v1, v2 } of patch) {
    if (v1 < low) low = v1;
    if (v2 > high) high = v2;
  }
  const supports: Support[] = [];
  for (const bearing of bearings) {
    const { from, to, length } = bearing.line;
    const [first, second] = [axes.v(from), axes.v(to)];
    // what runs along the span carries nothing of it, nor does what only touches the panel's side
    if (Math.abs(second - first) < ALONGSIDE * length) continue;
    if (Math.min(Math.max(first, second), high) - Math.max(Math.min(first, second), low) < 1) continue;
    const { u0, slope, v1, v2 } = axes.sloped(from, to);
    // a panel may reach a little past the end of what carries it
    supports.push({ u0, slope, v1: v1 - reach, v2: v2 + reach, end1: v1, end2: v2, bearing });
  }
  const shares: PanelShare[] = [];
  const orphans: Orphan[] = [];
  const unequal = new Set<string>();
  const marks = breakpoints(loaded ? [...edges, ...patch] : edges, supports, reach, low, high);
  if (loaded) meetings(edges, patch, marks);
  const orphan = (reason: Orphan['reason'], region: Region) => orphans.push({ reason, region });
  for (let band = 0; band + 1 < marks.length; band += 1) {
    const [v1, v2] = [marks[band]!, marks[band + 1]!];
    const middle = (v1 + v2) / 2;
    const crossed = crossedAt(edges, middle);
    const on = loaded ? crossedAt(patch, middle) : crossed;
    const beneath = beneathAt(supports, middle);
    for (let i = 0; i + 1 < crossed.length; i += 2) {
      const [from, to] = [crossed[i]!, crossed[i + 1]!];
      // an opening that reaches the edge leaves nothing beside it
      if (at(to, middle) - at(from, middle) < 1e-3) continue;
      const under = supportsOf(from, to, beneath, v1, v2, reach);
      if (!part && panel.continuity === 'simple' && under.length > 2) noteUnequal(under, middle, unequal);
      for (const [a, b] of loaded ? within(on, from, to, middle) : [[from, to] as const])
        if (under.length === 0 || (under.length === 1 && !panel.cantilevers))
          orphan(under.length === 0 ? 'no support' : 'one support', axes.trapezium(a, b, v1, v2));
        else integrate(panel, a, b, under, v1, v2, axes, shares);
    }
    if (loaded) for (const [a, b] of outside(on, crossed, middle)) orphan('no support', axes.trapezium(a, b, v1, v2));
  }
  return {
    shares: joined(shares),
    orphans: orphans.length === 0 ? NONE : gatheredByReason(orphans),
    doubts: unequal.size === 0 ? NONE : [...unequal].map((text) => ({ kind: 'unequal', text })),
  };
}

const NONE: readonly never[] = [];

function gatheredByReason(orphans: readonly Orphan[]): Orphan[] {
  const byReason = new Map<Orphan['reason'], Region[]>();
  for (const { reason, region } of orphans) {
    const list = byReason.get(reason);
    if (list) list.push(region);
    else byReason.set(reason, [region]);
  }
  return [...byReason].map(([reason, regions]) => ({ reason, region: sumRegions(regions) }));
}

function edgesOf(axes: Axes, rings: readonly (readonly PlanPoint[])[]): Sloped[] {
  const edges: Sloped[] = [];
  for (const ring of rings)
    for (let i = 0; i < ring.length; i += 1) {
      const edge = axes.sloped(ring[i]!, ring[(i + 1) % ring.length]!);
      if (edge.v2 > edge.v1) edges.push(edge);
    }
  return edges;
}

/** Edges that a strip meets, in order: inside begins and ends at every other one. */
function crossedAt(edges: readonly Sloped[], v: number): Sloped[] {
  const crossed: Sloped[] = [];
  for (const edge of edges) {
    if (edge.v1 >= v || edge.v2 <= v) continue;
    const place = at(edge, v);
    let i = crossed.length;
    for (; i > 0 && at(crossed[i - 1]!, v) > place; i -= 1) crossed[i] = crossed[i - 1]!;
    crossed[i] = edge;
  }
  return crossed;
}

type Stretch = readonly [from: Sloped, to: Sloped];

/** The loaded stretches of a strip that lie between two edges of the panel. */
function within(on: readonly Sloped[], from: Sloped, to: Sloped, v: number): Stretch[] {
  const parts: Stretch[] = [];
  for (let i = 0; i + 1 < on.length; i += 2) {
    const a = at(on[i]!, v) > at(from, v) ? on[i]! : from;
    const b = at(on[i + 1]!, v) < at(to, v) ? on[i + 1]! : to;
    if (at(b, v) - at(a, v) > 1e-6) parts.push([a, b]);
  }
  return parts;
}

/** The loaded stretches of a strip beside the panel or over its openings. */
function outside(on: readonly Sloped[], crossed: readonly Sloped[], v: number): Stretch[] {
  const parts: Stretch[] = [];
  for (let i = 0; i + 1 < on.length; i += 2) {
    let a = on[i]!;
    const end = on[i + 1]!;
    for (let j = 0; j + 1 < crossed.length && at(a, v) < at(end, v); j += 2) {
      const [enter, leave] = [crossed[j]!, crossed[j + 1]!];
      if (at(leave, v) <= at(a, v) || at(enter, v) >= at(end, v)) continue;
      if (at(enter, v) - at(a, v) > 1e-6) parts.push([a, enter]);
      a = leave;
    }
    if (at(end, v) - at(a, v) > 1e-6) parts.push([a, end]);
  }
  return parts;
}

/** Adds the places where the edges of what is loaded cross those of the panel. */
function meetings(edges: readonly Sloped[], patch: readonly Sloped[], marks: number[]): void {
  for (const a of edges)
    for (const b of patch) {
      const turn = a.slope - b.slope;
      if (Math.abs(turn) < 1e-9) continue;
      const v = (b.u0 - a.u0) / turn;
      if (v > Math.max(a.v1, b.v1) && v < Math.min(a.v2, b.v2) && marks.every((mark) => Math.abs(mark - v) > 0.01)) marks.push(v);
    }
  marks.sort((a, b) => a - b);
}

/** Every v at which something begins, ends or crosses. */
function breakpoints(edges: readonly Sloped[], supports: readonly Support[], reach: number, low: number, high: number): number[] {
  const found: number[] = [];
  const note = (v: number) => {
    if (v >= low && v <= high) found.push(v);
  };
  for (const edge of edges) {
    note(edge.v1);
    note(edge.v2);
  }
  const meet = (a: Sloped, b: Sloped) => {
    const turn = a.slope - b.slope;
    if (turn < 1e-9 && turn > -1e-9) return;
    // where they meet, and where they come within reach of each other and count as one
    for (const side of SIDES) {
      const v = (b.u0 - a.u0 + side * reach) / turn;
      if (v > Math.max(a.v1, b.v1) && v < Math.min(a.v2, b.v2)) found.push(v);
    }
  };
  for (let i = 0; i < supports.length; i += 1) {
    const support = supports[i]!;
    note(support.v1);
    note(support.v2);
    note(support.end1);
    note(support.end2);
    for (const edge of edges) meet(support, edge);
    for (let j = i + 1; j < supports.length; j += 1) meet(support, supports[j]!);
  }
  sortNumbers(found);
  // closer than a hundredth of a millimetre is one place
  const kept: number[] = [];
  for (const v of found) if (kept.length === 0 || v - kept[kept.length - 1]! > 0.01) kept.push(v);
  return kept;
}

/** In place and in rising order: as fast as can be for a few numbers, which they are. */
function sortNumbers(list: number[]): void {
  if (list.length > 40) list.sort((a, b) => a - b);
  else
    for (let i = 1; i < list.length; i += 1) {
      const value = list[i]!;
      let j = i;
      for (; j > 0 && list[j - 1]! > value; j -= 1) list[j] = list[j - 1]!;
      list[j] = value;
    }
}

function noteUnequal(under: readonly Support[], v: number, unequal: Set<string>): void {
  for (let i = 0; i + 2 < under.length; i += 1) {
    const [a, b] = [at(under[i + 1]!, v) - at(under[i]!, v), at(under[i + 2]!, v) - at(under[i + 1]!, v)];
    if (Math.max(a, b) > UNEQUAL * Math.min(a, b))
      unequal.add(`spans of ${lengthIn(a)} and ${lengthIn(b)} beside each other are read as simple spans`);
  }
}

/** Lays the reactions of the strips of one band on their supports, cut until each piece is as good as linear. */
function integrate(
  panel: PanelShape,
  from: Sloped,
  to: Sloped,
  under: readonly Support[],
  v1: number,
  v2: number,
  axes: Axes,
  shares: PanelShare[],
  depth = 0,
): void {
  if (runsParallel(from, to, under)) {
    // every strip is like every other
    const places: number[] = [];
    for (const support of under) places.push(at(support, v1));
    const reactions = stripReactions(at(from, v1), at(to, v1), places, panel.continuity === 'continuous');
    for (let i = 0; i < under.length; i += 1)
      if (reactions[i] !== 0)
        shares.push({ member: under[i]!.bearing.id, shape: onMember(under[i]!, v1, v2, reactions[i]!, reactions[i]!, axes) });
    return;
  }
  const reactions = (v: number) =>
    stripReactions(
      at(from, v),
      at(to, v),
      under.map((support) => at(support, v)),
      panel.continuity === 'continuous',
    );
  const [first, middle, last] = [reactions(v1), reactions((v1 + v2) / 2), reactions(v2)];
  const bends = middle.some((m, i) => Math.abs(m - (first[i]! + last[i]!) / 2) > 0.002 * Math.max(...middle.map(Math.abs)));
  if (bends && depth < 4) {
    integrate(panel, from, to, under, v1, (v1 + v2) / 2, axes, shares, depth + 1);
    integrate(panel, from, to, under, (v1 + v2) / 2, v2, axes, shares, depth + 1);
    return;
  }
  const half = (v2 - v1) / 2;
  const total = under.map(() => 0);
  const moment = under.map(() => 0);
  for (const [x, weight] of GAUSS) {
    const values = x === 0 ? middle : reactions((v1 + v2) / 2 + x * half);
    values.forEach((value, i) => {
      total[i]! += weight * half * value;
      moment[i]! += weight * half * value * x * half;
    });
  }
  const h = v2 - v1;
  under.forEach((support, i) => {
    const mean = total[i]! / h;
    const lean = (6 * moment[i]!) / (h * h);
    if (Math.abs(total[i]!) < 1e-9 * h && Math.abs(lean) < 1e-9) return;
    const shape = onMember(support, v1, v2, mean - lean, mean + lean, axes);
    shares.push({ member: support.bearing.id, shape });
  });
}

function runsParallel(from: Sloped, to: Sloped, under: readonly Support[]): boolean {
  const { slope } = from;
  if (Math.abs(to.slope - slope) > 1e-12) return false;
  for (const support of under) if (Math.abs(support.slope - slope) > 1e-12) return false;
  return true;
}

/** Width per v between two strips, turned into width per length of the member. */
function onMember(support: Support, v1: number, v2: number, start: number, end: number, axes: Axes): ArrivalShape {
  const { line } = support.bearing;
  const s1 = axes.alongLine(line, at(support, v1), v1);
  const s2 = axes.alongLine(line, at(support, v2), v2);
  const rate = (v2 - v1) / Math.abs(s2 - s1);
  return s1 < s2
    ? { type: 'distributed', from: s1, to: s2, start: start * rate, end: end * rate }
    : { type: 'distributed', from: s2, to: s1, start: end * rate, end: start * rate };
}

/** Pieces of one member that continue each other in a straight line become one. Members come in the order in which they are met. */
function joined(shares: readonly PanelShare[]): PanelShare[] {
  const result: PanelShare[] = [];
  for (let i = 0; i < shares.length; i += 1) {
    const { member } = shares[i]!;
    let met = false;
    for (let j = 0; j < i && !met; j += 1) met = shares[j]!.member === member;
    if (met) continue;
    const first = result.length;
    for (let j = i; j < shares.length; j += 1) {
      const share = shares[j]!;
      if (share.member !== member) continue;
      let k = result.length;
      for (; k > first && start(result[k - 1]!) > start(share); k -= 1) result[k] = result[k - 1]!;
      result[k] = share;
    }
    let kept = first;
    for (let k = first + 1; k < result.length; k += 1) {
      const merged = join(result[kept]!.shape, result[k]!.shape);
      if (merged) result[kept] = { member, shape: merged };
      else result[(kept += 1)] = result[k]!;
    }
    result.length = kept + 1;
  }
  // a list that grew keeps room for a dozen more
  return result.slice();
}

function start(share: PanelShare): number {
  return share.shape.type === 'point' ? share.shape.at : share.shape.from;
}

function join(a: ArrivalShape, b: ArrivalShape): ArrivalShape | null {
  if (a.type === 'point' || b.type === 'point' || Math.abs(a.to - b.from) > 0.02) return null;
  const scale = 1e-6 * Math.max(Math.abs(a.start), Math.abs(a.end), Math.abs(b.start), Math.abs(b.end));
  const rate = (shape: typeof a) => (shape.end - shape.start) / (shape.to - shape.from);
  if (Math.abs(a.end - b.start) > scale || Math.abs(rate(a) - rate(b)) * (b.to - a.from) > scale) return null;
  return { type: 'distributed', from: a.from, to: b.to, start: a.start, end: b.end };
}
