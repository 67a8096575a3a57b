import { expect, expectAccessible, test } from './support.ts';

test('a cause is found by a misspelt name, read, and put beside its look-alikes', async ({ page }) => {
  await page.goto('/library');
  await page.getByLabel('Find a plant, a cause, or what is seen').fill('box psylid');
  await page.getByRole('region', { name: 'Causes' }).getByRole('link', { name: 'Box psyllid' }).click();
  await expect(page.getByRole('heading', { name: 'Box psyllid' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Through the year at Harbour' })).toBeVisible();
  await expect(page.getByText(/Of \d+ figures:/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'side by side' }).first().click();
  await expect(page.getByRole('columnheader', { name: /Box psyllid/ })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: /Spider mites/ })).toBeVisible();
  await page.getByLabel('Put another cause beside them').fill('box blight');
  await page.getByRole('button', { name: 'Box blight', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: /Box blight/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take Spider mites away' }).click();
  await expect(page.getByRole('columnheader', { name: /Spider mites/ })).toBeHidden();
  await expectAccessible(page);
});

test('a plant shows its problems through the year and its care; what is seen leads to causes', async ({ page }) => {
  await page.goto('/library/plant/pear');
  await expect(page.getByRole('link', { name: 'Pear rust' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Care' })).toBeVisible();
  await expectAccessible(page);
  await page.goto('/library?find=lace');
  await page
    .getByRole('region', { name: 'What is seen' })
    .getByRole('link', { name: /only the veins left/ })
    .click();
  await expect(page.getByRole('link', { name: 'Viburnum leaf beetle' })).toBeVisible();
  await page.goto('/library/cause/moon-blight');
  await expect(page.getByRole('alert')).toHaveText('This edition has no cause of that name.');
});

test('a length the plant cannot have is questioned while it is typed', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: /New call/ }).click();
  await page.getByLabel('Caller').fill('Odd Inches');
  await page.getByRole('button', { name: 'Take the call' }).click();
  await page.getByLabel('What the caller says').pressSequentially('my asparagus ferns are five inches tall');
  await expect(page.getByText(/Did they mean 5 feet\?/)).toBeVisible();
});

test.describe('words the lint refuses', () => {
  test.use({ allowed: [/status of 400/] });
  test('the coordinator changes an entry: the lint answers, the history keeps it, and it can be taken back', async ({ page }) => {
    await page.goto('/library/edit/causes/pear-rust');
    await expect(page.getByText('Only the coordinator of the desk writes in its library.')).toBeVisible();
    await page.getByLabel('Who sits at the desk').selectOption({ label: 'Corvin Halloway-Brisk, coordinator' });
    const words = page.getByLabel('The entry');
    await expect(words).toBeEditable();
    const shipped = await words.inputValue();
    await words.fill(shipped.replace('orange-bright: always', 'orange-bright: perhaps'));
    await page.getByRole('button', { name: 'Save for this desk' }).click();
    await expect(page.getByRole('alert')).toContainText('nothing was written');
    await expect(page.getByText(/"perhaps" is not one of always, usually/)).toBeVisible();
    await words.fill(shipped.replace(/^worth: .*$/m, 'worth: Our desk leaves it alone.'));
    await page.getByLabel('Why (kept in the history)').fill('house line');
    await page.getByRole('button', { name: 'Save for this desk' }).click();
    await expect(page.getByText('house line')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'See how it reads' }).click();
    await expect(page.getByText('Our desk leaves it alone.')).toBeVisible();
    await page.getByRole('link', { name: 'Change for this desk' }).click();
    await page.getByRole('button', { name: 'Take the last change back' }).click();
    await expect(page.getByText(/taken back: revision/)).toBeVisible();
    await page.goto('/library/cause/pear-rust');
    await expect(page.getByText('It looks worse than it is')).toBeVisible();
  });
});

test('a library file is tried before it is taken over', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Who sits at the desk').selectOption({ label: 'Corvin Halloway-Brisk, coordinator' });
  await page.goto('/library/exchange');
  const plants = [
    {
      id: 'moon-bean',
      name: 'Moon bean',
      latin: 'Luna fabae',
      family: 'Fabaceae',
      groups: ['vegetable', 'legume'],
      care: { water: 'Steady.', light: 'Sun.', feed: 'None.', hardiness: 'Tender.' },
    },
  ];
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (await chooser).setFiles({ name: 'moon.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify({ plants })) });
  await expect(page.getByText('1 new or changed.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take 1 entry over' }).click();
  await expect(page.getByText(/^Taken over: edition/)).toBeVisible();
  await page.goto('/library/plant/moon-bean');
  await expect(page.getByRole('heading', { name: 'Moon bean' })).toBeVisible();
});
