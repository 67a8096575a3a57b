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
