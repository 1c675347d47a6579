import type {
  ApiError,
  CommandInput,
  CommandReply,
  CreateProject,
  JournalEntry,
  ProjectChanges,
  ProjectRevision,
  ProjectSnapshot,
  ProjectSummary,
} from '@plinth/api';

/** An answer of the server that is an error, in its one shape. */
export class ServerError extends Error {
  constructor(
    readonly status: number,
    readonly detail: ApiError['error'],
  ) {
    super(detail.message);
  }
}

async function ask<T>(path: string, init?: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch {
    throw new ServerError(0, { code: 'internal', message: 'The server cannot be reached. What you typed is still here; try again.' });
  }
  if (response.status === 204) return undefined as T;
  const body = (await response.json().catch(() => null)) as T | ApiError | null;
  if (!response.ok) {
    const error = (body as ApiError | null)?.error ?? { code: 'internal' as const, message: `The server answered ${response.status}.` };
    throw new ServerError(response.status, error);
  }
  return body as T;
}

const post = <T>(path: string, body: unknown) =>
  ask<T>(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

export const api = {
  projects: () => ask<ProjectSummary[]>('/api/projects'),
  create: (body: CreateProject) => post<ProjectSummary>('/api/projects', body),
  importFile: (file: unknown) => post<ProjectSummary>('/api/projects/import', file),
  sendFile: (data: Blob) =>
    ask<{ hash: string }>('/api/files', { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: data }),
  remove: (id: string) => ask<void>(`/api/projects/${id}`, { method: 'DELETE' }),
  project: (id: string) => ask<ProjectSnapshot>(`/api/projects/${id}`),
  changes: (id: string, after: number) => ask<ProjectChanges>(`/api/projects/${id}/changes?after=${after}`),
  revision: (id: string, version: number) => ask<ProjectRevision>(`/api/projects/${id}/at/${version}`),
  journal: (id: string) => ask<JournalEntry[]>(`/api/projects/${id}/journal`),
  command: (id: string, command: CommandInput) => post<CommandReply>(`/api/projects/${id}/commands`, command),
  step: (id: string, mode: 'undo' | 'redo', who: string, commandId: string) =>
    post<CommandReply>(`/api/projects/${id}/${mode}`, { who, commandId }),
};
