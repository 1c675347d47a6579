import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { By, Key } from 'selenium-webdriver';
import type { RunningServer } from '../server/src';
import { startApp } from './app';
import { Browser } from './browser';

const EBBWICK = '/projects/ebbwick-sail-loft';

describe('the tour of the demonstration building', () => {
  let app: RunningServer;
  let browser: Browser;
  beforeAll(async () => {
    app = await startApp(true);
    browser = await Browser.open();
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  const ledger = () => browser.pageText('aside');
  const selected = async () => new URL(await browser.driver.getCurrentUrl()).searchParams.get('item');

  it('opens from the list, and shows the load river', async () => {
    await browser.go(app.url);
    await (await browser.text('Ebbwick Sail Loft', 'a')).click();
    await browser.waitForText('main', 'Load river');
    expect(await browser.driver.getCurrentUrl()).toContain('/descent');
    await browser.waitForText('footer', '2 loose ends');
  });

  it('follows a load from the roof to a footing with the arrow keys', async () => {
    await browser.click('[data-item="T2"]');
    await browser.waitForText('aside', 'T2');
    const walk = async (key: string) => {
      const before = await selected();
      await browser.driver.switchTo().activeElement().sendKeys(key);
      return browser.until(selected, (now) => now !== before, 'the arrow key walks on');
    };
    const path = [await selected()];
    for (let i = 0; i < 4; i += 1) path.push(await walk(Key.ARROW_DOWN));
    expect(path[0]).toBe('T2');
    expect(path[1]).toMatch(/^P[34]$/);
    expect(path[2]).toMatch(/^TG[12]$/);
    expect(path[3]).toMatch(/^C-/);
    expect(path[4]).toMatch(/^F-/);
    await browser.waitForText('aside', /to the ground/);
  });

  it('shows the river of one case, and of one path', async () => {
    await browser.choose('A case or a combination', 'snow');
    // the whole roof is 90.4 kN of snow: what stands under the middle pads carries none
    await browser.until(
      () => browser.pageText('main'),
      (text) => /F-A2\s+0\b/.test(text) && /F-A1\s+15\.1/.test(text),
      'only snow flows',
    );
    await browser.clickText('only its path');
    const path = await browser.waitForText('main', /the path of F-\w+, \d+ of 53 members/);
    expect(path).not.toContain('GB1');
    await browser.clickText('whole building');
    await browser.clickText('All, unfactored');
    await browser.waitForText('main', 'what reaches the ground [kN]');
  });

  it('answers why down to a layer of the roof', async () => {
    await browser.click('button[aria-label^="Why"]');
    await browser.waitForText('section[aria-label="Why"]', 'C-');
    // every branch is opened
    await browser.driver.executeScript("document.querySelectorAll('section[aria-label=Why] details').forEach((d) => (d.open = true))");
    await browser.waitForText('section[aria-label="Why"]', 'standing-seam sheet');
  });

  it('changes a roof layer, and the footing changes', async () => {
    await browser.go(`${app.url}${EBBWICK}/ground?item=F-C1`);
    const row = async () => (await browser.text('F-C1', 'tr')).getText();
    const before = await browser.until(row, (text) => text.includes('×'), 'the footing is sized');
    await browser.room('Brief');
    await browser.type('Load of standing-seam sheet', '3.0');
    await browser.waitForText('footer', 'saved');
    await browser.room('Ground');
    const after = await browser.until(row, (text) => text.includes('×') && text !== before, 'the footing has grown');
    const pad = (text: string) => Number(/([\d.]+) × /.exec(text)![1]);
    expect(pad(after)).toBeGreaterThan(pad(before));
  });

  it('undoes it from the keyboard and redoes it', async () => {
    const load = async () => (await browser.field('Load of standing-seam sheet')).getAttribute('value');
    await browser.room('Brief');
    expect(await load()).toBe('3');
    await browser.driver.findElement(By.css('body')).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await browser.until(load, (value) => value === '0.1', 'the layer weighs what it did');
    await browser.driver.findElement(By.css('body')).sendKeys(Key.chord(Key.CONTROL, 'y'));
    await browser.until(load, (value) => value === '3', 'redone');
    await browser.driver.findElement(By.css('body')).sendKeys(Key.chord(Key.CONTROL, 'z'));
    await browser.until(load, (value) => value === '0.1', 'and undone again');
  });

  it('opens the calculation sheet with its mathematics, and closes it with Escape', async () => {
    await browser.go(`${app.url}${EBBWICK}/members?item=HB1`);
    await browser.clickText('Open the sheet');
    await browser.see('aside[aria-label^="Sheet"] svg');
    const text = await browser.waitForText('aside[aria-label^="Sheet"]', 'Lateral-torsional buckling');
    expect(text).toContain('6.3.2.2(1)');
    expect(text).toContain('utilisation');
    expect(text).not.toContain('NaN');
    await browser.driver.switchTo().activeElement().sendKeys(Key.ESCAPE);
    await browser.until(
      () => browser.driver.findElements(By.css('aside[aria-label^="Sheet"]')),
      (list) => list.length === 0,
      'the sheet closes',
    );
  });

  it('sizes a beam and takes the lightest section', async () => {
    await browser.go(`${app.url}${EBBWICK}/members?item=HB1`);
    await browser.clickText('Size this beam');
    const best = await browser.waitForText('section[aria-label="Sizing"]', 'Lightest that carries');
    const name = /Lightest that carries: ([A-Z]+ [\dx.]*\d)/.exec(best)![1]!;
    await browser.clickText('Take it');
    await browser.waitForText('aside header', name);
    await browser.waitForText('footer', 'saved');
  });

  it('finds a member by the command palette', async () => {
    await browser.driver.findElement(By.css('body')).sendKeys(Key.chord(Key.CONTROL, 'k'));
    await browser.see('[cmdk-input]');
    await browser.driver.switchTo().activeElement().sendKeys('TG2', Key.ENTER);
    await browser.until(selected, (id) => id === 'TG2', 'TG2 is selected');
    expect(await ledger()).toContain('TG2');
  });

  it('confirms an assumption with a reason', async () => {
    await browser.go(`${app.url}${EBBWICK}/package#assumptions`);
    const count = async () => Number(/(\d+) assumptions? open/.exec(await browser.pageText('footer'))![1]);
    const before = await browser.until(count, (n) => n > 0, 'assumptions are counted');
    await browser.clickText('Confirm…');
    await browser.type('Why it may be taken so', 'Braced bays on grids A and D, each way.');
    await browser.until(count, (n) => n === before - 1, 'one fewer is open');
    await browser.waitForText('section[aria-label="Assumptions"]', 'Braced bays on grids A and D');
  });

  it('prints the package as PDF, and saves the project', async () => {
    const read = (path: string) =>
      browser.driver.executeAsyncScript<{ type: string; head: string; size: number }>(
        "const done = arguments[1]; fetch(arguments[0]).then(async (r) => { const b = await r.arrayBuffer(); done({ type: r.headers.get('content-type'), head: new TextDecoder().decode(b.slice(0, 400)), size: b.byteLength }); })",
        `/api${path}`,
      );
    await browser.driver.manage().setTimeouts({ script: 120_000 });
    const pdf = await read(`${EBBWICK}/package.pdf`);
    expect(pdf.type).toContain('application/pdf');
    expect(pdf.head.startsWith('%PDF-')).toBe(true);
    expect(pdf.size).toBeGreaterThan(100_000);
    expect((await read(`${EBBWICK}/export`)).head).toContain('lofty-plinth-project');
    expect((await read(`${EBBWICK}/reactions.csv`)).head).toContain('permanent [kN]');
  }, 180_000);

  it('complains of nothing in the console', async () => {
    expect(await browser.complaints()).toEqual([]);
  });
});

describe('two windows', () => {
  let app: RunningServer;
  let mine: Browser;
  let other: Browser;
  beforeAll(async () => {
    app = await startApp(true);
    [mine, other] = await Promise.all([Browser.open(), Browser.open()]);
  });
  afterAll(async () => {
    await Promise.all([mine?.close(), other?.close()]);
    await app?.close();
  });

  it('the second follows what the first changes', async () => {
    for (const browser of [mine, other]) {
      await browser.go(`${app.url}${EBBWICK}/brief`);
      await browser.field('Allowable bearing');
    }
    await mine.type('Allowable bearing', '210');
    await mine.waitForText('footer', 'saved');
    const seen = async () => (await other.field('Allowable bearing')).getAttribute('value');
    await other.until(seen, (value) => value === '210', 'the other window shows 210');
  });
});
