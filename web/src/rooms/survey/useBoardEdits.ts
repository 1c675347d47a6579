import {
  item,
  liesInside,
  movedItem,
  standing,
  STANDING_KINDS,
  type PlacedKind,
  contains,
  isOnLevel,
  itemName,
  markOf,
  type Item,
  type LaidDrawing,
  type Named,
  type PlanPoint,
} from '@plinth/core';
import { toast } from 'sonner';
import { useProject, useAllItems, useView } from '../../project/context';
import { freshId, nextMark, useEdit } from '../../project/useEdit';
import { inward, isClosed, rectangle, withHandleMoved, type Handle } from './boardGeometry';
import { makeItem, memberNear, newLoad, splitAcross } from './make';

/** What is done to the building from the plan of a level: drawing, moving, splitting, removing. Each is one command. */
export function useBoardEdits({
  level,
  drawings,
  chosen,
  choose,
  reach,
}: {
  level: string;
  drawings: readonly Named<LaidDrawing>[];
  chosen: ReadonlySet<string>;
  choose: (ids: readonly string[]) => void;
  /** How near the pencil catches, mm. */
  reach: number;
}) {
  const { building, units } = useProject();
  const items = useAllItems();
  const { selected } = useView();
  const { put, remove, quietly } = useEdit();

  const draw = (tool: PlacedKind | 'rectangle', done: readonly PlanPoint[]) => {
    const kind = tool === 'rectangle' ? 'panel' : tool;
    const corners = tool === 'rectangle' ? rectangle(done[0]!, done[1]!) : done;
    if (kind === 'panel' && building.buildUps.size === 0) {
      toast.error('A panel needs a load build-up: write one in Brief.');
      return;
    }
    const item = makeItem(building, kind, level, corners);
    const name = 'mark' in item.body ? item.body.mark : 'label' in item.body ? item.body.label : '';
    quietly(put([item], `${name} drawn`).then(() => choose([item.id])));
  };

  /** The panel of this level inside which a rectangle lies. */
  const panelAround = (corners: readonly PlanPoint[]) =>
    [...building.panels].find(([, panel]) => panel.level === level && corners.every((c) => contains(panel.outline, inward(c, corners))));

  const addAreaLoad = (done: readonly PlanPoint[]) => {
    const outline = rectangle(done[0]!, done[1]!);
    const hit = panelAround(outline);
    if (!hit) {
      toast.error('An area load lies inside a panel of this level: none was found there.');
      return;
    }
    const item = newLoad(building, hit[0]);
    if (item?.kind !== 'load') return;
    const load: Item = { ...item, body: { ...item.body, label: 'area load', type: 'area', outline } };
    quietly(put([load], `Area load on ${hit[1].mark}`).then(() => choose([load.id])));
  };

  /** The member under the place of a note is what it is about. */
  const addNote = (at: PlanPoint) => {
    const near = memberNear(building, level, at, reach);
    const note: Item = { id: freshId('note'), kind: 'note', body: { text: 'note', level, at, on: near } };
    quietly(put([note], near ? `Note pinned to ${markOf(building, near)}` : 'Note pinned').then(() => choose([note.id])));
  };

  const split = (from: PlanPoint, to: PlanPoint, done: () => void) => {
    const chosenOnes = chosenItems();
    const all = () =>
      [...items.values()]
        .map(({ id, kind, body }) => ({ id, kind, body }) as Item)
        .filter(
          (item) =>
            item.kind !== 'gridline' && isOnLevel(building, item.body, level) && !('status' in item.body && item.body.status === 'removed'),
        );
    try {
      const pieces = splitAcross(building, chosenOnes.length > 0 ? chosenOnes : all(), { from, to });
      if (pieces.length === 0) toast.error('The line crosses nothing that can be split.');
      else quietly(put(pieces, `Split along a line: ${pieces.filter((piece) => piece.kind !== 'load').length} pieces`).then(done));
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const keepMeasurement = (points: readonly PlanPoint[]) => {
    const closed = isClosed(points);
    const drawing = drawings.length === 1 ? drawings[0] : drawings.find(({ id }) => id === selected);
    const names = building.measurements.map(({ body }) => body.name);
    const name = nextMark('M', names);
    const measurement = item('measurement', freshId('measurement'), {
      name,
      level,
      points: closed ? points.slice(0, -1) : [...points],
      closed,
      source: drawing ? `${drawing.body.name} (${drawing.body.scaleSource})`.slice(0, 200) : '',
    });
    quietly(put([measurement], `Measurement ${name} kept`).then(() => choose([measurement.id])));
  };

  const addOpening = (done: readonly PlanPoint[]) => {
    const corners = rectangle(done[0]!, done[1]!);
    const hit = panelAround(corners);
    if (!hit) {
      toast.error('An opening lies inside a panel of this level: none was found there.');
      return;
    }
    const [id, panel] = hit;
    quietly(
      put(
        [{ id, kind: 'panel', body: { ...panel, openings: [...panel.openings, { label: '', outline: corners, bridged: false }] } }],
        `Opening in ${panel.mark}`,
      ).then(() => choose([id])),
    );
  };

  const chosenItems = (): Item[] => {
    const ids = chosen.size > 0 ? [...chosen] : selected ? [selected] : [];
    return ids.flatMap((id) => {
      const stored = items.get(id);
      return stored ? [{ id, kind: stored.kind, body: stored.body } as Item] : [];
    });
  };

  /** Loads on parts of the panels given, which go where their panel goes; one that is chosen itself is there already. */
  const areaLoadsOn = (list: readonly Item[]): Item[] => {
    const ids = new Set(list.map(({ id }) => id));
    return building.loads.flatMap(({ id, body }) =>
      body.type === 'area' && ids.has(body.on) && !ids.has(id) ? [{ id, kind: 'load', body } as Item] : [],
    );
  };

  const moveChosen = (handle: Handle | null, [dx, dy]: readonly [number, number]) => {
    const list = chosenItems();
    if (handle) {
      const item = list[0];
      if (item) quietly(put([withHandleMoved(item, handle, dx, dy)], `${itemName(item)}: ${'end' in handle ? 'end' : 'corner'} moved`));
    } else if (list.length > 0)
      quietly(
        put(
          [...list, ...areaLoadsOn(list)].map((item) => movedItem(item, dx, dy)),
          list.length === 1 ? `${itemName(list[0]!)} moved` : `${list.length} items moved`,
        ),
      );
  };

  /** Everything of the level that lies wholly inside. */
  const allInside = (inside: (p: PlanPoint) => boolean): string[] => {
    const found: string[] = [];
    for (const kind of STANDING_KINDS)
      for (const [id, body] of standing(building, kind))
        if (isOnLevel(building, body, level) && liesInside(kind, body, inside)) found.push(id);
    for (const { id, body } of building.loads)
      if (body.type === 'area' && building.panels.get(body.on)?.level === level && body.outline.every(inside)) found.push(id);
    for (const { id, body } of building.measurements) if (body.level === level && body.points.every(inside)) found.push(id);
    for (const { id, body } of building.notes) if (body.level === level && inside(body.at)) found.push(id);
    return found;
  };

  const nudge = (dx: number, dy: number) => {
    const list = chosenItems();
    if (list.length === 0) return;
    const step = units === 'SI' ? 50 : 25.4;
    quietly(
      put(
        [...list, ...areaLoadsOn(list)].map((item) => movedItem(item, dx * step, dy * step)),
        'moved by the arrow keys',
      ),
    );
  };

  const removeChosen = () => {
    const list = chosenItems();
    quietly(
      remove(
        list.map((item) => item.id),
        list.length === 1 ? `${itemName(list[0]!)} removed` : `${list.length} items removed`,
      ).then(() => choose([])),
    );
  };

  return { draw, addOpening, addAreaLoad, addNote, split, keepMeasurement, chosenItems, moveChosen, allInside, nudge, removeChosen };
}
