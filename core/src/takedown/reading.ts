import type { Building, ExtraLoad, Named } from '../building';
import { withOneMore } from './few';
import type { LooseEnd } from './ledger';
import type { LevelState } from './levels';
import { LooseEnds } from './looseEnd';
import type { Memory } from './memory';
import { elevationOf, hasBuildUp, readNodes, type Node } from './node';
import type { Route } from './route';
import { sameBearing, sameLists, sameLoads, type Bearers } from './same';
import type { Neighbourhood } from './shelf';
import { Slot } from './slot';
import type { Stale } from './stale';

const NONE: readonly never[] = [];

/**
 * Brings what the engine remembers up to the next state of a building: members, supports, panels, extra loads and who hands to whom.
 * Nothing is calculated here; members on which a change tells become stale.
 */
export class Reading {
  private readonly stale: Stale;
  private buildUpsMoved = false;

  /** @param reach how near counts as touching, mm */
  constructor(
    private readonly memory: Memory,
    private readonly reach: number,
  ) {
    this.stale = memory.stale;
  }

  /** Members as they are now; a changed one is stale, and so are those that hand something to it. @returns what tells on the route */
  readMembers(building: Building): { moved: Set<Slot>; gone: Slot[] } {
    const { slots, shelf, last, withEnds, withBuildUps } = this.memory;
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
        if (hasBuildUp(node)) withBuildUps.add(slot);
        else if (!isNew) withBuildUps.delete(slot);
        if (isNew) {
          this.stale.add(slot);
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
        this.stale.mark(slot);
        for (const giver of slot.givers) this.stale.mark(giver);
        if (old.mark !== node.mark || old.kind !== node.kind || elevationOf(building, old) !== elevationOf(building, node)) moved.add(slot);
      },
      (id) => gone.push(slots.get(id)!),
    );
    for (const slot of gone) {
      slots.delete(slot.id);
      withEnds.delete(slot);
      withBuildUps.delete(slot);
      slot.entry.remove();
    }
    for (const slot of gone) {
      for (const giver of slot.givers) this.stale.mark(giver);
      this.loosen(slot);
    }
    this.memory.last = building;
    return { moved, gone };
  }

  /** Finds supports and shares panels again on the levels whose items changed. @returns those levels */
  readLevels(building: Building): ReadonlySet<LevelState> {
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
        this.stale.mark(slot);
      });
  }

  /** Weighs panels of the levels that were touched, or of all when a build-up changed; members on which that tells become stale. */
  weighPanels(building: Building, touched: ReadonlySet<LevelState>): void {
    const { memory, reach } = this;
    const { panels, levels, slots } = memory;
    // in a first run all is stale: each level is weighed just before its members are calculated, while it is at hand
    if (!memory.routed) {
      for (const level of touched) memory.unweighed.add(level);
      return;
    }
    const lay = (level: LevelState) => {
      for (const id of level.layPanels()) this.stale.mark(slots.get(id));
    };
    for (const level of touched) {
      panels.weigh(building, level, reach);
      lay(level);
    }
    for (const level of panels.moved(levels.all(), touched)) if (panels.weigh(building, level, reach)) lay(level);
    if (this.buildUpsMoved) for (const slot of memory.withBuildUps) this.stale.mark(slot);
  }

  /** A level whose panels are weighed. */
  weighed(building: Building, level: LevelState): LevelState {
    const { unweighed, panels } = this.memory;
    if (unweighed.delete(level)) {
      panels.weigh(building, level, this.reach);
      level.layPanels();
    }
    return level;
  }

  /** Who hands to whom now, and the order that follows; members that hand on otherwise, or get otherwise, become stale. */
  findRoute(building: Building, { moved, gone }: { moved: Set<Slot>; gone: readonly Slot[] }): void {
    const { route, slots } = this.memory;
    const of = (slot: Slot, targets: readonly Slot[]) => ({ mark: slot.node.mark, elevation: elevationOf(building, slot.node), targets });
    const ask = (slot: Slot) => of(slot, this.targetsOf(slot));
    if (!this.memory.routed) {
      // found with the bearers
      route.rebuild(slots.values(), (slot) => of(slot, slot.targets));
      this.memory.routed = true;
      return;
    }
    for (const slot of this.stale.list) if (slots.has(slot.id) && !sameLists(slot.targets, this.targetsOf(slot))) moved.add(slot);
    if (moved.size === 0 && gone.length === 0) return;
    // those that were handed something before are calculated again
    for (const slot of moved) this.loosen(slot);
    const touched = moved.size < 500 ? route.update(moved, gone, ask) : null;
    if (touched) for (const slot of touched) this.stale.mark(slot);
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
      if (!sameLists(slot.givers, givers)) this.stale.mark(slot);
    }
  }

  /** A member that hands on otherwise is calculated again, with those that it handed to. */
  private loosen(slot: Slot): void {
    this.stale.mark(slot);
    for (const { on } of slot.handed) this.stale.mark(this.memory.slots.get(on));
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
  placeLoads(building: Building): LooseEnd[] {
    const { slots, loads } = this.memory;
    const byMember = new Map<string, Named<ExtraLoad>[]>();
    const ends: LooseEnd[] = [];
    for (const load of building.loads) {
      const { id, body } = load;
      // panels weigh what lies on them, and say of what they cannot spread
      if (building.panels.has(body.on)) continue;
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
    for (const [id, list] of byMember) if (!sameLoads(loads.get(id) ?? NONE, list)) this.stale.mark(slots.get(id));
    for (const id of loads.keys()) if (!byMember.has(id)) this.stale.mark(slots.get(id));
    this.memory.loads = byMember;
    return ends;
  }
}

/** Beams and walls change with their level, what stands on a point with what stands above it. */
function neighbourhood({ body, place }: Node): Neighbourhood {
  return 'at' in place ? place : { level: 'level' in body ? body.level : '' };
}

function sameNeighbourhood(a: Node, b: Node): boolean {
  const [one, two] = [neighbourhood(a), neighbourhood(b)];
  return 'at' in one ? 'at' in two && one.at.x === two.at.x && one.at.y === two.at.y : 'level' in two && one.level === two.level;
}
