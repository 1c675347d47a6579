import type { Building } from '../building';
import { doubtEnd } from './doubts';
import { withOneMore } from './few';
import type { Landed } from './landed';
import type { LooseEnd } from './ledger';
import { sharePanels, type HeldPanel } from './panels';
import { sameLists } from './same';
import { findSupports } from './support/find';
import type { FoundSupports } from './support/found';
import { LevelSorter, type LevelPlan } from './support/levelPlan';

const NONE: readonly never[] = [];

/** A level as it was last, with what was found on it. */
export class LevelState {
  /** What its panels put on each member. */
  landings: ReadonlyMap<string, readonly Landed[]>;
  panelEnds: readonly LooseEnd[];
  readonly doubts: readonly LooseEnd[];
  /** Parts of its supports that are as they were. */
  readonly kept: ReadonlySet<unknown>;
  #panels: readonly HeldPanel[] | null;
  #buildUps: ReadonlySet<string> | undefined = undefined;

  /** @param panels null: shared when somebody asks */
  constructor(
    readonly plan: LevelPlan,
    readonly supports: FoundSupports,
    private readonly reach: number,
    panels: readonly HeldPanel[] | null,
    old: LevelState | undefined,
  ) {
    this.#panels = panels;
    this.landings = old?.landings ?? new Map();
    this.panelEnds = old?.panelEnds ?? NONE;
    const { doubts, postDoubts } = supports;
    const same = doubts === old?.supports.doubts && postDoubts === old.supports.postDoubts;
    this.doubts = same ? old.doubts : [...doubts, ...postDoubts].map(doubtEnd);
    this.kept = new Set(old && [old.supports.beams, old.supports.posts, old.supports.walls]);
  }

  /** How its panels lie on its beams and walls. */
  get panels(): readonly HeldPanel[] {
    return (this.#panels ??= sharePanels(this.plan, this.reach));
  }

  /** Does a panel have one of these build-ups? */
  lays(buildUps: ReadonlySet<string>): boolean {
    this.#buildUps ??= new Set(this.panels.map(({ body }) => body.buildUp));
    for (const id of buildUps) if (this.#buildUps.has(id)) return true;
    return false;
  }

  /** Gathers what its panels put on members. @returns members to which that is news */
  layPanels(): string[] {
    const now = new Map<string, readonly Landed[]>();
    const ends: LooseEnd[] = [];
    for (const { weight } of this.panels) {
      for (const landing of weight!.landings) {
        const known = now.get(landing.on);
        const list = withOneMore(known ?? NONE, landing);
        if (list !== known) now.set(landing.on, list);
      }
      for (const end of weight!.looseEnds) ends.push(end);
    }
    const news: string[] = [];
    for (const [member, list] of now) if (!sameLists(this.landings.get(member) ?? NONE, list)) news.push(member);
    for (const member of this.landings.keys()) if (!now.has(member)) news.push(member);
    this.landings = now;
    this.panelEnds = ends;
    return news;
  }
}

/** What has come of reading the levels of a building. */
export interface LevelNews {
  /** Levels on which something changed. */
  readonly touched: readonly LevelState[];
  /** Members that rest on nothing of any level any more: they are gone. */
  readonly without: readonly string[];
  /** Panels that are on the level no more, as they were held. */
  readonly panelsGone: readonly HeldPanel[];
}

/** The levels of a building, each with its supports and shared panels; those on which nothing changed stay as they are. */
export class LevelStore {
  private levels = new Map<string, LevelState>();
  private readonly sorter = new LevelSorter();

  all(): Iterable<LevelState> {
    return this.levels.values();
  }

  *plans(): Generator<LevelPlan> {
    for (const { plan } of this.levels.values()) yield plan;
  }

  get(id: string): LevelState | undefined {
    return this.levels.get(id);
  }

  /**
   * Finds supports and shares panels again on the levels whose items changed.
   * @param reach how near counts as touching, mm
   * @param onFirst called with each level that was not there before, while it is at hand
   */
  read(building: Building, reach: number, onFirst: (level: LevelState) => void): LevelNews {
    const next = new Map<string, LevelState>();
    const touched: LevelState[] = [];
    const before: LevelState[] = [];
    for (const plan of this.sorter.sort(building)) {
      const old = this.levels.get(plan.id);
      if (old?.plan === plan) {
        next.set(plan.id, old);
        continue;
      }
      const sameLines = old !== undefined && old.plan.beams === plan.beams && old.plan.wallsBelow === plan.wallsBelow;
      const panels = sameLines && old.plan.panels === plan.panels ? old.panels : old ? sharePanels(plan, reach, old.panels) : null;
      const state = new LevelState(plan, findSupports(plan, reach, old), reach, panels, old);
      next.set(plan.id, state);
      touched.push(state);
      if (old) before.push(old);
      else onFirst(state);
    }
    this.levels = next;
    const isBorne = (id: string) =>
      touched.some(({ supports }) => supports.beams.has(id) || supports.posts.has(id) || supports.walls.has(id));
    const without: string[] = [];
    const panelsGone: HeldPanel[] = [];
    for (const { supports, panels, plan } of before) {
      const now = next.get(plan.id)!;
      for (const part of ['beams', 'posts', 'walls'] as const)
        if (supports[part] !== now.supports[part])
          for (const id of supports[part].keys()) if (!now.supports[part].has(id) && !isBorne(id)) without.push(id);
      if (panels === now.panels) continue;
      const standing = new Set(now.panels.map(({ id }) => id));
      for (const panel of panels) if (!standing.has(panel.id)) panelsGone.push(panel);
    }
    return { touched, without, panelsGone };
  }
}
