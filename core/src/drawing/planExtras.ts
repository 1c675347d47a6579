import { isOnLevel, measure, pointAlong, type Building, type PlanPoint } from '../building';
import { formatQuantity } from '../quantity';
import type { Pencil } from './drawing';
import { textWidth, type Places } from './places';

/** The sheet on which a plan is being drawn: where things lie on it, and what is written there already. */
export interface PlanSheet {
  readonly input: { readonly building: Building; readonly level: string };
  readonly pencil: Pencil;
  readonly places: Places;
  readonly place: (p: PlanPoint) => [number, number];
  readonly isSeen: (...points: readonly PlanPoint[]) => boolean;
  readonly look: (id: string) => { readonly chosen: boolean; readonly pen: 'accent' | 'ink' };
}

function middleOf(points: readonly (readonly [number, number])[]): [number, number] {
  const sum = points.reduce<[number, number]>(([sx, sy], [x, y]) => [sx + x, sy + y], [0, 0]);
  return [sum[0] / points.length, sum[1] / points.length];
}

/** Extra loads: areas dashed on their panel, points and lines at their place on a beam or wall. */
export function drawLoads(plan: PlanSheet): void {
  const { building, level } = plan.input;
  const amount = (value: number, kind: 'force' | 'lineLoad' | 'areaLoad') =>
    formatQuantity(value, kind, building.brief.units, { figures: 3 });
  for (const { id, body } of building.loads) {
    const { chosen } = plan.look(id);
    const pen = chosen ? 'accent' : 'soft';
    const style = { width: chosen ? 1.6 : 1, item: id };
    if (body.type === 'area') {
      if (building.panels.get(body.on)?.level !== level || body.outline.length < 3) continue;
      const outline = body.outline.map(plan.place);
      plan.pencil.line([...outline, outline[0]!], pen, { ...style, dash: [3, 2] });
      word(plan, middleOf(outline), `${body.label} ${amount(body.pressure, 'areaLoad')}`);
      continue;
    }
    const line = building.beams.get(body.on) ?? building.walls.get(body.on);
    if (!line || !isOnLevel(building, line, level) || !plan.isSeen(line.from, line.to)) continue;
    if (body.type === 'line') {
      plan.pencil.line([plan.place(pointAlong(line, body.from)), plan.place(pointAlong(line, body.to))], pen, {
        ...style,
        width: 6,
        dash: [2, 3],
      });
      const [x, y] = plan.place(pointAlong(line, (body.from + body.to) / 2));
      word(plan, [x, y - 6], `${body.label} ${amount(body.intensity, 'lineLoad')}`);
      continue;
    }
    const [x, y] = plan.place(pointAlong(line, body.at));
    plan.pencil.line(
      [
        [x - 5, y - 5],
        [x + 5, y + 5],
      ],
      pen,
      { ...style, width: 1.6 },
    );
    plan.pencil.line(
      [
        [x - 5, y + 5],
        [x + 5, y - 5],
      ],
      pen,
      { ...style, width: 1.6 },
    );
    word(plan, [x, y - 7], `${body.label} ${amount(body.force, 'force')}`);
  }
}

/** Measurements that were kept, as dimension lines with their name. */
export function drawMeasurements(plan: PlanSheet): void {
  const { building, level } = plan.input;
  for (const { id, body } of building.measurements) {
    if (body.level !== level) continue;
    const pen = plan.look(id).chosen ? 'accent' : 'soft';
    const points = (body.closed ? [...body.points, body.points[0]!] : body.points).map(plan.place);
    plan.pencil.line(points, pen, { width: 0.9, item: id });
    for (const [x, y] of points)
      plan.pencil.line(
        [
          [x - 3.5, y + 3.5],
          [x + 3.5, y - 3.5],
        ],
        pen,
        { width: 1.2, item: id },
      );
    const { length } = measure(body);
    const text = `${body.name} ${formatQuantity(length, 'length', building.brief.units)}`;
    const [x, y] = middleOf(points);
    // over the middle of a line that runs across, beside one that runs up
    const [first, last] = [points[0]!, points.at(-1)!];
    const runsUp = Math.abs(last[1] - first[1]) > Math.abs(last[0] - first[0]);
    word(plan, runsUp ? [x, y] : [x - 6 - textWidth(text) / 2, y], text);
  }
}

/** Pinned notes: a ring at the place, its words beside it. */
export function drawNotes(plan: PlanSheet): void {
  const { building, level } = plan.input;
  for (const { id, body } of building.notes) {
    if (body.level !== level || !plan.isSeen(body.at)) continue;
    const [x, y] = plan.place(body.at);
    const { chosen, pen } = plan.look(id);
    plan.pencil.circle(x, y, 4, chosen ? 'accent' : 'paper', pen, id);
    plan.pencil.circle(x, y, 1.4, 'ink', pen, id);
    const words = body.text.length > 44 ? `${body.text.slice(0, 43)}…` : body.text;
    plan.pencil.text(x + 8, y + 4, words, { size: 11, pen: chosen ? 'accent' : 'ink', halo: true });
    plan.places.take(x - 4, y - 8, 14 + textWidth(words), 16);
  }
}

/** Small words beside something, where there is room. */
function word(plan: PlanSheet, [x, y]: readonly [number, number], text: string): void {
  if (!plan.places.isFree(x + 6, y - 12, textWidth(text), 13)) return;
  plan.places.take(x + 6, y - 12, textWidth(text), 13);
  plan.pencil.text(x + 6, y - 2, text, { size: 10.5, pen: 'soft', halo: true });
}
