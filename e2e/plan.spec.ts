import { expect, expectAccessible, newCall, say, test } from './support.ts';

test('from the cause to amounts, days, a calendar file and a letter', async ({ page }) => {
  await newCall(page, 'Plan Maker');
  await say(page, 'my box hedge is being eaten bare by caterpillars, there are webs inside and green droppings');
  const standing = page.getByRole('region', { name: 'Standing of causes' });
  await expect(standing.getByRole('button').first()).toContainText('Box tree caterpillar');
  await page.keyboard.press('Alt+P');
  const what = page.getByRole('region', { name: 'Whether and what' });
  await expect(what.getByRole('heading', { name: 'With living helpers' })).toBeVisible();
  await expectAccessible(page);

  // what the caller will not have is ruled out, with the reason; and taken back
  const bears = page.getByRole('region', { name: 'What bears on it' });
  await bears.getByRole('radio', { name: 'has left' }).click();
  await expect(what.getByRole('heading', { level: 2 })).not.toHaveText('With living helpers');
  await expect(what).toContainText('the culprit has left');
  await bears.getByRole('radio', { name: 'has left' }).click();
  await expect(what.getByRole('heading', { name: 'With living helpers' })).toBeVisible();

  const product = page.getByRole('region', { name: 'Product and amount' });
  await product.getByRole('combobox', { name: 'product' }).selectOption({ label: 'Larvabane – Bacillus thuringiensis subsp. kurstaki' });
  await expect(product).toContainText('5 g in 5 litres');
  await product.getByLabel('mix in all').fill('12');
  await expect(product).toContainText('5 g in 5 litres, 2 times filled, then 2 g in 2 litres');
  await product.getByLabel('mix in all').fill('lots');
  await expect(product.getByRole('alert')).toContainText('"lots" is not a number');
  await product.getByLabel('mix in all').fill('5');
  await product.getByLabel(/caller asks for more/).fill('7');
  await expect(product.getByRole('alert')).toContainText('7 times what the label allows');
  await expect(product.getByRole('alert')).toContainText('1 g in 1 litre of water');

  const days = page.getByRole('region', { name: 'When' });
  await days.getByLabel('times').fill('2');
  await days.getByRole('button', { name: 'Lay it out' }).click();
  await expect(days.getByRole('listitem')).toHaveCount(2);
  await expect(days.getByRole('listitem').first()).toContainText('Larvabane, 5 g in 5 litres');
  await expectAccessible(page);
  const [download] = await Promise.all([page.waitForEvent('download'), days.getByRole('link', { name: 'Calendar file' }).click()]);
  expect(download.suggestedFilename()).toBe('plan.ics');

  await page.getByRole('link', { name: 'Write the reply' }).click();
  const letter = page.getByRole('textbox', { name: /Reply to Plan Maker/ });
  await expect(letter).toHaveValue(/Larvabane: 5 g in 5 litres/);
  await page.getByRole('button', { name: 'Save the reply' }).click();
  await expect(page.getByText('all saved')).toBeVisible();
  await page.getByLabel('Send to').fill('plan.maker@lindwater.example');
  await page.getByRole('button', { name: 'Send by e-mail' }).click();
  await expect(page.getByText(/Sent to plan.maker@lindwater.example/)).toBeVisible();
  await page.getByRole('link', { name: 'Office' }).click();
  await expect(page.getByText('Your box, to plan.maker@lindwater.example')).toBeVisible();
});

test('a restricted product leads to a licensed person, and the advisor may decide otherwise with a word why', async ({ page }) => {
  await newCall(page, 'Pear Owner');
  await say(page, 'the young leaves on her pear have bright orange spots, there is a juniper hedge next door');
  await page.keyboard.press('Alt+P');
  const product = page.getByRole('region', { name: 'Product and amount' });
  await product.getByRole('combobox', { name: 'product' }).selectOption({ index: 1 });
  await expect(product.getByRole('alert')).toContainText('Refer: only a licensed applicator may use it');
  await expect(page.getByRole('region', { name: 'When' })).toHaveCount(0);
  const what = page.getByRole('region', { name: 'Whether and what' });
  await what.getByRole('button', { name: 'Rather this' }).first().click();
  await what.getByLabel(/instead, because/).fill('only one twig is struck');
  await what.getByRole('button', { name: 'Decide so' }).click();
  await expect(what).toContainText('only one twig is struck');
  await expect(what).toContainText('The advisor’s own decision');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Whether and what' })).toContainText('only one twig is struck');
});

test('the season at a station: what ends and opens, disease weather, and a record brought in from a file', async ({ page }) => {
  await page.goto('/season');
  await expect(page.getByRole('heading', { name: 'Season at Harbour' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Disease weather' })).toContainText('Late blight');
  await expect(page.getByRole('region', { name: 'Windows' })).toContainText('Cherry fruit fly');
  await expect(page.getByRole('region', { name: 'The desk and the weather' })).toContainText('Dorte Amsel');
  await expectAccessible(page);
  await page.getByLabel('station').selectOption({ label: 'Upper Moor, 780 m' });
  await expect(page.getByRole('heading', { name: 'Season at Upper Moor' })).toBeVisible();

  await page.getByLabel('Who sits at the desk').selectOption({ label: 'Corvin Halloway-Brisk, coordinator' });
  await page.getByRole('link', { name: 'Stations' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Mill Pond');
  await page.getByLabel('Latitude').fill('47.2');
  await page.getByLabel('Longitude').fill('8.8');
  await page.getByLabel('Altitude').fill('455');
  await page.getByRole('button', { name: 'Add it' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Bring a record in for Mill Pond' }).click(),
  ]);
  await chooser.setFiles({
    name: 'days.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('date,tmin,tmax,rain\n2026-06-01,9,21,0\n2026-06-02,22,20,1\n2026-06-04,11,24,0\n'),
  });
  const file = page.getByRole('region', { name: 'The file' });
  await expect(file).toContainText('line 3: minimum: 22 °C is above the maximum of 20 °C');
  await expect(file).toContainText('1 row cannot be taken');
  await file.getByRole('button', { name: 'Take 2 days over' }).click();
  await expect(page.getByText('2 days are in the record of Mill Pond.')).toBeVisible();
  await expectAccessible(page);
});

test('a label with a missing rate is not saved, and says so beside the field', async ({ page }) => {
  await page.goto('/library/labels');
  await expectAccessible(page);
  await page.getByLabel('Who sits at the desk').selectOption({ label: 'Corvin Halloway-Brisk, coordinator' });
  await page.getByRole('button', { name: 'Change Brimstill 80' }).click();
  await page.getByLabel('Rate').fill('');
  await page.getByLabel('What has changed').fill('a slip');
  await page.getByRole('button', { name: 'Save the label' }).click();
  await expect(page.getByRole('alert').first()).toContainText('must be a number above 0');
  await expectAccessible(page);
  await page.getByLabel('Rate').fill('2.5');
  await page.getByRole('button', { name: 'Save the label' }).click();
  await page.getByRole('button', { name: 'Change Brimstill 80' }).click();
  await expect(page.getByLabel('Rate')).toHaveValue('2.5');
  await expect(page.getByText(/a slip, Corvin/)).toBeVisible();
  await page.goto('/office');
  await expect(page.getByRole('heading', { name: 'Lines of the house' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('radio', { name: /Sulphur, bicarbonate/ }).check();
  await expect(page.getByText(/lines of the house, Corvin/)).toBeVisible();
  await page.getByLabel('Spray where leave it alone was right').fill('lots');
  await expect(page.getByRole('alert')).toContainText('no number from 0 to 100');
});

test('a desk in the south reads the months of the south', async ({ page }) => {
  await page.goto('/office');
  await page.getByLabel('Who sits at the desk').selectOption({ label: 'Corvin Halloway-Brisk, coordinator' });
  await page.getByLabel('Hemisphere').selectOption('southern');
  await expect(page.getByText(/Harbour.* on the other side of the equator/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByText(/where the desk is, Corvin/)).toBeVisible();
  await page.goto('/library/cause/box-leafminer');
  await expect(page.getByText(/One good clip in October takes most of them/)).toBeVisible();
  await newCall(page, 'Far South');
  await say(page, 'when do I prune my wisteria?');
  await expect(page.getByText(/five or six leaves in January or February/)).toBeVisible();
  await page.goto('/office');
  await page.getByLabel('Hemisphere').selectOption('northern');
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByRole('button', { name: 'Save the place' })).toBeDisabled();
  await page.goto('/library/cause/box-leafminer');
  await expect(page.getByText(/One good clip in April takes most of them/)).toBeVisible();
});

test('a sum typed as it is heard is worked out, its gallon asked about, and put into the case and the letter', async ({ page }) => {
  await page.goto('/bench');
  const line = page.getByLabel('Type it as you hear it');
  await expect(line).toBeFocused();
  await line.fill('1200 sq ft at 10 lb per 5000');
  await expect(page.getByRole('heading', { name: 'Granules on an area' })).toBeVisible();
  await expect(page.getByText('2.4 lb (1.09 kg)')).toBeVisible();
  await expectAccessible(page);
  await line.fill('3 tbsp per gallon, 2 gal sprayer');
  await expect(page.getByText('“gallon”:')).toBeVisible();
  await line.fill('pH 7.8 to 78 clay 4 m2');
  await expect(page.getByRole('alert')).toContainText('at most 8.5');

  await newCall(page, 'Mower Man');
  await say(page, 'I hit the trunk of my young lime tree with the strimmer and took a strip of bark off');
  await page.keyboard.press('Alt+P');
  await page.getByRole('region', { name: 'Sums' }).getByRole('link', { name: 'Wound to girth' }).click();
  await line.fill('wound 3 by 5 inches on a 5 inch trunk');
  await expect(page.getByText('19 % of the girth', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put it into the case of Mower Man' }).click();
  await expect(page.getByText(/It is in the plan/)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await expect(page.getByRole('region', { name: 'Sums' })).toContainText('Wound to girth: 19 % of the girth');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('textbox', { name: /Reply to Mower Man/ })).toHaveValue(/The wound takes 19 % of the trunk’s girth/);
});
