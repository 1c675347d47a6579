import { Router, type Request, type Response } from 'express';
import { commandSchema, createProjectSchema, undoSchema } from '@plinth/api';
import {
  computeProject,
  memberSchedule,
  orderCsv,
  reactionCsv,
  readInput,
  readProjectFile,
  filesOf,
  writeProjectFile,
  type Item,
} from '@plinth/core';
import { HttpError, notFound } from '../errors';
import type { Packager } from '../package/packager';
import { applyCommand, stepJournal } from '../store/commands';
import type { Database } from '../store/database';
import { packFiles, requireFiles, unpackFiles } from '../store/files';
import type { LiveChanges } from '../store/live';
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
  readonly packager: Packager;
}

const idOf = (request: Request) => String(request.params['id']);

function wholeNumber(text: unknown, name: string, fallback: number, most: number): number {
  if (text === undefined) return fallback;
  const value = Number(text);
  if (!Number.isInteger(value) || value < 0 || value > most)
    throw new HttpError(422, 'bad-input', `${name} must be a whole number from 0 to ${most}`);
  return value;
}

const asFile = (response: Response, name: string, type: string) => response.attachment(name).type(type);

/** Everything under /api/projects. */
export function projectRoutes({ db, live, packager }: Services): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await listProjects(db));
  });

  router.post('/', async (request, response) => {
    const { name, family } = readInput(createProjectSchema, request.body);
    response.status(201).json(await createProject(db, name, family));
  });

  router.post('/import', async (request, response) => {
    const { name, items, files } = readProjectFile(request.body);
    await unpackFiles(db, files);
    await requireFiles(db, filesOf(items));
    response.status(201).json(await insertProject(db, name, items, 'Lofty Plinth', 'Read from a project file'));
  });

  router.get('/:id', async (request, response) => {
    response.json(await readProject(db, idOf(request)));
  });

  router.delete('/:id', async (request, response) => {
    await deleteProject(db, idOf(request));
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

  router.post('/:id/commands', async (request, response) => {
    response.json(await applyCommand(db, idOf(request), readInput(commandSchema, request.body)));
  });

  for (const mode of ['undo', 'redo'] as const)
    router.post(`/:id/${mode}`, async (request, response) => {
      const { who, commandId } = readInput(undoSchema, request.body);
      response.json(await stepJournal(db, idOf(request), mode, who, commandId));
    });

  router.get('/:id/events', async (request, response) => {
    const id = idOf(request);
    if (!(await projectExists(db, id))) throw notFound(`project "${id}"`);
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive', 'X-Accel-Buffering': 'no' });
    response.flushHeaders();
    response.write(': listening\n\n');
    const stop = live.subscribe(id, (event) => response.write(`data: ${JSON.stringify(event)}\n\n`));
    const beat = setInterval(() => response.write(': here\n\n'), 20_000);
    request.on('close', () => {
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

  router.get('/:id/reactions.csv', async (request, response) => {
    const id = idOf(request);
    const result = computeProject((await itemsOf(id)).items);
    const level = request.query['level'] === undefined ? null : String(request.query['level']);
    if (level !== null && !result.building.levels.some((entry) => entry.id === level)) throw notFound(`level "${level}"`);
    asFile(response, `${id}-reactions${level === null ? '' : `-${level}`}.csv`, 'text/csv').send(reactionCsv(result, level));
  });

  router.get('/:id/order.csv', async (request, response) => {
    const id = idOf(request);
    asFile(response, `${id}-order.csv`, 'text/csv').send(orderCsv(computeProject((await itemsOf(id)).items)));
  });

  router.get('/:id/members.csv', async (request, response) => {
    const id = idOf(request);
    asFile(response, `${id}-members.csv`, 'text/csv').send(memberSchedule(computeProject((await itemsOf(id)).items)));
  });

  router.get('/:id/package.pdf', async (request, response) => {
    const id = idOf(request);
    const paper = request.query['paper'] === 'Letter' ? 'LETTER' : 'A4';
    const { items } = await itemsOf(id);
    const { version } = await readProject(db, id);
    // who goes away, or presses Stop, ends the work
    const stop = new AbortController();
    response.on('close', () => stop.abort());
    const pdf = await packager.render({ items, paper, version }, stop.signal);
    asFile(response, `${id}-package.pdf`, 'application/pdf').send(pdf);
  });

  return router;
}
