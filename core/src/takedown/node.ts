import {
  differenceOf,
  planLength,
  type Beam,
  type Building,
  type Column,
  type Footing,
  type Hanger,
  type StripFooting,
  type Wall,
} from '../building';
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

/** Parts of a building that hold members, and what a member of each is. */
const PARTS = [
  ['beams', 'beam'],
  ['columns', 'column'],
  ['walls', 'wall'],
  ['hangers', 'hanger'],
  ['footings', 'footing'],
  ['stripFootings', 'stripFooting'],
] as const satisfies readonly (readonly [keyof Building, NodeKind])[];

/**
 * Names what changed among the members of a building; those whose body has not changed are not named.
 * @param held the node of each member as it is known
 * @param before the building that they stand for; null: none, and nothing is held
 * @param onNode called with the node of each new or changed member
 * @param onGone called with the name of each that is gone
 */
export function readNodes(
  held: ReadonlyMap<string, { readonly node: Node }>,
  building: Building,
  before: Building | null,
  onNode: (node: Node) => void,
  onGone: (id: string) => void,
): void {
  const away: string[] = [];
  let compared = false;
  let count = 0;
  for (const [part, kind] of PARTS) {
    const members: ReadonlyMap<string, Node['body']> = building[part];
    count += members.size;
    if (before && before[part] === members) continue;
    const look = (id: string, body: Node['body']) => {
      // to ask ten thousand times of what cannot be there takes long
      if (before && held.get(id)?.node.body === body) return;
      const length = 'from' in body ? planLength(body) : 0;
      onNode({ id, kind, mark: body.mark, place: body, length, body } as unknown as Node);
    };
    const ids = before ? differenceOf(before[part], members) : null;
    if (ids)
      for (const id of ids) {
        const body = members.get(id);
        if (body) look(id, body);
        else away.push(id);
      }
    else {
      compared = true;
      members.forEach((body, id) => look(id, body));
    }
  }
  const isGone = (id: string) => !PARTS.some(([part]) => building[part].has(id));
  if (!compared) for (const id of away.filter(isGone)) onGone(id);
  else if (held.size !== count) for (const id of held.keys()) if (isGone(id)) onGone(id);
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
