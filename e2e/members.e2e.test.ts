import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../server/src';
import { startApp } from './app';
import { Browser } from './browser';

/** Steel members of a building: many changed at once, held and ended otherwise, from shapes of one's own, by older codes. */
describe('members of a building', () => {
  let app: RunningServer;
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    app = await startApp(true);
    browser = await Browser.open();
    url = `${app.url}/projects/ebbwick-sail-loft`;
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });
  interface Stored {
    readonly id: string;
    readonly body: Record<string, unknown>;
  }
  const stored = async () =>
    new Map(
      ((await (await fetch(`${app.url}/api/projects/ebbwick-sail-loft`)).json()) as { list: Stored[] }).list.map(({ id, body }) => [
        id,
        body,
      ]),
    );

  it('are grouped by level; a level is ticked at once, and what is changed is changed in one step that one undo takes back', async () => {
    await browser.go(`${url}/members`);
    await browser.choose('Order of the schedule', 'by level');
    await browser.waitForText('[aria-label="Schedule of members"]', /Roof \(12\)[\s\S]*Gallery \(2\)/);
    await browser.click('[aria-label="Choose all of Gallery"]');
    await browser.waitForText('[aria-label="Change the chosen members"]', '2 chosen');
    await browser.choose('Grade', 'S275');
    await browser.choose('Size', 'locked');
    await browser.clickText('Change 2');
    await browser.until(
      async () => {
        const all = await stored();
        return ['GB1', 'GB2'].map((id) => `${String(all.get(id)!['grade'])} ${String(all.get(id)!['locked'])}`).join();
      },
      (bodies) => bodies === 'S275 true,S275 true',
      'both beams of the gallery are S275',
    );
    await browser.click('[aria-label="Undo"]');
    await browser.until(
      async () => (await stored()).get('GB1')!['grade'],
      (grade) => grade === null,
      'one undo takes both back',
    );
  });

  it('a section that is none is refused at the bar, and nothing is changed', async () => {
    await browser.click('[aria-label="Choose GB1"]');
    await browser.type('Section', 'UB 1x1');
    await browser.waitForText('[aria-label="Change the chosen members"]', 'is not in the catalogue');
    expect((await stored()).get('GB1')!['section']).toBe('UB 203x102x23');
    await browser.clickText('None');
  });

  it('the schedule is saved as CSV in the order shown', async () => {
    await browser.driver.executeScript(
      `HTMLAnchorElement.prototype.click = () => undefined;
       URL.createObjectURL = (blob) => { blob.text().then((text) => { window.savedText = text; }); return 'blob:none'; }`,
    );
    await browser.choose('Order of the schedule', 'by section');
    await browser.clickText('Save as CSV');
    const text = await browser.until(
      () => browser.driver.executeScript<string>('return window.savedText'),
      (saved) => Boolean(saved),
      'a file is saved',
    );
    expect(text).toContain('GB1,beam,Gallery,,UB 203x102x23,S355');
    expect(text.split('\r\n')[0]).toContain('load, unfactored [kN]');
  });

  it('a beam shows its elevation with what holds it; a column the shape in which it buckles', async () => {
    await browser.go(`${url}/members?item=TG1`);
    await browser.see('[aria-label="Diagrams"] [aria-label*="elevation with supports, restraints and loads"]');
    await browser.go(`${url}/survey?level=loft&item=P5`);
    await browser.choose('Ends, minor axis', 'base built in, top free');
    await browser.waitForText('[aria-label="Effective lengths"]', '2 × gives 10.80 m');
    await browser.type('Held, above the base, at', '9');
    await browser.waitForText('[aria-label="Effective lengths"]', 'a place lies off the member');
  });

  it('shapes of one’s own are read from CSV, told what cannot be read, and tried when a member is sized', async () => {
    const path = join(mkdtempSync(join(tmpdir(), 'plinth-own-')), 'shapes.csv');
    writeFileSync(path, 'name,shape,depth,width,web,flange\nPG1,I,300,150,8,12\nPG2,I,20,150,8,12\n');
    await browser.go(`${url}/brief`);
    await (await browser.field('Own shapes to read')).sendKeys(path);
    await browser.waitForText('[role="dialog"]', /1 shape: PG1[\s\S]*row 3: flanges and root radii are deeper/);
    await browser.clickText('Put them in');
    await browser.until(
      async () => (await stored()).get('brief')!['ownShapes'],
      (shapes) => JSON.stringify(shapes) === JSON.stringify([{ name: 'PG1', designation: 'own I 300x150x8x12' }]),
      'the shape is kept',
    );
    await browser.go(`${url}/members?item=GB1`);
    await browser.choose('families', 'own shapes');
    await browser.choose('the least', 'cost');
    await browser.clickText('Size this beam');
    await browser.waitForText('[aria-label="Sizing"]', /Cheapest that carries: PG1[\s\S]*Connections, coating and erection are not in it/);
    // by its name wherever a section is asked for
    await browser.type('Section of the beam', 'pg1');
    await browser.until(
      async () => (await stored()).get('GB1')!['section'],
      (section) => section === 'own I 300x150x8x12',
      'the name is that of the shape',
    );
    await browser.click('[aria-label="Undo"]');
    await browser.until(
      async () => (await stored()).get('GB1')!['section'],
      (section) => section !== 'own I 300x150x8x12',
      'and undone',
    );
  });

  it('older British practice is chosen in the brief, with its own combinations', async () => {
    await browser.go(`${url}/brief`);
    await browser.choose('Codes', 'BS 5950-1');
    await browser.waitForText('header', 'BS 5950-1, older British practice');
    await browser.go(`${url}/members?item=GB1`);
    await browser.waitForText('[data-check="bending"]', 'BS 5950-1 4.2.5');
    await browser.click('[aria-label="Undo"]');
    await browser.waitForText('[data-check="bending"]', 'EN 1993-1-1 6.2.5');
    expect(await browser.complaints()).toEqual([]);
  });
});
