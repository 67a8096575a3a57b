import { drawLeaf } from '@sounding/core/testing/drawnLeaf.ts';
import sharp from 'sharp';
import { expect, expectAccessible, newCall, say, test } from './support.ts';

/** A leaf with brown spots on white paper, and a tell-tale of where it was taken; `affected` is true by geometry. */
async function photograph(): Promise<{ file: Buffer; affected: number }> {
  const spots = [
    { x: 220, y: 190, radius: 34 },
    { x: 380, y: 170, radius: 26 },
    { x: 330, y: 250, radius: 30 },
  ].map((spot) => ({ ...spot, colour: [118, 78, 44] as const }));
  const { picture, affected } = drawLeaf({
    width: 600,
    height: 400,
    background: [243, 242, 238],
    leaf: { cx: 300, cy: 200, rx: 230, ry: 140, colour: [76, 124, 54] },
    spots,
  });
  const raw = { width: picture.width, height: picture.height, channels: 4 as const };
  const file = await sharp(Buffer.from(picture.data), { raw })
    .withExif({ IFD0: { Copyright: 'TELLTALE' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '47/1 12/1 30/1' } })
    .jpeg({ quality: 92 })
    .toBuffer();
  return { file, affected };
}

test('a test is read out on the keys, its result lands in the case', async ({ page }) => {
  await newCall(page, 'Paper Tapper');
  await say(page, 'my rosemary is speckled yellow');
  const ask = page.getByRole('region', { name: 'Ask' });
  await expect(ask.getByRole('link', { name: /White-paper test, step by step/ })).toBeVisible();
  await page.keyboard.press('Alt+T');
  await expect(page.getByRole('heading', { name: 'White-paper test' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByRole('timer')).toHaveText(/0:5\d/);
  await page.keyboard.press('1');
  await page.keyboard.press('Enter');
  const said = page.getByRole('region', { name: 'What was said' });
  await expect(said).toContainText('Specks like pepper crawl slowly');
  await expect(said).toContainText('caller looked');
  await expect(page.getByRole('region', { name: 'Standing of causes' }).getByRole('button').first()).toContainText('Spider mites');
});

test('a test to repeat goes into calendar, call-backs and letter', async ({ page }) => {
  await newCall(page, 'Twig Scratcher');
  await say(page, 'my hibiscus has no leaves after the winter');
  await page.getByRole('link', { name: 'test', exact: true }).click();
  await page.getByRole('link', { name: 'Scratch test' }).click();
  await expect(page.getByRole('heading', { name: 'Scratch test' })).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByLabel(/look again on/)).toHaveValue('2026-06-28');
  await page.getByRole('button', { name: /Take it into the case/ }).click();
  await expect(page.getByLabel('What the caller says')).toBeFocused();
  await page.keyboard.press('Alt+P');
  const again = page.getByRole('region', { name: 'Look again' });
  await expect(again).toContainText('28 June 2026 Scratch test');
  const [download] = await Promise.all([page.waitForEvent('download'), again.getByRole('link', { name: 'Calendar file' }).click()]);
  expect(download.suggestedFilename()).toBe('plan.ics');
  await page.getByRole('link', { name: 'Write the reply' }).click();
  await expect(page.getByRole('textbox', { name: /Reply to/ })).toHaveValue(/Look again\n– 28 June 2026: Scratch test/);
});

test('a picture is measured, taken in with what it shows, and tells nothing else', async ({ page }) => {
  const { file, affected } = await photograph();
  await newCall(page, 'Leaf Sender');
  await say(page, 'my tomato is unwell');
  await page.getByRole('link', { name: 'picture', exact: true }).click();
  await expectAccessible(page);
  await page.locator('input[type=file]').setInputFiles([
    { name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: file },
    { name: 'note.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('this is no picture') },
  ]);
  await expect(page.getByRole('alert')).toContainText('“note.jpg” is no picture');
  // a second picture of the same leaf is read without being looked at, and counts in the mean
  await page.locator('input[type=file]').setInputFiles([{ name: 'again.jpg', mimeType: 'image/jpeg', buffer: file }]);
  await expect(page.getByText(/^Mean of 2 leaves: \d+/)).toBeVisible();
  await page.getByRole('button', { name: /^leaf\.jpg/ }).click();
  const answer = page.getByText(/ of the leaf is affected/);
  await expect(answer).toBeVisible();
  const percent = Number(/^([\d.]+)/.exec((await answer.textContent()) ?? '')?.[1]);
  expect(Math.abs(percent - affected * 100)).toBeLessThan(2);
  await expect(page.getByText(/^3 spots/)).toBeVisible();
  await expectAccessible(page);

  // drawn across the leaf by hand: its size in the picture is known
  const picture = page.getByAltText('leaf.jpg').last();
  await page.getByRole('radio', { name: 'ruler' }).click();
  const box = (await picture.boundingBox())!;
  const across = (x: number) => [box.x + (box.width * x) / 600, box.y + box.height / 2] as const;
  await page.mouse.move(...across(70));
  await page.mouse.down();
  await page.mouse.move(...across(300));
  await page.mouse.move(...across(530));
  await page.mouse.up();
  await page.getByLabel('the line is so many mm long').fill('92');
  await expect(page.getByText(/^3 spots: the largest 1[34] mm across/)).toBeVisible();

  await page.getByLabel('What does it show?').fill('brown spots with rings');
  await page.getByRole('button', { name: /Put it into the case/ }).click();
  const said = page.getByRole('region', { name: 'What was said' });
  await expect(said).toContainText('of the leaf is affected');
  await expect(said).toContainText('Mean of 2 leaves');
  await expect(said).toContainText('photo');
  await expect(page.getByText('all saved')).toBeVisible();
  await page.reload();
  const shown = said.getByRole('img');
  await expect(shown).toBeVisible();
  const stored = await page.request.get((await shown.getAttribute('src')) ?? '');
  expect(stored.ok()).toBe(true);
  const bytes = await stored.body();
  expect([bytes.includes('TELLTALE'), bytes.includes('Exif'), bytes.includes('GPS')]).toEqual([false, false, false]);
});

test('an instrument at the table is asked, and its reading taken in', async ({ page }) => {
  await newCall(page, 'Pot Bringer');
  await say(page, 'my camellia leaves have brown edges');
  await page.getByRole('link', { name: 'instrument', exact: true }).click();
  const pen = page.getByRole('region', { name: 'pH pen' });
  await expect(pen).toContainText('connected');
  await pen.getByRole('button', { name: 'Measure' }).click();
  const newest = page.getByRole('list', { name: 'Measured, newest first' }).getByRole('listitem').first();
  await expect(newest).toContainText(/pH \d\.\d/);
  await expectAccessible(page);
  await newest.getByRole('button', { name: 'Take it in' }).click();
  await expect(newest).toContainText('in this case');
  await page.getByRole('link', { name: /Back to the case/ }).click();
  await expect(page.getByRole('region', { name: 'What was said' })).toContainText('bench test');
});
