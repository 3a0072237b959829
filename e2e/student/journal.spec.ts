import { say as sayRefusals } from '@bright-sprout/words/refusals';
import { say as sayStatements } from '@bright-sprout/words/statements';
import { say as sayStudent } from '@bright-sprout/words/student';
import { joinOn, makeSchool } from '../support/school.ts';
import { expect, expectAccessible, otherContext, test, follow } from '../support/test.ts';

test('a photo, a drawing with labels and a sentence with word chips reach the teacher', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  const { code, experimentId } = await makeSchool(page, {
    names: ['<script>alert(1)</script>'.slice(0, 40)],
  });
  const context = await otherContext(browser, {
    viewport: { width: 820, height: 1180 },
    serviceWorkers: 'block',
  });
  const tablet = await context.newPage();
  await joinOn(tablet, origin, code, '<script>');
  await tablet.getByRole('button', { name: /^1 / }).click();
  const show = async (): Promise<void> =>
    tablet.getByRole('button', { name: sayStudent('photoDrawingOrSentence') }).click();

  await show();
  await expectAccessible(tablet);
  const buffer = await tablet.screenshot();
  await tablet
    .getByLabel('Choose a photo')
    .setInputFiles({ name: 'x.txt', mimeType: 'image/png', buffer: Buffer.from('x') });
  await expect(tablet.getByText('This file is not a picture. Choose a photo.')).toBeVisible();
  await tablet.getByLabel('Choose a photo').setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer });
  await tablet.getByRole('button', { name: 'seed leaf' }).click();
  await tablet.getByRole('button', { name: 'Keep it' }).click();

  await show();
  await tablet.getByRole('button', { name: 'Drawing' }).click();
  const box = (await tablet.locator('.sheet').boundingBox())!;
  await tablet.mouse.move(box.x + 200, box.y + 350);
  await tablet.mouse.down();
  await tablet.mouse.move(box.x + 220, box.y + 80, { steps: 6 });
  await tablet.mouse.up();
  await tablet.getByRole('button', { name: 'stem', exact: true }).click();
  await tablet.getByRole('button', { name: 'Tap where “stem” goes' }).press('Enter');
  const label = tablet.locator('.sheet-label');
  await expect(label).toHaveText('stem');
  const before = await label.getAttribute('aria-label');
  await label.press('ArrowDown');
  await expect(label).not.toHaveAttribute('aria-label', before ?? '');
  await tablet.getByRole('button', { name: 'root', exact: true }).click();
  await tablet.getByRole('button', { name: 'Tap where “root” goes' }).press('Enter');
  await label.last().press('Delete');
  await expect(label).toHaveCount(1);
  await tablet.getByRole('button', { name: 'Eraser' }).click();
  await tablet.getByRole('button', { name: 'Thick pen' }).click();
  await expectAccessible(tablet);
  await tablet.getByRole('button', { name: sayStudent('theDrawingIsReady') }).click();
  await tablet.getByRole('button', { name: 'Keep it' }).click();

  await show();
  await tablet.getByRole('button', { name: sayStudent('goOnWithIt') }).click();
  await expect(label).toHaveText('stem');
  await expect(tablet.locator('.sheet svg path')).not.toHaveCount(0);
  await tablet.getByRole('button', { name: sayStudent('backToThePot') }).click();

  await show();
  await tablet.getByRole('button', { name: 'Sentence' }).click();
  await expect(tablet.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  await tablet.getByLabel(sayStudent('whatDoYouSee')).fill('The');
  await tablet.getByRole('button', { name: 'shoot', exact: true }).click();
  await expect(tablet.getByLabel(sayStudent('whatDoYouSee'))).toHaveValue('The shoot');
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await expect(tablet.getByRole('heading', { name: sayStudent('canYouSeeASprout') })).toBeVisible();

  await follow(page, `/experiments/${experimentId}/record?view=history`);
  await page.getByRole('button', { name: /^Pot 1,/ }).click();
  await expect(page.getByRole('img', { name: /^Photo by <script>/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Drawing by <script>/ })).toBeVisible();
  await expect(page.getByText('The shoot')).toBeVisible();
  const [photo] = await (await page.request.get(`${origin}/api/experiments/${experimentId}/journal`)).json();
  expect((await tablet.request.get(`${origin}/api/device/journal/${photo.id}/picture`)).status()).toBe(200);
  const stranger = await otherContext(browser);
  expect((await stranger.request.get(`${origin}/api/device/journal/${photo.id}/picture`)).status()).toBe(401);
  await stranger.close();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Remove' }).last().click();
  await expect(page.getByText('The shoot')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Photo by <script>/ })).toHaveCount(0);
  await context.close();
});

test('a PIN is asked where the class wants it, and rulers are practised before real plants', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  const { code, classId } = await makeSchool(page, { asksPin: true, pin: '2468' });
  const context = await otherContext(browser, {
    viewport: { width: 820, height: 1180 },
    serviceWorkers: 'block',
  });
  const tablet = await context.newPage();
  await joinOn(tablet, origin, code, 'Ada');
  await tablet.getByLabel('PIN').fill('1111');
  await tablet.getByRole('button', { name: 'Go on' }).click();
  await expect(tablet.getByText(sayRefusals('thatIsNotThePinOfThis'))).toBeVisible();
  await expectAccessible(tablet);
  await tablet.getByLabel('PIN').fill('2468');
  await tablet.getByRole('button', { name: 'Go on' }).click();
  await tablet.getByRole('button', { name: sayStudent('practiseReadingARuler') }).click();
  for (let turn = 0; turn < 5; turn += 1) {
    await expect(tablet.locator('.practice-ruler')).toBeVisible();
    await tablet.getByLabel(sayStudent('howLongIsTheStem')).fill('long');
    await tablet.getByRole('button', { name: 'Check' }).click();
    await expect(tablet.locator('.field-problem')).toBeVisible();
    await tablet.getByLabel(sayStudent('howLongIsTheStem')).fill('9');
    await tablet.getByRole('button', { name: 'Check' }).click();
    await expect(tablet.getByText(/^(Right:|It is)/)).toBeVisible();
    if (turn === 0) await expectAccessible(tablet);
    await tablet.getByRole('button', { name: 'Another ruler' }).click();
  }
  // The tablet shows the truth at once and sends the reading meanwhile.
  const practised = async (): Promise<number> =>
    (await (await page.request.get(`${origin}/api/classes/${classId}/practice`)).json()).n;
  await expect.poll(practised).toBe(5);
  await context.close();
  await follow(page, '/classes');
  await expect(page.getByText(/On practice rulers this class is usually/)).toBeVisible();
  await expect(page.getByLabel('PIN of Ada')).toHaveValue('2468');
  await expectAccessible(page);
});

test('two people who read one pot are both kept, and their agreement is shown', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  const { code, experimentId } = await makeSchool(page, { names: ['Ada', 'Ben'], plan: { replicates: 1 } });
  const context = await otherContext(browser, {
    viewport: { width: 820, height: 1180 },
    serviceWorkers: 'block',
  });
  const tablet = await context.newPage();
  await joinOn(tablet, origin, code, 'Ada');
  const read = async (pot: number, value: string): Promise<void> => {
    await tablet.getByRole('button', { name: new RegExp(`^${pot} `) }).click();
    await tablet.getByRole('button', { name: 'Yes', exact: true }).click();
    await tablet.getByLabel(sayStudent('howTallIsTheTallestPlant')).fill(value);
    await tablet.getByRole('button', { name: 'Keep it' }).click();
  };
  await read(1, '4');
  await tablet.getByRole('button', { name: 'Not up yet' }).click();
  await tablet.getByRole('button', { name: 'Somebody else' }).click();
  await tablet.getByRole('button', { name: 'Ben' }).click();
  await expect(tablet.getByText(/Now measure pots 1 and 2 again/)).toBeVisible();
  await read(1, '4.5');
  await expect(tablet.getByRole('button', { name: /^1 .*4\.5 cm/ })).toBeVisible();
  await context.close();
  await follow(page, `/experiments/${experimentId}/record?view=progress`);
  const row = page.getByRole('row', { name: /^Otters/ });
  await expect(row).toContainText('0.50 cm');
  await expect(row).toContainText(sayStatements('oneValueHasNoSpread'));
});
