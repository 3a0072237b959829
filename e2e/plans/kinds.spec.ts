import { say as sayPlans } from '@bright-sprout/words/plans';
import { say as sayReadings } from '@bright-sprout/words/readings';
import { say as saySowing } from '@bright-sprout/words/sowing';
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { dayFromToday, expect, openPart, openStage, test } from '../support/test.ts';

async function startKind(page: Page, question: string, crop: string, kind: string): Promise<void> {
  await page.getByLabel('Your question').fill(question);
  await page.getByLabel('Crop').selectOption({ label: crop });
  await page.getByLabel('Kind').selectOption({ label: kind });
  await page.getByLabel('Lesson on').fill(dayFromToday(40));
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
}

const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

test('crossed changes from blank to planted, with a combination left out and the check mended', async ({
  teacher: page,
}) => {
  await startKind(page, 'Does shade matter more to dry basil?', 'Sweet basil', 'Crossed changes');
  await page.getByLabel('Change 1', { exact: true }).fill('Water');
  await page.getByLabel('It is about').first().selectOption({ label: 'water' });
  await page.getByLabel('Level 1 of change 1', { exact: true }).fill('Plenty');
  await page.getByLabel('Level 2 of change 1', { exact: true }).fill('Little');
  await page.getByLabel('Level 2 of change 1: water in mL').fill('3');
  await page.getByLabel('Change 2', { exact: true }).fill('Place');
  await page.getByLabel('It is about').nth(1).selectOption({ label: 'light' });
  await page.getByLabel('Level 2 of change 2: light').selectOption({ label: 'shade' });
  await expect(page.getByText('12 pots in 15 places')).toBeVisible();
  await saved(page);
  await page.getByLabel('Little · With', { exact: true }).uncheck();
  await expect(page.getByText('9 pots in 15 places')).toBeVisible();
  await saved(page);
  await openPart(page, 'Check');
  await expect(page.getByText('1 combination is not grown')).toBeVisible();
  await page.getByRole('button', { name: 'Grow them all' }).click();
  await expect(page.getByText('1 combination is not grown')).toBeHidden();
  await expect(page.locator('.layout .pot')).toHaveCount(12);

  await openStage(page, 'Sow');
  await page.getByLabel('All 12 pots were sown on').fill(dayFromToday(-1));
  await page.getByRole('button', { name: 'Mark all 12 pots as sown' }).click();
  await expect(page.getByRole('heading', { name: /^Sown on/ })).toBeVisible();
  await openStage(page, 'Plan');
  await openPart(page, 'Question');
  await expect(page.getByLabel('Crop')).toBeDisabled();
  await expect(page.getByRole('textbox', { name: 'Question' })).toBeEnabled();
  await openPart(page, 'Pots');
  await page.getByRole('button', { name: sayPlans('addItToTheFirstFreePlace') }).click();
  await expect(page.locator('.layout .pot')).toHaveCount(13);
});

test('an age ladder is sown on its days, one age at a time', async ({ teacher: page }) => {
  await startKind(page, 'How fast do peas climb?', 'Garden pea', 'Age ladder');
  await page.getByLabel('Level 1: days old').fill('28');
  await page.getByLabel('Level 1', { exact: true }).fill('Four weeks');
  await saved(page);
  await openPart(page, 'Days');
  await expect(page.getByText('Sown on several days')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Sow [A-D]/ })).toHaveCount(4);
  await openStage(page, 'Sow');
  await expect(page.getByText('planned for')).toHaveCount(4);
  const eldest = page.getByText(/pots of Four weeks were sown on/);
  await expect(eldest).toBeVisible();
  await page
    .getByRole('button', { name: saySowing('markThesePotsAsSown') })
    .first()
    .click();
  await expect(page.getByText('3 pots of Four weeks: sown')).toBeVisible();
  await expect(page.getByRole('button', { name: saySowing('markThesePotsAsSown') })).toHaveCount(3);
  await openStage(page, 'Record');
  await page
    .getByRole('button', { name: /Two weeks/ })
    .first()
    .click();
  await expect(page.getByText('This pot is not sown yet.')).toBeVisible();
});

test('a packet test counts seeds, and what came up goes back into the packet', async ({ teacher: page }) => {
  await page.getByRole('link', { name: 'Seed drawer' }).click();
  await page.getByRole('radio', { name: /^Onion/ }).click();
  await page.getByRole('button', { name: 'A packet', exact: true }).click();
  await page.getByLabel('Packet called').fill('Old onions');
  await page.getByLabel('Germination rate on the packet').fill('120');
  await page.getByRole('button', { name: 'Keep this packet' }).click();
  await expect(page.getByText('Give a percentage from 0 to 100.')).toBeVisible();
  await page.getByLabel('Germination rate on the packet').fill('80');
  await page.getByRole('button', { name: 'Keep this packet' }).click();
  await expect(page.getByText('Expect 80 of 100 to come up')).toBeVisible();

  await page.getByRole('link', { name: 'Shelf' }).click();
  await startKind(page, 'Are the old onions still good?', 'Onion', 'Packet test');
  await page.getByLabel('Packet').selectOption({ label: 'Old onions' });
  await openPart(page, 'Pots');
  await page.getByRole('spinbutton', { name: 'Pots' }).fill('2');
  await saved(page);
  await openStage(page, 'Sow');
  await page.getByLabel('All 2 pots were sown on').fill(dayFromToday(-12));
  await page.getByRole('button', { name: 'Mark all 2 pots as sown' }).click();
  await page.goto(page.url().replace(/\/sow.*/, `/record?day=${dayFromToday(0)}`));
  await page.getByLabel(sayReadings('howManyHaveComeUp')).fill('6');
  await page.getByRole('button', { name: /^Keep/ }).click();
  await expect(page.getByText('Only 5 were sown in this pot.')).toBeVisible();
  await page.getByRole('button', { name: '4 up' }).click();
  await page.getByRole('button', { name: 'Keep, next pot 2' }).click();
  await page.getByRole('button', { name: 'None up yet' }).click();
  await expect(page.getByText('2 of 2 done')).toBeVisible();
  await openStage(page, 'Plan');
  await openPart(page, 'Question');
  await page.getByRole('button', { name: 'Finish this experiment' }).click();
  await expect(page.getByRole('button', { name: 'Open it again' })).toBeVisible();
  await page.goto(`${new URL(page.url()).origin}/inventory`);
  await page.getByRole('radio', { name: /^Onion/ }).click();
  // The packet's 80 % counts for 10 seeds: (8 + 4) of (10 + 10).
  await expect(page.getByText('Expect 60 of 100 to come up')).toBeVisible();
  await expect(page.getByText('4 of 10 up, packet test on the shelf')).toBeVisible();
});

test('tasks are moved by keys and by drag, ticked, added, and exported', async ({ demo: page }) => {
  await page.getByRole('link', { name: 'Do turnips' }).click();
  await openPart(page, 'Days');
  const thin = page.getByRole('button', { name: /^Thin to the strongest/ });
  const before = await thin.getAttribute('aria-label');
  await thin.focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(thin).not.toHaveAttribute('aria-label', before!);
  await thin.click();
  await page.getByRole('button', { name: sayPlans('backToThePlansDay') }).click();
  await expect(thin).toHaveAttribute('aria-label', before!);
  await page.getByLabel('Done').click();
  await expect(thin).toHaveAttribute('aria-label', `${before!}, done`);

  const kits = page.getByRole('button', { name: /^Make up the kits/ });
  await kits.scrollIntoViewIfNeeded();
  const others = page.locator('.day-cell').filter({ hasNot: kits });
  const [from, to] = [await kits.boundingBox(), await others.nth(8).boundingBox()];
  const was = await kits.getAttribute('aria-label');
  await page.mouse.move(from!.x + 10, from!.y + 8);
  await page.mouse.down();
  await page.mouse.move(to!.x + 20, to!.y + 20, { steps: 6 });
  await page.mouse.move(to!.x + 24, to!.y + 24, { steps: 3 });
  await page.mouse.up();
  await expect(kits).not.toHaveAttribute('aria-label', was!);

  await page.getByLabel(sayPlans('aTaskOfYourOwn')).fill('Bring spoons');
  await page.getByRole('button', { name: 'Add it', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Bring spoons/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Calendar file' }).click();
  const file = await readFile(await (await download).path(), 'utf8');
  expect(file).toContain('SUMMARY:Bring spoons');
  expect(file).toMatch(/^BEGIN:VCALENDAR/);
});

test('a rehearsal shows progress, can be stopped, and says what it cannot rehearse', async ({
  demo: page,
}) => {
  await page.getByRole('link', { name: 'Do turnips' }).click();
  await openPart(page, 'Rehearse');
  await page.getByLabel('Classes').selectOption('500');
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('progressbar', { name: 'Classes grown' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('button', { name: 'Try it' })).toBeVisible();
  await page.getByLabel('Classes').selectOption('100');
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText(/An effect of this size would be seen by/)).toBeVisible({ timeout: 30_000 });
  const first = await page.locator('.rehearsal-words').innerText();
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.locator('.rehearsal-words')).toHaveText(first, { timeout: 30_000 });
  await openPart(page, 'Question');
  await page.getByLabel('We read').selectOption({ label: 'leaves, counted' });
  await openPart(page, 'Rehearse');
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText('reads something other than a height')).toBeVisible();
});

test('a template of one’s own is kept, started from, and taken away', async ({ teacher: page }) => {
  await startKind(page, 'Do lamps hurry cress?', 'Garden cress', 'One change');
  await page.getByLabel(sayPlans('whatThisPlanIsGoodFor')).fill('Dark months');
  await page.getByRole('button', { name: sayPlans('keepAsATemplate') }).click();
  await expect(page.getByText(sayPlans('keptStartFromItOnTheShelf'))).toBeVisible();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('button', { name: 'Templates' }).click();
  await page.getByRole('button', { name: /Dark months/ }).click();
  await expect(page.getByLabel('Your question')).toHaveValue('Do lamps hurry cress?');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
  await page.getByRole('button', { name: 'Copy this plan' }).click();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await expect(page.getByRole('link', { name: 'Do lamps hurry cress?' })).toHaveCount(3);
  await page.getByRole('button', { name: 'Templates' }).click();
  await page.getByRole('button', { name: /^Take the template/ }).click();
  await expect(page.getByRole('button', { name: /Dark months/ })).toBeHidden();
});
