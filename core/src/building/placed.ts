import type { z } from 'zod';
import { profileOf, type Family } from '../family';
import type { Building } from './building';
import { ITEM_SCHEMAS, type Item, type ItemKind, type PlanPoint } from './item';
import { shortWay } from './measure';

/** Where a new item is placed: its points on a level, and the storey that it stands in. */
export interface Place {
  readonly mark: string;
  readonly family: Family;
  readonly level: string;
  readonly base: string;
  readonly top: string;
  readonly points: readonly PlanPoint[];
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  /** First of the project; empty where there is none. */
  readonly buildUp: string;
}

interface Placed<K extends ItemKind> {
  /** With what its mark begins. */
  readonly prefix: string;
  /** Where it goes when its level is copied to another: to that level, to the storey that reaches it, or nowhere. */
  readonly copiedTo: 'level' | 'storey' | null;
  /** What is typed of a new one; the schema completes the rest. Quantities are usual values, to be changed. */
  readonly body: (place: Place) => z.input<(typeof ITEM_SCHEMAS)[K]>;
}

const found = { supportsFound: true, supports: [] };

/** How an item of each kind comes to be on plan; null: it is not placed there. */
export const PLACED = {
  brief: null,
  level: null,
  action: null,
  buildUp: null,
  beam: {
    prefix: 'B',
    copiedTo: 'level',
    body: ({ mark, level, from, to }) => ({ mark, level, from, to, ...found, ownWeight: '0.5 kN/m' }),
  },
  truss: {
    prefix: 'T',
    copiedTo: 'level',
    body: ({ mark, level, from, to }) => ({ mark, level, from, to, ...found, ownWeight: '1 kN/m' }),
  },
  column: {
    prefix: 'C',
    copiedTo: 'storey',
    body: ({ mark, base, top, from }) => ({ mark, base, top, at: from, by: null, supportsFound: true, ownWeight: '0.5 kN/m' }),
  },
  hanger: {
    prefix: 'R',
    copiedTo: 'storey',
    body: ({ mark, base, top, from }) => ({ mark, base, top, at: from, by: null, supportsFound: true, ownWeight: '0.03 kN/m' }),
  },
  wall: {
    prefix: 'W',
    copiedTo: 'storey',
    body: ({ mark, family, base, top, from, to }) => {
      const { angle, depth } = profileOf(family).wallSpread;
      const spread = { spreadAngle: angle, spreadDepth: depth };
      return { mark, base, top, from, to, by: null, supportsFound: true, weight: '4.2 kN/m2', weightGiven: false, ...spread };
    },
  },
  footing: { prefix: 'F', copiedTo: null, body: ({ mark, level, from }) => ({ mark, level, at: from }) },
  stripFooting: { prefix: 'SF', copiedTo: null, body: ({ mark, level, from, to }) => ({ mark, level, from, to }) },
  panel: {
    prefix: 'P',
    copiedTo: 'level',
    body: ({ mark, level, points, buildUp }) => ({ mark, level, outline: [...points], buildUp, direction: shortWay(points) }),
  },
  gridline: { prefix: '', copiedTo: null, body: ({ mark, from, to }) => ({ label: mark, from, to }) },
  drawing: null,
  load: null,
  measurement: null,
  note: null,
  answer: null,
} as const satisfies { readonly [K in ItemKind]: Placed<K> | null };

/** What can be placed on a plan. */
export type PlacedKind = { [K in ItemKind]: (typeof PLACED)[K] extends null ? never : K }[ItemKind];

export function isPlaced(kind: string): kind is PlacedKind {
  return Object.hasOwn(PLACED, kind) && PLACED[kind as ItemKind] !== null;
}

/** The storey that something placed on a level stands in: the one below it, or above it when there is none. */
export function storeyAt({ levels }: Pick<Building, 'levels'>, level: string): { base: string; top: string } {
  const i = levels.findIndex((entry) => entry.id === level);
  const below = levels[i + 1];
  if (below) return { base: below.id, top: level };
  return { base: level, top: levels[i - 1]?.id ?? level };
}

/**
 * A new item at points of a level, with what it rests on left to be found.
 * @param points one for posts and pads, two for lines, three or more for a panel
 */
export function placedItem(
  building: Pick<Building, 'brief' | 'levels' | 'buildUps'>,
  kind: PlacedKind,
  id: string,
  mark: string,
  level: string,
  points: readonly PlanPoint[],
): Item {
  const [from, to] = [points[0]!, points[1] ?? points[0]!];
  const buildUp = building.buildUps.keys().next().value ?? '';
  const place: Place = { mark, family: building.brief.family, level, ...storeyAt(building, level), points, from, to, buildUp };
  const body = (PLACED[kind].body as (place: Place) => unknown)(place);
  return { id, kind, body: ITEM_SCHEMAS[kind].parse(body) } as Item;
}
