import type { Building } from '../building';

/** A member that is taken down and has no verdict, because nothing here designs it. */
export interface NotDesigned {
  readonly id: string;
  readonly kind: 'beam' | 'column' | 'wall' | 'hanger' | 'stripFooting';
  readonly mark: string;
  /** What it is, in a list: load only, hanger. */
  readonly what: string;
}

/** Members of a building that are taken down and not designed here: those that are load only, walls, hangers, strip footings. */
export function notDesigned(building: Building): NotDesigned[] {
  const list: NotDesigned[] = [];
  const add = (kind: NotDesigned['kind'], what: string, members: ReadonlyMap<string, { readonly mark: string }>) =>
    members.forEach(({ mark }, id) => list.push({ id, kind, mark, what }));
  const { beams, columns, trusses } = building;
  beams.forEach(({ material, mark }, id) => {
    if (material === 'loadOnly' && !trusses.has(id)) list.push({ id, kind: 'beam', mark, what: 'beam, load only' });
  });
  columns.forEach(({ material, mark }, id) => {
    if (material === 'loadOnly') list.push({ id, kind: 'column', mark, what: 'column, load only' });
  });
  add('wall', 'wall', building.walls);
  add('hanger', 'hanger', building.hangers);
  add('stripFooting', 'strip footing', building.stripFootings);
  return list;
}

/** The same by what they are, in that order. */
export function notDesignedByWhat(building: Building): { readonly what: string; readonly members: readonly NotDesigned[] }[] {
  const groups = new Map<string, NotDesigned[]>();
  for (const member of notDesigned(building)) {
    const group = groups.get(member.what);
    if (group) group.push(member);
    else groups.set(member.what, [member]);
  }
  return [...groups].map(([what, members]) => ({ what, members }));
}
