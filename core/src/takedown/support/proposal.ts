import { markOf, marksOf, placedItem, planLength, type Building, type Fresh, type Item, type PlanPoint } from '../../building';
import type { WallBearer } from './found';
import { along, crossing, offset, PARALLEL, pointAt, segment, type Segment } from './line';

/** An end of a proposed beam: where, and what it would rest on. */
export interface ProposedEnd {
  readonly at: PlanPoint;
  /** Id of what is there, or of a beam that is proposed with it; null: nothing is near enough. */
  readonly on: string | null;
}

/** A beam that would carry a wall, or the end of another beam that would. */
export interface ProposedBeam {
  readonly item: Extract<Item, { kind: 'beam' }>;
  /** What it is there to carry: id of the wall, or of the proposed beam. */
  readonly carries: string;
  readonly ends: readonly [ProposedEnd, ProposedEnd];
}

/** No beam is drawn out further than this to find what is there, mm. */
const FURTHEST = 9000;
/** A beam under the end of another runs at least so far to each side, mm. */
const SHORTEST = 400;
/** So many beams are proposed one under the other. */
const DEEPEST = 4;
/** A stretch of wall shorter than this is no gap, mm. */
const LEAST_GAP = 50;

/** Something that can take the end of a beam, as a place along its line, mm. */
interface Spot {
  readonly s: number;
  readonly id: string;
}

/**
 * The beams that would carry a wall where it stops above nothing: one along it, drawn out to what stands there, and where an end finds nothing one across
 * under that end, and so on. Nothing is changed: they are to be accepted, edited or dismissed.
 * @param bearers what takes the wall's foot now
 * @returns none where the wall stands at the lowest level, where it wants a footing, or everywhere on something
 */
export function proposeBeams(building: Building, wallId: string, bearers: readonly WallBearer[], fresh: Fresh): ProposedBeam[] {
  const wall = building.walls.get(wallId);
  const length = wall ? planLength(wall) : 0;
  if (!wall || length === 0 || wall.base === building.levels.at(-1)?.id) return [];
  const taken = bearers.filter(({ by }) => by !== null).sort((a, b) => a.from - b.from);
  const gaps: [number, number][] = [];
  let at = 0;
  for (const { from, to } of taken) {
    if (from - at > LEAST_GAP) gaps.push([at, from]);
    at = Math.max(at, to);
  }
  if (length - at > LEAST_GAP) gaps.push([at, length]);
  const proposer = new Proposer(building, wall.base, wallId, fresh);
  for (const [from, to] of gaps) proposer.alongLine(segment(wall), from, to, wallId, 0);
  return proposer.made;
}

class Proposer {
  readonly made: ProposedBeam[] = [];
  private readonly elevation: number;

  constructor(
    private readonly building: Building,
    private readonly level: string,
    private readonly wall: string,
    private readonly fresh: Fresh,
  ) {
    this.elevation = building.elevation(level);
  }

  /** A beam along a line under the stretch from `from` to `to`, drawn out to what is there. */
  alongLine(line: Segment, from: number, to: number, carries: string, depth: number): string {
    const { reach } = this.building.brief;
    const spots = this.spotsOn(line, carries);
    const before = best(
      spots.filter(({ s }) => s <= from + reach && s >= from - FURTHEST),
      (spot) => spot.s,
    );
    const after = best(
      spots.filter(({ s }) => s >= to - reach && s <= to + FURTHEST && s > (before?.s ?? -Infinity) + reach),
      (spot) => -spot.s,
    );
    return this.make(line, before ?? { s: from, id: null }, after ?? { s: to, id: null }, carries, depth);
  }

  /** A beam across a line under one of its points. */
  private across(line: Segment, at: number, carries: string, depth: number): string | null {
    if (depth >= DEEPEST) return null;
    const point = pointAt(line, at);
    const cross: Segment = segment({ from: point, to: { x: point.x - line.dy * 1000, y: point.y + line.dx * 1000 } });
    const spots = this.spotsOn(cross, carries);
    const before = best(
      spots.filter(({ s }) => s <= -SHORTEST && s >= -FURTHEST),
      (spot) => spot.s,
    );
    const after = best(
      spots.filter(({ s }) => s >= SHORTEST && s <= FURTHEST),
      (spot) => -spot.s,
    );
    // with nothing to either side there is nothing to draw it to
    if (!before && !after) return null;
    return this.make(cross, before ?? { s: -SHORTEST, id: null }, after ?? { s: SHORTEST, id: null }, carries, depth);
  }

  private make(line: Segment, start: EndSpot, end: EndSpot, carries: string, depth: number): string {
    const { building, level, fresh } = this;
    const [from, to] = [pointAt(line, start.s), pointAt(line, end.s)];
    const item = placedItem(building, 'beam', fresh.id('beam'), fresh.mark('B'), level, [from, to]) as ProposedBeam['item'];
    const place = this.made.length;
    this.made.push({
      item,
      carries,
      ends: [
        { at: from, on: start.id },
        { at: to, on: end.id },
      ],
    });
    const on = ({ s, id }: EndSpot) => id ?? this.across(line, s, item.id, depth + 1);
    this.made[place] = {
      item,
      carries,
      ends: [
        { at: from, on: on(start) },
        { at: to, on: on(end) },
      ],
    };
    return item.id;
  }

  /** What can take the end of a beam along a line of the level: columns and walls that come up to it, beams that cross it. */
  private spotsOn(line: Segment, carries: string): Spot[] {
    const { building, elevation } = this;
    const { reach } = building.brief;
    const spots: Spot[] = [];
    const comesUp = ({ base, top }: { readonly base: string; readonly top: string }) =>
      building.elevation(base) < elevation - 1 && building.elevation(top) >= elevation - 1;
    building.columns.forEach((column, id) => {
      if (comesUp(column) && Math.abs(offset(line, column.at)) <= reach) spots.push({ s: along(line, column.at), id });
    });
    const crosses = (id: string, body: { readonly from: PlanPoint; readonly to: PlanPoint }) => {
      const other = segment(body);
      if (other.length === 0 || id === this.wall) return;
      const cross = crossing(line, other);
      if (cross && cross.b >= -reach && cross.b <= other.length + reach) spots.push({ s: cross.a, id });
      if (cross || Math.abs(line.dx * other.dy - line.dy * other.dx) >= PARALLEL || Math.abs(offset(line, body.from)) > reach) return;
      // one that goes on in its line takes it at either end
      for (const point of [body.from, body.to]) spots.push({ s: along(line, point), id });
    };
    building.walls.forEach((wall, id) => {
      if (comesUp(wall) && wall.bears !== 'no') crosses(id, wall);
    });
    building.beams.forEach((beam, id) => {
      if (beam.level === this.level) crosses(id, beam);
    });
    for (const { item } of this.made) if (item.id !== carries) crosses(item.id, item.body);
    return spots;
  }
}

interface EndSpot {
  readonly s: number;
  readonly id: string | null;
}

function best(spots: readonly Spot[], of: (spot: Spot) => number): Spot | null {
  return spots.reduce<Spot | null>((found, spot) => (found === null || of(spot) > of(found) ? spot : found), null);
}

/** Ids and marks for what is proposed: they are no item's yet. */
export function freshProposals(building: Building): Fresh {
  const marks = new Set(marksOf(building));
  let n = 0;
  return {
    id: (kind) => `proposed-${kind}-${(n += 1)}`,
    mark: (prefix) => {
      for (let i = 1; ; i += 1) {
        const mark = `${prefix}${i}`;
        if (marks.has(mark)) continue;
        marks.add(mark);
        return mark;
      }
    },
  };
}

export const proposedMark = (building: Building, proposals: readonly ProposedBeam[], id: string): string =>
  proposals.find(({ item }) => item.id === id)?.item.body.mark ?? markOf(building, id);
