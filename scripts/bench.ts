import { beamSolve, projectCompute } from '../bench/core';
import type { Figure } from '../bench/figure';
import { takedownEdit, takedownFull, takedownGrowth, takedownMemory } from '../bench/takedown';
import { appEdit, demoRestart, firstRoute, takedownScreen } from '../bench/web';
import { buildWeb } from './build';
import { Cluster } from './cluster';
import { main, Plain } from './system';

const BENCHES: Readonly<Record<string, () => Figure | Promise<Figure>>> = {
  'beam.solve': beamSolve,
  'project.compute': projectCompute,
  'takedown.full': takedownFull,
  'takedown.edit': takedownEdit,
  'takedown.growth': takedownGrowth,
  'takedown.memory': takedownMemory,
  'takedown.screen': takedownScreen,
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
