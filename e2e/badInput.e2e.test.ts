import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { By } from 'selenium-webdriver';
import { defaultBrief, item, type Item } from '../core/src';
import type { RunningServer } from '../server/src';
import { importProject, startApp } from './app';
import { Browser } from './browser';

/** A building in which everything is wrong at once, each in its own way. */
function wrongBuilding(): Item[] {
  const beam = (mark: string, y: number, length: number, supports: [number, string | null][], more: object = {}) =>
    item('beam', mark, {
      mark,
      level: 'L1',
      from: { x: 0, y },
      to: { x: length, y },
      ownWeight: 0.5,
      supports: supports.map(([at, by]) => ({ at, by })),
      ...more,
    });
  return [
    item('brief', 'brief', defaultBrief('Crooked house', 'european')),
    item('level', 'L2', { name: 'Roof', elevation: 6000 }),
    item('level', 'L1', { name: 'Floor', elevation: 3000 }),
    item('level', 'L0', { name: 'Ground', elevation: 0 }),
    item('footing', 'F1', { mark: 'F1', at: { x: 0, y: 0 }, level: 'L0' }),
    beam('MECH', 0, 5000, [[0, 'F1']]),
    beam('ZERO', 1000, 0, [[0, null]]),
    beam('OFF', 2000, 5000, [
      [0, null],
      [6000, null],
    ]),
    beam('RING1', 3000, 5000, [
      [0, 'RING2'],
      [5000, 'RING2'],
    ]),
    beam('RING2', 3000, 5000, [
      [0, 'RING1'],
      [5000, 'RING1'],
    ]),
    item('wall', 'WALL', {
      mark: 'WALL',
      from: { x: 0, y: 4000 },
      to: { x: 3000, y: 4000 },
      base: 'L1',
      top: 'L2',
      weight: 0.004,
      by: null,
    }),
    item('beam', 'GONE', {
      mark: 'GONE',
      level: 'L1',
      from: { x: 0, y: 5000 },
      to: { x: 4000, y: 5000 },
      ownWeight: 0.5,
      status: 'removed',
      supports: [],
    }),
    item('load', 'TANK', { label: 'tank', on: 'GONE', type: 'point', nature: 'permanent', force: 5000 }),
    item('load', 'SIGN', { label: 'sign', on: 'ZERO', type: 'point', nature: 'permanent', force: 500 }),
  ];
}

describe('what cannot be', () => {
  let app: RunningServer;
  let browser: Browser;
  let id: string;
  beforeAll(async () => {
    app = await startApp(true);
    id = await importProject(app, 'Crooked house', wrongBuilding());
    browser = await Browser.open();
  });
  afterAll(async () => {
    await browser?.close();
    await app?.close();
  });

  it.each([
    ['a mechanism', 'MECH: the beam is a mechanism'],
    ['a zero span', 'ZERO: the beam has no length'],
    ['a support off the beam', 'OFF: a support at 6 m lies off the beam, which is 5 m long'],
    ['members that rest on each other', 'RING1, RING2 rest on each other in a ring'],
    ['a wall that stops above nothing', 'WALL stops above nothing'],
    ['a load with no path', 'tank acts on a member that is not in the building'],
    ['a footing on which nothing stands', 'F1: '],
  ])('%s is a loose end with a message of its own', async (_, message) => {
    await browser.go(`${app.url}/projects/${id}/package`);
    await browser.waitForText('section[aria-label="Loose ends"]', message);
  });

  it('the load that is lost stands in the balance, and the case still closes', async () => {
    const text = await browser.waitForText('section[aria-label="Balance"]', 'permanent');
    const [applied, ground, lost, gap] = /permanent ([\d.]+) ([\d.]+) ([\d.]+) ([\d.]+)/
      .exec(text.replaceAll('\u2009', ''))!
      .slice(1)
      .map(Number) as [number, number, number, number];
    expect(lost).toBeGreaterThan(0);
    expect(applied).toBeCloseTo(ground + lost, 1);
    expect(gap).toBe(0);
  });

  it.each(['brief', 'survey', 'descent', 'members', 'ground', 'package'])('%s shows no number that is none', async (room) => {
    await browser.go(`${app.url}/projects/${id}/${room}`);
    const text = await browser.waitForText('body', 'assumption');
    expect(text).not.toMatch(/NaN|undefined|Infinity|\[object/);
    expect((await browser.complaints()).filter((line) => !line.includes('favicon'))).toEqual([]);
  });

  it('a section that does not exist is refused at its field, and stays typed', async () => {
    await browser.go(`${app.url}/projects/ebbwick-sail-loft/members?item=HB1`);
    await browser.type('Section of the beam', 'UB 999x1');
    await browser.waitForText('aside', 'is not in the catalogue');
    expect(await (await browser.field('Section of the beam')).getAttribute('value')).toBe('UB 999x1');
  });

  it('a level in use is not removed; the reason is said', async () => {
    await browser.go(`${app.url}/projects/ebbwick-sail-loft/brief`);
    const rows = await browser.until(
      () => browser.driver.findElements(By.css('section[aria-label="Levels"] tbody button')),
      (list) => list.length === 5,
      'five levels',
    );
    await browser.driver.executeScript('arguments[0].click()', rows[2]!);
    await browser.waitForText('[data-sonner-toaster]', 'is not in the project');
    await browser.until(
      () => browser.driver.findElements(By.css('section[aria-label="Levels"] tbody button')),
      (list) => list.length === 5,
      'still five levels',
    );
  });

  it('an unknown project and an unknown page say so', async () => {
    await browser.go(`${app.url}/projects/nowhere/descent`);
    await browser.waitForText('main', 'This project is not there');
    await browser.go(`${app.url}/no/such/page`);
    await browser.waitForText('main', 'is not there');
  });
});

describe('US units, both philosophies', () => {
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

  it('a member shows LRFD and ASD side by side, each with its sheet', async () => {
    await browser.go(`${app.url}/projects/quillfern-tool-library/members?item=SB2`);
    await browser.waitForText('aside', /LRFD\s+ASD/);
    // one rung a limit state, with a number by each of both
    const text = await browser.pageText('[data-check="bending-yielding"]');
    expect(text.match(/carries\s+\d\.\d\d\s+[\d.]+ kip-ft of [\d.]+ kip-ft\s+AISC 360-16 F2\.1/g)).toHaveLength(2);
    await browser.clickText('Open the sheet, ASD');
    const sheet = await browser.waitForText('aside[aria-label^="Sheet"]', 'allowable strength, ASD');
    expect(sheet).toContain('AISC 360-16');
    expect(sheet).not.toContain('resistance factor');
  });

  it('feet, inches and pounds are read as people write them', async () => {
    await browser.go(`${app.url}/projects/quillfern-tool-library/brief`);
    await browser.type('Founding depth', `3'6"`);
    await browser.waitForText('footer', /\bsaved/);
    const depth = async () => (await browser.field('Founding depth')).getAttribute('value');
    await browser.until(depth, (value) => value === '3.5', 'three and a half feet');
    await browser.type('Allowable bearing', '2.5 ksf');
    await browser.until(
      async () => (await browser.field('Allowable bearing')).getAttribute('value'),
      (value) => value === '2500',
      '2500 psf',
    );
  });

  it('changing the units shows the same building in the other ones', async () => {
    await browser.choose('Units', 'SI');
    await browser.until(
      async () => (await browser.field('Founding depth')).getAttribute('value'),
      (value) => value === '1.0668',
      'metres',
    );
    await browser.waitForText('footer', '[kN]');
  });
});
