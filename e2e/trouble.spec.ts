import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Response } from '@playwright/test';
import { expect, newCall, say, test } from './support.ts';

let dead = false;
function killDatabase(): void {
  dead = true;
  const data = process.env['SOUNDING_DATA'] ?? '.data';
  process.kill(Number(readFileSync(`${data}/pg/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL');
}
function startDatabase(): void {
  execFileSync('bash', ['scripts/db.sh', 'start'], { cwd: new URL('..', import.meta.url).pathname });
  dead = false;
}

test.describe('when the server is away', () => {
  test.use({ allowed: [/Failed to load resource|net::ERR/] });
  test.afterEach(() => {
    if (dead) startDatabase();
  });
  test('nothing that was typed is lost: it is kept, survives a reload, and is saved when the server returns', async ({ page }) => {
    await newCall(page, 'Storm Petrel');
    await say(page, 'my box hedge is cupped like little cabbages');
    await expect(page.getByText('all saved')).toBeVisible();
    await page.route('**/api/questions/**', (route) =>
      route.fulfill({ status: 503, contentType: 'application/problem+json', body: '{"title":"The record cannot be reached just now","status":503}' }),
    );
    await say(page, 'no webs, and the plant is growing well');
    await expect(page.getByText(/not saved yet – kept here/)).toBeVisible();
    await expect(page.getByText('Webs or silk: none').first()).toBeVisible();
    await page.reload();
    await expect(page.getByText('Webs or silk: none').first()).toBeVisible();
    await page.unroute('**/api/questions/**');
    await expect(page.getByText('all saved')).toBeVisible();
    await page.reload();
    await expect(page.getByText('Webs or silk: none').first()).toBeVisible();
  });
  test('the database is killed in mid-call: what was saved is there, what was not is sent when it is back', async ({ page }) => {
    await newCall(page, 'Killed Mid-Call');
    await say(page, 'my box hedge is cupped like little cabbages');
    await expect(page.getByText('all saved')).toBeVisible();
    killDatabase();
    await say(page, 'no webs, and the plant is growing well');
    await expect(page.getByText(/not saved yet – kept here/)).toBeVisible();
    await expect(page.getByText('Vigour: growing well').first()).toBeVisible();
    startDatabase();
    await expect(page.getByText('all saved')).toBeVisible({ timeout: 60_000 });
    await page.reload();
    await expect(page.getByText('Leaf shape: cupped like little spoons or cabbages').first()).toBeVisible();
    await expect(page.getByText('Vigour: growing well').first()).toBeVisible();
  });
  test('a call that comes in while the database is dead is taken, and has its number when it is back', async ({ page }) => {
    const edition = page.waitForResponse(/\/editions\//);
    await page.goto('/');
    await (await edition).finished();
    killDatabase();
    await page.keyboard.press('n');
    await page.keyboard.type('Out Of The Blue');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('What the caller says')).toBeFocused();
    await say(page, 'my box hedge is cupped like little cabbages');
    await expect(page.getByText('Leaf shape: cupped like little spoons or cabbages').first()).toBeVisible();
    await expect(page.getByText(/no number yet/)).toBeVisible();
    await page.getByLabel('What the caller says').fill('half a sentence');
    await page.getByRole('link', { name: 'Library' }).click();
    await expect(page).toHaveURL(/\/library$/);
    await page.goBack();
    await expect(page.getByLabel('What the caller says')).toHaveValue('half a sentence');
    startDatabase();
    await expect(page.getByText('all saved')).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText(/#\d+/)).toBeVisible();
    await page.reload();
    await expect(page.getByText('Leaf shape: cupped like little spoons or cabbages').first()).toBeVisible();
    await expect(page.getByLabel('What the caller says')).toHaveValue('half a sentence');
  });
  test('a page that does not exist says so, and the way elsewhere stands above it', async ({ page }) => {
    await page.goto('/library/causes/mildew');
    await expect(page.getByRole('alert')).toHaveText(/There is no such page\. Back to the desk/);
    await page.getByRole('link', { name: 'Library', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Library' })).toBeVisible();
  });
  test('a case that does not exist says so', async ({ page }) => {
    await page.goto('/case/00000000-0000-4000-8000-000000000000');
    await expect(page.getByRole('alert')).toContainText('This desk has no such case.');
  });
});

test('a call-back day in the past is refused beside the field', async ({ page }) => {
  await newCall(page, 'Past Tense');
  await say(page, 'white powder on my courgettes, it rubs off');
  await expect(page.getByText(/Enough to answer/)).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByLabel('Call back on').fill('2020-01-01');
  await expect(page.getByRole('alert')).toHaveText('This day is past.');
  await expect(page.getByRole('button', { name: 'Save the reply' })).toBeDisabled();
});

test('a call that is cut off is answered as it stands: nothing is treated, and the caller is asked to look', async ({ page }) => {
  await newCall(page, 'Cut Short');
  await say(page, 'the leaves of my rose are yellow');
  await expect(page.getByRole('button', { name: 'reply as it stands' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('textbox', { name: /Reply to Cut Short/ })).toHaveValue(/please treat nothing yet[^]*Please look and tell us/);
});

test('the demo day moves the windows', async ({ page }) => {
  await newCall(page, 'Time Lord');
  await say(page, 'the tips of my box are cupped like little cabbages');
  await page.getByLabel('demo day').fill('2026-04-28');
  await page.getByLabel('demo day').press('Enter');
  const standing = page.getByRole('region', { name: 'Standing of causes' });
  await expect(standing).toContainText(/degree-days above 10 °C since 1 January 2026 at Harbour/);
  await expect(standing.getByText(/^now/).first()).toBeVisible();
  await page.getByLabel('demo day').fill('2026-06-14');
  await page.getByLabel('demo day').press('Enter');
  await expect(standing).toContainText(/too late; note/);
});

test('the first page weighs under 300 kB', async ({ page }) => {
  const responses: Response[] = [];
  page.on('response', (response) => responses.push(response));
  await page.goto('/', { waitUntil: 'networkidle' });
  const sizes = await Promise.all(responses.map((response) => response.request().sizes()));
  const total = sizes.reduce((sum, { responseBodySize, responseHeadersSize }) => sum + responseBodySize + responseHeadersSize, 0);
  console.log(`first page: ${(total / 1000).toFixed(0)} kB in ${sizes.length} responses`);
  expect(total).toBeLessThan(300_000);
});

test('the edition comes packed, under 400 kB, before anybody asks for it', async ({ page }) => {
  const coming = page.waitForResponse((response) => response.url().includes('/api/editions/'));
  await page.goto('/');
  const response = await coming;
  const { 'content-encoding': encoding, 'content-length': length } = response.headers();
  console.log(`edition: ${(Number(length) / 1000).toFixed(0)} kB`);
  expect(encoding).toBe('br');
  expect(Number(length)).toBeGreaterThan(100_000);
  expect(Number(length)).toBeLessThan(400_000);
});
