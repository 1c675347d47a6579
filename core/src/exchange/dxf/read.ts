import DxfParser, { type IDxf, type IEntity } from 'dxf-parser';
import type { PlanPoint } from '../../building';
import { BadInput } from '../../error';

/** A run of straight pieces in drawing units; curves are cut into chords. */
export interface DxfLine {
  readonly layer: string;
  readonly points: readonly PlanPoint[];
  /** True when the last point joins the first. */
  readonly closed: boolean;
  /** Of a circle its centre. */
  readonly centre?: PlanPoint;
}

export interface DxfText {
  readonly layer: string;
  readonly at: PlanPoint;
  readonly height: number;
  /** rad, anticlockwise */
  readonly angle: number;
  readonly text: string;
}

/** What is read of a DXF: lines and text by layer, in drawing units. */
export interface DxfDrawing {
  /** mm to a drawing unit as the file says; null when it does not. */
  readonly unit: number | null;
  readonly layers: readonly { readonly name: string; readonly visible: boolean }[];
  readonly lines: readonly DxfLine[];
  readonly texts: readonly DxfText[];
  readonly box: { readonly left: number; readonly low: number; readonly right: number; readonly high: number };
  /** Kinds of entity that are not read, with their number. */
  readonly unread: Readonly<Record<string, number>>;
}

/** mm to a unit by $INSUNITS. */
const UNITS: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };
const MOST_LINES = 200_000;
const DEEPEST = 8;

/** A point taken through the insertions around it. */
type Transform = (p: PlanPoint) => PlanPoint;

/**
 * Reads the lines, curves, text and blocks of a DXF (ASCII) as reference. Splines, hatches, dimensions and solids are counted, not read.
 * @throws BadInput when it is no DXF, holds nothing that can be drawn, or holds too much
 */
export function readDxf(text: string): DxfDrawing {
  let dxf: IDxf | null;
  try {
    dxf = new DxfParser().parseSync(text);
  } catch {
    dxf = null;
  }
  if (!dxf) throw new BadInput('this cannot be read as a DXF: it may be a binary one, or damaged; write it again as ASCII DXF', 'file');
  return new Reader(dxf).read();
}

class Reader {
  private readonly lines: DxfLine[] = [];
  private readonly texts: DxfText[] = [];
  private readonly unread: Record<string, number> = {};

  constructor(private readonly dxf: IDxf) {}

  read(): DxfDrawing {
    this.take(this.dxf.entities, (p) => p, 1, null, 0);
    if (this.lines.length === 0) throw new BadInput('there is no line in this DXF', 'file');
    let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
    for (const { points } of this.lines)
      for (const { x, y } of points) {
        left = Math.min(left, x);
        right = Math.max(right, x);
        low = Math.min(low, y);
        high = Math.max(high, y);
      }
    if (!(right > left || high > low)) throw new BadInput('the lines of this DXF have no extent', 'file');
    const known = this.dxf.tables?.layer?.layers ?? {};
    const used = [...new Set([...this.lines, ...this.texts].map(({ layer }) => layer))].sort((a, b) => a.localeCompare(b));
    const units = Number((this.dxf.header as Record<string, unknown> | undefined)?.['$INSUNITS'] ?? 0);
    return {
      unit: UNITS[units] ?? null,
      layers: used.map((name) => ({ name, visible: known[name] ? known[name].visible && !known[name].frozen : true })),
      lines: this.lines,
      texts: this.texts,
      box: { left, low, right, high },
      unread: this.unread,
    };
  }

  private add(layer: string, points: readonly PlanPoint[], closed: boolean, centre?: PlanPoint): void {
    if (points.length < 2 || points.some(({ x, y }) => !Number.isFinite(x) || !Number.isFinite(y))) return;
    if (this.lines.length >= MOST_LINES)
      throw new BadInput(`this DXF has more than ${MOST_LINES} lines: write out only the layers that are needed`, 'file');
    this.lines.push({ layer, points, closed, ...(centre ? { centre } : {}) });
  }

  /** @param layer of the insertion, which what lies on layer 0 of a block takes on */
  private take(entities: readonly IEntity[], move: Transform, size: number, layer: string | null, depth: number): void {
    for (const entity of entities) {
      if (entity.inPaperSpace || entity.visible === false) continue;
      const on = layer !== null && (entity.layer === '0' || !entity.layer) ? layer : entity.layer || '0';
      this.one(entity, on, move, size, depth);
    }
  }

  private one(entity: IEntity, on: string, move: Transform, size: number, depth: number): void {
    const of = entity as unknown as Record<string, never> & {
      vertices: (PlanPoint & { bulge?: number })[];
      center: PlanPoint;
      position: PlanPoint;
      startPoint: PlanPoint;
      majorAxisEndPoint: PlanPoint;
    };
    switch (entity.type) {
      case 'LINE':
        this.add(on, of.vertices.map(move), false);
        return;
      case 'LWPOLYLINE':
      case 'POLYLINE':
        this.add(on, bulged(of.vertices, Boolean(of['shape'])).map(move), Boolean(of['shape']));
        return;
      case 'CIRCLE':
        this.add(
          on,
          arc(of.center, of['radius'], 0, 2 * Math.PI)
            .slice(0, -1)
            .map(move),
          true,
          move(of.center),
        );
        return;
      case 'ARC':
        this.add(on, arc(of.center, of['radius'], of['startAngle'], of['endAngle']).map(move), false);
        return;
      case 'ELLIPSE':
        this.add(on, ellipse(of.center, of.majorAxisEndPoint, of['axisRatio'], of['startAngle'], of['endAngle']).map(move), false);
        return;
      case 'TEXT':
      case 'MTEXT': {
        const at = entity.type === 'TEXT' ? of.startPoint : of.position;
        const text = String(of['text'] ?? '')
          .replace(/\\P/g, ' ')
          .replace(/\\[A-Za-z][^;\\]*;|[{}]/g, '')
          .trim();
        const height = Number(of['textHeight'] ?? of['height'] ?? 0) * size;
        if (at && text && height > 0)
          this.texts.push({
            layer: on,
            at: move(at),
            height,
            angle: (Number(of['rotation'] ?? 0) * Math.PI) / 180,
            text: text.slice(0, 200),
          });
        return;
      }
      case 'INSERT': {
        const block = this.dxf.blocks?.[String(of['name'])];
        if (!block?.entities || depth >= DEEPEST) return;
        const [sx, sy] = [Number(of['xScale'] ?? 1), Number(of['yScale'] ?? 1)];
        const turn = (Number(of['rotation'] ?? 0) * Math.PI) / 180;
        const base = block.position ?? { x: 0, y: 0 };
        const place = (p: PlanPoint): PlanPoint => {
          const [x, y] = [(p.x - base.x) * sx, (p.y - base.y) * sy];
          return move({
            x: of.position.x + x * Math.cos(turn) - y * Math.sin(turn),
            y: of.position.y + x * Math.sin(turn) + y * Math.cos(turn),
          });
        };
        this.take(block.entities, place, size * Math.abs(sy), on, depth + 1);
        return;
      }
      case 'POINT':
        return;
      default:
        this.unread[entity.type] = (this.unread[entity.type] ?? 0) + 1;
    }
  }
}

/** Chords of an arc, one for each ten degrees. */
function arc(centre: PlanPoint, radius: number, start: number, end: number): PlanPoint[] {
  const sweep = end > start ? end - start : end - start + 2 * Math.PI;
  const steps = Math.max(2, Math.ceil(sweep / (Math.PI / 18)));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = start + (sweep * i) / steps;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
}

function ellipse(centre: PlanPoint, major: PlanPoint, ratio: number, start: number, end: number): PlanPoint[] {
  return arc({ x: 0, y: 0 }, 1, start, end).map(({ x, y }) => ({
    x: centre.x + x * major.x - y * ratio * major.y,
    y: centre.y + x * major.y + y * ratio * major.x,
  }));
}

/** Corners of a polyline with its bulges cut into chords. A bulge is the tangent of a quarter of the arc's angle. */
function bulged(vertices: readonly (PlanPoint & { bulge?: number })[], closed: boolean): PlanPoint[] {
  const points: PlanPoint[] = [];
  vertices.forEach((p, i) => {
    points.push({ x: p.x, y: p.y });
    const q = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    if (!p.bulge || !q) return;
    const angle = 4 * Math.atan(p.bulge);
    const chord = Math.hypot(q.x - p.x, q.y - p.y);
    const radius = chord / (2 * Math.sin(Math.abs(angle) / 2));
    const away = (radius * Math.cos(angle / 2) * Math.sign(p.bulge)) / chord;
    const centre = { x: (p.x + q.x) / 2 - (q.y - p.y) * away, y: (p.y + q.y) / 2 + (q.x - p.x) * away };
    const start = Math.atan2(p.y - centre.y, p.x - centre.x);
    const steps = Math.max(2, Math.ceil(Math.abs(angle) / (Math.PI / 18)));
    for (let n = 1; n < steps; n += 1) {
      const at = start + (angle * n) / steps;
      points.push({ x: centre.x + radius * Math.cos(at), y: centre.y + radius * Math.sin(at) });
    }
  });
  return points;
}
