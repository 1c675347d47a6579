import { Router } from 'express';
import { BadInput } from '@plinth/core';
import { notFound } from '../errors';
import { FILE_TYPES, readFile, storeFile } from '../store/files';
import type { Database } from '../store/database';
import { bytes, bytesOf } from '../guard/body';

/** Files of drawings: sent once, named by their hash, never changed. */
export function fileRoutes({ db }: { readonly db: Database }): Router {
  const router = Router();

  router.post('/', bytes('application/octet-stream', ...FILE_TYPES), async (request, response) => {
    const data = bytesOf(request);
    if (data.length === 0) throw new BadInput('the picture is empty', 'file');
    response.status(201).json(await storeFile(db, Buffer.from(data)));
  });

  router.get('/:hash', async (request, response) => {
    const hash = String(request.params['hash']);
    if (!/^[0-9a-f]{64}$/.test(hash)) throw notFound('a file of that name');
    const { type, data } = await readFile(db, hash);
    response.set({ 'Content-Type': type, 'Cache-Control': 'private, max-age=31536000, immutable', 'X-Content-Type-Options': 'nosniff' });
    // a PDF is read by the plan, never opened by the browser itself
    if (type === 'application/pdf') response.attachment(`${hash.slice(0, 12)}.pdf`);
    response.send(data);
  });

  return router;
}
