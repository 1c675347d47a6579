import TinyQueue from 'tinyqueue';
import { MapView, storeyOf, wallHeight, type Building, type ExtraLoad, type Named } from '../building';
import type { Combination, LoadCase } from '../load';
import { Calculated } from './calculated';
import type { Landed } from './landed';
import type { LooseEnd, MemberLedger, Takedown } from './ledger';
import { withOneMore } from './few';
import { horizontalOf } from './horizontal';
import { LevelStore, type LevelState } from './levels';
import { liftedSupports } from './lifting';
import { LooseEnds } from './looseEnd';
import { elevationOf, readNodes, type Node } from './node';
import { calculate } from './outcome';
import { PanelStore } from './panelStore';
import { Plumb } from './plumb';
import { primaryLoads } from './primary';
import { compare, Route } from './route';
import { sameBearing, sameLists, sameLoads, type Bearers } from './same';
import { BookShelf, type Neighbourhood } from './shelf';
import { Slot } from './slot';

/** Combinations in which lifting of supports is judged; they come from the family. */
export type LiftingRules = (cases: readonly LoadCase[]) => Combination[];

/** What a run touched: the rest is as it was after the run before. */
export interface TakedownNews {
  /** Nothing was kept: all is new, and what is not there now is gone. */
  readonly all: boolean;
  /** Members that were calculated: all whose body, bearers or arrivals changed. */
  readonly fresh: readonly string[];
  readonly gone: readonly string[];
  /** Panels that were shared or weighed again, or are gone. */
  readonly panels: readonly string[];
}

const NONE: readonly never[] = [];

/** What a run has calculated, noted while it is at hand: to walk over ten thousands again afterwards would cost more. */
class Fresh {
  readonly ids: string[] = [];
  /** Columns and walls. */
  readonly posts: Slot[] = [];
  /** Those of which a support may lift. */
  readonly liftable: Slot[] = [];
}

/** All that the engine knows of a building whose levels stay where they are. */
class Memory {
  readonly levels = new LevelStore();
  readonly slots = new Map<string, Slot>();
  readonly route = new Route<Slot>();
  readonly shelf = new BookShelf();
  readonly plumb = new Plumb();
  readonly panels = new PanelStore(this.shelf);
  readonly ledgers = new MapView(this.slots, (slot): Calculated => slot.ledger!);
  readonly bearers = new MapView(this.slots, (slot): Bearers => slot.bearers);
  loads: ReadonlyMap<string, readonly Named<ExtraLoad>[]> = new Map();
  last: Building | null = null;
  routed = false;
  /** Levels whose panels are not weighed yet, in a first run. */
  readonly unweighed = new Set<LevelState>();
  /** Beams with loads of build-ups along them. */
  readonly withStrips = new Set<Slot>();
  /** Members with loose ends. */
  readonly withEnds = new Set<Slot>();
}

/**
 * Takes every load of a building down to the ground, each case for itself and unfactored. Variable load travels unreduced,
 * tagged by its case and traceable arrival by arrival.
 *
 * It remembers what it did: given the next state of the same building it looks again only at levels whose items changed, and
 * calculates only members whose own data, supports or arrivals changed (the stale ones, and in the order of calculation whatever
 * they hand to). Items are compared by identity of their bodies. What it gives is alive: it holds until the next run.
 */
export class TakedownEngine {
  private memory = new Memory();
  private levelBodies: readonly Building['levels'][number]['body'][] | null = null;
  private reach = 0;
  private buildUpsMoved = false;
  private rules: { readonly cases: string; readonly combinations: readonly Combination[] } = { cases: '', combinations: [] };
  /** Those that became stale since the last run. */
  private stale: Slot[] = [];
  private fresh = new Fresh();
  /** Who is told of those that become stale while others are calculated. */
  private onStale: ((slot: Slot) => void) | null = null;
  /** What the last run really touched. */
  news: TakedownNews = { all: true, fresh: [], gone: [], panels: [] };

  constructor(private readonly liftingRules: LiftingRules) {}

  run(building: Building): Takedown {
    try {
      return this.bringUpTo(building);
    } catch (error) {
      // what was half taken in is not known: the next run begins from nothing
      this.forget();
      throw error;
    }
  }

  private forget(): void {
    this.memory = new Memory();
    this.levelBodies = null;
    this.stale = [];
    this.onStale = null;
  }

  private bringUpTo(building: Building): Takedown {
    const all = this.forgetIfAllMoved(building);
    const members = this.readMembers(building);
    this.weighPanels(building, this.readLevels(building));
    const loadEnds = this.placeLoads(building);
    this.findRoute(building, members);
    this.calculateStale(building);
    this.news = { all, fresh: this.fresh.ids, gone: members.gone.map(({ id }) => id), panels: this.memory.panels.news };
    return this.summary(building, loadEnds);
  }

  /** Calculates what is stale, in the order of calculation, and what becomes stale by that. */
  private calculateStale(building: Building): void {
    const { order } = this.memory.route;
    this.fresh = new Fresh();
    const take = (slot: Slot) => {
      if (slot.stale) this.calculate(building, slot);
    };
    if (this.stale.length * 8 > order.length) for (const slot of order) take(slot);
    else {
      const waiting = new TinyQueue(this.stale, compare);
      this.onStale = (slot) => waiting.push(slot);
      for (let slot = waiting.pop(); slot; slot = waiting.pop()) if (this.memory.slots.get(slot.id) === slot) take(slot);
      this.onStale = null;
    }
    this.stale = [];
    // those that no member asked for
    for (const level of this.memory.unweighed) this.weighed(building, level);
  }

  /** Elevations and the reach go everywhere: when a level moves, comes or goes, nothing is kept. @returns true when that is so */
  private forgetIfAllMoved({ levels, brief }: Building): boolean {
    const last = this.levelBodies;
    const sameReach = this.reach === brief.reach;
    this.reach = brief.reach;
    if (sameReach && last !== null && levels.length === last.length && levels.every(({ body }, i) => body === last[i])) return false;
    this.forget();
    this.levelBodies = levels.map(({ body }) => body);
    return true;
  }

  private makeStale(slot: Slot | undefined): void {
    if (!slot || slot.stale) return;
    slot.stale = true;
    if (this.onStale) this.onStale(slot);
    else this.stale.push(slot);
  }

  /** Members as they are now; a changed one is stale, and so are those that hand something to it. @returns what tells on the route */
  private readMembers(building: Building): { moved: Set<Slot>; gone: Slot[] } {
    const { slots, shelf, last, withEnds, withStrips } = this.memory;
    const moved = new Set<Slot>();
    const gone: Slot[] = [];
    readNodes(
      slots,
      building,
      last,
      (node) => {
        const { id } = node;
        let slot = last ? slots.get(id) : undefined;
        const isNew = !slot;
        if (!slot) slots.set(id, (slot = new Slot(node, shelf.place(id, neighbourhood(node)))));
        if (node.kind === 'beam' && node.body.strips.length > 0) withStrips.add(slot);
        else if (!isNew) withStrips.delete(slot);
        if (isNew) {
          this.stale.push(slot);
          // the first route is made from nothing
          if (last) moved.add(slot);
          return;
        }
        const old = slot.node;
        slot.node = node;
        if (!sameNeighbourhood(old, node)) {
          slot.entry.remove();
          slot.entry = shelf.place(id, neighbourhood(node));
        }
        this.makeStale(slot);
        for (const giver of slot.givers) this.makeStale(giver);
        if (old.mark !== node.mark || old.kind !== node.kind || elevationOf(building, old) !== elevationOf(building, node)) moved.add(slot);
      },
      (id) => gone.push(slots.get(id)!),
    );
    for (const slot of gone) {
      slots.delete(slot.id);
      withEnds.delete(slot);
      withStrips.delete(slot);
      slot.entry.remove();
    }
    for (const slot of gone) {
      for (const giver of slot.givers) this.makeStale(giver);
      this.loosen(slot);
    }
    this.memory.last = building;
    return { moved, gone };
  }

  /** Finds supports and shares panels again on the levels whose items changed. @returns those levels */
  private readLevels(building: Building): ReadonlySet<LevelState> {
    const { levels, panels } = this.memory;
    this.buildUpsMoved = panels.begin(building);
    let isFirst = false;
    const { touched, without, panelsGone } = levels.read(building, this.reach, (level) => {
      isFirst = true;
      this.takeBearers(level, (slot, bearers) => {
        slot.bearers = bearers;
        // on the same level as a rule, and looked for while that is at hand
        slot.targets = this.targetsOf(slot);
      });
    });
    for (const panel of panelsGone) panels.drop(panel);
    // levels come and go only together with all that is known
    if (!isFirst) this.mergeBearers(touched, without);
    return new Set(touched);
  }

  /** Tells what members rest on, as far as a level says other than before. */
  private takeBearers({ supports, kept }: LevelState, take: (slot: Slot, bearers: Bearers) => void): void {
    const { slots } = this.memory;
    const look = (bearers: Bearers, id: string) => {
      const slot = slots.get(id);
      if (slot) take(slot, bearers);
    };
    if (!kept.has(supports.beams)) supports.beams.forEach(look);
    if (!kept.has(supports.posts)) supports.posts.forEach((bearer, id) => look([bearer], id));
    if (!kept.has(supports.walls)) supports.walls.forEach(look);
  }

  /** Brings the bearers up to levels that were touched; a list that says the same stays the very same, another makes its member stale. */
  private mergeBearers(touched: readonly LevelState[], without: readonly string[]): void {
    const { slots } = this.memory;
    for (const id of without) {
      const slot = slots.get(id);
      if (slot) slot.bearers = NONE;
    }
    for (const level of touched)
      this.takeBearers(level, (slot, bearers) => {
        if (sameBearing(slot.bearers, bearers)) return;
        slot.bearers = bearers;
        this.makeStale(slot);
      });
  }

  /** Weighs panels of the levels that were touched, or of all when a build-up changed; members on which that tells become stale. */
  private weighPanels(building: Building, touched: ReadonlySet<LevelState>): void {
    const { memory, reach } = this;
    const { panels, levels, slots } = memory;
    // in a first run all is stale: each level is weighed just before its members are calculated, while it is at hand
    if (!memory.routed) {
      for (const level of touched) memory.unweighed.add(level);
      return;
    }
    const lay = (level: LevelState) => {
      for (const id of level.layPanels()) this.makeStale(slots.get(id));
    };
    for (const level of touched) {
      panels.weigh(building, level, reach);
      lay(level);
    }
    for (const level of panels.moved(levels.all(), touched)) if (panels.weigh(building, level, reach)) lay(level);
    if (this.buildUpsMoved) for (const slot of memory.withStrips) this.makeStale(slot);
  }

  /** A level whose panels are weighed. */
  private weighed(building: Building, level: LevelState): LevelState {
    const { unweighed, panels } = this.memory;
    if (unweighed.delete(level)) {
      panels.weigh(building, level, this.reach);
      level.layPanels();
    }
    return level;
  }

  /** Who hands to whom now, and the order that follows; members that hand on otherwise, or get otherwise, become stale. */
  private findRoute(building: Building, { moved, gone }: { moved: Set<Slot>; gone: readonly Slot[] }): void {
    const { route, slots } = this.memory;
    const of = (slot: Slot, targets: readonly Slot[]) => ({ mark: slot.node.mark, elevation: elevationOf(building, slot.node), targets });
    const ask = (slot: Slot) => of(slot, this.targetsOf(slot));
    if (!this.memory.routed) {
      // found with the bearers
      route.rebuild(slots.values(), (slot) => of(slot, slot.targets));
      this.memory.routed = true;
      return;
    }
    for (const slot of this.stale) if (slots.has(slot.id) && !sameLists(slot.targets, this.targetsOf(slot))) moved.add(slot);
    if (moved.size === 0 && gone.length === 0) return;
    // those that were handed something before are calculated again
    for (const slot of moved) this.loosen(slot);
    const touched = moved.size < 500 ? route.update(moved, gone, ask) : null;
    if (touched) for (const slot of touched) this.makeStale(slot);
    else this.rebuildRoute(ask);
  }

  /** The route from nothing, with all that then is another than before stale. */
  private rebuildRoute(ask: Parameters<Route<Slot>['rebuild']>[1]): void {
    const { route, slots } = this.memory;
    const before = [...slots.values()].map((slot) => ({ slot, targets: slot.targets, givers: slot.givers, inLoop: slot.inLoop }));
    route.rebuild(slots.values(), ask);
    for (const { slot, targets, givers, inLoop } of before) {
      if (!sameLists(slot.targets, targets) || slot.inLoop !== inLoop) this.loosen(slot);
      // arrivals stand in the order of those that bring them: where that changed they are gathered again
      if (!sameLists(slot.givers, givers)) this.makeStale(slot);
    }
  }

  /** A member that hands on otherwise is calculated again, with those that it handed to. */
  private loosen(slot: Slot): void {
    this.makeStale(slot);
    for (const { on } of slot.handed) this.makeStale(this.memory.slots.get(on));
  }

  private targetsOf({ bearers }: Slot): readonly Slot[] {
    const { slots } = this.memory;
    let targets: readonly Slot[] = NONE;
    for (const { by } of bearers) {
      const target = by === null ? undefined : slots.get(by);
      if (target && !targets.includes(target)) targets = withOneMore(targets, target);
    }
    return targets;
  }

  /** Extra loads by the member that they act on. @returns loose ends of those that act on nothing */
  private placeLoads(building: Building): LooseEnd[] {
    const { slots, loads } = this.memory;
    const byMember = new Map<string, Named<ExtraLoad>[]>();
    const ends: LooseEnd[] = [];
    for (const load of building.loads) {
      const { id, body } = load;
      if (body.type === 'area' && building.panels.has(body.on)) continue;
      if (body.type !== 'area' && slots.has(body.on)) {
        const list = byMember.get(body.on);
        if (list) list.push(load);
        else byMember.set(body.on, [load]);
        continue;
      }
      const own = new LooseEnds(id);
      own.add(
        'no-path',
        '',
        body.type === 'area'
          ? `${body.label} acts on a panel that is not in the building`
          : `${body.label} acts on a member that is not in the building`,
        'The load has no path.',
        body.type === 'area' ? 'Put it on a panel.' : 'Put it on a member that stands.',
      );
      ends.push(...own.list);
    }
    for (const [id, list] of byMember) if (!sameLoads(loads.get(id) ?? NONE, list)) this.makeStale(slots.get(id));
    for (const id of loads.keys()) if (!byMember.has(id)) this.makeStale(slots.get(id));
    this.memory.loads = byMember;
    return ends;
  }

  /** What panels put on a member: on a beam those of its level, on a wall those of every level that it comes up to. */
  private landingsOn(building: Building, { kind, id, body }: Node): readonly Landed[] {
    const { levels } = this.memory;
    if (kind === 'beam') {
      const level = levels.get(body.level);
      return level ? (this.weighed(building, level).landings.get(id) ?? NONE) : NONE;
    }
    if (kind !== 'wall') return NONE;
    const [base, top] = [building.elevation(body.base), building.elevation(body.top)];
    const lists: Landed[] = [];
    for (const level of levels.all()) {
      const { elevation } = level.plan;
      if (elevation < Math.min(base, top) || elevation > Math.max(base, top)) continue;
      lists.push(...(this.weighed(building, level).landings.get(id) ?? NONE));
    }
    return lists;
  }

  private calculate(building: Building, slot: Slot): void {
    const { memory, reach } = this;
    const { id, node, inLoop } = slot;
    const loads = memory.loads.size === 0 ? NONE : (memory.loads.get(id) ?? NONE);
    const panels = this.landingsOn(building, node);
    const found = slot.ledger?.firstHand(node, loads, panels, slot.entry.own) ?? primaryLoads(building, node, loads, panels);
    const arrivals = slot.gathered(found);
    this.calculating = slot;
    const outcome = calculate(node, arrivals, slot.bearers, {
      target: this.target,
      inLoop,
      reach,
      height: spreadHeight(building, node),
    });
    if (!inLoop) for (const to of slot.targets) this.makeStale(to);
    const ledger = new Calculated(node, inLoop, node.kind === 'beam' && slot.carriesMember(), loads, panels, found, arrivals, outcome);
    slot.ledger = ledger;
    slot.entry.set(found.book, outcome.book);
    slot.stale = false;
    const { ids, posts, liftable } = this.fresh;
    ids.push(id);
    if (node.kind === 'column' || node.kind === 'wall') posts.push(slot);
    slot.mayLift = CAN_LIFT.has(node.kind) && !ledger.surelyPresses;
    if (slot.mayLift) liftable.push(slot);
    else slot.lifting = NONE;
    this.noteEnds(slot);
  }

  private noteEnds(slot: Slot): void {
    const { withEnds } = this.memory;
    if ((slot.ledger?.looseEnds.length ?? 0) + slot.lifting.length > 0) withEnds.add(slot);
    else withEnds.delete(slot);
  }

  private readonly carriedBy = (id: string) => this.memory.slots.get(id)?.ledger?.carried;

  private calculating: Slot | null = null;

  /** What the member that is being calculated may hand to: one of its targets, which are few. */
  private readonly target = (id: string) => {
    for (const target of this.calculating!.targets) if (target.id === id) return target.node;
    return undefined;
  };

  private summary(building: Building, loadEnds: readonly LooseEnd[]): Takedown {
    const { memory } = this;
    const { route, levels, ledgers: members, bearers } = memory;
    const panels = memory.panels.sharings;
    const balance = memory.shelf.cases();
    const cases = balance.map((line) => line.loadCase);
    this.judgeLifting(building, cases);
    const looseEnds: LooseEnd[] = [...loadEnds];
    const note = (ends: readonly LooseEnd[]) => {
      for (const end of ends) looseEnds.push(end);
    };
    for (const { doubts } of levels.all()) note(doubts);
    for (const { panelEnds } of levels.all()) note(panelEnds);
    for (const loop of route.loops) looseEnds.push(this.loopEnd(loop));
    const withEnds = [...memory.withEnds].sort(compare);
    for (const { ledger } of withEnds) note(ledger!.looseEnds);
    for (const { lifting } of withEnds) note(lifting);
    return {
      cases,
      members,
      order: route.ids,
      looseEnds,
      balance,
      horizontal: horizontalOf(building),
      plumb: memory.plumb.read(building, levels.plans(), this.carriedBy, this.fresh.posts),
      bearers,
      panels,
    };
  }

  /** Judges lifting of the members just calculated, or of all when there are other combinations. */
  private judgeLifting(building: Building, cases: readonly LoadCase[]): void {
    const { slots, ledgers } = this.memory;
    const key = cases.map(({ id }) => id).join();
    const same = this.rules.cases === key;
    if (!same) this.rules = { cases: key, combinations: this.liftingRules(cases) };
    for (const slot of same ? this.fresh.liftable : slots.values()) {
      if (!slot.mayLift) continue;
      slot.lifting = liftedSupports(building, slot.ledger!, ledgers, this.rules.combinations);
      this.noteEnds(slot);
    }
  }

  private loopEnd(loop: readonly string[]): LooseEnd {
    const marks = loop.map((id) => this.memory.slots.get(id)!.node.mark);
    const own = new LooseEnds(loop[0]!);
    own.add(
      'loop',
      '',
      marks.length === 1 ? `${marks[0]} rests on itself` : `${marks.join(', ')} rest on each other in a ring`,
      'No order of calculation exists, and no load of these members reaches the ground.',
      'Let one of them rest on something else.',
    );
    return own.list[0]!;
  }
}

/** One takedown of a building, without memory. @param lifting combinations in which lifting is judged */
export function takeDown(building: Building, lifting: LiftingRules): Takedown {
  return new TakedownEngine(lifting).run(building);
}

/** Beams and walls change with their level, what stands on a point with what stands above it. */
function neighbourhood({ body, place }: Node): Neighbourhood {
  return 'at' in place ? place : { level: 'level' in body ? body.level : '' };
}

function sameNeighbourhood(a: Node, b: Node): boolean {
  const [one, two] = [neighbourhood(a), neighbourhood(b)];
  return 'at' in one ? 'at' in two && one.at.x === two.at.x && one.at.y === two.at.y : 'level' in two && one.level === two.level;
}

const CAN_LIFT: ReadonlySet<MemberLedger['kind']> = new Set(['beam', 'footing', 'stripFooting']);

/** Height through which load spreads in a wall: what stands above its storey has nothing on it. */
function spreadHeight(building: Building, { kind, body }: Node): number {
  return kind === 'wall' ? Math.min(wallHeight(building, body), storeyOf(building, body)) : 0;
}
