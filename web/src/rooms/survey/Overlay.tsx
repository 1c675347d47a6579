import { toScreen, type Item, type PlanPoint, type PlanView } from '@plinth/core';
import { handlesOf, selectedLines, withHandleMoved, type Handle } from './boardGeometry';
import type { Snap } from './snap';

/** What is being drawn and has not landed yet. */
export interface Rubber {
  readonly points: readonly PlanPoint[];
  readonly cursor: Snap | null;
  readonly shape: 'line' | 'rectangle';
}

/** Lines that follow the cursor: over the plan, never in it. */
export function Overlay({
  width,
  height,
  view,
  rubber,
  box,
  offset,
  dragged,
  items,
  length,
}: {
  width: number;
  height: number;
  view: PlanView;
  rubber: Rubber;
  box: readonly [number, number, number, number] | null;
  offset: readonly [number, number] | null;
  /** The one point that is moved; null: all of it. */
  dragged: Handle | null;
  /** What is chosen. */
  items: readonly Item[];
  length: (mm: number) => string;
}) {
  const at = (p: PlanPoint) => toScreen(view, width, height, p);
  const list = (points: readonly PlanPoint[]) => points.map((p) => at(p).join(',')).join(' ');
  const { points, cursor, shape } = rubber;
  const [dx, dy] = offset ?? [0, 0];
  const single = items.length === 1 ? items[0]! : null;
  const lines = dragged && single ? selectedLines([withHandleMoved(single, dragged, dx, dy)]) : selectedLines(items);
  const [ox, oy] = dragged ? [0, 0] : [dx, dy];
  const last = points.at(-1);
  const tip = cursor ? at(cursor.point) : null;
  return (
    <svg className="draw pointer-events-none absolute inset-0" viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <g fill="none" stroke="var(--oxide)" strokeWidth="1.4">
        {shape === 'line' && points.length > 0 ? <polyline points={list(cursor ? [...points, cursor.point] : points)} /> : null}
        {shape === 'rectangle' && last && cursor ? (
          <polygon points={list([last, { x: cursor.point.x, y: last.y }, cursor.point, { x: last.x, y: cursor.point.y }])} />
        ) : null}
        {offset
          ? lines.map((line, i) => {
              const moved = line.map((p) => ({ x: p.x + ox, y: p.y + oy }));
              const [x, y] = at(moved[0] ?? { x: 0, y: 0 });
              return moved.length > 1 ? <polyline key={i} points={list(moved)} /> : <circle key={i} cx={x} cy={y} r="6" />;
            })
          : null}
        {box ? (
          <rect
            x={Math.min(box[0], box[2])}
            y={Math.min(box[1], box[3])}
            width={Math.abs(box[2] - box[0])}
            height={Math.abs(box[3] - box[1])}
            strokeDasharray="4 3"
          />
        ) : null}
        {!offset && single
          ? handlesOf(single.body).map(({ point }, i) => {
              const [x, y] = at(point);
              return <rect key={i} x={x - 4} y={y - 4} width="8" height="8" fill="var(--panel)" />;
            })
          : null}
        {tip ? (
          cursor!.kind === 'end' || cursor!.kind === 'crossing' ? (
            <circle cx={tip[0]} cy={tip[1]} r="6" />
          ) : (
            <path d={`M${tip[0] - 5} ${tip[1]}h10M${tip[0]} ${tip[1] - 5}v10`} />
          )
        ) : null}
      </g>
      {last && tip ? (
        <text x={tip[0] + 10} y={tip[1] - 8} fontSize="12" fill="var(--ink)" stroke="var(--chalk)" strokeWidth="3" paintOrder="stroke">
          {shape === 'rectangle'
            ? `${length(Math.abs(cursor!.point.x - last.x))} × ${length(Math.abs(cursor!.point.y - last.y))}`
            : length(Math.hypot(cursor!.point.x - last.x, cursor!.point.y - last.y))}
        </text>
      ) : null}
    </svg>
  );
}
