import { readFileSync } from 'node:fs';
import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino, type Logger } from 'pino';
import { DEMONSTRATIONS, GENERATED } from '@plinth/core';
import { ebbwickSheets, laidSheet } from '@plinth/core/dxf';
import { createApp } from './app';
import { openDatabase, type Connection } from './store/database';
import { storeFile } from './store/files';
import { LiveChanges } from './store/live';
import { insertProject, projectExists } from './store/projects';
import { Workers, type Limits } from './threads/workers';

export interface ServerOptions {
  readonly databaseUrl: string;
  /** 0 takes any free port. */
  readonly port: number;
  readonly web: string | null;
  readonly demonstration: boolean;
  readonly log?: Logger;
  /** Names by which the server is reached beside the loopback ones. */
  readonly names?: readonly string[];
  /** Limits of each piece of work in a thread. */
  readonly limits?: Partial<Limits>;
  readonly requestsPer10s?: number;
  /** How long a request may take to arrive, ms. */
  readonly arrival?: number;
}

/** Connections that are open at once. */
const CONNECTIONS = 2000;

export interface RunningServer {
  readonly url: string;
  readonly connection: Connection;
  readonly close: () => Promise<void>;
}

/** Stores the demonstration buildings that are not there yet; what somebody did with them stays. */
export async function loadDemonstrations(connection: Connection): Promise<void> {
  for (const { id, items } of [...DEMONSTRATIONS, GENERATED]) {
    if (await projectExists(connection.db, id)) continue;
    const list = items();
    if (id === 'ebbwick-sail-loft')
      for (const sheet of ebbwickSheets()) {
        const { hash } = await storeFile(connection.db, readFileSync(new URL(`../demonstration/${sheet.file}`, import.meta.url)));
        list.push(laidSheet(sheet, hash));
      }
    const brief = list.find((item) => item.kind === 'brief')!;
    await insertProject(connection.db, brief.body.name, list, 'Lofty Plinth', 'Demonstration building', id);
  }
}

/** Opens database and port. @throws with code EADDRINUSE when the port is taken */
export async function startServer({
  databaseUrl,
  port,
  web,
  demonstration,
  log = pino({ level: 'warn' }),
  names,
  limits,
  requestsPer10s,
  arrival = 120_000,
}: ServerOptions): Promise<RunningServer> {
  const connection = await openDatabase(databaseUrl);
  const live = new LiveChanges(databaseUrl, connection.db);
  const workers = new Workers(limits);
  try {
    if (demonstration) await loadDemonstrations(connection);
    await live.start();
    const app = createApp({ db: connection.db, live, workers, web, log, names, requestsPer10s });
    // a body that is sent half, or drop by drop, does not hold a connection for ever
    const times = {
      requestTimeout: arrival,
      headersTimeout: Math.min(arrival, 20_000),
      connectionsCheckingInterval: Math.min(arrival, 5_000),
    };
    const server = await new Promise<Server>((resolve, reject) => {
      const made = createServer(times, app as RequestListener);
      made.maxConnections = CONNECTIONS;
      made.once('error', reject);
      made.listen(port, '127.0.0.1', () => resolve(made));
    });
    const close = async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await live.close();
      await workers.close();
      await connection.close();
    };
    return { url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, connection, close };
  } catch (error) {
    await live.close();
    await connection.close();
    throw error;
  }
}
