import pg from 'pg';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { become, ebbwickSailLoft, item, TOOLS, type Item } from '@plinth/core';
import type { ApiItem, CommandReply, ProjectSnapshot } from '@plinth/api';
import { freshDatabase } from '../../e2e/app';
import { startServer, type RunningServer } from './server';
import { applyCommand } from './store/commands';
import { openDatabase } from './store/database';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let http: ReturnType<typeof request>;
let serial = 0;
const commandId = () => `command-${(serial += 1)}-${Math.random().toString(36).slice(2)}`;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer({ databaseUrl: database.url, port: 0, web: null, demonstration: true });
  http = request(server.url);
});
afterAll(async () => {
  await server?.close();
  await database?.drop();
});

const project = async (name = 'Trial'): Promise<string> =>
  ((await http.post('/api/projects').send({ name, family: 'european' })).body as { id: string }).id;
const snapshot = async (id: string): Promise<ProjectSnapshot> => (await http.get(`/api/projects/${id}`)).body as ProjectSnapshot;
const find = async (id: string, itemId: string): Promise<ApiItem | undefined> =>
  (await snapshot(id)).list.find((entry) => entry.id === itemId);
const level = (id: string, name: string, elevation: number): Item => item('level', id, { name, elevation });
const put = (entry: Item, revision: number | null) => ({ op: 'put' as const, item: entry, revision });
const send = (id: string, changes: unknown[], who = 'Ada', more: object = {}) =>
  http.post(`/api/projects/${id}/commands`).send({ commandId: commandId(), who, summary: 'a change', changes, ...more });

describe('what an earlier version stored', () => {
  it('is read complete, at any depth: the project, and the project as it was at an old entry of its journal', async () => {
    const id = await project('Older');
    const beam = item('beam', 'B1', {
      mark: 'B1',
      level: 'L1',
      from: { x: 0, y: 0 },
      to: { x: 6000, y: 0 },
      ownWeight: 0.4,
      supports: [
        { at: 0, by: null },
        { at: 6000, by: null },
      ],
    });
    await send(id, [put(level('L1', 'First', 3000), null), put(beam, null)]);
    const longer = { ...beam, body: { ...(beam as Extract<Item, { kind: 'beam' }>).body, ownWeight: 0.5 } } as Item;
    await send(id, [put(longer, 2)]);
    // as a program of version 2 wrote them: supports that know nothing of springs, a beam that knows nothing of stretches
    const client = new pg.Client({ connectionString: database.url });
    await client.connect();
    const bare = `'[{"at":0,"by":null,"holdsDown":false},{"at":6000,"by":null,"holdsDown":false}]'::jsonb`;
    try {
      await client.query(
        `update items set model = 2, body = jsonb_set(body - 'stretches', '{supports}', ${bare}) where project = $1 and id = 'B1'`,
        [id],
      );
      const { rows } = await client.query<{ version: number; changes: { id: string; before: ApiItem | null; after: ApiItem | null }[] }>(
        'select version, changes from journal where project = $1',
        [id],
      );
      const older = (state: ApiItem | null) => {
        if (!state || state.kind !== 'beam') return state;
        const { stretches: _, ...body } = state.body as Record<string, unknown>;
        const supports = (body['supports'] as { at: number; by: string | null }[]).map(({ at, by }) => ({ at, by, holdsDown: false }));
        return { ...state, body: { ...body, supports } };
      };
      for (const { version, changes } of rows)
        await client.query('update journal set model = 2, changes = $1 where project = $2 and version = $3', [
          JSON.stringify(changes.map((change) => ({ ...change, before: older(change.before), after: older(change.after) }))),
          id,
          version,
        ]);
    } finally {
      await client.end();
    }
    const expected = {
      stretches: [],
      supports: [
        { fixed: false, spring: null, settlement: 0 },
        { fixed: false, spring: null, settlement: 0 },
      ],
    };
    expect((await find(id, 'B1'))!.body).toMatchObject({ ...expected, ownWeight: 0.5 });
    const { list } = (await http.get(`/api/projects/${id}/at/2`)).body as { list: ApiItem[] };
    expect(list.find((entry) => entry.id === 'B1')!.body).toMatchObject({ ...expected, ownWeight: 0.4 });
  });
  it('a beam that was called a truss is one, in the project and in its journal', async () => {
    const id = await project('Older truss');
    const ends = { from: { x: 0, y: 0 }, to: { x: 9000, y: 0 } };
    const truss = item('truss', 'T1', { mark: 'T1', level: 'L1', ...ends, ownWeight: 0.9, supports: [], hinges: [3000] });
    await send(id, [put(level('L1', 'First', 3000), null), put(truss, null)]);
    const role = `|| '{"role":"truss","section":null,"grade":null,"locked":false}'::jsonb`;
    const client = new pg.Client({ connectionString: database.url });
    await client.connect();
    try {
      await client.query(`update items set kind = 'beam', model = 3, body = body ${role} where project = $1 and id = 'T1'`, [id]);
      await client.query(
        `update journal set model = 3, changes = jsonb_set(jsonb_set(changes, '{1,after,kind}', '"beam"'), '{1,after,body}',
          (changes #> '{1,after,body}') ${role}) where project = $1 and version = 2`,
        [id],
      );
    } finally {
      await client.end();
    }
    expect(await find(id, 'T1')).toMatchObject({ kind: 'truss', body: truss.body });
    const { list } = (await http.get(`/api/projects/${id}/at/2`)).body as { list: ApiItem[] };
    expect(list.find((entry) => entry.id === 'T1')).toMatchObject({ kind: 'truss', body: truss.body });
  });
});

describe('commands', () => {
  it('write item and journal together, and count the version up', async () => {
    const id = await project();
    const reply = await send(id, [put(level('L1', 'First', 3000), null)]);
    expect(reply.status).toBe(200);
    expect((reply.body as CommandReply).version).toBe(2);
    expect((await find(id, 'L1'))!.revision).toBe(2);
    const journal = (await http.get(`/api/projects/${id}/journal`)).body as { who: string; items: string[] }[];
    expect(journal[0]).toMatchObject({ who: 'Ada', items: ['L1'] });
  });
  it('on a stale revision are refused with what changed and by whom, and write nothing', async () => {
    const id = await project();
    await send(id, [put(level('L1', 'First', 3000), null)]);
    await send(id, [put(level('L1', 'First floor', 3000), 2)], 'Ben');
    const stale = await send(id, [put(level('L1', 'Upper', 3100), 2), put(level('L2', 'Second', 6000), null)]);
    expect(stale.status).toBe(409);
    expect(stale.body.error.code).toBe('stale');
    expect(stale.body.error.current[0]).toMatchObject({ id: 'L1', changedBy: 'Ben', item: { body: { name: 'First floor' } } });
    expect(await find(id, 'L2')).toBeUndefined();
  });
  it('sent again with the same id change nothing a second time', async () => {
    const id = await project();
    const body = { commandId: commandId(), who: 'Ada', summary: 'a level', changes: [put(level('L1', 'First', 3000), null)] };
    const [one, two] = [
      await http.post(`/api/projects/${id}/commands`).send(body),
      await http.post(`/api/projects/${id}/commands`).send(body),
    ];
    expect(two.body).toEqual(one.body);
    expect((await snapshot(id)).version).toBe(2);
  });
  it('are all or nothing: one faulty change leaves none', async () => {
    const id = await project();
    const reply = await send(id, [
      put(level('L1', 'First', 3000), null),
      { op: 'put', item: { id: 'L2', kind: 'level', body: { name: '', elevation: 0 } }, revision: null },
    ]);
    expect(reply.status).toBe(422);
    expect(reply.body.error).toMatchObject({ code: 'bad-input', field: 'changes.1.item.name' });
    expect((await snapshot(id)).version).toBe(1);
  });
  it.each([
    ['a reference to nothing', put(item('footing', 'F1', { mark: 'F1', at: { x: 0, y: 0 }, level: 'attic' }), null), 'refers to "attic"'],
    ['a kind that does not exist', { op: 'put', item: { id: 'Q', kind: 'tower', body: {} }, revision: null }, 'not a kind of item'],
    ['taking away the brief', { op: 'remove', id: 'brief', revision: 1 }, 'needs a brief'],
    [
      'a quantity that cannot be read',
      { op: 'put', item: { id: 'L9', kind: 'level', body: { name: 'x', elevation: '3 apples' } }, revision: null },
      'not a unit',
    ],
  ])('refuse %s with words and 422', async (_, change, message) => {
    const id = await project();
    const reply = await send(id, [change]);
    expect(reply.status).toBe(422);
    expect(reply.body.error.message).toContain(message);
  });
  it('a field that the codes of the project do not read is refused when it is typed, and kept through a change of codes', async () => {
    const id = await project();
    const brief = (await find(id, 'brief'))!;
    const codes = (family: 'british', combinationRule: 'BS5950', revision: number) =>
      send(id, [
        put(item('brief', 'brief', { ...(brief.body as Extract<Item, { kind: 'brief' }>['body']), family, combinationRule }), revision),
      ]);
    const beam = (more: object) =>
      item('beam', 'B1', {
        mark: 'B1',
        level: 'ground',
        from: { x: 0, y: 0 },
        to: { x: 6000, y: 0 },
        ownWeight: 0.5,
        supports: [],
        supportsFound: true,
        ...more,
      });
    expect((await send(id, [put(beam({ untwisted: true }), null)])).status).toBe(200);
    expect((await codes('british', 'BS5950', 1)).status).toBe(200);
    expect((await find(id, 'B1'))!.body).toMatchObject({ untwisted: true });
    expect((await send(id, [put(beam({ untwisted: true, note: 'seen' }), 2)])).status).toBe(200);
    expect((await send(id, [put(beam({}), 4)])).status).toBe(200);
    const reply = await send(id, [put(beam({ untwisted: true }), 5)]);
    expect(reply.status).toBe(422);
    expect(reply.body.error).toMatchObject({ field: 'untwisted', message: expect.stringContaining('is not used by BS 5950-1') as string });
  });
  it('removing what is in use is refused', async () => {
    const id = await project();
    await send(id, [put(item('footing', 'F1', { mark: 'F1', at: { x: 0, y: 0 }, level: 'ground' }), null)]);
    const reply = await send(id, [{ op: 'remove', id: 'ground', revision: 1 }]);
    expect(reply.status).toBe(422);
    expect(reply.body.error.message).toContain('F1 refers to "ground"');
  });
  it('at one time from two sides: exactly one is written', async () => {
    const id = await project();
    await send(id, [put(level('L1', 'First', 3000), null)]);
    const replies = await Promise.all(['Ada', 'Ben', 'Cy', 'Dot'].map((who) => send(id, [put(level('L1', who, 3000), 2)], who)));
    expect(replies.map((reply) => reply.status).sort()).toEqual([200, 409, 409, 409]);
    expect((await snapshot(id)).version).toBe(3);
  });
  it('many of one project that wait for it keep no other project waiting', async () => {
    const [busy, other] = [await project('Busy'), await project('Other')];
    const holder = new pg.Client({ connectionString: database.url });
    await holder.connect();
    await holder.query('begin');
    await holder.query('select id from projects where id = $1 for update', [busy]);
    // more than there are connections to the database
    const waiting = Array.from({ length: 40 }, (_, i) => send(busy, [put(level(`K${i}`, `Level ${i}`, (i + 1) * 3000), null)]).then());
    const reply = await send(other, [put(level('L1', 'First', 3000), null)]);
    expect(reply.status).toBe(200);
    await holder.query('rollback');
    await holder.end();
    expect((await Promise.all(waiting)).map(({ status }) => status)).toEqual(waiting.map(() => 200));
    expect((await snapshot(busy)).version).toBe(41);
  });
});

describe('undo and redo', () => {
  const step = (id: string, mode: 'undo' | 'redo', who = 'Ada') =>
    http.post(`/api/projects/${id}/${mode}`).send({ who, commandId: commandId() });
  it('take back one’s own last commands in order, and bring them back', async () => {
    const id = await project();
    await send(id, [put(level('L1', 'First', 3000), null)]);
    await send(id, [put(level('L1', 'Upper', 3000), 2)]);
    await step(id, 'undo');
    expect((await find(id, 'L1'))!.body).toMatchObject({ name: 'First' });
    await step(id, 'undo');
    expect(await find(id, 'L1')).toBeUndefined();
    expect((await step(id, 'undo')).status).toBe(409);
    await step(id, 'redo');
    await step(id, 'redo');
    expect((await find(id, 'L1'))!.body).toMatchObject({ name: 'Upper' });
    expect((await step(id, 'redo')).body.error.message).toContain('nothing to redo');
    await step(id, 'undo');
    expect((await find(id, 'L1'))!.body).toMatchObject({ name: 'First' });
  });
  it('a beam becomes a truss and is a beam again; nothing else changes its kind', async () => {
    const id = await project();
    const ends = { from: { x: 0, y: 0 }, to: { x: 6000, y: 0 } };
    const beam = item('beam', 'B1', { mark: 'B1', level: 'L1', ...ends, ownWeight: 0.4, supports: [], section: 'IPE 300' });
    await send(id, [put(level('L1', 'First', 3000), null), put(beam, null)]);
    const truss = become(beam as Extract<Item, { kind: 'beam' }>, 'truss');
    expect((await send(id, [put(truss, 2)])).status).toBe(200);
    expect(await find(id, 'B1')).toMatchObject({ kind: 'truss', body: truss.body });
    await step(id, 'undo');
    expect(await find(id, 'B1')).toMatchObject({ kind: 'beam', body: beam.body });
    await step(id, 'redo');
    expect(await find(id, 'B1')).toMatchObject({ kind: 'truss', body: truss.body });
    const gridline = item('gridline', 'B1', { label: 'A', ...ends });
    const refused = await send(id, [put(gridline, 5)]);
    expect([refused.status, refused.text]).toEqual([422, expect.stringContaining('cannot become a gridline')]);
  });
  it('a new command forgets what could be redone', async () => {
    const id = await project();
    await send(id, [put(level('L1', 'First', 3000), null)]);
    await step(id, 'undo');
    await send(id, [put(level('L2', 'Other', 3000), null)]);
    expect((await step(id, 'redo')).status).toBe(409);
  });
  it('leave others’ work alone, and say what stands in the way', async () => {
    const id = await project();
    await send(id, [put(level('L1', 'First', 3000), null)]);
    await send(id, [put(level('L2', 'Ben’s', 6000), null)], 'Ben');
    await step(id, 'undo');
    expect(await find(id, 'L1')).toBeUndefined();
    expect(await find(id, 'L2')).toBeDefined();
    await step(id, 'redo');
    const revision = (await find(id, 'L1'))!.revision;
    await send(id, [put(level('L1', 'Ben was here', 3000), revision)], 'Ben');
    const blocked = await step(id, 'undo');
    expect(blocked.status).toBe(409);
    expect(blocked.body.error.message).toContain('changed since by Ben');
    expect((await find(id, 'L1'))!.body).toMatchObject({ name: 'Ben was here' });
  });
});

describe('nothing half written', () => {
  it('when the connection is killed in the middle of a command', async () => {
    const id = await project();
    const own = await openDatabase(database.url);
    const admin = new pg.Client({ connectionString: database.url });
    await admin.connect();
    try {
      // a second session holds the row that the command writes at its end, so that it is caught in the middle
      const holder = new pg.Client({ connectionString: database.url });
      await holder.connect();
      await holder.query('begin');
      await holder.query('lock table journal in access exclusive mode');
      const changes = Array.from({ length: 50 }, (_, i) => put(level(`K${i}`, `Level ${i}`, (i + 1) * 3000), null));
      const attempt = applyCommand(own.db, id, { commandId: commandId(), who: 'Ada', summary: 'many', reason: '', changes }).then(
        () => 'written',
        () => 'failed',
      );
      let victim: number | undefined;
      while (victim === undefined) {
        const { rows } = await admin.query<{ pid: number }>(
          "select pid from pg_stat_activity where wait_event_type = 'Lock' and datname = current_database() and pid <> pg_backend_pid()",
        );
        victim = rows[0]?.pid;
      }
      await admin.query('select pg_terminate_backend($1)', [victim]);
      await holder.query('rollback');
      await holder.end();
      expect(await attempt).toBe('failed');
    } finally {
      await admin.end();
      await own.close();
    }
    const after = await snapshot(id);
    expect(after.version).toBe(1);
    expect(after.list.filter((entry) => entry.id.startsWith('K'))).toEqual([]);
    expect(((await http.get(`/api/projects/${id}/journal`)).body as unknown[]).length).toBe(1);
  });
});

describe('live changes', () => {
  it('tell an open screen the journal number, and what changed since is asked for by it', async () => {
    const id = await project();
    const stop = new AbortController();
    const response = await fetch(`${server.url}/api/projects/${id}/events`, { signal: stop.signal });
    const reader = response.body!.getReader();
    const heard = (async () => {
      let text = '';
      while (!text.includes('data:')) text += new TextDecoder().decode((await reader.read()).value);
      return text;
    })();
    await send(id, [put(level('L1', 'First', 3000), null)]);
    expect(await heard).toContain(`"version":2`);
    stop.abort();
    const { body } = await http.get(`/api/projects/${id}/changes?after=1`);
    expect(body).toMatchObject({ version: 2, changed: [{ id: 'L1' }], removed: [] });
    await send(id, [{ op: 'remove', id: 'L1', revision: 2 }]);
    expect((await http.get(`/api/projects/${id}/changes?after=2`)).body).toMatchObject({ version: 3, changed: [], removed: ['L1'] });
  });
});

describe('projects', () => {
  it('lists the demonstration buildings', async () => {
    const names = ((await http.get('/api/projects')).body as { name: string }[]).map((entry) => entry.name);
    expect(names).toEqual(expect.arrayContaining(['Ebbwick Sail Loft', 'Quillfern Tool Library']));
  });
  it('exports to one file and comes back from it equal', async () => {
    const file = (await http.get('/api/projects/ebbwick-sail-loft/export')).body as { items: unknown[] };
    expect(file.items.length).toBe(ebbwickSailLoft().length + 3);
    const { id } = (await http.post('/api/projects/import').send(file)).body as { id: string };
    expect((await http.get(`/api/projects/${id}/export`)).body).toEqual(file);
    expect((await http.delete(`/api/projects/${id}`)).status).toBe(204);
    expect((await http.get(`/api/projects/${id}`)).status).toBe(404);
  });
  it('gives a project back as it was after any entry of its journal', async () => {
    const { id } = (await http.post('/api/projects').send({ name: 'Was', family: 'european' })).body as { id: string };
    const command = (n: number, changes: unknown[]) =>
      http.post(`/api/projects/${id}/commands`).send({ commandId: `was-${id}-${n}`, who: 'Ada', summary: `step ${n}`, changes });
    const level = (elevation: number) => ({ id: 'L1', kind: 'level', body: { name: 'Floor', elevation } });
    expect((await command(2, [{ op: 'put', item: level(3000), revision: null }])).status).toBe(200);
    expect((await command(3, [{ op: 'put', item: level(3300), revision: 2 }])).status).toBe(200);
    expect((await command(4, [{ op: 'remove', id: 'L1', revision: 3 }])).status).toBe(200);
    const at = async (version: number) => {
      const { list } = (await http.get(`/api/projects/${id}/at/${version}`)).body as {
        list: { id: string; body: { elevation: number } }[];
      };
      return list.find((entry) => entry.id === 'L1')?.body.elevation ?? null;
    };
    expect([await at(1), await at(2), await at(3), await at(4)]).toEqual([null, 3000, 3300, null]);
    for (const wrong of ['5', '0']) expect((await http.get(`/api/projects/${id}/at/${wrong}`)).status).toBe(404);
    expect((await http.get(`/api/projects/${id}/at/x`)).status).toBe(422);
    expect((await http.get('/api/projects/nobody/at/1')).status).toBe(404);
  });
  it('gives reactions and members as CSV', async () => {
    const reply = await http.get('/api/projects/quillfern-tool-library/reactions.csv');
    expect(reply.headers['content-type']).toContain('text/csv');
    expect(reply.text).toContain('permanent [kip]');
    expect((await http.get('/api/projects/quillfern-tool-library/members.csv')).text).toContain('W21X62');
    expect((await http.get('/api/projects/quillfern-tool-library/order.csv')).text).toMatch(/^order,mark/);
    expect((await http.get('/api/projects/ebbwick-sail-loft/reactions.csv?level=roof')).text).toContain('R1');
    expect((await http.get('/api/projects/ebbwick-sail-loft/reactions.csv?level=attic')).status).toBe(404);
  });
});

describe('calculations over HTTP', () => {
  it.each([...TOOLS.values()].map((tool) => [tool.id, tool] as const))('%s answers its example', async (id, tool) => {
    const reply = await http.post(`/api/tools/${id}`).send(tool.example as object);
    expect(reply.status).toBe(200);
    expect(Object.keys(reply.body as object).sort()).toEqual(['assumptions', 'checks', 'kinds', 'result', 'steps', 'tool']);
  });
  it('takes lines and answers lines, a faulty one too', async () => {
    const lines = [
      `{"tool":"quantity.read","input":{"text":"3","kind":"length","system":"SI"}}`,
      'nonsense',
      `{"tool":"no.such","input":{}}`,
    ];
    const reply = await http
      .post('/api/tools')
      .set('content-type', 'application/x-ndjson')
      .send(lines.join('\n'))
      .buffer(true)
      .parse((response, done) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () => done(null, text));
      });
    const answers = (reply.body as string)
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { result?: { value: number }; error?: { message: string } });
    expect(answers[0]!.result!.value).toBe(3000);
    expect(answers[1]!.error!.message).toContain('not JSON');
    expect(answers[2]!.error!.message).toContain('there is no tool');
  });
  it('writes an OpenAPI document and a page with every calculation', async () => {
    const { body } = await http.get('/api/openapi.json');
    expect(Object.keys((body as { paths: object }).paths).length).toBe(TOOLS.size);
    const page = (await http.get('/api/docs')).text;
    for (const id of TOOLS.keys()) expect(page).toContain(id);
  });
});

describe('errors have one shape, and are never the server’s', () => {
  it.each([
    ['no such path', () => http.get('/api/nowhere'), 404, 'not-found'],
    ['no such project', () => http.get('/api/projects/nowhere'), 404, 'not-found'],
    ['a command on no project', () => send('nowhere', [put(level('L1', 'x', 0), null)]), 404, 'not-found'],
    [
      'a body that is not JSON',
      () => http.post('/api/projects').set('content-type', 'application/json').send('{"name":'),
      400,
      'bad-input',
    ],
    ['a project without a name', () => http.post('/api/projects').send({ name: ' ', family: 'european' }), 422, 'bad-input'],
    ['an unknown family', () => http.post('/api/projects').send({ name: 'x', family: 'martian' }), 422, 'bad-input'],
    ['a command without changes', () => send('ebbwick-sail-loft', []), 422, 'bad-input'],
    ['an odd number', () => http.get('/api/projects/ebbwick-sail-loft/changes?after=soon'), 422, 'bad-input'],
    ['a file that is none', () => http.post('/api/projects/import').send({ hello: 1 }), 422, 'bad-input'],
    ['a mechanism', () => http.post('/api/tools/beam.line').send({ length: '5 m', EI: 1e12, supports: [{ at: 0 }] }), 422, 'unstable'],
    ['a zero span', () => http.post('/api/tools/beam.line').send({ length: 0, EI: 1e12, supports: [{ at: 0 }] }), 422, 'bad-input'],
    ['no body at all', () => http.post('/api/tools/beam.line'), 422, 'bad-input'],
  ])('%s', async (_, ask, status, code) => {
    const reply = await ask();
    expect(reply.status).toBe(status);
    expect(reply.body.error.code).toBe(code);
    expect(reply.body.error.message.length).toBeGreaterThan(8);
  });
});
