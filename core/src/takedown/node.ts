import { planLength, type Beam, type Building, type Column, type Footing, type Hanger, type StripFooting, type Wall } from '../building';
import type { Place } from './balance';
import type { MemberLedger } from './ledger';

/** A member as the takedown sees it: something with a place on plan, on which load lands and which hands it on. */
export type Node = {
  readonly id: string;
  readonly mark: string;
  readonly place: Place;
  /** Length along which positions are measured; 0 for a point. */
  readonly length: number;
} & (
  | { readonly kind: 'beam'; readonly body: Beam }
  | { readonly kind: 'column'; readonly body: Column }
  | { readonly kind: 'wall'; readonly body: Wall }
  | { readonly kind: 'hanger'; readonly body: Hanger }
  | { readonly kind: 'footing'; readonly body: Footing }
  | { readonly kind: 'stripFooting'; readonly body: StripFooting }
);

/** What a node of this kind is called in a sentence. */
export type NodeKind = MemberLedger['kind'];

/**
 * Brings nodes up to the members of a building, in place; those whose body has not changed stay the very same.
 * @param before the building that they stand for now; null: none
 * @returns what changed: new and changed members with what they were before, and those that are gone
 */
export function updateNodes(
  nodes: Map<string, Node>,
  building: Building,
  before: Building | null,
): { changed: [id: string, before: Node | undefined][]; gone: string[] } {
  const changed: [string, Node | undefined][] = [];
  let count = 0;
  let same = true;
  const take = <K extends NodeKind>(kind: K, part: keyof Building, members: ReadonlyMap<string, Extract<Node, { kind: K }>['body']>) => {
    count += members.size;
    if (before && before[part] === members) return;
    same = false;
    for (const [id, body] of members) {
      const old = nodes.get(id);
      if (old && old.body === body) continue;
      const length = 'from' in body ? planLength(body) : 0;
      nodes.set(id, { id, kind, mark: body.mark, place: body, length, body } as unknown as Node);
      changed.push([id, old]);
    }
  };
  const { beams, columns, walls, hangers, footings, stripFootings } = building;
  take('beam', 'beams', beams);
  take('column', 'columns', columns);
  take('wall', 'walls', walls);
  take('hanger', 'hangers', hangers);
  take('footing', 'footings', footings);
  take('stripFooting', 'stripFootings', stripFootings);
  if (same) return { changed, gone: [] };
  const gone: string[] = [];
  if (nodes.size !== count)
    for (const id of nodes.keys())
      if (!beams.has(id) && !columns.has(id) && !walls.has(id) && !hangers.has(id) && !footings.has(id) && !stripFootings.has(id))
        gone.push(id);
  for (const id of gone) nodes.delete(id);
  return { changed, gone };
}

/** Elevation at which a member is calculated: of a beam its level, of a post its top, of a hanger what it carries. */
export function elevationOf(building: Building, { kind, body }: Node): number {
  switch (kind) {
    case 'beam':
    case 'footing':
    case 'stripFooting':
      return building.elevation(body.level);
    case 'column':
    case 'wall':
      return building.elevation(body.top);
    case 'hanger':
      return building.elevation(body.base);
  }
}
