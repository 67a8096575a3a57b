import { chromium } from '@playwright/test';
import { drawLeaf } from '@sounding/core/testing/drawnLeaf.ts';
import sharp from 'sharp';
import { launchOptions } from '../e2e/chromium.ts';

/** A leaf with brown and yellow spots, half in shade, with a shine on it. */
async function spottedLeaf(): Promise<Buffer> {
  const brown = [114, 76, 45] as const;
  const yellow = [206, 192, 86] as const;
  const at = [
    [380, 300, 22, brown],
    [460, 420, 15, brown],
    [640, 330, 26, brown],
    [700, 480, 18, yellow],
    [560, 520, 12, brown],
    [820, 380, 24, brown],
    [900, 430, 14, yellow],
    [520, 300, 10, yellow],
    [760, 280, 16, brown],
  ] as const;
  const { picture: pixels } = drawLeaf({
    width: 1200,
    height: 800,
    background: [240, 238, 233],
    leaf: { cx: 600, cy: 400, rx: 430, ry: 250, colour: [72, 118, 54] },
    spots: at.map(([x, y, radius, colour]) => ({ x, y, radius, colour })),
    light: (x, y) => (x + 0.4 * y > 900 ? [0.55, 0.56, 0.6] : [1, 0.98, 0.94]),
    glare: (x, y) => (((x - 400) / 50) ** 2 + ((y - 520) / 20) ** 2 < 1 ? 0.93 : 0),
  });
  return sharp(Buffer.from(pixels.data), { raw: { width: 1200, height: 800, channels: 4 } })
    .jpeg()
    .toBuffer();
}

const base = process.env['SOUNDING_URL'] ?? '';
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: 'light', locale: 'en-GB' });
const entry = page.getByLabel('What the caller says');
const picture = async (name: string) => {
  await page.waitForTimeout(500);
  await page.screenshot({ path: new URL(`../docs/screenshots/${name}.png`, import.meta.url).pathname });
};
const say = async (words: string) => {
  await entry.pressSequentially(words);
  await page.waitForTimeout(300);
  await entry.press('Enter');
  await page.waitForTimeout(400);
};

await page.goto(base);
await page.getByRole('heading', { name: /waiting/ }).waitFor();
await picture('desk');
await page.getByRole('button', { name: 'Pick up Perrin Ashdown' }).click();
await page.getByRole('region', { name: 'What was said' }).waitFor();
await say('the young tips of my box hedge are cupped, the plant is growing well');
await say('no webs, nothing eaten');
await picture('case');
await page.getByRole('button', { name: 'Switch to night colours' }).click();
await picture('case-night');
await page.getByRole('button', { name: 'Switch to day colours' }).click();
await entry.focus();
await page.keyboard.press('Enter');
await page.getByRole('textbox', { name: /Reply to/ }).waitFor();
await picture('reply');
await page.goto(base);
await page.getByRole('button', { name: /New call/ }).click();
await page.getByLabel('Caller').fill('Tobin Reed');
await page.getByRole('button', { name: 'Take the call' }).click();
await page.getByRole('region', { name: 'What was said' }).waitFor();
await say('my wisteria is sending out long whips everywhere, what do I do with them');
await picture('care');
await page.goto(base);
await page.getByRole('button', { name: /New call/ }).click();
await page.getByLabel('Caller').fill('Lisbet Crane');
await page.getByRole('button', { name: 'Take the call' }).click();
await page.getByRole('region', { name: 'What was said' }).waitFor();
await say('my box hedge is being eaten bare by caterpillars, there are webs inside and green droppings');
await page.keyboard.press('Alt+P');
await page.getByRole('combobox', { name: 'product' }).selectOption({ label: 'Larvabane – Bacillus thuringiensis subsp. kurstaki' });
await page.getByRole('textbox', { name: 'times' }).fill('2');
await page.getByRole('button', { name: 'Lay it out' }).click();
await page.getByRole('heading', { name: 'Product and amount' }).evaluate((heading) => heading.scrollIntoView());
await picture('plan');
await page.goto(`${base}/bench`);
await page.getByLabel('Type it as you hear it').fill('wound 3 by 5 inches on a 5 inch maple');
await page.getByRole('heading', { name: 'Wound to girth' }).waitFor();
await picture('bench');
await page.goto(`${base}/bench/tests/white-paper`);
await page.getByRole('heading', { name: 'White-paper test' }).waitFor();
await page.keyboard.press('1');
await picture('bench-test');
await page.goto(`${base}/bench/picture`);
await page.locator('input[type=file]').setInputFiles({ name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: await spottedLeaf() });
await page.getByText(/of the leaf is affected/).waitFor();
await picture('bench-picture');
await page.goto(`${base}/bench/instruments`);
for (const name of ['Soil probe', 'pH pen', 'Scale']) {
  await page.getByRole('region', { name }).getByRole('button', { name: 'Measure' }).click();
  await page.waitForTimeout(1200);
}
await picture('bench-instruments');
await page.goto(`${base}/season`);
await page.getByRole('heading', { name: 'Disease weather' }).waitFor();
await picture('season');
await page.goto(`${base}/library/labels`);
await page.getByRole('cell', { name: 'Lakewash Soap', exact: true }).waitFor();
await picture('labels');
await page.goto(`${base}/casebook`);
await page.getByRole('cell', { name: 'Late blight' }).waitFor();
await picture('casebook');
await page.goto(`${base}/library?find=scorched`);
await page.getByRole('region', { name: 'Causes' }).getByRole('link').first().waitFor();
await picture('library');
await page.goto(`${base}/library/cause/box-psyllid`);
await page.getByRole('heading', { name: 'How sure are we of this?' }).waitFor();
await picture('library-cause');
await page.goto(`${base}/library/plant/pear`);
await page.getByRole('heading', { name: 'Care' }).waitFor();
await picture('library-plant');
await page.goto(`${base}/library/compare?cause=box-psyllid&cause=spider-mites&cause=box-leafminer`);
await page.getByRole('columnheader', { name: /Box psyllid/ }).waitFor();
await picture('side-by-side');
await page.getByLabel('Who sits at the desk').selectOption({ label: 'Corvin Halloway-Brisk, coordinator' });
await page.goto(`${base}/library/learned`);
await page.getByRole('heading', { name: 'What cases have taught' }).waitFor();
await picture('learned');
await page.goto(`${base}/library/edit/causes/pear-rust`);
await page.getByLabel('The entry').waitFor();
await picture('library-entry');
await browser.close();
