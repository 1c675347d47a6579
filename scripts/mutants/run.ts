import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Plain, ROOT } from '../system';
import type { Mutant } from './mutant';

/** A mutant whose tests do not end within this is one that they found, ms. */
const PATIENCE = 120_000;

const PASSES = 'every test passes';

const occurrences = (text: string, part: string) => text.split(part).length - 1;

/** Mutants that no longer fit the program: their text does not stand in its file exactly once. */
export function stale(mutants: readonly Mutant[]): readonly string[] {
  return mutants.flatMap(({ point, fault, file, now }) => {
    const count = occurrences(readFileSync(join(ROOT, file), 'utf8'), now);
    return count === 1 ? [] : [`${point}, ${fault}: its text stands ${count} times in ${file}`];
  });
}

/** A copy of the source in which things may be broken, with the packages that are installed now. */
function copyOfSource(): string {
  const copy = mkdtempSync(join(tmpdir(), 'plinth-mutants-'));
  process.once('exit', () => rmSync(copy, { recursive: true, force: true }));
  const { stdout } = spawnSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', '-z'], { cwd: ROOT, encoding: 'utf8' });
  for (const file of stdout.split('\0').filter((name) => name !== '' && !name.startsWith('docs/')))
    cpSync(join(ROOT, file), join(copy, file));
  // what is ours must be that of the copy
  const packages = join(copy, 'node_modules');
  mkdirSync(join(packages, '@plinth'), { recursive: true });
  for (const name of readdirSync(join(ROOT, 'node_modules')))
    if (name !== '@plinth' && !name.startsWith('.vite')) symlinkSync(join(ROOT, 'node_modules', name), join(packages, name));
  for (const name of readdirSync(join(ROOT, 'node_modules', '@plinth'))) symlinkSync(join(copy, name), join(packages, '@plinth', name));
  return copy;
}

interface Tried {
  /** Tests that failed, or did not end. */
  readonly found: boolean;
  readonly how: string;
}

function tests(copy: string, { test, named }: Pick<Mutant, 'test' | 'named'>, environment: NodeJS.ProcessEnv): Promise<Tried> {
  const args = ['run', test, '--bail', '1', '--reporter', 'dot', ...(named ? ['-t', named] : [])];
  return new Promise((resolve) => {
    const child = spawn(join(copy, 'node_modules', '.bin', 'vitest'), args, {
      cwd: copy,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NO_COLOR: '1', ...environment },
      detached: true,
    });
    let output = '';
    child.stdout.on('data', (data: Buffer) => (output += data.toString()));
    child.stderr.on('data', (data: Buffer) => (output += data.toString()));
    let isLate = false;
    const timer = setTimeout(() => {
      isLate = true;
      process.kill(-child.pid!, 'SIGKILL');
    }, PATIENCE);
    child.once('close', (code) => {
      clearTimeout(timer);
      if (isLate) return resolve({ found: true, how: 'does not end' });
      const failed = /FAIL\s+(?:\|?\w+\|?\s+)?(.*)/.exec(output)?.[1]?.trim();
      if (code === 0) return resolve({ found: false, how: PASSES });
      // a copy that cannot be read at all proves nothing
      if (!failed || !/Tests .*failed/.test(output)) return resolve({ found: false, how: output.trim().split('\n').slice(-12).join('\n') });
      resolve({ found: true, how: failed });
    });
  });
}

/**
 * Puts one line after the other back to what was wrong, in a copy of the source, and runs the test that must then fail. It must pass there before: a test
 * that fails on the sound program finds nothing.
 * @param wanted parts of points or faults; none: all
 * @returns how many were found, and how many were not
 */
export async function findMutants(
  mutants: readonly Mutant[],
  wanted: readonly string[],
  environment: NodeJS.ProcessEnv,
): Promise<{ passed: number; failed: number }> {
  const gone = stale(mutants);
  if (gone.length > 0) throw new Plain(gone.join('\n'));
  const chosen = mutants.filter(({ point, fault }) => wanted.length === 0 || wanted.some((part) => point === part || fault.includes(part)));
  if (chosen.length === 0) throw new Plain(`There is none for "${wanted.join(' ')}".`);
  const copy = copyOfSource();
  const count = { passed: 0, failed: 0 };
  const sound = new Map<string, string | null>();
  for (const mutant of chosen) {
    const key = `${mutant.test} ${mutant.named ?? ''}`;
    if (!sound.has(key)) {
      const { found, how } = await tests(copy, mutant, environment);
      sound.set(key, !found && how === PASSES ? null : how);
    }
    const fails = sound.get(key);
    if (fails) {
      count.failed += 1;
      console.log(`NOT FOUND  ${mutant.point}  ${mutant.fault}\n       the sound program fails it too: ${fails}`);
      continue;
    }
    const file = join(copy, mutant.file);
    const whole = readFileSync(file, 'utf8');
    writeFileSync(
      file,
      whole.replace(mutant.now, () => mutant.wrong),
    );
    const { found, how } = await tests(copy, mutant, environment);
    writeFileSync(file, whole);
    count[found ? 'passed' : 'failed'] += 1;
    console.log(`${found ? 'found' : 'NOT FOUND'}  ${mutant.point}  ${mutant.fault}\n       ${how}`);
  }
  return count;
}
