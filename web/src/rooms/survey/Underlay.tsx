import { memo, useMemo } from 'react';
import { toScreen, type LaidDrawing, type Named, type PlanView } from '@plinth/core';
import type { DxfDrawing } from '@plinth/core/dxf';
import type { Opened } from './drawings';

/** The drawings that lie under a level, in place and to scale. */
export function Underlay({
  drawings,
  files,
  view,
  width,
  height,
  selected,
  offset,
}: {
  drawings: readonly Named<LaidDrawing>[];
  files: ReadonlyMap<string, Opened>;
  view: PlanView;
  width: number;
  height: number;
  selected: string | null;
  offset: readonly [number, number] | null;
}) {
  return (
    <svg
      className="draw pointer-events-none absolute inset-0"
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      data-testid="underlay"
      data-opening={drawings.filter(({ id }) => !files.has(id)).length}
    >
      {drawings.map(({ id, body }) => {
        const moved = id === selected && offset ? { x: body.at.x + offset[0], y: body.at.y + offset[1] } : body.at;
        const [x, y] = toScreen(view, width, height, moved);
        const size = view.scale * body.scale;
        const file = files.get(id);
        return (
          <g key={id} transform={`translate(${x} ${y}) rotate(${(-body.turn * 180) / Math.PI}) scale(${size})`}>
            {file && 'href' in file ? (
              <image
                className="underlay-picture"
                href={file.href}
                x={-body.width / 2}
                y={-body.height / 2}
                width={body.width}
                height={body.height}
                opacity={body.opacity}
              />
            ) : file && 'dxf' in file ? (
              <g opacity={body.opacity}>
                <DxfLines dxf={file.dxf} hidden={body.hiddenLayers} />
              </g>
            ) : null}
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

/** The lines of a DXF about its middle, a path a layer. Drawn again only when a layer is shown or hidden. */
const DxfLines = memo(function DxfLines({ dxf, hidden }: { dxf: DxfDrawing; hidden: readonly string[] }) {
  const { box, layers, lines, texts } = dxf;
  const [mx, my] = [(box.left + box.right) / 2, (box.low + box.high) / 2];
  const paths = useMemo(() => {
    const byLayer = new Map<string, string[]>();
    for (const { layer, points, closed } of lines) {
      const d = `M${points.map(({ x, y }) => `${+(x - mx).toFixed(3)} ${+(my - y).toFixed(3)}`).join('L')}${closed ? 'Z' : ''}`;
      const list = byLayer.get(layer);
      if (list) list.push(d);
      else byLayer.set(layer, [d]);
    }
    return new Map([...byLayer].map(([layer, list]) => [layer, list.join('')]));
  }, [lines, mx, my]);
  const shown = new Set(layers.map(({ name }) => name).filter((name) => !hidden.includes(name)));
  return (
    <>
      {[...paths].map(([layer, d]) =>
        shown.has(layer) ? (
          <path key={layer} d={d} data-layer={layer} fill="none" stroke="var(--ink)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
        ) : null,
      )}
      {texts.map(({ layer, at, height, angle, text }, i) =>
        shown.has(layer) ? (
          <text
            key={i}
            transform={`translate(${at.x - mx} ${my - at.y}) rotate(${(-angle * 180) / Math.PI})`}
            fontSize={height * 1.35}
            fill="var(--ink)"
          >
            {text}
          </text>
        ) : null,
      )}
    </>
  );
});
