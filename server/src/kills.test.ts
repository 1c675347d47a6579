import { spawn, type ChildProcess } from 'node:child_process';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { item } from '@plinth/core';
import type { JournalEntry, ProjectSnapshot } from '@plinth/api';
import { Cluster } from '../../scripts/cluster';

/** `./plinth test kills [rounds]` sets it. */
const ROUNDS = Number(process.env['PLINTH_KILLS'] ?? 3);
const EDITS = 40;

const cluster = new Cluster('kills');
let databaseUrl: string;
let unwatch: () => void;
let child: ChildProcess;
let url: string;

/** The server in a process of its own, so that it can be killed. */
async function startChild(): Promise<void> {
  const source = `
    import { startServer } from './server/src/index.ts';
    const { url } = await startServer({ databaseUrl: process.env.DATABASE, port: 0, web: null, demonstration: false });
    console.log(url);`;
  child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', source], {
    cwd: fileURLToPath(new URL('../..', import.meta.url)),
    env: { ...process.env, DATABASE: databaseUrl },
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  url = await new Promise<string>((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    createInterface({ input: child.stdout! }).once('line', resolve);
  });
}

beforeAll(async () => {
  databaseUrl = await cluster.start();
  unwatch = cluster.watch();
  await startChild();
});
afterAll(() => {
  child?.kill('SIGKILL');
  unwatch?.();
  cluster.stop();
});

const post = (path: string, body: object) =>
  fetch(url + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** A pause between two tries of a client, as the interface makes it. */
const aMoment = () => new Promise((resolve) => setTimeout(resolve, 50));

/** Sends until it is answered, as the interface does; what is answered must be yes, or not now. */
async function persist(path: string, body: object, faults: string[]): Promise<void> {
  for (;;) {
    const reply = await post(path, body).catch(() => null);
    if (reply?.ok) return;
    if (reply && (reply.status !== 503 || reply.headers.get('retry-after') === null)) faults.push(`${reply.status} ${await reply.text()}`);
    await aMoment();
  }
}

/** An open screen: hears journal numbers, and listens again when the stream ends. */
function screen(id: string): { heard: () => number; stop: () => void } {
  const stop = new AbortController();
  let highest = 0;
  const listen = async () => {
    while (!stop.signal.aborted) {
      try {
        const { body } = await fetch(`${url}/api/projects/${id}/events`, { signal: stop.signal });
        // a screen that comes back asks what changed since
        const after = (await (await fetch(`${url}/api/projects/${id}/changes?after=0`)).json()) as { version?: number };
        highest = Math.max(highest, after.version ?? 0);
        for await (const part of body!)
          for (const [, version] of Buffer.from(part)
            .toString()
            .matchAll(/"version":(\d+)/g))
            highest = Math.max(highest, Number(version));
      } catch {
        await aMoment();
      }
    }
  };
  void listen();
  return { heard: () => highest, stop: () => stop.abort() };
}

const KILLS: Record<string, () => Promise<void>> = {
  server: async () => {
    child.removeAllListeners('exit');
    child.kill('SIGKILL');
    await startChild();
  },
  'one connection of the database': async () => {
    const admin = new pg.Client({ connectionString: databaseUrl });
    await admin.connect();
    await admin.query(
      "select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid() and query not like 'listen%' limit 1",
    );
    await admin.end();
  },
  'the connection that listens': async () => {
    const admin = new pg.Client({ connectionString: databaseUrl });
    await admin.connect();
    await admin.query("select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen%' and pid <> pg_backend_pid()");
    await admin.end();
  },
  'the database': async () => {
    process.kill(cluster.postmaster, 'SIGKILL');
  },
};

describe.each(Object.keys(KILLS))('%s killed during a burst of edits', (victim) => {
  it.each(Array.from({ length: ROUNDS }, (_, n) => n + 1))(
    'round %i: every edit is written once, and an open screen hears of the last',
    async (round) => {
      const faults: string[] = [];
      let project = await post('/api/projects', { name: 'Killed', family: 'european' }).catch(() => null);
      while (!project?.ok) {
        await aMoment();
        project = await post('/api/projects', { name: 'Killed', family: 'european' }).catch(() => null);
      }
      const { id } = (await project.json()) as { id: string };
      const open = screen(id);
      let [acknowledged, killing] = [0, Promise.resolve()];
      const edit = async (n: number) => {
        const level = item('level', `L${n}`, { name: `Level ${n}`, elevation: 1000 * (n + 1) });
        const changes = [{ op: 'put', item: level, revision: null }];
        const command = { commandId: `kill-${round}-${n}-edit`, who: 'Ada', summary: `edit ${n}`, changes };
        await persist(`/api/projects/${id}/commands`, command, faults);
        acknowledged += 1;
        if (acknowledged === 5) killing = KILLS[victim]!();
      };
      await Promise.all(Array.from({ length: EDITS }, (_, n) => edit(n)));
      await killing;
      expect(faults).toEqual([]);
      const ask = async <T>(path: string): Promise<T> => {
        for (;;) {
          const reply = await fetch(url + path).catch(() => null);
          if (reply?.ok) return (await reply.json()) as T;
          await aMoment();
        }
      };
      const { list, version } = await ask<ProjectSnapshot>(`/api/projects/${id}`);
      expect(list.filter(({ kind }) => kind === 'level')).toHaveLength(EDITS + 1);
      expect(version).toBe(EDITS + 1);
      const journal = await ask<JournalEntry[]>(`/api/projects/${id}/journal`);
      expect(new Set(journal.map((entry) => entry.summary)).size).toBe(EDITS + 1);
      while (open.heard() < version) await aMoment();
      open.stop();
    },
    90_000,
  );
});
