import { createContext, useContext, useSyncExternalStore, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { levelOf, type Brief, type Building, type Item, type ItemKind, type UnitSystem } from '@plinth/core';
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

/**
 * A part of the project's state; who uses it is drawn again only when that part is another one.
 * @param of gives something that stays the very same as long as it says the same
 */
export function useProjectPart<T>(of: (state: ProjectState) => T): T {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, () => of(store.getState()));
}

/** All items as they are here. */
export const useAllItems = () => useProjectPart(({ items }) => items);

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
  const shown = useProjectPart((state) => state.shown);
  if (!shown) throw new Error('used before the project was computed');
  const { building, computed } = shown;
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
  return useSyncExternalStore(store?.subscribe ?? never, () => fixed ?? store?.getState().shown?.building.brief.units ?? 'SI');
}

/** Items of one kind as they are here, with ids. */
export function useItems<K extends ItemKind>(kind: K): readonly Extract<Item, { kind: K }>[] {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, () => store.ofKind(kind));
}

/** The level that is shown: the one in the address, else that of what is selected, else the highest; undefined while there is none. */
export function useShownLevel(): string | undefined {
  const { building } = useProject();
  const { level, selected } = useView();
  const known = (id: string | null | undefined) => building.levels.find((entry) => entry.id === id)?.id;
  return known(level) ?? known(selected ? levelOf(building, selected) : null) ?? building.levels[0]?.id;
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
