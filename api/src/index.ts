/** Contracts of the HTTP API: what is sent and what comes back, shared by server and web. */
import { z } from 'zod';
import { changeSchema, FAMILIES, text, type Family } from '@plinth/core';

export const createProjectSchema = z.strictObject({
  name: text(80, 1, 'give the project a name'),
  family: z.enum(FAMILIES),
});
export type CreateProject = z.input<typeof createProjectSchema>;

const who = text(60, 1, 'say who makes the change');
const commandId = z
  .string()
  .regex(/^[A-Za-z0-9_-]{8,64}$/, 'must be 8 to 64 letters, digits, - or _')
  .describe('made by the client; a resend with the same id is harmless');

/** A change of a project: all of it happens, or none. */
export const commandSchema = z.strictObject({
  commandId,
  who,
  summary: text(200, 1).describe('what was done, in words'),
  reason: text(500).default(''),
  changes: z.array(changeSchema).min(1, 'must change something').max(20_000),
});
export type CommandInput = z.input<typeof commandSchema>;

export type Command = z.output<typeof commandSchema>;

export const undoSchema = z.strictObject({ commandId, who });
export type UndoInput = z.input<typeof undoSchema>;

export interface ProjectSummary {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  /** Number of the last journal entry. */
  readonly version: number;
  readonly items: number;
  readonly updatedAt: string;
}

export interface ApiItem {
  readonly id: string;
  readonly kind: string;
  readonly body: unknown;
  readonly revision: number;
}

export interface ProjectSnapshot extends ProjectSummary {
  readonly list: readonly ApiItem[];
}

/** What changed since a journal number: a client that was away catches up by it. */
export interface ProjectChanges {
  readonly version: number;
  readonly changed: readonly ApiItem[];
  readonly removed: readonly string[];
}

/** The items of a project as they were after a journal entry. */
export interface ProjectRevision {
  readonly version: number;
  readonly list: readonly ApiItem[];
}

export interface CommandReply {
  /** Journal number of the command. */
  readonly version: number;
  readonly changed: readonly ApiItem[];
  readonly removed: readonly string[];
  readonly summary: string;
}

export interface JournalEntry {
  readonly version: number;
  readonly who: string;
  readonly summary: string;
  readonly reason: string;
  readonly at: string;
  readonly mode: 'do' | 'undo' | 'redo';
  readonly items: readonly string[];
}

/** What a live screen is told: which items to ask for again. */
export interface ProjectEvent {
  readonly project: string;
  readonly version: number;
}

export const ERROR_CODES = [
  'bad-input',
  'unstable',
  'outside-scope',
  'not-found',
  'stale',
  'blocked',
  'too-large',
  'too-many',
  'too-long',
  'refused',
  'unavailable',
  'internal',
] as const;
export type ErrorCode = (typeof ERROR_CODES)[number];

/** Every error has this shape, everywhere. */
export interface ApiError {
  readonly error: {
    readonly code: ErrorCode;
    readonly message: string;
    readonly field?: string;
    readonly issues?: readonly { readonly field: string; readonly message: string }[];
    /** For stale and blocked commands: the items as they are now, and who changed them. */
    readonly current?: readonly {
      readonly item: ApiItem | null;
      readonly id: string;
      readonly changedBy: string;
      readonly summary: string;
    }[];
  };
}
