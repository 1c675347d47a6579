import { pointAlong, type Beam, type PlanPoint } from '../building';
import type { Pen, Pencil } from './drawing';

/** Supports of a beam on plan: a circle where it turns freely, filled where nothing takes it; a short stroke across it where it is fixed. */
export function drawSupports(
  pencil: Pencil,
  place: (point: PlanPoint) => readonly [number, number],
  beam: Beam,
  pen: Pen,
  item: string,
): void {
  const [[ax, ay], [bx, by]] = [place(beam.from), place(beam.to)];
  const drawn = Math.hypot(bx - ax, by - ay);
  for (const { at, by: carrier, fixed } of beam.supports) {
    const [x, y] = place(pointAlong(beam, at));
    if (!fixed || drawn === 0) {
      pencil.circle(x, y, 2.4, carrier ? 'paper' : 'accent', pen, item);
      continue;
    }
    const [dx, dy] = [(-(by - ay) / drawn) * 9, ((bx - ax) / drawn) * 9];
    pencil.line(
      [
        [x - dx, y - dy],
        [x + dx, y + dy],
      ],
      pen,
      { width: 3, item },
    );
  }
}
