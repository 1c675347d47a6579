import polygonClipping, { type Polygon } from 'polygon-clipping';
import { BadInput } from '../error';
import { planLength, pointAlong, project } from './building';
import { broughtConnections, splitConnections, togetherConnections } from './connection';
import type { ExtraLoad, Item, PlanPoint, Truss } from './item';
import type { LineItem } from './geometry';
import { areaOf, pointsOf, ringOf } from './region';

type PanelItem = Extract<Item, { kind: 'panel' }>;
type LoadItem = { readonly id: string; readonly body: ExtraLoad };

/** New ids and marks for pieces. */
export interface Fresh {
  readonly id: (kind: Item['kind']) => string;
  readonly mark: (old: string) => string;
}

/** What a reshaping does: items to put and ids to take away, as one edit. */
export interface Reshaped {
  readonly put: readonly Item[];
  readonly removed: readonly string[];
}

/** A line moved to its left (positive) or right, square to itself. @param distance mm */
export function beside({ from, to }: { from: PlanPoint; to: PlanPoint }, distance: number): { from: PlanPoint; to: PlanPoint } {
  const length = planLength({ from, to });
  if (length === 0) throw new BadInput('it has no length, and so no side');
  const [dx, dy] = [(-(to.y - from.y) / length) * distance, ((to.x - from.x) / length) * distance];
  return { from: { x: from.x + dx, y: from.y + dy }, to: { x: to.x + dx, y: to.y + dy } };
}

/** Where a line crosses a cut, mm from its start; null when it does not, or only at an end. */
export function crossingAt(line: { from: PlanPoint; to: PlanPoint }, cut: { from: PlanPoint; to: PlanPoint }): number | null {
  const [ax, ay] = [line.to.x - line.from.x, line.to.y - line.from.y];
  const [bx, by] = [cut.to.x - cut.from.x, cut.to.y - cut.from.y];
  const cross = ax * by - ay * bx;
  const length = planLength(line);
  if (Math.abs(cross) < 1e-9 * length * planLength(cut)) return null;
  const [cx, cy] = [cut.from.x - line.from.x, cut.from.y - line.from.y];
  const t = (cx * by - cy * bx) / cross;
  const u = (cx * ay - cy * ax) / cross;
  const at = t * length;
  return u < -1e-9 || u > 1 + 1e-9 || at < 1 || at > length - 1 ? null : at;
}

/**
 * A line item in two at a place; what lies on it goes with the piece on which it lies, line loads and strips are cut.
 * @param at mm from its start
 * @throws BadInput when the place is not on it
 */
export function splitLine(item: LineItem, at: number, loads: readonly LoadItem[], fresh: Fresh): Reshaped {
  const length = planLength(item.body);
  if (!(at >= 1 && at <= length - 1)) throw new BadInput('the place of the cut lies on no part of it');
  const middle = pointAlong(item.body, at);
  const id = fresh.id(item.kind);
  const put = item.kind === 'gridline' ? gridPieces(item, middle, id, fresh) : memberPieces(item, at, middle, id, fresh);
  return {
    put: [...put, ...loads.filter(({ body }) => body.on === item.id).flatMap((load) => splitLoad(load, at, id, fresh))],
    removed: [],
  };
}

function gridPieces(item: Extract<Item, { kind: 'gridline' }>, middle: PlanPoint, id: string, fresh: Fresh): Item[] {
  return [
    { ...item, body: { ...item.body, to: middle } },
    { ...item, id, body: { ...item.body, label: fresh.mark(item.body.label), from: middle } },
  ];
}

function memberPieces(item: Exclude<LineItem, { kind: 'gridline' }>, at: number, middle: PlanPoint, id: string, fresh: Fresh): Item[] {
  const mark = fresh.mark(item.body.mark);
  switch (item.kind) {
    case 'wall': {
      const { openings } = item.body;
      return [
        { ...item, body: { ...item.body, to: middle, openings: stretches(openings, 0, at), measured: [] } },
        { ...item, id, body: { ...item.body, mark, from: middle, openings: stretches(openings, at, Infinity), measured: [] } },
      ];
    }
    case 'truss': {
      const [first, second] = spanPieces(item.body, at, middle);
      return [
        { ...item, body: { ...item.body, ...first } },
        { ...item, id, body: { ...item.body, ...second, mark } },
      ];
    }
    case 'beam': {
      const { body } = item;
      const [first, second] = spanPieces(body, at, middle);
      const before = (list: readonly number[]) => list.filter((place) => place <= at);
      const after = (list: readonly number[]) => list.filter((place) => place > at).map((place) => place - at);
      return [
        {
          ...item,
          body: {
            ...body,
            ...first,
            restraintPoints: before(body.restraintPoints),
            topPoints: before(body.topPoints),
            bottomPoints: before(body.bottomPoints),
          },
        },
        {
          ...item,
          id,
          body: {
            ...body,
            ...second,
            mark,
            restraintPoints: after(body.restraintPoints),
            topPoints: after(body.topPoints),
            bottomPoints: after(body.bottomPoints),
          },
        },
      ];
    }
    default:
      return [
        { ...item, body: { ...item.body, to: middle } },
        { ...item, id, body: { ...item.body, mark, from: middle } },
      ];
  }
}

/** What a beam has as well as a truss. */
type Span = Pick<Truss, 'from' | 'to' | 'supports' | 'connections' | 'hinges' | 'stretches' | 'strips' | 'measured'>;

/** What the two pieces of a beam or truss have of the whole. */
function spanPieces({ from, to, supports, connections, hinges, strips, ...whole }: Span, at: number, middle: PlanPoint): [Span, Span] {
  const [first, second] = splitConnections(connections);
  return [
    {
      from,
      to: middle,
      supports: supports.filter((support) => support.at <= at),
      connections: first,
      hinges: hinges.filter((place) => place <= at),
      stretches: stretches(whole.stretches, 0, at),
      strips: stripsBetween(strips, 0, at),
      measured: [],
    },
    {
      from: middle,
      to,
      supports: supports.filter((support) => support.at > at).map((support) => ({ ...support, at: support.at - at })),
      connections: second,
      hinges: hinges.filter((place) => place > at).map((place) => place - at),
      stretches: stretches(whole.stretches, at, Infinity),
      strips: stripsBetween(strips, at, Infinity),
      measured: [],
    },
  ];
}

/** What lies between two places, measured from the first. */
function stretches<T extends { readonly from: number; readonly to: number }>(list: readonly T[], start: number, end: number): T[] {
  return list.flatMap((entry) => {
    const [from, to] = [Math.max(entry.from, start), Math.min(entry.to, end)];
    return to - from < 1e-6 ? [] : [{ ...entry, from: from - start, to: to - start }];
  });
}

type Strip = Extract<Item, { kind: 'beam' }>['body']['strips'][number];

/** The pieces of strips between two places, with the widths that the whole has there. */
function stripsBetween(strips: readonly Strip[], start: number, end: number): Strip[] {
  return strips.flatMap((whole) => {
    const width = (place: number) =>
      whole.widthStart + ((whole.widthEnd - whole.widthStart) * (place + start - whole.from)) / (whole.to - whole.from);
    return stretches([whole], start, end).map((piece) => ({
      ...piece,
      widthStart: width(piece.from),
      widthEnd: width(piece.to),
      exactStart: null,
      exactEnd: null,
    }));
  });
}

function splitLoad(load: LoadItem, at: number, on: string, fresh: Fresh): Item[] {
  const put = (id: string, change: Partial<ExtraLoad>): Item => ({ id, kind: 'load', body: { ...load.body, ...change } });
  const { type, from, to } = load.body;
  if (type === 'point') return load.body.at > at ? [put(load.id, { on, at: load.body.at - at })] : [];
  if (to <= at) return [];
  if (from >= at) return [put(load.id, { on, from: from - at, to: to - at })];
  return [put(load.id, { to: at }), put(fresh.id('load'), { on, from: 0, to: to - at })];
}

/**
 * Two line items of one kind that meet end to end in one line, as one: it keeps the name and the properties of the first. Loads on the
 * second come with it.
 * @param reach how near counts as meeting, mm
 * @throws BadInput when they are of two kinds or levels, do not meet, or make a corner
 */
export function joinLines(a: LineItem, b: LineItem, reach: number, loads: readonly LoadItem[]): Reshaped {
  if (a.kind !== b.kind) throw new BadInput(`a ${a.kind} and a ${b.kind} cannot be joined`);
  const levels = (item: LineItem) => ['level', 'base', 'top'].map((key) => (item.body as unknown as Record<string, unknown>)[key]).join();
  if (levels(a) !== levels(b)) throw new BadInput('they lie on different levels');
  const length = planLength(a.body);
  const places = [project(a.body, b.body.from), project(a.body, b.body.to)] as const;
  const off = (p: PlanPoint, s: number) => {
    const foot = pointAlong(a.body, s);
    return Math.hypot(p.x - foot.x, p.y - foot.y);
  };
  if (length === 0 || Math.max(off(b.body.from, places[0]), off(b.body.to, places[1])) > Math.min(reach, 50))
    throw new BadInput('they do not lie in one line');
  const [low, high] = [Math.min(...places), Math.max(...places)];
  if (low > length + reach || high < -reach) throw new BadInput('they do not meet: there is a gap between them');
  const [start, end] = [Math.min(0, low), Math.max(length, high)];
  const body = { ...a.body, from: pointAlong(a.body, start), to: pointAlong(a.body, end) };
  const turned = places[1] < places[0];
  /** A place on b, from the start of the whole. */
  const onWhole = (s: number) => (turned ? places[0] - s : places[0] + s) - start;
  const stretch = <T extends { from: number; to: number }>(entry: T): T => {
    const [from, to] = [onWhole(entry.from), onWhole(entry.to)];
    return { ...entry, from: Math.min(from, to), to: Math.max(from, to) };
  };
  const moved = <T extends { from: number; to: number }>(entry: T): T => ({ ...entry, from: entry.from - start, to: entry.to - start });
  let joined: LineItem;
  if ((a.kind === 'beam' && b.kind === 'beam') || (a.kind === 'truss' && b.kind === 'truss')) {
    const strips = b.body.strips
      .map(stretch)
      .map((strip) => (turned ? { ...strip, widthStart: strip.widthEnd, widthEnd: strip.widthStart } : strip));
    const supports = [
      ...a.body.supports.map((s) => ({ ...s, at: s.at - start })),
      ...b.body.supports.map((s) => ({ ...s, at: onWhole(s.at) })),
    ];
    const kept = supports.filter((s, i) => supports.findIndex((other) => other.by === s.by && Math.abs(other.at - s.at) < reach) === i);
    const bothPlaces = (ofA: readonly number[], ofB: readonly number[]) =>
      [...ofA.map((s) => s - start), ...ofB.map(onWhole)].sort((x, y) => x - y);
    joined = {
      ...a,
      body: {
        ...body,
        supports: kept.sort((x, y) => x.at - y.at),
        connections: togetherConnections(
          broughtConnections(a.body.connections, { atStart: low >= 0, atEnd: high <= length, turned: false }),
          broughtConnections(b.body.connections, {
            atStart: turned ? high > length : low < 0,
            atEnd: turned ? low < 0 : high > length,
            turned,
          }),
        ),
        hinges: bothPlaces(a.body.hinges, b.body.hinges),
        ...(a.kind === 'beam' &&
          b.kind === 'beam' && {
            restraintPoints: bothPlaces(a.body.restraintPoints, b.body.restraintPoints),
            topPoints: bothPlaces(a.body.topPoints, b.body.topPoints),
            bottomPoints: bothPlaces(a.body.bottomPoints, b.body.bottomPoints),
          }),
        stretches: [...a.body.stretches.map(moved), ...b.body.stretches.map(stretch)],
        strips: [...a.body.strips.map(moved), ...strips],
        measured: [],
      },
    } as LineItem;
  } else if (a.kind === 'wall' && b.kind === 'wall')
    joined = {
      ...a,
      body: { ...(body as typeof a.body), openings: [...a.body.openings.map(moved), ...b.body.openings.map(stretch)], measured: [] },
    };
  else joined = { ...a, body } as LineItem;
  const carried = loads.flatMap(({ id, body: load }): Item[] => {
    if (load.on === a.id && start < 0)
      return [{ id, kind: 'load', body: { ...load, at: load.at - start, from: load.from - start, to: load.to - start } }];
    if (load.on !== b.id) return [];
    const { from, to } = stretch(load);
    return [
      { id, kind: 'load', body: { ...load, on: a.id, at: Math.max(0, onWhole(load.at)), from: Math.max(0, from), to: Math.max(0, to) } },
    ];
  });
  return { put: [joined, ...carried], removed: [b.id] };
}

/**
 * A panel in pieces along a cut, which is taken to run on beyond its ends. Openings go with the piece in which they lie.
 * @throws BadInput when the cut misses it, or runs through an opening
 */
export function splitPanel(item: PanelItem, cut: { from: PlanPoint; to: PlanPoint }, fresh: Fresh): Reshaped {
  const length = planLength(cut);
  if (length < 1) throw new BadInput('the cut has no length');
  const far = 1e7;
  const [dx, dy] = [(cut.to.x - cut.from.x) / length, (cut.to.y - cut.from.y) / length];
  const side = (sign: 1 | -1): Polygon => {
    const [a, b] = [
      { x: cut.from.x - dx * far, y: cut.from.y - dy * far },
      { x: cut.from.x + dx * far, y: cut.from.y + dy * far },
    ];
    const [nx, ny] = [-dy * far * sign, dx * far * sign];
    return ringOf([a, b, { x: b.x + nx, y: b.y + ny }, { x: a.x + nx, y: a.y + ny }]);
  };
  const pieces = ([1, -1] as const).flatMap((sign) => polygonClipping.intersection(ringOf(item.body.outline), side(sign)));
  if (pieces.length < 2) throw new BadInput(`the cut does not cross ${item.body.mark}`);
  const across = (p: PlanPoint) => (p.x - cut.from.x) * -dy + (p.y - cut.from.y) * dx;
  for (const { label, outline } of item.body.openings) {
    const distances = outline.map(across);
    if (Math.min(...distances) < -1 && Math.max(...distances) > 1) throw new BadInput(`the cut runs through ${label || 'an opening'}`);
  }
  const put = pieces.map((piece, i): Item => {
    const outline = pointsOf(piece[0]!);
    const openings = item.body.openings.filter(
      (opening) => polygonClipping.difference(ringOf(opening.outline), ringOf(outline)).length === 0 || liesIn(opening.outline, outline),
    );
    return i === 0
      ? { ...item, body: { ...item.body, outline, openings } }
      : { ...item, id: fresh.id('panel'), body: { ...item.body, mark: fresh.mark(item.body.mark), outline, openings } };
  });
  return { put, removed: [] };
}

/** More than half of it lies inside. */
function liesIn(inner: readonly PlanPoint[], outer: readonly PlanPoint[]): boolean {
  return areaOf(polygonClipping.intersection(ringOf(inner), ringOf(outer))) > areaOf([ringOf(inner)]) / 2;
}

/**
 * Two panels of one level that touch along an edge, as one: it keeps the name and the properties of the first.
 * @throws BadInput when they lie on different levels, do not touch, or enclose a hole
 */
export function joinPanels(a: PanelItem, b: PanelItem): Reshaped {
  if (a.body.level !== b.body.level) throw new BadInput('they lie on different levels');
  const union = polygonClipping.union(ringOf(a.body.outline), ringOf(b.body.outline));
  if (union.length !== 1) throw new BadInput('they do not touch along an edge');
  if (union[0]!.length > 1) throw new BadInput('together they would enclose a hole: draw it as an opening');
  const outline = pointsOf(union[0]![0]!);
  return { put: [{ ...a, body: { ...a.body, outline, openings: [...a.body.openings, ...b.body.openings] } }], removed: [b.id] };
}
