import { say as sayAccounts } from '@bright-sprout/words/accounts';
import { say as sayApp } from '@bright-sprout/words/app';
import { say as sayExperiments } from '@bright-sprout/words/experiments';
import { text } from 'node:stream/consumers';
import { expect, expectAccessible, test } from '../support/test.ts';

test('wrong sign-in: words, and what was typed stays', async ({ app: page }) => {
  await page.getByLabel('E-mail').fill('nobody@school.example');
  await page.getByLabel('Password').fill('wrong password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('do not go together');
  await expect(page.getByLabel('E-mail')).toHaveValue('nobody@school.example');
});

test('wrong fields are told at their places', async ({ app: page }) => {
  await page.getByRole('button', { name: /Open an account/ }).click();
  await page.getByLabel(/Password/).fill('short');
  await page.getByRole('button', { name: 'Open an account', exact: true }).click();
  await expect(page.getByText('Choose a password of at least 12 characters.')).toBeVisible();
  await expect(page.getByText('Give an e-mail address')).toBeVisible();
  await expectAccessible(page);
});

test('signing out closes everything, also with the back button', async ({ demo: page }) => {
  await page.getByRole('link', { name: 'Does seaweed' }).click();
  await page
    .getByRole('region', { name: /Read pot|Compare/ })
    .or(page.locator('.headline'))
    .first()
    .waitFor();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('another teacher’s experiment is not on my shelf, whatever its address', async ({ demo, browser }) => {
  await demo.getByRole('link', { name: 'Do turnips' }).click();
  await demo.waitForURL(/experiments/);
  const address = demo.url();
  const page = await browser.newPage();
  await page.goto(address);
  await page.getByRole('button', { name: /Open an account/ }).click();
  await page.getByLabel('Name your students').fill('Stranger');
  await page.getByLabel('E-mail').fill(`stranger-${process.pid}@school.example`);
  await page.getByLabel(/Password/).fill('a long password');
  await page.getByRole('button', { name: 'Open an account', exact: true }).click();
  await expect(page.getByText(sayApp('thisExperimentIsNotOnYourShelf'))).toBeVisible();
  await page.close();
});

test('the account: another password with a meter, sign-ins elsewhere ended, and removal with a password', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  await page.getByRole('link', { name: 'Mx Fennel' }).click();
  await expect(page.getByRole('heading', { name: 'Your account' })).toBeVisible();
  const email = /\S+@school\.example/.exec(await page.getByRole('main').innerText())?.[0] ?? '';
  await page.getByLabel('Current password').fill('a long password');
  await page.getByLabel('New password').fill('password1234');
  await expect(page.getByText(sayAccounts('guessedSoon'))).toBeVisible();
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('that is not a common one')).toBeVisible();
  await page.getByLabel('New password').fill('three quiet otters');
  await expect(page.getByText('Very good.')).toBeVisible();
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('Your password is changed.')).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: sayAccounts('saveTheFile') }).click();
  await page.getByLabel('Your password again').fill('three quiet otters');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Go on' }).click();
  const file = await (await coming).createReadStream();
  const kept = JSON.parse(await text(file)) as { teacher: { email: string }[] };
  expect(kept.teacher.map((one) => one.email)).toEqual([email]);

  const other = await browser.newPage();
  await other.goto(origin);
  await other.getByLabel('E-mail').fill(email);
  await other.getByLabel('Password').fill('three quiet otters');
  await other.getByRole('button', { name: 'Sign in' }).click();
  await other.getByRole('heading', { name: sayExperiments('anEmptyShelfAndAQuestion') }).waitFor();
  await page.reload();
  await page.getByRole('button', { name: 'Sign out there' }).click();
  await expect(page.getByRole('button', { name: 'Sign out there' })).toHaveCount(0);
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.close();

  await page.getByRole('button', { name: 'Remove it…' }).click();
  await page.getByRole('button', { name: 'Remove for good' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  const inBrowser = await page.evaluate(() =>
    [...Object.keys(localStorage), ...Object.keys(sessionStorage)].filter((name) =>
      name.startsWith('bright-sprout.'),
    ),
  );
  expect(inBrowser).toEqual([]);
});

test('an empty shelf offers a finished example to look into', async ({ teacher: page }) => {
  await page.getByRole('button', { name: sayExperiments('lookIntoAnExample') }).click();
  await expect(page.locator('.headline')).toBeVisible();
  await page.getByRole('link', { name: 'To the shelf' }).click();
  await expect(page.getByRole('link', { name: /^Example: / })).toBeVisible();
});
