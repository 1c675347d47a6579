import { spawn, type ChildProcess } from 'node:child_process';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { item } from '@plinth/core';
import type { JournalEntry, ProjectSnapshot } from '@plinth/api';
import { freshDatabase } from '../../e2e/app';
import { startServer } from './server';

let running: ChildProcess | undefined;
let database: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  database = await freshDatabase();
});
afterAll(async () => {
  running?.kill('SIGKILL');
  await database?.drop();
});

/** A server in a process of its own, that can be killed as a machine dies. */
async function ownProcess(): Promise<{ child: ChildProcess; url: string }> {
  const source = `
    const { startServer } = await import(${JSON.stringify(new URL('./server.ts', import.meta.url).href)});
    const { url } = await startServer({ databaseUrl: process.env.DATABASE, port: 0, web: null, demonstration: false });
    console.log(url);`;
  const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', source], {
    cwd: fileURLToPath(new URL('../..', import.meta.url)),
    env: { ...process.env, DATABASE: database.url },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    createInterface({ input: child.stdout! }).once('line', resolve);
  });
  return { child, url };
}

it('a server killed during a burst of edits keeps every edit that it acknowledged, and none by half', async () => {
  const { child, url } = await ownProcess();
  running = child;
  const post = (path: string, body: object) =>
    fetch(url + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  const { id } = (await (await post('/api/projects', { name: 'Burst', family: 'european' })).json()) as { id: string };
  const acknowledged: number[] = [];
  const refused: string[] = [];
  // each edit writes two levels in one command: by half would be one of them
  const edit = async (n: number) => {
    const changes = ['a', 'b'].map((half, i) => ({
      op: 'put',
      item: item('level', `L${n}${half}`, { name: `Level ${n}${half}`, elevation: 10 + n * 100 + i * 40 }),
      revision: null,
    }));
    const reply = await post(`/api/projects/${id}/commands`, { commandId: `burst-edit-${n}`, who: 'Ada', summary: `edit ${n}`, changes });
    if (reply.ok) acknowledged.push(n);
    else refused.push(await reply.text());
    if (acknowledged.length === 25) child.kill('SIGKILL');
  };
  await Promise.allSettled(Array.from({ length: 120 }, (_, n) => edit(n)));
  expect(refused).toEqual([]);
  expect(child.killed).toBe(true);
  expect(acknowledged.length).toBeGreaterThanOrEqual(25);
  expect(acknowledged.length).toBeLessThan(120);

  const again = await startServer({ databaseUrl: database.url, port: 0, web: null, demonstration: false });
  try {
    const ask = async <T>(path: string) => (await (await fetch(again.url + path)).json()) as T;
    const { list, version } = await ask<ProjectSnapshot>(`/api/projects/${id}`);
    const ids = new Set(list.map((entry) => entry.id));
    for (const n of acknowledged) expect([n, ids.has(`L${n}a`), ids.has(`L${n}b`)]).toEqual([n, true, true]);
    for (let n = 0; n < 120; n += 1) expect([n, ids.has(`L${n}a`)]).toEqual([n, ids.has(`L${n}b`)]);
    // the journal has an entry for each, without a gap
    const journal = await ask<JournalEntry[]>(`/api/projects/${id}/journal`);
    expect(journal.map((entry) => entry.version).sort((a, b) => a - b)).toEqual(Array.from({ length: version }, (_, i) => i + 1));
    expect(journal.length).toBe((ids.size - 2) / 2 + 1);
  } finally {
    await again.close();
  }
});
