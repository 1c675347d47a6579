import { randomBytes } from 'node:crypto';
import { and, asc, count, desc, eq, gt } from 'drizzle-orm';
import type { ApiItem, JournalEntry, ProjectChanges, ProjectRevision, ProjectSnapshot, ProjectSummary } from '@plinth/api';
import { defaultBrief, item, MODEL_VERSION, type Family, type Item } from '@plinth/core';
import { notFound } from '../errors';
import type { Database } from './database';
import { upgradedState } from './commands';
import { items, journal, projects } from './schema';

/** A short name for the address bar: the project's name in small letters, and some chance. */
function slug(name: string): string {
  const words = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40);
  return `${words || 'project'}-${randomBytes(3).toString('hex')}`;
}

const summaryOf = (row: typeof projects.$inferSelect, itemCount: number): ProjectSummary => ({
  id: row.id,
  name: row.name,
  family: row.family,
  version: row.version,
  items: itemCount,
  updatedAt: row.updatedAt.toISOString(),
});

export async function listProjects(db: Database): Promise<ProjectSummary[]> {
  const rows = await db
    .select({ project: projects, total: count(items.id) })
    .from(projects)
    .leftJoin(items, eq(items.project, projects.id))
    .groupBy(projects.id)
    .orderBy(desc(projects.updatedAt), asc(projects.id));
  return rows.map(({ project, total }) => summaryOf(project, total));
}

const BATCH = 5000;

/** Stores a new project with its items as journal entry 1. Keeps `id` when one is given and free. */
export async function insertProject(
  db: Database,
  name: string,
  list: readonly Item[],
  who: string,
  summary: string,
  id = slug(name),
): Promise<ProjectSummary> {
  const brief = list.find((entry): entry is Extract<Item, { kind: 'brief' }> => entry.kind === 'brief')!;
  return db.transaction(async (tx) => {
    const [row] = await tx.insert(projects).values({ id, name, family: brief.body.family, version: 1 }).returning();
    // a statement takes 65,535 values at most
    for (let n = 0; n < list.length; n += BATCH)
      await tx
        .insert(items)
        .values(
          list
            .slice(n, n + BATCH)
            .map((entry) => ({ project: id, id: entry.id, kind: entry.kind, body: entry.body, revision: 1, model: MODEL_VERSION })),
        );
    await tx.insert(journal).values({
      project: id,
      version: 1,
      commandId: `create-${id}`,
      who,
      summary,
      mode: 'do',
      changes: list.map((entry) => ({ id: entry.id, before: null, after: { kind: entry.kind, body: entry.body, revision: 1 } })),
      model: MODEL_VERSION,
    });
    return summaryOf(row!, list.length);
  });
}

/** A project from nothing: a brief with usual values, and the ground. */
export function createProject(db: Database, name: string, family: Family): Promise<ProjectSummary> {
  return insertProject(
    db,
    name,
    [item('brief', 'brief', defaultBrief(name, family)), item('level', 'ground', { name: 'Ground', elevation: 0 })],
    'Lofty Plinth',
    'Project begun',
  );
}

export async function deleteProject(db: Database, id: string): Promise<void> {
  const gone = await db.delete(projects).where(eq(projects.id, id)).returning({ id: projects.id });
  if (gone.length === 0) throw notFound(`project "${id}"`);
}

export async function projectExists(db: Database, id: string): Promise<boolean> {
  return (await db.select({ id: projects.id }).from(projects).where(eq(projects.id, id))).length > 0;
}

const apiItem = (row: typeof items.$inferSelect): ApiItem => ({ id: row.id, ...upgradedState(row, row.model) });

/** Everything of a project at one moment. */
export async function readProject(db: Database, id: string): Promise<ProjectSnapshot> {
  return db.transaction(
    async (tx) => {
      const [project] = await tx.select().from(projects).where(eq(projects.id, id));
      if (!project) throw notFound(`project "${id}"`);
      const rows = await tx.select().from(items).where(eq(items.project, id)).orderBy(asc(items.kind), asc(items.id));
      return { ...summaryOf(project, rows.length), list: rows.map(apiItem) };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

/** What changed since a journal number, as it is now. */
export async function readChanges(db: Database, id: string, after: number): Promise<ProjectChanges> {
  return db.transaction(
    async (tx) => {
      const [project] = await tx.select().from(projects).where(eq(projects.id, id));
      if (!project) throw notFound(`project "${id}"`);
      const entries = await tx
        .select({ changes: journal.changes })
        .from(journal)
        .where(and(eq(journal.project, id), gt(journal.version, after)));
      const touched = new Set(entries.flatMap((entry) => entry.changes.map((change) => change.id)));
      const changed = (
        await tx
          .select()
          .from(items)
          .where(and(eq(items.project, id), gt(items.revision, after)))
      ).map(apiItem);
      const present = new Set(changed.map((entry) => entry.id));
      return { version: project.version, changed, removed: [...touched].filter((itemId) => !present.has(itemId)) };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

/**
 * The items of a project as they were after a journal entry: those of now, with every later entry taken back.
 * @throws HttpError not found when there is no such project or entry
 */
export async function readProjectAt(db: Database, id: string, version: number): Promise<ProjectRevision> {
  return db.transaction(
    async (tx) => {
      const [project] = await tx.select().from(projects).where(eq(projects.id, id));
      if (!project) throw notFound(`project "${id}"`);
      if (version < 1 || version > project.version) throw notFound(`journal entry ${version}`);
      const rows = await tx.select().from(items).where(eq(items.project, id));
      const list = new Map<string, ApiItem>(rows.map((row) => [row.id, apiItem(row)]));
      const later = await tx
        .select({ changes: journal.changes, model: journal.model })
        .from(journal)
        .where(and(eq(journal.project, id), gt(journal.version, version)))
        .orderBy(desc(journal.version));
      for (const { changes, model } of later)
        for (const { id: itemId, before } of changes)
          if (before) list.set(itemId, { id: itemId, ...upgradedState(before, model) });
          else list.delete(itemId);
      return { version, list: [...list.values()].sort((a, b) => (a.id < b.id ? -1 : 1)) };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

/** The journal, newest first. */
export async function readJournal(db: Database, id: string, limit: number): Promise<JournalEntry[]> {
  if (!(await projectExists(db, id))) throw notFound(`project "${id}"`);
  const rows = await db.select().from(journal).where(eq(journal.project, id)).orderBy(desc(journal.version)).limit(limit);
  return rows.map((row) => ({
    version: row.version,
    who: row.who,
    summary: row.summary,
    reason: row.reason,
    at: row.at.toISOString(),
    mode: row.mode,
    items: row.changes.map((change) => change.id),
  }));
}
