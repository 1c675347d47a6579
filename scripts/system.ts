import { spawnSync } from 'node:child_process';
import { accessSync, constants, existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** Ends the command with a plain message. */
export class Plain extends Error {}

/** Runs a main function; a `Plain` error is shown as one line. */
export function main(run: () => Promise<number | void>): void {
  run().then(
    (code) => {
      process.exitCode = code ?? 0;
    },
    (error: unknown) => {
      console.error(error instanceof Plain ? error.message : error);
      process.exitCode = 1;
    },
  );
}

export function isRoot(): boolean {
  return process.getuid?.() === 0;
}

export function findProgram(name: string, folders: readonly string[] = []): string | null {
  for (const folder of [...folders, ...(process.env['PATH'] ?? '').split(':')]) {
    const path = join(folder, name);
    try {
      accessSync(path, constants.X_OK);
      return path;
    } catch {
      // look in the next folder
    }
  }
  return null;
}

/** Folders in which Debian keeps the programs of its PostgreSQL versions, newest first. */
export function postgresFolders(): string[] {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return [];
  return readdirSync(base)
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(base, version, 'bin'));
}

/** Installs Debian packages, as root or through sudo. @throws Plain when that cannot be done, naming what to do by hand */
export function installDebian(packages: readonly string[], what: string): void {
  const byHand = `${what} is not installed. Install it with: apt-get install ${packages.join(' ')}`;
  if (!findProgram('apt-get')) throw new Plain(byHand);
  const sudo = isRoot() ? [] : findProgram('sudo') ? ['sudo', '-n'] : null;
  if (!sudo) throw new Plain(byHand);
  console.error(`Installing ${what} from Debian's packages (once)…`);
  const run = (args: string[]) => {
    const [program, ...rest] = [...sudo, 'apt-get', ...args];
    return spawnSync(program!, rest, { stdio: ['ignore', 'ignore', 'pipe'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  };
  const install = ['install', '-y', '--no-install-recommends', ...packages];
  if (run(install).status === 0) return;
  run(['update']);
  const second = run(install);
  if (second.status !== 0)
    throw new Plain(`${what} could not be installed: ${second.stderr.toString().trim().split('\n').at(-1) ?? ''}\n${byHand}`);
}
