import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '@plinth/core';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { saved as savedIn } from './board';
import { Browser } from './browser';

/** A balcony beam drawn out from a column: nothing holds it until somebody says that it is fixed there. */
describe('a beam that is fixed at its end', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const items: Item[] = [
      item('brief', 'brief', defaultBrief('Heron balcony', 'european')),
      item('level', 'floor', { name: 'Floor', elevation: 3000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      item('footing', 'F1', { mark: 'F1', at: { x: 0, y: 0 }, level: 'ground' }),
      item('column', 'C1', {
        mark: 'C1',
        at: { x: 0, y: 0 },
        base: 'ground',
        top: 'floor',
        by: 'F1',
        section: 'UC 152x152x30',
        ownWeight: 0.3,
      }),
      item('beam', 'K1', {
        mark: 'K1',
        level: 'floor',
        from: { x: 0, y: 0 },
        to: { x: 2000, y: 0 },
        section: 'UB 203x133x25',
        ownWeight: 0.3,
        supportsFound: true,
        supports: [],
      }),
      item('load', 'rail', { label: 'rail', on: 'K1', type: 'point', nature: 'imposed', use: 'A', at: 2000, force: 4000 }),
      // a beam that runs over three columns
      ...[0, 6000, 12_000].flatMap((x, i) => [
        item('footing', `P${i}`, { mark: `P${i + 1}`, at: { x, y: 5000 }, level: 'ground' }),
        item('column', `M${i}`, {
          mark: `M${i + 1}`,
          at: { x, y: 5000 },
          base: 'ground',
          top: 'floor',
          by: `P${i}`,
          section: 'UC 152x152x30',
          ownWeight: 0.3,
        }),
      ]),
      item('beam', 'T1', {
        mark: 'T1',
        level: 'floor',
        from: { x: 0, y: 5000 },
        to: { x: 12_000, y: 5000 },
        section: 'UB 305x165x40',
        ownWeight: 0.4,
        supportsFound: true,
        supports: [],
      }),
      item('load', 'store', { label: 'store', on: 'T1', type: 'line', nature: 'imposed', use: 'B', from: 0, to: 12_000, intensity: 6 }),
    ];
    const id = await importProject(app, 'Heron balcony', items);
    url = `${app.url}/projects/${id}`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });
  const saved = () => savedIn(browser);

  it('turns freely at first: it is a mechanism, and the form says what a cantilever needs', async () => {
    await browser.go(`${url}/survey?level=floor&item=K1`);
    await browser.waitForText('[aria-label="Supports"]', 'a cantilever is fixed to its one support');
    await browser.waitForText('footer', 'imposed, A 4.00 ≠ 0');
  });

  it('fixed, it stands and is designed; the column that takes its moment is not verified and says how much', async () => {
    await (await browser.field('fixed against turning')).click();
    await saved();
    await browser.waitForText('[aria-label="Supports"]', /^(?!.*Only one support)/s);
    await browser.go(`${url}/members?item=K1&level=floor`);
    // 1.5 x 4 kN x 2 m and its own weight
    await browser.waitForText('main', /12\.6\d* kNm at 0/);
    await browser.go(`${url}/members?item=C1&level=floor`);
    await browser.waitForText('main', 'K1 is fixed to it and brings 12.6');
  });

  it('a connection has its joint, and what is said of one that is gone is told and cleared', async () => {
    await browser.go(`${url}/survey?level=floor&item=K1`);
    await browser.type('joint', 'J3');
    await saved();
    await browser.go(`${url}/members?item=K1&level=floor`);
    await browser.waitForText('[aria-label="Forces at its supports"]', 'by J3');
    expect(await browser.complaints()).toEqual([]);
  });

  it('a support that may sink bends the beam that runs over it, and presses on the next column', async () => {
    await browser.go(`${url}/survey?level=floor&item=T1`);
    await browser.type('may sink by', '10');
    await saved();
    // 2 x 1.5 EI s / L3
    await browser.go(`${url}/descent?item=M1`);
    await browser.waitForText('[aria-label="Ledger of M2"]', 'settlement');
    await browser.waitForText('[aria-label="Ledger of M2"]', '2.48');
    await browser.go(`${url}/members?item=T1&level=floor`);
    await browser.waitForText('main', 'may sink');
  });

  it('one that yields takes less', async () => {
    await browser.go(`${url}/survey?level=floor&item=T1`);
    await browser.type('yields, force per length', '2000');
    await saved();
    await browser.waitForText('[aria-label="Supports"]', 'found');
    expect(await (await browser.field('yields, force per length')).getAttribute('value')).toContain('2000');
  });

  it('a stretch of other stiffness is written, and one over another is refused at its field', async () => {
    await browser.go(`${url}/survey?level=floor&item=K1`);
    await browser.clickText('Add a stretch of other stiffness');
    await browser.waitForText('[aria-label="Continuity"]', 'Take away');
    await browser.type('times EI', '3');
    await saved();
    await browser.clickText('Add a stretch of other stiffness');
    await browser.until(
      () => browser.driver.executeScript<number>(`return document.querySelectorAll('[aria-label="Continuity"] .grid').length`),
      (rows) => rows === 2,
      'no second stretch',
    );
    await saved();
    await browser.type('to [m]', '1.2');
    await browser.waitForText('[aria-label="Continuity"]', 'lies over another');
    await browser.go(`${url}/members?item=K1&level=floor`);
    await browser.waitForText('main', '3 EI');
    expect(await browser.complaints()).toEqual([]);
  });
});
