import { mkdirSync, writeFileSync } from 'node:fs';
import { Browser } from '../e2e/browser';
const B = 'http://127.0.0.1:4870/projects';
mkdirSync('/tmp/shots', { recursive: true });
const browser = await Browser.open(1280, 800);
const shot = async (name: string) => writeFileSync(`/tmp/shots/${name}.png`, await browser.driver.takeScreenshot(), 'base64');
for (const [name, path, wait, script] of [
  
  ['loadform', '/ebbwick-sail-loft/survey?level=loft&item=wl', 'Acts on', ''],
  ['descent', '/ebbwick-sail-loft/descent?item=TG1&level=loft', 'Failure ladder', ''],
  ['us', '/quillfern-tool-library/members?item=SB2', 'Open the sheet, ASD', 'document.querySelector("[data-check]").scrollIntoView()'],
] as const) {
  await browser.go(B + path);
  await browser.text(wait);
  if (script) await browser.driver.executeScript(script);
  await new Promise((r) => setTimeout(r, 1500));
  await shot(name);
}
await browser.close();
