import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Browser } from '../e2e/browser';
import { startServer } from '../server/src';
import { buildWeb, WEB_DIST } from './build';
import { Cluster } from './cluster';
import { main, ROOT } from './system';

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly wait: string;
  readonly dark?: boolean;
  /** Buttons to press first, by their text. */
  readonly press?: readonly string[];
  /** What is there after each of them; after the last, where that is something else. */
  readonly then?: string;
  readonly last?: string;
}

const EBBWICK = '/projects/ebbwick-sail-loft';
const QUILLFERN = '/projects/quillfern-tool-library';
const TALLOW = '/projects/tallow-wharf';

const SHOTS: readonly Shot[] = [
  { name: 'projects', path: '/', wait: 'Ebbwick' },
  { name: 'brief', path: `${EBBWICK}/brief`, wait: 'Load build-ups' },
  { name: 'survey', path: `${EBBWICK}/survey?level=loft&item=TG1`, wait: 'Rests on' },
  { name: 'model', path: `${EBBWICK}/survey?level=loft&item=TG1`, wait: 'Rests on', press: ['in space'], then: 'drag to turn' },
  { name: 'survey-slip', path: `${EBBWICK}/survey?level=slip&item=sheet-slip`, wait: 'Layers' },
  { name: 'survey-wall', path: `${EBBWICK}/survey?level=loft&item=W1`, wait: 'Point loads spread' },
  { name: 'descent', path: `${EBBWICK}/descent?item=TG1&level=loft`, wait: 'Failure ladder' },
  { name: 'reactions', path: `${EBBWICK}/descent?view=reactions&item=F-C1&level=loft`, wait: 'F-C1' },
  { name: 'members', path: `${EBBWICK}/members?item=TG1&level=loft`, wait: 'Failure ladder', press: ['Size this beam'] },
  { name: 'sheet', path: `${EBBWICK}/members?item=HB1&level=loft&sheet=HB1`, wait: 'table 5.2' },
  { name: 'ground', path: `${EBBWICK}/ground?item=F-C1&level=formation`, wait: 'Failure ladder' },
  { name: 'package', path: `${EBBWICK}/package`, wait: 'Journal' },
  {
    name: 'members-few',
    path: `${EBBWICK}/members?level=loft`,
    wait: 'in the order of calculation',
    press: ['Few sizes', 'Find the best sizes for'],
    then: 'Find the best sizes for',
    last: 'of steel in',
  },
  { name: 'members-us', path: `${QUILLFERN}/members?item=SB2`, wait: 'Open the sheet, ASD' },
  { name: 'descent-tall', path: `${TALLOW}/descent`, wait: 'gathered: open' },
  { name: 'bench-beam', path: '/bench/beam', wait: 'table 5.2' },
  { name: 'bench-builtup', path: '/bench/builtup', wait: 'plastic neutral axis, if so' },
  { name: 'bench-chart', path: '/bench/chart', wait: 'reaches' },
  { name: 'descent-dark', path: `${EBBWICK}/descent?item=P3`, wait: 'Failure ladder', dark: true },
];

/** Pictures of every main view, from the demonstration buildings in a database of their own. */
main(async () => {
  const [only] = process.argv.slice(2);
  const cluster = new Cluster('test');
  const databaseUrl = await cluster.start(`plinth_shots_${process.pid}`);
  await buildWeb();
  const server = await startServer({ databaseUrl, port: 0, web: WEB_DIST, demonstration: true });
  const browser = await Browser.open(1280, 800);
  const folder = process.env['PLINTH_SHOTS'] ?? join(ROOT, 'docs', 'screenshots');
  mkdirSync(folder, { recursive: true });
  try {
    await browser.go(server.url);
    for (const shot of SHOTS.filter(({ name }) => !only || name === only)) {
      await browser.driver.executeScript(`localStorage.setItem('plinth.theme', '${shot.dark ? 'dark' : 'light'}')`);
      await browser.go(server.url + shot.path);
      await browser.until(
        () => browser.driver.executeScript<string>('return document.body.textContent'),
        (text) => text.includes(shot.wait),
        `${shot.name} never showed "${shot.wait}"`,
      );
      await browser.until(
        () => browser.driver.executeScript<number>(`return document.querySelectorAll('[data-opening]:not([data-opening="0"])').length`),
        (waiting) => waiting === 0,
        `${shot.name}: a drawing was never opened`,
      );
      for (const [i, button] of (shot.press ?? []).entries()) {
        await browser.clickText(button);
        const isLast = i === shot.press!.length - 1;
        const wanted = (isLast ? shot.last : undefined) ?? shot.then ?? 'Lightest that carries';
        await browser.until(
          () => browser.driver.executeScript<string>('return document.body.textContent'),
          (text) => text.includes(wanted),
          `${shot.name} never showed "${wanted}"`,
        );
      }
      await browser.driver.executeAsyncScript(
        'const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(done)))',
      );
      const path = join(folder, `${shot.name}.png`);
      writeFileSync(path, Buffer.from(await browser.driver.takeScreenshot(), 'base64'));
      console.log(path.slice(ROOT.length));
    }
  } finally {
    await browser.close();
    await server.close();
    cluster.stop();
  }
});
