import type { Beam, Building, ExtraLoad, Named } from '../building';
import type { Combination, LoadCase } from '../load';
import { BalanceBook } from './balance';
import { doubtEnd } from './doubts';
import type { Arrival, LooseEnd, MemberLedger, Takedown } from './ledger';
import { liftedSupports } from './lifting';
import { LooseEnds } from './looseEnd';
import { elevationOf, nodesOf, type Node } from './node';
import { calculationOrder, findLoops } from './order';
import { calculate, type Outcome } from './outcome';
import type { PanelSharing } from './panel/share';
import { sharePanels, weighPanel, type PanelLanding, type PanelResult, type SharedPanel } from './panels';
import { plumbOf } from './plumb';
import { primaryLoads, type Primary } from './primary';
import { findSupports } from './support/find';
import type { Bearer, FoundSupports, WallBearer } from './support/found';
import { levelPlans, samePlan, type LevelPlan } from './support/levelPlan';

/** Combinations in which lifting of supports is judged; they come from the family. */
export type LiftingRules = (cases: readonly LoadCase[]) => Combination[];

/** A level as it was last, with what was found on it. */
interface LevelState {
  readonly plan: LevelPlan;
  readonly reach: number;
  readonly supports: FoundSupports;
  readonly shared: ReadonlyMap<string, SharedPanel>;
}

type Bearers = readonly (Bearer | WallBearer)[];

/** A member as it was last calculated, with all that went into it. */
interface MemberState {
  readonly node: Node;
  readonly loads: readonly Named<ExtraLoad>[];
  readonly panels: readonly PanelLanding[];
  readonly primary: Primary;
  readonly bearers: Bearers;
  readonly targets: readonly (Node | undefined)[];
  readonly inLoop: boolean;
  readonly storey: number;
  readonly outcome: Outcome;
  /** What it hands to each member, in order. */
  readonly handedTo: ReadonlyMap<string, readonly Arrival[]>;
  readonly ledger: MemberLedger;
}

/** Who hands to whom, and the order that follows. */
interface Route {
  /** The bearers that a member had when its targets were read off. */
  readonly bearers: ReadonlyMap<string, Bearers>;
  readonly graph: ReadonlyMap<string, readonly string[]>;
  /** The members that hand to each, in the order of calculation. */
  readonly givers: ReadonlyMap<string, readonly string[]>;
  readonly order: readonly string[];
  readonly loops: readonly (readonly string[])[];
  readonly inLoop: ReadonlySet<string>;
}

const NONE: readonly never[] = [];

/**
 * Takes every load of a building down to the ground, each case for itself and unfactored. Variable load travels unreduced,
 * tagged by its case and traceable arrival by arrival.
 *
 * It remembers what it did: given the next state of the same building it looks again only at levels whose items changed, and
 * calculates only members whose own data, supports or arrivals changed. Items are compared by identity of their bodies.
 */
export class TakedownEngine {
  private levels = new Map<string, LevelState>();
  private panels = new Map<string, PanelResult & { readonly buildUp: unknown }>();
  private members = new Map<string, MemberState>();
  private nodes: ReadonlyMap<string, Node> = new Map();
  private bearers: ReadonlyMap<string, Bearers> = new Map();
  private landings: ReadonlyMap<string, PanelLanding[]> = new Map();
  private levelBodies: readonly Building['levels'][number]['body'][] = [];
  private reach = 0;
  private buildUps: ReadonlyMap<string, unknown> = new Map();
  private route: Route | null = null;
  /** Members to calculate again because something that lands on them changed. */
  private readonly stale = new Set<string>();
  private readonly lifts = new WeakMap<MemberLedger, { readonly rules: readonly Combination[]; readonly ends: readonly LooseEnd[] }>();
  private rules: { readonly cases: string; readonly lifting: readonly Combination[] } | null = null;
  /** How many members the last run calculated: what an edit really touched. */
  calculated = 0;

  constructor(private readonly lifting: LiftingRules) {}

  run(building: Building): Takedown {
    this.forgetIfAllMoved(building);
    this.readLevels(building, building.brief.reach);
    this.weighPanels(building);
    const before = this.nodes;
    this.nodes = nodesOf(building, before);
    this.findRoute(building, before);
    const { ends: loadEnds, byMember: loads } = this.placeLoads(building);
    const buildUpsMoved = !sameMaps(building.buildUps, this.buildUps);
    this.buildUps = building.buildUps;
    const members = new Map<string, MemberState>();
    const { order, inLoop } = this.route!;
    this.calculated = 0;
    for (const id of order) {
      const old = this.members.get(id);
      const node = this.nodes.get(id)!;
      const now = {
        node,
        bearers: this.bearers.get(id) ?? NONE,
        loads: loads.get(id) ?? NONE,
        panels: this.landings.get(id) ?? NONE,
        inLoop: inLoop.has(id),
        storey: storeyOf(building, node),
      };
      const weighAgain = buildUpsMoved && node.kind === 'beam' && node.body.strips.length > 0;
      const state =
        old && !weighAgain && !this.stale.has(id) && this.isAsBefore(old, now) ? old : this.calculate(building, id, old, now, weighAgain);
      members.set(id, state);
    }
    this.members = members;
    this.stale.clear();
    return this.summary(building, loadEnds);
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
    this.members = new Map();
    this.nodes = new Map();
    this.bearers = new Map();
    this.landings = new Map();
    this.route = null;
  }

  /** Finds supports and shares panels again on the levels whose items changed. */
  private readLevels(building: Building, reach: number): void {
    const next = new Map<string, LevelState>();
    const fresh: { readonly state: LevelState; readonly old: LevelState | undefined }[] = [];
    for (const plan of levelPlans(building)) {
      const old = this.levels.get(plan.id);
      if (old && old.reach === reach && samePlan(old.plan, plan)) {
        next.set(plan.id, old);
        continue;
      }
      const shared = sharePanels(plan, reach, old?.reach === reach ? old.shared : undefined);
      const state = { plan, reach, supports: findSupports(plan, reach), shared };
      next.set(plan.id, state);
      fresh.push({ state, old });
    }
    this.levels = next;
    if (fresh.length > 0) this.bearers = this.mergeBearers(fresh);
  }

  /** Bearers of all members; lists that say the same as before stay the very same. */
  private mergeBearers(fresh: readonly { readonly state: LevelState; readonly old: LevelState | undefined }[]): Map<string, Bearers> {
    const all = new Map(this.bearers);
    const now = new Map<string, Bearers>();
    for (const { state, old } of fresh) {
      if (old) for (const id of bearingIds(old.supports)) all.delete(id);
      for (const [id, list] of state.supports.beams) now.set(id, list);
      for (const [id, bearer] of state.supports.posts) now.set(id, [bearer]);
      for (const [id, list] of state.supports.walls) now.set(id, list);
    }
    for (const [id, list] of now) {
      const known = this.bearers.get(id);
      all.set(id, known && sameBearing(known, list) ? known : list);
    }
    return all;
  }

  private weighPanels(building: Building): void {
    const next = new Map<string, PanelResult & { readonly buildUp: unknown }>();
    let moved = false;
    for (const { plan, shared } of this.levels.values())
      for (const { id, body } of plan.panels) {
        const panel = shared.get(id)!;
        const buildUp = building.buildUps.get(body.buildUp);
        const old = this.panels.get(id);
        if (old && old.sharing === panel.sharing && old.buildUp === buildUp && old.body === body) next.set(id, old);
        else {
          next.set(id, { ...weighPanel(building, id, panel), buildUp });
          moved = true;
        }
      }
    if (moved || next.size !== this.panels.size) {
      const landings = landingsByMember(next);
      for (const [id, list] of landings) {
        const known = this.landings.get(id);
        if (known && sameLists(known, list)) landings.set(id, known);
      }
      this.landings = landings;
    }
    this.panels = next;
  }

  /** Who hands to whom. Where that changed, those that were handed something before are calculated again. */
  private findRoute(building: Building, before: ReadonlyMap<string, Node>): void {
    const { nodes, bearers } = this;
    const last = this.route;
    let same = last !== null && before.size === nodes.size;
    if (same) for (const id of nodes.keys()) if (!before.has(id) || last!.bearers.get(id) !== bearers.get(id)) same = false;
    if (same) return;
    const graph = new Map<string, readonly string[]>();
    const loose = (id: string) => {
      for (const to of this.members.get(id)?.handedTo.keys() ?? NONE) this.stale.add(to);
    };
    for (const id of before.keys()) if (!nodes.has(id)) loose(id);
    for (const id of nodes.keys()) {
      const targets: string[] = [];
      for (const { by } of bearers.get(id) ?? NONE) if (by !== null && nodes.has(by) && !targets.includes(by)) targets.push(by);
      const old = last?.graph.get(id);
      if (old && sameLists(old, targets)) graph.set(id, old);
      else {
        graph.set(id, targets);
        loose(id);
      }
    }
    const loops = findLoops(graph);
    const inLoop = new Set(loops.flat());
    for (const id of [...inLoop, ...(last?.inLoop ?? NONE)]) if (inLoop.has(id) !== last?.inLoop.has(id)) loose(id);
    const order = calculationOrder(
      graph,
      inLoop,
      (id) => elevationOf(building, nodes.get(id)!),
      (id) => nodes.get(id)!.mark,
    );
    const givers = new Map<string, string[]>();
    for (const id of order)
      for (const target of graph.get(id)!) {
        const list = givers.get(target);
        if (list) list.push(id);
        else givers.set(target, [id]);
      }
    this.route = { bearers, graph, givers, order, loops, inLoop };
  }

  /** Extra loads by the member that they act on; those on nothing are loose ends. */
  private placeLoads(building: Building): { ends: LooseEnd[]; byMember: Map<string, Named<ExtraLoad>[]> } {
    const byMember = new Map<string, Named<ExtraLoad>[]>();
    const ends: LooseEnd[] = [];
    for (const load of building.loads) {
      const { id, body } = load;
      if (this.nodes.has(body.on)) {
        const list = byMember.get(body.on);
        if (list) list.push(load);
        else byMember.set(body.on, [load]);
        continue;
      }
      const own = new LooseEnds(id);
      own.add(
        'no-path',
        '',
        `${body.label} acts on a member that is not in the building`,
        'The load has no path.',
        'Put it on a member that stands.',
      );
      ends.push(...own.list);
    }
    return { ends, byMember };
  }

  private isAsBefore(old: MemberState, now: Pick<MemberState, 'node' | 'bearers' | 'loads' | 'panels' | 'inLoop' | 'storey'>): boolean {
    if (old.node !== now.node || old.bearers !== now.bearers || old.inLoop !== now.inLoop || old.storey !== now.storey) return false;
    if (old.panels !== now.panels || !sameLoads(old.loads, now.loads)) return false;
    const { bearers } = now;
    for (let i = 0; i < bearers.length; i += 1) {
      const { by } = bearers[i]!;
      if (by !== null && old.targets[i] !== this.nodes.get(by)) return false;
    }
    return true;
  }

  private calculate(
    building: Building,
    id: string,
    old: MemberState | undefined,
    now: Pick<MemberState, 'node' | 'bearers' | 'loads' | 'panels' | 'inLoop' | 'storey'>,
    weighAgain: boolean,
  ): MemberState {
    this.calculated += 1;
    const { node, bearers, loads, panels, inLoop, storey } = now;
    const samePrimary =
      old && !weighAgain && old.node === node && old.storey === storey && old.panels === panels && sameLoads(old.loads, loads);
    const primary = samePrimary ? old.primary : primaryLoads(building, node, loads, panels);
    const arrivals: Arrival[] = [...primary.arrivals];
    for (const giver of this.route!.givers.get(id) ?? NONE) {
      // what a member of a ring would hand on is not there
      const handed = this.route!.inLoop.has(giver) ? undefined : this.current(giver)?.handedTo.get(id);
      if (handed) for (const arrival of handed) arrivals.push(arrival);
    }
    const target = (to: string) => this.nodes.get(to);
    const outcome = calculate(node, arrivals, bearers, { target, inLoop, reach: building.brief.reach, storey });
    const handedTo = new Map<string, Arrival[]>();
    for (const { to, arrival } of outcome.handed) {
      const list = handedTo.get(to);
      if (list) list.push(arrival);
      else handedTo.set(to, [arrival]);
    }
    if (old) for (const to of old.handedTo.keys()) this.stale.add(to);
    for (const to of handedTo.keys()) this.stale.add(to);
    const ledger: MemberLedger = { ...outcome.ledger, inLoop, transfer: node.kind === 'beam' && this.carries(arrivals) };
    const targets = bearers.map(({ by }) => (by === null ? undefined : this.nodes.get(by)));
    const state = { node, loads, panels, primary, bearers, targets, inLoop, storey, outcome, handedTo, ledger };
    this.members.set(id, state);
    return state;
  }

  /** A member that comes earlier in the order: calculated already in this run, or as it was. */
  private current(id: string): MemberState | undefined {
    return this.members.get(id);
  }

  /** A beam that carries another member is a transfer beam; a hanger beneath it does not make it one. */
  private carries(arrivals: readonly Arrival[]): boolean {
    return arrivals.some(({ source }) => source.type === 'member' && this.nodes.get(source.member)?.kind !== 'hanger');
  }

  private summary(building: Building, loadEnds: readonly LooseEnd[]): Takedown {
    const { order, loops } = this.route!;
    const ledgers = new Map<string, MemberLedger>();
    const book = new BalanceBook();
    const looseEnds: LooseEnd[] = [...loadEnds];
    const note = (ends: readonly LooseEnd[]) => {
      for (const end of ends) looseEnds.push(end);
    };
    for (const { supports } of this.levels.values()) note(supports.doubts.map(doubtEnd));
    const panels = new Map<string, PanelSharing>();
    for (const panel of this.panels.values()) {
      panels.set(panel.id, panel.sharing);
      book.addBook(panel.book);
      note(panel.looseEnds);
    }
    for (const loop of loops) looseEnds.push(this.loopEnd(loop));
    for (const id of order) {
      const { ledger, primary, outcome } = this.members.get(id)!;
      ledgers.set(id, ledger);
      book.addBook(primary.book);
      book.addBook(outcome.book);
      if (primary.looseEnds.length) note(primary.looseEnds);
      if (outcome.looseEnds.length) note(outcome.looseEnds);
    }
    const balance = book.cases();
    const cases = balance.map((line) => line.loadCase);
    const key = cases.map(({ id }) => id).join();
    if (this.rules?.cases !== key) this.rules = { cases: key, lifting: this.lifting(cases) };
    for (const ledger of ledgers.values()) note(this.lifted(building, ledger, ledgers));
    return { cases, members: ledgers, order, looseEnds, balance, plumb: plumbOf(building, ledgers), bearers: this.bearers, panels };
  }

  private lifted(building: Building, ledger: MemberLedger, ledgers: ReadonlyMap<string, MemberLedger>): readonly LooseEnd[] {
    if (!CAN_LIFT.has(ledger.kind)) return NONE;
    const rules = this.rules!.lifting;
    const known = this.lifts.get(ledger);
    if (known?.rules === rules) return known.ends;
    const ends = liftedSupports(building, ledger, ledgers, rules);
    this.lifts.set(ledger, { rules, ends });
    return ends;
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

/** The building with the supports that were found standing where the named ones stood: what design and drawings read. */
export function withFoundSupports(building: Building, takedown: Pick<Takedown, 'bearers'>): Building {
  const beams = new Map<string, Beam>();
  for (const [id, beam] of building.beams)
    beams.set(id, beam.supportsFound ? placed(beam, (takedown.bearers.get(id) ?? []) as readonly Bearer[]) : beam);
  return { ...building, beams };
}

const placedBeams = new WeakMap<Beam, { bearers: readonly Bearer[]; beam: Beam }>();

function placed(beam: Beam, bearers: readonly Bearer[]): Beam {
  const known = placedBeams.get(beam);
  if (known && sameBearing(known.bearers, bearers)) return known.beam;
  const made = { ...beam, supports: bearers.map(({ at, by, holdsDown }) => ({ at, by, holdsDown })) };
  placedBeams.set(beam, { bearers, beam: made });
  return made;
}

const CAN_LIFT: ReadonlySet<MemberLedger['kind']> = new Set(['beam', 'footing', 'stripFooting']);

function bearingIds({ beams, posts, walls }: FoundSupports): string[] {
  return [...beams.keys(), ...posts.keys(), ...walls.keys()];
}

function landingsByMember(panels: ReadonlyMap<string, PanelResult>): Map<string, PanelLanding[]> {
  const all = new Map<string, PanelLanding[]>();
  for (const { landings } of panels.values())
    for (const [member, list] of landings) {
      const known = all.get(member);
      if (known) known.push(...list);
      else all.set(member, [...list]);
    }
  return all;
}

function storeyOf(building: Building, { body }: Node): number {
  return 'base' in body ? Math.abs(building.elevation(body.top) - building.elevation(body.base)) : 0;
}

function sameLists<T>(a: readonly T[], b: readonly T[]): boolean {
  if (a === b) return true;
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return false;
  return true;
}

function sameLoads(a: readonly Named<ExtraLoad>[], b: readonly Named<ExtraLoad>[]): boolean {
  return a.length === b.length && a.every((load, i) => load.body === b[i]!.body && load.id === b[i]!.id);
}

function sameBearing(a: Bearers, b: Bearers): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i += 1) {
    const [one, two] = [a[i]!, b[i]!];
    if (one.by !== two.by || one.rule !== two.rule) return false;
    if (
      'at' in one
        ? !('at' in two) || one.at !== two.at || one.holdsDown !== two.holdsDown
        : !('from' in two) || one.from !== two.from || one.to !== two.to
    )
      return false;
  }
  return true;
}

function sameMaps(a: ReadonlyMap<string, unknown>, b: ReadonlyMap<string, unknown>): boolean {
  if (a.size !== b.size) return false;
  for (const [id, value] of a) if (b.get(id) !== value) return false;
  return true;
}
