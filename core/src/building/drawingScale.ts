import type { LaidDrawing } from './item';
import { BadInput } from '../error';
import type { PlanPoint } from './item';

/** mm on plan to a pixel of a picture printed `paperWidth` mm wide at 1 : `ratio`. */
export function scaleByRatio(ratio: number, paperWidth: number, pixels: number): number {
  return (ratio * paperWidth) / pixels;
}

/**
 * A drawing set to scale by two of its points and their true distance; the first stays where it is.
 * @param a first point, on plan, as the drawing lies now
 * @param b second point, on plan
 * @param distance true distance between them, mm
 * @throws BadInput when the points are one, or the distance is none
 */
export function scaledByPoints(drawing: LaidDrawing, a: PlanPoint, b: PlanPoint, distance: number): Pick<LaidDrawing, 'at' | 'scale'> {
  const now = Math.hypot(b.x - a.x, b.y - a.y);
  if (now < 1e-6) throw new BadInput('the two points are one: choose two that are far apart');
  if (!(distance > 0)) throw new BadInput('the distance must be greater than 0');
  const factor = distance / now;
  return { scale: drawing.scale * factor, at: { x: a.x + (drawing.at.x - a.x) * factor, y: a.y + (drawing.at.y - a.y) * factor } };
}

/** Where a point of a drawing lies on plan. @param p from the middle of the drawing, in its own units, y upward */
export function onPlan({ at, scale, turn }: Pick<LaidDrawing, 'at' | 'scale' | 'turn'>, p: PlanPoint): PlanPoint {
  const [c, s] = [Math.cos(turn) * scale, Math.sin(turn) * scale];
  return { x: at.x + p.x * c - p.y * s, y: at.y + p.x * s + p.y * c };
}

/** The four corners of a drawing on plan. */
export function sheetCorners(drawing: Pick<LaidDrawing, 'at' | 'scale' | 'turn' | 'width' | 'height'>): PlanPoint[] {
  const [x, y] = [drawing.width / 2, drawing.height / 2];
  return [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ].map((corner) => onPlan(drawing, corner));
}

/** A drawing moved so that one of its points lies on another place. Both on plan, as the drawing lies now. */
export function broughtTo({ at }: Pick<LaidDrawing, 'at'>, from: PlanPoint, to: PlanPoint): Pick<LaidDrawing, 'at'> {
  return { at: { x: at.x + to.x - from.x, y: at.y + to.y - from.y } };
}

/**
 * A drawing turned about one of its points until a line of it runs straight across or straight up, whichever is nearer: a scan lies
 * a little askew.
 * @param a start of the line, on plan, as the drawing lies now; it stays where it is
 * @param b end of the line
 * @throws BadInput when the points are one
 */
export function squaredBy({ at, turn }: Pick<LaidDrawing, 'at' | 'turn'>, a: PlanPoint, b: PlanPoint): Pick<LaidDrawing, 'at' | 'turn'> {
  if (Math.hypot(b.x - a.x, b.y - a.y) < 1e-6) throw new BadInput('the two points are one: choose two that are far apart');
  const lies = Math.atan2(b.y - a.y, b.x - a.x);
  const by = Math.round(lies / (Math.PI / 2)) * (Math.PI / 2) - lies;
  const [c, s] = [Math.cos(by), Math.sin(by)];
  const [dx, dy] = [at.x - a.x, at.y - a.y];
  return { turn: turn + by, at: { x: a.x + dx * c - dy * s, y: a.y + dx * s + dy * c } };
}
