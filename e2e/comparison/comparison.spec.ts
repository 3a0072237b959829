import { say as sayComparison } from '@bright-sprout/words/comparison';
import { say as sayImports } from '@bright-sprout/words/imports';
import type { Locator } from '@playwright/test';
import { expect, expectAccessible, openStage, test } from '../support/test.ts';

test.beforeEach(async ({ demo: page }) => {
  await page.getByRole('link', { name: 'Do paper hoods make cucumbers stretch?' }).last().click();
  await page.locator('.figure .main-svg').first().waitFor();
});

test('the answer has its size first, at four reading levels, and never overclaims', async ({
  demo: page,
}) => {
  const said = new Set<string>();
  for (const level of ['5-7', '8-10', '11-13', '14+']) {
    await page.getByRole('button', { name: level, exact: true }).click();
    const words = await page.locator('.answer').innerText();
    expect(words).toMatch(
      /[Pp]lants with Paper hood were (on average )?(about )?[\d.¼½¾]+ in taller than (living )?plants with Open window/,
    );
    expect(words).not.toMatch(/prove|no effect|NaN|undefined/);
    said.add(words);
  }
  expect(said.size).toBe(4);
  await page.reload();
  await expect(page.getByRole('button', { name: '14+' })).toHaveAttribute('aria-pressed', 'true');
});

test('the ribbon moves the comparison; a day without readings says so', async ({ demo: page }) => {
  await page.getByText(sayComparison('theFiguresAsATable')).click();
  const late = await page.locator('.figures-table').innerText();
  const radios = page.getByRole('radiogroup', { name: 'Day' });
  await radios
    .getByRole('radio', { name: /day 15.*has readings|day 14.*has readings|day 16.*has readings/ })
    .first()
    .click();
  await expect.poll(() => page.locator('.figures-table').innerText()).not.toBe(late);
  const ink = await backgroundOf(radios.locator('.is-chosen'));
  await radios.locator('.is-off.is-emergence').first().click();
  await expect.poll(() => backgroundOf(radios.locator('.is-chosen'))).toBe(ink);
  await radios
    .getByRole('radio', { name: /Saturday/ })
    .first()
    .click();
  await expect(page.getByText(/No pot was read on Sat/)).toBeVisible();
  await page.getByRole('button', { name: /^Go to/ }).click();
  await expect(page.locator('.headline').or(page.getByText('No pot was read'))).toBeVisible();
});

test('both rules for pots that are not up change n and say so', async ({ demo: page }) => {
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('link', { name: 'Does seaweed' }).click();
  await page.getByRole('navigation', { name: 'Stages' }).waitFor();
  await openStage(page, 'Compare');
  const rule = page.getByLabel(sayComparison('potsWithNothingUp'));
  await rule.selectOption({ label: 'only plants that are up' });
  await expect(page.locator('.how-sure')).toContainText(/Left out, not up yet: pot \d+ \(/);
  await rule.selectOption({ label: 'not up yet counts as 0' });
  await expect(page.locator('.how-sure')).toContainText('1 pot not up yet counted as 0.');
});

test('a pot is pointed out from the small sill', async ({ demo: page }) => {
  const pot = page.getByRole('button', { name: /^Pot 3,/ });
  await pot.click();
  await expect(pot).toHaveAttribute('aria-pressed', 'true');
  await pot.click();
  await expect(pot).toHaveAttribute('aria-pressed', 'false');
});

test('the page meets WCAG 2.2 AA, with its table open', async ({ demo: page }) => {
  await page.getByText(sayComparison('theFiguresAsATable')).click();
  await expectAccessible(page);
});

test('before anything has a height there are words, and no empty axes', async ({ demo: page }) => {
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByLabel(sayImports('csvSpreadsheetOrBundle')).setInputFiles({
    name: 'waiting.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'unit,treatment,sown,observed,state\n1,dry,2026-05-04,2026-05-06,not_up\n2,wet,2026-05-04,2026-05-06,not_up',
    ),
  });
  await page
    .getByLabel(sayComparison('potsWithNothingUp'))
    .selectOption({ label: 'only plants that are up' });
  await expect(page.locator('.headline')).toHaveText('None of 2 pots had come up by day 2.');
  await expect(page.getByText(sayComparison('theCurvesBeginWithTheFirstValue'))).toBeVisible();
  await expect(page.locator('.figure')).toHaveCount(0);
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('button', { name: 'Remove “waiting”' }).click();
  await expect(page.getByText('Taken off the shelf.')).toBeVisible();
});

function backgroundOf(element: Locator): Promise<string> {
  return element.evaluate((found) => getComputedStyle(found).backgroundColor);
}
