import type { Beam, PlanPoint } from '../../building';
import { lengthIn } from '../inUnits';
import type { Bearer, SupportDoubt } from './found';
import { heldAs, LOOSE } from './saidConnections';
import { crossing, endToEnd, nearest, overlap } from './line';
import type { OnLine } from './levelPlan';
import type { LevelFinders } from './finders';

interface Candidate {
  readonly at: number;
  readonly by: string;
  readonly rule: string;
  /** Lower is preferred where several would bear in one place. */
  readonly rank: number;
}

const RANK = { column: 0, footing: 1, wall: 2, hanger: 3, beam: 4 } as const;

/** Two beams of one level that cross within the length of both: geometry does not say which is on top. */
interface Crossing {
  readonly a: string;
  readonly b: string;
  readonly atA: number;
  readonly atB: number;
}

/** An end of a beam that lies under, or at, another one. */
interface Tip {
  /** The beam along which it lies, where along it, and the beam whose end it is. */
  readonly over: string;
  readonly at: number;
  readonly tip: string;
}

/** Of each beam the beams of its level that come near it, itself among them. */
export type Neighbours = readonly (readonly OnLine<Beam>[])[];

export function neighboursOf(beams: readonly OnLine<Beam>[], { beams: finder }: LevelFinders, reach: number): Neighbours {
  return beams.map(({ line: { from, to } }) => finder.near(from.x, from.y, to.x, to.y, reach));
}

/** Finds what the beams of a level rest on. Only beams whose supports are to be found are looked at. */
export function findBeamSupports(
  beams: readonly OnLine<Beam>[],
  neighbours: Neighbours,
  finders: LevelFinders,
  reach: number,
): { supports: Map<string, Bearer[]>; doubts: SupportDoubt[] } {
  const found: (readonly Candidate[] | null)[] = [];
  const crossings: Crossing[] = [];
  const tips: Tip[] = [];
  for (let i = 0; i < beams.length; i += 1) {
    const beam = beams[i]!;
    if (!beam.body.supportsFound) {
      found.push(null);
      continue;
    }
    const candidates: Candidate[] = [];
    onPosts(beam, finders, reach, candidates);
    onWalls(beam, finders, reach, candidates);
    onBeams(beam, neighbours[i]!, reach, candidates, crossings, tips);
    found.push(settle(candidates, reach));
  }
  bearOnTips(beams, found, tips, reach);
  const doubts = decideCrossings(beams, found, crossings, reach);
  const supports = new Map<string, Bearer[]>();
  for (let i = 0; i < beams.length; i += 1) {
    const candidates = found[i];
    if (!candidates) continue;
    const { id, body, line } = beams[i]!;
    const held = body.connections.length === 0 ? null : heldAs(body, candidates, line.length);
    supports.set(
      id,
      candidates.map(({ at, by, rule }, n) => {
        const { holdsDown, fixed, spring, settlement } = held ? held[n]! : LOOSE;
        return { by, at, rule, holdsDown, fixed, spring, settlement };
      }),
    );
  }
  return { supports, doubts };
}

interface Post {
  readonly id: string;
  readonly body: { readonly at: PlanPoint };
}

/** Columns, pads, hangers: points within reach of the beam's line. */
function onPosts({ line }: OnLine<Beam>, finders: LevelFinders, reach: number, candidates: Candidate[]): void {
  const { from, to } = line;
  const look = (posts: readonly Post[], rank: number, rule: string) => {
    for (const { id, body } of posts) {
      const { at, distance } = nearest(line, body.at);
      if (distance <= reach) candidates.push({ at, by: id, rank, rule });
    }
  };
  look(finders.columnsBelow.near(from.x, from.y, to.x, to.y, reach), RANK.column, '{} stands under it');
  look(finders.footings.near(from.x, from.y, to.x, to.y, reach), RANK.footing, '{} lies under it');
  look(finders.hangersBelow.near(from.x, from.y, to.x, to.y, reach), RANK.hanger, '{} holds it from above');
}

/** Walls that come up to the beam or past it: crossed at a point, or lain upon along a stretch. */
function onWalls({ line }: OnLine<Beam>, finders: LevelFinders, reach: number, candidates: Candidate[]): void {
  for (const wall of finders.wallsBelow.near(line.from.x, line.from.y, line.to.x, line.to.y, reach)) {
    if (wall.body.bears === 'no') continue;
    const cross = crossing(line, wall.line);
    if (cross) {
      if (cross.a < -reach || cross.a > line.length + reach || cross.b < -reach || cross.b > wall.line.length + reach) continue;
      const at = Math.min(line.length, Math.max(0, cross.a));
      candidates.push({ at, by: wall.id, rank: RANK.wall, rule: 'it meets {}' });
      continue;
    }
    const common = overlap(line, wall.line, reach);
    if (!common) {
      // the nibs beside an opening: wall and beam in one line, end to end
      const end = endToEnd(line, wall.line, reach);
      if (end !== null) candidates.push({ at: end, by: wall.id, rank: RANK.wall, rule: 'its end meets the end of {} in its own line' });
      continue;
    }
    const rule = 'it lies along {}: taken to bear at both ends of the common length';
    if (common.to - common.from <= 2 * reach)
      candidates.push({ at: (common.from + common.to) / 2, by: wall.id, rank: RANK.wall, rule: 'its end lies on {}' });
    else for (const at of [common.from, common.to]) candidates.push({ at, by: wall.id, rank: RANK.wall, rule });
  }
}

/** Beams of the same level into whose length an end of this one frames. Crossings are kept for later. */
function onBeams(
  { id, line }: OnLine<Beam>,
  neighbours: readonly OnLine<Beam>[],
  reach: number,
  candidates: Candidate[],
  crossings: Crossing[],
  tips: Tip[],
): void {
  for (const other of neighbours) {
    if (other.id === id) continue;
    const cross = crossing(line, other.line);
    if (!cross) continue;
    const s = cross.a;
    const t = cross.b;
    if (s < -reach || s > line.length + reach || t < -reach || t > other.line.length + reach) continue;
    // an end of the other lies here: it bears on this one, if it needs to
    if (t <= reach || t >= other.line.length - reach) {
      tips.push({ over: id, tip: other.id, at: Math.min(line.length, Math.max(0, s)) });
      continue;
    }
    const { body } = other;
    if (s <= reach || s >= line.length - reach)
      candidates.push({
        at: Math.min(line.length, Math.max(0, s)),
        by: other.id,
        rank: RANK.beam,
        rule: 'its end frames into {}',
      });
    else if (body.supportsFound ? id < other.id : !body.supports.some((support) => support.by === id))
      crossings.push({ a: id, b: other.id, atA: s, atB: t });
  }
}

/** Of several things that bear in one place the stiffest is kept; the rest come in order along the beam. */
function settle(candidates: readonly Candidate[], reach: number): Candidate[] {
  const kept: Candidate[] = [];
  for (const candidate of sorted(candidates, byPreference)) {
    let taken = false;
    for (const other of kept) if (Math.abs(other.at - candidate.at) <= reach) taken = true;
    if (!taken) kept.push(candidate);
  }
  return sorted(kept, (a, b) => a.at - b.at);
}

const byPreference = (a: Candidate, b: Candidate) => a.rank - b.rank || a.at - b.at || (a.by < b.by ? -1 : 1);

/** A few things in order: with so few the usual sorting takes longer to set out than to do. */
function sorted<T>(list: readonly T[], compare: (a: T, b: T) => number): T[] {
  const result = list.slice();
  for (let i = 1; i < result.length; i += 1) {
    const entry = result[i]!;
    let j = i;
    for (; j > 0 && compare(result[j - 1]!, entry) > 0; j -= 1) result[j] = result[j - 1]!;
    result[j] = entry;
  }
  return result;
}

/** Has the beam an end that hangs in the air? */
function needsSupport(line: { length: number }, supports: readonly Candidate[], reach: number): boolean {
  return !supports.some((s) => s.at <= reach) || !supports.some((s) => s.at >= line.length - reach);
}

/**
 * A beam across the tips of two or more cantilevers, which nothing else carries: where they stand without it, it bears on their tips, and not they
 * on it.
 */
function bearOnTips(beams: readonly OnLine<Beam>[], found: (readonly Candidate[] | null)[], tips: readonly Tip[], reach: number): void {
  if (tips.length === 0) return;
  const placeOf = new Map(beams.map(({ id }, i) => [id, i]));
  const before = found.slice();
  const standsWithout = (id: string, other: string) => {
    const { body, line } = beams[placeOf.get(id)!]!;
    const supports = before[placeOf.get(id)!] ?? body.supports.map(({ at, by }) => ({ at, by: by ?? '', rule: '', rank: 0 }));
    const rest = supports.filter(({ by }) => by !== other);
    // two places, or one that holds it: a beam named as held is left to its maker
    return rest.length >= 2 && line.length > 0;
  };
  // one tip alone would be a beam that frames into an end which has lost its own support
  const able = tips.filter(({ over, tip }) => before[placeOf.get(over)!]?.length === 0 && standsWithout(tip, over));
  for (const { over, at, tip } of able) {
    if (!able.some((other) => other.over === over && other.tip !== tip)) continue;
    const [i, j] = [placeOf.get(over)!, placeOf.get(tip)!];
    found[i] = settle([...found[i]!, { at, by: tip, rank: RANK.beam, rule: 'it lies across the end of {}' }], reach);
    const theirs = found[j];
    if (theirs) found[j] = theirs.filter(({ by }) => by !== over);
  }
}

/** Where two beams cross, the one with a free end goes over the other; where that does not decide, a person must. */
function decideCrossings(
  beams: readonly OnLine<Beam>[],
  found: (readonly Candidate[] | null)[],
  crossings: readonly Crossing[],
  reach: number,
): SupportDoubt[] {
  if (crossings.length === 0) return [];
  const placeOf = new Map(beams.map(({ id }, i) => [id, i]));
  const doubts: SupportDoubt[] = [];
  const needs = (id: string) => {
    const i = placeOf.get(id)!;
    const candidates = found[i];
    return candidates !== null && candidates !== undefined && needsSupport(beams[i]!.line, candidates, reach);
  };
  const decided = crossings.map((cross) => ({ ...cross, aNeeds: needs(cross.a), bNeeds: needs(cross.b) }));
  for (const { a, b, atA, atB, aNeeds, bNeeds } of decided) {
    const [i, j] = [placeOf.get(a)!, placeOf.get(b)!];
    const [beamA, beamB] = [beams[i]!, beams[j]!];
    const carry = (n: number, at: number, by: string) => {
      found[n] = settle([...found[n]!, { at, by, rank: RANK.beam, rule: 'it runs over {} towards a free end' }], reach);
    };
    if (aNeeds && !bNeeds) carry(i, atA, b);
    else if (bNeeds && !aNeeds) carry(j, atB, a);
    else if (!(nearSupport(found[i], atA, reach) && nearSupport(found[j], atB, reach)))
      doubts.push({
        kind: 'cross',
        item: a,
        title: `${beamA.body.mark} and ${beamB.body.mark} cross, and nothing says which carries the other`,
        why: 'Both go through on the plan; they are calculated as if they did not touch.',
        remedy: `Name ${beamA.body.mark} as a support of ${beamB.body.mark} or the other way round, or end one of them at the other.`,
      });
  }
  return doubts;
}

function nearSupport(candidates: readonly Candidate[] | null | undefined, at: number, reach: number): boolean {
  return candidates?.some((candidate) => Math.abs(candidate.at - at) <= reach) ?? false;
}

/** Ends that stop just short of something they may have been meant to meet, and beams that lie in one place. */
export function beamDoubts(
  beams: readonly OnLine<Beam>[],
  neighbours: Neighbours,
  supports: ReadonlyMap<string, readonly Bearer[]>,
  finders: LevelFinders,
  reach: number,
): SupportDoubt[] {
  const doubts: SupportDoubt[] = [];
  for (let i = 0; i < beams.length; i += 1) {
    const { id, body, line } = beams[i]!;
    for (const other of neighbours[i]!) {
      if (other.id <= id) continue;
      const common = overlap(line, other.line, reach);
      if (common && common.to - common.from > 2 * reach)
        doubts.push({
          kind: 'twice',
          item: id,
          title: `${body.mark} and ${other.body.mark} lie in one place`,
          why: `They run together over ${lengthIn(common.to - common.from)}; load may be counted on the wrong one.`,
          remedy: 'Take one away, or move it to where it is.',
        });
    }
    const mine = supports.get(id);
    if (!mine) continue;
    const look = (at: number, point: PlanPoint) => {
      for (const support of mine) if (Math.abs(support.at - at) <= reach) return;
      const close = nearestBeam(id, point, finders, 3 * reach);
      if (!close) return;
      const { mark } = close.beam.body;
      doubts.push({
        kind: 'near',
        item: id,
        title: `${body.mark} ends ${lengthIn(close.distance)} from ${mark} without resting on it`,
        why: 'Ends that nearly touch are usually meant to meet.',
        remedy: `Draw ${body.mark} up to ${mark}, put a post under the corner, or leave it if it is a cantilever.`,
      });
    };
    look(0, line.from);
    look(line.length, line.to);
  }
  return doubts;
}

/** The beam nearest to a point, other than one of that name, at most so far away and not through it. */
function nearestBeam(id: string, point: PlanPoint, finders: LevelFinders, wider: number): { beam: OnLine<Beam>; distance: number } | null {
  let best: { beam: OnLine<Beam>; distance: number } | null = null;
  for (const beam of finders.beams.near(point.x, point.y, point.x, point.y, wider)) {
    if (beam.id === id) continue;
    const { distance } = nearest(beam.line, point);
    if (distance <= wider && distance > 0 && (!best || distance < best.distance)) best = { beam, distance };
  }
  return best;
}
