import { mkdirSync, writeFileSync } from 'node:fs';
import { Browser } from '../e2e/browser';
const B = 'http://127.0.0.1:4870/projects/ebbwick-sail-loft';
mkdirSync('/tmp/shots', { recursive: true });
const browser = await Browser.open(1280, 800);
const shot = async (name: string) => writeFileSync(`/tmp/shots/${name}.png`, await browser.driver.takeScreenshot(), 'base64');
for (const [name, path, wait, script] of [
  ['actions', '/brief', 'Load build-ups', 'document.querySelector("[aria-label=Actions]").scrollIntoView()'],
  ['loadform', '/survey?level=loft&item=wl', 'Acts on', ''],
  ['descent', '/descent?item=TG1&level=loft', 'Failure ladder', ''],
  ['sheet', '/members?item=TG1&level=loft&sheet=TG1', 'table 5.2', ''],
] as const) {
  await browser.go(B + path);
  await browser.text(wait);
  if (script) await browser.driver.executeScript(script);
  await new Promise((r) => setTimeout(r, 1500));
  await shot(name);
}
await browser.close();
