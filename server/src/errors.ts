import type { ApiError, ErrorCode } from '@plinth/api';
import { BadFields, PlinthError } from '@plinth/core';

type Detail = Omit<ApiError['error'], 'code' | 'message'>;

/** An error of the server with its HTTP status. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: ErrorCode,
    message: string,
    readonly detail: Detail = {},
  ) {
    super(message);
  }
}

export interface Described {
  readonly status: number;
  readonly body: ApiError;
}

export const notFound = (what: string) => new HttpError(404, 'not-found', `${what} is not there`);

const answer = (status: number, code: ErrorCode, message: string, { field, issues, current }: Detail = {}): Described => ({
  status,
  body: { error: { code, message, field, issues, current } },
});

/** What the HTTP layer refuses before anything of ours is asked, by the type or the status it gives. */
function ofTransport({ status, type, code }: { status?: number; type?: string; code?: string }): Described | null {
  if (type === 'entity.too.large') return answer(413, 'too-large', 'what was sent is larger than 50 MB');
  if (type === 'encoding.unsupported') return answer(415, 'bad-input', 'the body is packed in a way that is not known here; gzip is');
  if (code?.startsWith('Z_') || type === 'request.aborted' || type === 'request.size.invalid')
    return answer(400, 'bad-input', 'the body did not arrive whole');
  if (status === 413) return answer(413, 'too-large', 'what was sent is too large');
  if (status === 415) return answer(415, 'bad-input', 'the body is of a type that is not read here');
  if (status === 404) return answer(404, 'not-found', 'there is nothing at this address');
  if (status !== undefined && status >= 400 && status < 500) return answer(status, 'bad-input', 'the request cannot be read');
  return null;
}

/** SQLSTATE classes and codes that say: not now. Connection, resources, operator, lock and statement time-outs. */
const UNAVAILABLE = /^(08|53|57P0|57014|55P03|25P03|40001|40P01)/;
const BROKEN = /^(ECONN|EPIPE|ETIMEDOUT|EHOSTUNREACH|ENOTFOUND)/;

/** The error that a library wrapped. */
function causeOf(error: unknown): unknown {
  let inner = error;
  for (let n = 0; n < 5 && (inner as { cause?: unknown } | null)?.cause; n++) inner = (inner as { cause?: unknown }).cause;
  return inner;
}

/** True when the database is away, or too busy: nothing was written, and it is worth trying again. */
export function isUnavailable(error: unknown): boolean {
  const { code, message } = (causeOf(error) ?? {}) as { code?: unknown; message?: unknown };
  if (typeof code === 'string' && (UNAVAILABLE.test(code) || BROKEN.test(code))) return true;
  return typeof message === 'string' && /terminat|timeout exceeded|Query read timeout|not queryable|Cannot use a pool/i.test(message);
}

/** What may be written to the log of an error: never a query, never its parameters, which hold what people typed. */
export function loggable(error: unknown): { name: string; code?: string; message: string; stack?: string } {
  const inner = causeOf(error) as { name?: string; code?: string; message?: string; stack?: string } | null;
  const frames = (inner?.stack ?? '')
    .split('\n')
    .filter((line) => line.startsWith('    at '))
    .slice(0, 8);
  return {
    name: String(inner?.name ?? 'Error').slice(0, 80),
    code: inner?.code,
    message: String(inner?.message ?? inner).slice(0, 300),
    stack: frames.join('\n'),
  };
}

/** Any thrown thing as status and body of one shape; what is not ours is a 500 without its inside. */
export function describeError(error: unknown): Described {
  if (error instanceof HttpError) return answer(error.status, error.code, error.message, error.detail);
  if (error instanceof BadFields) return answer(422, 'bad-input', error.message, error);
  if (error instanceof PlinthError) return answer(422, error.code, error.message, { field: error.field });
  if ((error as Error | null)?.name === 'AbortError') return answer(499, 'internal', 'stopped');
  if (error instanceof URIError) return answer(400, 'bad-input', 'the address cannot be read');
  const transport = ofTransport((error ?? {}) as object);
  if (transport) return transport;
  if (isUnavailable(error))
    return answer(503, 'unavailable', 'the database cannot be reached just now; nothing was changed, and it will be tried again');
  return answer(500, 'internal', 'the server failed; nothing was changed');
}
