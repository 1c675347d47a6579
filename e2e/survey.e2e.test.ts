import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultBrief, item, type Item } from '@plinth/core';
import { writeDxf } from '@plinth/core/dxf';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { drawOn, saved as savedIn, type Place } from './board';
import { Browser } from './browser';

/** What a surveyor does beside drawing: schedules, DXF, measuring, notes, splitting and joining, looking at it in space. */
describe('a survey', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  let project: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const post = (id: string, x: number, y: number) => [
      item('footing', `F${id}`, { mark: `F${id}`, at: { x, y }, level: 'ground' }),
      item('column', `C${id}`, {
        mark: `C${id}`,
        at: { x, y },
        base: 'ground',
        top: 'floor',
        by: null,
        supportsFound: true,
        ownWeight: 0.3,
      }),
    ];
    const items: Item[] = [
      item('brief', 'brief', defaultBrief('Lock cottage', 'european')),
      item('level', 'floor', { name: 'Floor', elevation: 3000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      item('buildUp', 'deck', {
        name: 'Deck',
        layers: [{ name: 'slab', load: '2 kN/m2' }],
        variable: [{ name: 'store', load: '3 kN/m2', nature: 'imposed', use: 'E' }],
      }),
      ...post('1', 1000, 1000),
      ...post('2', 7000, 1000),
      ...post('3', 1000, 5000),
      ...post('4', 7000, 5000),
      ...[1000, 5000].map((y, i) =>
        item('beam', `B${i + 1}`, {
          mark: `B${i + 1}`,
          level: 'floor',
          from: { x: 1000, y },
          to: { x: 7000, y },
          ownWeight: 0.5,
          supportsFound: true,
          supports: [],
        }),
      ),
      item('panel', 'P1', {
        mark: 'P1',
        level: 'floor',
        outline: [
          { x: 1000, y: 1000 },
          { x: 7000, y: 1000 },
          { x: 7000, y: 5000 },
          { x: 1000, y: 5000 },
        ],
        buildUp: 'deck',
        direction: Math.PI / 2,
      }),
    ];
    const id = await importProject(app, 'Lock cottage', items);
    url = `${app.url}/projects/${id}`;
    project = `${app.url}/api/projects/${id}`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  interface Stored {
    readonly id: string;
    readonly kind: string;
    readonly body: Record<string, unknown>;
  }
  const stored = async () => ((await (await fetch(project)).json()) as { list: Stored[] }).list;
  const count = async (kind: string) => (await stored()).filter((entry) => entry.kind === kind).length;
  const saved = () => savedIn(browser);
  const draw = (key: string, ...places: readonly Place[]) => drawOn(browser, key, ...places);
  const paste = (text: string) =>
    browser.driver.executeScript(
      `const data = new DataTransfer();
       data.setData('text/plain', arguments[0]);
       document.querySelector('[role=region][aria-label=Schedule]').dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));`,
      text,
    );

  it('takes rows of a spreadsheet after showing what they change', async () => {
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    await paste(
      'mark\tfrom x [m]\tfrom y [m]\tto x [m]\tto y [m]\tlevel\nB1\t1\t1\t7\t1\tFloor\nB3\t4\t1\t4\t5\tFloor\nB4\tfar\t1\t4\t5\tFloor\n',
    );
    const dialog = await browser.waitForText('[role=dialog]', '1 new, 1 as they are');
    expect(dialog).toContain('row 4, from x');
    expect(await count('beam')).toBe(2);
    await browser.clickText('Put in the 1 that can be read');
    await browser.until(
      () => count('beam'),
      (n) => n === 3,
      'the pasted beam is stored',
    );
    await browser.waitForText('main', 'B3');
  });

  it('lays a DXF in place by its unit, and hides a layer of it', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'plinth-dxf-'));
    const path = join(folder, 'ground.dxf');
    writeFileSync(
      path,
      writeDxf({
        lines: [
          {
            layer: 'WALLS',
            points: [
              { x: 1000, y: 3000 },
              { x: 7000, y: 3000 },
            ],
          },
          {
            layer: 'FURNITURE',
            points: [
              { x: 2000, y: 1500 },
              { x: 2000, y: 2500 },
              { x: 3000, y: 2500 },
            ],
            closed: true,
          },
        ],
      }),
    );
    await (await browser.field('Drawing to lay')).sendKeys(path);
    await browser.waitForText('aside', 'as drawn: a unit is 1 mm');
    const layers = () =>
      browser.driver.executeScript<string[]>(
        `return [...document.querySelectorAll('[data-testid=underlay] path')].map((p) => p.dataset.layer)`,
      );
    await browser.until(layers, (list) => list.length === 2, 'both layers are drawn');
    await browser.clickText('FURNITURE', 'label');
    await browser.until(layers, (list) => list.join() === 'WALLS', 'a layer is hidden');
    await saved();
    // its line is caught: a beam drawn a hand beside it lies on it
    await draw('b', [1.05, 3.04], [6.97, 2.96]);
    const beam = (await stored()).find((entry) => entry.kind === 'beam' && entry.body['mark'] === 'B4')!;
    expect(beam.body).toMatchObject({ from: { x: 1000, y: 3000 }, to: { x: 7000, y: 3000 } });
    // nothing carries it: it is taken away again, by the keyboard
    await browser.waitForText('aside', 'B4');
    await draw('v');
    await browser.driver.actions().sendKeys(Key.DELETE).perform();
    await browser.until(
      () => count('beam'),
      (n) => n === 3,
      'the beam is gone',
    );
  });

  it('splits along a line and joins again', async () => {
    await browser.go(`${url}/survey?level=floor&item=B2`);
    await browser.waitForText('aside', 'B2');
    await draw('x', [4, 4.5], [4, 5.5]);
    await browser.until(
      () => count('beam'),
      (n) => n === 4,
      'B2 is two',
    );
    const pieces = (await stored()).filter((entry) => entry.kind === 'beam' && (entry.body['from'] as { y: number }).y === 5000);
    expect(pieces.length).toBe(2);
    for (const [i, piece] of pieces.entries())
      await browser.driver.executeScript(
        `document.querySelector('[data-pick="${piece.id}"]').dispatchEvent(new MouseEvent('click', { bubbles: true, shiftKey: arguments[0] }));`,
        i > 0,
      );
    await browser.clickText('Join the two');
    await browser.until(
      () => count('beam'),
      (n) => n === 3,
      'they are one again',
    );
  });

  it('keeps a measurement, says from which drawing, and uses it as a length', async () => {
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    await draw('m', [1, 1], [7, 1]);
    await browser.clickText('Keep it');
    await browser.waitForText('aside', 'measurement, 6.000 m');
    await browser.waitForText('aside', 'from ground (as drawn: a unit is 1 mm)');
    await browser.choose('Use it as', 'length of B3');
    await browser.waitForText('aside', 'Gives the length of B3');
    const b3 = (await stored()).find((entry) => entry.body['mark'] === 'B3')!;
    await browser.go(`${url}/members?item=${b3.id}&sheet=${b3.id}`);
    await browser.waitForText('[aria-label="Sheet"]', 'measured as "M1" from ground');
  });

  it('pins a note to a member', async () => {
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    await draw('n', [2.5, 1]);
    await browser.waitForText('aside', 'about B1');
    await browser.type('Words', 'Flange is corroded');
    await browser.waitForText('main', 'Flange is corroded');
  });

  it('puts a load on a part of a panel', async () => {
    await draw('a', [2, 1.5], [3, 2.5]);
    await browser.type('Load on its area, downward', '5');
    // 5 kN/m2 on 1 m2
    await browser.waitForText('footer', 'imposed, A 5.00 = 5.00');
  });

  it('shows the frame in space and comes back to the plan', async () => {
    await browser.clickText('in space');
    await browser.waitForText('main', 'drag to turn');
    await browser.see('[data-testid=model]');
    await browser.clickText('from above');
    await browser.clickText('plan');
    await browser.see('[data-testid=plan]');
  });

  it('lists reactions of the ground and of a level, and the order of calculation', async () => {
    await browser.go(`${url}/descent`);
    await browser.clickText('Reactions');
    const ground = await browser.waitForText('[aria-label="Reaction schedule"]', 'F4');
    expect(ground).toMatch(/strength\s+service/);
    await browser.choose('Reactions of', 'below Floor');
    await browser.waitForText('[aria-label="Reaction schedule"]', 'C1');
    await browser.clickText('Order');
    await browser.waitForText('[aria-label="Order of calculation"]', 'Carried by');
  });

  it('reduces imposed load in a member’s own design where the brief says so', async () => {
    await browser.go(`${url}/brief`);
    await browser.choose('Imposed load in the design of members', 'reduced by area and storeys, as the code allows');
    await saved();
    // storage does not qualify: nothing is reduced
    await browser.go(`${url}/descent?item=C1`);
    const text = await browser.waitForText('aside', 'Leaves'.toUpperCase());
    expect(text).not.toContain('reduced in its own design');
  });

  it('compares two entries of the journal', async () => {
    await browser.go(`${url}/package`);
    await browser.clickText('Compare');
    const text = await browser.waitForText('[aria-label="Comparison"]', /reactions moved/i);
    expect(text).toContain('area load');
    expect(text).toMatch(/B3\s+beam\s+added/);
  });

  it('sizes what has no section', async () => {
    await browser.go(`${url}/members`);
    await browser.clickText('Size the');
    await browser.until(
      async () => (await stored()).filter((entry) => entry.kind === 'beam' && entry.body['section'] === null).length,
      (n) => n === 0,
      'every beam has a section',
    );
    await browser.waitForText('main', /\b(UB|IPE) \d/);
  });

  it('rationalises a floor: one size for its beams, with what it costs', async () => {
    await browser.clickText('Few sizes');
    await browser.clickText('Find the best sizes for');
    await browser.waitForText('[aria-label="Few sizes"]', 'of steel in');
    await browser.click('[role=radio]');
    await browser.clickText('Take these sizes');
    await browser.until(
      async () => new Set((await stored()).filter((entry) => entry.kind === 'beam').map((entry) => entry.body['section'])).size,
      (sizes) => sizes === 1,
      'all beams have one size',
    );
  });

  it('asks what the section would be if the member were held otherwise', async () => {
    const b1 = (await stored()).find((entry) => entry.kind === 'beam')!;
    await browser.go(`${url}/members?item=${b1.id}`);
    await browser.clickText('Size this beam');
    await browser.clickText('Held otherwise');
    await browser.waitForText(
      '[aria-label="What if"]',
      /as it is[\s\S]*the floor holds its top flange[\s\S]*UB[\s\S]*in S275[\s\S]*UB[\s\S]*AISC 360, ACI 318, LRFD[\s\S]*W\d+X\d+[\s\S]*BS 5950-1/,
    );
    await browser.waitForText('aside', 'Span over depth');
  });
});
