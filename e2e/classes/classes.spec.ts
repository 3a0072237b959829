import { say as sayPlans } from '@bright-sprout/words/plans';
import { say as sayRefusals } from '@bright-sprout/words/refusals';
import { expect, expectAccessible, openPart, test, follow } from '../support/test.ts';

test('a class with a pasted roster gets teams by chance, and its pots evenly or by hand', async ({
  teacher: page,
}) => {
  await page.getByRole('link', { name: 'Classes' }).click();
  await page.getByRole('button', { name: 'Make this class' }).click();
  await expect(page.getByText('Name the class in up to 60 characters.')).toBeVisible();
  await page.getByLabel('Class name').fill('5b');
  await page.getByLabel('Tue').uncheck();
  await page.getByRole('button', { name: 'Make this class' }).click();
  await expect(page.getByText(/and type [A-Z0-9]{6}/)).toBeVisible();

  const names = [
    'Name,Group',
    'Ada,1',
    'Ben,1',
    'Cy,2',
    '"<img src=x onerror=alert(1)>",2',
    'Dot',
    'Eli',
  ].join('\n');
  await page.getByLabel('Display names').fill(names);
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('heading', { name: '6 students' })).toBeVisible();
  await page.getByLabel('How many teams').fill('3');
  await page.getByRole('button', { name: 'Make random teams' }).click();
  await expect(page.getByRole('heading', { name: '6 students, 3 teams' })).toBeVisible();
  await expect(page.locator('.team-names small')).toHaveText(['2', '2', '2']);
  await page.getByLabel('Display name of Ben').fill('Ada');
  await page.getByLabel('Display name of Ben').blur();
  await expect(page.getByText(sayRefusals('anotherStudentHasThisNameAddAn'))).toBeVisible();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Remove Eli for good' }).click();
  await expect(page.getByRole('heading', { name: '5 students, 3 teams' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByLabel('Your question').fill('Do cups matter to spinach?');
  await page.getByLabel('Crop').selectOption({ label: 'Spinach' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await openPart(page, 'Pots');
  await page.getByLabel(sayPlans('classThatRunsIt')).selectOption({ label: '5b, 5 students' });
  await expect(page.getByRole('button', { name: 'Otters 4' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Badgers 3' })).toBeVisible();
  await page.getByRole('button', { name: 'Badgers 3' }).click();
  await page
    .getByRole('button', { name: /^Pot \d+, .*, Otters$/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Badgers 4' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Otters 3' })).toBeVisible();
  await openPart(page, 'Days');
  await page.getByText('When the class meets').click();
  const days = page.locator('.days-of-class');
  await expect(days).toContainText('Wed');
  await expect(days).not.toContainText('Tue');

  await follow(page, '/classes');
  await page.getByRole('button', { name: 'Remove this class' }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByText('A class needs a name and its meeting days.')).toBeVisible();
});
