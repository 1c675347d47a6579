import { planLength, landingHeight, storeyOf, wallHeight, type Building } from '../building';
import { formatQuantity } from '../quantity';
import {
  widening,
  arrivalTotal,
  footShapes,
  shapeMoment,
  shapeForce,
  totalOf,
  type Arrival,
  type ArrivalShape,
  type MemberLedger,
  type Takedown,
} from '../takedown';
import { Pencil, type Drawing } from './drawing';

export interface WallElevationInput {
  readonly building: Building;
  readonly takedown: Pick<Takedown, 'members' | 'bearers'>;
  readonly wall: string;
  readonly width: number;
  readonly height: number;
}

const MARGIN = 30;
const TOP = 54;
const FOOT = 66;

/**
 * A wall in elevation, to scale: what arrives on its top, how point loads spread through it, the pressure along its foot under all
 * load unfactored, and what takes it.
 */
export function wallElevation({ building, takedown, wall: id, width, height }: WallElevationInput): Drawing {
  const wall = building.walls.get(id)!;
  const ledger = takedown.members.get(id)!;
  const { units } = building.brief;
  const length = planLength(wall);
  const storey = storeyOf(building, wall);
  const high = wallHeight(building, wall);
  /** What lands on the wall lands here: on its head, or at the level that it rises past. */
  const landing = landingHeight(building, wall);
  const pencil = new Pencil();
  const scale = Math.min((width - 2 * MARGIN) / Math.max(length, 1), (height - TOP - FOOT) / Math.max(storey, high, 1));
  const x0 = (width - length * scale) / 2;
  const foot = TOP + Math.max(storey, high) * scale;
  const head = foot - landing * scale;
  const X = (at: number) => x0 + at * scale;
  const force = (value: number) => formatQuantity(value, 'force', units, { figures: 3 });

  pencil.rectangle(X(0), foot - high * scale, length * scale, high * scale, 'masonry', { pen: 'ink', width: 1.2 });
  for (const opening of wall.openings)
    pencil.rectangle(
      X(opening.from),
      foot - opening.head * scale,
      (opening.to - opening.from) * scale,
      (opening.head - opening.sill) * scale,
      'paper',
      { pen: 'ink', width: 0.8 },
    );
  if (Math.abs(high - storey) > 1) {
    const level = foot - storey * scale;
    pencil.line(
      [
        [X(0) - 12, level],
        [X(length) + 12, level],
      ],
      'soft',
      { width: 0.8, dash: [14, 3, 2, 3] },
    );
    pencil.text(X(length) + 14, level + 3, building.levels.find(({ id }) => id === wall.top)?.body.name ?? '', { size: 10.5, pen: 'soft' });
  }
  const loads = ledger.arrivals.filter((arrival) => arrival.source.type !== 'ownWeight');
  for (const arrival of loads) spread(arrival);
  loads.forEach((arrival, i) => arrive(arrival, i));
  pressureLine(ledger);
  for (const bearer of takedown.bearers.get(id) ?? []) {
    if (!('from' in bearer)) continue;
    pencil.line(
      [
        [X(bearer.from), foot + 40],
        [X(bearer.to), foot + 40],
      ],
      'ink',
      { width: 2 },
    );
    const leave = ledger.leaves.find((candidate) => candidate.to === bearer.by && candidate.at === bearer.from);
    const mark = takedown.members.get(bearer.by)?.mark ?? bearer.by;
    const text = leave ? `${mark} takes ${force(totalOf(leave.byCase))}` : mark;
    pencil.text(X((bearer.from + bearer.to) / 2), foot + 56, text, { size: 11, anchor: 'middle' });
  }
  if ((takedown.bearers.get(id) ?? []).length === 0)
    pencil.text(X(length / 2), foot + 56, 'stops above nothing', { size: 11, anchor: 'middle', pen: 'accent', bold: true });
  return { width, height, title: `Elevation of ${wall.mark}, to scale`, marks: pencil.marks };

  /** The cone of a point load, down to where it stands on the foot. */
  function spread({ shape }: Arrival): void {
    if (shape.type !== 'point') return;
    // from here down it is no wider
    const straight = head + widening(wall, landing, high) * scale;
    for (const part of footShapes(wall, shape, length, landing, high))
      if (part.type === 'distributed' && wall.spread === 'angle')
        pencil.area(
          [
            [X(shape.at), head],
            [X(part.to), straight],
            [X(part.to), foot],
            [X(part.from), foot],
            [X(part.from), straight],
          ],
          'accentWash',
          { opacity: 0.5 },
        );
  }

  function arrive(arrival: Arrival, i: number): void {
    const { shape } = arrival;
    const total = totalOf(arrivalTotal(arrival));
    const at = shape.type === 'point' ? shape.at : shapeForce(shape) === 0 ? shape.from : shapeMoment(shape) / shapeForce(shape);
    const lift = 12 * (i % 3);
    if (shape.type === 'distributed')
      pencil.rectangle(X(shape.from), head - 7, (shape.to - shape.from) * scale, 5, 'imposed', { pen: 'soft', width: 0.6 });
    else
      pencil.line(
        [
          [X(at), head - 18 - lift],
          [X(at), head - 1],
        ],
        'ink',
        { width: 1.4, arrow: 'end' },
      );
    const text = `${arrival.label} ${force(total)}`;
    const half = 2.9 * text.length;
    pencil.text(Math.min(width - half - 2, Math.max(half + 2, X(at))), head - 20 - lift, text, {
      size: 10.5,
      anchor: 'middle',
      halo: true,
    });
  }

  /** Pressure along the foot of everything, unfactored, as an area hanging below it. */
  function pressureLine({ arrivals }: MemberLedger): void {
    const parts: { shape: ArrivalShape; value: number }[] = arrivals.flatMap((arrival) =>
      footShapes(wall, arrival.shape, length, landing, high).map((shape) => ({ shape, value: totalOf(arrival.byCase) })),
    );
    const cuts = [...new Set([0, length, ...parts.flatMap(({ shape }) => (shape.type === 'point' ? [] : [shape.from, shape.to]))])].sort(
      (a, b) => a - b,
    );
    const at = (s: number, side: 1 | -1) =>
      parts.reduce((sum, { shape, value }) => {
        if (shape.type === 'point' || s + side * 1e-6 < shape.from || s + side * 1e-6 > shape.to) return sum;
        const t = shape.to === shape.from ? 0 : (s - shape.from) / (shape.to - shape.from);
        return sum + value * (shape.start + t * (shape.end - shape.start));
      }, 0);
    const points: { s: number; value: number }[] = [];
    for (const s of cuts) {
      if (s > 0) points.push({ s, value: at(s, -1) });
      if (s < length) points.push({ s, value: at(s, 1) });
    }
    const largest = points.reduce((best, point) => (point.value > best.value ? point : best), { s: 0, value: 0 });
    if (largest.value <= 0) return;
    const depth = (value: number) => foot + (30 * Math.max(0, value)) / largest.value;
    pencil.area([[X(0), foot], ...points.map(({ s, value }): [number, number] => [X(s), depth(value)]), [X(length), foot]], 'permanent', {
      pen: 'ink',
      width: 0.8,
      opacity: 0.55,
    });
    const text = formatQuantity(largest.value, 'lineLoad', units, { figures: 3 });
    const half = 3.1 * text.length;
    // where the same pressure runs on, its value stands in the middle of it
    const after = points.slice(points.indexOf(largest)).findIndex(({ value }) => value < largest.value * (1 - 1e-9));
    const end = after < 0 ? points.at(-1)! : points[points.indexOf(largest) + after - 1]!;
    const middle = X((largest.s + end.s) / 2);
    pencil.text(Math.min(width - half, Math.max(half, middle)), foot + 27, text, {
      size: 10.5,
      anchor: 'middle',
      bold: true,
      halo: true,
    });
  }
}
