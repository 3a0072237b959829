import { say as sayComparison } from '@bright-sprout/words/comparison';
import { say as sayExperiments } from '@bright-sprout/words/experiments';
import { say as sayImports } from '@bright-sprout/words/imports';
import { say as sayReadings } from '@bright-sprout/words/readings';
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, openStage, test } from '../support/test.ts';

const CROSSED = 'Does compost tea need lamp light to help marigolds?';

async function openTab(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: sayComparison('partsOfTheComparison') })
    .getByRole('button', { name })
    .click();
}

async function openCompare(page: Page, question: string): Promise<void> {
  await page.getByRole('link', { name: question }).last().click();
  await page.getByRole('navigation', { name: 'Stages' }).waitFor();
  await openStage(page, 'Compare');
  await page.locator('.headline').or(page.locator('.note-attention')).first().waitFor();
}

test('every tab of a crossed experiment says something, at the oldest and youngest level, and is accessible', async ({
  demo: page,
}) => {
  await openCompare(page, CROSSED);
  const expected = {
    Answer: /with evening lamp, plants with strong tea were/i,
    Growth: /fastest about day/,
    'Coming up': /pots up, the first by day/,
    Treatments: /Compost tea × Light/,
    Crops: /French marigold/,
    'Teams and classes': /Two people who read one pot differ by chance/,
    Predictions: /13 guesses|guesses/,
    Data: /All readings/,
  };
  await page.getByRole('button', { name: '14+', exact: true }).click();
  for (const [tab, words] of Object.entries(expected)) {
    await openTab(page, tab);
    await expect(page.locator('.compare-main')).toContainText(words);
    await expect(page.locator('.compare-main')).not.toContainText(/NaN|undefined|Infinity/);
    if (['Growth', 'Treatments', 'Predictions', 'Data'].includes(tab)) await expectAccessible(page);
  }
  await openTab(page, 'Answer');
  await page.getByRole('button', { name: '5-7', exact: true }).click();
  for (const tab of Object.keys(expected)) {
    await openTab(page, tab);
    await expect(page.locator('.compare-main')).not.toContainText(/NaN|undefined|Infinity|proves|no effect/);
  }
});

test('a chart has its figures and downloads: table, CSV, PNG and SVG', async ({ demo: page }) => {
  await openCompare(page, CROSSED);
  await openTab(page, 'Growth');
  const card = page.getByRole('region', { name: sayComparison('everyPotAndTheMeans') });
  await card.locator('.figure .main-svg').first().waitFor();
  await card.getByRole('button', { name: 'Table' }).click();
  await expect(card.getByRole('columnheader', { name: 'n pots' })).toBeVisible();
  await card.getByRole('button', { name: 'Table' }).click();
  const download = async (name: string): Promise<Buffer> => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('button', { name }).click(),
    ]);
    return readFile(await file.path());
  };
  expect((await download('CSV')).toString()).toMatch(/^Treatment,day,n pots,mean/);
  expect((await download('PNG')).subarray(1, 4).toString()).toBe('PNG');
  expect((await download('SVG')).toString()).toContain('<svg');
  await card
    .getByRole('button', { name: 'dates' })
    .or(page.getByRole('button', { name: 'dates' }))
    .first()
    .click();
  await expect(card.locator('.figure .xtick').first()).toContainText(/[A-Z][a-z]{2}|\d/);
});

test('labels are shuffled while the pile grows, and stop when asked', async ({ demo: page }) => {
  await openCompare(page, CROSSED);
  await openTab(page, 'Treatments');
  const watch = page.getByRole('region', { name: sayComparison('couldItBeLuckShuffleAndSee') });
  await watch.getByRole('button', { name: 'Shuffle the labels' }).click();
  await expect(watch.getByRole('status')).toContainText(/of 2,000 shuffles gave a gap at least as big/);
  await expect(watch.getByRole('button', { name: 'Again' })).toBeVisible();
});

test('setting a reading aside changes the answer, side by side, and putting it back undoes it', async ({
  teacher: page,
}) => {
  // One of its own: others compare the demo's meanwhile.
  await page.getByRole('button', { name: sayExperiments('lookIntoAnExample') }).click();
  await expect(page.locator('.headline')).toBeVisible();
  await openTab(page, 'Data');
  const table = page.getByRole('region', { name: 'All readings' });
  await table.getByLabel('Filter readings').fill('pot 4 ');
  const first = table.locator('tbody tr:not([aria-hidden])').first();
  const reason = first.getByLabel(sayReadings('reasonForSettingItAside'));
  // Rows are made anew while the table takes in the filter.
  await expect(async () => {
    if (!(await reason.isVisible())) await first.getByRole('button', { name: 'Set aside' }).click();
    await expect(reason).toBeVisible({ timeout: 2000 });
  }).toPass();
  await reason.fill('the stem was broken');
  await first.getByRole('button', { name: 'Set aside' }).click();
  const left = page.getByRole('region', { name: sayComparison('whatIsLeftOut') });
  await expect(left).toContainText('1 reading is set aside.');
  await expect(left.getByRole('columnheader', { name: 'with it', exact: true })).toBeVisible();
  await expect(page.locator('.missing-map .cell-aside')).toHaveCount(1);
  await table.getByLabel('Filter readings').fill('stem was broken');
  await table.getByRole('button', { name: 'Put it back' }).click();
  await expect(left).toContainText(sayComparison('noReadingIsSetAside'));
});

test('a conclusion is met with gentle notes, never refused, and a guess is counted by hand', async ({
  demo: page,
}) => {
  await openCompare(page, 'Do paper hoods make cucumbers stretch?');
  await page.getByRole('button', { name: 'Write a conclusion' }).click();
  await page.getByLabel('What we claim').fill('This proves that light has no effect.');
  const notes = page.locator('.claim-note');
  await expect(notes.first()).toContainText('it does not prove it');
  await expect(notes).toHaveCount(2);
  await expect(page.getByLabel(sayComparison('theEvidenceDraftedFromTheNumbers'))).toHaveValue(
    /Open window: \d pots/,
  );
  await page.getByLabel('What we claim').fill('Under the hood our cucumbers were taller.');
  await expect(notes).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Under the hood our cucumbers were taller.')).toBeVisible();

  await page.getByRole('link', { name: 'To the shelf' }).click();
  await openCompare(page, 'Does seaweed feed make zinnias taller?');
  await openTab(page, 'Predictions');
  await expect(page.getByText(/^\d+ guesses/)).toBeVisible();
  const row = page.locator('.guess', { hasText: 'Half dose' });
  const before = Number(await row.locator('b').innerText());
  await row.getByRole('button', { name: 'One more for Half dose' }).click();
  await expect(row.locator('b')).toHaveText(String(before + 1));
  await row.getByRole('button', { name: 'One fewer for Half dose' }).click();
  await expect(row.locator('b')).toHaveText(String(before));
});

test('classes are pooled as blocks; the printed page holds all; a bundle opens again', async ({
  demo: page,
}) => {
  await openCompare(page, 'Do paper hoods make cucumbers stretch?');
  await openTab(page, 'Teams and classes');
  await expect(page.locator('.compare-main')).toContainText(
    /Each class compared within itself, Paper hood gave/,
  );
  const headline = await page.evaluate(() => document.title);
  expect(headline).toBeTruthy();
  await openTab(page, 'Answer');
  const answer = await page.locator('.headline').innerText();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Bundle' }).click(),
  ]);
  const zip = await readFile(await file.path());
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('region', { name: 'Teams and classes' })).toBeVisible();
  await expect(page.locator('.headline').first()).toHaveText(answer);
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page
    .getByLabel(sayImports('csvSpreadsheetOrBundle'))
    .setInputFiles({ name: 'cucumbers.zip', mimeType: 'application/zip', buffer: zip });
  await page.waitForURL(/\/compare/);
  await expect(page.locator('.headline')).toHaveText(answer);
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('searchbox').fill('paper hoods');
  await page
    .getByRole('button', { name: /Remove “Do paper hoods/ })
    .last()
    .click();
  await expect(page.getByText('Taken off the shelf.')).toBeVisible();
});
