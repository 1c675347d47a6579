import { profileOf, type CombinationRule, type Family } from '../family';
import { ITEM_SCHEMAS, type Item, type ItemKind } from './item';
import type { z } from 'zod';

/** A brief with usual values for a family: what a new project starts from. */
export function defaultBrief(name: string, family: Family) {
  const { units, rules, brief } = profileOf(family);
  return {
    name,
    family,
    units,
    combinationRule: rules[0] as CombinationRule,
    ...brief,
    bearingBasis: 'gross',
    bearingSource: '',
    deflectionVariable: 360,
    deflectionTransfer: 500,
    deflectionBrittle: 480,
    deflectionCrane: 600,
    deflectionCantilever: 180,
  } as const satisfies z.input<(typeof ITEM_SCHEMAS)['brief']>;
}

/** Writes an item by hand, as a person would type it: quantities may be text with units, defaults are filled in. */
export function item<K extends ItemKind>(kind: K, id: string, body: z.input<(typeof ITEM_SCHEMAS)[K]>): Item {
  return { id, kind, body: ITEM_SCHEMAS[kind].parse(body) } as Item;
}
