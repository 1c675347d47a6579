import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { build } from 'vite';
import type * as Bundled from '../bench/computed';
import type { Figure } from '../bench/figure';
import { appEdit, demoRestart, firstRoute, surveyLevel, takedownScreen } from '../bench/web';
import { buildWeb } from './build';
import { Cluster } from './cluster';
import { main, Plain, ROOT } from './system';

type Computed = typeof Bundled;

/**
 * The computation as the worker runs it: bundled. Files that are read one by one, as the tests are, call through more layers and say
 * nothing of the application. @returns the file
 */
async function bundle(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'plinth-bench-'));
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  await build({
    root: ROOT,
    configFile: false,
    logLevel: 'error',
    ssr: { noExternal: true },
    build: { ssr: join(ROOT, 'bench', 'computed.ts'), outDir: folder, emptyOutDir: true, minify: false },
  });
  const file = readdirSync(folder).find((name) => /^computed\.m?js$/.test(name))!;
  const code = join(folder, 'computed.mjs');
  renameSync(join(folder, file), code);
  return code;
}

/** Each in a process of its own: what one leaves in the memory is nothing to the next. */
const ofComputation = (name: keyof Computed) => async () => {
  const url = pathToFileURL(await (bundled ??= bundle())).href;
  const run = `import(${JSON.stringify(url)}).then(async (benches) => console.log(JSON.stringify(await benches[${JSON.stringify(name)}]())))`;
  const { stdout } = await promisify(execFile)(process.execPath, ['--max-old-space-size=4096', '-e', run]);
  return JSON.parse(stdout) as Figure;
};
let bundled: Promise<string> | undefined;

const BENCHES: Readonly<Record<string, () => Figure | Promise<Figure>>> = {
  'beam.solve': ofComputation('beamSolve'),
  'project.compute': ofComputation('projectCompute'),
  'steel.check': ofComputation('steelCheck'),
  'steel.sizing': ofComputation('steelSizing'),
  'steel.rationalise': ofComputation('steelRationalise'),
  'takedown.full': ofComputation('takedownFull'),
  'takedown.edit': ofComputation('takedownEdit'),
  'takedown.growth': ofComputation('takedownGrowth'),
  'takedown.memory': ofComputation('takedownMemory'),
  'takedown.screen': takedownScreen,
  'survey.level': surveyLevel,
  'web.firstRoute': firstRoute,
  'app.edit': appEdit,
  'demo.restart': demoRestart,
};

main(async () => {
  const args = process.argv.slice(2);
  const json = args.includes('--json');
  const wanted = args.filter((arg) => arg !== '--json');
  const names = Object.keys(BENCHES).filter((name) => wanted.length === 0 || wanted.some((part) => name.includes(part)));
  if (names.length === 0) throw new Plain(`There is no bench of that name; there are ${Object.keys(BENCHES).join(', ')}.`);
  await buildWeb();
  const cluster = new Cluster('test');
  process.env['PLINTH_TEST_DATABASE'] = await cluster.start();
  let slow = 0;
  try {
    for (const name of names) {
      const result = await BENCHES[name]!();
      if (!result.ok) slow += 1;
      if (json) console.log(JSON.stringify(result));
      else
        console.log(
          `${result.ok ? 'ok  ' : 'OVER'}  ${result.id.padEnd(16)} ${String(result.value).padStart(8)} ${result.unit} (at most ${result.limit})${result.reference ? `; ${result.reference}` : ''}`,
        );
    }
  } finally {
    cluster.stop();
  }
  return slow ? 1 : 0;
});
