import {
  differenceOf,
  PART,
  planLength,
  type Beam,
  type Building,
  type Column,
  type Footing,
  type Hanger,
  type ItemKind,
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

/** What an item of a kind is to the takedown; null: nothing lands on it that it hands on. A truss is a simple beam. */
const NODE_OF = {
  brief: null,
  level: null,
  action: null,
  buildUp: null,
  beam: 'beam',
  truss: 'beam',
  column: 'column',
  wall: 'wall',
  hanger: 'hanger',
  footing: 'footing',
  stripFooting: 'stripFooting',
  panel: null,
  gridline: null,
  drawing: null,
  load: null,
  measurement: null,
  note: null,
  answer: null,
} as const satisfies { readonly [K in ItemKind]: NodeKind | null };

/** Every kind of node once. */
export const NODE_KINDS = [...new Set(Object.values(NODE_OF))].filter((kind) => kind !== null);
const TAKEN_DOWN = NODE_KINDS.map((kind) => [PART[kind], kind] as const);

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
  for (const [part, kind] of TAKEN_DOWN) {
    const members = building[part] as ReadonlyMap<string, Node['body']>;
    count += members.size;
    if (before && before[part] === members) continue;
    const look = (id: string, body: Node['body']) => {
      // to ask ten thousand times of what cannot be there takes long
      if (before && held.get(id)?.node.body === body) return;
      const length = 'from' in body ? planLength(body) : 0;
      onNode({ id, kind, mark: body.mark, place: body, length, body } as unknown as Node);
    };
    const ids = before ? differenceOf(before[part] as typeof members, members) : null;
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
  const isGone = (id: string) => !TAKEN_DOWN.some(([part]) => (building[part] as ReadonlyMap<string, unknown>).has(id));
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

/** Whether what acts on it first-hand follows from a build-up: strips of a beam, layers of a wall. */
export const hasBuildUp = (node: Node): boolean =>
  (node.kind === 'beam' && node.body.strips.length > 0) || (node.kind === 'wall' && node.body.buildUp !== null);
