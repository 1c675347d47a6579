import Flatbush from 'flatbush';
import type { Beam, Building, Column, Footing, Hanger, Panel, PlanPoint, StripFooting, Wall } from '../../building';
import { segment, type Segment } from './line';

/** A member with a line on plan, ready to be searched for. */
export interface OnLine<B> {
  readonly id: string;
  readonly body: B;
  readonly line: Segment;
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

type Mutable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer E)[] ? E[] : T[K] };

/** Sorts the building into its levels, each with what bears or is borne there. Levels come from the top down. */
export function levelPlans(building: Building): LevelPlan[] {
  const plans = new Map<string, Mutable<LevelPlan>>();
  for (const { id, body } of building.levels)
    plans.set(id, {
      id,
      elevation: body.elevation,
      beams: [],
      wallsBelow: [],
      columnsBelow: [],
      wallsAbove: [],
      columnsAbove: [],
      hangersBelow: [],
      hangersAbove: [],
      footings: [],
      stripFootings: [],
      panels: [],
    });
  const rank = new Map(building.levels.map(({ id }, i) => [id, i]));
  for (const [id, body] of building.beams) plans.get(body.level)?.beams.push(onLine(id, body));
  for (const [id, body] of building.columns) {
    const entry = onPoint(id, body);
    plans.get(body.base)?.columnsAbove.push(entry);
    for (let i = rank.get(body.top) ?? Infinity; i < (rank.get(body.base) ?? 0); i += 1)
      plans.get(building.levels[i]!.id)!.columnsBelow.push(entry);
  }
  for (const [id, body] of building.walls) {
    const entry = onLine(id, body);
    plans.get(body.base)?.wallsAbove.push(entry);
    for (let i = rank.get(body.top) ?? Infinity; i < (rank.get(body.base) ?? 0); i += 1)
      plans.get(building.levels[i]!.id)!.wallsBelow.push(entry);
  }
  for (const [id, body] of building.hangers) {
    const entry = onPoint(id, body);
    plans.get(body.base)?.hangersBelow.push(entry);
    plans.get(body.top)?.hangersAbove.push(entry);
  }
  for (const [id, body] of building.footings) plans.get(body.level)?.footings.push(onPoint(id, body));
  for (const [id, body] of building.stripFootings) plans.get(body.level)?.stripFootings.push(onLine(id, body));
  for (const [id, body] of building.panels) plans.get(body.level)?.panels.push(onPoint(id, body));
  return [...plans.values()];
}

const entries = new WeakMap<object, OnPoint<object>>();

/** The entry of a member, the very same as long as its body is. */
function onPoint<B extends object>(id: string, body: B): OnPoint<B> {
  let entry = entries.get(body);
  if (entry?.id !== id) entries.set(body, (entry = { id, body }));
  return entry as OnPoint<B>;
}

function onLine<B extends { readonly from: PlanPoint; readonly to: PlanPoint }>(id: string, body: B): OnLine<B> {
  let entry = entries.get(body);
  if (entry?.id !== id) entries.set(body, (entry = { id, body, line: segment(body) } as OnPoint<object>));
  return entry as OnLine<B>;
}

/** True when two plans of a level hold the very same items, so that whatever was found on one holds for the other. */
export function samePlan(a: LevelPlan, b: LevelPlan): boolean {
  return a.elevation === b.elevation && LISTS.every((list) => sameList(a[list], b[list]));
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
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return false;
  return true;
}

/** Finds members near a box on plan. */
export class Finder<T> {
  private readonly tree: Flatbush | null;

  constructor(
    private readonly entries: readonly T[],
    box: (entry: T) => readonly [x1: number, y1: number, x2: number, y2: number],
  ) {
    this.tree = entries.length === 0 ? null : new Flatbush(entries.length);
    if (!this.tree) return;
    for (const entry of entries) this.tree.add(...box(entry));
    this.tree.finish();
  }

  near(x1: number, y1: number, x2: number, y2: number, reach: number): T[] {
    if (!this.tree) return [];
    // in the order of the entries, whatever the tree gives
    return this.tree
      .search(Math.min(x1, x2) - reach, Math.min(y1, y2) - reach, Math.max(x1, x2) + reach, Math.max(y1, y2) + reach)
      .sort((a, b) => a - b)
      .map((i) => this.entries[i]!);
  }
}

export function lineFinder<B>(entries: readonly OnLine<B>[]): Finder<OnLine<B>> {
  return new Finder(entries, ({ line: { from, to } }) => [
    Math.min(from.x, to.x),
    Math.min(from.y, to.y),
    Math.max(from.x, to.x),
    Math.max(from.y, to.y),
  ]);
}

export function pointFinder<B extends { readonly at: PlanPoint }>(entries: readonly OnPoint<B>[]): Finder<OnPoint<B>> {
  return new Finder(entries, ({ body: { at } }) => [at.x, at.y, at.x, at.y]);
}
