import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '@plinth/core';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { drawOn, saved as savedIn } from './board';
import { Browser } from './browser';

/** A wall traced where nothing stands beneath: beams are proposed, one under the other, accepted, and its load arrives at the pads. */
describe('a wall that stops above nothing', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const post = (id: string, x: number, y: number): Item[] => [
      item('footing', `F${id}`, { mark: `F${id}`, at: { x, y }, level: 'ground' }),
      item('column', `C${id}`, { mark: `C${id}`, at: { x, y }, base: 'ground', top: 'floor', by: null, supportsFound: true, ownWeight: 0 }),
    ];
    const [from, to] = [
      { x: 1000, y: 0 },
      { x: 1000, y: 6000 },
    ];
    const items = [
      item('brief', 'brief', defaultBrief('Ferry shed', 'european')),
      item('level', 'roof', { name: 'Roof', elevation: 6000 }),
      item('level', 'floor', { name: 'Floor', elevation: 3000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      item('buildUp', 'leaves', {
        name: 'Two leaves',
        layers: [
          { name: 'outer leaf', load: '2.2 kN/m2' },
          { name: 'inner leaf', load: '1.8 kN/m2' },
        ],
      }),
      item('wall', 'G1', {
        mark: 'G1',
        from,
        to,
        base: 'ground',
        top: 'floor',
        by: null,
        supportsFound: true,
        weight: 0.004,
        bears: 'yes',
      }),
      item('stripFooting', 'S1', { mark: 'S1', from, to, level: 'ground', width: 600 }),
      ...post('1', 5000, 1000),
      ...post('2', 5000, 5000),
    ];
    url = `${app.url}/projects/${await importProject(app, 'Ferry shed', items)}`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });
  const saved = () => savedIn(browser);

  it('is traced, and gets its layers', async () => {
    await browser.go(`${url}/survey?level=roof`);
    await browser.waitForText('main', 'plan of Roof');
    await drawOn(browser, 'w', [1, 2], [5, 2]);
    await browser.waitForText('aside', 'Propose a beam under it');
    await browser.choose('Build-up', 'Two leaves');
    await saved();
    await browser.waitForText('aside', '4.000 kN/m²');
  });

  it('two beams are proposed, with the load of the chain, and may be dismissed', async () => {
    await browser.clickText('Propose a beam under it');
    const text = await browser.waitForText('[aria-label="Proposed beams"]', 'B2 under B1');
    expect(text).toContain('B1 under W1');
    expect(text).toContain('on G1 and B2');
    expect(text).toContain('on C1 and C2');
    // 4 m by 3 m of 4 kN/m2, 0.5 kN/m of its own; half of that below, and its own
    expect(text).toContain('permanent 50.00 kN');
    expect(text).toContain('permanent 27.00 kN');
    await browser.clickText('Dismiss');
    await browser.clickText('Propose a beam under it');
    await browser.waitForText('[aria-label="Proposed beams"]', 'B2 under B1');
  });

  it('accepted, they carry it to the pads', async () => {
    await browser.clickText('Draw all 2');
    await saved();
    await browser.waitForText('aside', 'runs beneath it');
    await browser.go(`${url}/descent?item=F1`);
    // by the lever over 4 m: 3/4 of 25 kN, and half of 2 kN
    await browser.waitForText('[aria-label="Ledger of F1"]', '19.75');
    await browser.go(`${url}/descent?item=F2`);
    await browser.waitForText('[aria-label="Ledger of F2"]', '7.25');
    expect(await browser.complaints()).toEqual([]);
  });
});
