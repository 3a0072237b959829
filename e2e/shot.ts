import { chromium } from '@playwright/test';
import { BROWSER_LAUNCH, DEMO_EMAIL, startTemporaryApplication } from '@bright-sprout/scripts';
const app = await startTemporaryApplication();
const browser = await chromium.launch(BROWSER_LAUNCH);
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  page.on('console', (m) => {
    if (m.type() === 'error' || m.type() === 'warning') console.log('CONSOLE', m.text().slice(0, 300));
  });
  const shoot = async (name: string) => {
    await page.waitForTimeout(500);
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: `/tmp/s-${name}.png` });
  };
  await page.goto(app.address);
  await page.getByLabel('E-mail').fill(DEMO_EMAIL);
  await page.getByLabel('Password').fill(app.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('Your question').waitFor();
  await shoot('shelf');
  await page.getByRole('link', { name: 'Do turnips mind' }).click();
  await page.getByRole('tab', { name: 'Question' }).waitFor();
  await shoot('question');
  for (const part of ['Pots', 'Steps', 'Rehearse']) {
    await page.getByRole('tab', { name: part }).click();
    if (part === 'Rehearse') {
      await page.getByRole('button', { name: 'Try it' }).click();
      await page.locator('.figure .main-svg').first().waitFor({ timeout: 60000 });
      await page.locator('.figure').first().scrollIntoViewIfNeeded();
    }
    await shoot(part.toLowerCase());
  }
  await page.goto(app.address + '/drawer');
  await page.getByRole('heading', { name: 'Seed drawer' }).waitFor();
  await page.getByRole('radio', { name: /^Turnip/ }).click();
  await shoot('drawer');
  await page.goto(app.address);
  await page.getByRole('button', { name: 'Templates' }).click();
  await shoot('templates');
  await page.getByRole('button', { name: /salty soil/ }).click();
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByRole('tab', { name: 'Question' }).waitFor();
  await shoot('crossed');
  await page.getByRole('tab', { name: 'Check' }).click();
  await shoot('crossed-check');
} finally {
  await browser.close();
  await app.stop();
}
