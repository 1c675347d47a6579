import { toScreen, type LaidDrawing, type Named, type PlanView } from '@plinth/core';

/** The drawings that lie under a level, in place and to scale. */
export function Underlay({
  drawings,
  view,
  width,
  height,
  selected,
  offset,
}: {
  drawings: readonly Named<LaidDrawing>[];
  view: PlanView;
  width: number;
  height: number;
  selected: string | null;
  offset: readonly [number, number] | null;
}) {
  return (
    <svg className="draw pointer-events-none absolute inset-0" viewBox={`0 0 ${width} ${height}`} aria-hidden="true" data-testid="underlay">
      {drawings.map(({ id, body }) => {
        const moved = id === selected && offset ? { x: body.at.x + offset[0], y: body.at.y + offset[1] } : body.at;
        const [x, y] = toScreen(view, width, height, moved);
        const size = view.scale * body.scale;
        return (
          <g key={id} transform={`translate(${x} ${y}) rotate(${(-body.turn * 180) / Math.PI}) scale(${size})`}>
            <image
              href={`/api/files/${body.file}`}
              x={-body.width / 2}
              y={-body.height / 2}
              width={body.width}
              height={body.height}
              opacity={body.opacity}
            />
            {id === selected ? (
              <rect
                x={-body.width / 2}
                y={-body.height / 2}
                width={body.width}
                height={body.height}
                fill="none"
                stroke="var(--oxide)"
                strokeWidth={1.2 / size}
                strokeDasharray={`${6 / size} ${4 / size}`}
              />
            ) : null}
          </g>
        );
      })}
    </svg>
  );
}
