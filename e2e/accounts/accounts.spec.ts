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
  await expect(page.getByText('Choose a password of at least 10 characters.')).toBeVisible();
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
  await expect(page.getByText('This experiment is not on your shelf')).toBeVisible();
  await page.close();
});
