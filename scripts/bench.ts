import type * as Bundled from '../bench/computed';
import { median, type Figure } from '../bench/figure';
import { appEdit, demoRestart, firstRoute, surveyLevel, takedownScreen } from '../bench/web';
import { bundle, bundleOf, figureOf } from './benchBundle';
import { buildWeb } from './build';
import { Cluster } from './cluster';
import { main, Plain } from './system';

type Computed = typeof Bundled;

/** Figures of the computation, each by the name under which it is bundled. */
const COMPUTED: Readonly<Record<string, keyof Computed>> = {
  'beam.solve': 'beamSolve',
  'project.compute': 'projectCompute',
  'steel.check': 'steelCheck',
  'steel.sizing': 'steelSizing',
  'steel.rationalise': 'steelRationalise',
  'takedown.full': 'takedownFull',
  'takedown.cold': 'takedownCold',
  'takedown.edit': 'takedownEdit',
  'takedown.layer': 'takedownLayer',
  'takedown.growth': 'takedownGrowth',
  'takedown.memory': 'takedownMemory',
};

const ofComputation = (name: keyof Computed) => async () => (await figureOf(await (bundled ??= bundle()), name))!;
let bundled: Promise<string> | undefined;

const BENCHES: Readonly<Record<string, () => Figure | Promise<Figure>>> = {
  ...Object.fromEntries(Object.entries(COMPUTED).map(([id, name]) => [id, ofComputation(name)])),
  'takedown.screen': takedownScreen,
  'survey.level': surveyLevel,
  'web.firstRoute': firstRoute,
  'app.edit': appEdit,
  'demo.restart': demoRestart,
};

/** So many times each figure is measured, of both commits in turn. */
const TURNS = 5;
/** No figure may be more than so many times what it was. */
const MOST = 1.05;

/** Figures of the computation beside those of another commit: both are measured in turn, so that a slow moment of the machine tells on both. */
async function against(commit: string, names: readonly string[]): Promise<number> {
  const [now, then] = [await bundle(), await bundleOf(commit)];
  let slower = 0;
  for (const id of names) {
    const ratios: number[] = [];
    let unit = '';
    for (let turn = 0; turn < TURNS; turn += 1) {
      // who comes first changes from turn to turn
      const order = turn % 2 === 0 ? [now, then] : [then, now];
      const [a, b] = [await figureOf(order[0]!, COMPUTED[id]!), await figureOf(order[1]!, COMPUTED[id]!)];
      if (!a || !b) break;
      unit = a.unit;
      ratios.push(turn % 2 === 0 ? a.value / b.value : b.value / a.value);
    }
    if (ratios.length === 0) {
      console.log(`      ${id.padEnd(18)} ${commit} does not have it`);
      continue;
    }
    const ratio = median(ratios);
    if (ratio > MOST) slower += 1;
    console.log(
      `${ratio > MOST ? 'OVER' : 'ok  '}  ${id.padEnd(18)} ${ratio.toFixed(3)} times ${commit} (at most ${MOST}); turns ${ratios.map((one) => one.toFixed(2)).join(', ')}${unit ? `, ${unit}` : ''}`,
    );
  }
  return slower ? 1 : 0;
}

main(async () => {
  const args = process.argv.slice(2);
  const place = args.indexOf('--against');
  if (place >= 0) {
    const [, commit] = args.splice(place, 2);
    if (!commit) throw new Plain('Name a commit after --against.');
    const wanted = Object.keys(COMPUTED).filter((id) => args.length === 0 || args.some((part) => id.includes(part)));
    if (wanted.length === 0)
      throw new Plain(`There is no figure of the computation of that name; there are ${Object.keys(COMPUTED).join(', ')}.`);
    return against(commit, wanted);
  }
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
