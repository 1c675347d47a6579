import { useEffect, useMemo, useRef, useState, type PointerEvent, type WheelEvent } from 'react';
import {
  fitView,
  formatQuantity,
  markOf,
  parseQuantity,
  planDrawing,
  scaledByPoints,
  toPlan,
  toScreen,
  zoomed,
  type PlanPoint,
  type PlanView,
} from '@plinth/core';
import { toast } from 'sonner';
import { DrawingView } from '../../parts/DrawingView';
import { SaveSvg } from '../../parts/SaveSvg';
import { useSize } from '../../parts/useSize';
import { useProject, useAllItems, useView } from '../../project/context';
import { useEdit } from '../../project/useEdit';
import { isLine, measured, selectedLines } from './boardGeometry';
import { ofStatus, type StatusFilter } from './place';
import { useBoardEdits } from './useBoardEdits';
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
  status,
}: {
  level: string;
  ghosts: readonly string[];
  chosen: ReadonlySet<string>;
  choose: (ids: readonly string[]) => void;
  /** What is looked at; null: the whole plan, whatever comes to it. */
  ownView: PlanView | null;
  setView: (view: PlanView | null) => void;
  /** Which items are drawn. */
  status: StatusFilter;
}) {
  const { building, computed, units } = useProject();
  const items = useAllItems();
  const { selected } = useView();
  const { put, quietly } = useEdit();
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
        building: ofStatus(building, status),
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
    [building, level, selected, chosen, transfers, width, height, view, ghosts, drawings.length, status],
  );

  const edits = useBoardEdits({ level, drawings, chosen, choose, reach: CATCH / view.scale });

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
    if (tool.id === 'opening') return edits.addOpening(done);
    if (tool.id === 'areaLoad') return edits.addAreaLoad(done);
    if (tool.id === 'note') return edits.addNote(done[0]!);
    if (tool.id === 'split') return edits.split(done[0]!, done[1]!, () => setTool(TOOLS[0]!));
    if (tool.id === 'scale') return beginScaling(done[0]!, done[1]!);
    if (tool.id === 'select') return;
    edits.draw(tool.id, done);
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

  const isInBox =
    ([x1, y1, x2, y2]: readonly [number, number, number, number]) =>
    (p: PlanPoint) => {
      const [x, y] = toScreen(view, width, height, p);
      return x >= Math.min(x1, x2) && x <= Math.max(x1, x2) && y >= Math.min(y1, y2) && y <= Math.max(y1, y2);
    };

  const up = () => {
    const held = drag.current;
    drag.current = null;
    if (held?.kind === 'box') {
      if (held.moved && box) choose(edits.allInside(isInBox(box)));
      else choose([]);
      setBox(null);
    } else if (held?.moved && offset && (held.kind === 'move' || held.kind === 'end'))
      edits.moveChosen(held.kind === 'end' ? held.end! : null, offset);
    setOffset(null);
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
      else if (event.key === 'Delete' && edits.chosenItems().length > 0) {
        edits.removeChosen();
      } else if (points.length > 0 && /^[0-9.'"]$/.test(event.key)) {
        event.preventDefault();
        setTyped(event.key);
      } else if (event.shiftKey && event.key.startsWith('Arrow')) {
        event.preventDefault();
        edits.nudge(
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
          lines={selectedLines(edits.chosenItems())}
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
        {/* on the plan, not beside the buttons: what is clicked must not move away as the pointer leaves */}
        {cursor ? (
          <span className="no-print pointer-events-none absolute right-2 bottom-1 bg-panel px-1 text-[12px] whitespace-nowrap text-soft">
            x {length(cursor.point.x)} · y {length(cursor.point.y)} · {SNAP_WORD[cursor.kind]}
          </span>
        ) : null}
      </div>
      <div className="flex gap-4 px-4 py-0.5 text-[12px] text-soft" aria-live="polite">
        <span className="flex-1 truncate">
          {tool.id === 'measure' && points.length > 1 ? <b className="text-ink">{measured(points, length, units)}</b> : tool.hint}
        </span>
        {tool.id === 'measure' && points.length > 1 ? (
          <button
            type="button"
            className="btn-line"
            onClick={() => {
              setPoints([]);
              edits.keepMeasurement(points);
            }}
          >
            Keep it
          </button>
        ) : null}
        <button type="button" className="hover:text-ink" onClick={() => setView(null)} title="Show the whole plan (0)">
          Whole plan
        </button>
        <SaveSvg drawing={drawing} name={`plan-${levelName}`} />
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
