import { BadInput } from '../error';
import type { Building } from './building';
import type { Body, Item, ItemKind } from './item';

type Parts = Omit<Building, 'elevation'>;
/** Which parts of a building an item of each kind belongs to. */
const PART: Record<ItemKind, keyof Parts> = {
  brief: 'brief',
  level: 'levels',
  buildUp: 'buildUps',
  beam: 'beams',
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
const KINDS = Object.keys(PART) as ItemKind[];
const MEMBERS: ReadonlySet<ItemKind> = new Set(['beam', 'column', 'hanger', 'wall', 'footing', 'stripFooting', 'panel']);

/**
 * Sorts items into a building again and again as they are edited: parts of whose kind nothing changed stay the very same objects, so that
 * who reads the building sees at once what it need not look at. Items are compared by identity.
 */
export class Assembler {
  private items: readonly Item[] = [];
  private parts: Parts | null = null;
  private elevations = new Map<string, number>();
  private readonly removed = new Map<ItemKind, readonly Item[]>();

  /** @throws BadInput when there is no brief */
  assemble(items: readonly Item[]): Building {
    const changed = this.parts ? kindsThatDiffer(this.items, items) : new Set(KINDS);
    const parts = this.parts ? { ...this.parts } : ({} as Parts);
    if (changed.size > 0) this.sort(items, changed, parts);
    // a list that cannot be assembled is as if it had never come
    this.items = items;
    this.parts = parts;
    const { elevations } = this;
    return { ...parts, elevation: (level) => elevations.get(level) ?? 0 };
  }

  private sort(items: readonly Item[], changed: ReadonlySet<ItemKind>, parts: { -readonly [K in keyof Parts]: Parts[K] }): void {
    const byKind = new Map<ItemKind, Item[]>();
    for (const kind of changed) byKind.set(kind, []);
    for (const item of items) byKind.get(item.kind)?.push(item);
    const of = <K extends ItemKind>(kind: K) => byKind.get(kind) as unknown as { id: string; body: Body<K> }[];
    for (const kind of changed) {
      const list = byKind.get(kind)!;
      if (MEMBERS.has(kind)) {
        const standing = new Map<string, unknown>();
        const away: Item[] = [];
        for (const item of list)
          if ((item.body as { status: string }).status === 'removed') away.push(item);
          else standing.set(item.id, item.body);
        (parts as Record<string, unknown>)[PART[kind]] = standing;
        this.removed.set(kind, away);
      } else if (kind === 'brief') {
        const brief = of('brief')[0]?.body;
        if (!brief) throw new BadInput('the project has no brief');
        parts.brief = brief;
      } else if (kind === 'level') {
        parts.levels = of('level').sort((a, b) => b.body.elevation - a.body.elevation);
        this.elevations = new Map(parts.levels.map((level) => [level.id, level.body.elevation]));
      } else if (kind === 'buildUp') parts.buildUps = new Map(of('buildUp').map((item) => [item.id, item.body]));
      else if (kind === 'answer') parts.answers = new Map(of('answer').map((item) => [item.body.key, item.body]));
      else (parts as Record<string, unknown>)[PART[kind]] = list;
    }
    parts.removed = KINDS.flatMap((kind) => this.removed.get(kind) ?? []);
  }
}

/** Kinds of items that were changed, added or taken away; all kinds when the two lists have little to do with each other. */
function kindsThatDiffer(before: readonly Item[], after: readonly Item[]): Set<ItemKind> {
  const kinds = new Set<ItemKind>();
  let [i, j] = [0, 0];
  while (i < before.length && j < after.length) {
    const [old, now] = [before[i]!, after[j]!];
    if (old === now) {
      i += 1;
      j += 1;
      continue;
    }
    if (old.id === now.id) {
      if (old.kind !== now.kind) kinds.add(old.kind);
      if (old.body !== now.body || old.kind !== now.kind) kinds.add(now.kind);
      i += 1;
      j += 1;
    } else if (before[i + 1] === now || before[i + 1]?.id === now.id) {
      kinds.add(old.kind);
      i += 1;
    } else if (after[j + 1] === old || after[j + 1]?.id === old.id) {
      kinds.add(now.kind);
      j += 1;
    } else return new Set(KINDS);
  }
  for (; i < before.length; i += 1) kinds.add(before[i]!.kind);
  for (; j < after.length; j += 1) kinds.add(after[j]!.kind);
  return kinds;
}

/**
 * Sorts items into a building. Levels come from the top down.
 * @throws BadInput when there is no brief
 */
export function assemble(items: readonly Item[]): Building {
  return new Assembler().assemble(items);
}
