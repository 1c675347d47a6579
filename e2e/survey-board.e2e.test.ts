import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Button, By, Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '@plinth/core';
import { writeDxf } from '@plinth/core/dxf';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { clickAt, dragFrom, onScreen, saved } from './board';
import { Browser } from './browser';

interface Corner {
  readonly x: number;
  readonly y: number;
}

/** The plan as a drawing board, for a house of four walls: boxes, corners, what several have in common, and the sheet beneath. */
describe('the drawing board', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  let project: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const corners = [
      { x: 0, y: 0 },
      { x: 8000, y: 0 },
      { x: 8000, y: 6000 },
      { x: 0, y: 6000 },
    ];
    const items: Item[] = [
      item('brief', 'brief', defaultBrief('Ferry house', 'european')),
      item('level', 'floor', { name: 'Floor', elevation: 3000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      item('buildUp', 'deck', {
        name: 'Deck',
        layers: [{ name: 'boards', load: '1 kN/m2' }],
        variable: [{ name: 'rooms', load: '2 kN/m2', nature: 'imposed', use: 'A' }],
      }),
      ...corners.map((from, i) =>
        item('wall', `W${i + 1}`, {
          mark: `W${i + 1}`,
          from,
          to: corners[(i + 1) % 4]!,
          base: 'ground',
          top: 'floor',
          weight: '5 kN/m2',
          by: null,
          supportsFound: true,
        }),
      ),
      item('panel', 'P1', { mark: 'P1', level: 'floor', outline: corners, buildUp: 'deck', direction: Math.PI / 2 }),
    ];
    const id = await importProject(app, 'Ferry house', items);
    url = `${app.url}/projects/${id}`;
    project = `${app.url}/api/projects/${id}`;
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  const body = async <B>(mark: string): Promise<B> => {
    const { list } = (await (await fetch(project)).json()) as { list: { body: { mark?: string; name?: string } }[] };
    return list.find((entry) => entry.body.mark === mark || entry.body.name === mark)!.body as B;
  };

  it('a box chooses everything inside, however fast it is drawn, and no words of the page', async () => {
    await dragFrom(browser, [-0.8, -0.8], [8.8, 6.8]);
    await browser.waitForText('aside', 'W1, W2, W3, W4, P1');
    expect(await browser.driver.executeScript(`return String(getSelection())`)).toBe('');
  });

  it('what several have in common is changed at once: four walls carry, and stand on footings', async () => {
    await browser.waitForText('footer', '9 loose ends');
    // the panel is let go: only the walls are chosen
    await browser.driver.executeScript(
      `document.querySelector('[data-pick="P1"]').dispatchEvent(new MouseEvent('click', { bubbles: true, shiftKey: true }));`,
    );
    await browser.waitForText('aside', /^4 items/);
    await browser.choose('Do they carry load?', 'they carry');
    await browser.clickText('Put a footing under the 4');
    // walls 2 (8 + 6) x 3 x 5; the floor 8 x 6 x 1; rooms 8 x 6 x 2
    await browser.waitForText('footer', 'permanent 468.0 = 468.0');
    await browser.waitForText('footer', 'imposed, A 96.00 = 96.00');
    await browser.waitForText('footer', '0 loose ends');
    expect(await body('W3')).toMatchObject({ bears: 'yes' });
  });

  it('the right button pushes the paper, near and far, and a place stays under the hand', async () => {
    const view = () =>
      browser.driver.executeScript<{ x: number; y: number; scale: number }>(
        `return JSON.parse(document.querySelector('[data-testid=plan]').dataset.view)`,
      );
    const before = await view();
    const start = await onScreen(browser, [4, 3]);
    const hand = browser.driver.actions({ async: true }).move(start).press(Button.RIGHT);
    // first by less than makes the paper be drawn again, then by more, then back a little
    for (const [dx, dy] of [
      [40, 10],
      [160, -60],
      [150, -50],
    ] as const)
      hand.move({ x: start.x + dx, y: start.y + dy, duration: 0 });
    await hand.release(Button.RIGHT).perform();
    const after = await browser.until(view, ({ x }) => x !== before.x, 'the paper has moved');
    expect(after.scale).toBe(before.scale);
    expect((before.x - after.x) * before.scale).toBeCloseTo(150, 3);
    expect((after.y - before.y) * before.scale).toBeCloseTo(-50, 3);
    const pushed = await browser.driver.executeScript<string>(
      `return document.querySelector('[data-testid=underlay]').parentElement.style.transform`,
    );
    expect(pushed).toBe('');
    await browser.clickText('Whole plan');
  });

  it('a corner of a panel is dragged, or typed, and the load follows', async () => {
    await browser.go(`${url}/survey?level=floor&item=P1`);
    await browser.waitForText('aside', '48.00 m²');
    await dragFrom(browser, [8, 6], [6, 6]);
    await browser.waitForText('aside', '42.00 m²');
    await saved(browser);
    expect((await body<{ outline: Corner[] }>('P1')).outline[2]).toEqual({ x: 6000, y: 6000 });
    await browser.driver.executeScript(`document.querySelector('aside details').open = true`);
    await browser.type('corner 3, x', '8');
    await browser.waitForText('aside', '48.00 m²');
    await browser.clickText('Add after');
    await browser.waitForText('aside', 'Corners: 5');
    await browser.driver.findElement(By.css('[aria-label="Take corner 2 away"]')).click();
    await browser.waitForText('aside', 'Corners: 4');
    await browser.waitForText('aside', '48.00 m²');
  });

  it('a wall of its own height weighs by that, and asks when something lands above it', async () => {
    await browser.go(`${url}/survey?level=floor&item=W1`);
    await browser.waitForText('aside', 'Does W1 carry load?');
    await browser.type('Height', '1.2 m');
    // 8 x 1.8 x 5 less
    await browser.waitForText('footer', 'permanent 396.0 = 396.0');
    await browser.waitForText('footer', '1 loose end');
    await browser.type('Height', '2.7 m');
    await browser.waitForText('footer', '0 loose ends');
  });

  it('an opening that ends before it starts is refused at its field, and what was typed stays', async () => {
    await browser.clickText('Add an opening');
    await browser.type('to [m]', '0.5');
    await browser.waitForText('aside', 'an opening ends beyond its start');
    expect(await (await browser.field('to [m]')).getAttribute('value')).toBe('0.5');
  });

  it('says in the journal why things are changed, for as long as one says so', async () => {
    const why = await browser.field('Why, for the journal');
    await why.sendKeys('sketch 3: lower sill');
    await browser.type('head [m]', '2');
    await saved(browser);
    await why.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
    await browser.type('head [m]', '2.05');
    await saved(browser);
    await browser.room('Package');
    const journal = await browser.waitForText('section[aria-label="Journal"]', 'sketch 3: lower sill');
    expect(journal.match(/W1: opening changed/g)!.length).toBeGreaterThan(1);
    expect(journal.match(/sketch 3/g)!.length).toBe(1);
  });

  it('a drawing is seen when it is laid, brought to its place and squared by two points each', async () => {
    // a sheet far from the house, a little askew: its own long line runs from (100, 100) to (110, 101)
    const line = {
      layer: 'WALLS',
      points: [
        { x: 100_000, y: 100_000 },
        { x: 110_000, y: 101_000 },
      ],
    };
    const sheet = join(mkdtempSync(join(tmpdir(), 'plinth-sheet-')), 'house.dxf');
    writeFileSync(sheet, writeDxf({ lines: [line] }));
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    await (await browser.field('Drawing to lay')).sendKeys(sheet);
    await browser.see('[aria-label="Drawing tools"]');
    await saved(browser);
    const lies = () =>
      browser.driver.executeScript<boolean>(
        `const plan = document.querySelector('[data-testid=plan]').getBoundingClientRect();
         const path = document.querySelector('[data-testid=underlay] path')?.getBoundingClientRect();
         return !!path && path.left >= plan.left && path.right <= plan.right && path.width > plan.width / 3;`,
      );
    await browser.until(lies, (seen) => seen, 'the drawing lies in sight');
    await browser.driver.executeScript('document.activeElement?.blur()');
    await browser.driver.actions().sendKeys('q').perform();
    await clickAt(browser, [100, 100]);
    await clickAt(browser, [110, 101]);
    await saved(browser);
    const turned = await browser.until(
      () => body<{ turn: number; at: Corner }>('house'),
      ({ turn }) => Math.abs(turn) > 0,
      'the sheet is turned',
    );
    expect(turned.turn).toBeCloseTo(-Math.atan2(1, 10), 6);
    await browser.driver.actions().sendKeys('j').perform();
    await clickAt(browser, [100, 100]);
    await clickAt(browser, [101, 100]);
    const moved = await browser.until(
      () => body<{ at: Corner }>('house'),
      ({ at }) => Math.abs(at.x - turned.at.x) > 1,
      'the sheet is moved',
    );
    expect(moved.at.x - turned.at.x).toBeCloseTo(1000, -1);
    expect(await browser.complaints()).toEqual([]);
  });
});
