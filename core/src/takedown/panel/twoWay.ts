import type { PlanPoint } from '../../building';
import { along, crossing, overlap, pointAt, segment, type Segment } from '../support/line';
import { nearestShares } from './nearest';
import { clip, contains, isConvex, regionOf, sumRegions, type Region } from './polygon';
import type { Loaded } from './ray';
import type { Bearing, Orphan, PanelDoubt, PanelShare } from './share';

interface Edge {
  readonly line: Segment;
  /** Stretches of the edge that something carries, in mm along it. */
  readonly carried: { readonly bearing: Bearing; readonly from: number; readonly to: number }[];
}

interface TwoWay {
  readonly shares: PanelShare[];
  readonly orphans: Orphan[];
  readonly doubts: PanelDoubt[];
}

/**
 * Shares a two-way panel of any outline: each part goes to the nearest edge that something carries, or to the nearest beam or wall inside
 * the panel, and lands on it square to it; what is nearest to a place where edges end lands there.
 * @param ring anticlockwise outline
 * @param openings rings inside it
 * @param loaded what is loaded, inside the panel and beside its openings: the whole unless said otherwise
 */
export function shareTwoWay(
  ring: readonly PlanPoint[],
  openings: readonly (readonly PlanPoint[])[],
  bearings: readonly Bearing[],
  reach: number,
  loaded: readonly PlanPoint[] | null = null,
): TwoWay {
  const edges = [ring, ...openings].flatMap((corners) =>
    corners.map((p, i): Edge => edgeOf(segment({ from: p, to: corners[(i + 1) % corners.length]! }), bearings, reach)),
  );
  // where two lie in one place inside, the better one takes the load there, as at an edge
  const inner: Edge[] = [];
  for (const bearing of [...bearings].sort((a, b) => a.rank - b.rank)) inner.push(...innerOf(bearing, edges, inner, ring, openings, reach));
  const supported = [...edges.filter((edge) => edge.carried.length > 0), ...inner];
  const whole = loaded ? regionOf(loaded) : sumRegions([regionOf(ring), ...openings.map((hole) => sumRegions([regionOf(hole)], -1))]);
  if (supported.length < 2)
    return { shares: [], orphans: [{ region: whole, reason: supported.length === 0 ? 'no support' : 'one support' }], doubts: [] };
  const hasFree = edges.some((edge) => edge.carried.length === 0);
  const isPlain = !hasFree && inner.length === 0 && openings.length === 0 && isConvex(ring) && (!loaded || isConvex(loaded));
  const { shares, lost } = isPlain
    ? shareConvex(supported, loaded ?? ring)
    : shareNearest(supported, { within: [loaded ?? ring], without: loaded ? [] : openings }, whole.area);
  const doubts: PanelDoubt[] = hasFree
    ? [{ kind: 'free-edge', text: 'one edge or more is free: sharing to the nearest edges is unproven there' }]
    : [];
  const orphans: Orphan[] = lost.length ? [{ region: sumRegions(lost), reason: 'free edge' }] : [];
  return { shares, orphans, doubts };
}

/** In a convex panel the nearest edge is that of the nearest line, and boundaries are straight. */
function shareConvex(supported: readonly Edge[], loaded: readonly PlanPoint[]): { shares: PanelShare[]; lost: Region[] } {
  const shares: PanelShare[] = [];
  const lost: Region[] = [];
  for (const edge of supported) {
    const depth = inward(edge.line);
    let region = [...loaded];
    for (const other of supported) {
      if (other === edge || region.length < 3) continue;
      const otherDepth = inward(other.line);
      region = clip(region, (p) => otherDepth(p) - depth(p));
    }
    if (region.length >= 3) layOnEdge(edge, region, shares, lost);
  }
  return { shares, lost };
}

/** What lands at the very end of a line has no length left to spread over: it stands on the last millimetre. */
const TIP = 1;

function shareNearest(supported: readonly Edge[], loaded: Loaded, area: number): { shares: PanelShare[]; lost: Region[] } {
  const shares: PanelShare[] = [];
  const lost: Region[] = [];
  const { stretches, ends } = nearestShares(loaded, supported, area, (i) => supported[i]!.carried.flatMap(({ from, to }) => [from, to]));
  for (const { site, from, to, start, end, region } of stretches) {
    const { line, carried } = supported[site]!;
    const middle = (from + to) / 2;
    const part = carried.find((stretch) => stretch.from < middle && stretch.to > middle);
    if (part) shares.push(onBearing(line, part.bearing, from, to, start, end));
    else lost.push(region);
  }
  for (const { sites, region } of ends) {
    const takers = sites.flatMap(({ site, at }) => {
      const { line, carried } = supported[site]!;
      const part = carried.find((stretch) => (at === 0 ? stretch.from <= TIP : stretch.to >= line.length - TIP));
      return part ? [{ line, part, from: at === 0 ? 0 : Math.max(0, line.length - TIP) }] : [];
    });
    if (takers.length === 0) lost.push(region);
    for (const { line, part, from } of takers) {
      const to = Math.min(line.length, from + TIP);
      const width = region.area / takers.length / (to - from);
      shares.push(onBearing(line, part.bearing, from, to, width, width));
    }
  }
  return { shares, lost };
}

/** Stretches of a bearing that lie inside a panel, not along one of its edges nor along what is there already, as lines that it carries. */
function innerOf(
  bearing: Bearing,
  edges: readonly Edge[],
  taken: readonly Edge[],
  ring: readonly PlanPoint[],
  openings: readonly (readonly PlanPoint[])[],
  reach: number,
): Edge[] {
  const { line } = bearing;
  const common = [...edges, ...taken].flatMap((edge) => {
    const beside = overlap(line, edge.line, reach);
    return beside ? [beside] : [];
  });
  const cuts = new Set([0, line.length, ...common.flatMap(({ from, to }) => [from, to])]);
  for (const edge of edges) {
    const met = crossing(line, edge.line);
    if (met && met.b >= -1 && met.b <= edge.line.length + 1) cuts.add(met.a);
  }
  const places = [...cuts].filter((s) => s >= 0 && s <= line.length).sort((a, b) => a - b);
  const found: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < places.length; i += 1) {
    const [from, to] = [places[i]!, places[i + 1]!];
    const middle = pointAt(line, (from + to) / 2);
    const isInside = contains(ring, middle) && !openings.some((hole) => contains(hole, middle));
    const isAlong = common.some((part) => part.from <= from + 1e-6 && part.to >= to - 1e-6);
    if (!isInside || isAlong) continue;
    const last = found.at(-1);
    if (last && last.to === from) last.to = to;
    else found.push({ from, to });
  }
  return found
    .filter(({ from, to }) => to - from > reach)
    .map(({ from, to }) => {
      const piece = segment({ from: pointAt(line, from), to: pointAt(line, to) });
      return { line: piece, carried: [{ bearing, from: 0, to: piece.length }] };
    });
}

/** Distance of a point inside from the line of an edge of an anticlockwise ring. */
function inward(line: Segment): (p: PlanPoint) => number {
  return (p) => (p.y - line.from.y) * line.dx - (p.x - line.from.x) * line.dy;
}

function edgeOf(line: Segment, bearings: readonly Bearing[], reach: number): Edge {
  const carried: Edge['carried'] = [];
  const stretches = bearings
    .map((bearing) => ({ bearing, common: overlap(line, bearing.line, reach) }))
    .filter((entry) => entry.common !== null && entry.common.to - entry.common.from > reach)
    .sort((a, b) => a.bearing.rank - b.bearing.rank);
  for (const { bearing, common } of stretches) {
    const from = common!.from <= reach ? 0 : common!.from;
    const to = common!.to >= line.length - reach ? line.length : common!.to;
    let free = [{ from, to }];
    for (const other of carried)
      free = free
        .flatMap((part) => [
          { from: part.from, to: Math.min(part.to, other.from) },
          { from: Math.max(part.from, other.to), to: part.to },
        ])
        .filter((part) => part.to - part.from > 1);
    for (const part of free) carried.push({ bearing, ...part });
  }
  return { line, carried };
}

/** The region of an edge as widths along it: between two corners of the region its depth varies linearly. */
function layOnEdge({ line, carried }: Edge, region: readonly PlanPoint[], shares: PanelShare[], lost: Region[]): void {
  const depth = inward(line);
  const s = (p: PlanPoint) => (p.x - line.from.x) * line.dx + (p.y - line.from.y) * line.dy;
  const cuts = [...region.map(s), ...carried.flatMap((part) => [part.from, part.to])].sort((a, b) => a - b);
  for (let i = 0; i + 1 < cuts.length; i += 1) {
    const [a, b] = [cuts[i]!, cuts[i + 1]!];
    if (b - a < 1e-6) continue;
    const middle = (a + b) / 2;
    const slice = clip(
      clip(region, (p) => s(p) - a),
      (p) => b - s(p),
    );
    if (slice.length < 3) continue;
    const part = carried.find((stretch) => stretch.from < middle && stretch.to > middle);
    if (!part) {
      lost.push(regionOf(slice));
      continue;
    }
    const [start, end] = [height(slice, s, depth, a), height(slice, s, depth, b)];
    shares.push(onBearing(line, part.bearing, a, b, start, end));
  }
}

/** A width along an edge, or beside it, as it lies on what carries it. The bearing may run at a small angle to the edge: the total is kept. */
function onBearing(line: Segment, bearing: Bearing, a: number, b: number, start: number, end: number): PanelShare {
  const [p1, p2] = [along(bearing.line, pointAt(line, a)), along(bearing.line, pointAt(line, b))];
  const rate = (b - a) / Math.abs(p2 - p1);
  return {
    member: bearing.id,
    shape:
      p1 < p2
        ? { type: 'distributed', from: p1, to: p2, start: start * rate, end: end * rate }
        : { type: 'distributed', from: p2, to: p1, start: end * rate, end: start * rate },
  };
}

/** Extent of a convex slice square to the edge, at its first or last cut. */
function height(slice: readonly PlanPoint[], s: (p: PlanPoint) => number, depth: (p: PlanPoint) => number, at: number): number {
  const there = slice.filter((p) => Math.abs(s(p) - at) < 1e-6).map(depth);
  return there.length < 2 ? 0 : Math.max(...there) - Math.min(...there);
}
