import { sql } from 'drizzle-orm';
import { FAMILIES } from '@plinth/core';
import { customType, index, integer, jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex } from 'drizzle-orm/pg-core';

/** One row a project. `version` is the number of its last journal entry. */
export const projects = pgTable('projects', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  family: text('family', { enum: FAMILIES }).notNull(),
  version: integer('version').notNull().default(0),
  createdAt: timestamp('created_at', { withTimezone: true })
    .notNull()
    .default(sql`now()`),
  updatedAt: timestamp('updated_at', { withTimezone: true })
    .notNull()
    .default(sql`now()`),
});

/** The items of a project as they are now. */
export const items = pgTable(
  'items',
  {
    project: text('project')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    kind: text('kind').notNull(),
    body: jsonb('body').notNull(),
    /** Journal number of the command that wrote it last. */
    revision: integer('revision').notNull(),
    /** Version of the model in which the body is written. */
    model: integer('model').notNull().default(1),
  },
  (table) => [primaryKey({ columns: [table.project, table.id] })],
);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Pictures of drawings, each once, named by the SHA-256 of its bytes. */
export const files = pgTable('files', {
  hash: text('hash').primaryKey(),
  type: text('type', { enum: ['image/png', 'image/jpeg', 'application/pdf', 'image/vnd.dxf'] }).notNull(),
  size: integer('size').notNull(),
  data: bytes('data').notNull(),
  at: timestamp('at', { withTimezone: true })
    .notNull()
    .default(sql`now()`),
});

export interface ItemState {
  readonly kind: string;
  readonly body: unknown;
  readonly revision: number;
}

/** What one command did to one item. Null: the item was not there. */
export interface JournalChange {
  readonly id: string;
  readonly before: ItemState | null;
  readonly after: ItemState | null;
}

/** Everything that was ever done, in order. */
export const journal = pgTable(
  'journal',
  {
    project: text('project')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    version: integer('version').notNull(),
    commandId: text('command_id').notNull(),
    who: text('who').notNull(),
    summary: text('summary').notNull(),
    reason: text('reason').notNull().default(''),
    mode: text('mode', { enum: ['do', 'undo', 'redo'] }).notNull(),
    /** For undo and redo: the entry that it takes back or brings back. */
    target: integer('target'),
    changes: jsonb('changes').$type<JournalChange[]>().notNull(),
    /** Version of the model in which the bodies of its changes are written. */
    model: integer('model').notNull().default(1),
    at: timestamp('at', { withTimezone: true })
      .notNull()
      .default(sql`now()`),
  },
  (table) => [
    primaryKey({ columns: [table.project, table.version] }),
    uniqueIndex('journal_command').on(table.project, table.commandId),
    index('journal_who').on(table.project, table.who),
  ],
);
