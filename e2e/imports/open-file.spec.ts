import { say as sayComparison } from '@bright-sprout/words/comparison';
import { say as sayExperiments } from '@bright-sprout/words/experiments';
import { say as sayImports } from '@bright-sprout/words/imports';
import { say as sayStatements } from '@bright-sprout/words/statements';
import { expect, expectAccessible, test } from '../support/test.ts';

function csv(lines: string[]) {
  return { name: 'class-data.csv', mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) };
}

const HEAD = 'unit,treatment,sown,observed,value,unit_of_measure';

test('a file with faults lists them by row and column, and stores nothing', async ({ teacher: page }) => {
  await page
    .getByLabel(sayImports('csvSpreadsheetOrBundle'))
    .setInputFiles(
      csv([
        HEAD,
        '1,shade,2026-03-02,2026-02-31,3,cm',
        '2,sun,2026-03-02,2026-03-09,tall,cm',
        '3,sun,2026-03-02,2026-03-09,4,cm',
      ]),
    );
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('class-data.csv was not opened');
  await expect(dialog.getByRole('row')).toHaveText([
    'RowColumnFoundExpected',
    '2observed2026-02-31a date that exists, as YYYY-MM-DD',
    '3valuetalla number from 0 to 3000',
  ]);
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: sayExperiments('anEmptyShelfAndAQuestion') })).toBeVisible();
});

test('a small hand-made file becomes an experiment with its comparison', async ({ teacher: page }) => {
  const rows = ['shade', 'sun'].flatMap((treatment, group) =>
    [1, 2, 3].map(
      (pot) =>
        `${group * 3 + pot},${treatment},2026-03-02,2026-03-16,${group === 0 ? 8 + pot / 2 : 4 + pot / 2},cm`,
    ),
  );
  await page.getByLabel(sayImports('csvSpreadsheetOrBundle')).setInputFiles(csv([HEAD, ...rows]));
  await expect(page.locator('.headline')).toContainText(/4\.0 cm shorter than plants with shade on day 14/);
  await expect(page.getByText('n = 3 pots')).toHaveCount(2);
});

test('something that is no table is never opened', async ({ teacher: page }) => {
  await page.getByLabel(sayImports('csvSpreadsheetOrBundle')).setInputFiles({
    name: 'photo.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2]),
  });
  await expect(page.getByRole('dialog')).toContainText('This file has no rows of values.');
  await page.getByLabel(sayImports('csvSpreadsheetOrBundle')).setInputFiles({
    name: 'photo.xlsx',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2]),
  });
  await expect(page.getByText('This is not a spreadsheet that can be read.')).toBeVisible();
});

test('weights by group, from file to an analysis of variance with pairs', async ({ teacher: page }) => {
  const weights = { dry: [4.1, 5.2, 4.6, 5.0], damp: [5.9, 6.3, 5.5, 6.6], wet: [3.1, 2.6, 3.9, 3.3] };
  const rows = Object.entries(weights).flatMap(([group, values]) =>
    values.map((value) => `${value},${group}`),
  );
  await page.getByLabel(sayImports('csvSpreadsheetOrBundle')).setInputFiles({
    name: 'weights.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['weight,group', ...rows].join('\n')),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('status')).toContainText(
    '12 pots in 3 treatments: dry (4), damp (4) and wet (4).',
  );
  await expect(dialog.getByRole('status')).toContainText('12 values of “weight”, from 2.6 to 6.6');
  await dialog.getByLabel('Control').selectOption('damp');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Open and compare' }).click();
  await expect(page.locator('.headline')).toContainText(
    'Pots with wet had on average a weight about 2.85 lower than pots with damp',
  );
  await page.getByRole('button', { name: 'Treatments' }).click();
  await page.getByRole('button', { name: '14+', exact: true }).click();
  const pairs = page.getByRole('region', { name: sayComparison('everyTestOfAPair') });
  await expect(pairs).toContainText(sayStatements('oneWayAnalysisOfVariance'));
  await expect(pairs).toContainText('F(2, 9) = 32.34, p < 0.001');
  await expect(pairs).toContainText('Tukey–Kramer');
});

test('counts that are new at each check are added up, shown before they are opened, and asked about', async ({
  teacher: page,
}) => {
  const checks = [
    ['Soaked', [0, 6, 9, 3]],
    ['Dry', [0, 2, 5, 4]],
  ] as const;
  const rows = checks.flatMap(([treatment, counts], group) =>
    [1, 2, 3].flatMap((dish) =>
      counts.map((count, day) => `${group * 3 + dish},${treatment},20,${day + 2},${count}`),
    ),
  );
  await page
    .getByLabel(sayImports('csvSpreadsheetOrBundle'))
    .setInputFiles(csv(['dish,treatment,seeds sown,day,germinated', ...rows]));
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(sayImports('allSownOnIfKnown')).fill('2026-03-02');
  await expect(dialog.getByLabel('Each count is')).toHaveValue('new');
  const course = dialog.getByRole('region', { name: 'What it would look like' });
  await expect(course.getByRole('row', { name: /^Soaked/ })).toHaveText('Soaked0184554');
  await dialog.getByLabel('Each count is').selectOption('so_far');
  await expect(course.getByRole('row', { name: /^Soaked/ })).toHaveText('Soaked018279');
  await dialog.getByLabel('Each count is').selectOption('new');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Open and compare' }).click();
  await page.getByRole('button', { name: 'Coming up' }).click();
  await expect(page.locator('.compare-main')).toContainText('Soaked: 54 of 60 seeds up');
});
