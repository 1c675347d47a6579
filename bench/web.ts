import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { tallowOf, tallowWharf } from '../core/src';
import { Browser } from '../e2e/browser';
import { startApp } from '../e2e/app';
import { WEB_DIST } from '../scripts/build';
import { freePort } from '../scripts/cluster';
import { insertProject } from '../server/src/store/projects';
import { ROOT } from '../scripts/system';
import { figure, median, type Figure } from './figure';

/** Compressed script that the first route asks for: what index.html names, and what that imports at once. */
export function firstRoute(): Figure {
  const html = readFileSync(join(WEB_DIST, 'index.html'), 'utf8');
  const wanted = new Set([...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map((match) => match[1]!));
  for (const file of wanted)
    for (const match of readFileSync(join(WEB_DIST, file), 'utf8').matchAll(/(?:^|[;}])import(?:[^"'()]*?from)?["']\.\/([^"']+\.js)["']/g))
      wanted.add(`assets/${match[1]!}`);
  const bytes = [...wanted].reduce((sum, file) => sum + gzipSync(readFileSync(join(WEB_DIST, file))).length, 0);
  return figure('web.firstRoute', bytes / 1000, 'kB', 250, `${wanted.size} files`);
}

/** From the Enter key in a field to the painted screen that shows the new balance, ms, in the browser, on the demonstration building. */
export async function appEdit(): Promise<Figure> {
  const app = await startApp(true);
  const browser = await Browser.open();
  try {
    await browser.go(`${app.url}/projects/ebbwick-sail-loft/brief`);
    const { times } = await editTimes(browser, 'Load of standing-seam sheet', (i) => String(0.1 + i / 10));
    return figure('app.edit', median(times), 'ms', 100, `slowest of ${times.length}: ${Math.max(...times).toFixed(0)} ms`);
  } finally {
    await browser.close();
    await app.close();
  }
}

/** The same on a generated block of 10,000 members, where the layer that is changed is that of one storey. */
export async function takedownScreen(): Promise<Figure> {
  const app = await startApp(false);
  const browser = await Browser.open();
  try {
    const items = tallowWharf(tallowOf(10_000));
    await insertProject(app.connection.db, 'Tall block', items, 'bench', 'made', 'tall-block');
    const start = performance.now();
    await browser.go(`${app.url}/projects/tall-block/brief`);
    await browser.waitForText('footer', 'Balance');
    const opened = (performance.now() - start) / 1000;
    // what is measured is an edit of a building that stands, not one of many while it is checked for the first time
    await browser.waitForText('footer', /^(?!.*still to be checked)/s);
    const { first, times } = await editTimes(browser, 'Load of market', (i) => String(4 + i / 10));
    const members = items.filter((item) => ['beam', 'column', 'footing'].includes(item.kind)).length;
    return figure(
      'takedown.screen',
      median(times),
      'ms',
      100,
      `${members} members, opened in ${opened.toFixed(1)} s; the first edits took ${first.map((time) => time.toFixed(0)).join(', ')} ms`,
    );
  } finally {
    await browser.close();
    await app.close();
  }
}

/** On the same block: from choosing a level to its painted plan, ms; and, panning there, the frame that the eye waits for longest. */
export async function surveyLevel(): Promise<Figure> {
  const app = await startApp(false);
  const browser = await Browser.open();
  try {
    await insertProject(app.connection.db, 'Tall block', tallowWharf(tallowOf(10_000)), 'bench', 'made', 'tall-block');
    await browser.go(`${app.url}/projects/tall-block/survey`);
    await browser.see('[data-testid=plan] [data-pick]');
    await browser.waitForText('footer', /^(?!.*still to be checked)/s);
    const field = await browser.field('Level shown');
    const levels = await browser.driver.executeScript<string[]>('return [...arguments[0].options].map((option) => option.value)', field);
    const times: number[] = [];
    for (const level of levels.slice(1, 13))
      times.push(
        await browser.driver.executeAsyncScript<number>(
          `const [select, level, done] = arguments;
           const heading = () => document.querySelector('main h1').textContent;
           const before = heading();
           const observer = new MutationObserver(() => {
             if (heading() === before) return;
             observer.disconnect();
             requestAnimationFrame(() => setTimeout(() => done(performance.now() - start), 0));
           });
           observer.observe(document.querySelector('main'), { subtree: true, childList: true, characterData: true });
           const start = performance.now();
           Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(select, level);
           select.dispatchEvent(new Event('change', { bubbles: true }));`,
          await browser.field('Level shown'),
          level,
        ),
      );
    const frames = await browser.driver.executeAsyncScript<number[]>(
      `const done = arguments[0];
       const plan = document.querySelector('[data-testid=plan]');
       const { left, top } = plan.getBoundingClientRect();
       const send = (type, x) => plan.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, button: 2, buttons: 2, clientX: left + 300 + x, clientY: top + 200 + x }));
       plan.setPointerCapture = () => undefined;
       send('pointerdown', 0);
       const frames = [];
       let last = performance.now();
       const step = (i) => {
         if (i > 0) frames.push(performance.now() - last);
         last = performance.now();
         if (i === 40) { send('pointerup', 120); return done(frames); }
         send('pointermove', 3 * i);
         requestAnimationFrame(() => step(i + 1));
       };
       requestAnimationFrame(() => step(0));`,
    );
    return figure(
      'survey.level',
      median(times),
      'ms',
      1000,
      `slowest of ${times.length}: ${Math.max(...times).toFixed(0)} ms; panning a frame in ${median(frames).toFixed(0)} ms, the slowest in ${Math.max(...frames).toFixed(0)} ms`,
    );
  } finally {
    await browser.close();
    await app.close();
  }
}

/** Types a value into a field, and times from Enter to the painted balance; the first runs, which warm the page and the worker up, apart. */
async function editTimes(browser: Browser, label: string, value: (i: number) => string) {
  const field = await browser.field(label);
  const once = (value: string) =>
    browser.driver.executeAsyncScript<number>(
      `const [input, value, done] = arguments;
         const footer = document.querySelector('footer ul');
         input.focus();
         Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, value);
         input.dispatchEvent(new Event('input', { bubbles: true }));
         requestAnimationFrame(() => requestAnimationFrame(() => {
           const before = footer.textContent;
           let start = 0;
           const observer = new MutationObserver(() => {
             if (footer.textContent === before) return;
             observer.disconnect();
             requestAnimationFrame(() => setTimeout(() => done(performance.now() - start), 0));
           });
           observer.observe(footer, { subtree: true, childList: true, characterData: true });
           start = performance.now();
           input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
         }));`,
      field,
      value,
    );
  const [first, times]: [number[], number[]] = [[], []];
  for (let i = 1; i <= 12; i += 1) {
    const time = await once(value(i));
    await browser.waitForText('footer', /\bsaved/);
    // the first runs warm the worker up
    (i > 3 ? times : first).push(time);
  }
  return { first, times };
}

/** From the command to the first answer, s. The run before it has made and filled everything. */
async function demoOnce(port: number): Promise<number> {
  const start = performance.now();
  const child = spawn(join(ROOT, 'plinth'), ['demo'], { cwd: ROOT, env: { ...process.env, PLINTH_PORT: String(port) }, stdio: 'ignore' });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  try {
    for (;;) {
      if (child.exitCode !== null) throw new Error('./plinth demo ended by itself');
      const answered = await fetch(`http://127.0.0.1:${port}/api/health`).then(
        (response) => response.ok,
        () => false,
      );
      if (answered) return (performance.now() - start) / 1000;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  } finally {
    child.kill('SIGINT');
    await ended;
  }
}

export async function demoRestart(): Promise<Figure> {
  const port = await freePort();
  const first = await demoOnce(port);
  return figure('demo.restart', await demoOnce(port), 's', 10, `the run before it took ${first.toFixed(1)} s`);
}
