import { useLayoutEffect, useRef, useState, type PointerEvent, type WheelEvent } from 'react';
import { toPlan, toScreen, zoomed, type Item, type LaidDrawing, type Named, type PlanPoint, type PlanView } from '@plinth/core';
import { handlesOf, type Handle } from './boardGeometry';
import type { Snap } from './snap';

export type Box = readonly [x1: number, y1: number, x2: number, y2: number];
export type Offset = readonly [dx: number, dy: number];

/** How near a handle is caught, px. */
const NEAR_HANDLE = 8;
/** So far the paper is pushed as it is, before it is drawn again, px. */
const PUSHED = 120;
/** A hand that moves less has clicked, px. */
const STILL = 3;

/** What is being dragged. It keeps what it has come to, so that letting go never waits for the page to have been drawn. */
interface Drag {
  readonly kind: 'pan' | 'box' | 'move' | 'handle';
  readonly start: readonly [number, number];
  readonly from: PlanPoint;
  readonly view: PlanView;
  readonly handle?: Handle;
  moved: boolean;
  box?: Box;
  offset?: Offset;
  /** Of panning: where it has come to. */
  panned?: PlanView;
}

/** The pointer over the plan: panning, a box that chooses, what is moved, and where the pencil would land. */
export function useBoardPointer({
  frame,
  view,
  width,
  height,
  isSelecting,
  catchAt,
  chosen,
  selected,
  drawings,
  onPan,
  onBox,
  onMove,
}: {
  frame: () => Element;
  view: PlanView;
  width: number;
  height: number;
  isSelecting: boolean;
  /** Where a place on the screen catches; drawn from a point, square to it if asked. */
  catchAt: (sx: number, sy: number, square: boolean, from?: PlanPoint) => Snap;
  chosen: ReadonlySet<string>;
  /** What is selected alone. */
  selected: Item | undefined;
  drawings: readonly Named<LaidDrawing>[];
  onPan: (view: PlanView) => void;
  /** Everything inside; null: what was chosen is let go. */
  onBox: (inside: ((p: PlanPoint) => boolean) | null) => void;
  onMove: (handle: Handle | null, offset: Offset) => void;
}) {
  const [cursor, setCursor] = useState<Snap | null>(null);
  const [box, setBox] = useState<Box | null>(null);
  const [offset, setOffset] = useState<Offset | null>(null);
  const [dragged, setDragged] = useState<Handle | null>(null);
  const drag = useRef<Drag | null>(null);
  /** The drawn paper: panning pushes it along, and now and then it is drawn again where it has come to. */
  const paper = useRef<HTMLDivElement>(null);
  const push = () => {
    if (!paper.current) return;
    const panned = drag.current?.panned;
    const [dx, dy] = panned ? [(view.x - panned.x) * view.scale, (panned.y - view.y) * view.scale] : [0, 0];
    paper.current.style.transform = dx || dy ? `translate(${dx}px, ${dy}px)` : '';
    return Math.hypot(dx, dy);
  };
  useLayoutEffect(() => void push());

  const place = (event: { clientX: number; clientY: number }): [number, number] => {
    const { left, top } = frame().getBoundingClientRect();
    return [event.clientX - left, event.clientY - top];
  };

  const handleAt = ([sx, sy]: readonly [number, number]) => {
    if (!selected || chosen.size > 1) return undefined;
    return handlesOf(selected.body).find(({ point }) => {
      const [x, y] = toScreen(view, width, height, point);
      return Math.hypot(x - sx, y - sy) < NEAR_HANDLE;
    });
  };

  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    const at = place(event);
    const start = toPlan(view, width, height, ...at);
    const begin = (kind: Drag['kind'], from = start, handle?: Handle) => {
      drag.current = { kind, start: at, from, view, moved: false, ...(handle ? { handle } : {}) };
      event.currentTarget.setPointerCapture(event.pointerId);
    };
    if (event.button !== 0) {
      event.preventDefault();
      return begin('pan');
    }
    if (!isSelecting) return;
    const hit = handleAt(at);
    if (hit) {
      setDragged(hit.handle);
      return begin('handle', hit.point, hit.handle);
    }
    const id = (event.target as Element).closest?.('[data-pick]')?.getAttribute('data-pick');
    // what is chosen already can be moved; anything else is chosen by the click itself
    const underlay = drawings.find((entry) => entry.id === selected?.id);
    if (id && (chosen.has(id) || id === selected?.id)) begin('move');
    else if (!id && underlay && !underlay.body.locked) begin('move');
    else if (!id) begin('box');
  };

  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    const [sx, sy] = place(event);
    const held = drag.current;
    if (!held) return setCursor(catchAt(sx, sy, event.shiftKey));
    const [dx, dy] = [sx - held.start[0], sy - held.start[1]];
    if (Math.hypot(dx, dy) > STILL) held.moved = true;
    if (!held.moved) return;
    if (held.kind === 'pan') {
      held.panned = { ...held.view, x: held.view.x - dx / held.view.scale, y: held.view.y + dy / held.view.scale };
      if ((push() ?? 0) > PUSHED) onPan(held.panned);
    } else if (held.kind === 'box') setBox((held.box = [...held.start, sx, sy]));
    else {
      const caught = catchAt(sx, sy, event.shiftKey, held.from);
      setCursor(caught);
      setOffset((held.offset = [caught.point.x - held.from.x, caught.point.y - held.from.y]));
    }
  };

  const letGo = () => {
    drag.current = null;
    // a push that is broken off leaves the paper where it was drawn
    push();
    setBox(null);
    setOffset(null);
    setDragged(null);
  };

  const onPointerUp = () => {
    const held = drag.current;
    letGo();
    if (held?.panned) onPan(held.panned);
    else if (held?.kind === 'box') onBox(held.moved && held.box ? isInside(held.box) : null);
    else if (held?.moved && held.offset) onMove(held.handle ?? null, held.offset);
  };

  const isInside =
    ([x1, y1, x2, y2]: Box) =>
    (p: PlanPoint) => {
      const [x, y] = toScreen(view, width, height, p);
      return x >= Math.min(x1, x2) && x <= Math.max(x1, x2) && y >= Math.min(y1, y2) && y <= Math.max(y1, y2);
    };

  return {
    cursor,
    box,
    offset,
    /** The handle that is held, while it is one. */
    dragged,
    paper,
    place,
    events: {
      onPointerDown,
      onPointerMove,
      onPointerUp,
      onPointerCancel: letGo,
      onPointerLeave: () => (drag.current ? undefined : setCursor(null)),
      onWheel: (event: WheelEvent<HTMLElement>) => {
        const [sx, sy] = place(event);
        onPan(zoomed(view, width, height, sx, sy, Math.exp(-event.deltaY / 500)));
      },
    },
  };
}
