import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { item, type ProjectFile } from '@plinth/core';
import { freshDatabase } from '../../e2e/app';
import { startServer, type RunningServer } from './server';

/** One white dot, as a PNG. */
const DOT = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==', 'base64');

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let http: ReturnType<typeof request>;
beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer({ databaseUrl: database.url, port: 0, web: null, demonstration: false });
  http = request(server.url);
});
afterAll(async () => {
  await server?.close();
  await database?.drop();
});

const send = (data: Buffer) => http.post('/api/files').set('content-type', 'application/octet-stream').send(data);
const drawing = (file: string) =>
  item('drawing', 'plan', { name: 'Ground plan', level: 'ground', file, width: 1, height: 1, at: { x: 0, y: 0 }, scale: 10 });
const project = async () => ((await http.post('/api/projects').send({ name: 'Trial', family: 'european' })).body as { id: string }).id;
const lay = (id: string, file: string) =>
  http.post(`/api/projects/${id}/commands`).send({
    commandId: `lay-${id}-${file.slice(0, 8)}`,
    who: 'Ada',
    summary: 'laid',
    changes: [{ op: 'put', item: drawing(file), revision: null }],
  });

describe('pictures of drawings', () => {
  it('are stored once, named by their hash, and come back as they were', async () => {
    const first = await send(DOT);
    expect(first.status).toBe(201);
    expect(first.body).toMatchObject({ type: 'image/png', size: DOT.length });
    const { hash } = first.body as { hash: string };
    expect((await send(DOT)).body).toEqual(first.body);
    const back = await http.get(`/api/files/${hash}`);
    expect(back.headers['content-type']).toBe('image/png');
    expect(Buffer.compare(back.body as Buffer, DOT)).toBe(0);
  });
  it.each([
    ['a PDF', Buffer.from('%PDF-1.7 and so on'), 'application/pdf'],
    ['a DXF', Buffer.from('  0\r\nSECTION\r\n  2\r\nHEADER\r\n'), 'image/vnd.dxf'],
    ['a DXF with a comment', Buffer.from('999\nwritten by hand\n0\nSECTION\n'), 'image/vnd.dxf'],
  ])('%s is stored too, and never opened by the browser as a page', async (_, data, type) => {
    const reply = await send(data);
    expect(reply.body).toMatchObject({ type });
    const back = await http.get(`/api/files/${(reply.body as { hash: string }).hash}`);
    expect(back.headers['content-type']).toContain(type);
    expect(back.headers['x-content-type-options']).toBe('nosniff');
    if (type === 'application/pdf') expect(back.headers['content-disposition']).toContain('attachment');
  });
  it.each([
    ['text', Buffer.from('a drawing in words')],
    ['nothing', Buffer.alloc(0)],
  ])('%s is refused in words', async (_, data) => {
    const reply = await send(data);
    expect(reply.status).toBe(422);
    expect(reply.body).toMatchObject({ error: { code: 'bad-input' } });
  });
  it('one that is not there is not found', async () => {
    expect((await http.get(`/api/files/${'0'.repeat(64)}`)).status).toBe(404);
  });
  it('a drawing of a picture that is not stored is refused, and nothing is written', async () => {
    const id = await project();
    const reply = await lay(id, 'f'.repeat(64));
    expect(reply.status).toBe(422);
    expect((reply.body as { error: { message: string } }).error.message).toContain('send it first');
    expect(((await http.get(`/api/projects/${id}`)).body as { list: unknown[] }).list).toHaveLength(2);
  });
  it('travel inside the project file; a damaged one is refused', async () => {
    const id = await project();
    const { hash } = (await send(DOT)).body as { hash: string };
    expect((await lay(id, hash)).status).toBe(200);
    const file = (await http.get(`/api/projects/${id}/export`)).body as ProjectFile;
    expect(file.files).toEqual([{ hash, type: 'image/png', data: DOT.toString('base64') }]);
    const back = await http.post('/api/projects/import').send(file);
    expect(back.status).toBe(201);
    const again = (await http.get(`/api/projects/${(back.body as { id: string }).id}/export`)).body as ProjectFile;
    expect(again).toEqual(file);
    const damaged = { ...file, files: [{ ...file.files![0]!, data: Buffer.concat([DOT, Buffer.from([0])]).toString('base64') }] };
    const refused = await http.post('/api/projects/import').send(damaged);
    expect(refused.status).toBe(422);
    expect((refused.body as { error: { message: string } }).error.message).toContain('damaged');
  });
});
