import { say as sayComparison } from '@bright-sprout/words/comparison';
import { say as sayImports } from '@bright-sprout/words/imports';
import { say as sayPlans } from '@bright-sprout/words/plans';
import { say as sayReadings } from '@bright-sprout/words/readings';
import { say as sayStatements } from '@bright-sprout/words/statements';
import { dayFromToday, expect, openPart, openStage, test, follow } from '../support/test.ts';

const HEIGHTS: Record<string, number[]> = {
  'Rain water': [6, 6.5, 7, 6.5],
  'Tap water': [6.5, 7, 6, 7],
  Fizzy: [3, 3.5, 2.5, 3],
};

test('from a question to a comparison, to a file, and to the same comparison again', async ({
  teacher: page,
}) => {
  await page.getByLabel('Your question').fill('Do fizzy drinks slow lettuce?');
  await page.getByLabel('Crop').selectOption({ label: 'Lettuce' });
  await page.getByRole('button', { name: 'Plan it' }).click();

  await page.getByLabel('Called', { exact: true }).fill('Kind of water');
  await page.getByLabel('Level 1', { exact: true }).fill('Rain water');
  await page.getByLabel('Level 2', { exact: true }).fill('Tap water');
  await page.getByRole('button', { name: 'Another level' }).click();
  await page.getByLabel('Level 3', { exact: true }).fill('Fizzy');
  await openPart(page, 'Pots');
  await page.getByLabel('Container 1').selectOption('egg_carton');
  await page.getByLabel(sayPlans('potsOfEachTreatment', { noun: 'pot' })).fill('4');
  await expect(page.getByText('12 places for 12 pots.')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await expect(page.locator('.layout .pot')).toHaveCount(12);
  await expect(page.getByRole('list', { name: 'Treatments' }).getByText('Fizzy')).toBeVisible();

  await openStage(page, 'Record');
  await expect(page.getByText(sayReadings('nothingIsSownYet'))).toBeVisible();
  await page.getByRole('link', { name: 'Go to Sow' }).click();
  await page.getByLabel('All 12 pots were sown on').fill(dayFromToday(-14));
  await page.getByRole('button', { name: 'Mark all 12 pots as sown' }).click();
  await expect(page.getByRole('heading', { name: /^Sown on/ })).toBeVisible();

  await follow(page, page.url().replace(/\/sow.*/, `/record?day=${dayFromToday(0)}`));
  const left = structuredClone(HEIGHTS);
  for (let pot = 1; pot <= 12; pot += 1) {
    const panel = page.getByRole('region', { name: `Read pot ${pot}` });
    const treatment =
      Object.keys(left).find((name) => left[name]!.length > 0 && name) &&
      (await panel.locator('.reading-treatment').innerText()).trim();
    const height = left[treatment as string]?.shift();
    expect([pot, treatment, typeof height]).toEqual([pot, treatment, 'number']);
    await panel.getByLabel(/How tall/).fill(String(height));
    await expect(panel.getByText('First reading, so there is no change yet.')).toBeVisible();
    await panel.getByLabel(/How tall/).press('Enter');
    await expect(
      page.getByRole('button', { name: new RegExp(`^Pot ${pot}, .*, ${height!.toFixed(1)} cm$`) }),
    ).toBeVisible();
  }
  await expect(page.getByText('12 of 12 done')).toBeVisible();

  await openStage(page, 'Compare');
  const headline = page.locator('.headline');
  await expect(headline).toHaveText(
    'Plants with Fizzy were on average about 3.5 cm shorter than plants with Rain water on day 14.',
  );
  await expect(page.locator('.how-sure')).toContainText(sayStatements('fewerThan1Of100'));
  await expect(page.getByText('n = 4 pots')).toHaveCount(3);
  await page.getByText(sayComparison('theFiguresAsATable')).click();
  const table = await page.locator('.figures-table').innerText();

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'CSV' }).click();
  const file = await (await download).path();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page
    .getByLabel(sayImports('csvSpreadsheetOrBundle'))
    .setInputFiles({ name: 'lettuce.csv', mimeType: 'text/csv', buffer: await readBytes(file) });
  await page.waitForURL(/\/compare/);
  await expect(headline).toHaveText(
    'Plants with Fizzy were on average about 3.5 cm shorter than plants with Rain water on day 14.',
  );
  await page.getByText(sayComparison('theFiguresAsATable')).click();
  expect(await page.locator('.figures-table').innerText()).toBe(table);
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await expect(page.getByRole('link', { name: 'Do fizzy drinks slow lettuce?' })).toHaveCount(2);
});

async function readBytes(path: string): Promise<Buffer> {
  const { readFile } = await import('node:fs/promises');
  return readFile(path);
}
