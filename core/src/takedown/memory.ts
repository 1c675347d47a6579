import { MapView, type Building, type ExtraLoad, type Named } from '../building';
import type { Calculated } from './calculated';
import { LevelStore, type LevelState } from './levels';
import { PanelStore } from './panelStore';
import { Plumb } from './plumb';
import { Route } from './route';
import type { Bearers } from './same';
import { BookShelf } from './shelf';
import type { Slot } from './slot';
import { Stale } from './stale';

/** All that the engine knows of a building whose levels stay where they are. */
export class Memory {
  readonly levels = new LevelStore();
  readonly stale = new Stale();
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
  readonly withBuildUps = new Set<Slot>();
  /** Members with loose ends. */
  readonly withEnds = new Set<Slot>();
}
