import { say as sayReadings } from '@bright-sprout/words/readings';
import { say as sayRefusals } from '@bright-sprout/words/refusals';
import type { Page } from '@playwright/test';
import { dayFromToday, expect, expectAccessible, openStage, test, follow } from '../support/test.ts';

/** A sown experiment of ten pots, read in half centimetres, on the Record stage of today. */
async function startReading(page: Page): Promise<void> {
  await page.getByLabel('Your question').fill('Does shade stretch cress?');
  await page.getByLabel('Crop').selectOption({ label: 'Garden cress' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByLabel('What we expect').waitFor();
  await openStage(page, 'Sow');
  await page.getByLabel('All 10 pots were sown on').fill(dayFromToday(-9));
  await page.getByRole('button', { name: /Mark all/ }).click();
  await page.getByRole('heading', { name: /^Sown on/ }).waitFor();
  await openDay(page, 0);
}

async function openDay(page: Page, daysAgo: number): Promise<void> {
  await follow(page, page.url().replace(/\/(sow|record|compare).*/, `/record?day=${dayFromToday(-daysAgo)}`));
  await page.getByRole('region', { name: /Read pot/ }).waitFor();
}

const pot = (page: Page, number: number) => page.getByRole('button', { name: new RegExp(`^Pot ${number},`) });
const height = (page: Page) => page.getByLabel(/How tall/);

test('the ruler by keyboard and by pointer snaps to the agreed step', async ({ teacher: page }) => {
  await startReading(page);
  const slider = page.getByRole('slider', { name: sayReadings('heightOnTheRuler') });
  await slider.focus();
  for (let step = 0; step < 3; step += 1) await page.keyboard.press('ArrowUp');
  await expect(height(page)).toHaveValue('1.5');
  await page.keyboard.press('PageUp');
  await expect(slider).toHaveAttribute('aria-valuetext', '4.0 cm');
  const ruler = (await page.locator('.ruler').boundingBox())!;
  await page.mouse.click(ruler.x + ruler.width * 0.4, ruler.y + ruler.height * 0.4);
  const value = Number(await height(page).inputValue());
  expect(value * 2).toBe(Math.round(value * 2));
  expect(value).toBeGreaterThan(4);
  await page.getByRole('button', { name: /^Keep/ }).click();
  await expect(pot(page, 1)).toHaveAccessibleName(new RegExp(`${value.toFixed(1)} cm`));
});

test('states are readings: not up, dead, not read; a dead pot is not asked for again', async ({
  teacher: page,
}) => {
  await startReading(page);
  await openDay(page, 2);
  await page.getByRole('button', { name: 'Not up yet' }).click();
  await expect(pot(page, 1)).toHaveAccessibleName(/not up yet/);
  await page.getByRole('button', { name: 'Dead' }).click();
  await expect(pot(page, 2)).toHaveAccessibleName(/dead/);
  await page.getByRole('button', { name: 'Not read' }).click();
  await expect(pot(page, 3)).toHaveAccessibleName(/to read/);
  await openDay(page, 0);
  await expect(pot(page, 2)).toHaveAccessibleName(/dead/);
  await page.getByRole('button', { name: 'Not up yet' }).click();
  await expect(page.getByRole('heading', { name: 'Pot 3' })).toBeVisible();
});

test('change since last time, a plant that shrank, a second reading and a correction', async ({
  teacher: page,
}) => {
  await startReading(page);
  await openDay(page, 3);
  await height(page).fill('6');
  await expect(page.getByText('First reading, so there is no change yet.')).toBeVisible();
  await height(page).press('Enter');
  await expect(pot(page, 1)).toHaveAccessibleName(/6\.0 cm/);

  await openDay(page, 0);
  await height(page).fill('7.5');
  await expect(page.getByText(/1\.5 cm more than on .*, 3 days: 0\.50 cm a day/)).toBeVisible();
  await height(page).fill('4.5');
  await expect(page.getByText(/1\.5 cm shorter than on .*Look again, or keep it/)).toBeVisible();
  await height(page).press('Enter');
  await expect(pot(page, 1)).toHaveAccessibleName(/4\.5 cm/);

  await pot(page, 1).click();
  await page.getByRole('button', { name: sayReadings('readItASecondTime') }).click();
  await height(page).fill('5.5');
  await height(page).press('Enter');
  await expect(pot(page, 1)).toHaveAccessibleName(/5\.0 cm/);

  await pot(page, 1).click();
  await page.getByRole('button', { name: 'Correct' }).first().click();
  await height(page).fill('7.5');
  await height(page).press('Enter');
  await expect(pot(page, 1)).toHaveAccessibleName(/6\.5 cm/);
  await expect(page.getByRole('region', { name: 'Read pot 2' })).toBeVisible();
  await pot(page, 1).click();
  await expect(page.locator('.readings-of-day li')).toHaveCount(3);
  await expect(page.locator('.readings-of-day .is-corrected')).toContainText('4.5 cm');
});

test('bad entries are met with words and nothing is saved', async ({ teacher: page }) => {
  await startReading(page);
  await height(page).fill('700');
  await expect(page.getByText('no plant of this kind is so tall')).toBeVisible();
  await expect(page.getByText('or keep it')).toHaveCount(0);
  for (const [text, words] of [
    ['', 'Type the height or tap'],
    ['tall', 'Type a number such as'],
    ['-3', 'it is 0 or more'],
    ['99999', 'more than 30 m'],
    ['700', 'no plant of this kind is so tall'],
    ['<script>alert(1)</script>', 'Type a number such as'],
  ] as const) {
    await height(page).fill(text);
    await height(page).press('Enter');
    await expect(page.getByText(words)).toBeVisible();
  }
  await height(page).fill('6.3');
  await expect(page.getByText('Read to the nearest mark: 6.5 cm.')).toBeVisible();
  await height(page).fill('2 in');
  await expect(page.getByText('Typed in inches, while this plan reads in centimetres')).toBeVisible();
  await expect(page.getByText('0 of 10 done')).toBeVisible();
});

test('a day to come and a day before the sowing cannot be read', async ({ teacher: page }) => {
  await startReading(page);
  await follow(page, page.url().replace(/day=.*/, `day=${dayFromToday(1)}`));
  await expect(page.getByText(sayRefusals('thisDayHasNotComeYet'))).toBeVisible();
  await follow(page, page.url().replace(/day=.*/, `day=${dayFromToday(-20)}`));
  await expect(page.getByText(sayReadings('thisDayIsBeforeTheSowing'))).toBeVisible();
});

test('without network readings wait on the device over a reload, and are stored once', async ({
  teacher: page,
}) => {
  await startReading(page);
  await height(page).fill('3');
  let tries = 0;
  await page.route('**/readings/*', async (route) => {
    tries += 1;
    if (tries === 1) {
      await route.fetch();
      await route.abort();
    } else if (tries < 4) await route.abort();
    else await route.continue();
  });
  await page.getByRole('button', { name: /^Keep/ }).click();
  await expect(pot(page, 1)).toHaveAccessibleName(/3\.0 cm/);
  await expect(page.getByText('1 waiting on this device')).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(pot(page, 1)).toHaveAccessibleName(/3\.0 cm/);
  await page.getByText('1 waiting on this device').click();
  await expect(page.getByRole('dialog').getByText('Pot 1: 3.0 cm')).toBeVisible();
  await expect(async () => {
    const send = page.getByRole('button', { name: 'Send now' });
    if (await send.isVisible()) await send.click();
    await expect(page.getByText(/waiting on this device/)).toHaveCount(0, { timeout: 500 });
  }).toPass();
  await page.reload();
  await pot(page, 1).click();
  await expect(page.locator('.readings-of-day li')).toHaveCount(1);
});

test('signing out with something unsent warns, and leaving it there loses nothing', async ({
  teacher: page,
}) => {
  await startReading(page);
  await page.route('**/readings/*', (route) => route.abort());
  await height(page).fill('3');
  await page.getByRole('button', { name: /^Keep/ }).click();
  await expect(page.getByText('1 waiting on this device')).toBeVisible();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  const warnings: string[] = [];
  page.once('dialog', (dialog) => {
    warnings.push(dialog.message());
    void dialog.dismiss();
  });
  await page.getByRole('button', { name: 'Sign out' }).click();
  expect(warnings.join()).toContain('One thing has not been sent yet');
  await expect(page.getByText('1 waiting on this device')).toBeVisible();
});

test('the ribbon and the sill by keyboard alone', async ({ demo: page }) => {
  await page.getByRole('link', { name: 'Does seaweed' }).click();
  await page.getByRole('navigation', { name: 'Stages' }).waitFor();
  await openStage(page, 'Record');
  const day = page.getByRole('radiogroup', { name: 'Day' }).getByRole('radio', { checked: true });
  const before = await day.getAttribute('data-day');
  await day.focus();
  await page.keyboard.press('PageUp');
  await expect(day).not.toHaveAttribute('data-day', before!);
  await expect(day).toBeFocused();
  await pot(page, 1).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Pot 8' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('from pot to pot');
});

test('recording meets WCAG 2.2 AA and fits a tablet and a phone', async ({ demo: page }) => {
  await page.getByRole('link', { name: 'Does seaweed' }).click();
  await page.getByRole('navigation', { name: 'Stages' }).waitFor();
  await openStage(page, 'Record');
  await page.getByRole('region', { name: /Read pot/ }).waitFor();
  await expectAccessible(page);
  for (const viewport of [
    { width: 820, height: 1180 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(viewport);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
  }
});

test('one or two marked pots are read by the whole class, large, and the rest is left to the teams', async ({
  teacher: page,
}) => {
  await startReading(page);
  await page.getByRole('button', { name: 'Together' }).click();
  await expect(page.getByRole('heading', { name: sayReadings('markAPot') })).toBeVisible();
  await page.getByRole('button', { name: /^Pot 3,/ }).click();
  await page.getByRole('button', { name: /^Pot 5,/ }).click();
  await page.getByRole('button', { name: sayReadings('largeForTheRoom') }).click();
  await expect(page.getByRole('button', { name: /^Pot 3,/ })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Read pot 3' })).toBeVisible();
  await expectAccessible(page);
  await height(page).fill('6');
  await height(page).press('Enter');
  await expect(page.getByRole('region', { name: 'Read pot 5' })).toBeVisible();
  await height(page).fill('7');
  await height(page).press('Enter');
  await expect(page.getByText('8 pots are left for their own teams')).toBeVisible();
  await page.getByRole('button', { name: sayReadings('backToTheDesk') }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Pot 3,/, pressed: true })).toBeVisible();
});
