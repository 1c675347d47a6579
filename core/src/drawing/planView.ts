import { standing, STANDING_KINDS, sheetCorners, type Building, type PlanPoint } from '../building';

/** Which part of a plan is shown: the point in the middle of the picture, and pixels or points to a millimetre. */
export interface PlanView {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** A part of the plan, mm. */
export interface PlanExtent {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** The least part of the plan that holds all places given; null when there is none. */
export function extentOf(places: Iterable<PlanPoint>): PlanExtent | null {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of places) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return left > right ? null : { left, right, low, high };
}

/**
 * The outermost places of everything on plan, mm; a room's worth of paper when there is nothing. A drawing under the level that is shown
 * counts as long as members cover little of it: once the building stands, the margins of a sheet are only paper.
 * @param level whose drawings may count
 */
export function planExtent(building: Building, level?: string): PlanExtent {
  const members = extentOf(placesOf(building));
  const sheets = building.drawings.filter(({ body }) => body.level === level).flatMap(({ body }) => sheetCorners(body));
  const paper = extentOf(sheets);
  const isCovered = members !== null && paper !== null && covers(members, paper);
  const shown = isCovered ? members : extentOf([...(members ? cornersOf(members) : []), ...sheets]);
  const { left, right, low, high } = shown ??
    extentOf(building.gridlines.flatMap(({ body }) => [body.from, body.to])) ?? { left: 0, right: 10_000, low: 0, high: 8000 };
  return { left, right: Math.max(right, left + 1000), low, high: Math.max(high, low + 1000) };
}

/** True where members lie on a sheet and take up a good part of it. */
function covers(members: PlanExtent, paper: PlanExtent): boolean {
  const wide = Math.min(members.right, paper.right) - Math.max(members.left, paper.left);
  const high = Math.min(members.high, paper.high) - Math.max(members.low, paper.low);
  return wide > 0 && high > 0 && Math.max(wide / (paper.right - paper.left), high / (paper.high - paper.low)) > 0.4;
}

const cornersOf = ({ left, right, low, high }: PlanExtent): PlanPoint[] => [
  { x: left, y: low },
  { x: right, y: high },
];

function* placesOf(building: Building): Iterable<PlanPoint> {
  for (const kind of STANDING_KINDS)
    for (const body of standing(building, kind).values()) {
      if ('from' in body) {
        yield body.from;
        yield body.to;
      } else if ('at' in body) yield body.at;
      else yield* body.outline;
    }
}

/** The view in which the whole building stands with a margin around it, or what lies under a level while little is drawn. */
export function fitView(building: Building, width: number, height: number, level?: string): PlanView {
  return viewOf(planExtent(building, level), width, height);
}

/** The view in which a part of the plan stands with a margin around it. */
export function viewOf({ left, right, low, high }: PlanExtent, width: number, height: number, margin = 52): PlanView {
  const scale = Math.min(Math.max(40, width - 2 * margin) / (right - left), Math.max(40, height - 2 * margin) / (high - low));
  return { x: (left + right) / 2, y: (low + high) / 2 - 10 / scale, scale };
}

export function toScreen(view: PlanView, width: number, height: number, { x, y }: PlanPoint): [number, number] {
  return [width / 2 + (x - view.x) * view.scale, height / 2 - (y - view.y) * view.scale];
}

export function toPlan(view: PlanView, width: number, height: number, sx: number, sy: number): PlanPoint {
  return { x: view.x + (sx - width / 2) / view.scale, y: view.y - (sy - height / 2) / view.scale };
}

/** Nearer or farther about a place on the screen that stays where it is. */
export function zoomed(view: PlanView, width: number, height: number, sx: number, sy: number, factor: number): PlanView {
  const scale = Math.min(2, Math.max(0.0005, view.scale * factor));
  const fixed = toPlan(view, width, height, sx, sy);
  return { scale, x: fixed.x - (sx - width / 2) / scale, y: fixed.y + (sy - height / 2) / scale };
}
