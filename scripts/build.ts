import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'vite';
import { ROOT } from './system';

export const WEB_DIST = join(ROOT, 'web', 'dist');

function* filesBelow(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => a.name.localeCompare(b.name))) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

/** Print of everything that goes into the web application: names, sizes and times of its sources, and the lock file. */
function sourcePrint(): string {
  const hash = createHash('sha256');
  for (const folder of ['core/src', 'api/src', 'web/src'])
    for (const path of filesBelow(join(ROOT, folder))) {
      const { size, mtimeMs } = statSync(path);
      hash.update(`${path.slice(ROOT.length)} ${size} ${mtimeMs}\n`);
    }
  for (const file of ['package-lock.json', 'web/index.html', 'web/vite.config.ts']) hash.update(readFileSync(join(ROOT, file)));
  return hash.digest('hex');
}

/** Builds the web application when its sources have changed since the last time. */
export async function buildWeb(): Promise<void> {
  const stamp = join(WEB_DIST, '.built');
  const print = sourcePrint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return;
  console.error('Building the screens…');
  await build({ root: join(ROOT, 'web'), configFile: join(ROOT, 'web', 'vite.config.ts'), logLevel: 'error' });
  writeFileSync(stamp, print);
}
