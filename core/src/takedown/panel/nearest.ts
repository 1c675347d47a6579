import type { PlanPoint } from '../../building';
import { offset, pointAt, type Segment } from '../support/line';
import { cellOf, endsOf, FINE, type SiteEnd } from './cell';
import { crossings, differenceRoots, type Poly } from './envelope';
import { sumRegions, type Region } from './polygon';
import { GAUSS, loadedAlong, ONE, towards, type Edge, type Loaded, type Site } from './ray';

/** Load on a stretch of a site, as a width that varies linearly and keeps the total and the first moment along the site. */
export interface SiteStretch {
  readonly site: number;
  readonly from: number;
  readonly to: number;
  readonly start: number;
  readonly end: number;
  readonly region: Region;
}

/** A width that bends by more than this over a stretch is cut, mm. */
const SAG = 5;

/**
 * Each point of what is loaded goes to the nearest place of any site and lands there. Square to a site the boundary is straight against
 * other lines and a parabola against their ends; widths are integrated between all places where it changes, so that areas are exact.
 * What is nearest to an end is integrated by angle and brought to the exact remainder.
 * @param area of all that is loaded, mm2
 * @param cuts places along each site at which a stretch must end
 */
export function nearestShares(
  loaded: Loaded,
  sites: readonly Site[],
  area: number,
  cuts: (site: number) => readonly number[],
): { readonly stretches: SiteStretch[]; readonly ends: SiteEnd[] } {
  const edges = [...loaded.within, ...loaded.without].flatMap((ring, of) =>
    ring.map((from, i) => ({ from, to: ring[(i + 1) % ring.length]!, of })),
  );
  const stretches = sites.flatMap((_, i) =>
    ([1, -1] as const).flatMap((side) => new Side(loaded, edges, sites, i, side).stretches(cuts(i))),
  );
  const ends = endsOf(sites).flatMap((end) => {
    const region = cellOf(loaded, edges, sites, end, FINE * area);
    return region.area > 0 ? [{ ...end, region }] : [];
  });
  const rest = area - stretches.reduce((sum, { region }) => sum + region.area, 0);
  const found = ends.reduce((sum, { region }) => sum + region.area, 0);
  // a larger difference would be an error: it stays to be seen in the balance
  if (found === 0 || Math.abs(rest - found) > 1e-7 * area) return { stretches, ends };
  const factor = Math.max(0, rest / found);
  return { stretches, ends: ends.map((end) => ({ ...end, region: sumRegions([end.region], factor) })) };
}

/** One side of a site, in coordinates s along it and t square to it. */
class Side {
  private readonly line: Segment;
  private readonly nx: number;
  private readonly ny: number;
  private readonly others: readonly Segment[];
  private readonly local: readonly { readonly s: readonly [number, number]; readonly t: readonly [number, number]; readonly of: number }[];

  constructor(
    private readonly loaded: Loaded,
    edges: readonly Edge[],
    sites: readonly Site[],
    private readonly site: number,
    private readonly side: 1 | -1,
  ) {
    this.line = sites[site]!.line;
    this.nx = -this.line.dy * side;
    this.ny = this.line.dx * side;
    this.others = sites.filter((_, i) => i !== site).map(({ line }) => line);
    this.local = edges.map(({ from, to, of }) => ({ s: [this.s(from), this.s(to)], t: [this.t(from), this.t(to)], of }));
  }

  private s(p: PlanPoint): number {
    return (p.x - this.line.from.x) * this.line.dx + (p.y - this.line.from.y) * this.line.dy;
  }

  private t(p: PlanPoint): number {
    return offset(this.line, p) * this.side;
  }

  stretches(cuts: readonly number[]): SiteStretch[] {
    const { length } = this.line;
    // most edges have nothing of the panel on their outer side
    if (!this.local.some(({ t }) => t[0] > ONE)) return [];
    const places = [0, length, ...cuts, ...this.changes()].filter((s) => s >= 0 && s <= length).sort((a, b) => a - b);
    const found: SiteStretch[] = [];
    for (let i = 0; i + 1 < places.length; i += 1) {
      const [a, b] = [places[i]!, places[i + 1]!];
      if (b - a > 1e-6) found.push(...this.between(a, b));
    }
    return joined(found, cuts);
  }

  /** Where the depth of what goes to this side may change its form. */
  private changes(): number[] {
    const depths: Poly[] = [];
    const places: number[] = [];
    for (const other of this.others) {
      // towards a line that is crossed at h = 0, from one side of it or the other
      const h0 = offset(other, this.line.from);
      const rate = other.dx * this.line.dy - other.dy * this.line.dx;
      const across = other.dx * this.ny - other.dy * this.nx;
      for (const sign of [1, -1]) {
        const under = 1 - sign * across;
        if (under < 1e-9) continue;
        const depth: Poly = [(sign * h0) / under, (sign * rate) / under, 0];
        depths.push(depth);
        places.push(...this.footAtEnds(other, depth));
      }
      if (rate !== 0) places.push(-h0 / rate);
      for (const end of [other.from, other.to]) {
        const [se, te] = [this.s(end), this.t(end)];
        places.push(se);
        if (te > ONE) depths.push([(se * se + te * te) / (2 * te), -se / te, 1 / (2 * te)]);
      }
    }
    const borders = this.local.flatMap(({ s, t }): Poly[] => {
      places.push(...s);
      const run = s[1] - s[0];
      if (Math.abs(run) < 1e-9) return [];
      const slope = (t[1] - t[0]) / run;
      return [[t[0] - slope * s[0], slope, 0]];
    });
    const none: Poly = [0, 0, 0];
    for (const border of borders) places.push(...differenceRoots(border, none));
    places.push(...crossings(depths, [...depths, ...borders]));
    return places;
  }

  /** Where the foot on another line passes its ends, while the depth follows that line. */
  private footAtEnds(other: Segment, depth: Poly): number[] {
    const foot = (s: number) => {
      const t = depth[0] + depth[1] * s;
      const [x, y] = [this.line.from.x + this.line.dx * s + this.nx * t, this.line.from.y + this.line.dy * s + this.ny * t];
      return (x - other.from.x) * other.dx + (y - other.from.y) * other.dy;
    };
    const [u0, u1] = [foot(0), foot(1)];
    const rate = u1 - u0;
    return Math.abs(rate) < 1e-12 ? [] : [-u0 / rate, (other.length - u0) / rate];
  }

  /** How far square to the site from a place on it other sites are no nearer. */
  private depth(s: number): number {
    const p = pointAt(this.line, s);
    let least = Infinity;
    for (const other of this.others) least = Math.min(least, towards(other, p, this.nx, this.ny));
    return least;
  }

  /** Width that goes to a place, mm, and its first moment square to the site, mm2. */
  private width(s: number): { width: number; moment: number } {
    const depth = this.depth(s);
    const hits: { t: number; of: number }[] = [];
    for (const edge of this.local) {
      const [s1, s2] = edge.s;
      if (s1 > s === s2 > s) continue;
      hits.push({ t: edge.t[0] + ((s - s1) / (s2 - s1)) * (edge.t[1] - edge.t[0]), of: edge.of });
    }
    let [width, moment] = [0, 0];
    for (const { from, to } of loadedAlong(this.loaded, hits)) {
      const [a, b] = [Math.max(0, from), Math.min(depth, to)];
      if (b <= a) continue;
      width += b - a;
      moment += (b * b - a * a) / 2;
    }
    return { width, moment };
  }

  /** Three places between two, with what goes there. */
  private sampled(a: number, b: number) {
    return GAUSS.map(([fraction, weight]) => ({ fraction, weight, ...this.width(a + fraction * (b - a)) }));
  }

  private between(a: number, b: number): SiteStretch[] {
    const length = b - a;
    const samples = this.sampled(a, b);
    const [w1, w2, w3] = samples.map(({ width }) => width) as [number, number, number];
    if (w1 + w2 + w3 < 1e-9) return [];
    // how far a parabola through the three values hangs below its chord over the whole stretch
    const bend = Math.abs(w1 - 2 * w2 + w3) / 1.2;
    const parts = Math.min(32, Math.max(1, Math.ceil(Math.sqrt(bend / SAG))));
    if (parts === 1) return [this.piece(a, b, samples)];
    return Array.from({ length: parts }, (_, i) => this.piece(a + (length * i) / parts, a + (length * (i + 1)) / parts));
  }

  /** A stretch over which width and moment are polynomials. */
  private piece(a: number, b: number, samples = this.sampled(a, b)): SiteStretch {
    const length = b - a;
    let [total, first, across] = [0, 0, 0];
    for (const { fraction, weight, width, moment } of samples) {
      total += weight * width * length;
      first += weight * width * fraction * length * length;
      across += weight * moment * length;
    }
    const s = a * total + first;
    const { from, dx, dy } = this.line;
    const region = {
      area: total,
      x: from.x * total + dx * s + this.nx * across,
      y: from.y * total + dy * s + this.ny * across,
    };
    const [start, end] = [(4 * total) / length - (6 * first) / length ** 2, (6 * first) / length ** 2 - (2 * total) / length];
    if (start >= -1e-9 && end >= -1e-9)
      return { site: this.site, from: a, to: b, start: Math.max(0, start), end: Math.max(0, end), region };
    // bent so far that a straight width would be less than nothing at an end: evenly about its middle
    const middle = a + first / total;
    const half = Math.min(middle - a, b - middle);
    const width = total / (2 * half);
    return { site: this.site, from: middle - half, to: middle + half, start: width, end: width, region };
  }
}

/** Neighbours that continue each other in one straight line, as one. */
function joined(stretches: readonly SiteStretch[], cuts: readonly number[]): SiteStretch[] {
  const list: SiteStretch[] = [];
  for (const next of stretches) {
    const last = list.at(-1);
    const slope = ({ from, to, start, end }: SiteStretch) => (end - start) / (to - from);
    const continues =
      last &&
      Math.abs(last.to - next.from) < 1e-6 &&
      Math.abs(last.end - next.start) < 1e-6 &&
      Math.abs(slope(last) - slope(next)) < 1e-9 &&
      !cuts.some((cut) => Math.abs(cut - next.from) < 1e-6);
    if (!continues) list.push(next);
    else {
      list[list.length - 1] = { ...last, to: next.to, end: next.end, region: sumRegions([last.region, next.region]) };
    }
  }
  return list;
}
