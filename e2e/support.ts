import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';

/** Any error on the console fails a journey. */
export const test = base.extend<{ quiet: undefined; allowed: RegExp[] }>({
  allowed: [[], { option: true }],
  quiet: [
    async ({ page, allowed }, use) => {
      const faults: string[] = [];
      page.on('console', (message) => {
        if (message.type() === 'error' && !allowed.some((pattern) => pattern.test(message.text()))) faults.push(message.text());
      });
      page.on('pageerror', (error) => faults.push(error.message));
      await use(undefined);
      expect(faults).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
}

/** Opens a new call from the desk and waits until the engine is ready. */
export async function newCall(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: /New call/ }).click();
  await page.getByLabel('Caller').fill(name);
  await page.getByRole('button', { name: 'Take the call' }).click();
  await expect(page.getByLabel('What the caller says')).toBeFocused();
}

export async function say(page: Page, words: string): Promise<void> {
  const entry = page.getByLabel('What the caller says');
  await entry.pressSequentially(words);
  await expect(page.getByRole('region', { name: 'Ask' }).getByRole('status').last()).not.toHaveText('');
  await entry.press('Enter');
  await expect(entry).toHaveValue('');
}
