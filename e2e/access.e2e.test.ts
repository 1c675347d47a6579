import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../server/src';
import { startApp } from './app';
import { Browser } from './browser';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const EBBWICK = '/projects/ebbwick-sail-loft';

const SCREENS = [
  ['/', 'Ebbwick'],
  [`${EBBWICK}/brief`, 'Load build-ups'],
  [`${EBBWICK}/survey?level=loft&item=TG1`, 'Rests on'],
  [`${EBBWICK}/descent?item=TG1`, 'Failure ladder'],
  [`${EBBWICK}/members?item=TG1`, 'Failure ladder'],
  [`${EBBWICK}/members?item=HB1&sheet=HB1`, 'table 5.2'],
  [`${EBBWICK}/ground?item=F-C1`, 'Failure ladder'],
  [`${EBBWICK}/package`, 'Demonstration building'],
] as const;

describe.each(['light', 'dark'] as const)('every screen in the %s theme', (theme) => {
  let app: RunningServer;
  let browser: Browser;
  beforeAll(async () => {
    app = await startApp(true);
    browser = await Browser.open();
    await browser.go(app.url);
    await browser.driver.executeScript(`localStorage.setItem('plinth.theme', '${theme}')`);
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  it.each(SCREENS)('%s has no serious fault by axe', async (path, text) => {
    await browser.go(app.url + path);
    await browser.until(
      () => browser.driver.executeScript<string>('return document.body.textContent'),
      (body) => body.includes(text),
      `${path} never showed "${text}"`,
    );
    await browser.driver.executeScript(axe);
    const faults = await browser.driver.executeAsyncScript<
      { id: string; impact: string; nodes: { target: string[]; failureSummary: string }[] }[]
    >(
      "const done = arguments[0]; axe.run(document, { resultTypes: ['violations'] }).then((r) => done(r.violations.map(({ id, impact, nodes }) => ({ id, impact, nodes: nodes.slice(0, 3).map(({ target, failureSummary }) => ({ target, failureSummary })) }))))",
    );
    expect(faults.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  });
});
