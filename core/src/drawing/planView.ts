import type { Building, PlanPoint } from '../building';

/** Which part of a plan is shown: the point in the middle of the picture, and pixels or points to a millimetre. */
export interface PlanView {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** The outermost places of everything on plan, mm; a room's worth of paper when there is nothing. */
export function planExtent(building: Building): { left: number; right: number; low: number; high: number } {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = ({ x, y }: PlanPoint) => {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  };
  for (const members of [building.beams, building.walls, building.stripFootings])
    for (const member of members.values()) {
      take(member.from);
      take(member.to);
    }
  for (const members of [building.columns, building.hangers, building.footings]) for (const member of members.values()) take(member.at);
  for (const panel of building.panels.values()) panel.outline.forEach(take);
  if (left > right) return { left: 0, right: 10_000, low: 0, high: 8000 };
  return { left, right: Math.max(right, left + 1000), low, high: Math.max(high, low + 1000) };
}

/** The view in which the whole building stands with a margin around it. */
export function fitView(building: Building, width: number, height: number, margin = 52): PlanView {
  const { left, right, low, high } = planExtent(building);
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
