import { say as saySowing } from '@bright-sprout/words/sowing';
import { expect, expectAccessible, openPart, openStage, test } from '../support/test.ts';

test('another kind asks before work goes, and a change is taken back, after a reload too', async ({
  teacher: page,
}) => {
  await page.getByLabel('Your question').fill('Do lentils like sand?');
  await page.getByLabel('Crop').selectOption({ label: 'Lentil' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
  const saved = page.getByText('Saved', { exact: true });
  const undo = page.getByRole('button', { name: 'Undo a change' });
  await expect(undo).toBeDisabled();

  await page.getByLabel('Level 2', { exact: true }).fill('Sandy');
  await expect(saved).toBeVisible();
  await expect(undo).toBeEnabled();
  await page.getByLabel('Kind').selectOption({ label: 'Packet test' });
  await expect(page.getByText(/With another kind these parts begin anew: what is changed/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByLabel('Kind')).toHaveValue('one_factor');

  await page.getByLabel('Kind').selectOption({ label: 'Packet test' });
  await page.getByRole('button', { name: 'Change the kind' }).click();
  await expect(page.getByLabel('Kind')).toHaveValue('packet_test');
  await expect(page.getByLabel('Level 2', { exact: true })).toHaveCount(0);
  await expect(saved).toBeVisible();
  await expect(page.locator('.layout .pot')).toHaveCount(12);
  await page.reload();
  await page.getByLabel('What we expect').waitFor();
  await undo.click();
  await expect(page.getByLabel('Kind')).toHaveValue('one_factor');
  await expect(page.getByLabel('Level 2', { exact: true })).toHaveValue('Sandy');
  await expect(page.locator('.layout .pot')).toHaveCount(10);
  // The answer to guess at followed the name, and goes back before it.
  await page.getByText(/The class guesses first/).click();
  await expect(page.getByLabel('Answer 1', { exact: true })).toHaveValue('Sandy grows taller');
  await undo.click();
  await expect(page.getByLabel('Answer 1', { exact: true })).toHaveValue('Changed grows taller');
  await undo.click();
  await expect(page.getByLabel('Level 2', { exact: true })).toHaveValue('Changed');
  await expect(undo).toBeDisabled();
});

test('crops side by side have their own seeds, doses of two changes stand on label and sowing page', async ({
  teacher: page,
}) => {
  await page.getByLabel('Your question').fill('Clover or pumpkin: which is up first?');
  await page.getByLabel('Crop').selectOption({ label: 'White clover' });
  await page.getByLabel('Kind').selectOption({ label: 'Crops side by side' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
  await page.getByLabel('Level 2: crop').selectOption({ label: 'Pumpkin' });
  await page.getByLabel('Level 1: seeds in a pot').fill('20');
  await page.getByLabel('Level 2: seeds in a pot').fill('3');
  await page.getByLabel('Level 2: seeds in a pot').blur();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await openPart(page, 'Supplies');
  await expect(page.getByRole('row', { name: /white clover/ })).toContainText('100');
  await expect(page.getByRole('row', { name: /pumpkin/ })).toContainText('15');
  await openStage(page, 'Sow');
  await expect(page.getByText('each pot its own seeds', { exact: false })).toBeVisible();
  await page
    .getByRole('button', { name: /^Pot \d+, .*3 seeds/ })
    .first()
    .click();
  const tapped = page.getByRole('region', { name: /^Sowing of pot/ });
  await expect(tapped).toContainText('3 seeds of pumpkin');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: /^Pot 9,/ }).click();
  await expect(tapped).toBeInViewport();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page
    .getByRole('link', { name: /labels/i })
    .first()
    .click();
  await expect(page.locator('.label-sheet li').filter({ hasText: 'Pumpkin' })).toHaveCount(5);
  await expect(page.locator('.label-sheet li').filter({ hasText: 'White clover' })).toHaveCount(5);
});

test('a sowing that was marked by mistake is taken back', async ({ teacher: page }) => {
  await page.getByLabel('Your question').fill('Was it sown?');
  await page.getByLabel('Crop').selectOption({ label: 'Kale' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await openStage(page, 'Sow');
  await page.getByRole('button', { name: /^Mark all \d+ pots as sown/ }).click();
  await page.getByRole('button', { name: 'They were not sown after all: take it back' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take it back', exact: true }).click();
  await expect(page.getByRole('heading', { name: saySowing('putTheSeedsIn') })).toBeVisible();
  await openStage(page, 'Plan');
  await expect(page.getByLabel('Kind')).toBeEnabled();
});
