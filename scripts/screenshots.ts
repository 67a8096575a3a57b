import { chromium } from '@playwright/test';
import { launchOptions } from '../e2e/chromium.ts';

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
await entry.waitFor();
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
await page.emulateMedia({ media: 'print' });
await picture('reply-print');
await page.emulateMedia({ media: 'screen' });
await page.goto(`${base}/casebook`);
await page.getByRole('cell', { name: 'Late blight' }).waitFor();
await picture('casebook');
await browser.close();
