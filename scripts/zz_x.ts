import { chromium } from '@playwright/test';
import { launchOptions } from '../e2e/chromium.ts';
const url = process.env['SOUNDING_URL']!;
const calls: [string, string[]][] = [
  ['Ada', ["I have a prickly pear by the drive and one of the pads has gone soft and see-through and it stinks, now the one under it too", "it drips brown water when you poke it"]],
  ['Bea', ["My strawberries' leaves have spots, round and purple with a white middle like a bird's eye. The fruit is fine"]],
  ['Cid', ["Should I take the ivy off my ash? It's nearly at the top. The crown looks fine in summer"]],
  ['Dot', ["The lemons have raised brown corky spots with a yellow ring. The leaves have the same on both sides. We had a storm"]],
  ['Eve', ["I plaited my onions in September and hung them in the garage. Now they are soft round the neck and brown inside, with grey mould under the skin"]],
  ['Fay', ["My poinsettia from last Christmas is growing well but it is December and there's no sign of red. It stands in the living room and the lights are on till eleven"]],
];
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(url); await page.waitForTimeout(1500);
for (const [name, said] of calls) {
  await page.goto(url); await page.waitForTimeout(800);
  await page.keyboard.press('n'); await page.waitForTimeout(500);
  await page.keyboard.type(name); await page.keyboard.press('Enter'); await page.waitForTimeout(1200);
  for (const s of said) { await page.getByLabel('What the caller says').fill(s); await page.keyboard.press('Enter'); await page.waitForTimeout(3500); }
  await page.screenshot({ path: `/tmp/g_${name}.png` });
  const main = await page.locator('main').innerText(); console.log('=====', name, '\n', main.replace(/[\s\S]*Standing\n/, '').replace(/\n+/g, ' | ').slice(0, 900));
  await page.keyboard.press('Control+Enter'); await page.waitForTimeout(3000);
  const box = page.getByRole('textbox', { name: /Reply to/ });
  console.log('--- reply\n', (await box.count()) ? await box.inputValue() : (await page.locator('main').innerText()).slice(0, 800));
}
await browser.close();
