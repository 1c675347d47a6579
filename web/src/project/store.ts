import { wrap, type Remote } from 'comlink';
import { Assembler, PlinthError, readItem, SupportPlacer, type Building, type Change, type Item, type ItemKind } from '@plinth/core';
import type { ApiItem, CommandReply, ProjectSnapshot } from '@plinth/api';
import { api, ServerError } from './api';
import type { Computed, Engine } from './engine.worker';
import { HeldResult } from './held';
import { HeldItems, type ItemChange } from './items';
import { whoAmI, whyNow } from './journal';

export type SaveState = 'saved' | 'saving' | 'not saved';

/** A building with what was computed of it. */
export interface Shown {
  readonly building: Building;
  readonly computed: Computed;
}

export interface ProjectState {
  readonly id: string;
  readonly items: ReadonlyMap<string, ApiItem>;
  readonly version: number;
  /** Null before anything was computed, and when nothing can be. */
  readonly shown: Shown | null;
  /** Why nothing could be computed. */
  readonly failed: string | null;
  readonly save: SaveState;
}

/** One edit as a room writes it: the store adds revisions. */
export type Edit = { readonly put: Item } | { readonly remove: string };

/** How often designs that come bit by bit are shown, ms. */
const SHOWN_EVERY = 250;

/** Waits until the screen is painted; not for long where it never is, as in a window that nobody sees. */
function painted(): Promise<void> {
  return new Promise((resolve) => {
    const done = () => setTimeout(resolve, 0);
    requestAnimationFrame(done);
    setTimeout(resolve, 100);
  });
}

const newId = () => crypto.randomUUID();

/**
 * One open project: the items as they are here, what was computed of them, and the way to the server. An edit is shown and
 * computed at once and sent after; when the server refuses it, what is there now comes back and the caller is told why.
 */
export class ProjectStore {
  private state: ProjectState;
  private readonly listeners = new Set<() => void>();
  private readonly worker = new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' });
  readonly engine: Remote<Engine> = wrap<Engine>(this.worker);
  private events: EventSource | null = null;
  private queue: Promise<unknown> = Promise.resolve();
  private computing = false;
  private readonly items: HeldItems;
  private readonly held = new HeldResult();
  private readonly assembler = new Assembler();
  private readonly placer = new SupportPlacer();
  private again = false;
  private unsent = 0;

  get id(): string {
    return this.state.id;
  }

  constructor(snapshot: ProjectSnapshot) {
    this.items = new HeldItems(snapshot.list);
    this.state = {
      id: snapshot.id,
      items: this.items.all,
      version: snapshot.version,
      shown: null,
      failed: null,
      save: 'saved',
    };
    void this.compute();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly getState = (): ProjectState => this.state;

  /** Items of one kind: the very same list as long as nothing of the kind changes. */
  ofKind<K extends ItemKind>(kind: K): readonly Extract<Item, { kind: K }>[] {
    return this.items.ofKind(kind);
  }

  /** Changes the state, with the items as they are held now. */
  private set(change: Partial<Omit<ProjectState, 'items'>>): void {
    this.state = { ...this.state, ...change, items: this.items.all };
    for (const listener of this.listeners) listener();
  }

  /** Listens to what other screens do, from now on; a gap is closed by asking for what changed since. */
  connect(): () => void {
    this.events = new EventSource(`/api/projects/${this.state.id}/events`);
    this.events.onmessage = ({ data }) => {
      const { version } = JSON.parse(data as string) as { version: number };
      if (version > this.state.version) void this.catchUp();
    };
    this.events.onopen = () => void this.catchUp();
    return () => {
      this.events?.close();
      this.worker.terminate();
    };
  }

  private catchUp(): Promise<void> {
    return this.enqueue(async () => {
      const { version, changed, removed } = await api.changes(this.state.id, this.state.version);
      if (version <= this.state.version || this.unsent > 0) return;
      this.merge({ version, changed, removed });
    });
  }

  private merge({ version, changed, removed }: Pick<CommandReply, 'version' | 'changed' | 'removed'>): void {
    this.items.change([...removed.map((id): ItemChange => [id, null]), ...changed.map((item): ItemChange => [item.id, item])]);
    this.set({ version });
    void this.compute();
  }

  private enqueue<T>(work: () => Promise<T>): Promise<T> {
    const next = this.queue.then(work, work);
    this.queue = next.catch(() => undefined);
    return next;
  }

  /** Recomputes; edits that come meanwhile are taken together in one more run. */
  private async compute(): Promise<void> {
    if (this.computing) {
      this.again = true;
      return;
    }
    this.computing = true;
    try {
      do {
        this.again = false;
        const { items } = this.state;
        const { changed, removed } = this.items.tell();
        const reply = await this.engine.compute(changed, removed);
        if ('failed' in reply) {
          this.set({ failed: reply.failed, shown: null });
          continue;
        }
        this.held.take(reply);
        if (this.again) continue;
        this.show(items);
        if (this.held.pending > 0) await this.designOn(items);
      } while (this.again);
    } finally {
      this.computing = false;
    }
  }

  private show(items: ReadonlyMap<string, ApiItem>): void {
    const drawn = this.assembler.assemble([...items.values()] as unknown as Item[]);
    const { computed, restsElsewhere } = this.held.show();
    this.set({ failed: null, shown: { computed, building: this.placer.place(drawn, computed.takedown, restsElsewhere) } });
  }

  /** The designs of a large building come bit by bit, and are shown a few times a second; an edit that comes meanwhile goes first. */
  private async designOn(items: ReadonlyMap<string, ApiItem>): Promise<void> {
    let shown = performance.now();
    while (this.held.pending > 0 && !this.again) {
      // what was edited is painted first: designing takes a processor from that
      await painted();
      if (this.again) return;
      this.held.take(await this.engine.goOn());
      if (this.again || (this.held.pending > 0 && performance.now() - shown < SHOWN_EVERY)) continue;
      this.show(items);
      shown = performance.now();
    }
  }

  /**
   * Makes edits as one command.
   * @throws Error with a message for the person when an edit cannot be, here or at the server; nothing of it stays
   */
  async edit(summary: string, edits: readonly Edit[], reason = ''): Promise<void> {
    const why = reason || whyNow();
    const before = this.items.all;
    const changes = edits.map((edit): ItemChange => {
      if ('remove' in edit) return [edit.remove, null];
      const { id, kind, body } = readItem(edit.put);
      return [id, { id, kind, body, revision: before.get(id)?.revision ?? -1 }];
    });
    this.items.change(changes);
    this.unsent += 1;
    this.set({ save: 'saving' });
    void this.compute();
    const commandId = newId();
    await this.enqueue(async () => {
      try {
        // revisions are taken when it is this command's turn: those before it have moved them
        const sent = edits.map((edit): Change => {
          const id = 'remove' in edit ? edit.remove : edit.put.id;
          const known = this.state.items.get(id)?.revision ?? before.get(id)?.revision ?? null;
          const revision = known === -1 ? null : known;
          return 'remove' in edit ? { op: 'remove', id, revision: revision ?? 0 } : { op: 'put', item: edit.put, revision };
        });
        const reply = await api.command(this.state.id, { commandId, who: whoAmI(), summary, reason: why, changes: sent });
        this.unsent -= 1;
        this.accept(reply);
      } catch (error) {
        this.unsent -= 1;
        await this.reload();
        throw error instanceof ServerError || error instanceof PlinthError ? error : new Error('The edit could not be saved.');
      }
    });
  }

  /** The server's word on what was just sent: revisions move on, later edits that wait here stay on the screen. */
  private accept({ version, changed, removed }: CommandReply): void {
    const isLast = this.unsent === 0;
    const gone = isLast ? removed.map((id): ItemChange => [id, null]) : [];
    const moved = changed.flatMap((item): ItemChange[] => {
      if (isLast) return [[item.id, item]];
      const here = this.items.all.get(item.id);
      return here ? [[item.id, { ...here, revision: item.revision }]] : [];
    });
    this.items.change([...gone, ...moved]);
    const missed = version > this.state.version + 1;
    this.set({ version: missed ? this.state.version : version, save: this.unsent === 0 ? 'saved' : 'saving' });
    if (missed) void this.catchUp();
  }

  private async reload(): Promise<void> {
    try {
      const { list, version } = await api.project(this.state.id);
      this.items.replace(list);
      this.set({ version, save: 'saved' });
      await this.compute();
    } catch {
      this.set({ save: 'not saved' });
    }
  }

  /** Takes back one's own last command, or brings it back. @returns what was done, in words */
  step(mode: 'undo' | 'redo'): Promise<string> {
    return this.enqueue(async () => {
      const reply = await api.step(this.state.id, mode, whoAmI(), newId());
      this.merge(reply);
      return reply.summary;
    });
  }
}
