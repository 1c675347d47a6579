import { expose, transfer } from 'comlink';
import {
  BadInput,
  compareRevisions,
  contextOf,
  groupMember,
  memberDiagrams,
  packLedgers,
  PlinthError,
  ProjectEngine,
  proposalsFor,
  type Proposal,
  rationalise,
  reactionsOf,
  sheetFor,
  sizeUnsized,
  trySections,
  whatIf,
  type Otherwise,
  type Outcome,
  why,
  type Candidate,
  type Cause,
  type Comparison,
  type Effect,
  type Design,
  type Entry,
  type GroupMember,
  type Item,
  supportForces,
  type SupportForces,
  type MemberDiagrams,
  type PackedLedgers,
  type ProjectResult,
  type ReactionSchedule,
  type RecordedAssumption,
  type SizedBuilding,
  type SizeSet,
  type SizingRequest,
  type SizingStep,
} from '@plinth/core';

/** What a screen holds of a result: everything but the building, which is assembled again outside. */
export type Computed = Omit<ProjectResult, 'building' | 'news'>;

/** What changed in a keyed part of a result since it was sent last. */
export interface Delta<V> {
  readonly set: readonly (readonly [string, V])[];
  readonly gone: readonly string[];
}

type Takedown = ProjectResult['takedown'];
type ValueOf<M> = M extends ReadonlyMap<string, infer V> ? V : never;

/** What crosses from the worker: large parts as what changed in them. */
export interface ComputedChange extends Omit<Computed, 'takedown' | 'designs' | 'assumptions'> {
  readonly takedown: Omit<Takedown, 'members' | 'bearers' | 'panels' | 'order'> & {
    /** Null where it is as it was. */
    readonly order: Takedown['order'] | null;
    readonly members: { readonly packed: PackedLedgers; readonly gone: readonly string[] };
    readonly bearers: Delta<ValueOf<Takedown['bearers']>>;
    readonly panels: Delta<ValueOf<Takedown['panels']>>;
  };
  readonly designs: Delta<Design>;
  readonly assumptions: Delta<readonly RecordedAssumption[]>;
  /** Members whose supports may be others; null: all. */
  readonly restsElsewhere: readonly string[] | null;
}

let stopSizing = false;
let result: ProjectResult | null = null;
const items = new Map<string, Item>();
const project = new ProjectEngine();
/** What the screen holds of each keyed part. */
const sent = {
  members: new Map<string, unknown>(),
  bearers: new Map<string, unknown>(),
  panels: new Map<string, unknown>(),
  designs: new Map<string, unknown>(),
  assumptions: new Map<string, unknown>(),
};
let sentOrder: Takedown['order'] | null = null;
/** A computation failed: what it touched is not known, and all is compared. */
let compareAll = true;

/** @param ids where to look; null: everywhere */
function deltaOf<V>(last: Map<string, unknown>, now: ReadonlyMap<string, V>, ids: readonly string[] | null): Delta<V> {
  const set: [string, V][] = [];
  const gone: string[] = [];
  const look = (value: V | undefined, id: string) => {
    if (value === undefined) {
      if (last.delete(id)) gone.push(id);
    } else if (last.get(id) !== value) {
      set.push([id, value]);
      last.set(id, value);
    }
  };
  if (ids) for (const id of ids) look(now.get(id), id);
  else {
    now.forEach(look);
    if (last.size !== now.size) for (const id of [...last.keys()]) if (!now.has(id)) look(undefined, id);
  }
  return { set, gone };
}

function held(): ProjectResult {
  if (!result) throw new BadInput('nothing has been computed yet');
  return result;
}

/** Buildings up to so many items are computed a few times more when they are opened. */
const WARMED = 500;
let warmings = 0;

/**
 * The first computations of a fresh worker run slowly, until the browser has compiled what is used often. Some are made ahead of the
 * first edit, one at a time, so that an edit that comes meanwhile waits for one at most.
 */
function warmUp(): void {
  if (warmings >= 12 || items.size > WARMED) return;
  warmings += 1;
  setTimeout(() => {
    try {
      new ProjectEngine().run([...items.values()]);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
    }
    warmUp();
  }, 30);
}

/**
 * Large buildings are designed bit by bit: so many ms at once, first hardly more than the loads, then little enough that an edit that
 * comes meanwhile does not wait long.
 */
const FIRST = 1;
const NEXT = 30;
const LARGE = 2000;

/** Says when the time is over, from when it is asked first; never for a building that is designed in one go. */
function over(ms: number): () => boolean {
  if (items.size < LARGE) return () => false;
  let end: number | null = null;
  return () => {
    const now = performance.now();
    end ??= now + ms;
    return now > end;
  };
}

/**
 * What changed in a result since it was sent last.
 * @param loadsToo false when only designs were made since
 */
function change(
  { takedown, designs, balance, looseEnds, assumptions, openAssumptions, pending, news }: ProjectResult,
  loadsToo: boolean,
): ComputedChange {
  const { all, fresh, gone, panels } = news.takedown;
  const everywhere = compareAll || (loadsToo && all);
  const touched = everywhere ? null : loadsToo ? [...fresh, ...gone] : [];
  const redesigned = compareAll ? null : news.redesigned;
  const order = takedown.order === sentOrder ? null : takedown.order;
  sentOrder = takedown.order;
  const ledgers = deltaOf(sent.members, takedown.members, touched);
  const packed = packLedgers(ledgers.set.map(([, ledger]) => ledger));
  const reply: ComputedChange = {
    takedown: {
      ...takedown,
      order,
      members: { packed, gone: ledgers.gone },
      bearers: deltaOf(sent.bearers, takedown.bearers, touched),
      panels: deltaOf(sent.panels, takedown.panels, everywhere ? null : loadsToo ? panels : []),
    },
    designs: deltaOf(sent.designs, designs.all, redesigned),
    balance,
    looseEnds,
    assumptions: deltaOf(sent.assumptions, assumptions, compareAll ? null : news.assumed),
    openAssumptions,
    pending,
    restsElsewhere: touched,
  };
  compareAll = false;
  return transfer(reply, [packed.numbers.buffer]);
}

/** The engine beside the screen: it holds the project as computed last and answers questions about it. */
const engine = {
  /** Takes changed items in, takes down and designs what they touch. Gives the reason in words when it cannot. */
  compute(changed: readonly Item[], removed: readonly string[]): ComputedChange | { readonly failed: string } {
    for (const id of removed) items.delete(id);
    for (const item of changed) items.set(item.id, item);
    try {
      result = project.run([...items.values()], over(FIRST));
    } catch (error) {
      compareAll = true;
      if (!(error instanceof PlinthError)) throw error;
      return { failed: error.message };
    }
    if (warmings === 0) warmUp();
    return change(result, true);
  },

  /** Makes designs that were left out for want of time; what has come of it since. */
  goOn(): ComputedChange {
    result = project.goOn(over(NEXT));
    return change(result, false);
  },

  sheet(id: string, philosophy?: string): readonly Entry[] {
    return sheetFor(held(), id, philosophy)?.entries ?? [];
  },

  /** Sizes all that has no section; tells how far it is after each member. Null when it was stopped. */
  async sizeAll(onStep: (step: SizingStep) => void): Promise<SizedBuilding | null> {
    const work = sizeUnsized([...items.values()]);
    stopSizing = false;
    for (;;) {
      const next = work.next();
      if (next.done) return next.value;
      onStep(next.value);
      // a message to stop is read in between
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (stopSizing) return null;
    }
  },

  /**
   * The best few sizes for a group of members: every usual shape tried on each, then the best sets of 1 to `most`. Tells how far it is after
   * each member. Null when it was stopped.
   */
  async rationalise(
    ids: readonly string[],
    most: number,
    charge: number,
    request: SizingRequest,
    onStep: (done: number) => void,
  ): Promise<readonly SizeSet[] | { readonly failed: string } | null> {
    const { building, takedown } = held();
    const context = contextOf(building, takedown);
    stopSizing = false;
    const members: GroupMember[] = [];
    for (const id of ids) {
      members.push(groupMember(context, id, request));
      onStep(members.length);
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (stopSizing) return null;
    }
    try {
      return rationalise(members, most, charge);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { failed: error.message };
    }
  },

  stopSizing(): void {
    stopSizing = true;
  },

  candidates(id: string, request: SizingRequest): Candidate[] {
    const { building, takedown } = held();
    return trySections(contextOf(building, takedown), id, request);
  },

  whatIf(id: string, way: Otherwise): Outcome {
    const { building, takedown } = held();
    return whatIf(building, takedown, id, way);
  },

  /** The reaction schedule of the ground (null) or of a level. */
  reactions(level: string | null): ReactionSchedule {
    return reactionsOf(held(), level);
  },

  /** What two revisions do not have alike. */
  compare(before: readonly Item[], after: readonly Item[], part: number): Comparison | { readonly failed: string } {
    try {
      return compareRevisions(before, after, part);
    } catch (error) {
      if (!(error instanceof PlinthError)) throw error;
      return { failed: error.message };
    }
  },

  causes(id: string, leave: number | null): Cause[] {
    const { building, takedown } = held();
    return why(building, takedown, id, leave);
  },

  /** What a beam hands to its supports, or a column to what it stands on, under the combinations for strength. */
  supportForces(id: string): readonly SupportForces[] {
    const { building, takedown } = held();
    return supportForces(contextOf(building, takedown), id);
  },

  /** Beams that would carry a wall which stops above nothing, with the loads that they would take. */
  proposals(wall: string): readonly Proposal[] {
    const { building, takedown } = held();
    return proposalsFor(items.values(), building, takedown, wall);
  },

  /** Diagrams of a beam under one combination (by its name). Empty when it cannot be solved. */
  diagrams(id: string, effects: readonly Effect[], width: number, height: number, combinationName?: string): MemberDiagrams {
    const { building, takedown } = held();
    return memberDiagrams(building, takedown, id, effects, { width, height }, combinationName);
  },
};

export type Engine = typeof engine;
expose(engine);
