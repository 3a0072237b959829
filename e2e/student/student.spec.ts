import { say as sayRefusals } from '@bright-sprout/words/refusals';
import { say as sayStudent } from '@bright-sprout/words/student';
import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { dayFromToday, expect, expectAccessible, otherContext, test, follow } from '../support/test.ts';

interface Prepared {
  readonly code: string;
  readonly experimentId: string;
}

/** A class of two teams with an experiment of theirs, sown a week ago. */
async function prepare(page: Page): Promise<Prepared> {
  const put = async (path: string, data: object) => {
    const answer = await page.request.put(`${new URL(page.url()).origin}/api${path}`, { data });
    expect([path, answer.status()]).toEqual([path, 200]);
    return answer.json();
  };
  const classId = randomUUID();
  const teams = ['Otters', 'Herons'].map((name) => ({ id: randomUUID(), name }));
  const students = ['Ada', 'Ben', '<b>Cy</b>'].map((displayName, index) => ({
    id: randomUUID(),
    displayName,
    avatar: ['snail', 'fish', 'bug'][index],
    teamId: teams[index % 2]!.id,
  }));
  const days = { meetingDays: [1, 2, 3, 4, 5, 6, 7], holidays: [] };
  const { code } = await put(`/classes/${classId}`, {
    name: '5b',
    readingLevel: '8-10',
    timeZone: 'UTC',
    ...days,
  });
  await put(`/classes/${classId}/roster`, { teams, students });
  const experimentId = randomUUID();
  const draft = await put(`/experiments/${experimentId}`, {
    question: 'Does wind bend oats?',
    cropId: 'oat',
  });
  const units = draft.units.map(({ id }: { id: string }, index: number) => ({
    unitId: id,
    teamId: teams[index < 3 ? 0 : 1]!.id,
  }));
  await put(`/experiments/${experimentId}/class`, { classId, units });
  await put(`/experiments/${experimentId}/sowing`, { sownOn: dayFromToday(-7) });
  return { code, experimentId };
}

test('a student joins by code, chooses a picture, reads the pots of the team and puts one right', async ({
  teacher: page,
  browser,
}) => {
  const { code, experimentId } = await prepare(page);
  const context = await otherContext(browser, { viewport: { width: 820, height: 1180 }, hasTouch: true });
  const tablet = await context.newPage();
  const origin = new URL(page.url()).origin;
  await tablet.goto(`${origin}/join`);
  await tablet.getByLabel('Class code').fill('zzzzzz');
  await tablet.getByRole('button', { name: 'Join' }).click();
  await expect(tablet.getByText(sayRefusals('noClassHasThisCodeLookAt'))).toBeVisible();
  await expectAccessible(tablet);
  await tablet.getByLabel('Class code').fill(code.toLowerCase());
  await tablet.getByRole('button', { name: 'Join' }).click();
  await expect(tablet.getByRole('button', { name: '<b>Cy</b>' })).toBeVisible();
  await expectAccessible(tablet);
  await tablet.getByRole('button', { name: 'Ada' }).click();
  await expect(tablet.getByRole('button', { name: /to do$/ })).toHaveCount(3);
  await expectAccessible(tablet);

  await tablet.getByRole('button', { name: /^1 / }).click();
  await expectAccessible(tablet);
  await expect(tablet.getByRole('heading', { name: sayStudent('canYouSeeASprout') })).toBeFocused();
  await tablet.getByRole('button', { name: 'Yes', exact: true }).click();
  await expect(tablet.getByRole('heading', { name: sayStudent('howTallIsTheTallestPlant') })).toBeFocused();
  await tablet.getByLabel(sayStudent('howTallIsTheTallestPlant')).fill('tall');
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await expect(tablet.locator('.field-problem')).toBeVisible();
  await tablet.getByLabel(sayStudent('howTallIsTheTallestPlant')).fill('3.5');
  await expect(tablet.getByText('First reading, so there is no change yet.')).toBeVisible();
  await expectAccessible(tablet);
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await expect(tablet.getByRole('heading', { name: /Pot 2/ })).toBeVisible();
  await tablet.getByRole('button', { name: 'Not up yet' }).click();
  await tablet.getByRole('button', { name: 'It looks dead' }).click();
  await expect(tablet.getByRole('heading', { name: sayStudent('isItReallyDead') })).toBeFocused();
  await tablet.getByRole('button', { name: 'It looks dead' }).click();
  await tablet.getByRole('button', { name: sayStudent('onToTheNext') }).click();
  await expect(tablet.getByText(/read\. Thank you, Ada\./)).toBeVisible();

  await tablet.getByRole('button', { name: /3\.5 cm/ }).click();
  await tablet.getByLabel(sayStudent('howTallIsTheTallestPlant')).fill('4');
  await tablet.getByRole('button', { name: 'Keep it' }).click();
  await expect(tablet.getByRole('button', { name: /4\.0 cm/ })).toBeVisible();
  await tablet.reload();
  await expect(tablet.getByRole('heading', { name: 'Ada, your pots today' })).toBeVisible();

  await tablet.goto(`${origin}/experiments/${experimentId}/record`);
  await expect(tablet.getByLabel('Password')).toBeVisible();
  await tablet.goto(`${origin}/join`);
  await tablet.getByRole('button', { name: 'Somebody else' }).click();
  await tablet.getByRole('button', { name: 'Ben' }).click();
  await expect(tablet.getByRole('button', { name: /to do$/ })).toHaveCount(7);
  await tablet.getByRole('button', { name: 'Leave the class' }).click();
  await expect(tablet.getByLabel('Class code')).toBeVisible();
  await context.close();

  await follow(page, `/experiments/${experimentId}/record`);
  await expect(page.getByRole('button', { name: /^Pot 1, .*, 4\.0 cm$/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Pot 3, .*, dead$/ })).toBeVisible();
});
