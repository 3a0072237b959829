import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import {
  BROWSER_LAUNCH,
  buildIfChanged,
  DEMO_EMAIL,
  ROOT,
  startTemporaryApplication,
} from '@bright-sprout/scripts';

const FOLDER = join(ROOT, 'docs', 'screenshots');

/** One picture of each main view, from the demo data. */
async function takeAll(page: Page, address: string, password: string): Promise<void> {
  const shoot = async (name: string): Promise<void> => {
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
    console.log(`docs/screenshots/${name}.png`);
  };
  const open = (question: string): Promise<void> => page.getByRole('link', { name: question }).click();

  await page.goto(address);
  await page.getByLabel('E-mail').fill(DEMO_EMAIL);
  await page.getByLabel('Password').fill(password);
  await shoot('sign-in');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: /to do today|is due today/ }).waitFor();
  await shoot('shelf');

  await open('Do turnips mind a sandy mix?');
  await page.getByLabel('What we expect').waitFor();
  await shoot('plan');
  for (const part of ['Supplies', 'Days', 'Check', 'Rehearse']) {
    await page.getByRole('tab', { name: part }).click();
    await page.getByRole('tab', { name: part, selected: true }).waitFor();
    if (part === 'Rehearse') {
      await page.getByRole('button', { name: 'Try it' }).click();
      await page.locator('.figure .main-svg').first().waitFor();
    }
    await shoot(part.toLowerCase());
  }
  await page.getByRole('link', { name: /^Sow/ }).click();
  await page.getByRole('heading', { name: 'Put the seeds in' }).waitFor();
  await shoot('sow');

  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('link', { name: 'Classes' }).click();
  await page.getByRole('heading', { name: /15 students/ }).waitFor();
  await shoot('classes');
  const code = await page.locator('.class-code b').last().innerText();
  await page.goto(`${address}/drawer`);
  await page.getByRole('radio', { name: /^Turnip/ }).click();
  await shoot('drawer');

  await page.goto(address);
  await open('Does seaweed feed make zinnias taller?');
  await page.getByRole('link', { name: /^Record/ }).click();
  await page.getByLabel(/How tall/).fill('14.1');
  await shoot('record');

  await page.getByRole('link', { name: /^Compare/ }).click();
  await page.locator('.figure .main-svg').first().waitFor();
  await shoot('compare');

  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto(`${address}/join?code=${code}`);
  await page.getByRole('button', { name: 'Go in' }).click();
  await page.getByRole('button', { name: 'Arlo' }).click();
  await page.locator('.pot-card').first().click();
  await page.getByRole('button', { name: 'Yes', exact: true }).click();
  await page.getByLabel(/How tall/).fill('10.2');
  await shoot('student');
}

await buildIfChanged(ROOT);
const application = await startTemporaryApplication();
const browser = await chromium.launch(BROWSER_LAUNCH);
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  await takeAll(page, application.address, application.password);
} finally {
  await browser.close();
  await application.stop();
}
