import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { fileURLToPath } from 'node:url';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

export interface Connection {
  readonly db: Database;
  readonly pool: pg.Pool;
  readonly close: () => Promise<void>;
}

/** Opens a pool on a PostgreSQL database and brings its tables up to date. */
export async function openDatabase(url: string): Promise<Connection> {
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  // a connection that the database drops, idle or at work, must not end the process: who works on it is told by a refusal
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = drizzle(pool, { schema });
  await migrate(db, { migrationsFolder: fileURLToPath(new URL('../../drizzle', import.meta.url)) });
  return { db, pool, close: () => pool.end() };
}
