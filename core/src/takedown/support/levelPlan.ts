import {
  differenceOf,
  type Beam,
  type Building,
  type Column,
  type Footing,
  type Hanger,
  type Panel,
  type PlanPoint,
  type StripFooting,
  type Wall,
} from '../../building';
import { segment, type Segment } from './line';

/** A member with a line on plan, ready to be searched for. */
export interface OnLine<B> {
  readonly id: string;
  readonly body: B;
  readonly line: Segment;
  /** As what panels lie on, lower is preferred where two are in one place: a beam on a wall takes the panel. */
  readonly rank: number;
}
export interface OnPoint<B> {
  readonly id: string;
  readonly body: B;
}

/** Everything of one level that can bear or be borne there. */
export interface LevelPlan {
  readonly id: string;
  readonly elevation: number;
  readonly beams: readonly OnLine<Beam>[];
  /** Walls and columns that come up from below and end at this level or pass it. */
  readonly wallsBelow: readonly OnLine<Wall>[];
  readonly columnsBelow: readonly OnPoint<Column>[];
  /** What starts here and needs something beneath. */
  readonly wallsAbove: readonly OnLine<Wall>[];
  readonly columnsAbove: readonly OnPoint<Column>[];
  /** Hangers whose foot is here, and those that hang from here. */
  readonly hangersBelow: readonly OnPoint<Hanger>[];
  readonly hangersAbove: readonly OnPoint<Hanger>[];
  readonly footings: readonly OnPoint<Footing>[];
  readonly stripFootings: readonly OnLine<StripFooting>[];
  readonly panels: readonly OnPoint<Panel>[];
}

type ListName = Exclude<keyof LevelPlan, 'id' | 'elevation'>;
type Lists = Map<string, object[]>;

/** Which lists of a level each kind of member fills. */
const LISTS_OF: Record<MemberPart, readonly ListName[]> = {
  beams: ['beams'],
  walls: ['wallsBelow', 'wallsAbove'],
  columns: ['columnsBelow', 'columnsAbove'],
  hangers: ['hangersBelow', 'hangersAbove'],
  footings: ['footings'],
  stripFootings: ['stripFootings'],
  panels: ['panels'],
};
type MemberPart = 'beams' | 'walls' | 'columns' | 'hangers' | 'footings' | 'stripFootings' | 'panels';
const PARTS = Object.keys(LISTS_OF) as MemberPart[];
const EMPTY: readonly never[] = [];

/**
 * Sorts the building into its levels, each with what bears or is borne there; levels come from the top down. Kinds of which the building
 * still has the very same map are not sorted again, and a level on which nothing changed stays the very same plan.
 */
export class LevelSorter {
  private maps = new Map<MemberPart, ReadonlyMap<string, Member>>();
  private lists = new Map<ListName, Lists>();
  private plans = new Map<string, LevelPlan>();

  sort(building: Building): LevelPlan[] {
    const changed = new Set<ListName>();
    for (const part of PARTS) {
      const before = this.maps.get(part);
      if (before === building[part]) continue;
      this.maps.set(part, building[part]);
      if (before && this.patch(building, part, before)) {
        for (const name of LISTS_OF[part]) changed.add(name);
        continue;
      }
      const levels = before ? changedLevels(building, before, building[part]) : null;
      const now = sortPart(building, part, levels, levels ? this.entriesOn(part, levels) : null);
      for (const name of LISTS_OF[part]) {
        changed.add(name);
        const old = this.lists.get(name);
        const next = now.get(name) ?? new Map<string, object[]>();
        // levels that were not sorted again keep their lists
        if (old && levels) for (const [level, list] of old) if (!levels.has(level)) next.set(level, list);
        this.lists.set(name, next);
      }
    }
    const plans = new Map<string, LevelPlan>();
    for (const { id, body } of building.levels) {
      const old = this.plans.get(id);
      // a list that says the same stays the very same
      const at = (name: ListName) => {
        const list = (this.lists.get(name)?.get(id) ?? EMPTY) as readonly object[];
        return old && sameList(old[name], list) ? old[name] : list;
      };
      const same = old?.elevation === body.elevation && [...changed].every((name) => old[name] === at(name));
      plans.set(
        id,
        same
          ? old
          : ({ id, elevation: body.elevation, ...Object.fromEntries(LISTS.map((name) => [name, at(name)])) } as unknown as LevelPlan),
      );
    }
    this.plans = plans;
    return [...plans.values()];
  }

  /** Entries of a kind on levels that are sorted again. */
  private entriesOn(part: MemberPart, levels: ReadonlySet<string>): Map<string, OnPoint<object>> {
    const known = new Map<string, OnPoint<object>>();
    for (const name of LISTS_OF[part])
      for (const level of levels)
        for (const entry of (this.lists.get(name)?.get(level) ?? EMPTY) as readonly OnPoint<object>[]) known.set(entry.id, entry);
    return known;
  }

  /** Brings the lists of a kind up to few changes. @returns false when they must be sorted anew */
  private patch(building: Building, part: MemberPart, before: ReadonlyMap<string, Member>): boolean {
    const after: ReadonlyMap<string, Member> = building[part];
    const ids = differenceOf(before, after);
    if (!ids) return false;
    const moves = ids.map((id) => {
      const [old, now] = [before.get(id), after.get(id)];
      return { id, now, from: old && placesOf(building, part, old), to: now && placesOf(building, part, now) };
    });
    // which of two stands first is not known of one that comes to other levels
    if (moves.some(({ from, to }) => from && to && JSON.stringify(from) !== JSON.stringify(to))) return false;
    for (const { id, now, from, to } of moves)
      for (const [name, level] of to ?? from ?? []) {
        const lists = this.lists.get(name) ?? new Map<string, object[]>();
        const list = (lists.get(level) ?? EMPTY) as readonly { readonly id: string }[];
        const place = list.findIndex((known) => known.id === id);
        const entry = now ? [entryOf(id, now)] : [];
        const next = place < 0 ? [...list, ...entry] : [...list.slice(0, place), ...entry, ...list.slice(place + 1)];
        this.lists.set(name, new Map(lists).set(level, next));
      }
    return true;
  }
}

type Member = ({ readonly level: string } | { readonly base: string; readonly top: string }) &
  ({ readonly from: PlanPoint; readonly to: PlanPoint } | object);

/** Levels on which members of a kind were changed, came or went. */
function changedLevels({ levels }: Building, before: ReadonlyMap<string, Member>, after: ReadonlyMap<string, Member>): Set<string> {
  const found = new Set<string>();
  const rank = new Map(levels.map(({ id }, i) => [id, i]));
  const note = (member: Member) => {
    if ('level' in member) {
      found.add(member.level);
      return;
    }
    const [from, to] = [rank.get(member.top) ?? 0, rank.get(member.base) ?? levels.length - 1];
    for (let i = Math.min(from, to); i <= Math.max(from, to); i += 1) found.add(levels[i]!.id);
  };
  const ids = differenceOf(before, after);
  if (ids) {
    for (const id of ids) for (const member of [before.get(id), after.get(id)]) if (member) note(member);
    return found;
  }
  let kept = 0;
  for (const [id, member] of after) {
    const old = before.get(id);
    if (old !== undefined) kept += 1;
    if (old === member) continue;
    note(member);
    if (old) note(old);
  }
  if (kept !== before.size) for (const [id, member] of before) if (!after.has(id)) note(member);
  return found;
}

/** The lists in which a member stands, each of a level; in the order of the levels from the top. */
function placesOf({ levels }: Building, part: MemberPart, member: Member): [ListName, string][] {
  if ('level' in member) return [[part as ListName, member.level]];
  const { base, top } = member;
  if (part === 'hangers')
    return [
      ['hangersBelow', base],
      ['hangersAbove', top],
    ];
  const [above, below] = part === 'columns' ? (['columnsAbove', 'columnsBelow'] as const) : (['wallsAbove', 'wallsBelow'] as const);
  const places: [ListName, string][] = [[above, base]];
  const [first, end] = [levels.findIndex(({ id }) => id === top), levels.findIndex(({ id }) => id === base)];
  // every level from that of its top down to above its base
  for (let i = first < 0 ? Infinity : first; i < end; i += 1) places.push([below, levels[i]!.id]);
  return places;
}

/**
 * The members of one kind by list and level.
 * @param only levels that are sorted; null: all
 * @param known entries that stay the very same as long as the body of their member does
 */
function sortPart(
  building: Building,
  part: MemberPart,
  only: ReadonlySet<string> | null,
  known: ReadonlyMap<string, OnPoint<object>> | null,
): Map<ListName, Lists> {
  const found = new Map<ListName, Lists>();
  const placesFor = new Map<string, [ListName, string][]>();
  (building[part] as ReadonlyMap<string, Member>).forEach((member, id) => {
    const key = 'level' in member ? member.level : `${member.base}\n${member.top}`;
    let places = placesFor.get(key);
    if (!places) placesFor.set(key, (places = placesOf(building, part, member)));
    let entry: OnPoint<object> | null = null;
    for (const [name, level] of places) {
      if (only && !only.has(level)) continue;
      if (!entry) {
        const old = known?.get(id);
        entry = old?.body === member ? old : entryOf(id, member);
      }
      let lists = found.get(name);
      if (!lists) found.set(name, (lists = new Map()));
      const list = lists.get(level);
      if (list) list.push(entry);
      else lists.set(level, [entry]);
    }
  });
  return found;
}

/** The entry of a member; of one that has a line, with that. */
function entryOf(id: string, body: Member): OnPoint<object> {
  return 'from' in body ? ({ id, body, line: segment(body), rank: 'openings' in body ? 1 : 0 } as OnPoint<object>) : { id, body };
}

const LISTS = [
  'beams',
  'wallsBelow',
  'columnsBelow',
  'wallsAbove',
  'columnsAbove',
  'hangersBelow',
  'hangersAbove',
  'footings',
  'stripFootings',
  'panels',
] as const;

function sameList(a: readonly object[], b: readonly object[]): boolean {
  if (a === b) return true;
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return false;
  return true;
}
