import { chromium } from '@playwright/test';
import { launchOptions } from '../e2e/chromium.ts';
const url = process.env['SOUNDING_URL']!;
const calls: [string, string[]][] = [
  ['Gus', ["I noticed on Saturday that the lower leaves of my roses have black blotches with a yellow edge and they're falling off. I only water in the evening with a sprinkler. Can I save it?"]],
  ['Hal', ["My lawn has rings of darker green grass with mushrooms in September, and inside the ring the grass is thin. Kids play there. Should I worry?"]],
  ['Ivo', ["Courgettes: lots of flowers and the little fruits go yellow and rot at the end before they're as long as my finger", "we've had cold wet weather and I see no bees"]],
  ['Jan', ["my basil has black spots and fuzzy grey stuff under the leaves, leaves are yellow between the veins", "in the kitchen, I bought it as seed"]],
  ['Kit', ["the needles on my christmas tree type spruce are dropping inside, outer ones ok, there is fine webbing"]],
  ['Lea', ["When can I move my peony? It's been there ten years and doesn't flower now, the tree next to it got big"]],
  ['Mia', ["Box hedge has patches with no leaves, webs and green caterpillars with black heads. What can I spray? I've got two cats"]],
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
  const main = await page.locator('main').innerText(); console.log('=====', name, '\n', main.replace(/[\s\S]*What was said/, '').replace(/\n+/g, ' | ').slice(0, 1500));
  await page.keyboard.press('Control+Enter'); await page.waitForTimeout(3000);
  const box = page.getByRole('textbox', { name: /Reply to/ });
  console.log('--- reply\n', (await box.count()) ? await box.inputValue() : (await page.locator('main').innerText()).slice(0, 800));
}
await browser.close();
