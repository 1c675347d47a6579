import type { Building, Item, PlanPoint } from '@plinth/core';
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
          strips: [],
          restraint: 'supports',
          restraintPoints: [],
          reduction: 'brief',
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
          reduction: 'brief',
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
          thickness: 215,
          construction: '',
          openings: [],
          openingsRule: 'ignored',
          spread: 'angle',
          spreadAngle: Math.PI / 4,
          bears: 'open',
          bearsReason: '',
          braces: false,
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

/** Floors usually span the short way of their panel. */
function shortWay(points: readonly PlanPoint[]): number {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return Math.max(...xs) - Math.min(...xs) <= Math.max(...ys) - Math.min(...ys) ? 0 : Math.PI / 2;
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
    body: { label: 'new load', on: member, type: 'point', nature: 'imposed', use: 'A', at: 0, force: 0, from: 0, to: 0, intensity: 0 },
  };
}
