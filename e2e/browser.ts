import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, Key, logging, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome';
import { findProgram, installDebian, Plain } from '../scripts/system';

/** Longest that a condition is waited for, ms: a limit for what never comes, not a time anything takes. */
const PATIENCE = 20_000;

export function requireChromium(): { chromium: string; driver: string } {
  const find = () => ({ chromium: findProgram('chromium'), driver: findProgram('chromedriver') });
  let { chromium, driver } = find();
  if (!chromium || !driver) {
    installDebian(['chromium', 'chromium-driver'], 'Chromium with its driver');
    ({ chromium, driver } = find());
  }
  if (!chromium || !driver) throw new Plain('Chromium was installed, but chromium or chromedriver was not found.');
  return { chromium, driver };
}

/** A headless Chromium with a profile of its own, and the few things that tests and pictures do with it. */
export class Browser {
  private constructor(
    readonly driver: WebDriver,
    private readonly profile: string,
  ) {}

  static async open(width = 1280, height = 800): Promise<Browser> {
    const { chromium, driver } = requireChromium();
    const profile = mkdtempSync(join(tmpdir(), 'plinth-browser-'));
    const options = new Options();
    options.setBinaryPath(chromium);
    options.addArguments(
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      '--hide-scrollbars',
      '--force-device-scale-factor=1',
      `--window-size=${width},${height}`,
      `--user-data-dir=${profile}`,
    );
    const preferences = new logging.Preferences();
    preferences.setLevel(logging.Type.BROWSER, logging.Level.ALL);
    options.setLoggingPrefs(preferences);
    const started = await new Builder().forBrowser('chrome').setChromeOptions(options).setChromeService(new ServiceBuilder(driver)).build();
    // the window's size counts its frame: the page itself is to be as large as asked
    await (started as unknown as { sendDevToolsCommand: (name: string, args: object) => Promise<void> }).sendDevToolsCommand(
      'Emulation.setDeviceMetricsOverride',
      { width, height, deviceScaleFactor: 1, mobile: false },
    );
    return new Browser(started, profile);
  }

  async close(): Promise<void> {
    await this.driver.quit();
    rmSync(this.profile, { recursive: true, force: true });
  }

  go(url: string): Promise<void> {
    return this.driver.get(url);
  }

  /** The first element that matches, once it is there and shown. */
  async see(css: string): Promise<WebElement> {
    const element = await this.driver.wait(until.elementLocated(By.css(css)), PATIENCE, `nothing matches ${css}`);
    await this.driver.wait(until.elementIsVisible(element), PATIENCE, `${css} is not shown`);
    return element;
  }

  /** An element by its visible text, or part of it. */
  async text(text: string, within = '*'): Promise<WebElement> {
    const path = `//${within}[contains(normalize-space(.), ${JSON.stringify(text)})][not(.//${within}[contains(normalize-space(.), ${JSON.stringify(text)})])]`;
    return this.driver.wait(until.elementLocated(By.xpath(path)), PATIENCE, `"${text}" is not on the page`);
  }

  async click(css: string): Promise<void> {
    await (await this.see(css)).click();
  }

  async clickText(text: string, within = 'button'): Promise<void> {
    const element = await this.text(text, within);
    await element.click();
  }

  /** Goes to a room, and waits until it stands there: until it has been fetched the room before it is still shown. */
  async room(name: string): Promise<void> {
    await this.clickText(name, 'a');
    await this.see(`main[aria-label="${name}"]`);
  }

  /** The field with a label, by what a screen reader says of it. */
  async field(label: string): Promise<WebElement> {
    const path = `//*[self::input or self::select or self::textarea][@id=//label[starts-with(normalize-space(.), ${JSON.stringify(label)})]/@for] | //label[starts-with(normalize-space(.), ${JSON.stringify(label)})]//*[self::input or self::select or self::textarea] | //*[self::input or self::select][starts-with(@aria-label, ${JSON.stringify(label)})]`;
    return this.driver.wait(until.elementLocated(By.xpath(path)), PATIENCE, `no field "${label}"`);
  }

  /** Types over what a field holds and commits it with Enter. */
  async type(label: string, value: string): Promise<void> {
    const field = await this.field(label);
    await this.driver.executeScript('arguments[0].scrollIntoView({block:"center"}); arguments[0].focus()', field);
    // selected by keys, as a person would: a selection made by script can be lost when the page draws again before the keys come
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.ENTER);
  }

  async choose(label: string, option: string): Promise<void> {
    const field = await this.field(label);
    const choice = await field.findElement(By.xpath(`.//option[contains(normalize-space(.), ${JSON.stringify(option)})]`));
    await this.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', field);
    await choice.click();
  }

  /** What the page tells its user and its developer just now: for the words of a failure. */
  private async said(): Promise<string> {
    const told = await this.driver.executeScript<string>(
      `return [...document.querySelectorAll('[data-sonner-toast], [role=status], [role=alert], footer')].map((part) => part.innerText.replace(/\\s+/g, ' ')).join(' | ')`,
    );
    const log = await this.driver.manage().logs().get(logging.Type.BROWSER);
    return `the page says: ${told || 'nothing'}; its log: ${log.map(({ message }) => message).join(' | ') || 'empty'}`;
  }

  /** Waits until a reading of the page is what is wanted; the last reading stands in the failure. */
  async until<T>(read: () => Promise<T>, wanted: (value: T) => boolean, what: string): Promise<T> {
    let last: T | undefined;
    await this.driver
      .wait(async () => {
        try {
          last = await read();
          return wanted(last);
        } catch {
          return false;
        }
      }, PATIENCE)
      .catch(async () => {
        throw new Error(`${what}; last seen: ${JSON.stringify(last)}; ${await this.said()}`);
      });
    return last as T;
  }

  async pageText(css = 'body'): Promise<string> {
    return (await this.driver.findElement(By.css(css))).getText();
  }

  async waitForText(css: string, part: string | RegExp): Promise<string> {
    return this.until(
      () => this.pageText(css),
      (text) => (typeof part === 'string' ? text.includes(part) : part.test(text)),
      `${css} does not say ${part}`,
    );
  }

  /** Everything that the page has complained of since the last time this was asked. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get(logging.Type.BROWSER);
    return entries.filter((entry) => entry.level.value >= logging.Level.SEVERE.value).map((entry) => entry.message);
  }
}
