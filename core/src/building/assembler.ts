import { BadInput } from '../error';
import { loadCasesOf } from '../load';
import type { Building } from './building';
import { noteDifference } from './difference';
import { ITEM_KINDS, STANDING, type Body, type Item, type ItemKind } from './item';
import { PART, type Parts } from './parts';
import { patched } from './readMap';
import { SpanMap } from './spanMap';

/**
 * Sorts items into a building again and again as they are edited: parts of whose kind nothing changed stay the very same objects, so that
 * who reads the building sees at once what it need not look at. Items are compared by identity.
 */
export class Assembler {
  private items: readonly Item[] = [];
  private parts: Parts | null = null;
  private elevations = new Map<string, number>();
  private readonly spans = new SpanMap();
  private readonly removed = new Map<ItemKind, readonly Item[]>();

  /** @throws BadInput when there is no brief */
  assemble(items: readonly Item[]): Building {
    const parts = this.parts ? { ...this.parts } : ({} as Parts);
    const differences = this.parts ? differencesOf(this.items, items) : null;
    const changed = new Set<ItemKind>(differences ? differences.keys() : ITEM_KINDS);
    for (const [kind, difference] of differences ?? []) if (this.patch(kind, difference, parts)) changed.delete(kind);
    if (changed.size > 0) this.sort(items, changed, parts);
    // a list that cannot be assembled is as if it had never come
    this.items = items;
    this.parts = parts;
    const { elevations } = this;
    return { ...parts, beams: this.spans.of(parts), elevation: (level) => elevations.get(level) ?? 0 };
  }

  /** Brings the map of one kind of member up to few changes. @returns false when it must be sorted anew */
  private patch(kind: ItemKind, { changes, atEnd }: Difference, parts: { -readonly [K in keyof Parts]: Parts[K] }): boolean {
    if (!STANDING.has(kind) || !atEnd || changes.size > FEW) return false;
    const before = parts[PART[kind]] as ReadonlyMap<string, object>;
    for (const [id, item] of changes)
      if (isRemoved(item) || (!before.has(id) && this.removed.get(kind)?.some((away) => away.id === id))) return false;
    const standing = patched(
      before,
      [...changes].map(([id, item]): [string, object | null] => [id, item?.body ?? null]),
    );
    noteDifference(standing, before, [...changes.keys()]);
    (parts as Record<string, unknown>)[PART[kind]] = standing;
    return true;
  }

  private sort(items: readonly Item[], changed: ReadonlySet<ItemKind>, parts: { -readonly [K in keyof Parts]: Parts[K] }): void {
    const byKind = new Map<ItemKind, Item[]>();
    for (const kind of changed) byKind.set(kind, []);
    for (const item of items) byKind.get(item.kind)?.push(item);
    const of = <K extends ItemKind>(kind: K) => byKind.get(kind) as unknown as { id: string; body: Body<K> }[];
    for (const kind of changed) {
      const list = byKind.get(kind)!;
      if (STANDING.has(kind)) {
        const standing = new Map<string, unknown>();
        const away: Item[] = [];
        for (const item of list)
          if (isRemoved(item)) away.push(item);
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
      } else if (kind === 'action') {
        parts.actions = new Map(of('action').map((item) => [item.id, item.body]));
        parts.cases = loadCasesOf(parts.actions);
      } else if (kind === 'buildUp') parts.buildUps = new Map(of('buildUp').map((item) => [item.id, item.body]));
      else if (kind === 'answer') parts.answers = new Map(of('answer').map((item) => [item.body.key, item.body]));
      else (parts as Record<string, unknown>)[PART[kind]] = list;
    }
    parts.removed = ITEM_KINDS.flatMap((kind) => this.removed.get(kind) ?? []);
  }
}

/** Up to so many changes of a kind its map is brought up to them instead of being made anew. */
const FEW = 200;

function isRemoved(item: Item | null): boolean {
  return item !== null && (item.body as { status?: string }).status === 'removed';
}

/** What is not alike among the items of a kind: by id the new item, or null for one that is gone. */
interface Difference {
  readonly changes: Map<string, Item | null>;
  /** New ones all stand at the end of the list. */
  atEnd: boolean;
}

/** What was changed, added or taken away, by kind; null when what stands in both lists is not in the same order. */
function differencesOf(before: readonly Item[], after: readonly Item[]): Map<ItemKind, Difference> | null {
  const found = new Map<ItemKind, Difference>();
  const note = (kind: ItemKind, id: string, item: Item | null, atEnd = true) => {
    let difference = found.get(kind);
    if (!difference) found.set(kind, (difference = { changes: new Map(), atEnd: true }));
    difference.changes.set(id, item);
    if (!atEnd) difference.atEnd = false;
  };
  let stands: Set<string> | null = null;
  let stood: Set<string> | null = null;
  let [i, j] = [0, 0];
  while (i < before.length && j < after.length) {
    const [old, now] = [before[i]!, after[j]!];
    if (old === now) {
      i += 1;
      j += 1;
      continue;
    }
    if (old.id === now.id) {
      if (old.kind !== now.kind) {
        note(old.kind, old.id, null);
        note(now.kind, now.id, now, false);
      } else if (old.body !== now.body) note(now.kind, now.id, now);
      i += 1;
      j += 1;
    } else if (!(stands ??= new Set(after.map(({ id }) => id))).has(old.id)) {
      note(old.kind, old.id, null);
      i += 1;
    } else if (!(stood ??= new Set(before.map(({ id }) => id))).has(now.id)) {
      note(now.kind, now.id, now, false);
      j += 1;
    } else return null;
  }
  for (; i < before.length; i += 1) note(before[i]!.kind, before[i]!.id, null);
  for (; j < after.length; j += 1) {
    const item = after[j]!;
    note(item.kind, item.id, item);
  }
  return found;
}

/**
 * Sorts items into a building. Levels come from the top down.
 * @throws BadInput when there is no brief
 */
export function assemble(items: readonly Item[]): Building {
  return new Assembler().assemble(items);
}
