import type { Page } from '@playwright/test';
import { expect, test } from '../support/test.ts';

async function startPlan(page: Page): Promise<void> {
  await page.getByLabel('Your question').fill('Does humming help oats?');
  await page.getByLabel('Crop').selectOption({ label: 'Oat' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
}

const saved = (page: Page) => expect(page.locator('.save-state')).toHaveText('Saved');

test('two windows of one plan keep what both typed, and ask where they differ', async ({ teacher: page }) => {
  await startPlan(page);
  await saved(page);
  const other = await page.context().newPage();
  await other.goto(page.url());
  await other.getByLabel('What we expect').waitFor();

  // The words still say "Saved" of what was before: the save itself is waited for.
  const kept = page.waitForResponse((answer) => answer.request().method() === 'PUT' && answer.ok());
  await page.getByLabel('What we expect').fill('Of the first window.');
  await kept;
  await other.getByRole('textbox', { name: 'Question' }).fill('Of the second window?');
  await expect(other.getByLabel('What we expect')).toHaveValue('Of the first window.');
  await saved(other);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Question' })).toHaveValue('Of the second window?');
  await expect(page.getByLabel('What we expect')).toHaveValue('Of the first window.');

  await other.getByLabel('What we expect').fill('The second says this.');
  await page.getByLabel('What we expect').fill('The first says that.');
  const asks = (window: Page) => window.getByText('Another window changed the prediction too').isVisible();
  await expect.poll(async () => (await asks(page)) || (await asks(other))).toBe(true);
  const asking = (await asks(page)) ? page : other;
  const mine = await asking.getByLabel('What we expect').inputValue();
  await asking.getByRole('button', { name: 'Keep mine' }).click();
  await saved(asking);
  await asking.reload();
  await expect(asking.getByLabel('What we expect')).toHaveValue(mine);
});
