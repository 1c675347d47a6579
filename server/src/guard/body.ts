import { raw, type Request, type RequestHandler } from 'express';
import { HttpError } from '../errors';
import { parseJson } from '../threads/json';
import type { Workers } from '../threads/workers';

export const LARGEST = '50mb';

/** JSON up to this size is read beside other work; what is larger in a worker thread. */
const SMALL = 100_000;

const typeOf = (request: Request) => (request.headers['content-type'] ?? '').toLowerCase().replace(/\s/g, '');

/** True when a request carries anything. */
const hasBody = (request: Request) =>
  request.headers['transfer-encoding'] !== undefined || Number(request.headers['content-length'] ?? 0) > 0;

/**
 * Takes a body of bytes, unpacked up to 50 MB, of one of some types. Without a body there are no bytes.
 * @throws HttpError 415 for another type, or another way to write letters than UTF-8
 */
export function bytes(...types: readonly string[]): RequestHandler {
  const take = raw({ type: () => true, limit: LARGEST });
  return (request, response, next) => {
    if (hasBody(request)) {
      const [type, ...parameters] = typeOf(request).split(';');
      const charset = parameters
        .find((parameter) => parameter.startsWith('charset='))
        ?.slice(8)
        .replace(/"/g, '');
      if (!types.includes(type!)) throw new HttpError(415, 'bad-input', `the body must be of type ${types.join(' or ')}`);
      if (charset !== undefined && charset !== 'utf-8' && charset !== 'utf8')
        throw new HttpError(415, 'bad-input', 'letters must be written in UTF-8');
    }
    take(request, response, next);
  };
}

/** The bytes that `bytes` took. */
export const bytesOf = (request: Request): Uint8Array => (Buffer.isBuffer(request.body) ? request.body : new Uint8Array(0));

/** A JSON body, read beside other work when it is small. Nothing sent is undefined. */
export async function jsonOf(request: Request, workers: Workers, signal?: AbortSignal): Promise<unknown> {
  const body = bytesOf(request);
  if (body.length === 0) return undefined;
  return body.length <= SMALL ? parseJson(body) : workers.do<'parse'>({ do: 'parse', body }, signal);
}

export const isSmall = (request: Request) => bytesOf(request).length <= SMALL;
