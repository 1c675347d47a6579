import type { Building, Item } from '@plinth/core';

type Member = Extract<Item, { kind: 'beam' | 'column' | 'wall' | 'hanger' | 'footing' | 'stripFooting' }>;

const KIND: Record<Member['kind'], string> = {
  beam: 'beam',
  column: 'column',
  wall: 'wall',
  hanger: 'hanger',
  footing: 'pad',
  stripFooting: 'strip footing',
};

/** Everything that could be named as a support, for a list: beams, columns, walls, hangers, footings. */
export function supportOptions(building: Building, self: string, kinds: readonly Member['kind'][]): { value: string; label: string }[] {
  const lists = {
    beam: building.beams,
    column: building.columns,
    wall: building.walls,
    hanger: building.hangers,
    footing: building.footings,
    stripFooting: building.stripFootings,
  } as const;
  const options = kinds.flatMap((kind) =>
    [...lists[kind]].filter(([id]) => id !== self).map(([id, member]) => ({ value: id, label: `${member.mark} (${KIND[kind]})` })),
  );
  return [{ value: '', label: 'nothing' }, ...options.sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))];
}
