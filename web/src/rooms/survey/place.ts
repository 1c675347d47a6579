import { planLength, pointAlong, type Building, type Item, type PlanPoint } from '@plinth/core';

type Member = Extract<Item, { kind: 'beam' | 'column' | 'wall' | 'hanger' | 'footing' }>;

/** What may take the load of a member at a point of a level: nearest first, within reach. */
export function candidatesAt(
  building: Building,
  level: string,
  point: PlanPoint,
  self: string,
  reach = 300,
): { id: string; mark: string; distance: number }[] {
  const found: { id: string; mark: string; distance: number }[] = [];
  const near = (id: string, mark: string, at: PlanPoint) => {
    const distance = Math.hypot(at.x - point.x, at.y - point.y);
    if (id !== self && distance <= reach) found.push({ id, mark, distance });
  };
  for (const [id, column] of building.columns) if (column.top === level) near(id, column.mark, column.at);
  for (const [id, hanger] of building.hangers) if (hanger.base === level) near(id, hanger.mark, hanger.at);
  for (const [id, footing] of building.footings) if (footing.level === level) near(id, footing.mark, footing.at);
  for (const [id, beam] of building.beams) {
    if (beam.level !== level || id === self) continue;
    const length = planLength(beam);
    if (length === 0) continue;
    const t = ((point.x - beam.from.x) * (beam.to.x - beam.from.x) + (point.y - beam.from.y) * (beam.to.y - beam.from.y)) / length;
    near(id, beam.mark, pointAlong(beam, Math.min(length, Math.max(0, t))));
  }
  return found.sort((a, b) => a.distance - b.distance);
}

/** Everything that could be named as a support, for a list: beams, columns, walls, hangers, footings. */
export function supportOptions(building: Building, self: string, kinds: readonly Member['kind'][]): { value: string; label: string }[] {
  const lists = {
    beam: building.beams,
    column: building.columns,
    wall: building.walls,
    hanger: building.hangers,
    footing: building.footings,
  } as const;
  const options = kinds.flatMap((kind) =>
    [...lists[kind]].filter(([id]) => id !== self).map(([id, member]) => ({ value: id, label: `${member.mark} (${kind})` })),
  );
  return [{ value: '', label: 'nothing' }, ...options.sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))];
}
