import type { Item } from '@plinth/core';

/** One edit as a room writes it: revisions are added when it is sent. */
export type Edit = { readonly put: Item } | { readonly remove: string };

export const idOfEdit = (edit: Edit) => ('remove' in edit ? edit.remove : edit.put.id);

/** A command that the server has not acknowledged yet. */
export interface Unsent {
  /** Stays the same however often it is sent, so that the server writes it once. */
  readonly commandId: string;
  readonly who: string;
  readonly summary: string;
  readonly reason: string;
  readonly edits: readonly Edit[];
  /** Revision of each item that the edit was made on; null: the item was new. */
  readonly seen: Readonly<Record<string, number | null>>;
}

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

const PREFIX = 'plinth.unsent.';

/**
 * Commands of one project that wait for the server, in order. Each is kept in the browser's storage until it is acknowledged, so that a
 * reload, or a crash, of the page loses none.
 */
export class Outbox {
  private readonly list: { readonly key: string; command: Unsent; kept: boolean }[] = [];
  private serial: number;

  /** Takes up what an earlier page of the project left. */
  constructor(
    private readonly project: string,
    private readonly store: Store,
    now = Date.now(),
  ) {
    const keys = Array.from({ length: store.length }, (_, i) => store.key(i)!).filter((key) => key.startsWith(`${PREFIX}${project}.`));
    for (const key of keys.sort()) {
      const command = readUnsent(store.getItem(key));
      if (command) this.list.push({ key, command, kept: true });
      else store.removeItem(key);
    }
    this.serial = now;
  }

  get commands(): readonly Unsent[] {
    return this.list.map(({ command }) => command);
  }

  get first(): Unsent | undefined {
    return this.list[0]?.command;
  }

  get size(): number {
    return this.list.length;
  }

  /** False while something is held by this page only: the browser's storage is full, or closed. */
  get isKept(): boolean {
    return this.list.every(({ kept }) => kept);
  }

  add(command: Unsent): void {
    this.serial += 1;
    // as wide as any time, so that keys sort as they were made
    const entry = { key: `${PREFIX}${this.project}.${String(this.serial).padStart(16, '0')}`, command, kept: false };
    entry.kept = this.keep(entry.key, command);
    this.list.push(entry);
  }

  /** The server has written a command: later ones are on the revisions that it made. */
  acknowledge(commandId: string, revisions: ReadonlyMap<string, number | null>): void {
    for (const entry of this.list) {
      if (entry.command.commandId === commandId) continue;
      const seen = { ...entry.command.seen };
      let isMoved = false;
      for (const [id, revision] of revisions)
        if (id in seen && seen[id] !== revision) {
          seen[id] = revision;
          isMoved = true;
        }
      if (!isMoved) continue;
      entry.command = { ...entry.command, seen };
      entry.kept = this.keep(entry.key, entry.command);
    }
    this.drop(commandId);
  }

  /** Forgets a command: the server refused it, or somebody gave it up. */
  drop(commandId: string): void {
    const at = this.list.findIndex(({ command }) => command.commandId === commandId);
    if (at < 0) return;
    this.store.removeItem(this.list[at]!.key);
    this.list.splice(at, 1);
  }

  private keep(key: string, command: Unsent): boolean {
    try {
      this.store.setItem(key, JSON.stringify(command));
      return true;
    } catch {
      return false;
    }
  }
}

function readUnsent(text: string | null): Unsent | null {
  try {
    const command = JSON.parse(text ?? '') as Unsent;
    return typeof command.commandId === 'string' && Array.isArray(command.edits) ? command : null;
  } catch {
    return null;
  }
}
