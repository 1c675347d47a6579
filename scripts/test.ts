import { spawnSync } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { requireChromium } from '../e2e/browser';
import { buildWeb } from './build';
import { Cluster } from './cluster';
import { findMutants, stale } from './mutants/run';
import { MUTANTS } from './mutants/list';
import { main, Plain, ROOT } from './system';

interface Count {
  passed: number;
  failed: number;
}

const PARTS = ['lint', 'types', 'core', 'web', 'server', 'e2e'] as const;
type Part = (typeof PARTS)[number];

const bin = (name: string) => join(ROOT, 'node_modules', '.bin', name);

/** A tool that passes or fails as a whole counts as one test. */
function whole(title: string, program: string, args: readonly string[], count: Count): void {
  const { status } = spawnSync(bin(program), args as string[], { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'] });
  console.log(`${status === 0 ? 'ok  ' : 'FAIL'}  ${title}`);
  if (status === 0) count.passed += 1;
  else count.failed += 1;
}

/** One project of Vitest; its own counts are added. */
function vitest(project: string, filter: readonly string[], environment: NodeJS.ProcessEnv, count: Count): void {
  const folder = mkdtempSync(join(tmpdir(), 'plinth-test-'));
  const file = join(folder, 'result.json');
  try {
    const { status } = spawnSync(
      bin('vitest'),
      ['run', '--project', project, '--reporter', 'dot', '--reporter', 'json', '--outputFile.json', file, ...filter],
      { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, NO_COLOR: '1', ...environment } },
    );
    const result = JSON.parse(readFileSync(file, 'utf8')) as {
      numPassedTests: number;
      numFailedTests: number;
      numFailedTestSuites: number;
    };
    count.passed += result.numPassedTests;
    // a file that cannot even be loaded has no failed test of its own
    count.failed += result.numFailedTests > 0 || status === 0 ? result.numFailedTests : Math.max(1, result.numFailedTestSuites);
  } catch {
    console.error(`The tests of ${project} gave no result.`);
    count.failed += 1;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const HUNTS = 10;

/** The property tests over and over, each time from another seed, until one fails. */
function hunt([times, ...filter]: readonly string[], count: Count): void {
  const wanted = Number(times ?? HUNTS);
  if (!Number.isInteger(wanted) || wanted < 1)
    throw new Plain(`Write how often to hunt, then a part of a file's name: ./plinth test hunt ${HUNTS}`);
  const files = spawnSync('git', ['grep', '-l', 'fast-check', '--', 'core/src/*.test.ts', 'api/src/*.test.ts'], {
    cwd: ROOT,
    encoding: 'utf8',
  })
    .stdout.split('\n')
    .filter((file) => file !== '' && (filter.length === 0 || filter.some((part) => file.includes(part))));
  for (let i = 0; i < wanted && count.failed === 0; i++) {
    const seed = randomInt(2 ** 31);
    console.log(`hunt ${i + 1} of ${wanted}, PLINTH_SEED=${seed}`);
    vitest('core', files, { PLINTH_SEED: String(seed) }, count);
  }
}

/** Runs something that needs the test database, and stops it afterwards. */
async function onDatabase(run: (environment: NodeJS.ProcessEnv) => void | Promise<void>): Promise<void> {
  const cluster = new Cluster('test');
  const url = await cluster.start();
  try {
    await run({ PLINTH_TEST_DATABASE: url });
  } finally {
    cluster.stop();
  }
}

const wholeNumber = (text: string | undefined, fallback: number, usage: string): number => {
  const value = Number(text ?? fallback);
  if (!Number.isInteger(value) || value < 1) throw new Plain(`Write it so: ${usage}`);
  return value;
};

/** Many more of the requests that no well-meaning client sends, from a seed. */
async function hostile([many, from]: readonly string[], count: Count): Promise<void> {
  const usage = './plinth test hostile 10000 7 (how many, and a seed)';
  const [requests, seed] = [wholeNumber(many, 10_000, usage), wholeNumber(from, randomInt(1, 2 ** 31), usage)];
  console.log(`${requests} requests, PLINTH_SEED=${seed}`);
  await onDatabase((environment) =>
    vitest('server', ['hostile'], { ...environment, PLINTH_HOSTILE: String(requests), PLINTH_SEED: String(seed) }, count),
  );
}

/** Server, connections and database killed over and over during bursts of edits. */
async function kills([times]: readonly string[], count: Count): Promise<void> {
  const rounds = wholeNumber(times, 20, './plinth test kills 20 (how many rounds of each)');
  await onDatabase((environment) => vitest('server', ['kills'], { ...environment, PLINTH_KILLS: String(rounds) }, count));
}

/** Mended lines put back to what was wrong, one at a time: the tests must find each. */
async function mutants(wanted: readonly string[], count: Count): Promise<void> {
  await onDatabase(async (environment) => {
    const { passed, failed } = await findMutants(MUTANTS, wanted, environment);
    count.passed += passed;
    count.failed += failed;
  });
}

/** What goes looking for faults beyond what the tests try each time. */
const SEARCHES: Readonly<Record<string, (words: readonly string[], count: Count) => void | Promise<void>>> = {
  hunt,
  hostile,
  kills,
  mutants,
};

main(async () => {
  const [wanted, ...filter] = process.argv.slice(2);
  const search = wanted === undefined ? undefined : SEARCHES[wanted];
  if (search) {
    const found: Count = { passed: 0, failed: 0 };
    await search(filter, found);
    console.log(`${found.passed} passed, ${found.failed} failed`);
    return found.failed === 0 && found.passed > 0 ? 0 : 1;
  }
  if (wanted !== undefined && !PARTS.includes(wanted as Part))
    throw new Plain(`There is no part "${wanted}"; parts are ${PARTS.join(', ')}; hunt, hostile, kills and mutants go looking.`);
  const does = (part: Part) => wanted === undefined || wanted === part;
  const count: Count = { passed: 0, failed: 0 };

  if (does('lint')) {
    whole('lint', 'eslint', ['.', '--max-warnings', '0'], count);
    whole('format', 'prettier', ['--check', '--log-level', 'warn', '.'], count);
    whole(
      'dependencies run one way',
      'depcruise',
      ['core/src', 'api/src', 'server/src', 'web/src', '--config', '.dependency-cruiser.cjs', '--output-type', 'err'],
      count,
    );
    const gone = stale(MUTANTS);
    console.log(gone.length === 0 ? 'ok    mutants fit the program' : `FAIL  mutants fit the program\n${gone.join('\n')}`);
    count[gone.length === 0 ? 'passed' : 'failed'] += 1;
  }
  if (does('types')) for (const project of ['core', 'api', 'server', 'web']) whole(`types of ${project}`, 'tsc', ['-p', project], count);
  if (does('core')) vitest('core', filter, {}, count);
  if (does('web')) vitest('web', filter, {}, count);
  if (does('server') || does('e2e'))
    await onDatabase(async (environment) => {
      if (does('server')) vitest('server', filter, environment, count);
      if (!does('e2e')) return;
      requireChromium();
      await buildWeb();
      vitest('e2e', filter, environment, count);
    });
  console.log(`${count.passed} passed, ${count.failed} failed`);
  return count.failed === 0 && count.passed > 0 ? 0 : 1;
});
