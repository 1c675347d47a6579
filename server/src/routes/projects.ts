import { Router, type Request, type Response } from 'express';
import { createProjectSchema, undoSchema } from '@plinth/api';
import { filesOf, readInput, writeProjectFile, type Item } from '@plinth/core';
import { HttpError, notFound } from '../errors';
import { bytes, bytesOf, isSmall, jsonOf } from '../guard/body';
import { untilGone } from '../guard/gone';
import { readCommand } from '../threads/tasks';
import { parseJson } from '../threads/json';
import type { Workers } from '../threads/workers';
import { applyCommand, stepJournal } from '../store/commands';
import type { Database } from '../store/database';
import { packFiles, requireFiles, unpackFiles } from '../store/files';
import type { LiveChanges } from '../store/live';
import { Turns } from '../store/turns';
import {
  createProject,
  deleteProject,
  insertProject,
  listProjects,
  projectExists,
  readChanges,
  readJournal,
  readProject,
  readProjectAt,
} from '../store/projects';

export interface Services {
  readonly db: Database;
  readonly live: LiveChanges;
  readonly workers: Workers;
}

/** Ids of projects as they are made; nothing else is asked of the database. */
const PROJECT_ID = /^[a-z0-9-]{1,60}$/;

const idOf = (request: Request) => String(request.params['id']);

/** Open screens that may listen: to one project, and in all. */
const [LISTENERS, ALL_LISTENERS] = [100, 1000];

/** What an event stream may hold back for a screen that does not read, bytes. */
const HELD_BACK = 1_000_000;

function wholeNumber(text: unknown, name: string, fallback: number, most: number): number {
  if (text === undefined) return fallback;
  const value = Number(text);
  if (!Number.isInteger(value) || value < 0 || value > most)
    throw new HttpError(422, 'bad-input', `${name} must be a whole number from 0 to ${most}`);
  return value;
}

const asFile = (response: Response, name: string, type: string) => response.attachment(name).type(type);

/** Everything under /api/projects. */
export function projectRoutes({ db, live, workers }: Services): Router {
  const router = Router();
  const turns = new Turns();
  const json = bytes('application/json');

  router.param('id', (_request, _response, next, id: string) => {
    if (!PROJECT_ID.test(id)) throw notFound(`project "${id.slice(0, 40)}"`);
    next();
  });

  router.get('/', async (_request, response) => {
    response.json(await listProjects(db));
  });

  router.post('/', json, async (request, response) => {
    const { name, family } = readInput(createProjectSchema, await jsonOf(request, workers));
    response.status(201).json(await createProject(db, name, family));
  });

  router.post('/import', json, async (request, response) => {
    const { name, items, files } = await workers.do<'projectFile'>({ do: 'projectFile', body: bytesOf(request) }, untilGone(response));
    await unpackFiles(db, files);
    await requireFiles(db, filesOf(items));
    response.status(201).json(await insertProject(db, name, items, 'Lofty Plinth', 'Read from a project file'));
  });

  router.get('/:id', async (request, response) => {
    response.json(await readProject(db, idOf(request)));
  });

  router.delete('/:id', async (request, response) => {
    const id = idOf(request);
    await turns.take(id, () => deleteProject(db, id));
    response.status(204).end();
  });

  router.get('/:id/changes', async (request, response) => {
    response.json(await readChanges(db, idOf(request), wholeNumber(request.query['after'], 'after', 0, 2 ** 31 - 1)));
  });

  router.get('/:id/journal', async (request, response) => {
    response.json(await readJournal(db, idOf(request), wholeNumber(request.query['limit'], 'limit', 200, 2000)));
  });

  router.get('/:id/at/:version', async (request, response) => {
    response.json(await readProjectAt(db, idOf(request), wholeNumber(request.params['version'], 'version', 0, 2 ** 31 - 1)));
  });

  router.post('/:id/commands', json, async (request, response) => {
    const body = bytesOf(request);
    // what is large is read in a thread, items and all
    const command = isSmall(request)
      ? readCommand(body.length === 0 ? undefined : parseJson(body))
      : await workers.do<'command'>({ do: 'command', body }, untilGone(response));
    const id = idOf(request);
    response.json(await turns.take(id, () => applyCommand(db, id, command)));
  });

  for (const mode of ['undo', 'redo'] as const)
    router.post(`/:id/${mode}`, json, async (request, response) => {
      const { who, commandId } = readInput(undoSchema, await jsonOf(request, workers));
      const id = idOf(request);
      response.json(await turns.take(id, () => stepJournal(db, id, mode, who, commandId)));
    });

  router.get('/:id/events', async (request, response) => {
    const id = idOf(request);
    if (!(await projectExists(db, id))) throw notFound(`project "${id}"`);
    if (live.count(id) >= LISTENERS || live.count() >= ALL_LISTENERS)
      throw new HttpError(429, 'too-many', 'too many screens listen already; close some');
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive', 'X-Accel-Buffering': 'no' });
    response.flushHeaders();
    const say = (text: string) => {
      // who does not read is let go, and catches up when it comes back
      if (response.writableLength > HELD_BACK) response.destroy();
      else response.write(text);
    };
    say(': listening\n\n');
    const stop = live.subscribe(id, (event) => say(`data: ${JSON.stringify(event)}\n\n`));
    const beat = setInterval(() => say(': here\n\n'), 20_000);
    response.on('close', () => {
      clearInterval(beat);
      stop();
    });
  });

  const itemsOf = async (id: string): Promise<{ name: string; items: Item[] }> => {
    const { name, list } = await readProject(db, id);
    return { name, items: list.map(({ id: itemId, kind, body }) => ({ id: itemId, kind, body }) as Item) };
  };

  router.get('/:id/export', async (request, response) => {
    const id = idOf(request);
    const { name, items } = await itemsOf(id);
    asFile(response, `${id}.json`, 'application/json').send(
      JSON.stringify(writeProjectFile(name, items, await packFiles(db, filesOf(items))), null, 1),
    );
  });

  for (const what of ['reactions', 'order', 'members'] as const)
    router.get(`/:id/${what}.csv`, async (request, response) => {
      const id = idOf(request);
      const asked = request.query['level'];
      const level = what !== 'reactions' || asked === undefined ? null : String(asked);
      const { items } = await itemsOf(id);
      const text = await workers.do<'csv'>({ do: 'csv', what, items, level }, untilGone(response));
      asFile(response, `${id}-${what}${level === null ? '' : `-${level}`}.csv`, 'text/csv').send(text);
    });

  router.get('/:id/package.pdf', async (request, response) => {
    const id = idOf(request);
    const paper = request.query['paper'] === 'Letter' ? 'LETTER' : 'A4';
    const { items } = await itemsOf(id);
    const { version } = await readProject(db, id);
    // who goes away, or presses Stop, ends the work
    const pdf = await workers.packaging.run<Uint8Array>({ items, paper, version }, untilGone(response));
    asFile(response, `${id}-package.pdf`, 'application/pdf').send(Buffer.from(pdf));
  });

  return router;
}
