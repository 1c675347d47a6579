import {
  crossingAt,
  isLineItem,
  isOnLevel,
  isPlaced,
  item,
  marksOf,
  movedItem,
  PLACED,
  placedItem,
  planLength,
  pointAlong,
  project,
  splitLine,
  splitPanel,
  standing,
  STANDING_KINDS,
  type Building,
  type Fresh,
  type Item,
  type PlacedKind,
  type PlanPoint,
} from '@plinth/core';
import { freshId, nextMark } from '../../project/useEdit';

/**
 * A new item of a kind at points of a level, with what it rests on left to be found.
 * @param points one for posts and pads, two for lines, three or more for a panel
 */
export function makeItem(
  building: Building,
  kind: PlacedKind,
  level: string,
  points: readonly PlanPoint[],
  taken: readonly string[] = [],
): Item {
  const mark =
    kind === 'gridline'
      ? gridLabel(building, points[0]!, points[1] ?? points[0]!)
      : nextMark(PLACED[kind].prefix, [...marksOf(building), ...taken]);
  return placedItem(building, kind, freshId(kind), mark, level, points);
}

/** A pad under each column and a strip under each wall that has nothing beneath, at the level where it stands. */
export function footingsUnder(building: Building, items: readonly Item[], standsOnNothing: (id: string) => boolean): Item[] {
  const taken: string[] = [];
  return items.flatMap((item) => {
    if ((item.kind !== 'column' && item.kind !== 'wall') || !standsOnNothing(item.id)) return [];
    const made =
      item.kind === 'column'
        ? makeItem(building, 'footing', item.body.base, [item.body.at], taken)
        : makeItem(building, 'stripFooting', item.body.base, [item.body.from, item.body.to], taken);
    if ('mark' in made.body) taken.push(made.body.mark);
    return [made];
  });
}

/** Upright gridlines are lettered, those across are numbered. */
function gridLabel(building: Building, from: PlanPoint, to: PlanPoint): string {
  const labels = building.gridlines.map(({ body }) => body.label);
  if (Math.abs(to.y - from.y) < Math.abs(to.x - from.x)) return nextMark('', labels);
  for (let i = 0; ; i += 1) {
    const label = i < 26 ? String.fromCharCode(65 + i) : `A${String.fromCharCode(65 + (i % 26))}`;
    if (!labels.includes(label)) return label;
    if (i > 52) return nextMark('G', labels);
  }
}

/** A copy under a new id and, where there is one, a new mark. Named supports do not go with it: they are found. */
export function copiedItem(item: Item, marks: string[], dx: number, dy: number): Item {
  const moved = movedItem(item, dx, dy);
  const id = freshId(item.kind);
  if (!('mark' in moved.body)) return { ...moved, id };
  const mark = nextMark(/^\D*/.exec(moved.body.mark)![0] || 'X', marks);
  marks.push(mark);
  const found = 'supportsFound' in moved.body ? { supportsFound: true } : {};
  return { ...moved, id, body: { ...moved.body, mark, ...found } } as Item;
}

/**
 * Copies of several items, together with the loads that act on them: a copy that lost its loads would weigh less than it seems to.
 * @param loads all loads of the building
 */
export function copiedItems(items: readonly Item[], loads: Building['loads'], marks: string[], dx: number, dy: number): Item[] {
  const chosen = new Set(items.map(({ id }) => id));
  const along = loads.flatMap(({ id, body }) => (chosen.has(body.on) && !chosen.has(id) ? [{ id, kind: 'load', body } as Item] : []));
  const copyOf = new Map([...items, ...along].map((item) => [item.id, copiedItem(item, marks, dx, dy)]));
  return [...copyOf.values()].map((copy) => {
    const on = copy.kind === 'load' || copy.kind === 'note' ? copy.body.on : null;
    if (on !== null && copyOf.has(on)) return { ...copy, body: { ...copy.body, on: copyOf.get(on)!.id } } as Item;
    if (!('connections' in copy.body) || copy.body.connections.length === 0) return copy;
    // what is said of its connections is said of those with the copies
    const connections = copy.body.connections.map((said) => ({ ...said, to: copyOf.get(said.to)?.id ?? said.to }));
    return { ...copy, body: { ...copy.body, connections } } as Item;
  });
}

/** An item of one level brought to another; storeys keep their number of levels. Null for what has no level. */
export function onLevel(building: Building, item: Item, from: string, to: string): Item | null {
  const order = building.levels.map((entry) => entry.id);
  const shift = order.indexOf(to) - order.indexOf(from);
  const shifted = (level: string) => order[order.indexOf(level) + shift];
  const copiedTo = isPlaced(item.kind) ? PLACED[item.kind].copiedTo : null;
  const { body } = item as { readonly body: { readonly level?: string; readonly top?: string; readonly base?: string } };
  if (copiedTo === 'level') return body.level === from ? ({ ...item, body: { ...body, level: to } } as Item) : null;
  if (copiedTo === null || body.top !== from) return null;
  const base = shifted(body.base!);
  return base === undefined ? null : ({ ...item, body: { ...body, top: to, base } } as Item);
}

/** A new point load on a member, or on the first beam. Null where there is no member to act on. */
export function newLoad(building: Building, on: string | null): Item | null {
  const member = on ?? [...building.beams.keys(), ...building.walls.keys(), ...building.columns.keys()][0];
  if (!member) return null;
  return item('load', freshId('load'), { label: 'new load', on: member, type: 'point', nature: 'imposed', use: 'A' });
}

/** Ids and marks for pieces of what is split. */
export function freshNames(building: Building): Fresh {
  const marks = [...marksOf(building), ...building.gridlines.map(({ body }) => body.label)];
  return {
    id: freshId,
    mark: (old) => {
      const mark = nextMark(/^\D*/.exec(old)![0] || 'X', marks);
      marks.push(mark);
      return mark;
    },
  };
}

/** What a line drawn across splits: everything that it crosses among the items given. @throws BadInput for a panel that cannot be */
export function splitAcross(building: Building, items: readonly Item[], cut: { from: PlanPoint; to: PlanPoint }): Item[] {
  const fresh = freshNames(building);
  return items.flatMap((item) => {
    if (isLineItem(item)) {
      const at = crossingAt(item.body, cut);
      return at === null ? [] : splitLine(item, at, building.loads, fresh).put;
    }
    return item.kind === 'panel' && crossesPanel(item.body.outline, cut) ? splitPanel(item, cut, fresh).put : [];
  });
}

function crossesPanel(outline: readonly PlanPoint[], cut: { from: PlanPoint; to: PlanPoint }): boolean {
  return outline.filter((p, i) => crossingAt({ from: p, to: outline[(i + 1) % outline.length]! }, cut) !== null).length >= 2;
}

/** The member of a level that lies nearest to a place, within reach. Null when none does. */
export function memberNear(building: Building, level: string, at: PlanPoint, reach: number): string | null {
  let best: { id: string; distance: number } | null = null;
  const take = (id: string, distance: number) => {
    if (distance <= reach && (!best || distance < best.distance)) best = { id, distance };
  };
  for (const kind of STANDING_KINDS)
    for (const [id, body] of standing(building, kind)) {
      if (!isOnLevel(building, body, level)) continue;
      if ('at' in body) take(id, Math.hypot(body.at.x - at.x, body.at.y - at.y));
      if (!('from' in body)) continue;
      const foot = pointAlong(body, Math.min(planLength(body), Math.max(0, project(body, at))));
      take(id, Math.hypot(foot.x - at.x, foot.y - at.y));
    }
  return (best as { id: string } | null)?.id ?? null;
}
