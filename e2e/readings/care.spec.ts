import { say as sayCare } from '@bright-sprout/words/care';
import { say as sayReadings } from '@bright-sprout/words/readings';
import { say as sayRefusals } from '@bright-sprout/words/refusals';
import { say as sayShared } from '@bright-sprout/words/shared';
import { makeSchool } from '../support/school.ts';
import { dayFromToday, expect, expectAccessible, otherContext, test, follow } from '../support/test.ts';

const TEMPLATE = `time,temperature,light
2026-01-05T08:00:00Z,18.5,2
31 February,3,3
`;

test('care is noted for chosen pots, shown on the ribbon and in the history, and taken back', async ({
  teacher: page,
}) => {
  const origin = new URL(page.url()).origin;
  const { experimentId } = await makeSchool(page);
  await follow(page, `/experiments/${experimentId}/record?view=care`);
  await page.getByRole('button', { name: /^Pot 2,/ }).click();
  await page.getByLabel(sayCare('mlForEachPot')).fill('a lot');
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.getByText('Give an amount from 0 to 10 000.')).toBeVisible();
  await page.getByLabel(sayCare('mlForEachPot')).fill('20');
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.getByText('Watered, 20 mL a pot pot 2')).toBeVisible();
  await expect(page.getByRole('radio', { name: /today.*watered/ })).toBeVisible();
  await page.getByRole('button', { name: 'Soil by touch' }).click();
  await page.getByLabel('The soil feels').selectOption('soggy');
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.getByText('Soil by touch: soggy pot 2')).toBeVisible();
  await page.getByRole('button', { name: 'All pots again' }).click();
  await page.getByRole('button', { name: sayShared('phOfTheSoil') }).click();
  await page.getByLabel('pH', { exact: true }).fill('99');
  await page.getByRole('button', { name: /Note it for all/ }).click();
  await expect(page.getByText('Give at most 14.')).toBeVisible();
  await expectAccessible(page);

  await page.getByLabel(sayCare('photoOfTheWholeSill')).setInputFiles({
    name: 'sill.png',
    mimeType: 'image/png',
    buffer: await page.screenshot(),
  });
  await expect(page.getByRole('img', { name: /^The sill on/ })).toBeVisible();
  await page.getByLabel(sayCare('photoOfTheWholeSill')).setInputFiles({
    name: 'sill.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText('This file is not a picture. Choose a photo.')).toBeVisible();

  await page.getByLabel(sayCare('fileOfALogger')).setInputFiles({
    name: 'l.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(TEMPLATE.replaceAll('2026-01-05', dayFromToday(0))),
  });
  await expect(page.getByText('2 values kept.')).toBeVisible();
  await expect(page.getByText(/Line 3: “31 February” is no time/)).toBeVisible();
  await expect(page.getByText('18.5 °C')).toBeVisible();
  await page.getByRole('button', { name: sayCare('newKeyForALogger') }).click();
  const key = await page.locator('.logger-panel code').innerText();
  const sent = await page.request.post(`${origin}/api/logger-samples`, {
    data: { key, samples: [{ sensor: 'soil moisture', value: 60, sampledAt: new Date().toISOString() }] },
  });
  expect(sent.status()).toBe(204);

  await page.getByRole('button', { name: 'History' }).click();
  await page.getByRole('button', { name: /^Pot 2,/ }).click();
  const history = page.getByRole('region', { name: 'History of pot 2' });
  await expect(history.getByText('Watered, 20 mL a pot')).toBeVisible();
  await history.getByRole('button', { name: 'Take it back' }).first().click();
  await expect(history.getByText('taken back')).toBeVisible();
  await expectAccessible(page);
});

test('a reading is set aside with a reason, left out of the comparison, and put back', async ({
  teacher: page,
}) => {
  const origin = new URL(page.url()).origin;
  const { experimentId } = await makeSchool(page);
  const experiment = await (await page.request.get(`${origin}/api/experiments/${experimentId}`)).json();
  for (const [index, value] of [20, 25, 22, 240].entries()) {
    await page.request.put(`${origin}/api/experiments/${experimentId}/readings/${crypto.randomUUID()}`, {
      data: {
        unitId: experiment.units[index].id,
        variableId: experiment.variables[0].id,
        observedOn: dayFromToday(0),
        state: 'emerged',
        value,
        entered: String(value),
        unitOfMeasure: 'mm',
        precision: 1,
      },
    });
  }
  await follow(page, `/experiments/${experimentId}/record?view=history`);
  await page.getByRole('button', { name: /^Pot 4,/ }).click();
  await page.getByRole('button', { name: 'Set aside' }).click();
  await expect(page.getByRole('button', { name: 'Set aside' })).toBeDisabled();
  await page.getByLabel(sayReadings('reasonForSettingItAside')).fill('Measured from the <b>table</b>');
  await page.getByRole('button', { name: 'Set aside' }).click();
  await expect(page.getByText('set aside: Measured from the <b>table</b>')).toBeVisible();
  const compared = async (): Promise<number> => {
    const { groups } = await (
      await page.request.get(`${origin}/api/experiments/${experimentId}/comparison`)
    ).json();
    return groups.reduce((sum: number, group: { points: unknown[] }) => sum + group.points.length, 0);
  };
  expect(await compared()).toBe(3);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: 'Set aside' })).toBeVisible();
  expect(await compared()).toBe(4);
});

test('progress is live by team, and a closed day takes nothing more from students', async ({
  teacher: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  const { experimentId, code } = await makeSchool(page);
  await follow(page, `/experiments/${experimentId}/record?view=progress`);
  await expect(page.getByText('0 of 10').first()).toBeVisible();
  const context = await otherContext(browser, {
    viewport: { width: 820, height: 1180 },
    serviceWorkers: 'block',
  });
  const tablet = await context.newPage();
  await tablet.goto(`${origin}/join?code=${code}`);
  await tablet.getByRole('button', { name: 'Join' }).click();
  await tablet.getByRole('button', { name: 'Ada' }).click();
  await tablet.getByRole('button', { name: /^1 / }).click();
  await tablet.getByRole('button', { name: 'Not up yet' }).click();
  await expect(page.getByText('1 of 10').first()).toBeVisible();
  await expect(page.getByText('Ada', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Close this day' }).click();
  await expect(page.getByRole('button', { name: sayReadings('openThisDayAgain') })).toBeVisible();
  await expectAccessible(page);
  await tablet.getByRole('button', { name: 'Not up yet' }).click();
  await expect(tablet.getByText(sayRefusals('yourTeacherClosedThisDayShowYour'))).toBeVisible();
  await context.close();
});

test('labels, kits, row markers, recording sheets and a helper’s card are ready to print', async ({
  demo: page,
}) => {
  await page.getByRole('link', { name: /zinnias/ }).click();
  await page.getByRole('link', { name: /^Sow/ }).click();
  await page.getByRole('link', { name: 'labels and kit cards' }).click();
  await expect(page.getByRole('article', { name: 'Labels' }).getByRole('listitem')).toHaveCount(12);
  await expect(page.getByRole('img', { name: 'Opens pot 12' })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Paper').selectOption('letter');
  for (const [name, words] of [
    ['Kit cards', 'Kit of Team Badger'],
    ['Row markers', 'right end'],
    ['Recording sheet', 'change'],
    ['Helper’s card', 'Please look after our plants'],
  ] as const) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('article').getByText(words).first()).toBeVisible();
    await expectAccessible(page);
  }
  await page.getByRole('button', { name: 'Recording sheet' }).click();
  await expect(page.locator('.no-change').first()).toHaveAccessibleName('no change at the first reading');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print', exact: true })).toBeHidden();
});

test('a pot that is moved stands in its new place from that day on, and why one never came up is noted', async ({
  teacher: page,
}) => {
  const { experimentId } = await makeSchool(page);
  await follow(page, `/experiments/${experimentId}/record?view=care`);
  const order = async (): Promise<string[]> =>
    (await page.getByRole('button', { name: /^Pot \d+,/ }).allInnerTexts()).map((text) => text.trim());
  await expect(page.getByRole('button', { name: /^Pot \d+,/ })).toHaveCount(10);
  const before = await order();
  await page.getByRole('button', { name: /^Pot 2,/ }).click();
  await page.getByRole('button', { name: 'Moved', exact: true }).click();
  const place = page.getByLabel('Pot 2 goes to');
  const swap = await place.getByRole('option', { name: /swaps with pot 1$/ }).innerText();
  await place.selectOption(swap);
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.locator('.care-list').getByText('Moved')).toBeVisible();
  await expect.poll(order).toEqual([before[1], before[0], ...before.slice(2)]);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect.poll(order).toEqual(before);

  await page.getByRole('button', { name: 'Why not up' }).click();
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.getByText(sayRefusals('sayWhyNothingCameUp'))).toBeVisible();
  await page.getByLabel(sayCare('whatKeptItDown')).selectOption('too deep');
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.getByText('Why not up: too deep')).toBeVisible();
  await page.getByRole('button', { name: 'Thinned', exact: true }).click();
  await page.getByLabel(sayCare('plantsOutOfEachPot')).fill('2');
  await page.getByRole('button', { name: 'Note it for 1 chosen pot' }).click();
  await expect(page.getByText('Thinned, 2 plants out of each pot')).toBeVisible();
  await page.getByRole('button', { name: 'History' }).click();
  await page.getByRole('button', { name: /^Pot 2,/ }).click();
  await expect(page.getByText(/^Plants: not counted on .* \(2 thinned\)/)).toBeVisible();
});
