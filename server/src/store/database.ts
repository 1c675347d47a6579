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

/** How long is waited for the database, ms. The largest project is written in less than `statement`. */
export const TIMEOUTS = { connect: 5_000, lock: 10_000, statement: 60_000, idleInTransaction: 60_000 } as const;

const CONNECTIONS = 12;

/** Opens a pool on a PostgreSQL database and brings its tables up to date. */
export async function openDatabase(url: string): Promise<Connection> {
  const pool = new pg.Pool({
    connectionString: url,
    max: CONNECTIONS,
    connectionTimeoutMillis: TIMEOUTS.connect,
    lock_timeout: TIMEOUTS.lock,
    statement_timeout: TIMEOUTS.statement,
    idle_in_transaction_session_timeout: TIMEOUTS.idleInTransaction,
    // a server that hangs without a word ends the wait as well
    query_timeout: TIMEOUTS.statement + 5_000,
    keepAlive: true,
  });
  // a connection that the database drops, idle or at work, must not end the process: who works on it is told by a refusal
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = drizzle(pool, { schema });
  await migrate(db, { migrationsFolder: fileURLToPath(new URL('../../drizzle', import.meta.url)) });
  return { db, pool, close: () => pool.end() };
}
