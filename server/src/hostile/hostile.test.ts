import { afterAll, beforeAll, expect, it } from 'vitest';
import { ebbwickSailLoft, writeProjectFile } from '@plinth/core';
import { freshDatabase } from '../../../e2e/app';
import { startServer, type RunningServer } from '../server';
import { ask, judge } from './judge';
import { hostileRequests } from './requests';

/** `./plinth test hostile [count] [seed]` sets both. */
const [COUNT, SEED] = [Number(process.env['PLINTH_HOSTILE'] ?? 500), Number(process.env['PLINTH_SEED'] ?? 20_261)];

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer({ databaseUrl: database.url, port: 0, web: null, demonstration: false, requestsPer10s: 1e9 });
});
afterAll(async () => {
  await server?.close();
  await database?.drop();
});

it(
  `${COUNT} hostile requests are answered soon, in one shape and in an engineer's words`,
  async () => {
    const reply = await fetch(`${server.url}/api/projects/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(
        writeProjectFile(
          'Hostile',
          ebbwickSailLoft().filter(({ kind }) => kind !== 'drawing'),
        ),
      ),
    });
    const { id } = (await reply.json()) as { id: string };
    const requests = hostileRequests(COUNT, SEED, id);
    const faults: string[] = [];
    let at = 0;
    const run = async () => {
      for (let n = at++; n < requests.length; n = at++) {
        const asked = requests[n]!;
        const fault = await ask(server.url, asked).then(
          (answer) => judge(asked, answer),
          (error: Error) => `no answer: ${error.message}`,
        );
        if (fault) faults.push(`${asked.method} ${asked.path.slice(0, 80)} (${asked.what.slice(0, 80)}): ${fault}`);
      }
    };
    await Promise.all([run(), run(), run(), run()]);
    expect(faults).toEqual([]);
    // and it still stands
    expect((await fetch(`${server.url}/api/projects/${id}`)).status).toBe(200);
    expect((await fetch(`${server.url}/api/projects/${id}/members.csv`)).status).toBe(200);
  },
  COUNT * 4000,
);
