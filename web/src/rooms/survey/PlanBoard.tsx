import { useEffect, useMemo, useState } from 'react';
import {
  extentOf,
  fitView,
  formatQuantity,
  markOf,
  parseQuantity,
  planDrawing,
  sheetCorners,
  toPlan,
  viewOf,
  zoomed,
  type PlanExtent,
  type PlanPoint,
  type PlanView,
} from '@plinth/core';
import { toast } from 'sonner';
import { DrawingView } from '../../parts/DrawingView';
import { SaveSvg } from '../../parts/SaveSvg';
import { useSize } from '../../parts/useSize';
import { useProject, useView } from '../../project/context';
import { measured } from './boardGeometry';
import { BoardTools, DrawingTools } from './BoardTools';
import { segmentsOf, useOpened } from './drawings';
import { Overlay, type Rubber } from './Overlay';
import { ofStatus, type StatusFilter } from './place';
import { gridStep, snapTargets, snapTo, typedEnd, type Snap } from './snap';
import { DRAWING_TOOLS, isDrawingTool, isFree, TOOLS, type SurveyTool } from './tools';
import { Underlay } from './Underlay';
import { useBoardEdits } from './useBoardEdits';
import { useBoardPointer } from './useBoardPointer';
import { useDrawingTools } from './useDrawingTools';

/** Pixels within which the cursor catches. */
const CATCH = 9;

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
  /** What is looked at, or a part of the plan that is to be seen whole; null: the whole plan, whatever comes to it. */
  ownView: PlanView | PlanExtent | null;
  setView: (view: PlanView | PlanExtent | null) => void;
  /** Which items are drawn. */
  status: StatusFilter;
}) {
  const { building, computed, units } = useProject();
  const { selected } = useView();
  const { ref, width, height } = useSize<HTMLDivElement>(788, 380);
  const [tool, setTool] = useState<SurveyTool>(TOOLS[0]!);
  const [points, setPoints] = useState<readonly PlanPoint[]>([]);
  const [typed, setTyped] = useState<string | null>(null);
  const view = useMemo(() => {
    if (ownView && 'scale' in ownView) return ownView;
    return ownView ? viewOf(ownView, width, height, 20) : fitView(building, width, height, level);
  }, [ownView, building, width, height, level]);
  const drawings = useMemo(() => building.drawings.filter(({ body }) => body.level === level), [building, level]);
  const files = useOpened(drawings);
  const drawn = useMemo(() => segmentsOf(drawings, files), [drawings, files]);
  const targets = useMemo(() => snapTargets(building, [level, ...ghosts], drawn), [building, level, ghosts, drawn]);
  // only of this level, and only when something was taken down: designs come in while the plan stands
  const { beams } = building;
  const ledgers = computed.takedown.members;
  const transfers = useMemo(() => {
    const found = new Set<string>();
    beams.forEach((beam, id) => {
      if (beam.level === level && ledgers.get(id)?.transfer) found.add(id);
    });
    return found;
  }, [beams, ledgers, level]);
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

  const catchAt = (sx: number, sy: number, square: boolean, from: PlanPoint | null = points.at(-1) ?? null): Snap => {
    const step = isFree(tool.id, points.length) ? null : gridStep(6 / view.scale, units);
    return snapTo(targets, toPlan(view, width, height, sx, sy), CATCH / view.scale, step, from, square);
  };
  const pointer = useBoardPointer({
    frame: () => ref.current!,
    view,
    width,
    height,
    isSelecting: tool.id === 'select',
    catchAt,
    chosen,
    selected: chosen.size > 1 ? undefined : edits.chosenItems()[0],
    drawings,
    onPan: setView,
    onBox: (inside) => choose(inside ? edits.allInside(inside) : []),
    onMove: edits.moveChosen,
  });
  const { cursor, box, offset } = pointer;
  const underlay = useDrawingTools({
    drawings,
    selected,
    done: (drawing) => {
      setTool(TOOLS[0]!);
      setView(extentOf(sheetCorners(drawing)));
    },
  });

  const takeTool = (next: SurveyTool) => {
    setTool(next);
    setPoints([]);
    setTyped(null);
    underlay.leave();
  };

  const finish = (done: readonly PlanPoint[]) => {
    setPoints([]);
    setTyped(null);
    if (tool.id === 'measure') return;
    if (tool.id === 'opening') return edits.addOpening(done);
    if (tool.id === 'areaLoad') return edits.addAreaLoad(done);
    if (tool.id === 'note') return edits.addNote(done[0]!);
    if (tool.id === 'split') return edits.split(done[0]!, done[1]!, () => setTool(TOOLS[0]!));
    if (tool.id === 'select') return;
    if (isDrawingTool(tool.id)) {
      underlay.commit(tool.id, done[0]!, done[1]!);
      if (tool.id === 'scale' && underlay.drawing && !underlay.drawing.body.locked) setTyped('');
      return;
    }
    edits.draw(tool.id, done);
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
    const from = points.at(-1);
    try {
      if (underlay.scaling) underlay.scaleTo(typed ?? '');
      else if (!from || !typed) return;
      else add(typedEnd(typed, from, cursor?.point ?? { x: from.x + 1, y: from.y }, (text) => parseQuantity(text, 'length', units)));
      setTyped(null);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  const letGo = () => {
    setPoints([]);
    setTyped(null);
    underlay.leave();
  };

  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(event.target.tagName);
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      const tools = drawings.length > 0 ? [...TOOLS, ...DRAWING_TOOLS] : TOOLS;
      const other = tools.find((candidate) => candidate.key === event.key.toLowerCase());
      if (event.key === 'Escape') {
        if (points.length > 0 || typed !== null) letGo();
        else if (tool.id !== 'select') setTool(TOOLS[0]!);
        else choose([]);
      } else if (event.key === 'Enter' && points.length >= 3 && tool.points === 0) finish(points);
      else if (event.key === 'Delete' && edits.chosenItems().length > 0) edits.removeChosen();
      else if (points.length > 0 && /^[0-9.'"]$/.test(event.key)) {
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
        takeTool(other);
      } else if (event.key === '+' || event.key === '=') setView(zoomed(view, width, height, width / 2, height / 2, 1.25));
      else if (event.key === '-') setView(zoomed(view, width, height, width / 2, height / 2, 0.8));
      else if (event.key === '0') setView(null);
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  });

  const rubber: Rubber = {
    // the points stay in sight while their distance is typed
    points: underlay.scaling ?? points,
    cursor: (tool.id === 'select' && !offset) || underlay.scaling ? null : cursor,
    shape: tool.id === 'rectangle' || tool.id === 'opening' || tool.id === 'areaLoad' ? 'rectangle' : 'line',
  };
  const length = (value: number) => formatQuantity(value, 'length', units);
  const levelName = building.levels.find((entry) => entry.id === level)?.body.name ?? '';
  return (
    <div className="flex min-h-0 flex-[6] flex-col">
      <BoardTools tool={tool} choose={takeTool} />
      <div
        ref={ref}
        data-testid="plan"
        data-view={JSON.stringify(view)}
        className={`relative min-h-0 flex-1 touch-none overflow-hidden select-none ${tool.id === 'select' ? '' : 'cursor-crosshair'}`}
        {...pointer.events}
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
          const [sx, sy] = pointer.place(event);
          add(catchAt(sx, sy, event.shiftKey).point);
        }}
      >
        <div ref={pointer.paper} className="absolute inset-0">
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
            dragged={pointer.dragged}
            items={edits.chosenItems()}
            length={length}
          />
        </div>
        {typed === null && (isDrawingTool(tool.id) || drawings.some(({ id }) => id === selected)) ? (
          <DrawingTools tool={tool} choose={takeTool} />
        ) : null}
        {typed !== null ? (
          <label className="absolute top-2 left-2 flex items-center gap-1 border border-oxide bg-panel px-2 py-1 text-[13px]">
            {underlay.scaling ? 'true distance' : 'length'}
            <input
              autoFocus
              className="field w-28"
              value={typed}
              aria-label={underlay.scaling ? 'True distance of the two points' : 'Length of the line, or length<angle'}
              onChange={(event) => setTyped(event.target.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') commitTyped();
                else if (event.key === 'Escape') {
                  setTyped(null);
                  underlay.leave();
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
            {isFree(tool.id, 0) ? ` · a pixel is ${length(1 / view.scale)}` : ''}
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
