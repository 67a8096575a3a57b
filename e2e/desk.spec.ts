import { expect, expectAccessible, newCall, say, test } from './support.ts';

const COORDINATOR = 'Corvin Halloway-Brisk, coordinator';

test('what a call turned out to be is set down, found again, taken over by the coordinator and set back', async ({ page }) => {
  await newCall(page, 'Proof Bringer');
  await say(page, 'hard brown ball like a ping pong ball hanging under my oak leaf');
  const standing = page.getByRole('region', { name: 'Standing of causes' });
  await expect(standing.getByRole('button').first()).toContainText('gall');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('textbox', { name: /Reply to Proof Bringer/ })).toHaveValue(/gall/);
  await page.getByRole('button', { name: 'Save the reply' }).click();
  await expect(page.getByText('all saved')).toBeVisible();

  await page.getByRole('link', { name: 'Casebook' }).click();
  await page.getByLabel(/Search by name/).fill('ping pong');
  await expect(page.getByRole('status').filter({ hasText: '1 case' })).toBeVisible();
  await page.getByRole('link', { name: 'Proof Bringer' }).click();
  const outcome = page.getByRole('form', { name: 'What it turned out to be' });
  await outcome.getByLabel('because').selectOption('a laboratory said so');
  await outcome.getByRole('button', { name: 'Confirm' }).click();
  await expect(outcome).toContainText('a laboratory said so');
  await expectAccessible(page);

  // a likely guess teaches nothing, a confirmed one only what the coordinator takes over
  await page.goto('/library/learned');
  await expect(page.getByText('Only the coordinator takes over what cases have taught.')).toBeVisible();
  const before = await page.evaluate(async () => ((await (await fetch('/api/session')).json()) as { edition: string }).edition);
  await page.getByLabel('Who sits at the desk').selectOption({ label: COORDINATOR });
  await page.getByRole('button', { name: /^Take over \d+ outcomes?$/ }).click();
  await expect(page.getByText(/stand in the desk’s edition since/)).toBeVisible();
  await expectAccessible(page);
  const taught = await page.evaluate(async () => ((await (await fetch('/api/session')).json()) as { edition: string }).edition);
  expect(taught).not.toBe(before);
  await page.getByRole('button', { name: 'Set back to the written figures' }).click();
  await expect(page.getByText('The desk works with the figures as they are written.')).toBeVisible();
  await expect(page.getByText(/set everything back/).first()).toBeVisible();
});

test('two calls stand side by side: each keeps its words, and the desk shows both as open', async ({ page }) => {
  await newCall(page, 'First Caller');
  await say(page, 'white powder on my courgette leaves');
  await newCall(page, 'Second Caller');
  await say(page, 'my dahlias left in the ground over winter never came up');
  const standing = page.getByRole('region', { name: 'Standing of causes' });
  await expect(standing.getByRole('button').first()).toContainText('Hard winter kill');
  await page.goto('/');
  const open = page.getByRole('region', { name: 'Still open' });
  await expect(open.getByRole('link', { name: 'Second Caller' })).toBeVisible();
  await open.getByRole('link', { name: 'First Caller' }).click();
  await expect(standing.getByRole('button').first()).toContainText('Powdery mildew');
  await expect(page.getByText('white powder on my courgette leaves')).toBeVisible();
  await expect(page.getByText(/dahlias/)).toHaveCount(0);
});

test('what wrong advice costs is the coordinator’s to set, and the shipped table comes back', async ({ page }) => {
  await page.goto('/office');
  const cost = page.getByLabel('Spray where leave it alone was right');
  await expect(cost).toBeDisabled();
  await page.getByLabel('Who sits at the desk').selectOption({ label: COORDINATOR });
  await expect(cost).toBeEnabled();
  const shipped = await cost.inputValue();
  await cost.fill('60');
  await page.getByRole('button', { name: 'Save the table' }).click();
  await expect(page.getByText(/the table, Corvin/).first()).toBeVisible();
  await page.reload();
  await expect(cost).toHaveValue('60');
  await page.getByRole('button', { name: 'Back to the table that ships' }).click();
  await expect(cost).toHaveValue(shipped);
  await expectAccessible(page);
});

test('labels come in from a file: what cannot be taken is named with its line, the rest is looked at first', async ({ page }) => {
  await page.goto('/library/labels');
  await page.getByLabel('Who sits at the desk').selectOption({ label: COORDINATOR });
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'All as CSV' }).click()]);
  const csv = await (await download.createReadStream()).toArray().then((parts) => Buffer.concat(parts as Buffer[]).toString('utf8'));
  const [head = '', ...rows] = csv.trim().split('\n');
  expect(rows.length).toBeGreaterThan(3);
  const bring = async (text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Bring in a file' }).click();
    await (await chooser).setFiles({ name: 'labels.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  const file = page.getByRole('region', { name: 'The file' });
  // a row without its id cannot be taken, and nothing is taken while one cannot
  await bring([head, ...rows.map((row, i) => (i === 1 ? row.replace(/^[^,]*/, '') : row))].join('\n'));
  await expect(file.getByRole('alert')).toContainText('line 3: id');
  await expect(file.getByRole('button', { name: 'Take them over' })).toBeDisabled();
  await file.getByRole('button', { name: 'Leave it' }).click();
  await expect(file).toHaveCount(0);
  await bring(csv);
  await expect(file).toContainText('as it is');
  await expectAccessible(page);
  await file.getByRole('button', { name: 'Take them over' }).click();
  await expect(file).toHaveCount(0);
});

test('a place nobody built says so and leads back', async ({ page }) => {
  await page.goto('/library/cause/moon-blight');
  await expect(page.getByRole('alert')).toContainText('no cause of that name');
  await page.goto('/library/plant/moon-tree');
  await expect(page.getByRole('alert')).toContainText('no plant of that name');
  await page.getByRole('link', { name: 'Library' }).first().click();
  await expect(page.getByRole('searchbox').or(page.getByRole('textbox')).first()).toBeVisible();
});
