import { say as sayPhotos } from '@bright-sprout/words/photos';
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { makeSchool } from '../support/school.ts';
import { dayFromToday, expect, expectAccessible, openStage, test, follow } from '../support/test.ts';

/** Opens the pictures of the demo's pan of mustard, once all of them were looked at. */
async function openPan(page: Page): Promise<void> {
  await page.getByRole('link', { name: /clear lid/ }).click();
  await openStage(page, 'Record');
  await page.getByRole('link', { name: 'Pictures' }).click();
  await expect(page.getByText('13 photos looked at together')).toBeVisible({ timeout: 60_000 });
}

/** One of the demo's photos as a file. */
async function demoPhoto(page: Page): Promise<Buffer> {
  const small = await page.locator('.photo-strip img').last().getAttribute('src');
  const src = small?.replace('small-picture', 'picture');
  return (await page.request.get(new URL(src ?? '', page.url()).href)).body();
}

const cell = (page: Page, pot: number, column: number) =>
  page
    .locator('.covers tbody tr')
    .nth(pot - 1)
    .locator('td')
    .nth(column);

test('marked once, a series of photos is measured, kept, seen in Compare, exported, and played', async ({
  demo: page,
}) => {
  await openPan(page);
  await expectAccessible(page);
  const cover = await cell(page, 1, 0).innerText();
  expect(Number(cover.replace('%', ''))).toBeGreaterThan(50);
  await page.getByLabel(sayPhotos('threshold')).fill('0.4');
  await expect(page.getByText('Set by hand: excess green above 0.40')).toBeVisible();
  await expect(cell(page, 1, 0)).not.toHaveText(cover);
  await page.getByRole('button', { name: sayPhotos('useTheSeries') }).click();
  await expect(cell(page, 1, 0)).toHaveText(cover);

  await page.getByRole('button', { name: 'Keep the 6 readings of this day' }).click();
  await expect(page.getByText('All kept')).toBeVisible();
  await expect(cell(page, 1, 2)).toHaveText(cover);
  await page.getByRole('button', { name: 'Keep all 13 days' }).click();
  await expect(page.locator('.photo-strip small', { hasText: 'measured' })).toHaveCount(13);

  await page.getByRole('button', { name: 'By pot' }).click();
  await page.getByLabel('Which pot').selectOption({ label: 'Pot 3' });
  await expect(page.locator('.pot-days li')).toHaveCount(13, { timeout: 60_000 });
  await expect(page.locator('.pot-days li').last()).toContainText(/%, picture/);
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Film' }).click();
  await expect(page.getByText(/^Day \d+, /)).toBeVisible();
  const first = await page.locator('.film-tools b').innerText();
  await page.getByRole('button', { name: 'Next picture' }).click();
  await expect(page.locator('.film-tools b')).not.toHaveText(first);
  await page.getByLabel(sayPhotos('sideBySide')).check();
  await expect(page.getByRole('img', { name: /^Pots / })).toHaveCount(2);
  await page.getByRole('button', { name: 'Play' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expectAccessible(page);

  await openStage(page, 'Compare');
  await expect(
    page
      .locator('.headline, h2')
      .filter({ hasText: /green cover/ })
      .first(),
  ).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'CSV' }).click();
  const csv = await readFile(await (await download).path(), 'utf8');
  const row = csv
    .split('\n')
    .find((line) => line.includes('picture') && line.includes(cover.replace('%', '')));
  expect(row).toBeDefined();
});

test('corners are moved by keys and serve later photos; with a size green is an area; all fits a phone', async ({
  demo: page,
}) => {
  await openPan(page);
  await moveCorners(page);
  await giveSize(page);
  await expectNarrow(page);
});

async function moveCorners(page: Page): Promise<void> {
  const first = page.getByRole('button', { name: /^Photo of/ }).first();
  await first.click();
  await page.getByRole('button', { name: 'Corners', exact: true }).click();
  const corner = page.getByRole('button', { name: /^Top left corner/ });
  const before = await corner.getAttribute('aria-label');
  await corner.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowLeft');
  await expect(corner).toHaveAttribute('aria-label', before ?? '');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(corner).not.toHaveAttribute('aria-label', before ?? '');
  await page.keyboard.press('Shift+ArrowUp');
  await page.getByLabel('A grey or white patch is in the picture').check();
  await expect(page.getByRole('button', { name: /^Grey patch/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('A grey or white patch is in the picture').uncheck();
  const box = (await page.locator('.mark-dot').first().boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const far = (await page.locator('.mark-dot').nth(2).boundingBox()) ?? box;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(far.x + 40, far.y + 40, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText(/four corners do not go round/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep these corners' })).toBeDisabled();
  await page
    .getByRole('button', { name: /^Photo of/ })
    .last()
    .click();
  await expect(page.getByText(/taken over from/)).toBeVisible();
}

async function giveSize(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^Photo of/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Corners', exact: true }).click();
  await page.getByLabel(sayPhotos('sizeAcross')).fill('36 cm');
  await expect(page.getByText(/Give both lengths/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep these corners' })).toBeDisabled();
  await page.getByLabel(sayPhotos('sizeDown')).fill('24');
  await page.getByRole('button', { name: 'Keep these corners' }).click();
  await expect(page.getByText(/^Kept\. Later photos/)).toBeVisible();
  await page
    .getByRole('button', { name: /^Photo of/ })
    .last()
    .click();
  await page.getByRole('button', { name: 'Measure' }).click();
  await expect(page.getByText('13 photos looked at together')).toBeVisible({ timeout: 60_000 });
  await expect(page.locator('.scale-bar')).toHaveText('10 cm');
  const [bar, whole] = await Promise.all(
    ['.scale-bar', '.straightened'].map((what) => page.locator(what).boundingBox()),
  );
  expect((bar?.width ?? 0) / (whole?.width ?? 1)).toBeCloseTo(10 / 36, 2);
  expect((whole?.width ?? 0) / (whole?.height ?? 1)).toBeCloseTo(36 / 24, 1);
  // A place is 12 cm by 12 cm; 6 % of each side are not looked at.
  const share = Number((await cell(page, 1, 0).innerText()).replace('%', '')) / 100;
  const area = Number((await cell(page, 1, 3).innerText()).replace(' cm²', ''));
  expect(Math.abs(area - share * 144 * 0.88 ** 2)).toBeLessThan(0.15);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Corners', exact: true }).click();
  for (const side of ['First to second corner', 'Second to third corner'])
    await page.getByLabel(side).fill('');
  await page.getByRole('button', { name: 'Keep these corners' }).click();
  await expect(page.getByText(/^Kept\. Later photos/)).toBeVisible();
}

test('a photo is added with its day, measured from the side, and deleted for good', async ({
  demo: page,
}) => {
  await openPan(page);
  const photo = await demoPhoto(page);
  const origin = new URL(page.url()).origin;
  const { experimentId } = await makeSchool(page, {
    sownOn: dayFromToday(-9),
    plan: { alsoRead: ['root direction'] },
  });
  await follow(page, `/experiments/${experimentId}/pictures`);
  await expect(page.getByText('No photo of this container yet')).toBeVisible();
  await page.getByLabel(sayPhotos('whatIsSeen')).selectOption('side');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add photos' }).click();
  await (
    await chooser
  ).setFiles([
    { name: 'oats.jpg', mimeType: 'image/jpeg', buffer: photo },
    { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') },
  ]);
  await page.getByLabel('Which pot').selectOption({ label: 'Pot 2' });
  await page.getByLabel('Day of oats.jpg').fill(dayFromToday(-1));
  await page.getByRole('button', { name: 'Keep these 2 photos' }).click();
  await expect(page.getByText(/JPEG, PNG or WebP/)).toBeVisible();
  await expect(page.getByLabel('Day of oats.jpg')).toHaveCount(0);
  await page.getByRole('button', { name: 'Leave out' }).click();

  await expect(page.locator('.found-height')).toHaveText(/give or take/);
  const before = await page.locator('.found-height').innerText();
  await page.getByLabel(sayPhotos('marksApart')).fill('nothing');
  await expect(page.getByText(/two marks of the ruler are too close/)).toBeVisible();
  await page.getByLabel(sayPhotos('marksApart')).fill('10 cm');
  await expect(page.locator('.found-height')).not.toHaveText(before);
  await page.getByRole('button', { name: 'Add a bend' }).click();
  await page.getByRole('button', { name: /^Stem mark 2/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep it for pot 2' }).click();
  await expect(page.getByText(/^Kept: /)).toBeVisible();
  const readings = await (
    await page.request.get(`${origin}/api/experiments/${experimentId}/readings`)
  ).json();
  expect(readings).toEqual([
    expect.objectContaining({ observer: 'picture', observedOn: dayFromToday(-1), unitOfMeasure: 'mm' }),
  ]);

  // Another plant in the same photo: the ruler's marks stay, its stem is its own.
  await page.getByLabel('Which pot').selectOption({ label: 'Pot 3' });
  await expect(page.getByText(/^Kept: /)).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it for pot 3' }).click();
  await expect(page.getByText(/^Kept: /)).toBeVisible();
  await page.getByLabel('What is measured').selectOption({ label: 'Direction of the root' });
  await expect(page.locator('.found-height')).toHaveText('180° from straight down, give or take 1°');
  await page.getByRole('button', { name: /^Stem mark 2/ }).focus();
  for (let press = 0; press < 30; press += 1) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.locator('.found-height')).toHaveText(/^1[0-7]\d° from straight down/);
  await page.getByRole('button', { name: 'Keep it for pot 3' }).click();
  await expect(page.getByText(/^Kept: 1[0-7]\d/)).toBeVisible();
  await page.reload();
  await page.getByLabel(sayPhotos('whatIsSeen')).selectOption('side');

  await page.getByRole('button', { name: sayPhotos('deletePicture') }).click();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.locator('.mark-editor')).toHaveCount(0);
  await expect(page.getByText(/^Kept: /)).toBeVisible();

  await page.getByLabel(sayPhotos('whatIsSeen')).selectOption('pot');
  await page.getByLabel('Which pot').selectOption({ label: 'Pot 4' });
  const next = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add photos' }).click();
  await (await next).setFiles([{ name: 'pot.jpg', mimeType: 'image/jpeg', buffer: photo }]);
  await page.getByRole('button', { name: 'Keep this photo' }).click();
  await page.getByRole('button', { name: 'Keep these corners' }).click();
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(page.locator('.covers tbody th')).toHaveText(['4']);
});

test('a brush leaves out what is no plant, two days lie over each other, and the film is saved', async ({
  demo: page,
}) => {
  await openPan(page);
  const origin = new URL(page.url()).origin;
  const [, experimentId] = /experiments\/([^/]+)/.exec(page.url()) ?? [];
  const photos = (await (
    await page.request.get(`${origin}/api/experiments/${experimentId}/photos`)
  ).json()) as {
    id: string;
    corners: number[] | null;
  }[];
  // The last photo gets corners of its own, so that other tests of this series are left alone.
  const last = photos.at(-1);
  await page
    .getByRole('button', { name: /^Photo of/ })
    .last()
    .click();
  const before = await cell(page, 5, 0).innerText();
  await page.getByRole('button', { name: 'Leave out', exact: true }).click();
  const brush = page.getByRole('application', { name: /^Brush/ });
  await brush.focus();
  for (const key of ['Shift+ArrowDown', 'Shift+ArrowDown', ' ']) await page.keyboard.press(key);
  await expect(page.getByText('One stroke.')).toBeVisible();
  const box = await brush.boundingBox();
  if (!box) throw new Error('there is no brush');
  await page.mouse.move(box.x + box.width * 0.4, box.y + box.height * 0.8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.8, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText('2 strokes.')).toBeVisible();
  await page.getByRole('button', { name: sayPhotos('takeStrokeBack') }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: sayPhotos('keepLeftOut') }).click();
  await expect(page.getByText('Kept. Photos are measured again')).toBeVisible();
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(page.getByText('13 photos looked at together')).toBeVisible({ timeout: 60_000 });
  await expect(cell(page, 5, 0)).not.toHaveText(before);
  await page.request.put(`${origin}/api/experiments/${experimentId}/photos/${last?.id}/frame`, {
    data: { corners: last?.corners ?? null, greyPatch: null, leftOut: [] },
  });

  await page.getByRole('button', { name: 'Two days' }).click();
  await page.getByLabel('Move the line').fill('20', { timeout: 60_000 });
  await page.getByLabel('Left: pot').selectOption({ label: 'Pot 3' });
  await page.getByLabel('Right: pot').selectOption({ label: 'Pot 3' });
  await expect(page.getByRole('img', { name: /^Pot 3 from above on/ })).toHaveCount(2);
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Film', exact: true }).click();
  await expect(page.getByText(/^Day \d+, /)).toBeVisible();
  await page.getByLabel('Pictures a second').selectOption('4');
  const files = [];
  for (const name of ['Save as GIF', 'Save the pictures (zip)']) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    files.push(await readFile(await (await download).path()));
  }
  const [gif, zip] = files as [Buffer, Buffer];
  const { pages, delay, width, format } = await sharp(gif).metadata();
  expect({ format, width, delays: new Set(delay), pages }).toEqual({
    ...{ format: 'gif', width: 640, delays: new Set([250]), pages: 13 },
  });
  const names = Object.keys(unzipSync(zip));
  expect(names).toHaveLength(13);
  expect(names[0]).toMatch(/^001-\d{4}-\d\d-\d\d\.png$/);
});

test('the film is on the board of the lesson, and is printed as cards to cut', async ({ demo: page }) => {
  await page.getByRole('link', { name: /clear lid/ }).click();
  await openStage(page, 'Teach');
  await page.getByRole('radio', { name: /^Our pictures/ }).click();
  await expect(page.locator('.film canvas')).toBeVisible();
  await expect(page.getByText(/^Day \d+, /)).toBeVisible({ timeout: 60_000 });
  await expectAccessible(page);
  await page.goto(page.url().replace(/\/teach.*/, '/print?sheet=flip'));
  await expect(page.locator('.flip-cards li')).toHaveCount(13, { timeout: 60_000 });
  await expect(page.getByText('13 of 13')).toBeVisible();
  await expectAccessible(page);
  const pdf = await page.pdf({ preferCSSPageSize: true });
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(2);
});

async function expectNarrow(page: Page): Promise<void> {
  for (const width of [820, 390]) {
    await page.setViewportSize({ width, height: 844 });
    for (const view of ['Corners', 'Measure', 'Leave out', 'By pot', 'Two days', 'Film']) {
      await page.getByRole('button', { name: view, exact: true }).click();
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect([width, view, wide]).toEqual([width, view, 0]);
    }
  }
}
