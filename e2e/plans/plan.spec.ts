import { say as sayPlans } from '@bright-sprout/words/plans';
import { say as sayRefusals } from '@bright-sprout/words/refusals';
import { say as saySowing } from '@bright-sprout/words/sowing';
import type { Page } from '@playwright/test';
import { dayFromToday, expect, expectAccessible, openPart, openStage, test } from '../support/test.ts';

async function startPlan(page: Page): Promise<void> {
  await page.getByLabel('Your question').fill('Does humming help oats?');
  await page.getByLabel('Crop').selectOption({ label: 'Oat' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
}

/** Treatments in walking order. */
function layout(page: Page): Promise<string[]> {
  return page
    .locator('.layout .pot')
    .evaluateAll((pots) => pots.map((pot) => pot.getAttribute('aria-label')?.split(', ')[1] ?? ''));
}

test('an empty question is asked for', async ({ teacher: page }) => {
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('alert')).toContainText('Write the question');
  await expectAccessible(page);
});

test('shuffle, swap by keyboard, swap by drag, and take it all back', async ({ teacher: page }) => {
  await startPlan(page);
  const first = await layout(page);
  const saved = page.waitForResponse(
    (answer) => answer.url().endsWith('/plan') && answer.request().method() === 'PUT',
  );
  await page.getByRole('button', { name: 'Shuffle again' }).click();
  await saved;
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeEnabled();
  const shuffled = await layout(page);

  const other = shuffled.findIndex((name) => name !== shuffled[0]);
  const swapped = shuffled.with(0, shuffled[other]!).with(other, shuffled[0]!);
  await page.locator('.layout .pot').first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Pot 1 picked')).toBeVisible();
  const column = other % 5;
  if (other >= 5) await page.keyboard.press('ArrowDown');
  for (let step = 0; step < column; step += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect.poll(() => layout(page)).toEqual(swapped);

  const pots = page.locator('.layout .pot');
  const [from, to] = [await pots.nth(0).boundingBox(), await pots.nth(other).boundingBox()];
  await page.mouse.move(from!.x + 40, from!.y + 40);
  await page.mouse.down();
  await page.mouse.move(to!.x + 30, to!.y + 30, { steps: 6 });
  await page.mouse.move(to!.x + 40, to!.y + 40, { steps: 4 });
  await page.mouse.up();
  await expect.poll(() => layout(page)).toEqual(shuffled);

  for (const before of [swapped, shuffled, first]) {
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect.poll(() => layout(page)).toEqual(before);
  }
  await page.reload();
  await expect.poll(() => layout(page)).toEqual(first);
});

test('a plan that was left before it was saved is said on the other stages, and saved by opening it', async ({
  teacher: page,
}) => {
  await startPlan(page);
  await page.getByLabel('Level 2', { exact: true }).fill('With a collar');
  await page.goto(page.url().replace(/\/plan.*/, '/sow'));
  const note = page.getByRole('alert').filter({ hasText: 'Your last changes to the plan' });
  await expect(note).toBeVisible();
  await note.getByRole('link', { name: 'Open the plan' }).click();
  await expect(page.getByLabel('Level 2', { exact: true })).toHaveValue('With a collar');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Sow/ }).click();
  await expect(page.getByText('With a collar').first()).toBeVisible();
  await expect(note).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('With a collar').first()).toBeVisible();
  await expect(note).toHaveCount(0);
});

test('bad plans are met with words, and good ones survive a reload', async ({ teacher: page }) => {
  await startPlan(page);
  await openPart(page, 'Pots');
  await page.getByLabel(sayPlans('potsOfEachTreatment', { noun: 'pot' })).fill('9');
  const full = page.locator('.field-problem', { hasText: '18 pots do not fit into 10 places.' });
  await expect(full).toContainText('Use at most 5 of each');
  await expect(page.getByText('the number of pots: 18 pots do not fit')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel(sayPlans('potsOfEachTreatment', { noun: 'pot' }))).toHaveValue('9');
  await expect(full).toBeVisible();
  await page.getByLabel(sayPlans('potsOfEachTreatment', { noun: 'pot' })).fill('');
  await expect(
    page.locator('.field-problem', { hasText: 'Give a whole number of pots from 1 to 200.' }),
  ).toBeVisible();
  await expect(page.getByText('Not saved yet')).toBeVisible();
  await page.getByLabel(sayPlans('potsOfEachTreatment', { noun: 'pot' })).fill('3');
  await openPart(page, 'Question');
  await page.getByLabel('Level 2', { exact: true }).fill('as usual');
  await expect(page.getByText(sayRefusals('anotherLevelHasThisNameAlready')).first()).toBeVisible();
  await page.getByLabel('Level 2', { exact: true }).fill('Hummed at <b>daily</b>');
  await page.getByLabel('We read').selectOption({ label: 'height in quarter inches' });
  await openPart(page, 'Days');
  await page.getByLabel('Lesson on').fill('2020-01-01');
  await expect(page.getByText(sayRefusals('theLessonComesAfterTheSowingDate')).first()).toBeVisible();
  await page.getByLabel('Lesson on').fill('2100-01-01');
  await expect(page.getByText('more than a year after sowing').first()).toBeVisible();
  await page.getByLabel('Lesson on').fill(dayFromToday(60));
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Lesson on')).toHaveValue(dayFromToday(60));
  await openPart(page, 'Pots');
  await expect(page.getByLabel(sayPlans('potsOfEachTreatment', { noun: 'pot' }))).toHaveValue('3');
  await openPart(page, 'Question');
  await expect(page.getByLabel('Level 2', { exact: true })).toHaveValue('Hummed at <b>daily</b>');
  await expect(page.getByLabel('We read').locator('option:checked')).toHaveText('height in quarter inches');
});

test('leaving at once after typing loses nothing', async ({ teacher: page }) => {
  await startPlan(page);
  await page.getByLabel('What we expect').fill('They will not care.');
  await openStage(page, 'Sow');
  await openStage(page, 'Plan');
  await page.reload();
  await expect(page.getByLabel('What we expect')).toHaveValue('They will not care.');
});

test('an experiment is taken off the shelf and put back', async ({ teacher: page }) => {
  await startPlan(page);
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('button', { name: /^Remove “/ }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.reload();
  await expect(page.getByRole('link', { name: 'Does humming help oats?' })).toBeVisible();
});

test('the shelf, every part of a plan and the sowing meet WCAG 2.2 AA', async ({ demo: page }) => {
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Do turnips' }).click();
  await page.getByLabel('What we expect').waitFor();
  for (const part of [
    'Question',
    'Pots',
    'Sowing',
    'Supplies',
    'Steps',
    'Days',
    'Check',
    'Rehearse',
  ] as const) {
    await openPart(page, part);
    await expectAccessible(page);
  }
  await openStage(page, 'Sow');
  await page.getByRole('heading', { name: saySowing('putTheSeedsIn') }).waitFor();
  await expectAccessible(page);
});
