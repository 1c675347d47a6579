import type { PlanPoint } from '../../building';
import { nearest, offset, type Segment } from '../support/line';
import { sumRegions, type Region } from './polygon';
import { GAUSS, loadedAlong, ONE, towards, type Edge, type Loaded, type Site } from './ray';

/** Load whose nearest place is the end of one site or of several that meet there. */
export interface SiteEnd {
  readonly at: PlanPoint;
  /** Sites that end there, and at which distance along each. */
  readonly sites: readonly { readonly site: number; readonly at: number }[];
  readonly region: Region;
}

type End = Omit<SiteEnd, 'region'>;

/** Places at which sites end, those that meet as one; an end that lies on another site has nothing of its own. */
export function endsOf(sites: readonly Site[]): End[] {
  const ends: { at: PlanPoint; sites: { site: number; at: number }[] }[] = [];
  sites.forEach(({ line }, site) => {
    for (const [at, place] of [
      [line.from, 0],
      [line.to, line.length],
    ] as const) {
      const known = ends.find((end) => Math.hypot(end.at.x - at.x, end.at.y - at.y) < ONE);
      if (known) known.sites.push({ site, at: place });
      else ends.push({ at, sites: [{ site, at: place }] });
    }
  });
  return ends.filter(
    ({ at, sites: here }) => !sites.some(({ line }, i) => !here.some(({ site }) => site === i) && nearest(line, at).distance < ONE),
  );
}

/** How often an arc is halved at most. */
const DEPTH = 12;
/** Area about which two readings of an arc may differ, as a part of all that is loaded. */
export const FINE = 1e-12;

/** A distance from a point by direction u, as its inverse a + b · u: what is as far from a line, or from another place, is of this form. */
type Inverse = readonly [a: number, bx: number, by: number];

/** Directions in which two distances are the same. */
function sameDistance([a1, x1, y1]: Inverse, [a2, x2, y2]: Inverse): number[] {
  const [a, x, y] = [a1 - a2, x1 - x2, y1 - y2];
  const size = Math.hypot(x, y);
  if (size <= Math.abs(a)) return [];
  const [middle, half] = [Math.atan2(y, x), Math.acos(-a / size)];
  return [middle - half, middle + half];
}

/** Directions in which what bounds the cell of a place may change: towards another site, to its end, to the edge of what is loaded. */
function bendsAround(v: PlanPoint, edges: readonly Edge[], others: readonly Segment[]): number[] {
  const bounds: Inverse[] = [];
  for (const other of others) {
    const h = offset(other, v);
    const sign = h < 0 ? -1 : 1;
    if (Math.abs(h) > ONE) bounds.push([1 / Math.abs(h), (sign * other.dy) / Math.abs(h), (-sign * other.dx) / Math.abs(h)]);
    for (const end of [other.from, other.to]) {
      const [x, y] = [end.x - v.x, end.y - v.y];
      const square = x * x + y * y;
      if (square > ONE) bounds.push([0, (2 * x) / square, (2 * y) / square]);
    }
  }
  const borders = edges.flatMap(({ from, to }): Inverse[] => {
    const [nx, ny] = [from.y - to.y, to.x - from.x];
    const h = nx * (from.x - v.x) + ny * (from.y - v.y);
    return Math.abs(h) > ONE * Math.hypot(nx, ny) ? [[0, nx / h, ny / h]] : [];
  });
  const all = [...bounds, ...borders];
  return bounds.flatMap((bound, i) => all.slice(i + 1).flatMap((other) => sameDistance(bound, other)));
}

/** What is nearest to an end: no site that ends there has its foot beside it, and no other is nearer. */
export function cellOf(
  loaded: Loaded,
  edges: readonly Edge[],
  sites: readonly Site[],
  { at: v, sites: here }: End,
  tolerance: number,
): Region {
  const away = here.map(({ site, at }) => {
    const { dx, dy } = sites[site]!.line;
    return at === 0 ? [dx, dy] : [-dx, -dy];
  }) as [number, number][];
  const others = sites.filter((_, i) => !here.some(({ site }) => site === i)).map(({ line }) => line);
  // the cone begins and ends square to a site; where it is loaded, and what bounds it, changes towards corners and ends
  const bounds = [
    ...away.flatMap(([dx, dy]) => [Math.atan2(dx, -dy), Math.atan2(-dx, dy)]),
    ...[...edges.map(({ from }) => from), ...others.flatMap(({ from, to }) => [from, to])].map((p) => Math.atan2(p.y - v.y, p.x - v.x)),
    ...bendsAround(v, edges, others),
  ]
    .map((angle) => (angle + 4 * Math.PI) % (2 * Math.PI))
    .sort((a, b) => a - b);
  const ahead = (ux: number, uy: number) => [...loadedAlong(loaded, hitsFrom(v, ux, uy, edges))].filter(({ to }) => to > 0);
  /** Loaded stretches along a ray, as far as no other site is nearer. */
  const along = (angle: number): [from: number, to: number][] => {
    const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
    const parts = ahead(ux, uy);
    if (parts.length === 0) return [];
    let reach = Infinity;
    for (const other of others) reach = Math.min(reach, towards(other, v, ux, uy));
    return parts.flatMap(({ from, to }) => (from < reach ? [[Math.max(0, from), Math.min(reach, to)]] : []));
  };
  const over = (from: number, to: number): Region => {
    let [area, x, y] = [0, 0, 0];
    for (const [fraction, weight] of GAUSS) {
      const angle = from + fraction * (to - from);
      for (const [a, b] of along(angle)) {
        area += (weight * (to - from) * (b * b - a * a)) / 2;
        const moment = (weight * (to - from) * (b ** 3 - a ** 3)) / 3;
        x += moment * Math.cos(angle);
        y += moment * Math.sin(angle);
      }
    }
    return { area, x: area * v.x + x, y: area * v.y + y };
  };
  /** Halved until halves give what the whole gave. */
  const fine = (from: number, to: number, whole: Region, depth: number): Region[] => {
    const middle = (from + to) / 2;
    const halves = [over(from, middle), over(middle, to)] as const;
    if (depth === 0 || Math.abs(halves[0].area + halves[1].area - whole.area) <= tolerance) return [...halves];
    return [...fine(from, middle, halves[0], depth - 1), ...fine(middle, to, halves[1], depth - 1)];
  };
  const arcs = bounds.flatMap((from, i): Region[] => {
    const to = i + 1 < bounds.length ? bounds[i + 1]! : bounds[0]! + 2 * Math.PI;
    const middle = (from + to) / 2;
    const isBeside = away.some(([dx, dy]) => Math.cos(middle) * dx + Math.sin(middle) * dy > 1e-9);
    // within an arc a ray meets the same edges: where there is nothing in the middle there is nothing
    if (to - from < 1e-9 || isBeside || ahead(Math.cos(middle), Math.sin(middle)).length === 0) return [];
    return fine(from, to, over(from, to), DEPTH);
  });
  return sumRegions(arcs);
}

/** Where the line through a point in a direction crosses rings: distances from the point, behind it too. */
function hitsFrom(v: PlanPoint, ux: number, uy: number, edges: readonly Edge[]): { t: number; of: number }[] {
  const hits: { t: number; of: number }[] = [];
  for (const { from, to, of } of edges) {
    const [a, b] = [(from.y - v.y) * ux - (from.x - v.x) * uy, (to.y - v.y) * ux - (to.x - v.x) * uy];
    if (a > 0 === b > 0) continue;
    const [ta, tb] = [(from.x - v.x) * ux + (from.y - v.y) * uy, (to.x - v.x) * ux + (to.y - v.y) * uy];
    hits.push({ t: ta + (a / (a - b)) * (tb - ta), of });
  }
  return hits;
}
