import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultBrief, item } from '@plinth/core';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { clickAt, drawOn, saved as savedIn, type Place } from './board';
import { Browser } from './browser';

/** A building of two storeys with a transfer beam, drawn with the mouse on the plan. */
describe('a building drawn from nothing', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
    const items = [
      item('brief', 'brief', defaultBrief('Sluice house', 'european')),
      item('level', 'roof', { name: 'Roof', elevation: 6000 }),
      item('level', 'floor', { name: 'Floor', elevation: 3000 }),
      item('level', 'ground', { name: 'Ground', elevation: 0 }),
      item('buildUp', 'deck', {
        name: 'Deck',
        layers: [{ name: 'slab', load: '2 kN/m2' }],
        variable: [{ name: 'store', load: '3 kN/m2', nature: 'imposed', use: 'E' }],
      }),
    ];
    url = `${app.url}/projects/${await importProject(app, 'Sluice house', items)}`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  const saved = () => savedIn(browser);
  const undone = async () => {
    await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  };
  const draw = (key: string, ...places: readonly Place[]) => drawOn(browser, key, ...places);
  const level = async (name: string) => browser.choose('Level shown', name);
  const number = (text: string) => Number(text.replaceAll('\u2009', ''));

  /** A PNG made by the browser itself, in base64. */
  const whiteSheet = () =>
    browser.driver.executeScript<string>(
      `const canvas = document.createElement('canvas');
       canvas.width = 400; canvas.height = 300;
       canvas.getContext('2d').fillRect(0, 0, 4, 4);
       return canvas.toDataURL('image/png').split(',')[1];`,
    );

  it('pads, columns and beams find each other', async () => {
    await browser.go(`${url}/survey?level=ground`);
    await browser.waitForText('main', 'plan of Ground');
    for (const [x, y] of [
      [1, 1],
      [7, 1],
      [1, 5],
      [7, 5],
    ] as const)
      await draw('f', [x, y]);
    await level('Floor');
    for (const [x, y] of [
      [1, 1],
      [7, 1],
      [1, 5],
      [7, 5],
    ] as const)
      await draw('c', [x, y]);
    await draw('b', [1, 1], [7, 1]);
    await browser.waitForText('section[aria-label="Supports"]', 'stands under it');
    await draw('b', [1, 5], [7, 5]);
    await browser.waitForText('section[aria-label="Supports"]', 'C4');
  });

  it('a panel spans between the beams, and its load reaches the pads', async () => {
    await draw('p', [1, 1], [7, 5]);
    await browser.waitForText('section[aria-label="Who takes it"]', /B1\s+12\.0/);
    // 3 kN/m2 on 6 m by 4 m
    await browser.waitForText('footer', 'imposed, E 72.00 = 72.00');
  });

  it('a post in the middle of a beam makes it a transfer beam', async () => {
    await level('Roof');
    for (const [x, y] of [
      [4, 1],
      [4, 5],
    ] as const)
      await draw('c', [x, y]);
    await draw('b', [4, 1], [4, 5]);
    await browser.waitForText('section[aria-label="Supports"]', 'C6');
    await browser.go(`${url}/descent`);
    await browser.click('[aria-label="B1"]');
    const text = await browser.waitForText('aside', 'transfer');
    // the post brings half of the roof beam and its own weight; each column takes half of the transfer beam's load
    expect(text).toContain('C5');
    const reaction = /to C1\s+why\?\s+([\d.\u2009]+)\s+([\d.\u2009]+)/.exec(text)!;
    // permanent: own 0.5 x 6, panel 2 x 12, post 0.5 x 3 + 0.5 x 4 / 2; imposed 36; halves of each
    expect(number(reaction[1]!)).toBeCloseTo((3 + 24 + 1.5 + 1) / 2, 1);
    expect(number(reaction[2]!)).toBeCloseTo(18, 1);
  });

  it('measures from place to place', async () => {
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    await draw('m', [1, 1], [7, 1], [7, 5]);
    await browser.waitForText('main', '6.000 m + 4.000 m = 10.00 m');
  });

  it('a drawing is laid, scaled by two of its points, and measured', async () => {
    // a white sheet of 400 by 300 dots: at 1:100 on A3 it is 42 m wide
    const sheet = join(mkdtempSync(join(tmpdir(), 'plinth-sheet-')), 'ground plan.png');
    writeFileSync(sheet, Buffer.from(await whiteSheet(), 'base64'));
    await (await browser.field('Drawing to lay')).sendKeys(sheet);
    await browser.waitForText('aside', '42.00 m by 31.50 m');
    await saved();
    // 6 m of it are found to be 3 m in truth: half as large
    await browser.driver.executeScript('document.activeElement?.blur()');
    await browser.driver.actions().sendKeys('k').perform();
    await clickAt(browser, [1, 1]);
    await clickAt(browser, [7, 1]);
    await browser.type('True distance of the two points', '3 m');
    await browser.waitForText('aside', '21.00 m by 15.75 m');
    await browser.waitForText('aside', 'two points 3.000 m apart');
    // the first of the two points stays where it is: the middle goes half as far from it
    const file = await (await fetch(`${app.url}/api/projects/${url.split('/').at(-1)}/export`)).text();
    const saidBy = JSON.parse(file) as { items: { kind: string; body: { at: { x: number; y: number } } }[]; files: { hash: string }[] };
    const { at } = saidBy.items.find((entry) => entry.kind === 'drawing')!.body;
    expect(saidBy.files).toHaveLength(1);
    const back = await fetch(`${app.url}/api/projects/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: file,
    });
    const again = await (await fetch(`${app.url}/api/projects/${((await back.json()) as { id: string }).id}/export`)).text();
    expect(again).toBe(file);
    expect(Number.isFinite(at.x + at.y)).toBe(true);
    await draw('m', [2, 1], [5, 1]);
    await browser.waitForText('main', '3.000 m');
    await undone();
    await browser.waitForText('aside', '42.00 m by 31.50 m');
  });

  it('a page of a PDF is laid at the size of its paper', async () => {
    const path = join(mkdtempSync(join(tmpdir(), 'plinth-sheet-')), 'section.pdf');
    writeFileSync(path, onePage());
    await (await browser.field('Drawing to lay')).sendKeys(path);
    // A3 at 1:100
    await browser.waitForText('aside', '42.00 m by 29.70 m');
    await browser.until(
      () => browser.driver.executeScript<number>('return document.querySelectorAll("[data-testid=underlay] image").length'),
      (count) => count === 2,
      'both drawings lie under the plan',
    );
    await browser.clickText('Take the drawing away');
    await saved();
    await browser.until(
      () => browser.driver.executeScript<number>('return document.querySelectorAll("[data-testid=underlay] image").length'),
      (count) => count === 1,
      'one is taken away',
    );
  });

  it('what is no picture is refused in words', async () => {
    const path = join(mkdtempSync(join(tmpdir(), 'plinth-sheet-')), 'notes.png');
    writeFileSync(path, 'a drawing in words');
    await (await browser.field('Drawing to lay')).sendKeys(path);
    await browser.waitForText('body', 'notes.png cannot be read as a picture');
  });

  it('a wall asks whether it carries; the answer settles it', async () => {
    await draw('w', [1, 1], [1, 5]);
    await browser.waitForText('aside', 'Does W1 carry load?');
    await browser.waitForText('footer', /loose end/);
    await browser.clickText('it does not', 'label');
    await browser.until(
      async () => (await fetch(`${app.url}/api/projects/${url.split('/').at(-1)}/export`)).text(),
      (text) => text.includes('"bears":"no"') || /"bears":\s*"no"/.test(text),
      'the answer is stored',
    );
  });

  it('a loose end is dismissed with a reason that stays', async () => {
    await browser.go(`${url}/package`);
    const before = await browser.waitForText('section[aria-label="Loose ends"]', 'B1 has no section');
    await browser.clickText('Dismiss…');
    await browser.type('Why it may be left so; this prints', 'Sized by the fabricator, calculation to follow.');
    await browser.waitForText('section[aria-label="Loose ends"]', /dismissed/i);
    await browser.waitForText('section[aria-label="Loose ends"]', 'Sized by the fabricator');
    expect(before).toContain('Dismiss');
  });

  it('another window follows, and ten steps are undone', async () => {
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    const project = `${app.url}/api/projects/${url.split('/').at(-1)}`;
    const items = async () => ((await (await fetch(project)).json()) as { list: unknown[] }).list.length;
    const first = await browser.driver.getWindowHandle();
    await browser.driver.switchTo().newWindow('tab');
    const second = await browser.driver.getWindowHandle();
    await browser.go(`${url}/survey?level=floor`);
    await browser.waitForText('main', 'plan of Floor');
    await browser.driver.switchTo().window(first);
    const before = await items();
    for (let i = 0; i < 10; i += 1) await draw('b', [1.5, 1.5 + 0.3 * i], [3, 1.5 + 0.3 * i]);
    expect(await items()).toBe(before + 10);
    await browser.driver.switchTo().window(second);
    await browser.waitForText('main', 'B13');
    await browser.driver.switchTo().window(first);
    await browser.driver.executeScript('document.activeElement?.blur()');
    for (let i = 1; i <= 10; i += 1) {
      await undone();
      await browser.until(items, (count) => count === before + 10 - i, `step ${i} is undone`);
    }
    await browser.driver.switchTo().window(second);
    await browser.until(
      () => browser.pageText('main'),
      (text) => !text.includes('B13'),
      'the other window follows the undoing',
    );
    await browser.driver.close();
    await browser.driver.switchTo().window(first);
  });
});

/** An A3 page with one line across it. */
function onePage(): string {
  const line = '2 w 60 60 m 1130 780 l S';
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 1190.55 841.89] /Contents 4 0 R /Resources << >> >>',
    `<< /Length ${line.length} >>\nstream\n${line}\nendstream`,
  ];
  let text = '%PDF-1.4\n';
  const places = objects.map((body, i) => {
    const at = text.length;
    text += `${i + 1} 0 obj\n${body}\nendobj\n`;
    return at;
  });
  const table = text.length;
  text += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n`;
  for (const at of places) text += `${String(at).padStart(10, '0')} 00000 n \n`;
  return `${text}trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${table}\n%%EOF\n`;
}
