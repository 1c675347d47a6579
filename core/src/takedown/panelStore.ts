import type { Building, ExtraLoad, Named } from '../building';
import type { LevelState } from './levels';
import type { PanelSharing } from './panel/share';
import { weighPanel, type HeldPanel } from './panels';
import { areaLoadsOf, otherValues, sameAreas, sameLoads } from './same';
import type { BookShelf } from './shelf';

const NONE: readonly never[] = [];

/** The panels of a building as they were last weighed, level by level. */
export class PanelStore {
  readonly sharings = new Map<string, PanelSharing>();
  /** Panels that were shared or weighed again, or are gone, in this run. */
  news: string[] = [];
  private areas: ReadonlyMap<string, readonly Named<ExtraLoad>[]> = new Map();
  private areasMoved = false;
  private buildUps: ReadonlyMap<string, unknown> = new Map();
  private otherBuildUps: ReadonlySet<string> = new Set();

  constructor(private readonly shelf: BookShelf) {}

  /** Takes up the build-ups and the loads on parts of panels. @returns true when build-ups are others than before */
  begin(building: Building): boolean {
    this.news = [];
    this.otherBuildUps = otherValues(this.buildUps, building.buildUps);
    this.buildUps = building.buildUps;
    const areas = areaLoadsOf(building);
    this.areasMoved = !sameAreas(areas, this.areas);
    this.areas = areas;
    return this.otherBuildUps.size > 0;
  }

  drop({ id, entry }: HeldPanel): void {
    entry?.remove();
    this.sharings.delete(id);
    this.news.push(id);
  }

  /** Levels that were not touched, but of which panels may weigh something else. */
  *moved(levels: Iterable<LevelState>, touched: ReadonlySet<LevelState>): Generator<LevelState> {
    if (this.areasMoved || this.otherBuildUps.size > 0)
      for (const level of levels) if (!touched.has(level) && (this.areasMoved || level.lays(this.otherBuildUps))) yield level;
  }

  /** Weighs what changed among the panels of a level. @returns true when something did */
  weigh(building: Building, { panels }: LevelState, reach: number): boolean {
    const { areas, shelf, sharings, news } = this;
    let weighedAny = false;
    for (const panel of panels) {
      const { id, body, weight } = panel;
      const on = areas.size === 0 ? NONE : (areas.get(id) ?? NONE);
      if (weight && weight.buildUp === building.buildUps.get(body.buildUp) && sameLoads(weight.areas, on)) continue;
      panel.weight = weighPanel(building, panel, on, reach);
      sharings.set(id, panel.sharing);
      news.push(id);
      panel.entry ??= shelf.place(id, body, 'panel');
      panel.entry.set(panel.weight.book);
      weighedAny = true;
    }
    return weighedAny;
  }
}
