import { say as sayImports } from '@bright-sprout/words/imports';
import { join } from 'node:path';
import type { Locator } from '@playwright/test';
import { ROOT } from '@bright-sprout/scripts';
import { expect, expectAccessible, test } from '../support/test.ts';

const FOLDER = join(ROOT, 'server', 'src', 'imports', 'testing', 'foreign-tables');

interface Foreign {
  readonly file: string;
  /** What has to be told before the table can be opened. */
  readonly tell?: (dialog: Locator) => Promise<void>;
  readonly gives: string;
  /** Rows of the preview, as reckoned from the file without this application. */
  readonly course: readonly string[];
  readonly answer: string;
}

/** Two tables as a teacher opens them; the server's own tests open ten. */
const TABLES: readonly Foreign[] = [
  {
    file: 'dill-days-in-columns.csv',
    gives: '10 pots in 2 treatments: misted (5) and poured (5).Measured on 3 days',
    course: ['misted6.4 cm19.2 cm28.4 cm', 'poured9.4 cm29.4 cm46.8 cm'],
    answer: 'poured were on average 18.40 cm taller than plants with misted on day 12',
  },
  {
    file: 'chives-own-words.csv',
    tell: async (dialog) => {
      await expect(dialog.getByRole('button', { name: 'Open and compare' })).toBeDisabled();
      await dialog.getByLabel('“sleeping” (5) means').selectOption('not up yet');
      await dialog.getByLabel('“mouldy” (1) means').selectOption('dead');
      await expect(dialog.getByLabel(/^0 before a pot was up \(7 times/)).toHaveValue('not_emerged');
      await expect(dialog.getByLabel('Empty cells (1) means')).toHaveValue('nothing');
      await expectAccessible(dialog.page());
    },
    gives: '12 pots in 2 treatments: cold tap (6) and warm tap (6).Measured on 3 days',
    course: ['cold tap2.4 cm4.9 cm', 'warm tap3.6 cm7.6 cm'],
    answer: 'warm tap were on average 2.64 cm taller than living plants with cold tap on day 21',
  },
];

for (const { file, tell, gives, course, answer } of TABLES) {
  test(`${file} of other people opens to its own figures`, async ({ teacher: page }) => {
    await page.getByLabel(sayImports('csvSpreadsheetOrBundle')).setInputFiles(join(FOLDER, file));
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel(sayImports('allSownOnIfKnown')).fill('2026-04-27');
    for (const unit of await dialog.getByRole('button', { name: 'centimetres' }).all()) await unit.click();
    if (tell) await tell(dialog);
    await expect(dialog.getByRole('status')).toContainText(gives);
    const looks = dialog.getByRole('region', { name: /^What it would look like/ });
    const rows = await looks.getByRole('row').allTextContents();
    expect(rows).toEqual(expect.arrayContaining([...course]));
    await dialog.getByRole('button', { name: 'Open and compare' }).click();
    await page.getByRole('button', { name: '14+', exact: true }).click();
    await expect(page.locator('.headline')).toContainText(answer);
  });
}
