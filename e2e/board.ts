import type { Browser } from './browser';

/** A place on plan, m. */
export type Place = readonly [x: number, y: number];

export const saved = (browser: Browser) => browser.waitForText('footer', /\bsaved/);

/** Clicks a place given in metres on plan, wherever that is on the screen now. */
export async function clickAt(browser: Browser, [x, y]: Place): Promise<void> {
  const [sx, sy] = await browser.driver.executeScript<[number, number]>(
    `const plan = document.querySelector('[data-testid=plan]');
     const { left, top, width, height } = plan.getBoundingClientRect();
     const { x, y, scale } = JSON.parse(plan.dataset.view);
     return [left + width / 2 + (arguments[0] * 1000 - x) * scale, top + height / 2 - (arguments[1] * 1000 - y) * scale];`,
    x,
    y,
  );
  await browser.driver
    .actions({ async: true })
    .move({ x: Math.round(sx), y: Math.round(sy), duration: 0 })
    .click()
    .perform();
}

/** Picks a tool by its key, then clicks places. */
export async function drawOn(browser: Browser, key: string, ...places: readonly Place[]): Promise<void> {
  await browser.driver.executeScript('document.activeElement?.blur()');
  await browser.driver.actions().sendKeys(key).perform();
  for (const place of places) await clickAt(browser, place);
  await saved(browser);
}
