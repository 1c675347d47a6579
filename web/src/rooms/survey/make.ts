import {
  crossingAt,
  isLineItem,
  isOnLevel,
  planLength,
  pointAlong,
  project,
  shortWay,
  splitLine,
  splitPanel,
  type Building,
  type Fresh,
  type Item,
  type PlanPoint,
} from '@plinth/core';
import { freshId, nextMark } from '../../project/useEdit';

/** What can be placed on a plan. */
export type PlacedKind = 'beam' | 'column' | 'wall' | 'panel' | 'hanger' | 'footing' | 'stripFooting' | 'gridline';

export const PREFIX: Record<Exclude<PlacedKind, 'gridline'>, string> = {
  beam: 'B',
  column: 'C',
  wall: 'W',
  panel: 'P',
  hanger: 'R',
  footing: 'F',
  stripFooting: 'SF',
};

export const COMMON = { status: 'new', note: '' } as const;

export function marksOf(building: Building): string[] {
  const { beams, columns, walls, hangers, footings, stripFootings, panels } = building;
  return [beams, columns, walls, hangers, footings, stripFootings, panels].flatMap((members) =>
    [...members.values()].map((member) => member.mark),
  );
}

/** The storey that something placed on a level stands in: the one below it, or above it when there is none. */
export function storeyAt(building: Building, level: string): { base: string; top: string } {
  const i = building.levels.findIndex((entry) => entry.id === level);
  const below = building.levels[i + 1];
  if (below) return { base: below.id, top: level };
  return { base: level, top: building.levels[i - 1]?.id ?? level };
}

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
  const id = freshId(kind);
  const marks = [...marksOf(building), ...taken];
  const [from, to] = [points[0]!, points[1] ?? points[0]!];
  const mark = kind === 'gridline' ? '' : nextMark(PREFIX[kind], marks);
  const found = { ...COMMON, mark, supportsFound: true };
  switch (kind) {
    case 'beam':
      return {
        id,
        kind,
        body: {
          ...found,
          level,
          from,
          to,
          role: 'beam',
          section: null,
          grade: null,
          ownWeight: 0.5,
          supports: [],
          hinges: [],
          stretches: [],
          strips: [],
          restraint: 'supports',
          restraintPoints: [],
          topPoints: [],
          bottomPoints: [],
          loadHeight: 'centre',
          untwisted: false,
          stiffBearing: 0,
          seat: null,
          serves: 'floor',
          transfer: 'auto',
          precamber: 0,
          measured: [],
          reduction: 'brief',
          locked: false,
        },
      };
    case 'column':
      return {
        id,
        kind,
        body: {
          ...found,
          ...storeyAt(building, level),
          at: from,
          by: null,
          section: null,
          grade: null,
          ownWeight: 0.5,
          factorY: 1,
          factorZ: 1,
          endsY: 'number',
          endsZ: 'number',
          heldY: [],
          heldZ: [],
          turn: 0,
          beamsBear: 'nominal',
          reduction: 'brief',
          locked: false,
        },
      };
    case 'wall':
      return {
        id,
        kind,
        body: {
          ...found,
          ...storeyAt(building, level),
          from,
          to,
          by: null,
          weight: 0.0042,
          weightGiven: false,
          height: null,
          thickness: 215,
          construction: '',
          openings: [],
          openingsRule: 'ignored',
          spread: 'angle',
          spreadAngle: Math.PI / 4,
          bears: 'open',
          bearsReason: '',
          braces: false,
          measured: [],
        },
      };
    case 'panel':
      return {
        id,
        kind,
        body: {
          ...COMMON,
          mark,
          level,
          outline: [...points],
          openings: [],
          buildUp: building.buildUps.keys().next().value ?? '',
          span: 'oneWay',
          direction: shortWay(points),
          pitch: 0,
          continuity: 'simple',
        },
      };
    case 'hanger':
      return { id, kind, body: { ...found, ...storeyAt(building, level), at: from, by: null, ownWeight: 0.03 } };
    case 'footing':
      return {
        id,
        kind,
        body: {
          ...COMMON,
          mark,
          at: from,
          level,
          width: null,
          length: null,
          thickness: null,
          method: 'full',
          bearing: null,
          reduction: 'brief',
        },
      };
    case 'stripFooting':
      return { id, kind, body: { ...COMMON, mark, from, to, level, width: null } };
    case 'gridline':
      return { id, kind, body: { label: gridLabel(building, from, to), from, to } };
  }
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

/** An item moved on plan. */
export function movedItem(item: Item, dx: number, dy: number): Item {
  const move = ({ x, y }: PlanPoint) => ({ x: x + dx, y: y + dy });
  switch (item.kind) {
    case 'beam':
      return { ...item, body: { ...item.body, from: move(item.body.from), to: move(item.body.to) } };
    case 'wall':
      return { ...item, body: { ...item.body, from: move(item.body.from), to: move(item.body.to) } };
    case 'stripFooting':
      return { ...item, body: { ...item.body, from: move(item.body.from), to: move(item.body.to) } };
    case 'gridline':
      return { ...item, body: { ...item.body, from: move(item.body.from), to: move(item.body.to) } };
    case 'column':
      return { ...item, body: { ...item.body, at: move(item.body.at) } };
    case 'hanger':
      return { ...item, body: { ...item.body, at: move(item.body.at) } };
    case 'footing':
      return { ...item, body: { ...item.body, at: move(item.body.at) } };
    case 'drawing':
      return { ...item, body: { ...item.body, at: move(item.body.at) } };
    case 'note':
      return { ...item, body: { ...item.body, at: move(item.body.at) } };
    case 'measurement':
      return { ...item, body: { ...item.body, points: item.body.points.map(move) } };
    case 'load':
      return { ...item, body: { ...item.body, outline: item.body.outline.map(move) } };
    case 'panel':
      return {
        ...item,
        body: {
          ...item.body,
          outline: item.body.outline.map(move),
          openings: item.body.openings.map((opening) => ({ ...opening, outline: opening.outline.map(move) })),
        },
      };
    default:
      return item;
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
    return on !== null && copyOf.has(on) ? ({ ...copy, body: { ...copy.body, on: copyOf.get(on)!.id } } as Item) : copy;
  });
}

/** An item of one level brought to another; storeys keep their number of levels. Null for what has no level. */
export function onLevel(building: Building, item: Item, from: string, to: string): Item | null {
  const order = building.levels.map((entry) => entry.id);
  const shift = order.indexOf(to) - order.indexOf(from);
  const shifted = (level: string) => order[order.indexOf(level) + shift];
  if (item.kind === 'beam' || item.kind === 'panel')
    return item.body.level === from ? ({ ...item, body: { ...item.body, level: to } } as Item) : null;
  if (item.kind === 'column' || item.kind === 'wall' || item.kind === 'hanger') {
    if (item.body.top !== from) return null;
    const base = shifted(item.body.base);
    return base === undefined ? null : ({ ...item, body: { ...item.body, top: to, base } } as Item);
  }
  return null;
}

/** A new point load on a member, or on the first beam. Null where there is no member to act on. */
export function newLoad(building: Building, on: string | null): Item | null {
  const member = on ?? [...building.beams.keys(), ...building.walls.keys(), ...building.columns.keys()][0];
  if (!member) return null;
  return {
    id: freshId('load'),
    kind: 'load',
    body: {
      label: 'new load',
      on: member,
      type: 'point',
      nature: 'imposed',
      use: 'A',
      action: null,
      loadCase: '',
      at: 0,
      force: 0,
      east: 0,
      north: 0,
      from: 0,
      to: 0,
      intensity: 0,
      outline: [],
      pressure: 0,
    },
  };
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
  for (const posts of [building.columns, building.hangers, building.footings])
    for (const [id, post] of posts) if (isOnLevel(building, post, level)) take(id, Math.hypot(post.at.x - at.x, post.at.y - at.y));
  for (const lines of [building.beams, building.walls, building.stripFootings])
    for (const [id, line] of lines) {
      if (!isOnLevel(building, line, level)) continue;
      const foot = pointAlong(line, Math.min(planLength(line), Math.max(0, project(line, at))));
      take(id, Math.hypot(foot.x - at.x, foot.y - at.y));
    }
  return (best as { id: string } | null)?.id ?? null;
}
