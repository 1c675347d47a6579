import type { Building } from './building';
import { STANDING, type Body, type ItemKind } from './item';

export type Parts = Omit<Building, 'elevation'>;

/** Which part of a building an item of each kind belongs to. */
export const PART: Record<ItemKind, keyof Parts> = {
  brief: 'brief',
  level: 'levels',
  action: 'actions',
  buildUp: 'buildUps',
  beam: 'beams',
  truss: 'trusses',
  column: 'columns',
  hanger: 'hangers',
  wall: 'walls',
  footing: 'footings',
  stripFooting: 'stripFootings',
  panel: 'panels',
  gridline: 'gridlines',
  drawing: 'drawings',
  load: 'loads',
  measurement: 'measurements',
  note: 'notes',
  answer: 'answers',
};

/** Kinds of which a building has a map: what stands in it. */
export type StandingKind = {
  [K in ItemKind]: Body<K> extends { readonly status: unknown } & { readonly mark: string } ? K : never;
}[ItemKind];

/** The kinds whose maps hold all that stands, each thing once: trusses are among the beams. */
export const STANDING_KINDS = [...STANDING].filter((kind) => kind !== 'truss') as StandingKind[];

/** What stands in a building of one kind; of beams, trusses too. */
export function standing<K extends StandingKind>(building: Building, kind: K): ReadonlyMap<string, Body<K>> {
  return building[PART[kind]] as unknown as ReadonlyMap<string, Body<K>>;
}

/** The body of whatever stands under an id. */
export function standingBody(building: Building, id: string): Body<StandingKind> | undefined {
  for (const kind of STANDING_KINDS) {
    const body = standing(building, kind).get(id);
    if (body) return body;
  }
  return undefined;
}

/** The mark of any member, or its id when it has none. */
export function markOf(building: Building, id: string): string {
  return standingBody(building, id)?.mark ?? id;
}

/** Marks that are taken. */
export function marksOf(building: Building): string[] {
  return STANDING_KINDS.flatMap((kind) => [...standing(building, kind).values()].map(({ mark }) => mark));
}

/** The level at which a member is calculated: of what lies on one that, of a post or wall the one it reaches, of a hanger that of what it carries. */
export function levelOf(building: Building, id: string): string | undefined {
  const body = standingBody(building, id);
  if (!body) return undefined;
  return 'level' in body ? body.level : building.hangers.has(id) ? body.base : body.top;
}

/** The name of the level at which a member is calculated. */
export function levelNameOf(building: Building, id: string): string {
  const level = levelOf(building, id);
  return building.levels.find((entry) => entry.id === level)?.body.name ?? '';
}
