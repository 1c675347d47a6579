import type { PlanPoint } from '../../building';
import { overlap, segment, type Segment } from '../support/line';
import { clip, regionOf, sumRegions, type Region } from './polygon';
import type { Bearing, Orphan, PanelDoubt, PanelShare } from './share';

interface Edge {
  readonly line: Segment;
  /** Stretches of the edge that something carries, in mm along it. */
  readonly carried: { readonly bearing: Bearing; readonly from: number; readonly to: number }[];
}

/**
 * Shares a two-way panel of convex outline: each part goes to the nearest edge that something carries, and lands on it square
 * to the edge.
 * @param ring anticlockwise outline
 * @param loaded what is loaded, convex: the whole unless said otherwise
 */
export function shareTwoWay(
  ring: readonly PlanPoint[],
  bearings: readonly Bearing[],
  reach: number,
  loaded: readonly PlanPoint[] = ring,
): { shares: PanelShare[]; orphans: Orphan[]; doubts: PanelDoubt[] } {
  const edges = ring.map((p, i): Edge => edgeOf(segment({ from: p, to: ring[(i + 1) % ring.length]! }), bearings, reach));
  const supported = edges.filter((edge) => edge.carried.length > 0);
  const shares: PanelShare[] = [];
  const lost: Region[] = [];
  if (supported.length < 2)
    return { shares, orphans: [{ region: regionOf(loaded), reason: supported.length === 0 ? 'no support' : 'one support' }], doubts: [] };
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
  const doubts: PanelDoubt[] =
    supported.length < edges.length
      ? [{ kind: 'free-edge', text: 'one edge or more is free: sharing to the nearest edges is unproven there' }]
      : [];
  const orphans: Orphan[] = lost.length ? [{ region: sumRegions(lost), reason: 'free edge' }] : [];
  return { shares, orphans, doubts };
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
    const place = (along: number) => {
      const p = { x: line.from.x + line.dx * along, y: line.from.y + line.dy * along };
      const { from, dx, dy } = part.bearing.line;
      return (p.x - from.x) * dx + (p.y - from.y) * dy;
    };
    const [p1, p2] = [place(a), place(b)];
    // the bearing may run at a small angle to the edge: the total is kept
    const rate = (b - a) / Math.abs(p2 - p1);
    shares.push({
      member: part.bearing.id,
      shape:
        p1 < p2
          ? { type: 'distributed', from: p1, to: p2, start: start * rate, end: end * rate }
          : { type: 'distributed', from: p2, to: p1, start: end * rate, end: start * rate },
    });
  }
}

/** Extent of a convex slice square to the edge, at its first or last cut. */
function height(slice: readonly PlanPoint[], s: (p: PlanPoint) => number, depth: (p: PlanPoint) => number, at: number): number {
  const there = slice.filter((p) => Math.abs(s(p) - at) < 1e-6).map(depth);
  return there.length < 2 ? 0 : Math.max(...there) - Math.min(...there);
}
