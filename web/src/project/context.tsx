import { createContext, useContext, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { ApiItem } from '@plinth/api';
import type { Brief, Building, Item, ItemKind, UnitSystem } from '@plinth/core';
import type { Computed } from './engine.worker';
import type { ProjectState, ProjectStore } from './store';

const StoreContext = createContext<ProjectStore | null>(null);

export function ProjectProvider({ store, children }: { store: ProjectStore; children: ReactNode }) {
  return <StoreContext value={store}>{children}</StoreContext>;
}

export function useStore(): ProjectStore {
  const store = useContext(StoreContext);
  if (!store) throw new Error('used outside a project');
  return store;
}

export function useProjectState(): ProjectState {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, store.getState);
}

export interface Ready {
  readonly store: ProjectStore;
  readonly building: Building;
  readonly brief: Brief;
  readonly units: 'SI' | 'US';
  readonly computed: Computed;
}

/** The project as computed; rooms are shown only when there is one. */
export function useProject(): Ready {
  const store = useStore();
  const { building, computed } = useProjectState();
  if (!building || !computed) throw new Error('used before the project was computed');
  return { store, building, brief: building.brief, units: building.brief.units, computed };
}

const UnitsContext = createContext<UnitSystem | null>(null);

/** Units of what is shown outside any project. */
export function UnitsProvider({ units, children }: { units: UnitSystem; children: ReactNode }) {
  return <UnitsContext value={units}>{children}</UnitsContext>;
}

const never = () => () => undefined;

/** The units in which fields read and show: those of the project, without following every edit, or those set around it. */
export function useUnits(): UnitSystem {
  const fixed = useContext(UnitsContext);
  const store = useContext(StoreContext);
  return useSyncExternalStore(store?.subscribe ?? never, () => fixed ?? store?.getState().building?.brief.units ?? 'SI');
}

const known = new WeakMap<ApiItem, Item>();

/** An item without its revision; the same object as long as the item is the same, so that what shows it can rest. */
function itemOf(stored: ApiItem): Item {
  let item = known.get(stored);
  if (!item) known.set(stored, (item = { id: stored.id, kind: stored.kind, body: stored.body } as Item));
  return item;
}

/** Items of one kind as they are here, with ids. */
export function useItems<K extends ItemKind>(kind: K): Extract<Item, { kind: K }>[] {
  const { items } = useProjectState();
  return useMemo(() => [...items.values()].filter((item) => item.kind === kind).map(itemOf) as Extract<Item, { kind: K }>[], [items, kind]);
}

/** What is selected and which level is shown stand in the address, so that a view can be linked to and gone back to. */
export function useView() {
  const [params, setParams] = useSearchParams();
  const change = (name: string, value: string | null) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === null) next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  return {
    selected: params.get('item'),
    select: (id: string | null) => change('item', id),
    level: params.get('level'),
    showLevel: (id: string) => change('level', id),
    sheet: params.get('sheet'),
    openSheet: (id: string | null) => change('sheet', id),
  };
}
