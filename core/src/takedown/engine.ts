import TinyQueue from 'tinyqueue';
import { landingHeight, wallHeight, type Beam, type Brief, type Building } from '../building';
import type { Combination, LoadCase } from '../load';
import { Calculated } from './calculated';
import { horizontalOf } from './horizontal';
import type { Landed } from './landed';
import { endInUnits } from './inUnits';
import { addInto, type LooseEnd, type MemberLedger, type Takedown } from './ledger';
import { liftedSupports } from './lifting';
import { LooseEnds } from './looseEnd';
import { Memory } from './memory';
import type { Node } from './node';
import { calculate } from './outcome';
import { primaryLoads } from './primary';
import { Reading } from './reading';
import { compare } from './route';
import { withSettlements } from './settlement';
import type { Bearer } from './support/found';
import type { Slot } from './slot';

/** Combinations in which lifting of supports is judged; they come from the family. */
export type LiftingRules = (cases: readonly LoadCase[]) => Combination[];

/** E times I of a beam, Nmm2; null: no section is chosen. It comes from the family, and is asked where supports yield or sink. */
export type BeamStiffness = (building: Building, beam: Beam) => number | null;

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
  private reading = new Reading(this.memory, 0);
  private levelBodies: readonly Building['levels'][number]['body'][] | null = null;
  private reach = 0;
  private transferRule: Brief['transferRule'] = 'posts';
  private rules: { readonly cases: string; readonly combinations: readonly Combination[] } = { cases: '', combinations: [] };
  private fresh = new Fresh();
  /** What the last run really touched. */
  news: TakedownNews = { all: true, fresh: [], gone: [], panels: [] };

  constructor(
    private readonly liftingRules: LiftingRules,
    private readonly stiffness: BeamStiffness = () => null,
  ) {}

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
    this.reading = new Reading(this.memory, this.reach);
    this.levelBodies = null;
  }

  private bringUpTo(building: Building): Takedown {
    const all = this.forgetIfAllMoved(building);
    const { reading } = this;
    const members = reading.readMembers(building);
    reading.weighPanels(building, reading.readLevels(building));
    const loadEnds = reading.placeLoads(building);
    reading.findRoute(building, members);
    this.calculateStale(building);
    this.news = { all, fresh: this.fresh.ids, gone: members.gone.map(({ id }) => id), panels: this.memory.panels.news };
    return this.summary(building, loadEnds);
  }

  /** Calculates what is stale, in the order of calculation, and what becomes stale by that. */
  private calculateStale(building: Building): void {
    const { memory } = this;
    const { stale, slots } = memory;
    const { order } = memory.route;
    this.fresh = new Fresh();
    const take = (slot: Slot) => {
      if (slot.stale) this.calculate(building, slot);
    };
    if (stale.list.length * 8 > order.length) for (const slot of order) take(slot);
    else {
      const waiting = new TinyQueue(stale.list, compare);
      stale.tell = (slot) => waiting.push(slot);
      for (let slot = waiting.pop(); slot; slot = waiting.pop()) if (slots.get(slot.id) === slot) take(slot);
      stale.tell = null;
    }
    stale.list = [];
    // those that no member asked for
    for (const level of memory.unweighed) this.reading.weighed(building, level);
  }

  /** Elevations, the reach and the rule of transfer go everywhere: when a level moves, comes or goes, nothing is kept. @returns true when that is so */
  private forgetIfAllMoved({ levels, brief }: Building): boolean {
    const last = this.levelBodies;
    const same = this.reach === brief.reach && this.transferRule === brief.transferRule;
    this.reach = brief.reach;
    this.transferRule = brief.transferRule;
    if (same && last !== null && levels.length === last.length && levels.every(({ body }, i) => body === last[i])) return false;
    this.forget();
    this.levelBodies = levels.map(({ body }) => body);
    return true;
  }

  /** What panels put on a member: on a beam those of its level, on a wall those of every level that it comes up to. */
  private landingsOn(building: Building, { kind, id, body }: Node): readonly Landed[] {
    const { levels } = this.memory;
    if (kind === 'beam') {
      const level = levels.get(body.level);
      return level ? (this.reading.weighed(building, level).landings.get(id) ?? NONE) : NONE;
    }
    if (kind !== 'wall') return NONE;
    const [base, top] = [building.elevation(body.base), building.elevation(body.top)];
    const lists: Landed[] = [];
    for (const level of levels.all()) {
      const { elevation } = level.plan;
      if (elevation < Math.min(base, top) || elevation > Math.max(base, top)) continue;
      lists.push(...(this.reading.weighed(building, level).landings.get(id) ?? NONE));
    }
    return lists;
  }

  private calculate(building: Building, slot: Slot): void {
    const { memory, reach } = this;
    const { id, node, inLoop } = slot;
    const loads = memory.loads.size === 0 ? NONE : (memory.loads.get(id) ?? NONE);
    const panels = this.landingsOn(building, node);
    const found = slot.ledger?.firstHand(node, loads, panels, slot.entry.own) ?? primaryLoads(building, node, loads, panels);
    const gathered = slot.gathered(found);
    const arrivals = node.kind === 'beam' ? withSettlements(node, slot.bearers as readonly Bearer[], gathered) : gathered;
    this.calculating = slot;
    const outcome = calculate(node, arrivals, slot.bearers, {
      target: this.target,
      inLoop,
      reach,
      height: node.kind === 'wall' ? landingHeight(building, node.body) : 0,
      high: node.kind === 'wall' ? wallHeight(building, node.body) : 0,
      stiffness: (body) => this.stiffness(building, body),
      elevation: building.elevation,
    });
    if (!inLoop) for (const to of slot.targets) memory.stale.mark(to);
    const ledger = new Calculated(node, inLoop, isTransfer(building, slot), loads, panels, found, arrivals, outcome);
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
    const balance = memory.shelf.cases(building.cases);
    const cases = balance.map((line) => line.loadCase);
    this.judgeLifting(building, cases);
    const { units } = building.brief;
    const looseEnds: LooseEnd[] = [...loadEnds];
    const note = (ends: readonly LooseEnd[]) => {
      for (const end of ends) looseEnds.push(endInUnits(end, units));
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
    const key = JSON.stringify(cases);
    const same = this.rules.cases === key;
    if (!same) this.rules = { cases: key, combinations: this.liftingRules(cases) };
    for (const slot of same ? this.fresh.liftable : slots.values()) {
      if (!slot.mayLift) continue;
      slot.lifting = liftedSupports(building, slot.ledger!, ledgers, this.rules.combinations);
      this.noteEnds(slot);
    }
  }

  /** What the members of a ring carry, by case: none of it reaches the ground. */
  private loadOf(loop: readonly string[]): Record<string, number> {
    const sum: Record<string, number> = {};
    for (const id of loop) {
      const carried = this.memory.slots.get(id)?.ledger?.carried;
      if (carried) addInto(sum, carried.byCase, 1);
    }
    return sum;
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
      this.loadOf(loop),
    );
    return own.list[0]!;
  }
}

/** One takedown of a building, without memory. @param lifting combinations in which lifting is judged */
export function takeDown(building: Building, lifting: LiftingRules, stiffness?: BeamStiffness): Takedown {
  return new TakedownEngine(lifting, stiffness).run(building);
}

/** A transfer beam: as it is said of the beam, or by what it carries and the rule of the brief. */
function isTransfer({ brief }: Building, slot: Slot): boolean {
  if (slot.node.kind !== 'beam') return false;
  const { transfer } = slot.node.body;
  return transfer === 'auto' ? slot.carriesFromAbove(brief.transferRule) : transfer === 'yes';
}

const CAN_LIFT: ReadonlySet<MemberLedger['kind']> = new Set(['beam', 'footing', 'stripFooting']);
