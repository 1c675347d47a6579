import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ProjectSnapshot } from '@plinth/api';
import type { RunningServer } from '../server/src';
import { startApp } from './app';
import { Browser } from './browser';
import { Proxy } from './proxy';

describe('a server that is away, slow, or whose answers are lost', () => {
  let app: RunningServer;
  let proxy: Proxy;
  let browser: Browser;
  const project = 'quillfern-tool-library';
  const brief = () => `${proxy.url}/projects/${project}/brief`;
  beforeAll(async () => {
    app = await startApp(true);
    proxy = await Proxy.before(app.url);
    browser = await Browser.open();
    await browser.go(brief());
    await browser.waitForText('footer', 'saved');
  });
  afterAll(async () => {
    await browser?.close();
    proxy?.close();
    await app?.close();
  });

  const stored = async () => (await (await fetch(`${app.url}/api/projects/${project}`)).json()) as ProjectSnapshot;
  const cover = async () => ((await stored()).list.find(({ kind }) => kind === 'brief')!.body as { cover: number }).cover;
  const type = (value: string) => browser.type('Cover', value);
  const shown = async () => (await browser.field('Cover')).getAttribute('value');
  const saved = () => browser.waitForText('footer', /(?<!not )saved/);

  it('what is typed meanwhile says that it is not saved, stays over a reload, and is saved when the server is back', async () => {
    const before = await stored();
    proxy.cut();
    await type('80mm');
    await browser.waitForText('footer', 'not saved (1 edit)');
    await type('90mm');
    await browser.waitForText('footer', 'not saved (2 edits)');
    expect((await stored()).version).toBe(before.version);
    // the page comes anew, as after a crash
    proxy.way = 'noWrites';
    await browser.go(brief());
    await browser.waitForText('footer', 'not saved (2 edits)');
    expect(await shown()).toContain('3.54');
    expect((await stored()).version).toBe(before.version);
    proxy.way = 'open';
    await saved();
    expect(await shown()).toContain('3.54');
    expect(await cover()).toBeCloseTo(90, 6);
    const after = await stored();
    expect(after.version).toBe(before.version + 2);
  });

  it('an edit whose answer was lost is sent again, and written once', async () => {
    const before = await stored();
    proxy.way = 'answersLost';
    await type('85mm');
    await browser.waitForText('footer', 'not saved (1 edit)');
    const { version } = await stored();
    expect(version).toBe(before.version + 1);
    proxy.way = 'open';
    await saved();
    expect((await stored()).version).toBe(version);
    expect(await cover()).toBeCloseTo(85, 6);
  });

  it('a slow server: the badge says saving until it is', async () => {
    proxy.way = 'slow';
    await type('75mm');
    await browser.waitForText('footer', 'saving');
    expect(await cover()).toBeCloseTo(85, 6);
    await saved();
    expect(await cover()).toBeCloseTo(75, 6);
    proxy.way = 'open';
  });

  it('what somebody else changed meanwhile is not written over: the reason is said, and what is there now is shown', async () => {
    proxy.cut();
    await type('95mm');
    await browser.waitForText('footer', 'not saved (1 edit)');
    const now = (await stored()).list.find(({ kind }) => kind === 'brief')!;
    const changes = [
      { op: 'put', item: { id: now.id, kind: now.kind, body: { ...(now.body as object), cover: 70 } }, revision: now.revision },
    ];
    const reply = await fetch(`${app.url}/api/projects/${project}/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ commandId: 'by-another-hand', who: 'Ben', summary: 'less cover', changes }),
    });
    expect(reply.status).toBe(200);
    proxy.way = 'open';
    await browser.waitForText('body', /was not saved: changed meanwhile: .*Ben/);
    await saved();
    expect(await cover()).toBeCloseTo(70, 6);
    expect(await shown()).toContain('2.75');
  });

  it('unsaved edits can be given up', async () => {
    proxy.cut();
    await type('99mm');
    await browser.waitForText('footer', 'not saved (1 edit)');
    proxy.way = 'open';
    await saved();
    expect(await cover()).toBeCloseTo(99, 6);
    proxy.cut();
    await type('60mm');
    await browser.clickText('not saved (1 edit)', 'button');
    await browser.clickText('Give it up…', 'button');
    await browser.clickText('Yes, give it up for good', 'button');
    proxy.way = 'open';
    await saved();
    expect(await cover()).toBeCloseTo(99, 6);
    expect(await shown()).toContain('3.897');
  });
});
