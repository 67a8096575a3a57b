import { expect, expectAccessible, newCall, say, test } from './support.ts';

test('one call by keyboard, from the waiting line to a saved reply, and the same answer when reopened', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /waiting/ })).toBeVisible();
  await expectAccessible(page);
  const row = page.getByRole('listitem').filter({ hasText: 'Odalie Marsh' });
  await page.keyboard.press((await row.locator('kbd').first().innerText()).trim());
  const entry = page.getByLabel('What the caller says');
  await expect(entry).toBeFocused();
  await expect(page.getByText('Which plant is it')).toBeVisible();

  await entry.pressSequentially('she says the young leaves on her pear have bright orange spots, there is a juniper hedge next door');
  const understood = page.getByRole('region', { name: 'Ask' }).getByRole('status').last();
  await expect(understood).toContainText('Pear');
  await expect(understood).toContainText('Junipers near by: yes');
  await entry.press('Enter');

  const standing = page.getByRole('region', { name: 'Standing of causes' });
  await expect(standing.getByRole('button').first()).toContainText('Pear rust');
  await expect(standing).toContainText('strongly for');
  await expect(page.getByText(/Enough to answer/)).toBeVisible();
  await expect(standing.getByRole('heading', { name: 'Leave it alone' })).toBeVisible();
  await expect(standing).toContainText('too late; note 1 Apr 2027');
  const share = await standing.getByRole('button').first().innerText();
  await expectAccessible(page);

  await entry.press('Enter');
  const letter = page.getByRole('textbox', { name: /Reply to Odalie Marsh/ });
  await expect(letter).toHaveValue(/pear rust \(Gymnosporangium sabinae\)/);
  await expect(letter).toHaveValue(/Labels and local rules come first/);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save the reply' }).click();
  await expect(page.getByText('all saved')).toBeVisible();

  await page.getByRole('link', { name: 'Casebook' }).click();
  await page.getByLabel(/Search by name/).fill('juniper hedge next');
  await expect(page.getByRole('cell', { name: 'Pear rust' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Odalie Marsh' }).click();
  await expect(page.getByText('Reckoned again just now: the same standing.')).toBeVisible();
  expect(await page.getByRole('region', { name: 'Standing of causes' }).getByRole('button').first().innerText()).toBe(share);
});

test('nothing typed between taking a call and its line is lost', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /waiting/ })).toBeVisible();
  await page.keyboard.press('n');
  await page.keyboard.type('Hasty Reed');
  await page.keyboard.press('Enter');
  await page.keyboard.type('my roses have black spots', { delay: 15 });
  await expect(page.getByLabel('What the caller says')).toHaveValue('my roses have black spots');
});

test('questions are answered with one key, stepped over, withdrawn, and walked back along the line', async ({ page }) => {
  await newCall(page, 'Key Walker');
  await say(page, 'the leaves of my tomato have brown spots');
  const words = page.getByRole('region', { name: 'What was said' });
  const line = page.getByRole('region', { name: 'Sounding line' });
  await expect(line.getByRole('button')).toHaveCount(3);
  const first = await page.getByRole('region', { name: 'Ask' }).locator('p').first().innerText();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('region', { name: 'Ask' }).locator('p').first()).not.toHaveText(first);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('1');
  await expect(words.getByText('caller looked')).toBeVisible();
  await expect(line.getByRole('button')).toHaveCount(4);
  await page.keyboard.press('[');
  await expect(page.getByRole('heading', { name: 'Standing after 2 readings' })).toBeVisible();
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Standing', exact: true })).toBeVisible();
  await page.keyboard.press('0');
  await expect(words.getByText(/cannot say/).first()).toBeVisible();
  await words.getByRole('button', { name: /undo Spots on the leaves/ }).click();
  await expect(line.getByRole('button')).toHaveCount(3);
  await words.getByRole('button', { name: /take in Spots on the leaves/ }).click();
  await expect(line.getByRole('button')).toHaveCount(4);
});

test('a few words answer the question that is open, and mean nothing of it elsewhere', async ({ page }) => {
  await newCall(page, 'Few Words');
  await say(page, 'my peace lily has gone limp');
  const ask = page.getByRole('region', { name: 'Ask' }).locator('p').first();
  const words = page.getByRole('region', { name: 'What was said' });
  for (let n = 0; n < 30 && !(await ask.innerText()).includes('what do the roots look like'); n++) await page.keyboard.press('ArrowDown');
  await expect(ask).toContainText('what do the roots look like');
  await say(page, 'brown and mushy');
  await expect(words).toContainText('what do the roots look like? – brown and mushy');
  await expect(words.getByRole('button', { name: /undo Roots/ })).toBeVisible();
  await say(page, 'the roots have not been out of the pot for years');
  await expect(words).not.toContainText('– the roots have not been');
});

test('a care question is answered from the plant card, with its days, and the reply names no cause', async ({ page }) => {
  await newCall(page, 'Care Fuller');
  await say(page, 'my wisteria sends out long whips, what do I do with them?');
  const answer = page.getByRole('region', { name: 'Answer to a question of care' });
  await expect(answer.getByRole('heading', { name: 'Pruning: Wisteria' })).toBeVisible();
  await expect(answer).toContainText('from 15 Jul to 31 Aug');
  await expect(page.getByText('A question of care: read the answer out.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('What the caller says').press('Enter');
  const letter = page.getByRole('textbox', { name: /Reply to Care Fuller/ });
  await expect(letter).toHaveValue(/Pruning\n.*leaves in July or August/);
  await expect(letter).not.toHaveValue(/in 100/);
  await page.getByRole('button', { name: 'Save the reply' }).click();
  await expect(page.getByText('all saved')).toBeVisible();
  await page.getByRole('link', { name: 'Casebook' }).click();
  await page.getByLabel(/Search by name/).fill('Care Fuller');
  const row = page.getByRole('row').filter({ hasText: 'Care Fuller' });
  await expect(row.getByRole('cell', { name: 'Care', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Care Fuller' }).click();
  await say(page, 'and the leaves have white powder on them');
  await expect(page.getByRole('region', { name: 'Standing of causes' }).getByRole('button').first()).toContainText('Powdery mildew');
});

test('a second plant in the same breath becomes a question of its own, and both are answered', async ({ page }) => {
  await newCall(page, 'Two Plants');
  await say(page, 'the leaves of my calathea are crisp at the edges');
  const entry = page.getByLabel('What the caller says');
  await entry.pressSequentially('and my roses have black spots, the leaves turn yellow and drop');
  await entry.press('Enter');
  await expect(page.getByText('Rose: a question of its own, or about the prayer plant?')).toBeVisible();
  await expectAccessible(page);
  await entry.press('Enter');
  const standing = page.getByRole('region', { name: 'Standing of causes' });
  await expect(standing.getByRole('button').first()).toContainText('Black spot of rose');
  await expect(page.getByText('all saved')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'What was said' })).toContainText('my roses have black spots');
  await page.getByRole('button', { name: '1. Prayer plant' }).click();
  await expect(page.getByRole('region', { name: 'What was said' })).not.toContainText('roses');
  await expect(entry).toHaveValue('');
});

test('a line that turns to another plant is taken in in two parts', async ({ page }) => {
  await newCall(page, 'One Breath');
  const entry = page.getByLabel('What the caller says');
  await entry.pressSequentially('my calathea is crisp at the edges, and the roses have black spots, the leaves turn yellow and drop');
  await entry.press('Enter');
  await page.getByRole('button', { name: 'question 2: Rose, “and the roses have black spots, the leaves turn yellow and drop”' }).click();
  const words = page.getByRole('region', { name: 'What was said' });
  await expect(page.getByRole('region', { name: 'Standing of causes' }).getByRole('button').first()).toContainText('Black spot of rose');
  await expect(words).not.toContainText('calathea');
  await page.getByRole('button', { name: '1. Prayer plant' }).click();
  await expect(words).toContainText('my calathea is crisp at the edges');
  await expect(words).not.toContainText('roses');
});

test('who ate of a plant is sent to the poison centre first, and who asks whether it spreads hears it of the cause', async ({ page }) => {
  await newCall(page, 'Corvin Tarn');
  const ask = page.getByRole('region', { name: 'Ask' });
  await say(page, 'black spots with fringed edges on my rose leaves, yellow round them');
  await say(page, 'will it spread to her other roses');
  await expect(page.getByText(/^Yes, by spores in splash/)).toBeVisible();
  await expect(ask.getByRole('alert')).toHaveCount(0);
  // as soon as it is typed, and still when it has become a question of its own
  await page.getByLabel('What the caller says').pressSequentially('and her grandson has chewed a laburnum pod');
  await expect(ask.getByRole('alert')).toContainText('first the poison centre, for an animal the vet');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Laburnum: a question of its own, or about the rose?')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Poisonous or safe: Laburnum' })).toBeVisible();
  await expect(ask.getByRole('alert')).toBeVisible();
  await expectAccessible(page);
});

test('night colours and a tablet’s width stay readable', async ({ page }) => {
  await newCall(page, 'Night Owl');
  await say(page, 'white powder on my begonia');
  await page.getByRole('button', { name: 'Switch to night colours' }).click();
  await expectAccessible(page);
  await page.setViewportSize({ width: 820, height: 1180 });
  await expect(page.getByLabel('What the caller says')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await expectAccessible(page);
});
