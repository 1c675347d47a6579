import { execFile } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, renameSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { build } from 'vite';
import type { Figure } from '../bench/figure';
import { Plain, ROOT } from './system';

const run = promisify(execFile);

function folder(): string {
  const made = mkdtempSync(join(tmpdir(), 'plinth-bench-'));
  process.once('exit', () => rmSync(made, { recursive: true, force: true }));
  return made;
}

/**
 * The computation as the worker runs it: bundled. Files that are read one by one, as the tests are, call through more layers and say
 * nothing of the application.
 * @param root of the source
 * @returns the file
 */
export async function bundle(root = ROOT): Promise<string> {
  const out = folder();
  await build({
    root,
    configFile: false,
    logLevel: 'error',
    ssr: { noExternal: true },
    build: { ssr: join(root, 'bench', 'computed.ts'), outDir: out, emptyOutDir: true, minify: false },
  });
  const file = readdirSync(out).find((name) => /^computed\.m?js$/.test(name))!;
  const code = join(out, 'computed.mjs');
  renameSync(join(out, file), code);
  return code;
}

/** The computation of another commit, bundled, with the packages that are installed now. @throws Plain when there is no such commit */
export async function bundleOf(commit: string): Promise<string> {
  const tree = join(folder(), 'tree');
  try {
    await run('git', ['-C', ROOT, 'worktree', 'add', '--detach', '--quiet', tree, commit]);
  } catch {
    throw new Plain(`There is no commit "${commit}" to compare with.`);
  }
  try {
    symlinkSync(join(ROOT, 'node_modules'), join(tree, 'node_modules'));
    if (!existsSync(join(tree, 'bench', 'computed.ts'))) throw new Plain(`${commit} has no figures of the computation.`);
    return await bundle(tree);
  } finally {
    await run('git', ['-C', ROOT, 'worktree', 'remove', '--force', tree]);
  }
}

/** A figure of a bundle, in a process of its own: what one leaves in the memory is nothing to the next. Null: the bundle does not have it. */
export async function figureOf(code: string, name: string): Promise<Figure | null> {
  const url = JSON.stringify(pathToFileURL(code).href);
  const of = JSON.stringify(name);
  const script = `import(${url}).then(async (benches) => console.log(JSON.stringify(${of} in benches ? await benches[${of}]() : null)))`;
  const { stdout } = await run(process.execPath, ['--max-old-space-size=4096', '-e', script]);
  return JSON.parse(stdout) as Figure | null;
}
