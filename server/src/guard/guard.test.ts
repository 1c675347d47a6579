import { connect } from 'node:net';
import { Writable } from 'node:stream';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { item, tallowWharf, writeProjectFile } from '@plinth/core';
import { freshDatabase } from '../../../e2e/app';
import { startServer, type RunningServer } from '../server';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let http: ReturnType<typeof request>;
let logged = '';
const log = pino(
  new Writable({
    write(chunk: Buffer, _encoding, done) {
      logged += chunk.toString();
      done();
    },
  }),
);

beforeAll(async () => {
  database = await freshDatabase();
  const limits = { seconds: 4 };
  server = await startServer({ databaseUrl: database.url, port: 0, web: null, demonstration: false, arrival: 1500, limits, log });
  http = request(server.url);
});
afterAll(async () => {
  await server?.close();
  await database?.drop();
});

const example = { text: '3', kind: 'length', system: 'SI' };
const tool = () => http.post('/api/tools/quantity.read');

describe('pages of other sites', () => {
  it.each([
    ['another origin', { origin: 'http://elsewhere.invalid' }],
    ['an origin of the same name on another port', { origin: 'http://127.0.0.1:9' }],
    ['no origin that can be named', { origin: 'null' }],
    ['the browser says cross-site', { 'sec-fetch-site': 'cross-site' }],
    ['the browser says same-site', { 'sec-fetch-site': 'same-site' }],
    ['a name that was made to lead here', { host: 'plinth.elsewhere.invalid' }],
  ])('are let do nothing: %s', async (_, headers) => {
    for (const ask of [
      () => tool().set(headers).send(example),
      () => http.post('/api/projects').set(headers).send({ name: 'Foreign', family: 'european' }),
      () => http.post('/api/files').set(headers).set('content-type', 'image/png').send(Buffer.from('x')),
      () => http.delete('/api/projects/nobody').set(headers),
      () => http.get('/api/projects').set(headers),
    ]) {
      const reply = await ask();
      expect(reply.status).toBe(403);
      expect(reply.body).toMatchObject({ error: { code: 'refused' } });
    }
    expect((await http.get('/api/projects')).body).toEqual([]);
  });
  it('its own pages and programs are let through', async () => {
    expect((await tool().send(example)).status).toBe(200);
    expect((await tool().set({ origin: server.url, 'sec-fetch-site': 'same-origin' }).send(example)).status).toBe(200);
    const port = new URL(server.url).port;
    const local = { host: `localhost:${port}`, origin: `http://localhost:${port}` };
    expect((await tool().set(local).send(example)).status).toBe(200);
  });
  it.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', 'application/json; charset=utf-7'])(
    'JSON comes only as JSON, not as %s',
    async (type) => {
      const reply = await tool().set('content-type', type).send(JSON.stringify(example));
      expect(reply.status).toBe(415);
      expect(reply.body).toMatchObject({ error: { code: 'bad-input' } });
    },
  );
});

describe('nothing freezes it', () => {
  const health = async () => {
    const began = performance.now();
    expect((await http.get('/api/health')).status).toBe(200);
    return performance.now() - began;
  };

  it('a calculation that takes too long is stopped, and others go on meanwhile', async () => {
    const items = tallowWharf({ baysX: 12, baysY: 12, storeys: 12, irregularity: 1 });
    const members = items.filter(({ kind }) => kind === 'beam').slice(0, 1500);
    const input = {
      items,
      members: members.map((entry) => (entry.body as { mark: string }).mark),
      most: 12,
      families: ['UB', 'IPE', 'HEA'],
    };
    const slow = http.post('/api/tools/design.rationalise').send(input).then();
    const waits = [];
    for (let n = 0; n < 10; n++) waits.push(await health());
    const reply = await slow;
    expect(reply.body).toMatchObject({
      error: { code: 'too-long', message: 'it was not done within 4 seconds and was stopped; ask for less at once' },
    });
    expect(reply.status).toBe(422);
    // the first of them also waits for what was sent to arrive
    expect(Math.min(...waits)).toBeLessThan(1000);
    expect((await tool().send(example)).status).toBe(200);
  });
  it.each([
    ['deep brackets', `${'['.repeat(2_000_000)}${']'.repeat(2_000_000)}`],
    ['deep braces', `${'{"a":'.repeat(500_000)}1${'}'.repeat(500_000)}`],
  ])('%s are refused before they are built', async (_, body) => {
    for (const path of ['/api/tools/beam.line', '/api/projects/import', '/api/projects/nobody/commands', '/api/projects']) {
      const reply = await http.post(path).set('content-type', 'application/json').send(body);
      expect(reply.status).toBe(422);
      expect((reply.body as { error: { message: string } }).error.message).toContain('nested deeper');
    }
  });
  it('a step of next to nothing, stored by an earlier version, stops nothing', async () => {
    const items = tallowWharf({ baysX: 2, baysY: 2, storeys: 2, irregularity: 0 });
    const file = writeProjectFile('Small step', items);
    const { id } = (await http.post('/api/projects/import').send(file)).body as { id: string };
    const client = new pg.Client({ connectionString: database.url });
    await client.connect();
    await client.query(`update items set body = jsonb_set(body, '{footingStep}', '1e-14') where project = $1 and kind = 'brief'`, [id]);
    await client.end();
    expect((await http.get(`/api/projects/${id}/reactions.csv`)).status).toBe(200);
  });
  it('a body that is sent by half is not waited for', async () => {
    const socket = connect(Number(new URL(server.url).port), '127.0.0.1');
    const ended = new Promise<string>((resolve) => {
      let text = '';
      socket.on('data', (part) => (text += part.toString()));
      socket.on('close', () => resolve(text));
    });
    socket.write('POST /api/projects HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 100\r\n\r\n{"name"');
    expect(await ended).toContain('408');
  });
  it('more than a hundred screens of one project are told to wait', async () => {
    const { id } = (await http.post('/api/projects').send({ name: 'Watched', family: 'european' })).body as { id: string };
    const stop = new AbortController();
    const open = await Promise.all(
      Array.from({ length: 101 }, () => fetch(`${server.url}/api/projects/${id}/events`, { signal: stop.signal })),
    );
    expect(open.filter(({ status }) => status === 200).length).toBeLessThanOrEqual(101);
    const one = await fetch(`${server.url}/api/projects/${id}/events`, { signal: stop.signal });
    expect(one.status).toBe(429);
    stop.abort();
  });
  it('text that no database takes is refused at its field', async () => {
    const { id } = (await http.post('/api/projects').send({ name: 'Text', family: 'european' })).body as { id: string };
    const change = (name: string) => ({
      op: 'put',
      item: { ...item('level', 'L1', { name: 'x', elevation: 3000 }), body: { name, elevation: 3000 } },
      revision: null,
    });
    for (const name of ['a\u0000b', '\ud800', 'x'.repeat(100_000)]) {
      const reply = await http
        .post(`/api/projects/${id}/commands`)
        .send({ commandId: 'text-of-a-level', who: 'Ada', summary: 'a level', changes: [change(name)] });
      expect(reply.status).toBe(422);
      expect(reply.body).toMatchObject({ error: { code: 'bad-input', field: 'changes.0.item.name' } });
    }
    for (const path of ['/api/projects/%00', '/api/files/%00', '/api/projects/%E0%A4%A'])
      expect([400, 404]).toContain((await http.get(path)).status);
  });
});

describe('a database that fails', () => {
  it('is not now, with when to try again; what was sent never stands in the log', async () => {
    const secret = 'SECRET-OF-AN-UPLOAD';
    const client = new pg.Client({ connectionString: database.url });
    await client.connect();
    await client.query('alter table files rename to files_away');
    const broken = await http
      .post('/api/files')
      .set('content-type', 'application/pdf')
      .send(Buffer.from(`%PDF-1.7 ${secret.repeat(2000)}`));
    await client.query('alter table files_away rename to files');
    expect(broken.status).toBe(500);
    expect(logged).toContain('files');
    expect(logged).not.toContain(secret);
    expect(logged).not.toContain(Buffer.from(secret).toString('hex'));
    expect(logged.length).toBeLessThan(20_000);

    await client.query('begin');
    await client.query('lock table projects in access exclusive mode');
    const waiting = http.post('/api/projects').send({ name: 'Late', family: 'european' }).then();
    const reply = await waiting;
    await client.query('rollback');
    await client.end();
    expect(reply.status).toBe(503);
    expect(reply.headers['retry-after']).toBeDefined();
    expect(reply.body).toMatchObject({ error: { code: 'unavailable' } });
  });
});
