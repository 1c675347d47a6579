import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { writeProjectFile, type Item } from '@plinth/core';
import { startServer, type RunningServer } from '../server/src';
import { WEB_DIST } from '../scripts/build';

/** A database of its own on the test cluster, whose address the command hands down. */
export async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const admin = process.env['PLINTH_TEST_DATABASE'];
  if (!admin) throw new Error('run through ./plinth test, which starts the database');
  const name = `t_${randomBytes(6).toString('hex')}`;
  const query = async (sql: string) => {
    const client = new pg.Client({ connectionString: admin });
    await client.connect();
    await client.query(sql);
    await client.end();
  };
  await query(`create database ${name}`);
  const url = new URL(admin);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => query(`drop database if exists ${name} with (force)`) };
}

/** The whole application on a fresh database. */
export async function startApp(demonstration: boolean): Promise<RunningServer> {
  const database = await freshDatabase();
  const server = await startServer({ databaseUrl: database.url, port: 0, web: WEB_DIST, demonstration });
  return {
    ...server,
    close: async () => {
      await server.close();
      await database.drop();
    },
  };
}

/** Puts a project into the application as one reads it from a file. @returns its id */
export async function importProject(app: RunningServer, name: string, items: readonly Item[]): Promise<string> {
  const reply = await fetch(`${app.url}/api/projects/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(writeProjectFile(name, items)),
  });
  return ((await reply.json()) as { id: string }).id;
}
