import type { Browser } from './browser';

/** A place on plan, m. */
export type Place = readonly [x: number, y: number];

export const saved = (browser: Browser) => browser.waitForText('footer', /\bsaved/);

/** Where on the screen a place given in metres on plan is now, px. */
export async function onScreen(browser: Browser, [x, y]: Place): Promise<{ x: number; y: number; duration: 0 }> {
  const [sx, sy] = await browser.driver.executeScript<[number, number]>(
    `const plan = document.querySelector('[data-testid=plan]');
     const { left, top, width, height } = plan.getBoundingClientRect();
     const { x, y, scale } = JSON.parse(plan.dataset.view);
     return [left + width / 2 + (arguments[0] * 1000 - x) * scale, top + height / 2 - (arguments[1] * 1000 - y) * scale];`,
    x,
    y,
  );
  return { x: Math.round(sx), y: Math.round(sy), duration: 0 };
}

/** Clicks a place given in metres on plan, wherever that is on the screen now. */
export async function clickAt(browser: Browser, place: Place): Promise<void> {
  await browser.driver
    .actions({ async: true })
    .move(await onScreen(browser, place))
    .click()
    .perform();
}

/** Presses at a place on plan, moves to another in one go, and lets go: as fast as a hand can, and faster. */
export async function dragFrom(browser: Browser, from: Place, to: Place): Promise<void> {
  const [start, end] = [await onScreen(browser, from), await onScreen(browser, to)];
  const between = { x: Math.round((start.x + end.x) / 2), y: Math.round((start.y + end.y) / 2), duration: 0 };
  await browser.driver.actions({ async: true }).move(start).press().move(between).move(end).release().perform();
}

/** Picks a tool by its key, then clicks places. */
export async function drawOn(browser: Browser, key: string, ...places: readonly Place[]): Promise<void> {
  await browser.driver.executeScript('document.activeElement?.blur()');
  await browser.driver.actions().sendKeys(key).perform();
  for (const place of places) await clickAt(browser, place);
  await saved(browser);
}
