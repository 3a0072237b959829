import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import {
  BROWSER_LAUNCH,
  buildIfChanged,
  DEMO_EMAIL,
  ROOT,
  startTemporaryApplication,
} from '@bright-sprout/scripts';

/** News keep a stream open, so that the network is never idle. */
const SETTLED_MS = 1200;

const FOLDER = join(ROOT, 'docs', 'screenshots');

/** One picture of each main view, from the demo data. */
async function takeAll(page: Page, address: string, password: string): Promise<void> {
  const shoot = async (name: string): Promise<void> => {
    await page.waitForTimeout(SETTLED_MS);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
    console.log(`docs/screenshots/${name}.png`);
  };
  const open = (question: string): Promise<void> => page.getByRole('link', { name: question }).click();

  await page.goto(address);
  await page.getByLabel('E-mail').fill(DEMO_EMAIL);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: /to do today|is due today/ }).waitFor();
  await shoot('experiments');

  await open('Do turnips mind a sandy mix?');
  await page.getByLabel('What we expect').waitFor();
  await shoot('plan');
  await page.getByRole('tab', { name: 'Rehearse' }).click();
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.locator('.figure .main-svg').first().waitFor();
  await shoot('rehearse');
  await page.getByRole('link', { name: /^Sow/ }).click();
  await page.getByRole('heading', { name: 'Put the seeds in' }).waitFor();
  for (const item of ['Seeds in', 'Label in place']) {
    await page.getByRole('button', { name: new RegExp(`^${item}: 0 of`) }).click();
    await page.getByRole('button', { name: new RegExp(`^${item}: (?!0 of)`) }).waitFor();
  }
  await page.getByRole('button', { name: /^Pot 3,/ }).click();
  for (const item of ['Depth right', 'Treatment given']) {
    await page.getByRole('button', { name: item, exact: true }).click();
    await page.getByRole('button', { name: item, exact: true, pressed: true }).waitFor();
  }
  await shoot('sow');

  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('link', { name: 'Classes' }).click();
  await page.getByRole('heading', { name: /15 students/ }).waitFor();
  await shoot('classes');
  const code = await page.locator('.class-code b').last().innerText();
  await page.goto(address);
  await open('Does seaweed feed make zinnias taller?');
  await page.getByRole('link', { name: /^Record/ }).click();
  await page.getByLabel(/How tall/).fill('14.1');
  await shoot('record');
  await page.getByRole('link', { name: /^Compare/ }).click();
  await compareTabs(page, shoot);
  await page.getByRole('link', { name: /^Record/ }).click();
  await page.getByRole('button', { name: 'Fast sheet' }).click();
  await page.getByLabel('Pot 9, height', { exact: true }).fill('1.41');
  await shoot('fast-sheet');

  await page.goto(address);
  await open('Does compost tea need lamp light to help marigolds?');
  await page.getByRole('link', { name: /^Compare/ }).click();
  await openTab(page, 'Treatments');
  await shoot('compare-treatments');

  await page.goto(address);
  await open('Does seaweed feed make zinnias taller?');
  await teach(page, shoot);

  await page.goto(address);
  await open('Does a clear lid help mustard cover its pan sooner?');
  await pictures(page, shoot);

  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto(`${address}/join?code=${code}`);
  await page.getByRole('button', { name: 'Join' }).click();
  await page.getByRole('button', { name: 'Arlo' }).click();
  await page.locator('.pot-card').first().waitFor();
  await shoot('student-pots');
  await page.locator('.pot-card').first().click();
  await page.getByRole('button', { name: 'Yes', exact: true }).click();
  await page.getByLabel(/How tall/).fill('10.2');
  await shoot('student');
}

async function openTab(page: Page, name: string): Promise<void> {
  const tabs = page.getByRole('navigation', { name: 'Parts of the comparison' });
  await tabs.getByRole('button', { name }).click();
  await page.locator('.figure .main-svg, .plain-table, .guesses').first().waitFor();
}

/** A pan of seedlings measured from above; a drawn seedling beside its ruler. */
async function pictures(page: Page, shoot: (name: string) => Promise<void>): Promise<void> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('link', { name: /^Record/ }).click();
  await page.getByRole('link', { name: 'Pictures' }).click();
  await page.getByText('13 photos looked at together').waitFor();
  await page
    .getByRole('button', { name: /^Photo of/ })
    .nth(5)
    .click();
  await shoot('green-cover');
  await page.getByRole('button', { name: 'By pot' }).click();
  await page.getByLabel('Which pot').selectOption({ label: 'Pot 3' });
  await page.locator('.pot-days li').nth(12).waitFor();
  await shoot('pot-days');
  const address = new URL(page.url());
  const drawn = await drawnSeedling(page);
  await page.getByLabel('What the photos show').selectOption('side');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add photos' }).click();
  await (await chooser).setFiles({ name: 'seedling.png', mimeType: 'image/png', buffer: drawn });
  await page.getByRole('button', { name: 'Keep this photo' }).click();
  await page.locator('.found-height').waitFor();
  await shoot('side-height');
  await page.goto(address.origin);
}

/** A seedling beside a ruler, drawn by the browser. */
async function drawnSeedling(page: Page): Promise<Buffer> {
  const base64 = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1200, 900];
    const pen = canvas.getContext('2d') as CanvasRenderingContext2D;
    pen.fillStyle = '#e9e4d8';
    pen.fillRect(0, 0, 1200, 900);
    pen.fillStyle = '#6d5440';
    pen.fillRect(0, 765, 1200, 135);
    pen.fillStyle = '#f6e7a8';
    pen.fillRect(210, 120, 90, 650);
    pen.strokeStyle = '#333333';
    for (let mark = 0; mark <= 60; mark += 1) {
      pen.lineWidth = mark % 10 === 0 ? 4 : 2;
      pen.beginPath();
      pen.moveTo(210, 765 - mark * 10.8);
      pen.lineTo(mark % 10 === 0 ? 260 : 235, 765 - mark * 10.8);
      pen.stroke();
    }
    pen.strokeStyle = '#6fa04a';
    pen.lineWidth = 16;
    pen.beginPath();
    pen.moveTo(600, 765);
    pen.bezierCurveTo(600, 600, 590, 480, 602, 320);
    pen.stroke();
    pen.fillStyle = '#5c9a3e';
    for (const side of [-1, 1]) {
      pen.beginPath();
      pen.ellipse(602 + side * 95, 300, 100, 38, side * -0.3, 0, 7);
      pen.fill();
    }
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  return Buffer.from(base64, 'base64');
}

/** The lesson at the desk, on paper and on the projector. */
async function teach(page: Page, shoot: (name: string) => Promise<void>): Promise<void> {
  await page.getByRole('link', { name: /^Teach/ }).click();
  await page.getByRole('radio', { name: /^Talk about/ }).click();
  await shoot('teach');
  await page.getByRole('link', { name: 'Class report' }).click();
  await page.getByText('What we found').waitFor();
  await shoot('class-report');
  await page.getByRole('link', { name: 'To the lesson' }).click();
  await page.setViewportSize({ width: 1920, height: 1080 });
  await page.getByRole('button', { name: 'Begin the lesson' }).click();
  await page.getByText('1 of 9', { exact: true }).waitFor();
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'Count hands' }).click();
  for (let hands = 0; hands < 4; hands += 1) {
    await page.getByRole('button', { name: 'One hand more for Half dose' }).click();
  }
  await page.getByRole('button', { name: 'Let us see' }).click();
  await shoot('guess-then-see');
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: /^Pot 3,/ }).click();
  await shoot('line-up');
  await page.getByRole('button', { name: 'Leave the projector' }).click();
  await page.getByRole('radiogroup', { name: /^The lesson/ }).waitFor();
}

async function compareTabs(page: Page, shoot: (name: string) => Promise<void>): Promise<void> {
  const tabs = {
    Answer: 'answer',
    Growth: 'growth',
  };
  for (const [name, file] of Object.entries(tabs)) {
    await openTab(page, name);
    await shoot(`compare-${file}`);
  }
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
