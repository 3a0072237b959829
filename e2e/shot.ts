import { chromium } from '@playwright/test';
import { BROWSER_LAUNCH, DEMO_EMAIL, startTemporaryApplication } from '@bright-sprout/scripts';
const app = await startTemporaryApplication();
const browser = await chromium.launch(BROWSER_LAUNCH);
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  const shoot = async (name: string) => {
    await page.waitForTimeout(600);
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: `/tmp/s-${name}.png` });
  };
  await page.goto(app.address);
  await page.getByLabel('E-mail').fill(DEMO_EMAIL);
  await page.getByLabel('Password').fill(app.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('Your question').waitFor();
  await page.getByRole('link', { name: 'Classes' }).click();
  await page.getByLabel('Class called').fill('5b, Fernhollow');
  await page.getByRole('button', { name: 'Make this class' }).click();
  await page
    .getByLabel('Display names')
    .fill(
      'Ada Ben Cy Dot Eli Fay Gus Hal Ivy Jo Kit Lou Max Nia Oz Pia Quin Rae Sol Tess Uma Vic Wil Xan Yve'.replaceAll(
        ' ',
        '\n',
      ),
    );
  await page.getByRole('button', { name: 'Add them' }).click();
  await page.getByRole('heading', { name: '25 students' }).waitFor();
  await page.getByRole('button', { name: 'Teams by chance' }).click();
  await page.getByRole('heading', { name: '5 teams' }).waitFor();
  await shoot('classes');
  await page.goto(app.address);
  await page.getByRole('link', { name: 'Do turnips mind' }).click();
  await page.getByRole('tab', { name: 'Pots' }).click();
  await page.getByLabel('Class that runs it').selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Deal evenly' }).waitFor();
  await shoot('pots-teams');
} finally {
  await browser.close();
  await app.stop();
}
