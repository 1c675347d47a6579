import { startServer } from '../server/src';
import { buildWeb, WEB_DIST } from './build';
import { Cluster } from './cluster';
import { Plain } from './system';

const DEFAULT_PORT = 4870;

/** Names by which a proxy in front reaches this server, parted by commas. */
const namesFromEnvironment = () => (process.env['PLINTH_HOSTS'] ?? '').split(',').filter((name) => name !== '');

/** Starts database, screens and server, and stops them in order on Ctrl-C. */
export async function serve(demonstration: boolean): Promise<void> {
  const port = Number(process.env['PLINTH_PORT'] ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Plain(`PLINTH_PORT is "${process.env['PLINTH_PORT']}"; it should be a port number such as ${DEFAULT_PORT}.`);
  const cluster = new Cluster('demo');
  const databaseUrl = await cluster.start();
  await buildWeb();
  let server;
  try {
    server = await startServer({ databaseUrl, port, web: WEB_DIST, demonstration, names: namesFromEnvironment() });
  } catch (error) {
    await cluster.stopUnlessUsed();
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    throw new Plain(
      `Port ${port} is taken. Is it running already? If not, choose another: PLINTH_PORT=${port + 1} ./plinth ${demonstration ? 'demo' : 'start'}`,
    );
  }
  const unwatch = cluster.watch();
  console.log(`Lofty Plinth is at ${server.url}   (Ctrl-C stops it)`);
  await new Promise<void>((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => resolve());
  });
  console.log('Stopping…');
  unwatch();
  await server.close();
  await cluster.stopUnlessUsed();
}
