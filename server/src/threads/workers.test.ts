import { writeFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, expect, it } from 'vitest';
import { WorkerPool } from './workers';

const folder = mkdtempSync(join(tmpdir(), 'plinth-worker-'));
const file = join(folder, 'work.mjs');
writeFileSync(
  file,
  `export default ({ how }) => {
    if (how === 'forever') for (;;);
    if (how === 'memory') { const all = []; for (;;) all.push(new Array(1e5).fill({ n: all.length })); }
    return how;
  };`,
);
const pool = new WorkerPool(pathToFileURL(file), { seconds: 2, megabytes: 64, threads: 1 });
afterAll(async () => {
  await pool.close();
  rmSync(folder, { recursive: true });
});

it('stops what takes too long, and the thread works on', async () => {
  expect(await pool.run({ how: 'first' })).toBe('first');
  await expect(pool.run({ how: 'forever' })).rejects.toMatchObject({ status: 422, code: 'too-long' });
  expect(await pool.run({ how: 'well' })).toBe('well');
});
it('stops what takes too much memory', async () => {
  await expect(pool.run({ how: 'memory' })).rejects.toMatchObject({ status: 422, code: 'too-long' });
  expect(await pool.run({ how: 'well' })).toBe('well');
});
it('stops when the client leaves, before or while it works', async () => {
  const leaves = new AbortController();
  const running = pool.run({ how: 'forever' }, leaves.signal);
  leaves.abort();
  await expect(running).rejects.toMatchObject({ name: 'AbortError' });
  await expect(pool.run({ how: 'forever' }, leaves.signal)).rejects.toMatchObject({ name: 'AbortError' });
  expect(await pool.run({ how: 'well' })).toBe('well');
});
