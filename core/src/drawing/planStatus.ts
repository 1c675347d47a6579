import { isOnLevel, standing, STANDING_KINDS } from '../building';
import type { PlanSheet } from './planExtras';

export type Status = 'new' | 'existing' | 'removed';

/** What is there already is dashed; what is new is drawn in full. */
export function dashOf({ status }: { readonly status: Status }): readonly number[] | undefined {
  return status === 'existing' ? [5, 2.5] : undefined;
}

/** What is to be taken away, dotted. */
export function drawRemoved(plan: PlanSheet): void {
  const { building, level } = plan.input;
  for (const item of building.removed) {
    if (item.kind === 'load') continue;
    const { id, kind, body } = item;
    if (!isOnLevel(building, body, level)) continue;
    const dotted = { width: 1.2, dash: [2, 4], item: id };
    if ('outline' in body) plan.pencil.line([...body.outline, body.outline[0]!].map(plan.place), 'soft', dotted);
    else if ('from' in body)
      plan.pencil.line([plan.place(body.from), plan.place(body.to)], 'soft', { ...dotted, width: kind === 'wall' ? 4 : 1.5 });
    else if ('at' in body) {
      const [x, y] = plan.place(body.at);
      plan.pencil.line(
        [
          [x - 5, y - 5],
          [x + 5, y + 5],
        ],
        'soft',
        { item: id },
      );
      plan.pencil.line(
        [
          [x - 5, y + 5],
          [x + 5, y - 5],
        ],
        'soft',
        { item: id },
      );
    }
  }
}

/** Says what dashes and dots mean, where there are any on the level. */
export function statusLegend(plan: PlanSheet, width: number, height: number): void {
  const { building, level } = plan.input;
  const hasExisting = STANDING_KINDS.some((kind) =>
    [...standing(building, kind).values()].some((member) => member.status === 'existing' && isOnLevel(building, member, level)),
  );
  const hasRemoved = building.removed.some(({ kind, body }) => kind !== 'load' && isOnLevel(building, body, level));
  const words = [hasExisting ? 'dashed: existing' : '', hasRemoved ? 'dotted: removed' : ''].filter(Boolean).join(', ');
  if (words && width > 300) plan.pencil.text(10, height - 8, words, { size: 10.5, pen: 'soft', halo: true });
}
