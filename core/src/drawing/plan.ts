import type { Building, PlanPoint } from '../building';
import { pointAlong } from '../building';
import { formatQuantity, type UnitSystem } from '../quantity';
import { Pencil, type Drawing } from './drawing';

export interface PlanInput {
  readonly building: Building;
  readonly level: string;
  readonly selected: string | null;
  readonly transfers: ReadonlySet<string>;
  readonly width: number;
  readonly height: number;
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** Round lengths for a scale bar, mm. */
const BARS: Record<UnitSystem, readonly number[]> = {
  SI: [500, 1000, 2000, 5000, 10_000, 20_000, 50_000],
  US: [5, 10, 20, 50, 100, 200].map((feet) => feet * 304.8),
};

function extent(building: Building): Box {
  const points: PlanPoint[] = [];
  for (const members of [building.beams, building.walls]) for (const member of members.values()) points.push(member.from, member.to);
  for (const members of [building.columns, building.hangers, building.footings])
    for (const member of members.values()) points.push(member.at);
  if (points.length === 0) return { left: 0, right: 10_000, low: 0, high: 8000 };
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, right: Math.max(right, left + 1000), low, high: Math.max(high, low + 1000) };
}

/** Columns that stand below a level, on it, and footings under it are told apart by fill. */
export function planDrawing({ building, level, selected, transfers, width, height }: PlanInput): Drawing {
  const pencil = new Pencil();
  const units = building.brief.units;
  const box = extent(building);
  const margin = 64;
  const scale = Math.min((width - 2 * margin) / (box.right - box.left), (height - 2 * margin) / (box.high - box.low));
  const x0 = (width - (box.right - box.left) * scale) / 2;
  const y0 = (height - 20 + (box.high - box.low) * scale) / 2;
  const P = (point: PlanPoint): [number, number] => [x0 + (point.x - box.left) * scale, y0 - (point.y - box.low) * scale];
  const name = building.levels.find((entry) => entry.id === level)?.body.name ?? '';

  // floor and roof strips as washes on both sides of their beam
  for (const beam of building.beams.values()) {
    if (beam.level !== level) continue;
    const length = Math.hypot(beam.to.x - beam.from.x, beam.to.y - beam.from.y) || 1;
    const [nx, ny] = [-(beam.to.y - beam.from.y) / length, (beam.to.x - beam.from.x) / length];
    for (const strip of beam.strips) {
      const [a, b] = [pointAlong(beam, strip.from), pointAlong(beam, Math.min(strip.to, length))];
      const offset = (p: PlanPoint, d: number): [number, number] => P({ x: p.x + nx * d, y: p.y + ny * d });
      pencil.area(
        [offset(a, strip.widthStart / 2), offset(b, strip.widthEnd / 2), offset(b, -strip.widthEnd / 2), offset(a, -strip.widthStart / 2)],
        'floor',
        { pen: 'faint', width: 0.5 },
      );
    }
  }
  for (const [id, wall] of building.walls) {
    const onLevel = wall.base === level;
    if (!onLevel && wall.top !== level) continue;
    const [a, b] = [P(wall.from), P(wall.to)];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const half = Math.max(3, (215 * scale) / 2);
    const [nx, ny] = [(-(b[1] - a[1]) / length) * half, ((b[0] - a[0]) / length) * half];
    pencil.area(
      [
        [a[0] + nx, a[1] + ny],
        [b[0] + nx, b[1] + ny],
        [b[0] - nx, b[1] - ny],
        [a[0] - nx, a[1] - ny],
      ],
      onLevel ? 'masonry' : 'none',
      { pen: id === selected ? 'accent' : 'ink', width: id === selected ? 2 : 1, item: id },
    );
    pencil.text((a[0] + b[0]) / 2 + 6, (a[1] + b[1]) / 2 + (Math.abs(nx) > Math.abs(ny) ? 4 : -8), wall.mark, {
      size: 11,
      item: id,
      pen: id === selected ? 'accent' : 'ink',
      halo: true,
    });
  }
  for (const [id, beam] of building.beams) {
    if (beam.level !== level) continue;
    const [a, b] = [P(beam.from), P(beam.to)];
    const chosen = id === selected;
    const vertical = Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]);
    pencil.line([a, b], chosen ? 'accent' : 'ink', {
      width: chosen ? 4 : beam.role === 'truss' ? 2 : 3,
      dash: beam.role === 'truss' ? [9, 3] : beam.status === 'existing' ? [12, 2] : undefined,
      item: id,
    });
    for (const support of beam.supports)
      pencil.circle(...P(pointAlong(beam, support.at)), 2.4, support.by ? 'paper' : 'accent', chosen ? 'accent' : 'ink', id);
    // a little off the middle, where marks of crossing members would meet
    const [mx, my] = [a[0] + (b[0] - a[0]) * 0.42, a[1] + (b[1] - a[1]) * 0.42];
    pencil.text(vertical ? mx + 7 : mx, vertical ? my + 4 : my - 7, transfers.has(id) ? `${beam.mark} transfer` : beam.mark, {
      size: 11.5,
      bold: true,
      anchor: vertical ? 'start' : 'middle',
      pen: chosen ? 'accent' : 'ink',
      item: id,
      halo: true,
    });
  }
  const half = 5;
  const square = (at: PlanPoint, fill: 'ink' | 'paper', id: string) => {
    const [x, y] = P(at);
    pencil.rectangle(x - half, y - half, 2 * half, 2 * half, id === selected ? 'accent' : fill, {
      pen: id === selected ? 'accent' : 'ink',
      width: 1.2,
      item: id,
    });
  };
  const labelled = new Map<string, string[]>();
  const label = (at: PlanPoint, mark: string) => {
    const key = `${Math.round(at.x)},${Math.round(at.y)}`;
    labelled.set(key, [...(labelled.get(key) ?? []), mark]);
  };
  for (const [id, footing] of building.footings) {
    if (footing.level !== level) continue;
    const [x, y] = P(footing.at);
    const side = Math.max(10, ((footing.width ?? 900) * scale) / 2);
    pencil.rectangle(x - side, y - side, 2 * side, 2 * side, 'concrete', {
      pen: id === selected ? 'accent' : 'ink',
      width: id === selected ? 2 : 1,
      item: id,
    });
    label(footing.at, footing.mark);
  }
  for (const [id, column] of building.columns) {
    // filled where it comes up to this level from below, hollow where it starts here
    if (column.top === level) square(column.at, 'ink', id);
    else if (column.base === level) square(column.at, 'paper', id);
    else continue;
    label(column.at, column.mark);
  }
  for (const [id, hanger] of building.hangers) {
    if (hanger.top !== level && hanger.base !== level) continue;
    pencil.circle(...P(hanger.at), 4, id === selected ? 'accent' : 'paper', 'ink', id);
    label(hanger.at, hanger.mark);
  }
  for (const [key, marks] of labelled) {
    const [x, y] = key.split(',').map(Number) as [number, number];
    const [px, py] = P({ x, y });
    pencil.text(px + 9, py + 17, marks.join(' · '), { size: 10.5, pen: 'soft', halo: true });
  }
  const bar = BARS[units].filter((length) => length * scale <= width / 3).at(-1) ?? BARS[units][0]!;
  const [barX, barY] = [24, height - 14];
  pencil.line(
    [
      [barX, barY],
      [barX + bar * scale, barY],
    ],
    'ink',
    { width: 1.4 },
  );
  for (const t of [0, 0.5, 1])
    pencil.line(
      [
        [barX + t * bar * scale, barY - 4],
        [barX + t * bar * scale, barY + 4],
      ],
      'ink',
    );
  pencil.text(barX + bar * scale + 8, barY + 4, formatQuantity(bar, 'length', units, { figures: 3 }), { size: 10.5, pen: 'soft' });
  return { width, height, title: `Plan of ${name}, to scale`, marks: pencil.marks };
}
