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

/** The members of a building as nodes; those whose body has not changed stay the very same. */
export function nodesOf(building: Building, before: ReadonlyMap<string, Node> = new Map()): Map<string, Node> {
  const nodes = new Map<string, Node>();
  const add = <K extends NodeKind>(kind: K, members: ReadonlyMap<string, Extract<Node, { kind: K }>['body']>) => {
    for (const [id, body] of members) {
      const old = before.get(id);
      if (old && old.body === body) {
        nodes.set(id, old);
        continue;
      }
      const length = 'from' in body ? planLength(body) : 0;
      nodes.set(id, { id, kind, mark: body.mark, place: body, length, body } as unknown as Node);
    }
  };
  add('beam', building.beams);
  add('column', building.columns);
  add('wall', building.walls);
  add('hanger', building.hangers);
  add('footing', building.footings);
  add('stripFooting', building.stripFootings);
  return nodes;
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
