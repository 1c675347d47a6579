import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { ApiError, ApiItem, Command, CommandReply } from '@plinth/api';
import {
  filesOf,
  MODEL_VERSION,
  requireBuildable,
  requireRead,
  requireWhole,
  mayBecome,
  upgradeStored,
  type Change,
  type Family,
  type Item,
  type ItemKind,
} from '@plinth/core';
import { HttpError, notFound } from '../errors';
import type { Database, Transaction } from './database';
import { requireFiles } from './files';
import { items, journal, projects, type ItemState, type JournalChange } from './schema';

/** Name of the channel on which other servers and open screens hear of changes. */
export const CHANNEL = 'plinth_changes';

interface Entry {
  readonly commandId: string;
  readonly who: string;
  readonly summary: string;
  readonly reason: string;
  readonly mode: 'do' | 'undo' | 'redo';
  readonly target: number | null;
  /** Bodies of items are as the reader of the command, or the journal, gave them. */
  readonly changes: readonly Change[];
}

interface Loaded {
  readonly version: number;
  readonly states: Map<string, ItemState>;
}

/** Locks the project for the length of the transaction and reads its items. */
async function load(tx: Transaction, project: string): Promise<Loaded> {
  const [row] = await tx.select().from(projects).where(eq(projects.id, project)).for('update');
  if (!row) throw notFound(`project "${project}"`);
  const rows = await tx.select().from(items).where(eq(items.project, project));
  return { version: row.version, states: new Map(rows.map(({ id, ...stored }) => [id, upgradedState(stored, stored.model)])) };
}

/** A state of an item as it was written by an earlier version, brought up to this one. */
export const upgradedState = ({ kind, body, revision }: ItemState, model: number): ItemState => ({
  ...upgradeStored({ kind, body }, model),
  revision,
});

/** Changes of the journal, brought up likewise. */
const upgradedChanges = (changes: readonly JournalChange[], model: number): JournalChange[] =>
  changes.map(({ id, before, after }) => ({
    id,
    before: before && upgradedState(before, model),
    after: after && upgradedState(after, model),
  }));

const replyOf = (version: number, summary: string, changes: readonly JournalChange[]): CommandReply => ({
  version,
  summary,
  changed: changes.flatMap(({ id, after }): ApiItem[] => (after ? [{ id, ...after }] : [])),
  removed: changes.filter((change) => !change.after).map((change) => change.id),
});

async function repeated(tx: Transaction, project: string, commandId: string): Promise<CommandReply | null> {
  const [entry] = await tx
    .select()
    .from(journal)
    .where(and(eq(journal.project, project), eq(journal.commandId, commandId)));
  return entry ? replyOf(entry.version, entry.summary, upgradedChanges(entry.changes, entry.model)) : null;
}

/** Who wrote an item last, and as part of what. */
async function lastChange(tx: Transaction, project: string, id: string): Promise<{ changedBy: string; summary: string }> {
  const [entry] = await tx
    .select({ who: journal.who, summary: journal.summary })
    .from(journal)
    .where(and(eq(journal.project, project), sql`${journal.changes} @> ${JSON.stringify([{ id }])}::jsonb`))
    .orderBy(desc(journal.version))
    .limit(1);
  return { changedBy: entry?.who ?? '', summary: entry?.summary ?? '' };
}

async function current(
  tx: Transaction,
  project: string,
  states: Loaded['states'],
  ids: readonly string[],
): Promise<NonNullable<ApiError['error']['current']>> {
  const list = [];
  for (const id of ids) {
    const state = states.get(id);
    list.push({ id, item: state ? { id, ...state } : null, ...(await lastChange(tx, project, id)) });
  }
  return list;
}

/** Writes one entry: checks revisions and references, then items and journal together. */
async function write(tx: Transaction, project: string, { version, states }: Loaded, entry: Entry): Promise<CommandReply> {
  const stale: string[] = [];
  const next = version + 1;
  const after = new Map(states);
  const changes: JournalChange[] = [];
  for (const change of entry.changes) {
    const id = change.op === 'put' ? change.item.id : change.id;
    const before = states.get(id) ?? null;
    if ((before?.revision ?? null) !== change.revision) {
      stale.push(id);
      continue;
    }
    if (changes.some((made) => made.id === id)) throw new HttpError(422, 'bad-input', `the command changes "${id}" twice`);
    if (change.op === 'remove') {
      after.delete(id);
      changes.push({ id, before, after: null });
      continue;
    }
    const item = change.item as Item;
    await requireFiles(tx, filesOf([item]));
    if (before && !mayBecome(before.kind as ItemKind, item.kind))
      throw new HttpError(422, 'bad-input', `"${id}" is a ${before.kind} and cannot become a ${item.kind}`);
    const state = { kind: item.kind, body: item.body, revision: next };
    after.set(id, state);
    changes.push({ id, before, after: state });
  }
  if (stale.length > 0) {
    const list = await current(tx, project, states, stale);
    const names = list.map(({ id, changedBy }) => `${id}${changedBy ? ` (by ${changedBy})` : ''}`).join(', ');
    throw new HttpError(409, 'stale', `changed meanwhile: ${names}. Nothing was written; look at what is there now and decide.`, {
      current: list,
    });
  }
  const known = new Map([...after].map(([id, { kind, body }]) => [id, { id, kind, body } as Item]));
  const touched = new Set(changes.map(({ id }) => id));
  requireWhole(known, touched);
  // what is taken back was there once: it need not keep rules that came later
  if (entry.mode === 'do') {
    requireBuildable(known, touched);
    requireRead(known, (id) => states.get(id) as Pick<Item, 'body'> | undefined, touched);
  }
  for (const { id, after: state } of changes) {
    if (!state) await tx.delete(items).where(and(eq(items.project, project), eq(items.id, id)));
    else
      await tx
        .insert(items)
        .values({ project, id, ...state, model: MODEL_VERSION })
        .onConflictDoUpdate({
          target: [items.project, items.id],
          set: { kind: state.kind, body: state.body, revision: next, model: MODEL_VERSION },
        });
  }
  await tx.insert(journal).values({
    project,
    version: next,
    commandId: entry.commandId,
    who: entry.who,
    summary: entry.summary,
    reason: entry.reason,
    mode: entry.mode,
    target: entry.target,
    changes,
    model: MODEL_VERSION,
  });
  const brief = [...after.values()].find((state) => state.kind === 'brief')!.body as { name: string; family: Family };
  await tx
    .update(projects)
    .set({ version: next, name: brief.name, family: brief.family, updatedAt: sql`now()` })
    .where(eq(projects.id, project));
  await tx.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ project, version: next })})`);
  return replyOf(next, entry.summary, changes);
}

/**
 * Applies a command: all of it in one transaction, or nothing. A command that was seen before answers as it did then.
 * @throws HttpError 404 without the project, 409 on a stale revision with what is there now; BadInput for what cannot be
 */
export function applyCommand(db: Database, project: string, command: Command): Promise<CommandReply> {
  return db.transaction(async (tx) => {
    const loaded = await load(tx, project);
    return (await repeated(tx, project, command.commandId)) ?? write(tx, project, loaded, { ...command, mode: 'do', target: null });
  });
}

type Row = Pick<typeof journal.$inferSelect, 'version' | 'mode' | 'target' | 'summary' | 'changes'>;

/** What somebody can take back and bring back, newest last, from the order of their own entries. */
export function stacks(entries: readonly Pick<Row, 'version' | 'mode' | 'target'>[]): { undo: number[]; redo: number[] } {
  const undo: number[] = [];
  let redo: number[] = [];
  for (const { version, mode, target } of entries) {
    if (mode === 'do') {
      undo.push(version);
      redo = [];
    } else if (mode === 'undo') {
      undo.splice(undo.indexOf(target!), 1);
      redo.push(target!);
    } else {
      redo.splice(redo.indexOf(target!), 1);
      undo.push(target!);
    }
  }
  return { undo, redo };
}

/**
 * Takes back one's own last command, or brings back what one took back last.
 * @throws HttpError 409 when there is nothing, or when somebody has changed one of its items since: says which and by whom
 */
export function stepJournal(db: Database, project: string, mode: 'undo' | 'redo', who: string, commandId: string): Promise<CommandReply> {
  return db.transaction(async (tx) => {
    const loaded = await load(tx, project);
    const before = await repeated(tx, project, commandId);
    if (before) return before;
    const mine: Row[] = (
      await tx
        .select()
        .from(journal)
        .where(and(eq(journal.project, project), eq(journal.who, who)))
        .orderBy(asc(journal.version))
    ).map((row) => ({ ...row, changes: upgradedChanges(row.changes, row.model) }));
    const target = stacks(mine)[mode].at(-1);
    if (target === undefined)
      throw new HttpError(409, 'blocked', mode === 'undo' ? 'there is nothing of yours to undo' : 'there is nothing to redo');
    const entry = mine.find((row) => row.version === target)!;
    // the entry that was made last about this command tells what its items must still be; revisions may have moved on by
    // taking later commands back, so bodies are compared (both come from jsonb and print alike)
    const bodyOf = (state: ItemState | null) => JSON.stringify(state?.body ?? null);
    const latest = mine.filter((row) => row.version === target || row.target === target).at(-1)!;
    const inTheWay: string[] = [];
    const changes = entry.changes.map(({ id, before: was, after: became }): Change => {
      const want = mode === 'undo' ? was : became;
      const present = loaded.states.get(id) ?? null;
      const expected = latest.changes.find((change) => change.id === id)!.after;
      if (bodyOf(present) !== bodyOf(expected)) inTheWay.push(id);
      if (!want) return { op: 'remove', id, revision: present?.revision ?? 0 };
      return { op: 'put', item: { id, kind: want.kind, body: want.body }, revision: present?.revision ?? null };
    });
    if (inTheWay.length > 0) {
      const list = await current(tx, project, loaded.states, inTheWay);
      throw new HttpError(
        409,
        'blocked',
        `cannot ${mode} "${entry.summary}": ${list.map(({ id, changedBy, summary }) => `${id} was changed since by ${changedBy} ("${summary}")`).join('; ')}`,
        { current: list },
      );
    }
    return write(tx, project, loaded, {
      commandId,
      who,
      summary: `${mode === 'undo' ? 'Undo' : 'Redo'}: ${entry.summary}`,
      reason: '',
      mode,
      target,
      changes,
    });
  });
}
