import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import type { RunningServer } from '../server/src';
import { startApp } from './app';
import { Browser } from './browser';

describe('a project from nothing', () => {
  let app: RunningServer;
  let browser: Browser;
  beforeAll(async () => {
    app = await startApp(false);
    browser = await Browser.open();
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  const room = (name: string) => browser.room(name);
  const tab = (name: string) => browser.clickText(name, 'button');
  const saved = () => browser.waitForText('footer', /\bsaved/);
  /** The row of a mark, whose cells are edited in place. */
  const cell = (label: string, mark: string, value: string) => browser.type(`${label} of ${mark}`, value);

  it('begins with a name; without one it says what is wanted', async () => {
    await browser.go(app.url);
    await browser.waitForText('main', 'There is no project yet');
    await browser.clickText('Begin');
    await browser.waitForText('form', 'give the project a name');
    await browser.type('Name of the building', 'Garden room');
    await browser.waitForText('main', 'Brief');
    await browser.waitForText('footer', 'no load yet');
  });

  it('says in every empty room what to do next', async () => {
    await room('Survey');
    await browser.waitForText('main', 'Go to Brief and add the levels');
    await room('Descent');
    await browser.waitForText('main', 'nothing to take down yet');
    await room('Members');
    await browser.waitForText('main', 'no beams and columns yet');
    await room('Ground');
    await browser.waitForText('main', 'no footing yet');
    await room('Package');
    await browser.waitForText('main', 'Nothing is applied yet');
  });

  it('writes levels and a build-up; what cannot be read stays where it was typed', async () => {
    await room('Brief');
    await browser.clickText('Add a level');
    await browser.type('Elevation of Level 1', '2.7 apples');
    expect(await browser.waitForText('section[aria-label="Levels"]', 'not a unit')).toContain('write for example');
    expect(await (await browser.field('Elevation of Level 1')).getAttribute('value')).toBe('2.7 apples');
    await browser.type('Elevation of Level 1', '2700mm');
    await browser.type('Name of level Level 1', 'Roof');
    await saved();
    await browser.clickText('Add a build-up');
    await browser.clickText('Add a layer');
    await browser.type('Layer 1 of Build-up 1', 'flat roof');
    await browser.type('Load of flat roof', '0.9');
    await browser.clickText('Add a variable load');
    await browser.choose('Nature of imposed', 'snow');
    await browser.type('Load of imposed', '0.4*1.5');
    await browser.waitForText('section[aria-label="Load build-ups"]', 'snow 0.6');
    await saved();
  });

  it('places footings, columns and a beam, and reads the results', async () => {
    await room('Survey');
    await tab('Pads');
    await browser.click('nav[aria-label="Levels"] button:last-of-type');
    for (const [mark, x] of [
      ['F1', '0'],
      ['F2', '5'],
    ] as const) {
      await browser.clickText('Add a pad');
      await browser.field(`x of ${mark}`);
      await cell('x', mark, x);
      await saved();
    }
    await tab('Columns');
    await browser.click('nav[aria-label="Levels"] button:first-of-type');
    for (const [mark, x, footing] of [
      ['C1', '0', 'F1'],
      ['C2', '5', 'F2'],
    ] as const) {
      await browser.clickText('Add a column');
      await browser.field(`x of ${mark}`);
      await cell('x', mark, x);
      await browser.waitForText('main', new RegExp(`${footing}\\s+What takes ${mark}`));
      await saved();
    }
    await tab('Beams');
    await browser.clickText('Add a beam');
    await browser.field('end x of B1');
    await cell('end x', 'B1', '5');
    await saved();
    // both ends are found to rest on the columns
    await browser.waitForText('section[aria-label="Supports"]', 'C2 stands under it');
    await browser.clickText('Add a strip');
    await browser.type('width at start', '3');
    await browser.type('width at end', '3');
    await saved();
    await browser.type('Section of the beam', 'UB 254x102x22');
    await saved();
    // 0.9 kN/m2 and 0.6 kN/m2 on 5 m by 3 m
    await browser.waitForText('footer', 'snow 9.00 = 9.00');
  });

  it('sees it carried down, checked and founded', async () => {
    await room('Descent');
    await browser.click('[data-item^="beam-"]');
    await browser.waitForText('aside', 'to C1');
    // the keyboard keeps its place in the river while bands come and go: the beam's section, its strip's widths and the strip here
    const beam = await browser.see('[data-item^="beam-"]');
    const before = await browser.pageText('footer');
    for (let step = 0; step < 4; step++) await beam.sendKeys(Key.chord(Key.CONTROL, 'z'));
    await browser.until(
      () => browser.pageText('footer'),
      (text) => text.includes('permanent') && !text.includes('snow'),
      'nothing lies on the beam',
    );
    for (let step = 0; step < 4; step++) await beam.sendKeys(Key.chord(Key.CONTROL, 'y'));
    await browser.until(
      () => browser.pageText('footer'),
      (text) => text === before,
      'the beam carries what it did',
    );
    expect(await browser.driver.executeScript('return document.activeElement === arguments[0]', beam)).toBe(true);
    await room('Members');
    await browser.waitForText('main', 'UB 254x102x22');
    await room('Ground');
    await browser.waitForText('main', /F1/);
    await browser.waitForText('main', /× /);
    const text = await browser.pageText();
    expect(text).not.toContain('NaN');
    expect(text).not.toContain('undefined');
  });

  it('has no loose end but the columns that have no section', async () => {
    await room('Package');
    const text = await browser.waitForText('section[aria-label="Loose ends"]', 'has no section');
    expect(text.match(/has no section/g)!.length).toBe(2);
    expect(await browser.complaints()).toEqual(expect.not.arrayContaining([expect.stringContaining('TypeError')]));
  });

  it('saves it, deletes it, and reads it back from its file', async () => {
    const id = /projects\/([^/]+)/.exec(await browser.driver.getCurrentUrl())![1]!;
    const file = await (await fetch(`${app.url}/api/projects/${id}/export`)).text();
    await browser.go(app.url);
    await browser.clickText('Delete');
    await browser.waitForText('table', 'Delete for good?');
    await browser.clickText('Delete');
    await browser.waitForText('main', 'There is no project yet');
    const back = await (
      await fetch(`${app.url}/api/projects/import`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: file })
    ).json();
    const again = await (await fetch(`${app.url}/api/projects/${(back as { id: string }).id}/export`)).text();
    expect(again).toBe(file);
  });
});
