import { say as sayReadings } from '@bright-sprout/words/readings';
import { say as sayStudent } from '@bright-sprout/words/student';
import type { Page } from '@playwright/test';
import { joinOn, makeSchool } from '../support/school.ts';
import {
  dayFromToday,
  expect,
  expectAccessible,
  openStage,
  otherContext,
  test,
  follow,
} from '../support/test.ts';

test.use({ serviceWorkers: 'allow' });

const DAY_MS = 86_400_000;

test('a sowing day, a day without network and a day with it, on a tablet', async ({
  teacher: page,
  browser,
}) => {
  const { code, experimentId } = await makeSchool(page, {
    sownOn: null,
    plan: { replicates: 2, alsoRead: ['leaves'] },
  });
  const origin = new URL(page.url()).origin;
  const context = await otherContext(browser, {
    viewport: { width: 820, height: 1180 },
    serviceWorkers: 'allow',
  });
  const tablet = await context.newPage();

  await joinOn(tablet, origin, code, 'Ada');
  await tablet.getByRole('button', { name: 'Sow 4 pots today' }).click();
  await expectAccessible(tablet);
  for (const pot of [1, 2]) {
    const ticks = tablet.getByRole('region', { name: `Pot ${pot}`, exact: true }).getByRole('button');
    // A pot that is given nothing has no tick for it.
    for (let index = 0; index < (await ticks.count()); index += 1) {
      await ticks.nth(index).click();
      await expect(ticks.nth(index)).toHaveAttribute('aria-pressed', 'true');
    }
  }
  await expect(tablet.getByText('2 of 4 pots are ready.')).toBeVisible();

  await follow(page, `/experiments/${experimentId}/sow`);
  await expect(page.getByRole('button', { name: /^Pot 1, .*ready$/ })).toBeVisible();
  await page.getByRole('button', { name: /^Pot 4, / }).click();
  await page.getByLabel('Seeds really in').fill('7');
  await page.getByLabel('Anything different?').fill('one seed rolled away');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('button', { name: /^Pot 4, .*7 seeds/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('All 4 pots were sown on').fill(dayFromToday(-3));
  await page.getByRole('button', { name: /Mark all/ }).click();
  await expect(page.getByRole('heading', { name: /^Sown on/ })).toBeVisible();

  // The tablet's clock stands at yesterday: what is read without network belongs there.
  await tablet.goto(`${origin}/join`);
  await expect(tablet.getByRole('button', { name: /to do$/ })).toHaveCount(4);
  await tablet.waitForFunction(
    async () => (await navigator.serviceWorker.ready).active?.state === 'activated',
  );
  await tablet.waitForFunction(() => navigator.serviceWorker.controller !== null);
  // Of pots to read, that is, not only of those that were to be sown.
  await expect.poll(() => keptOn(tablet)).toContain('"isClosed"');
  await tablet.clock.setFixedTime(Date.now() - DAY_MS);
  await context.setOffline(true);
  await tablet.getByRole('button', { name: /^1 / }).click();
  await tablet.getByRole('button', { name: 'Yes', exact: true }).click();
  await tablet.getByLabel(sayStudent('howTallIsTheTallestPlant')).fill('1.5');
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await expect(
    tablet.getByRole('heading', { name: sayReadings('howManyLeavesWithoutTheSeedLeaves') }),
  ).toBeVisible();
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await tablet.getByRole('button', { name: 'Not up yet' }).click();
  await expect(tablet.getByText('3 waiting on this device')).toBeVisible();
  await expect(tablet.getByRole('heading', { name: /Pot 3/ })).toBeVisible();
  await tablet.reload();
  await expect(tablet.getByRole('heading', { name: /Pot 3/ })).toBeVisible();
  await tablet.getByRole('button', { name: sayStudent('backToMyPots') }).click();
  await expect(tablet.getByRole('button', { name: /1\.5 cm/ })).toBeVisible();
  await expect(tablet.getByText('3 waiting on this device')).toBeVisible();
  await expectAccessible(tablet);

  // The day after, with network: two pages of one tablet send the same queue, and each thing is stored once.
  await tablet.clock.setFixedTime(Date.now());
  const second = await context.newPage();
  await context.setOffline(false);
  await second.goto(`${origin}/join`);
  await expect(tablet.getByText(/waiting on this device/)).toHaveCount(0, { timeout: 30_000 });
  await expect(tablet.getByRole('button', { name: /to do$/ })).toHaveCount(4);
  await second.close();

  await tablet.getByRole('button', { name: /^1 / }).click();
  await tablet.getByRole('button', { name: 'Yes', exact: true }).click();
  await tablet.getByLabel(sayStudent('howTallIsTheTallestPlant')).fill('2');
  await expect(tablet.getByText('0.5 cm more than on')).toBeVisible();
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await expect(tablet.getByRole('heading', { name: /Pot 2/ })).toBeVisible();
  await tablet.getByRole('button', { name: 'Not up yet' }).click();

  // The teacher's page learned of it by itself, and shows both days.
  await openStage(page, 'Record');
  await expect(page.getByRole('button', { name: /^Pot 1, .*, 2\.0 cm$/ })).toBeVisible();
  await expect(tablet.getByRole('heading', { name: /Pot 3/ })).toBeVisible();
  await tablet.getByRole('button', { name: 'It looks dead' }).click();
  await expect(tablet.getByRole('heading', { name: sayStudent('isItReallyDead') })).toBeFocused();
  await tablet.getByRole('button', { name: 'It looks dead' }).click();
  await tablet.getByRole('button', { name: sayStudent('onToTheNext') }).click();
  await expect(page.getByRole('button', { name: /^Pot 3, .*, dead$/ })).toBeVisible();
  await page.getByRole('button', { name: /^Pot 1, / }).click();
  await page.getByRole('button', { name: 'History' }).click();
  const readings = await (
    await page.request.get(`${origin}/api/experiments/${experimentId}/readings`)
  ).json();
  const days = readings.map((one: { observedOn: string; value: number | null }) => [
    one.observedOn,
    one.value,
  ]);
  expect(days.sort()).toEqual(
    [
      [dayFromToday(-1), null],
      [dayFromToday(-1), 0],
      [dayFromToday(-1), 15],
      [dayFromToday(0), null],
      [dayFromToday(0), null],
      [dayFromToday(0), 0],
      [dayFromToday(0), 20],
    ].sort(),
  );
  await expect(page.getByText('height: 2.0 cm')).toBeVisible();
  await expect(page.getByText('height: 1.5 cm')).toBeVisible();
  await context.close();
});

/** What the tablet wrote down of what it fetched, as text. */
function keptOn(tablet: Page): Promise<string> {
  return tablet.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const opening = indexedDB.open('bright-sprout');
        opening.onsuccess = () => {
          const asking = opening.result.transaction('kept').objectStore('kept').get('queries');
          asking.onsuccess = () => resolve(JSON.stringify(asking.result ?? null));
        };
      }),
  );
}
