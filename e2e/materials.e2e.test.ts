import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '@plinth/core';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { drawOn, saved as savedIn } from './board';
import { Browser } from './browser';

/** What a member is made of, and what it is: of steel, of concrete, load only, a truss. */
describe('a member', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const post = (id: string, x: number, y: number) => [
      item('footing', `F${id}`, { mark: `F${id}`, at: { x, y }, level: 'ground' }),
      item('column', `C${id}`, {
        mark: `C${id}`,
        at: { x, y },
        base: 'ground',
        top: 'roof',
        by: `F${id}`,
        section: 'UC 152x152x30',
        ownWeight: 0.3,
      }),
    ];
    const items: Item[] = [
      item('brief', 'brief', defaultBrief('Kiln shed', 'european')),
      item('level', 'roof', { name: 'Roof', elevation: 4000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      ...post('1', 1000, 1000),
      ...post('2', 7000, 1000),
      ...post('3', 1000, 5000),
      ...post('4', 7000, 5000),
      item('beam', 'B1', {
        mark: 'B1',
        level: 'roof',
        from: { x: 1000, y: 1000 },
        to: { x: 7000, y: 1000 },
        section: 'UB 305x165x40',
        ownWeight: 0.8,
        supportsFound: true,
        supports: [],
      }),
      item('load', 'deck', { label: 'deck', on: 'B1', type: 'line', nature: 'imposed', use: 'B', from: 0, to: 6000, intensity: 5 }),
    ];
    const id = await importProject(app, 'Kiln shed', items);
    url = `${app.url}/projects/${id}`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });
  const saved = () => savedIn(browser);
  const schedule = (part: string | RegExp) => browser.waitForText('[aria-label="Schedule"]', part);

  it('of steel that is made load only loses its section and its verdict, weighs what is typed, and is listed as not designed', async () => {
    await browser.go(`${url}/survey?level=roof&item=B1`);
    await schedule('UB 305x165x40');
    // 40.3 kg/m along 6 m, with columns and pads
    await browser.waitForText('footer', /permanent 19\.7/);
    await browser.choose('Made of', 'load only');
    await saved();
    await schedule('load only');
    await browser.waitForText('[aria-label="Selected member"]', 'designed elsewhere and has no verdict');
    // 0.8 kN/m along 6 m in place of that
    await browser.waitForText('footer', 'permanent 22.15');
    await browser.room('Members');
    await browser.waitForText('[aria-label="Not designed here"]', 'beam, load only B1');
    await browser.waitForText('main', 'B1 beam, load only');
    await browser.waitForText('main', 'FORCES AT ITS SUPPORTS');
  });

  it('and is of steel again, with its section, by one undo', async () => {
    await browser.click('[aria-label^="Undo"]');
    await saved();
    await browser.waitForText('main', 'UB 305x165x40');
    await browser.waitForText('main', 'FAILURE LADDER');
    expect(await browser.pageText('main')).not.toContain('load only');
  });

  it('of concrete is not verified, and says so among the loose ends', async () => {
    await browser.go(`${url}/survey?level=roof&item=B1`);
    await browser.choose('Made of', 'concrete');
    await saved();
    await schedule('concrete');
    await browser.waitForText('footer', '1 loose end');
    await browser.room('Members');
    await browser.waitForText('main', 'nothing here verifies members of concrete');
    await browser.click('[aria-label^="Undo"]');
    await saved();
    await browser.waitForText('main', 'UB 305x165x40');
  });

  it('becomes a truss that is taken down as a simple beam and not verified, and a beam again', async () => {
    await browser.go(`${url}/survey?level=roof&item=B1`);
    await browser.clickText('Make it a truss');
    await saved();
    await browser.waitForText('[aria-label="Selected member"]', 'B1 truss, 6.000 m');
    await browser.waitForText('footer', 'permanent 22.15');
    await browser.clickText('Trusses');
    await schedule(/C1, C2/);
    await browser.room('Members');
    await browser.waitForText('main', /B1[\s\S]*truss[\s\S]*Its members are not designed here/);
    await browser.go(`${url}/survey?level=roof&item=B1`);
    await browser.clickText('Make it a beam');
    await saved();
    await browser.waitForText('[aria-label="Selected member"]', 'B1 beam, 6.000 m');
  });

  it('is drawn as a truss by its key, and stands on what is beneath', async () => {
    await browser.go(`${url}/survey?level=roof`);
    await browser.see('[data-testid=plan]');
    await drawOn(browser, 't', [1, 5], [7, 5]);
    await browser.waitForText('[aria-label="Selected member"]', 'T1 truss, 6.000 m');
    await browser.waitForText('[aria-label="Supports"]', /C3[\s\S]*C4/);
    expect(await browser.complaints()).toEqual([]);
  });
});
