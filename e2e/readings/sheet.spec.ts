import { makeSchool } from '../support/school.ts';
import { dayFromToday, expect, expectAccessible, test, follow } from '../support/test.ts';

const SIXTY = {
  replicates: 30,
  containers: [{ kind: 'pots', name: '', rows: 6, columns: 10, brightSide: 'top', cellMl: 100 }],
};

test('sixty pots are typed down the sheet, with keys, corrections, fill down and a pasted block', async ({
  teacher: page,
}) => {
  const origin = new URL(page.url()).origin;
  const { experimentId } = await makeSchool(page, { plan: { alsoRead: ['leaves', 'stage'], ...SIXTY } });
  await follow(page, `/experiments/${experimentId}/record?view=sheet`);
  const cell = (pot: number, variable: string) => page.getByLabel(`Pot ${pot}, ${variable}`, { exact: true });
  await expect(page.getByText('0 of 60 pots')).toBeVisible();
  await cell(1, 'height').focus();
  const started = Date.now();
  let keys = 0;
  for (let pot = 1; pot <= 60; pot += 1) {
    const text = pot % 7 === 0 ? 'n' : `${2 + (pot % 5) / 2}`;
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    keys += text.length + 1;
  }
  expect(keys / 60).toBeLessThanOrEqual(3.2);
  await cell(2, 'leaves').focus();
  await expect(page.getByText('60 of 60 pots')).toBeVisible();
  console.log(`60 pots typed and kept in ${((Date.now() - started) / 1000).toFixed(1)} s`);
  await expectAccessible(page);

  await cell(1, 'height').fill('40');
  await expect(
    page.getByText(/Is the decimal point in the right place\? 4\.0 cm is more likely\./),
  ).toBeVisible();
  await cell(1, 'height').fill('tall');
  await cell(1, 'height').press('Enter');
  await expect(page.locator('#note-0-0')).toBeVisible();
  await cell(1, 'height').fill('4');
  await cell(1, 'height').press('Enter');
  await expect(cell(2, 'height')).toBeFocused();

  await cell(1, 'leaves').fill('2');
  await page.getByRole('button', { name: 'Fill down' }).click();
  await expect(cell(60, 'leaves')).toHaveValue('2');

  await cell(3, 'stage').focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text', 'first true leaf\n2\nshrub\n');
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  const preview = page.getByRole('dialog');
  await expect(preview.getByRole('heading')).toHaveText('Paste 2 values?');
  await expect(preview.getByText('1 will be left out')).toBeVisible();
  await preview.getByRole('button', { name: 'Put them in' }).click();
  await expect(cell(4, 'stage')).toHaveValue('first true leaf');

  await expect(async () => {
    const stored = await (
      await page.request.get(`${origin}/api/experiments/${experimentId}/readings`)
    ).json();
    expect(stored.length).toBe(60 + 1 + 60 + 2);
    const counting = stored.filter((one: { counts: boolean; observedOn: string }) => one.counts);
    expect(counting.length).toBe(60 + 60 + 2);
    expect(new Set(counting.map((one: { observedOn: string }) => one.observedOn))).toEqual(
      new Set([dayFromToday(0)]),
    );
  }).toPass();
  await page.reload();
  await expect(cell(1, 'height')).toHaveValue('4.0');
  await expect(cell(7, 'height')).toHaveValue('not up yet');
});

test('what was typed into a cell when the page was left is there again, and kept', async ({
  teacher: page,
}) => {
  const origin = new URL(page.url()).origin;
  const { experimentId } = await makeSchool(page);
  await follow(page, `/experiments/${experimentId}/record?view=sheet`);
  const cell = page.getByLabel('Pot 3, height', { exact: true });
  await cell.focus();
  await page.keyboard.type('4.5');
  await page.reload();
  await expect(cell).toHaveValue('4.5');
  await expect(async () => {
    const stored = await (
      await page.request.get(`${origin}/api/experiments/${experimentId}/readings`)
    ).json();
    expect(stored.map(({ value }: { value: number }) => value)).toEqual([45]);
  }).toPass();
});
