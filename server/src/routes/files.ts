import { Router, raw } from 'express';
import { BadInput } from '@plinth/core';
import { readFile, storeFile } from '../store/files';
import type { Database } from '../store/database';

/** Files of drawings: sent once, named by their hash, never changed. */
export function fileRoutes({ db }: { readonly db: Database }): Router {
  const router = Router();

  router.post('/', raw({ type: () => true, limit: '50mb' }), async (request, response) => {
    if (!Buffer.isBuffer(request.body) || request.body.length === 0) throw new BadInput('the picture is empty', 'file');
    response.status(201).json(await storeFile(db, request.body));
  });

  router.get('/:hash', async (request, response) => {
    const { type, data } = await readFile(db, String(request.params['hash']));
    response.set({ 'Content-Type': type, 'Cache-Control': 'private, max-age=31536000, immutable', 'X-Content-Type-Options': 'nosniff' });
    // a PDF is read by the plan, never opened by the browser itself
    if (type === 'application/pdf') response.attachment(`${String(request.params['hash']).slice(0, 12)}.pdf`);
    response.send(data);
  });

  return router;
}
