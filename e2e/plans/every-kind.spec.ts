import { expect, openPart, test } from '../support/test.ts';

const PARTS = ['Question', 'Pots', 'Sowing', 'Supplies', 'Steps', 'Days', 'Check', 'Rehearse'];

test('every kind of investigation shows whole words and figures in every part', async ({ teacher: page }) => {
  test.slow();
  await page.getByLabel('Your question').fill('What becomes of white mustard?');
  await page.getByLabel('Crop').selectOption({ label: 'White mustard' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
  const kinds = await page.getByLabel('Kind').locator('option').allInnerTexts();
  expect(kinds).toHaveLength(12);
  for (const kind of [...kinds.slice(1), ...kinds.slice(0, 1)]) {
    await openPart(page, 'Question');
    await page.getByLabel('Kind').selectOption({ label: kind });
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    for (const part of PARTS) {
      await openPart(page, part);
      await expect(page.getByRole('tab', { name: part, selected: true })).toBeVisible();
      await page.waitForFunction(() => document.querySelector('[aria-busy="true"]') === null);
      const text = await page.locator('.plan-stage').innerText();
      expect([kind, part, /NaN|undefined|null|\[object|Infinity/.exec(text)?.[0]]).toEqual([
        kind,
        part,
        undefined,
      ]);
    }
  }
  await page.reload();
  await openPart(page, 'Question');
  await expect(page.getByLabel('Kind').locator('option:checked')).toHaveText(kinds[0]!);
});
