import type { Building, ExtraLoad, Named } from '../building';
import type { Combination, LoadCase } from '../load';
import { doubtEnd } from './doubts';
import type { Arrival, LooseEnd, MemberLedger, Takedown } from './ledger';
import { horizontalOf } from './horizontal';
import { liftedSupports } from './lifting';
import { LooseEnds } from './looseEnd';
import { elevationOf, updateNodes, type Node } from './node';
import { calculate } from './outcome';
import type { PanelSharing } from './panel/share';
import { sharePanels, weighPanel, type PanelLanding, type PanelResult, type SharedPanel } from './panels';
import { Plumb } from './plumb';
import { primaryLoads, type Primary } from './primary';
import { Route, type Stop } from './route';
import { areaLoadsOf, sameAreas, sameBearing, sameLists, sameLoads, sameMaps, type Bearers } from './same';
import { BookShelf } from './shelf';
import { findSupports } from './support/find';
import type { FoundSupports } from './support/found';
import { LevelSorter, type LevelPlan } from './support/levelPlan';

/** Combinations in which lifting of supports is judged; they come from the family. */
export type LiftingRules = (cases: readonly LoadCase[]) => Combination[];

/** A level as it was last, with what was found on it. */
interface LevelState {
  readonly plan: LevelPlan;
  readonly reach: number;
  readonly supports: FoundSupports;
  readonly shared: ReadonlyMap<string, SharedPanel>;
  /** What its panels put on each member. */
  landings: ReadonlyMap<string, readonly PanelLanding[]>;
}

/** A member as it was last calculated, with what it had from elsewhere. */
interface MemberState {
  readonly node: Node;
  readonly loads: readonly Named<ExtraLoad>[];
  readonly panels: readonly PanelLanding[];
  readonly primary: Primary;
  /** What it hands to each member, in order. */
  readonly handedTo: ReadonlyMap<string, readonly Arrival[]>;
  readonly ledger: MemberLedger;
}

const NONE: readonly never[] = [];

/**
 * Takes every load of a building down to the ground, each case for itself and unfactored. Variable load travels unreduced,
 * tagged by its case and traceable arrival by arrival.
 *
 * It remembers what it did: given the next state of the same building it looks again only at levels whose items changed, and
 * calculates only members whose own data, supports or arrivals changed (the stale ones, and in the order of calculation whatever
 * they hand to). Items are compared by identity of their bodies. What it gives is alive: it holds until the next run.
 */
export class TakedownEngine {
  private levels = new Map<string, LevelState>();
  private panels = new Map<string, PanelResult & { readonly buildUp: unknown }>();
  private sharings = new Map<string, PanelSharing>();
  private members = new Map<string, MemberState>();
  private ledgers = new Map<string, MemberLedger>();
  private nodes = new Map<string, Node>();
  private bearers = new Map<string, Bearers>();
  private loads: ReadonlyMap<string, readonly Named<ExtraLoad>[]> = new Map();
  private areas: ReadonlyMap<string, readonly Named<ExtraLoad>[]> = new Map();
  private levelBodies: readonly Building['levels'][number]['body'][] = [];
  private reach = 0;
  private buildUps: ReadonlyMap<string, unknown> = new Map();
  private route = new Route();
  private routed = false;
  private last: Building | null = null;
  private sorter = new LevelSorter();
  private plumb = new Plumb();
  private shelf = new BookShelf();
  /** Loose ends of members, and of those that lift, where there are any. */
  private ends = new Map<string, readonly LooseEnd[]>();
  private lifting = new Map<string, readonly LooseEnd[]>();
  private rules: { readonly cases: string; readonly combinations: readonly Combination[] } = { cases: '', combinations: [] };
  private readonly stale = new Set<string>();
  /** How many members the last run calculated: what an edit really touched. */
  calculated = 0;

  constructor(private readonly liftingRules: LiftingRules) {}

  run(building: Building): Takedown {
    this.forgetIfAllMoved(building);
    const touched = this.readLevels(building);
    this.weighPanels(building, touched);
    this.readNodes(building);
    const loadEnds = this.placeLoads(building);
    const { order, inLoop } = this.route;
    const fresh: string[] = [];
    for (const id of order) {
      if (!this.stale.has(id)) continue;
      this.calculate(building, id, inLoop.has(id));
      fresh.push(id);
    }
    this.calculated = fresh.length;
    this.stale.clear();
    return this.summary(building, loadEnds, fresh);
  }

  /** Elevations and the reach go everywhere: when a level moves, comes or goes, nothing is kept. */
  private forgetIfAllMoved({ levels, brief }: Building): void {
    const last = this.levelBodies;
    this.levelBodies = levels.map(({ body }) => body);
    const sameReach = this.reach === brief.reach;
    this.reach = brief.reach;
    if (sameReach && levels.length === last.length && levels.every(({ body }, i) => body === last[i])) return;
    this.levels = new Map();
    this.panels = new Map();
    this.sharings = new Map();
    this.members = new Map();
    this.ledgers = new Map();
    this.nodes = new Map();
    this.bearers = new Map();
    this.loads = new Map();
    this.areas = new Map();
    this.route = new Route();
    this.routed = false;
    this.last = null;
    this.sorter = new LevelSorter();
    this.plumb = new Plumb();
    this.shelf = new BookShelf();
    this.ends = new Map();
    this.lifting = new Map();
  }

  /** Finds supports and shares panels again on the levels whose items changed. @returns those levels */
  private readLevels(building: Building): LevelState[] {
    const { reach } = this;
    const next = new Map<string, LevelState>();
    const touched: { readonly state: LevelState; readonly old: LevelState | undefined }[] = [];
    for (const plan of this.sorter.sort(building)) {
      const old = this.levels.get(plan.id);
      if (old?.plan === plan) {
        next.set(plan.id, old);
        continue;
      }
      const shared = sharePanels(plan, reach, old?.shared);
      const state: LevelState = { plan, reach, supports: findSupports(plan, reach), shared, landings: old?.landings ?? new Map() };
      next.set(plan.id, state);
      touched.push({ state, old });
    }
    this.levels = next;
    if (touched.length > 0) this.mergeBearers(touched);
    for (const { state, old } of touched)
      for (const { id } of old?.plan.panels ?? NONE)
        if (!state.shared.has(id)) {
          this.panels.delete(id);
          this.sharings.delete(id);
          this.shelf.remove(`panel ${id}`);
        }
    return touched.map(({ state }) => state);
  }

  /** Brings the bearers up to levels that were touched; a list that says the same stays the very same, another makes its member stale. */
  private mergeBearers(touched: readonly { readonly state: LevelState; readonly old: LevelState | undefined }[]): void {
    const now = new Map<string, Bearers>();
    for (const { state } of touched) {
      for (const [id, list] of state.supports.beams) now.set(id, list);
      for (const [id, bearer] of state.supports.posts) now.set(id, [bearer]);
      for (const [id, list] of state.supports.walls) now.set(id, list);
    }
    for (const { old } of touched) if (old) for (const id of bearingIds(old.supports)) if (!now.has(id)) this.bearers.delete(id);
    for (const [id, list] of now) {
      const known = this.bearers.get(id);
      if (known && sameBearing(known, list)) continue;
      this.bearers.set(id, list);
      this.stale.add(id);
    }
  }

  /** Weighs panels of the levels that were touched, or of all when a build-up changed; members on which that tells become stale. */
  private weighPanels(building: Building, touched: readonly LevelState[]): void {
    const moved = !sameMaps(building.buildUps, this.buildUps);
    this.buildUps = building.buildUps;
    const areas = areaLoadsOf(building);
    const changed = !sameAreas(areas, this.areas);
    this.areas = areas;
    for (const level of moved || changed ? this.levels.values() : touched) {
      let weighedAny = touched.includes(level);
      for (const { id, body } of level.plan.panels) {
        const panel = level.shared.get(id)!;
        const buildUp = building.buildUps.get(body.buildUp);
        const old = this.panels.get(id);
        const on = areas.get(id) ?? NONE;
        if (old && old.sharing === panel.sharing && old.buildUp === buildUp && old.body === body && sameLoads(old.areas, on)) continue;
        const weighed = { ...weighPanel(building, id, panel, on, this.reach), buildUp };
        this.panels.set(id, weighed);
        this.sharings.set(id, weighed.sharing);
        this.shelf.set(`panel ${id}`, weighed.book);
        weighedAny = true;
      }
      if (weighedAny) this.layPanels(level);
    }
    if (moved) for (const [id, { node }] of this.members) if (node.kind === 'beam' && node.body.strips.length > 0) this.stale.add(id);
  }

  private layPanels(level: LevelState): void {
    const now = new Map<string, PanelLanding[]>();
    for (const { id } of level.plan.panels)
      for (const [member, list] of this.panels.get(id)!.landings) {
        const known = now.get(member);
        if (known) known.push(...list);
        else now.set(member, [...list]);
      }
    for (const [member, list] of now) if (!sameLists(level.landings.get(member) ?? NONE, list)) this.stale.add(member);
    for (const member of level.landings.keys()) if (!now.has(member)) this.stale.add(member);
    level.landings = now;
  }

  /** Members as they are now; a changed one is stale, and so are those that hand something to it. */
  private readNodes(building: Building): void {
    const { route, stale } = this;
    const { changed, gone } = updateNodes(this.nodes, building, this.last);
    this.last = building;
    const moved = new Set<string>();
    for (const [id, old] of changed) {
      const { mark, kind } = this.nodes.get(id)!;
      stale.add(id);
      for (const giver of route.givers.get(id) ?? NONE) stale.add(giver);
      if (!old || old.mark !== mark || old.kind !== kind || elevationOf(building, old) !== elevationOf(building, this.nodes.get(id)!))
        moved.add(id);
    }
    for (const id of gone) {
      for (const giver of route.givers.get(id) ?? NONE) stale.add(giver);
      this.forget(id);
      stale.delete(id);
    }
    const stopOf = (id: string) => {
      const node = this.nodes.get(id)!;
      return { mark: node.mark, elevation: elevationOf(building, node), targets: this.targetsOf(id) };
    };
    for (const id of stale) if (this.nodes.has(id) && !sameLists(route.graph.get(id) ?? NONE, this.targetsOf(id))) moved.add(id);
    if (this.routed && moved.size === 0 && gone.length === 0) return;
    // those that were handed something before are calculated again
    for (const id of moved) this.loosen(id);
    const touched = this.routed && moved.size < 500 ? route.update(moved, gone, stopOf) : null;
    if (touched) {
      for (const id of touched) if (this.nodes.has(id)) stale.add(id);
      return;
    }
    this.rebuildRoute(stopOf);
  }

  /** The route from nothing, with all that then is another than before stale. */
  private rebuildRoute(stopOf: (id: string) => Stop): void {
    const last = this.route;
    const route = new Route();
    route.rebuild(this.nodes.keys(), stopOf);
    if (this.routed) {
      for (const [id, targets] of route.graph) if (!sameLists(last.graph.get(id) ?? NONE, targets)) this.loosen(id);
      for (const id of [...route.inLoop, ...last.inLoop]) if (route.inLoop.has(id) !== last.inLoop.has(id)) this.loosen(id);
      // arrivals stand in the order of those that bring them: where that changed they are gathered again
      for (const [target, list] of route.givers) if (!sameLists(last.givers.get(target) ?? NONE, list)) this.stale.add(target);
    } else for (const id of route.graph.keys()) this.stale.add(id);
    this.route = route;
    this.routed = true;
  }

  /** A member that hands on otherwise is calculated again, with those that it handed to. */
  private loosen(id: string): void {
    this.stale.add(id);
    for (const to of this.members.get(id)?.handedTo.keys() ?? NONE) this.stale.add(to);
  }

  private *plans(): Generator<LevelPlan> {
    for (const { plan } of this.levels.values()) yield plan;
  }

  private forget(id: string): void {
    for (const to of this.members.get(id)?.handedTo.keys() ?? NONE) this.stale.add(to);
    this.members.delete(id);
    this.ledgers.delete(id);
    this.shelf.remove(id);
    this.ends.delete(id);
    this.lifting.delete(id);
  }

  private targetsOf(id: string): string[] {
    const targets: string[] = [];
    for (const { by } of this.bearers.get(id) ?? NONE) if (by !== null && this.nodes.has(by) && !targets.includes(by)) targets.push(by);
    return targets;
  }

  /** Extra loads by the member that they act on. @returns loose ends of those that act on nothing */
  private placeLoads(building: Building): LooseEnd[] {
    const byMember = new Map<string, Named<ExtraLoad>[]>();
    const ends: LooseEnd[] = [];
    for (const load of building.loads) {
      const { id, body } = load;
      if (body.type === 'area' && building.panels.has(body.on)) continue;
      if (body.type !== 'area' && this.nodes.has(body.on)) {
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
    for (const [id, list] of byMember) if (!sameLoads(this.loads.get(id) ?? NONE, list)) this.stale.add(id);
    for (const id of this.loads.keys()) if (!byMember.has(id) && this.nodes.has(id)) this.stale.add(id);
    this.loads = byMember;
    return ends;
  }

  /** What panels put on a member: on a beam those of its level, on a wall those of every level that it comes up to. */
  private landingsOn({ kind, id, body }: Node): readonly PanelLanding[] {
    if (kind === 'beam') return this.levels.get(body.level)?.landings.get(id) ?? NONE;
    if (kind !== 'wall') return NONE;
    const lists: PanelLanding[] = [];
    for (const level of this.levels.values()) lists.push(...(level.landings.get(id) ?? NONE));
    return lists;
  }

  private calculate(building: Building, id: string, inLoop: boolean): void {
    const node = this.nodes.get(id)!;
    const { route } = this;
    const old = this.members.get(id);
    const loads = this.loads.get(id) ?? NONE;
    const panels = this.landingsOn(node);
    const keepsPrimary =
      old !== undefined &&
      old.node === node &&
      sameLists(old.panels, panels) &&
      sameLoads(old.loads, loads) &&
      !(node.kind === 'beam' && node.body.strips.length > 0);
    const primary = keepsPrimary ? old.primary : primaryLoads(building, node, loads, panels);
    const arrivals: Arrival[] = [...primary.arrivals];
    for (const giver of route.givers.get(id) ?? NONE) {
      // what a member of a ring would hand on is not there
      const handed = route.inLoop.has(giver) ? undefined : this.members.get(giver)?.handedTo.get(id);
      if (handed) for (const arrival of handed) arrivals.push(arrival);
    }
    const target = (to: string) => this.nodes.get(to);
    const storey = storeyOf(building, node);
    const outcome = calculate(node, arrivals, this.bearers.get(id) ?? NONE, { target, inLoop, reach: this.reach, storey });
    const handedTo = new Map<string, Arrival[]>();
    for (const { to, arrival } of outcome.handed) {
      const list = handedTo.get(to);
      if (list) list.push(arrival);
      else handedTo.set(to, [arrival]);
    }
    if (old) for (const to of old.handedTo.keys()) this.stale.add(to);
    for (const to of handedTo.keys()) this.stale.add(to);
    // written out: spreading costs more than all the sums
    const { kind, mark, leaves, sum, adverse } = outcome.ledger;
    const transfer = kind === 'beam' && this.carries(arrivals);
    const ledger: MemberLedger = { id, kind, mark, inLoop, arrivals: outcome.ledger.arrivals, leaves, sum, adverse, transfer };
    this.members.set(id, { node, loads, panels, primary, handedTo, ledger });
    this.ledgers.set(id, ledger);
    outcome.book.addBook(primary.book);
    this.shelf.set(id, outcome.book);
    if (primary.looseEnds.length + outcome.looseEnds.length > 0) this.ends.set(id, [...primary.looseEnds, ...outcome.looseEnds]);
    else this.ends.delete(id);
  }

  /** A beam that carries another member is a transfer beam; a hanger beneath it does not make it one. */
  private carries(arrivals: readonly Arrival[]): boolean {
    return arrivals.some(({ source }) => source.type === 'member' && this.nodes.get(source.member)?.kind !== 'hanger');
  }

  private summary(building: Building, loadEnds: readonly LooseEnd[], fresh: readonly string[]): Takedown {
    const { order, loops } = this.route;
    const { ledgers, sharings: panels, bearers } = this;
    const balance = this.shelf.cases();
    const cases = balance.map((line) => line.loadCase);
    this.judgeLifting(building, cases, fresh);
    const looseEnds: LooseEnd[] = [...loadEnds];
    const note = (ends: readonly LooseEnd[] | undefined) => {
      if (ends) for (const end of ends) looseEnds.push(end);
    };
    for (const { supports } of this.levels.values()) note(supports.doubts.map(doubtEnd));
    for (const panel of this.panels.values()) if (panel.looseEnds.length > 0) note(panel.looseEnds);
    for (const loop of loops) looseEnds.push(this.loopEnd(loop));
    for (const id of this.route.sorted(this.ends.keys())) note(this.ends.get(id));
    for (const id of this.route.sorted(this.lifting.keys())) note(this.lifting.get(id));
    return {
      cases,
      members: ledgers,
      order,
      looseEnds,
      balance,
      horizontal: horizontalOf(building),
      plumb: this.plumb.read(building, this.plans(), ledgers, fresh),
      bearers,
      panels,
    };
  }

  /** Judges lifting of the members just calculated, or of all when there are other combinations. */
  private judgeLifting(building: Building, cases: readonly LoadCase[], fresh: readonly string[]): void {
    const key = cases.map(({ id }) => id).join();
    const same = this.rules.cases === key;
    if (!same) this.rules = { cases: key, combinations: this.liftingRules(cases) };
    for (const id of same ? fresh : this.ledgers.keys()) {
      const ledger = this.ledgers.get(id)!;
      const ends = CAN_LIFT.has(ledger.kind) ? liftedSupports(building, ledger, this.ledgers, this.rules.combinations) : NONE;
      if (ends.length > 0) this.lifting.set(id, ends);
      else this.lifting.delete(id);
    }
  }

  private loopEnd(loop: readonly string[]): LooseEnd {
    const marks = loop.map((id) => this.nodes.get(id)!.mark);
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

const CAN_LIFT: ReadonlySet<MemberLedger['kind']> = new Set(['beam', 'footing', 'stripFooting']);

function bearingIds({ beams, posts, walls }: FoundSupports): string[] {
  return [...beams.keys(), ...posts.keys(), ...walls.keys()];
}

function storeyOf(building: Building, { body }: Node): number {
  return 'base' in body ? Math.abs(building.elevation(body.top) - building.elevation(body.base)) : 0;
}
