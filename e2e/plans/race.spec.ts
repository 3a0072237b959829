import { say as sayImports } from '@bright-sprout/words/imports';
import { expect, test } from '../support/test.ts';

test('a shuffle while something typed is still being saved stays', async ({ teacher: page }) => {
  await page.getByLabel('Your question').fill('Does warmth hurry oats?');
  await page.getByLabel('Crop').selectOption({ label: 'Oat' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.route('**/plan', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 900));
    await route.continue();
  });
  const saved = page.waitForResponse((answer) => answer.url().endsWith('/plan'));
  await page.getByLabel('What we expect').fill('Sooner up.');
  await page.getByRole('button', { name: 'Shuffle again' }).click();
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeEnabled();
  const labels = () =>
    page.locator('.layout .pot').evaluateAll((pots) => pots.map((pot) => pot.getAttribute('aria-label')));
  const shuffled = await labels();
  await saved;
  await page.unrouteAll({ behavior: 'wait' });
  await page.reload();
  await page.locator('.layout .pot').first().waitFor();
  expect(await labels()).toEqual(shuffled);
  await expect(page.getByLabel('What we expect')).toHaveValue('Sooner up.');
});

test('a draft from a file with more than the form holds keeps its design', async ({ teacher: page }) => {
  const rows = ['dry', 'damp', 'wet', 'soaked', 'flooded'].map((name, index) => `${index + 1},${name},,,`);
  const text = ['unit,treatment,sown,observed,value', ...rows].join('\n');
  await page
    .getByLabel(sayImports('csvSpreadsheetOrBundle'))
    .setInputFiles({ name: 'five.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.waitForURL(/compare/);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Plan/ }).click();
  await expect(page.getByText('This design came from a file')).toBeVisible();
  await expect(page.locator('.layout .pot')).toHaveCount(5);
});
