import type { Response } from 'express';

/** A signal that is given when the client leaves before it was answered. */
export function untilGone(response: Response): AbortSignal {
  const gone = new AbortController();
  response.on('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}
