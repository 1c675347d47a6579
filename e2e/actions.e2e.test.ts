import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { By } from 'selenium-webdriver';
import { defaultBrief, item, type Item } from '@plinth/core';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { saved as savedIn } from './board';
import { Browser } from './browser';

/** Wind from either side on one beam: an action of the project with two cases, of which one acts at a time. */
describe('an action with two cases', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  let project: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const post = (id: string, x: number) => [
      item('footing', `F${id}`, { mark: `F${id}`, at: { x, y: 0 }, level: 'ground' }),
      item('column', `C${id}`, { mark: `C${id}`, at: { x, y: 0 }, base: 'ground', top: 'floor', by: `F${id}`, ownWeight: 0.3 }),
    ];
    const wind = (id: string, at: number, force: number) =>
      item('load', id, { label: id, on: 'B1', type: 'point', nature: 'wind', at, force });
    const items: Item[] = [
      item('brief', 'brief', defaultBrief('Signal mast', 'european')),
      item('level', 'floor', { name: 'Floor', elevation: 3000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      ...post('1', 0),
      ...post('2', 6000),
      item('beam', 'B1', {
        mark: 'B1',
        level: 'floor',
        from: { x: 0, y: 0 },
        to: { x: 6000, y: 0 },
        section: 'UB 305x165x40',
        ownWeight: 0.5,
        supports: [
          { at: 0, by: 'C1' },
          { at: 6000, by: 'C2' },
        ],
      }),
      wind('push', 2000, 30_000),
      wind('pull', 4000, -50_000),
    ];
    const id = await importProject(app, 'Signal mast', items);
    url = `${app.url}/projects/${id}`;
    project = `${app.url}/api/projects/${id}`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  const bodyOf = async (id: string) => {
    const { list } = (await (await fetch(project)).json()) as { list: { id: string; body: Record<string, unknown> }[] };
    return list.find((entry) => entry.id === id)?.body;
  };
  const saved = () => savedIn(browser);

  it('is written in the brief', async () => {
    await browser.go(`${url}/brief`);
    await browser.clickText('Add an action');
    await browser.see('[data-action="Action 1"]');
    await browser.type('Name of the action', 'Wind on the mast');
    await browser.see('[data-action="Wind on the mast"]');
    await browser.type('Case 1 of Wind on the mast', 'from the west');
    await browser.clickText('Add a case');
    await browser.type('Case 2 of Wind on the mast', 'from the east');
    await saved();
  });

  it('is chosen for loads, each in its case; together they no longer cancel', async () => {
    for (const [load, side] of [
      ['push', 'from the west'],
      ['pull', 'from the east'],
    ] as const) {
      await browser.go(`${url}/survey?level=floor&item=${load}`);
      await browser.choose('Nature', `Wind on the mast, ${side}`);
      await saved();
      expect(await bodyOf(load)).toMatchObject({ nature: 'wind', action: expect.any(String) as string });
    }
    await browser.waitForText('footer', 'Wind on the mast, from the east −50.00 = −50.00');
    await browser.go(`${url}/descent?item=B1`);
    await browser.waitForText('[aria-label="Ledger of B1"]', 'Wind on the mast, from the west');
    // 1.5 x 30 kN x 2 m x 4 m / 6 m under the first alone, with the weight of the beam
    await browser.waitForText('[aria-label="Ledger of B1"]', /with\s+Wind\s+on\s+the\s+mast,\s+from\s+the\s+(west|east)/);
  });

  it('is not removed while loads belong to it; the reason is said', async () => {
    await browser.go(`${url}/brief`);
    await browser.click('[data-action="Wind on the mast"] button');
    await browser.waitForText('body', 'which is not in the project (it may be in use elsewhere: free it first)');
    await browser.see('[data-action="Wind on the mast"]');
  });

  it('of permanent load is there all at once: nothing is asked about it', async () => {
    await browser.go(`${url}/brief`);
    await browser.clickText('Add an action');
    await browser.see('[data-action="Action 2"]');
    await browser.type('Name of the action', 'Cladding');
    await browser.choose('Nature of Cladding', 'permanent');
    await browser.waitForText('[data-action="Cladding"]', 'all its cases at once, as they are typed');
    await saved();
    const actions = await browser.driver.findElements(By.css('[data-action="Cladding"] select'));
    expect(actions).toHaveLength(1);
  });

  it('serviceability is looked at as the brief says', async () => {
    await browser.choose('Looked at under', 'quasi-permanent');
    await saved();
    await browser.go(`${url}/members?item=B1`);
    await browser.waitForText('body', 'deflection, quasi-permanent');
  });
});
