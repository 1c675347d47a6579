import type { ApiError, ErrorCode } from '@plinth/api';
import { BadFields, PlinthError } from '@plinth/core';

/** An error of the server with its HTTP status. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: ErrorCode,
    message: string,
    readonly current?: ApiError['error']['current'],
  ) {
    super(message);
  }
}

export const notFound = (what: string) => new HttpError(404, 'not-found', `${what} is not there`);

/** Any thrown thing as status and body of one shape; what is not ours is a 500 without its inside. */
export function describeError(error: unknown): { status: number; body: ApiError } {
  if (error instanceof HttpError)
    return { status: error.status, body: { error: { code: error.code, message: error.message, current: error.current } } };
  if (error instanceof BadFields)
    return { status: 422, body: { error: { code: 'bad-input', message: error.message, field: error.field, issues: error.issues } } };
  if (error instanceof PlinthError)
    return { status: 422, body: { error: { code: error.code, message: error.message, field: error.field } } };
  if ((error as Error | null)?.name === 'AbortError') return { status: 499, body: { error: { code: 'internal', message: 'stopped' } } };
  const thrown = error as { status?: number; type?: string; message?: string } | null;
  if (thrown?.type === 'entity.too.large')
    return { status: 413, body: { error: { code: 'too-large', message: 'what was sent is larger than 50 MB' } } };
  if (thrown?.status === 400)
    return { status: 400, body: { error: { code: 'bad-input', message: 'the body is not JSON that can be read' } } };
  return { status: 500, body: { error: { code: 'internal', message: 'the server failed; nothing was changed' } } };
}
