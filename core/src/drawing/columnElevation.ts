import type { Column } from '../building';
import { effectiveLength, endFactor, type BucklingAxis } from '../design';
import { formatQuantity, type UnitSystem } from '../quantity';
import type { Standard } from '../standard';
import { Pencil, type Drawing } from './drawing';

export interface ColumnElevationInput {
  readonly column: Column;
  /** mm */
  readonly storey: number;
  readonly family: Standard['id'];
  readonly units: UnitSystem;
  readonly width: number;
  readonly height: number;
}

const SWAY = 18;
/** First root of tan k = k: the shape of a length built in at its base and held at its top. */
const ROOT = 4.493409457909064;

/** How far a whole length moves sideways where it buckles, from 0 at its base to 1 at its top; the largest is 1. */
function buckledShape(ends: Column['endsY'], s: number): number {
  switch (ends) {
    case 'fixedPinned':
      return (Math.sin(ROOT * s) - ROOT * s + ROOT * (1 - Math.cos(ROOT * s))) / 6.28;
    case 'fixedFixed':
      return (1 - Math.cos(2 * Math.PI * s)) / 2;
    case 'fixedFree':
      return 1 - Math.cos((Math.PI * s) / 2);
    case 'fixedSway':
      return (1 - Math.cos(Math.PI * s)) / 2;
    case 'pinnedSway':
      return Math.sin((Math.PI * s) / 2);
    default:
      return Math.sin(Math.PI * s);
  }
}

/** A column seen along each of its axes: its ends, where it is held, the shape in which it buckles, and the length that governs. */
export function columnElevation({ column, storey, family, units, width, height }: ColumnElevationInput): Drawing {
  const pencil = new Pencil();
  (['Y', 'Z'] as const).forEach((axis, i) => drawAxis(pencil, column, axis, storey, family, units, { x: (width * (i + 0.5)) / 2, height }));
  return { width, height, title: `${column.mark}: effective lengths about its two axes, with its ends`, marks: pencil.marks };
}

function drawAxis(
  pencil: Pencil,
  column: Column,
  axis: BucklingAxis,
  storey: number,
  family: Standard['id'],
  units: UnitSystem,
  { x, height }: { readonly x: number; readonly height: number },
): void {
  const ends = column[`ends${axis}`];
  const [top, foot] = [34, height - 34];
  const Y = (above: number) => foot - ((foot - top) * above) / storey;
  const held = column[`held${axis}`].filter((at) => at > 0 && at < storey);
  pencil.text(x, 11, `${axis === 'Y' ? 'major' : 'minor'} axis`, { size: 11, anchor: 'middle', pen: 'soft' });
  pencil.line(
    [
      [x, foot],
      [x, top],
    ],
    'ink',
    { width: 2.4 },
  );
  const places = [0, ...[...held].sort((a, b) => a - b), storey];
  const curve: [number, number][] = [];
  if (places.length === 2) for (let n = 0; n <= 32; n += 1) curve.push([x + SWAY * buckledShape(ends, n / 32), Y((storey * n) / 32)]);
  else
    for (let piece = 0; piece + 1 < places.length; piece += 1) {
      const [from, to] = [places[piece]!, places[piece + 1]!];
      const size = (SWAY * (to - from)) / storey;
      for (let n = 0; n <= 16; n += 1)
        curve.push([x + (piece % 2 ? -1 : 1) * size * Math.sin((Math.PI * n) / 16), Y(from + ((to - from) * n) / 16)]);
    }
  pencil.line(curve, 'accent', { width: 1.3, dash: [4, 3] });
  end(pencil, x, foot, 1, ends.startsWith('fixed') ? 'fixed' : 'pinned');
  const above =
    ends === 'fixedFree' ? 'free' : ends === 'fixedFixed' ? 'fixed' : ends === 'fixedSway' || ends === 'pinnedSway' ? 'guided' : 'pinned';
  end(pencil, above === 'guided' ? x + SWAY : x, top, -1, above);
  for (const at of held) for (const side of [-1, 1]) wedge(pencil, x + side * 2, Y(at), side);
  const { from, to, length } = effectiveLength(column, axis, storey, family);
  const { factor } = endFactor(column, axis, family);
  pencil.dimensionUp(Y(to), Y(from), x - 26, formatQuantity(to - from, 'length', units));
  pencil.text(x, height - 6, `${+(length / (to - from)).toFixed(2) || factor} × gives ${formatQuantity(length, 'length', units)}`, {
    size: 11,
    anchor: 'middle',
    bold: true,
  });
}

/** A place held sideways: a small wedge against the member. */
function wedge(pencil: Pencil, x: number, y: number, side: number): void {
  pencil.area(
    [
      [x, y],
      [x + side * 8, y - 5],
      [x + side * 8, y + 5],
    ],
    'paper',
    { pen: 'ink', width: 1 },
  );
}

/** One end: a block where it is built in, a hinge where it may turn, rollers beside the block where it may sway, an arrow alone where it is free. */
function end(pencil: Pencil, x: number, y: number, down: 1 | -1, kind: 'fixed' | 'pinned' | 'guided' | 'free'): void {
  if (kind === 'free') return;
  if (kind === 'pinned') {
    pencil.area(
      [
        [x, y],
        [x - 7, y + down * 10],
        [x + 7, y + down * 10],
      ],
      'paper',
      { pen: 'ink', width: 1 },
    );
    pencil.circle(x, y, 2.6, 'paper');
    return;
  }
  pencil.rectangle(x - 11, down === 1 ? y : y - 6, 22, 6, 'concrete', { pen: 'ink', width: 1 });
  if (kind === 'guided') for (const side of [-6, 6]) pencil.circle(x + side, y + down * 9, 2.6, 'paper');
}
