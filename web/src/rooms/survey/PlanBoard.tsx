import { useEffect, useMemo, useRef, useState, type PointerEvent, type WheelEvent } from 'react';
import {
  contains,
  fitView,
  formatQuantity,
  isOnLevel,
  markOf,
  parseQuantity,
  planDrawing,
  regionOf,
  scaledByPoints,
  toPlan,
  toScreen,
  zoomed,
  type Item,
  type PlanPoint,
  type PlanView,
} from '@plinth/core';
import { toast } from 'sonner';
import { DrawingView } from '../../parts/DrawingView';
import { SaveSvg } from '../../parts/SaveSvg';
import { useSize } from '../../parts/useSize';
import { useProject, useProjectState, useView } from '../../project/context';
import { freshId, nextMark, useEdit } from '../../project/useEdit';
import { makeItem, memberNear, movedItem, newLoad, splitAcross } from './make';
import { Overlay, type Rubber } from './Overlay';
import { segmentsOf, useOpened } from './drawings';
import { Underlay } from './Underlay';
import { gridStep, snapTargets, snapTo, typedEnd, type Snap } from './snap';
import { TOOLS, type SurveyTool } from './tools';

/** Pixels within which the cursor catches. */
const CATCH = 9;

interface Drag {
  readonly kind: 'pan' | 'box' | 'move' | 'end';
  readonly start: readonly [number, number];
  readonly from: PlanPoint;
  readonly view: PlanView;
  readonly end?: 'from' | 'to';
  moved: boolean;
}

/** The plan of a level as a drawing board: members are chosen, moved and placed on it. */
export function PlanBoard({
  level,
  ghosts,
  chosen,
  choose,
  ownView,
  setView,
}: {
  level: string;
  ghosts: readonly string[];
  chosen: ReadonlySet<string>;
  choose: (ids: readonly string[]) => void;
  /** What is looked at; null: the whole plan, whatever comes to it. */
  ownView: PlanView | null;
  setView: (view: PlanView | null) => void;
}) {
  const { building, computed, units } = useProject();
  const { items } = useProjectState();
  const { selected } = useView();
  const { put, remove, quietly } = useEdit();
  const { ref, width, height } = useSize<HTMLDivElement>(788, 380);
  const [tool, setTool] = useState<SurveyTool>(TOOLS[0]!);
  const [points, setPoints] = useState<readonly PlanPoint[]>([]);
  const [cursor, setCursor] = useState<Snap | null>(null);
  const [typed, setTyped] = useState<string | null>(null);
  const [offset, setOffset] = useState<readonly [number, number] | null>(null);
  const [scaling, setScaling] = useState<readonly [PlanPoint, PlanPoint] | null>(null);
  const [box, setBox] = useState<readonly [number, number, number, number] | null>(null);
  const drag = useRef<Drag | null>(null);
  const view = useMemo(() => ownView ?? fitView(building, width, height), [ownView, building, width, height]);
  const drawings = useMemo(() => building.drawings.filter(({ body }) => body.level === level), [building, level]);
  const files = useOpened(drawings);
  const drawn = useMemo(() => segmentsOf(drawings, files), [drawings, files]);
  const targets = useMemo(() => snapTargets(building, [level, ...ghosts], drawn), [building, level, ghosts, drawn]);
  const transfers = useMemo(
    () => new Set([...computed.takedown.members.values()].filter((member) => member.transfer).map((member) => member.id)),
    [computed],
  );
  const drawing = useMemo(
    () =>
      planDrawing({
        building,
        level,
        selected,
        alsoSelected: chosen,
        transfers,
        width,
        height,
        view,
        ghosts,
        overDrawing: drawings.length > 0,
      }),
    [building, level, selected, chosen, transfers, width, height, view, ghosts, drawings.length],
  );

  const place = (event: { clientX: number; clientY: number }): [number, number] => {
    const frame = ref.current!.getBoundingClientRect();
    return [event.clientX - frame.left, event.clientY - frame.top];
  };
  const catchAt = (sx: number, sy: number, square: boolean): Snap =>
    snapTo(
      targets,
      toPlan(view, width, height, sx, sy),
      CATCH / view.scale,
      gridStep(6 / view.scale, units),
      points.at(-1) ?? null,
      square,
    );

  const finish = (done: readonly PlanPoint[]) => {
    setPoints([]);
    setTyped(null);
    if (tool.id === 'measure') return;
    if (tool.id === 'opening') return addOpening(done);
    if (tool.id === 'areaLoad') return addAreaLoad(done);
    if (tool.id === 'note') return addNote(done[0]!);
    if (tool.id === 'split') return split(done[0]!, done[1]!);
    if (tool.id === 'scale') return beginScaling(done[0]!, done[1]!);
    if (tool.id === 'select') return;
    const kind = tool.id === 'rectangle' ? 'panel' : tool.id;
    const corners = tool.id === 'rectangle' ? rectangle(done[0]!, done[1]!) : done;
    if (kind === 'panel' && building.buildUps.size === 0) {
      toast.error('A panel needs a load build-up: write one in Brief.');
      return;
    }
    const item = makeItem(building, kind, level, corners);
    const name = 'mark' in item.body ? item.body.mark : 'label' in item.body ? item.body.label : '';
    quietly(put([item], `${name} drawn`).then(() => choose([item.id])));
  };

  /** The drawing to be scaled: the one that is selected, or the only one. */
  const toScale = drawings.find(({ id }) => id === selected) ?? (drawings.length === 1 ? drawings[0] : undefined);
  const beginScaling = (a: PlanPoint, b: PlanPoint) => {
    if (!toScale) toast.error('Choose the drawing that is to be scaled: none lies under this level, or several do.');
    else {
      setScaling([a, b]);
      setTyped('');
    }
  };
  const commitScale = (ends: readonly [PlanPoint, PlanPoint], text: string) => {
    try {
      const distance = parseQuantity(text, 'length', units);
      const scaled = scaledByPoints(toScale!.body, ends[0], ends[1], distance);
      const source = `two points ${formatQuantity(distance, 'length', units)} apart`;
      quietly(
        put(
          [{ id: toScale!.id, kind: 'drawing', body: { ...toScale!.body, ...scaled, scaleSource: source } }],
          `${toScale!.body.name}: scale set`,
        ),
      );
      setScaling(null);
      setTyped(null);
      setTool(TOOLS[0]!);
    } catch (error) {
      toast.error((error as Error).message);
    }
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
    const near = memberNear(building, level, at, CATCH / view.scale);
    const note: Item = { id: freshId('note'), kind: 'note', body: { text: 'note', level, at, on: near } };
    quietly(put([note], near ? `Note pinned to ${markOf(building, near)}` : 'Note pinned').then(() => choose([note.id])));
  };

  const split = (from: PlanPoint, to: PlanPoint) => {
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
      else
        quietly(
          put(pieces, `Split along a line: ${pieces.filter((piece) => piece.kind !== 'load').length} pieces`).then(() =>
            setTool(TOOLS[0]!),
          ),
        );
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const keepMeasurement = () => {
    const first = points[0]!;
    const closed = points.length > 3 && Math.hypot(first.x - points.at(-1)!.x, first.y - points.at(-1)!.y) < 1;
    const drawing = drawings.length === 1 ? drawings[0] : drawings.find(({ id }) => id === selected);
    const names = building.measurements.map(({ body }) => body.name);
    const item: Item = {
      id: freshId('measurement'),
      kind: 'measurement',
      body: {
        name: nextMark('M', names),
        level,
        points: closed ? points.slice(0, -1) : [...points],
        closed,
        source: drawing ? `${drawing.body.name} (${drawing.body.scaleSource})`.slice(0, 200) : '',
        pitch: 0,
        note: '',
      },
    };
    setPoints([]);
    quietly(put([item], `Measurement ${item.body.name} kept`).then(() => choose([item.id])));
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
        [{ id, kind: 'panel', body: { ...panel, openings: [...panel.openings, { label: '', outline: corners }] } }],
        `Opening in ${panel.mark}`,
      ).then(() => choose([id])),
    );
  };

  const add = (point: PlanPoint) => {
    // the paper does not move under the pencil
    if (!ownView) setView(view);
    const first = points[0];
    const closes =
      tool.points === 0 && points.length >= 3 && first && Math.hypot(point.x - first.x, point.y - first.y) * view.scale < CATCH;
    if (closes) {
      if (tool.id === 'measure') setPoints([...points, first]);
      else finish(points);
      return;
    }
    const last = points.at(-1);
    if (last && Math.hypot(point.x - last.x, point.y - last.y) < 1) return;
    const next = [...points, point];
    if (tool.points > 0 && next.length === tool.points) finish(next);
    else setPoints(next);
  };

  const commitTyped = () => {
    if (scaling) return commitScale(scaling, typed ?? '');
    const from = points.at(-1);
    if (!from || !typed) return;
    try {
      add(typedEnd(typed, from, cursor?.point ?? { x: from.x + 1, y: from.y }, (text) => parseQuantity(text, 'length', units)));
      setTyped(null);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const down = (event: PointerEvent<HTMLDivElement>) => {
    const at = place(event);
    const start = toPlan(view, width, height, ...at);
    const begin = (kind: Drag['kind'], from = start, end?: Drag['end']) => {
      drag.current = { kind, start: at, from, view, end, moved: false };
      ref.current!.setPointerCapture(event.pointerId);
    };
    if (event.button !== 0) {
      event.preventDefault();
      begin('pan');
      return;
    }
    if (tool.id !== 'select') return;
    const handle = handleAt(at);
    if (handle) {
      begin('end', handle.point, handle.end);
      return;
    }
    const target = (event.target as Element).closest?.('[data-pick]');
    const id = target?.getAttribute('data-pick');
    // what is chosen already can be moved; anything else is chosen by the click itself
    const underlay = drawings.find((entry) => entry.id === selected);
    if (id && (chosen.has(id) || id === selected)) begin('move');
    else if (!id && underlay && !underlay.body.locked) begin('move');
    else if (!id) begin('box');
  };

  /** An end of the selected line under the cursor. */
  const handleAt = ([sx, sy]: readonly [number, number]): { end: 'from' | 'to'; point: PlanPoint } | null => {
    const body = selected ? items.get(selected)?.body : undefined;
    if (!isLine(body) || chosen.size > 1) return null;
    for (const end of ['from', 'to'] as const) {
      const [x, y] = toScreen(view, width, height, body[end]);
      if (Math.hypot(x - sx, y - sy) < 8) return { end, point: body[end] };
    }
    return null;
  };

  const move = (event: PointerEvent<HTMLDivElement>) => {
    const [sx, sy] = place(event);
    const held = drag.current;
    if (!held) {
      setCursor(catchAt(sx, sy, event.shiftKey));
      return;
    }
    const [dx, dy] = [sx - held.start[0], sy - held.start[1]];
    if (Math.hypot(dx, dy) > 3) held.moved = true;
    if (!held.moved) return;
    if (held.kind === 'pan') setView({ ...held.view, x: held.view.x - dx / held.view.scale, y: held.view.y + dy / held.view.scale });
    else if (held.kind === 'box') setBox([held.start[0], held.start[1], sx, sy]);
    else {
      const caught = snapTo(
        targets,
        toPlan(view, width, height, sx, sy),
        CATCH / view.scale,
        gridStep(6 / view.scale, units),
        held.from,
        event.shiftKey,
      );
      setCursor(caught);
      setOffset([caught.point.x - held.from.x, caught.point.y - held.from.y]);
    }
  };

  const up = () => {
    const held = drag.current;
    drag.current = null;
    if (held?.kind === 'box') {
      if (held.moved && box) choose(inBox(box));
      else choose([]);
      setBox(null);
    } else if (held?.moved && offset && (held.kind === 'move' || held.kind === 'end')) moveChosen(held, offset);
    setOffset(null);
  };

  const chosenItems = (): Item[] => {
    const ids = chosen.size > 0 ? [...chosen] : selected ? [selected] : [];
    return ids.flatMap((id) => {
      const stored = items.get(id);
      return stored ? [{ id, kind: stored.kind, body: stored.body } as Item] : [];
    });
  };

  const moveChosen = (held: Drag, [dx, dy]: readonly [number, number]) => {
    const list = chosenItems();
    if (held.kind === 'end') {
      const item = list[0];
      if (!item || !isLine(item.body)) return;
      const { x, y } = item.body[held.end!];
      const body = { ...item.body, [held.end!]: { x: x + dx, y: y + dy } };
      quietly(put([{ ...item, body } as Item], `${nameOf(item)}: end moved`));
    } else if (list.length > 0)
      quietly(
        put(
          list.map((item) => movedItem(item, dx, dy)),
          list.length === 1 ? `${nameOf(list[0]!)} moved` : `${list.length} items moved`,
        ),
      );
  };

  const inBox = ([x1, y1, x2, y2]: readonly [number, number, number, number]): string[] => {
    const inside = (p: PlanPoint) => {
      const [x, y] = toScreen(view, width, height, p);
      return x >= Math.min(x1, x2) && x <= Math.max(x1, x2) && y >= Math.min(y1, y2) && y <= Math.max(y1, y2);
    };
    const found: string[] = [];
    const lines = [building.beams, building.walls, building.stripFootings];
    for (const members of lines)
      for (const [id, member] of members)
        if (isOnLevel(building, member, level) && inside(member.from) && inside(member.to)) found.push(id);
    for (const members of [building.columns, building.hangers, building.footings])
      for (const [id, member] of members) if (isOnLevel(building, member, level) && inside(member.at)) found.push(id);
    for (const [id, panel] of building.panels) if (panel.level === level && panel.outline.every(inside)) found.push(id);
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
        list.map((item) => movedItem(item, dx * step, dy * step)),
        'moved by the arrow keys',
      ),
    );
  };

  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const other = TOOLS.find((candidate) => candidate.key === event.key.toLowerCase());
      if (event.key === 'Escape') {
        if (points.length > 0 || typed !== null) {
          setPoints([]);
          setTyped(null);
          setScaling(null);
        } else if (tool.id !== 'select') setTool(TOOLS[0]!);
        else choose([]);
      } else if (event.key === 'Enter' && points.length >= 3 && tool.points === 0) finish(points);
      else if (event.key === 'Delete' && chosenItems().length > 0) {
        const list = chosenItems();
        quietly(
          remove(
            list.map((item) => item.id),
            list.length === 1 ? `${nameOf(list[0]!)} removed` : `${list.length} items removed`,
          ).then(() => choose([])),
        );
      } else if (points.length > 0 && /^[0-9.'"]$/.test(event.key)) {
        event.preventDefault();
        setTyped(event.key);
      } else if (event.shiftKey && event.key.startsWith('Arrow')) {
        event.preventDefault();
        nudge(
          event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0,
          event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0,
        );
      } else if (other) {
        event.preventDefault();
        setTool(other);
        setPoints([]);
      } else if (event.key === '+' || event.key === '=') setView(zoomed(view, width, height, width / 2, height / 2, 1.25));
      else if (event.key === '-') setView(zoomed(view, width, height, width / 2, height / 2, 0.8));
      else if (event.key === '0') setView(null);
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  });

  const wheel = (event: WheelEvent<HTMLDivElement>) => {
    const [sx, sy] = place(event);
    setView(zoomed(view, width, height, sx, sy, Math.exp(-event.deltaY / 500)));
  };

  const rubber: Rubber = {
    points,
    cursor: tool.id === 'select' && !offset ? null : cursor,
    shape: tool.id === 'rectangle' || tool.id === 'opening' || tool.id === 'areaLoad' ? 'rectangle' : 'line',
  };
  const length = (value: number) => formatQuantity(value, 'length', units);
  const levelName = building.levels.find((entry) => entry.id === level)?.body.name ?? '';
  return (
    <div className="flex min-h-0 flex-[6] flex-col">
      <div className="flex flex-wrap items-center gap-x-0.5 border-b border-rule px-3 py-0.5" role="toolbar" aria-label="Plan tools">
        {TOOLS.filter(({ id }) => id !== 'scale' || drawings.length > 0).map((entry) => (
          <button
            key={entry.id}
            type="button"
            aria-pressed={tool.id === entry.id}
            title={`${entry.hint} (${entry.key.toUpperCase()})`}
            className={`px-0.5 text-[12px] ${tool.id === entry.id ? 'border-b-2 border-oxide font-semibold' : 'text-soft hover:text-ink'}`}
            onClick={() => {
              setTool(entry);
              setPoints([]);
            }}
          >
            {entry.title}
            <kbd className="ml-0.5 text-[10px] text-soft">{entry.key.toUpperCase()}</kbd>
          </button>
        ))}
      </div>
      <div
        ref={ref}
        data-testid="plan"
        data-view={JSON.stringify(view)}
        className={`relative min-h-0 flex-1 touch-none overflow-hidden ${tool.id === 'select' ? '' : 'cursor-crosshair'}`}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerLeave={() => (drag.current ? undefined : setCursor(null))}
        onWheel={wheel}
        onContextMenu={(event) => event.preventDefault()}
        onClick={(event) => {
          if (tool.id === 'select') {
            const id = (event.target as Element).closest?.('[data-pick]')?.getAttribute('data-pick');
            if (id && event.shiftKey)
              choose(
                chosen.has(id)
                  ? [...chosen].filter((other) => other !== id)
                  : [...chosen, ...(selected && chosen.size === 0 ? [selected] : []), id],
              );
            else if (id) choose([id]);
            return;
          }
          const [sx, sy] = place(event);
          add(catchAt(sx, sy, event.shiftKey).point);
        }}
      >
        <Underlay drawings={drawings} files={files} view={view} width={width} height={height} selected={selected} offset={offset} />
        <DrawingView
          className="relative"
          drawing={drawing}
          onPick={tool.id === 'select' ? (id) => choose([id]) : undefined}
          nameOf={(id) => markOf(building, id)}
        />
        <Overlay
          width={width}
          height={height}
          view={view}
          rubber={rubber}
          box={box}
          offset={offset}
          lines={selectedLines(chosenItems())}
          length={length}
        />
        {typed !== null ? (
          <label className="absolute top-2 left-2 flex items-center gap-1 border border-oxide bg-panel px-2 py-1 text-[13px]">
            {scaling ? 'true distance' : 'length'}
            <input
              autoFocus
              className="field w-28"
              value={typed}
              aria-label={scaling ? 'True distance of the two points' : 'Length of the line, or length<angle'}
              onChange={(event) => setTyped(event.target.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') commitTyped();
                else if (event.key === 'Escape') {
                  setTyped(null);
                  setScaling(null);
                }
                event.stopPropagation();
              }}
            />
          </label>
        ) : null}
      </div>
      <div className="flex gap-4 px-4 py-0.5 text-[12px] text-soft" aria-live="polite">
        <span className="flex-1 truncate">
          {tool.id === 'measure' && points.length > 1 ? <b className="text-ink">{measured(points, length, units)}</b> : tool.hint}
        </span>
        {tool.id === 'measure' && points.length > 1 ? (
          <button type="button" className="btn-line" onClick={keepMeasurement}>
            Keep it
          </button>
        ) : null}
        <button type="button" className="hover:text-ink" onClick={() => setView(null)} title="Show the whole plan (0)">
          Whole plan
        </button>
        <SaveSvg drawing={drawing} name={`plan-${levelName}`} />
        {cursor ? (
          <span className="whitespace-nowrap">
            x {length(cursor.point.x)} · y {length(cursor.point.y)} · {SNAP_WORD[cursor.kind]}
          </span>
        ) : null}
      </div>
    </div>
  );
}

const SNAP_WORD: Record<Snap['kind'], string> = {
  end: 'on an end',
  crossing: 'on a crossing',
  middle: 'on a middle',
  line: 'on a line',
  grid: 'on the grid',
  free: 'free',
};

function isLine(body: unknown): body is { from: PlanPoint; to: PlanPoint } {
  const from = (body as { from?: unknown } | undefined)?.from;
  return typeof from === 'object' && from !== null;
}

function nameOf({ body }: Item): string {
  return 'mark' in body ? body.mark : 'label' in body ? body.label : 'name' in body ? body.name : 'text' in body ? 'Note' : 'item';
}

/** Corners of a rectangle between two opposite ones. */
function rectangle(a: PlanPoint, b: PlanPoint): PlanPoint[] {
  return [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];
}

/** A corner moved a millimetre towards the middle, so that one on the edge counts as inside. */
function inward(corner: PlanPoint, corners: readonly PlanPoint[]): PlanPoint {
  const x = corners.reduce((sum, c) => sum + c.x, 0) / corners.length;
  const y = corners.reduce((sum, c) => sum + c.y, 0) / corners.length;
  return { x: corner.x + Math.sign(x - corner.x), y: corner.y + Math.sign(y - corner.y) };
}

/** Lines and corners of what is being moved. */
function selectedLines(items: readonly Item[]): PlanPoint[][] {
  return items.map(({ body }) => {
    if (isLine(body)) return [body.from, body.to];
    if ('outline' in body && body.outline.length > 0) return [...body.outline, body.outline[0]!];
    if ('points' in body) return [...body.points];
    return 'at' in body && typeof body.at === 'object' ? [body.at] : [];
  });
}

/** A chain in words: each length, the sum, and the area when it is closed. */
function measured(points: readonly PlanPoint[], length: (mm: number) => string, units: 'SI' | 'US'): string {
  const parts = points.slice(1).map((p, i) => Math.hypot(p.x - points[i]!.x, p.y - points[i]!.y));
  const sum = parts.reduce((a, b) => a + b, 0);
  const [first, last] = [points[0]!, points.at(-1)!];
  const closed = points.length > 3 && Math.hypot(first.x - last.x, first.y - last.y) < 1;
  const chain = parts.length > 1 ? `${parts.map(length).join(' + ')} = ${length(sum)}` : length(sum);
  return closed ? `${chain}; area ${formatQuantity(regionOf(points.slice(0, -1)).area, 'floorArea', units)}` : chain;
}
