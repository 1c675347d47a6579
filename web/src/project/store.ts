import { wrap, type Remote } from 'comlink';
import {
  Assembler,
  readItem,
  requireBuildable,
  requireRead,
  SupportPlacer,
  type Building,
  type Change,
  type Item,
  type ItemKind,
} from '@plinth/core';
import type { ApiItem, CommandReply, ProjectSnapshot } from '@plinth/api';
import { api, ServerError } from './api';
import type { Computed, Engine } from './engine.worker';
import { HeldResult } from './held';
import { HeldItems, type ItemChange } from './items';
import { whoAmI, whyNow } from './journal';
import { idOfEdit, Outbox, type Edit, type Unsent } from './outbox';

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
  /** Edits that the server has not acknowledged. */
  readonly unsent: number;
  /** False while some of them would be lost with this page. */
  readonly isKept: boolean;
}

export type { Edit } from './outbox';

/** After how long an edit is sent again, ms: the last one over and over. */
const AGAIN = [500, 1000, 2000, 4000];

/** Answers that say: not now. Everything else that is no yes is a refusal. */
const NOT_NOW = new Set([0, 408, 429, 500, 502, 503, 504]);

const isNotNow = (error: unknown) => !(error instanceof ServerError) || NOT_NOW.has(error.status);

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
  private readonly outbox: Outbox;
  /** Who waits to hear what became of a command: of those that an earlier page left, nobody. */
  private readonly waiting = new Map<string, { readonly done: () => void; readonly refused: (error: Error) => void }>();
  private sending = false;
  private tries = 0;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private closed = false;
  /** What is shown is not what the server has: it could not be asked when it had to be. */
  private stale = false;
  /** Told of what is refused when nobody waits for it any more. */
  onRefusal: (message: string) => void = () => undefined;

  get id(): string {
    return this.state.id;
  }

  constructor(snapshot: ProjectSnapshot, storage: Storage = localStorage) {
    this.items = new HeldItems(snapshot.list);
    this.outbox = new Outbox(snapshot.id, storage);
    this.applyUnsent();
    this.state = {
      id: snapshot.id,
      items: this.items.all,
      version: snapshot.version,
      shown: null,
      failed: null,
      save: this.outbox.size === 0 ? 'saved' : 'not saved',
      unsent: this.outbox.size,
      isKept: true,
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

  /**
   * Listens to what other screens do, from now on; a gap is closed by asking for what changed since. A page that nobody sees, or that the browser
   * keeps aside, does not listen: a browser has few connections to a server, and they are wanted by the pages that are seen.
   */
  connect(): () => void {
    const listen = () => {
      if (document.hidden || this.events || this.closed) return;
      this.events = new EventSource(`/api/projects/${this.state.id}/events`);
      this.events.onmessage = ({ data }) => {
        const { version } = JSON.parse(data as string) as { version: number };
        if (version > this.state.version) void this.catchUp().catch(() => undefined);
      };
      this.events.onopen = () => {
        this.sendNow();
        void this.catchUp().catch(() => undefined);
      };
    };
    const rest = () => {
      this.events?.close();
      this.events = null;
    };
    const seen = () => (document.hidden ? rest() : listen());
    const online = () => this.sendNow();
    const leaving = (event: BeforeUnloadEvent) => {
      if (!this.outbox.isKept) event.preventDefault();
    };
    listen();
    this.sendNow();
    document.addEventListener('visibilitychange', seen);
    window.addEventListener('pagehide', rest);
    window.addEventListener('pageshow', listen);
    window.addEventListener('online', online);
    window.addEventListener('beforeunload', leaving);
    return () => {
      this.closed = true;
      if (this.timer) clearTimeout(this.timer);
      document.removeEventListener('visibilitychange', seen);
      window.removeEventListener('pagehide', rest);
      window.removeEventListener('pageshow', listen);
      window.removeEventListener('online', online);
      window.removeEventListener('beforeunload', leaving);
      rest();
      this.worker.terminate();
    };
  }

  private catchUp(): Promise<void> {
    return this.enqueue(async () => {
      const { version, changed, removed } = await api.changes(this.state.id, this.state.version);
      if (version <= this.state.version || this.outbox.size > 0) return;
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

  /** Items as they are with an edit made: revisions stay those of the server. */
  private changesOf(edits: readonly Edit[]): ItemChange[] {
    return edits.map((edit): ItemChange => {
      if ('remove' in edit) return [edit.remove, null];
      const { id, kind, body } = edit.put;
      return [id, { id, kind, body, revision: this.items.all.get(id)?.revision ?? -1 }];
    });
  }

  /** Shows what waits here over what the server says. */
  private applyUnsent(): void {
    for (const { edits } of this.outbox.commands) this.items.change(this.changesOf(edits));
  }

  private setSave(save: SaveState = this.tries > 0 ? 'not saved' : this.outbox.size === 0 ? 'saved' : 'saving'): void {
    this.set({ save, unsent: this.outbox.size, isKept: this.outbox.isKept });
  }

  /**
   * Makes edits as one command. It is shown at once, kept in the browser until the server acknowledges it, and sent again until it does.
   * @returns once it is acknowledged, or kept because the server cannot be reached
   * @throws Error with a message for the person when an edit cannot be, here or at the server; nothing of it stays
   */
  async edit(summary: string, edits: readonly Edit[], reason = ''): Promise<void> {
    const made = edits.map((edit): Edit => ('remove' in edit ? edit : { put: readItem(edit.put) }));
    const before = this.items.all;
    const changes = this.changesOf(made);
    const touched = new Set(made.map(idOfEdit));
    this.items.change(changes);
    try {
      const known = this.items.all as unknown as ReadonlyMap<string, Item>;
      requireBuildable(known, touched);
      requireRead(known, (id) => before.get(id) as Pick<Item, 'body'> | undefined, touched);
    } catch (error) {
      this.items.change([...touched].map((id): ItemChange => [id, before.get(id) ?? null]));
      throw error;
    }
    const revision = (id: string) => {
      const known = before.get(id)?.revision;
      return known === undefined || known === -1 ? null : known;
    };
    const command: Unsent = {
      commandId: newId(),
      who: whoAmI(),
      summary,
      reason: reason || whyNow(),
      edits: made,
      seen: Object.fromEntries([...touched].map((id) => [id, revision(id)])),
    };
    this.outbox.add(command);
    this.setSave();
    void this.compute();
    // while the server is away, what is kept is as good as done: the badge says that it is not saved
    if (this.tries > 0 && this.outbox.isKept) return;
    const settled = new Promise<void>((done, refused) => this.waiting.set(command.commandId, { done, refused }));
    void this.send();
    await settled;
  }

  /** Sends what waits, at once: somebody asks for it, or the server is heard of again. */
  readonly sendNow = (): void => {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    void this.send();
  };

  /** Sends what waits, one after the other, in its turn among what else is asked of the server. */
  private async send(): Promise<void> {
    if (this.sending || this.timer) return;
    this.sending = true;
    try {
      if (this.stale) await this.enqueue(() => this.reload());
      if (this.stale) return;
      for (let command = this.outbox.first; command && !this.closed; command = this.outbox.first) {
        const next = command;
        const goOn = await this.enqueue(() => this.deliver(next));
        if (!goOn) break;
      }
    } finally {
      this.sending = false;
    }
  }

  /** @returns false when the server cannot be reached: it will be tried again */
  private async deliver({ commandId, who, summary, reason, edits, seen }: Unsent): Promise<boolean> {
    const changes = edits.map((edit): Change => {
      const revision = seen[idOfEdit(edit)] ?? null;
      return 'remove' in edit ? { op: 'remove', id: edit.remove, revision: revision ?? 0 } : { op: 'put', item: edit.put, revision };
    });
    const wait = this.waiting.get(commandId);
    try {
      const reply = await api.command(this.state.id, { commandId, who, summary, reason, changes });
      this.tries = 0;
      const moved = reply.changed.map(({ id, revision }) => [id, revision] as const);
      const gone = reply.removed.map((id) => [id, null] as const);
      this.outbox.acknowledge(commandId, new Map<string, number | null>([...moved, ...gone]));
      this.accept(reply);
      wait?.done();
    } catch (error) {
      if (isNotNow(error)) {
        this.tryAgain();
        wait?.done();
        return false;
      }
      this.outbox.drop(commandId);
      await this.reload();
      if (wait) wait.refused(error as Error);
      else this.onRefusal(`“${summary}” was not saved: ${(error as Error).message}`);
    } finally {
      this.waiting.delete(commandId);
    }
    return true;
  }

  private tryAgain(): void {
    const after = AGAIN[Math.min(this.tries, AGAIN.length - 1)]!;
    this.tries += 1;
    this.setSave();
    // everybody who waits is let go: what they did is kept here
    for (const [id, { done }] of this.waiting) {
      done();
      this.waiting.delete(id);
    }
    if (this.closed) return;
    this.timer = setTimeout(() => {
      this.timer = null;
      void this.send();
    }, after);
  }

  /** Gives up what the server has not acknowledged, and shows what it has. */
  async discardUnsent(): Promise<void> {
    for (const { commandId } of this.outbox.commands) this.outbox.drop(commandId);
    this.tries = 0;
    await this.reload();
  }

  /** The server's word on what was just sent: revisions move on, later edits that wait here stay on the screen. */
  private accept({ version, changed, removed }: CommandReply): void {
    const waits = new Set(this.outbox.commands.flatMap(({ edits }) => edits.map(idOfEdit)));
    const here = this.items.all;
    const moved = changed.flatMap((item): ItemChange[] => {
      if (!waits.has(item.id)) return [[item.id, item]];
      const held = here.get(item.id);
      return held ? [[item.id, { ...held, revision: item.revision }]] : [];
    });
    const gone = removed.filter((id) => !waits.has(id)).map((id): ItemChange => [id, null]);
    this.items.change([...gone, ...moved]);
    const missed = version > this.state.version + 1;
    if (!missed) this.set({ version: Math.max(version, this.state.version) });
    this.setSave();
    if (missed) void this.catchUp().catch(() => undefined);
  }

  private async reload(): Promise<void> {
    try {
      const { list, version } = await api.project(this.state.id);
      this.items.replace(list);
      this.applyUnsent();
      this.stale = false;
      this.tries = 0;
      this.set({ version });
      this.setSave();
    } catch {
      this.stale = true;
      this.tryAgain();
      return;
    }
    await this.compute();
  }

  /** Takes back one's own last command, or brings it back. @returns what was done, in words */
  step(mode: 'undo' | 'redo'): Promise<string> {
    if (this.tries > 0) return Promise.reject(new Error(`The server cannot be reached: ${mode} works again once your edits are saved.`));
    return this.enqueue(async () => {
      const reply = await api.step(this.state.id, mode, whoAmI(), newId());
      this.merge(reply);
      return reply.summary;
    });
  }
}
