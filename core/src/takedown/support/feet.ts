import type { PlanPoint, Wall } from '../../building';
import { FIRM, NAMED, type Bearer, type WallBearer } from './found';
import type { LevelFinders } from './finders';
import { nearest, overlap } from './line';
import type { LevelPlan, OnLine } from './levelPlan';

const STANDS_ON = 'it stands on {}';
const CONTINUES = '{} continues beneath it';
const NOTHING: Bearer = { by: null, at: 0, holdsDown: true, ...FIRM, rule: 'nothing was found within reach' };

/** What takes the foot of a column at this level: a pad, a column that comes up, a beam, a wall, a strip footing. */
function postFoot(id: string, at: PlanPoint, level: LevelPlan, finders: LevelFinders, reach: number): Bearer {
  const bearer = (by: string, rule: string): Bearer => ({ by, at: 0, holdsDown: true, ...FIRM, rule });
  const closest = <T extends { readonly id: string }>(entries: readonly T[], distance: (entry: T) => number): T | undefined => {
    let best: T | undefined;
    let least = reach;
    for (const entry of entries) {
      const d = distance(entry);
      if (entry.id !== id && (best === undefined ? d <= least : d < least)) [best, least] = [entry, d];
    }
    return best;
  };
  const fromPoint = (entry: { body: { at: PlanPoint } }) => Math.hypot(entry.body.at.x - at.x, entry.body.at.y - at.y);
  const fromLine = (entry: OnLine<unknown>) => nearest(entry.line, at).distance;
  const { x, y } = at;
  const pad = closest(finders.footings.near(x, y, x, y, reach), fromPoint);
  if (pad) return bearer(pad.id, STANDS_ON);
  const below = closest(
    finders.columnsBelow.near(x, y, x, y, reach).filter((column) => column.body.top === level.id),
    fromPoint,
  );
  if (below) return bearer(below.id, CONTINUES);
  const beam = closest(finders.beams.near(x, y, x, y, reach), fromLine);
  if (beam) return bearer(beam.id, STANDS_ON);
  const wall = closest(
    finders.wallsBelow.near(x, y, x, y, reach).filter((entry) => entry.body.top === level.id && entry.body.bears !== 'no'),
    fromLine,
  );
  if (wall) return bearer(wall.id, STANDS_ON);
  const strip = closest(finders.stripFootings.near(x, y, x, y, reach), fromLine);
  return strip ? bearer(strip.id, STANDS_ON) : NOTHING;
}

/** Feet of columns and heads of hangers at a level, found or named. */
export function findPosts(level: LevelPlan, finders: LevelFinders, reach: number): Map<string, Bearer> {
  const posts = new Map<string, Bearer>();
  const named = (by: string | null): Bearer => ({ by, at: 0, holdsDown: true, ...FIRM, rule: NAMED });
  for (const { id, body } of level.columnsAbove)
    posts.set(id, body.supportsFound ? postFoot(id, body.at, level, finders, reach) : named(body.by));
  for (const { id, body } of level.hangersAbove) {
    if (!body.supportsFound) {
      posts.set(id, named(body.by));
      continue;
    }
    const { x, y } = body.at;
    const beams = finders.beams.near(x, y, x, y, reach).map((beam) => ({ beam, distance: nearest(beam.line, body.at).distance }));
    const best = beams.filter((b) => b.distance <= reach).sort((a, b) => a.distance - b.distance)[0];
    posts.set(id, best ? { by: best.beam.id, at: 0, holdsDown: true, ...FIRM, rule: 'it hangs from {}' } : NOTHING);
  }
  return posts;
}

/** Stretches of the walls that start at a level, each with what takes it: strip footing, wall below, or beam along it. */
export function findWallFeet(level: LevelPlan, finders: LevelFinders, reach: number): Map<string, WallBearer[]> {
  const feet = new Map<string, WallBearer[]>();
  for (const wall of level.wallsAbove) {
    if (wall.body.supportsFound) feet.set(wall.id, wallFoot(wall, level, finders, reach));
    else feet.set(wall.id, wall.body.by === null ? [] : [{ by: wall.body.by, from: 0, to: wall.line.length, rule: NAMED }]);
  }
  return feet;
}

function wallFoot({ id, line }: OnLine<Wall>, level: LevelPlan, finders: LevelFinders, reach: number): WallBearer[] {
  const { from, to } = line;
  const near = <B>(finder: { near: (x1: number, y1: number, x2: number, y2: number, r: number) => readonly OnLine<B>[] }) =>
    finder.near(from.x, from.y, to.x, to.y, reach);
  const stretches: WallBearer[] = [];
  const add = (entries: readonly OnLine<unknown>[], rule: string) => {
    for (const entry of entries) {
      const common = entry.id === id ? null : overlap(line, entry.line, reach);
      if (common) stretches.push({ by: entry.id, ...reachEnds(common, line.length, reach), rule });
    }
  };
  add(near(finders.stripFootings), STANDS_ON);
  add(
    near(finders.wallsBelow).filter((wall) => wall.body.top === level.id && wall.body.bears !== 'no'),
    CONTINUES,
  );
  add(near(finders.beams), '{} runs beneath it');
  // those first in the list take their whole stretch; later ones what is left
  const taken: WallBearer[] = [];
  for (const stretch of stretches) {
    let free = [{ from: stretch.from, to: stretch.to }];
    for (const other of taken)
      free = free
        .flatMap(({ from: a, to: b }) => [
          { from: a, to: Math.min(b, other.from) },
          { from: Math.max(a, other.to), to: b },
        ])
        .filter((part) => part.to - part.from > 1);
    for (const part of free) taken.push({ ...stretch, ...part });
  }
  return taken.sort((a, b) => a.from - b.from);
}

/** A stretch that stops within reach of the wall's end goes to the end. */
function reachEnds({ from, to }: { from: number; to: number }, length: number, reach: number): { from: number; to: number } {
  return { from: from <= reach ? 0 : from, to: to >= length - reach ? length : to };
}
