import { say as sayApp } from '@bright-sprout/words/app';
import { say as sayLessons } from '@bright-sprout/words/lessons';
import { say as sayPlans } from '@bright-sprout/words/plans';
import { say as saySharing } from '@bright-sprout/words/sharing';
import type { Browser, Page } from '@playwright/test';
import sharp from 'sharp';
import { makeSchool } from '../support/school.ts';
import { expect, expectAccessible, openStage, otherContext, test, follow } from '../support/test.ts';

/** A colleague with an account of the same school, in a browser of her own. */
async function colleague(browser: Browser, address: string, name: string): Promise<Page> {
  const page = await (await otherContext(browser, { viewport: { width: 820, height: 1180 } })).newPage();
  await page.goto(address);
  await page.getByRole('button', { name: /Open an account/ }).click();
  await page.getByLabel('Name your students').fill(name);
  await page.getByLabel('E-mail').fill(`colleague-${process.pid}-${Date.now()}@school.example`);
  await page.getByLabel(/Password/).fill('a long password');
  await page.getByRole('button', { name: 'Open an account', exact: true }).click();
  return page;
}

/** A class of two children that runs one sown experiment, and the page where it is shared. */
async function openClass(page: Page, photographed = false): Promise<void> {
  const { experimentId } = await makeSchool(page, { names: ['Ada', 'Ben'] });
  if (photographed) await addPhoto(page, experimentId);
  await follow(page, '/classes');
}

/** Adds a photo of a grey pan, taken from above, through the interface. */
async function addPhoto(page: Page, experimentId: string): Promise<void> {
  const grey = { width: 400, height: 300, channels: 3, background: '#777' } as const;
  const buffer = await sharp({ create: grey }).png().toBuffer();
  await follow(page, `/experiments/${experimentId}/pictures`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add photos' }).click();
  await (await chooser).setFiles([{ name: 'pan.png', mimeType: 'image/png', buffer }]);
  await page.getByRole('button', { name: 'Keep this photo' }).click();
  await expect(page.getByRole('button', { name: 'Keep these corners' })).toBeVisible();
}

async function invitationFrom(page: Page, may: string): Promise<string> {
  await page.getByLabel('They may').selectOption({ label: may });
  await page.getByRole('button', { name: 'Invite a co-teacher' }).click();
  await expect(page.getByText('It works once.')).toBeVisible();
  return (await page.locator('.invitation b').innerText()).trim();
}

test('a colleague is invited to see a class, then may change it, and has it at the year’s end', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  await openClass(page, true);
  const address = await invitationFrom(page, 'see');
  await expectAccessible(page);

  const other = await colleague(browser, `${origin}${new URL(address).pathname}`, 'Ms Yarrow');
  await expect(other.getByText('Mx Fennel shares the class 5b and its experiments with you.')).toBeVisible();
  await expectAccessible(other);
  await other.getByRole('button', { name: 'Accept' }).click();
  await expect(other.getByText('you may see it, and change nothing')).toBeVisible();
  await expect(other.getByLabel('Class name')).toBeDisabled();
  await expect(other.getByLabel('Display name of Ada')).toBeDisabled();
  await expect(other.getByRole('button', { name: 'Remove this class' })).toHaveCount(0);
  await expect(other.getByText(/and type [A-Z0-9]{6}/)).toHaveCount(0);
  await expectAccessible(other);

  await other.getByRole('link', { name: 'Shelf' }).click();
  await expect(other.getByText('shared by Mx Fennel')).toBeVisible();
  await other.locator('.board h2 a').click();
  await openStage(other, 'Plan');
  await expect(other.getByRole('textbox', { name: 'Question' })).toBeDisabled();
  await expect(other.getByRole('button', { name: 'Copy this plan' })).toBeEnabled();
  await openStage(other, 'Record');
  await expect(other.getByText('You can view this experiment but not add readings.')).toBeVisible();
  await other.goto(other.url().replace(/record.*/, 'pictures'));
  await expect(other.getByText('Nobody has marked the corners')).toBeVisible();
  await expect(other.getByRole('img', { name: /^Photo of/ })).toBeVisible();
  await expect(other.getByRole('button', { name: /Add photos|Keep|Delete|Start over/ })).toHaveCount(0);
  await expectAccessible(other);
  await openStage(other, 'Teach');
  await expect(other.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await expect(other.getByRole('button', { name: sayLessons('oneOfYourOwn') })).toBeDisabled();
  await openStage(other, 'Sow');
  await other.getByRole('link', { name: 'Go to Record' }).click();
  await other.waitForURL(/record/);
  await openStage(other, 'Teach');
  await expectAccessible(other);

  await page.reload();
  await page.getByLabel('Ms Yarrow may').selectOption({ label: 'see and change' });
  await expect(page.getByLabel('Ms Yarrow may')).toHaveValue('change');
  await openStage(other, 'Plan');
  await other.reload();
  await expect(other.getByText('shares this with you: you may change it')).toBeVisible();
  await other.getByLabel(sayPlans('whatWeExpectAndWhy')).fill('We expect what a colleague wrote.');
  await expect(other.getByText('Saved', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Hand over to Ms Yarrow…' }).click();
  await expect(page.getByRole('dialog', { name: 'Hand over to Ms Yarrow…' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Hand it over' }).click();
  await expect(
    page.getByText('Ms Yarrow shares this with you: you may see it, and change nothing.'),
  ).toBeVisible();
  await other.goto(`${origin}/classes`);
  await expect(other.getByRole('button', { name: 'Remove this class' })).toBeVisible();

  await page.getByRole('button', { name: 'Leave “5b”' }).click();
  await expect(page.getByText('A class needs a name and its meeting days.')).toBeVisible();
  await other.context().close();
});

test('a code is typed by hand, a wrong one is told, and a share that ended closes the page', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  await openClass(page);
  const address = await invitationFrom(page, 'see and change');
  const other = await colleague(browser, `${origin}/invited`, 'Mr Sedge');
  await other.getByLabel(saySharing('typeTheCode')).fill('AAAAA AAAAA');
  await other.getByRole('button', { name: 'Look at it' }).click();
  await expect(other.getByText('Nobody is invited by this code any more')).toBeVisible();
  await expectAccessible(other);
  await other.getByLabel(saySharing('typeTheCode')).fill(address);
  await other.getByRole('button', { name: 'Look at it' }).click();
  await other.getByRole('button', { name: 'Accept' }).click();
  await expect(other.getByText('you may change it')).toBeVisible();
  await other.getByRole('link', { name: 'Shelf' }).click();
  await other.locator('.board h2 a').click();
  await openStage(other, 'Plan');
  await expect(other.getByRole('textbox', { name: 'Question' })).toBeEnabled();

  await page.reload();
  await page.getByRole('button', { name: 'End this for Mr Sedge' }).click();
  await expect(page.getByRole('button', { name: 'End this for Mr Sedge' })).toHaveCount(0);
  await other.reload();
  await expect(other.getByText(sayApp('thisExperimentIsNotOnYourShelf'))).toBeVisible();
  await other.context().close();
});
