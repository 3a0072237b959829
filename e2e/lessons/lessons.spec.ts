import { say as sayLessons } from '@bright-sprout/words/lessons';
import { randomUUID } from 'node:crypto';
import type { Browser, Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import {
  dayFromToday,
  expect,
  expectAccessible,
  openStage,
  otherContext,
  rests,
  test,
  follow,
} from '../support/test.ts';

const BOARDS = [
  'Our question',
  'Guess',
  'Line-up',
  'Two to watch',
  'Firsts',
  'The answer',
  'Is it luck',
  'Not known',
  'Talk about',
  'Our pictures',
];

/** A class that has read its two treatments twice, so that there is something to teach from. */
async function prepare(page: Page): Promise<{ code: string; id: string; names: readonly string[] }> {
  const put = async (path: string, data: object) => {
    const answer = await page.request.put(`${new URL(page.url()).origin}/api${path}`, { data });
    expect([path, answer.status()]).toEqual([path, 200]);
    return answer.json();
  };
  const names = ['Quilla', 'Rowen', 'Sorrel'];
  const classId = randomUUID();
  const days = { meetingDays: [1, 2, 3, 4, 5, 6, 7], holidays: [] };
  const { code } = await put(`/classes/${classId}`, {
    name: '6a',
    readingLevel: '8-10',
    timeZone: 'UTC',
    ...days,
  });
  const students = names.map((displayName, at) => ({
    id: randomUUID(),
    displayName,
    avatar: ['snail', 'fish', 'bug'][at],
    teamId: null,
  }));
  await put(`/classes/${classId}/roster`, { teams: [], students });
  const id = randomUUID();
  const draft = await put(`/experiments/${id}`, { question: 'Do oats like a breeze?', cropId: 'oat' });
  await put(`/experiments/${id}/class`, { classId, units: [] });
  const sown = await put(`/experiments/${id}/sowing`, { sownOn: dayFromToday(-12) });
  const variable = sown.variables[0];
  for (const [at, unit] of draft.units.entries()) {
    const isFirst = unit.treatmentId === draft.treatments[0].id;
    for (const [ago, share] of [
      [6, 0.4],
      [1, 1],
    ] as const) {
      const value = (isFirst ? 60 : 110) * share + Number(at);
      await put(`/experiments/${id}/readings/${randomUUID()}`, {
        unitId: unit.id,
        variableId: variable.id,
        observedOn: dayFromToday(-ago),
        state: 'emerged',
        value,
        entered: String(value),
        unitOfMeasure: 'mm',
        precision: 1,
      });
    }
  }
  return { code, id, names };
}

const ribbon = (page: Page) => page.getByRole('radiogroup', { name: /^The lesson/ });
const names = (page: Page) => ribbon(page).getByRole('radio').locator('b').allInnerTexts();

test('the demo has a lesson ready: every board says something true to its data, and is accessible', async ({
  demo: page,
}) => {
  test.setTimeout(120_000);
  await page.getByRole('link', { name: 'Does seaweed feed make zinnias taller?' }).click();
  await openStage(page, 'Teach');
  await ribbon(page).waitFor();
  for (const board of BOARDS) {
    await ribbon(page)
      .getByRole('radio', { name: new RegExp(`^${board}`) })
      .click();
    const shown = page.getByRole('article', { name: 'Board' });
    await expect(shown.locator('[aria-busy="true"]')).toHaveCount(0);
    await expect(shown).not.toContainText(/NaN|undefined|Infinity|proves|no effect/);
    await expectAccessible(page);
  }
  await ribbon(page)
    .getByRole('radio', { name: /^Guess/ })
    .click();
  // What the class voted when the lesson was given the day before.
  await expect(page.locator('.tally b').first()).not.toHaveText(/^0\b/);
  await ribbon(page)
    .getByRole('radio', { name: /^Line-up/ })
    .click();
  await expect(page.getByRole('heading', { name: /^Shortest to tallest, day \d+$/ })).toBeVisible();
  const row = page.getByRole('group', { name: sayLessons('plantsInARow') }).getByRole('button');
  await expect(row).toHaveCount(12);
  await expect(row.last()).toHaveAccessibleName(/dead/);
  await page.getByRole('button', { name: 'Hide treatments' }).click();
  await expect(row.first()).not.toHaveAccessibleName(/Plain|Half|Full/);
  await page.getByRole('button', { name: 'first up' }).click();
  await row.first().focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Pot \d+: sown .*; first seen up on day/)).toBeVisible();
});

test('a lesson is put in order by keys, changed, kept over a reload, and taken back', async ({
  teacher: page,
}) => {
  const { id } = await prepare(page);
  await follow(page, `/experiments/${id}/teach`);
  await ribbon(page).waitFor();
  const before = await names(page);
  await ribbon(page).getByRole('radio').first().focus();
  await page.keyboard.press('Alt+ArrowRight');
  const moved = [before[1], before[0], ...before.slice(2)];
  await expect.poll(() => names(page)).toEqual(moved);
  await page.getByLabel(sayLessons('noteForMe')).fill('Bring the tray');
  await page.getByLabel('Leave out').check();
  await page.getByRole('button', { name: sayLessons('oneOfYourOwn') }).click();
  await page.getByLabel('Heading').fill('Water first');
  const saved = lessonSaved(page, 'Then sit down.');
  await page.getByLabel('Words', { exact: true }).fill('Then sit down.');
  await saved;
  await page.reload();
  await expect.poll(() => names(page)).toEqual([moved[0], moved[1], 'Water first', ...moved.slice(2)]);
  await expect(
    ribbon(page)
      .getByRole('radio', { name: /left out/ })
      .first(),
  ).toHaveAccessibleName(/Our question/);
  await ribbon(page)
    .getByRole('radio', { name: /Water first/ })
    .click();
  await page.getByRole('button', { name: 'Remove this board' }).click();
  await expect.poll(() => names(page)).toEqual(moved);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => names(page)).toContain('Water first');
});

test('what is typed is there after leaving at once, and after leaving without network', async ({
  teacher: page,
}) => {
  const { id } = await prepare(page);
  await follow(page, `/experiments/${id}/compare`);
  await page.locator('.headline').first().waitFor();
  const note = page.getByLabel(sayLessons('noteForMe'));
  const leaveAndReturn = async (): Promise<void> => {
    await openStage(page, 'Compare');
    await page.locator('.headline').first().waitFor();
    await openStage(page, 'Teach');
  };
  await openStage(page, 'Teach');
  await note.fill('Left at once');
  await leaveAndReturn();
  await expect(note).toHaveValue('Left at once');
  await page.context().setOffline(true);
  await note.fill('No network');
  await page.getByRole('button', { name: 'Save again' }).waitFor();
  await leaveAndReturn();
  await expect(note).toHaveValue('No network');
  const saved = page.waitForResponse(
    (answer) => answer.request().method() === 'PUT' && answer.url().endsWith('/lesson'),
  );
  await page.context().setOffline(false);
  await note.fill('Network again');
  expect((await saved).status()).toBe(200);
  await page.reload();
  await expect(note).toHaveValue('Network again');
  await expect(page.getByText(sayLessons('lessonChangedElsewhere'))).toHaveCount(0);
});

test('two devices that change one lesson: the second is asked, and nothing is lost', async ({
  teacher: page,
}) => {
  const { id } = await prepare(page);
  const address = `${new URL(page.url()).origin}/experiments/${id}/teach`;
  const other = await page.context().newPage();
  await page.goto(address);
  await other.goto(address);
  await ribbon(page).waitFor();
  await ribbon(other).waitFor();
  const saved = lessonSaved(page);
  await page.getByRole('spinbutton', { name: 'Minutes' }).fill('7');
  await saved;
  await other.getByLabel(sayLessons('noteForMe')).fill('From the other device');
  await other.getByText(sayLessons('lessonChangedElsewhere')).waitFor();
  await other.getByRole('button', { name: sayLessons('takeWhatIsThere') }).click();
  await expect(other.getByRole('spinbutton', { name: 'Minutes' })).toHaveValue('7');
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(other.getByLabel(sayLessons('noteForMe'))).toHaveValue('From the other device');
});

async function tabletOf(browser: Browser, origin: string, code: string, name: string): Promise<Page> {
  const context = await otherContext(browser, { viewport: { width: 820, height: 1180 }, hasTouch: true });
  const tablet = await context.newPage();
  await tablet.goto(`${origin}/join?code=${code}`);
  await tablet.getByRole('button', { name: 'Join' }).click();
  await tablet.getByRole('button', { name }).click();
  await tablet.getByRole('heading', { name: /your pots today/ }).waitFor();
  return tablet;
}

test('a lesson is given: projector, remote and two tablets, one of them without network in the middle of the vote', async ({
  teacher: page,
  browser,
}) => {
  test.setTimeout(120_000);
  const {
    code,
    id,
    names: [first = '', second = ''],
  } = await prepare(page);
  const { origin } = new URL(page.url());
  const tablets = [
    await tabletOf(browser, origin, code, first),
    await tabletOf(browser, origin, code, second),
  ] as const;
  await follow(page, `/experiments/${id}/teach`);
  await ribbon(page).waitFor();
  const saved = lessonSaved(page);
  await page.getByLabel(sayLessons('noteForMe')).fill('Ask Rowen first');
  await saved;
  await page.getByRole('button', { name: 'Begin the lesson' }).click();
  const at = page.locator('.show-at');
  await expect(at).toHaveText(/^1 of/);
  await expect(page.getByText('Ask Rowen first')).toHaveCount(0);
  const phone = await page.context().newPage();
  await phone.setViewportSize({ width: 390, height: 844 });
  await phone.goto(`${origin}/experiments/${id}/lesson/remote`);
  await expect(phone.getByText('Ask Rowen first')).toBeVisible();
  await expect(phone.getByRole('timer')).toHaveText(/0 min gone/);
  await expectAccessible(phone);
  await phone.getByRole('button', { name: 'Next' }).click();
  await expect(at).toHaveText(/^2 of/);
  await expect(page.getByRole('heading', { name: 'Guess, then see' })).toBeVisible();

  await page.getByRole('button', { name: 'Ask the tablets' }).click();
  await expect(tablets[0].getByRole('region', { name: 'The vote' })).toBeVisible();
  await expectAccessible(tablets[0]);
  const choose = (tablet: Page) =>
    tablet.getByRole('region', { name: 'The vote' }).getByRole('group').getByRole('button').first().click();
  await choose(tablets[0]);
  await expect(page.getByText('1 vote', { exact: true })).toBeVisible();
  await tablets[1].getByRole('region', { name: 'The vote' }).waitFor();
  await tablets[1].context().setOffline(true);
  await choose(tablets[1]);
  await expect(tablets[1].getByText(/Your vote is kept/)).toBeVisible();
  await page.reload();
  await expect(at).toHaveText(/^2 of/);
  await expect(page.getByText('1 vote', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Close the vote' }).click();
  await expect(tablets[0].getByRole('region', { name: 'The vote' })).toHaveCount(0);
  await tablets[1].context().setOffline(false);
  await expect(page.getByText('2 votes', { exact: true })).toBeVisible({ timeout: 20_000 });
  await expect(page.locator('body')).not.toContainText(new RegExp(`${first}|${second}`));

  await page.getByRole('button', { name: sayLessons('openTheVoteAgain') }).click();
  await expect(tablets[0].getByRole('region', { name: 'The vote' })).toBeVisible();
  await phone.getByRole('button', { name: 'Let us see' }).click();
  await expect(tablets[0].getByRole('region', { name: 'The vote' })).toHaveCount(0);
  await expect(page.locator('.board-headline.appears-last')).toContainText(/taller|shorter/);
  await expectAccessible(page);
  await page.keyboard.press('b');
  await expect(page.locator('.show-page.is-blank')).toBeVisible();
  await phone.getByRole('button', { name: 'Show again' }).click();
  await expect(page.locator('.show-page.is-blank')).toHaveCount(0);
  await page.keyboard.press('PageDown');
  await expect(at).toHaveText(/^3 of/);
  await page.getByRole('slider', { name: 'Day shown' }).press('ArrowLeft');
  await expect(page.getByRole('heading', { name: /Shortest to tallest, day 6/ })).toBeVisible();
  await expect(phone.getByLabel('Day shown')).toHaveValue(dayFromToday(-6));
  for (const size of [
    { width: 1920, height: 1080 },
    { width: 1024, height: 768 },
  ]) {
    await page.setViewportSize(size);
    const [wide, tall] = await page.evaluate(() => [
      document.documentElement.scrollWidth,
      document.documentElement.scrollHeight,
    ]);
    expect([wide <= size.width, tall <= size.height]).toEqual([true, true]);
    await expectAccessible(page);
  }
  await phone.getByRole('button', { name: 'End the lesson' }).click();
  await expect(page.getByText(sayLessons('noLessonIsGiven'))).toBeVisible();
  for (const tablet of tablets) await tablet.context().close();
});

/** The text of each page of what is printed. */
async function printed(page: Page): Promise<string[]> {
  const pdf = await getDocumentProxy(new Uint8Array(await page.pdf({ preferCSSPageSize: true })));
  const { text } = await extractText(pdf, { mergePages: false });
  return text.map((one) => one.replaceAll(/\s+/g, ' '));
}

test('six papers are made to take home, with no name of a child unless it is ticked', async ({
  demo: page,
}) => {
  test.setTimeout(120_000);
  const children = /\b(Arlo|Bea|Cosmo|Daria|Ezra|Fenna|Hana|Kofi|Ottilie)\b/;
  await page.getByRole('link', { name: 'Does seaweed feed make zinnias taller?' }).click();
  await openStage(page, 'Teach');
  await page.getByRole('link', { name: 'Class report' }).click();
  const sheet = page.locator('article.sheet');
  const pages: Record<string, number> = {};
  for (const [paper, words] of [
    ['Class report', /What we did[\s\S]*What we saw[\s\S]*What we found[\s\S]*What we cannot say/],
    ['A page for each team or child', /Pots of Team Otter[\s\S]*Name:/],
    ['Certificates', /First sprout[\s\S]*Full record kept/],
    ['Note to families', /If a plant comes home[\s\S]*allergies/],
    ['Page for each week', /Name:[\s\S]*Draw what you see[\s\S]*The tallest/],
    ['Wall chart', /One dot for each plant and day/],
  ] as const) {
    await page.getByRole('button', { name: paper }).click();
    await expect(sheet).toContainText(words);
    await expect(sheet).not.toContainText(/NaN|undefined|Infinity/);
    await expect(sheet).not.toContainText(children);
    await expectAccessible(page);
    const texts = await printed(page);
    const whole = texts.join(' ');
    expect(whole).toMatch(words);
    expect(whole).not.toMatch(children);
    expect([paper, texts.map((text) => text.trim().length > 0)]).toEqual([paper, texts.map(() => true)]);
    pages[paper] = texts.length;
  }
  expect(pages['Class report']).toBeGreaterThanOrEqual(2);
  expect(pages['A page for each team or child']).toBeGreaterThanOrEqual(3);
  expect(pages.Certificates).toBeGreaterThanOrEqual(5);
  expect(pages['Note to families']).toBe(1);
  expect(pages['Page for each week']).toBeGreaterThanOrEqual(4);
  expect(pages['Wall chart']).toBe(1);

  await page.getByRole('button', { name: 'Certificates' }).click();
  const cards = page.locator('.certificate');
  await cards.first().waitFor();
  const ofPots = await cards.count();
  await page.getByLabel('Made out to').selectOption('teams');
  await expect.poll(() => cards.count()).toBeLessThan(ofPots);
  await expect(cards.first()).toContainText(/Pot \d+/);
  await page.getByLabel('Made out to').selectOption('students');
  await expect(sheet).not.toContainText(children);
  await page.getByLabel(sayLessons('namesOfChildren')).check();
  await expect(sheet).toContainText(children);
  await page.getByLabel(sayLessons('namesOfChildren')).uncheck();

  await page.getByRole('button', { name: sayLessons('pageForEachTeam') }).click();
  await page.getByLabel(sayLessons('namesOfChildren')).check();
  await expect(page.getByText(/Names of children are on this paper/)).toBeVisible();
  await expect(sheet.locator('.student-page')).toHaveCount(15);
  await expect(sheet).toContainText('Ottilie');
  await page.getByRole('link', { name: 'To the lesson' }).click();
  await expect(ribbon(page)).toBeVisible();
});

test('the report as one file needs nothing else, holds its charts, and names nobody', async ({
  demo: page,
}) => {
  await page.getByRole('link', { name: 'Does seaweed feed make zinnias taller?' }).click();
  await openStage(page, 'Teach');
  await page.getByRole('link', { name: 'Class report' }).click();
  await page.getByLabel('Reading level').selectOption('14+');
  await expect(page.locator('article.sheet')).toContainText('Methods');
  await expect(page.locator('article.sheet img')).toHaveCount(4);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As one file' }).click(),
  ]);
  const html = await (await file.createReadStream()).setEncoding('utf8').toArray();
  const text = html.join('');
  expect(text).not.toMatch(/<script|<link|src="(?!data:)|url\((?!data:)[^)]*https?:/);
  expect(text.match(/<img[^>]+src="data:image\/jpeg/g)).toHaveLength(4);
  expect(text).toMatch(/<svg[^>]*curves-drawing/);
  expect(text).not.toMatch(/\bBea\b|Hana/);
});

test('the journal is looked through by pot and person, and what is chosen comes onto the board', async ({
  teacher: page,
}) => {
  const { id } = await prepare(page);
  const { origin } = new URL(page.url());
  const experiment = await (await page.request.get(`${origin}/api/experiments/${id}`)).json();
  for (const [at, note] of ['Hooks today.', 'Leaves touch.'].entries()) {
    const data = {
      unitId: experiment.units[at].id,
      happenedOn: dayFromToday(-at),
      kind: 'note',
      note,
      picture: null,
    };
    const path = `${origin}/api/experiments/${id}/journal/${randomUUID()}`;
    expect((await page.request.put(path, { data })).status()).toBe(200);
  }
  await follow(page, `/experiments/${id}/lesson/journal`);
  await expect(page.getByText('Hooks today.')).toBeVisible();
  await page.getByLabel('Of which pot').selectOption({ label: 'Pot 2' });
  await expect(page.getByText('Hooks today.')).toHaveCount(0);
  const saved = page.waitForResponse(
    (answer) => answer.request().method() === 'PUT' && answer.url().endsWith('/lesson'),
  );
  await page.getByLabel(sayLessons('onTheBoard')).uncheck();
  await expectAccessible(page);
  expect((await saved).status()).toBe(200);
  await page.getByRole('link', { name: 'To the lesson' }).click();
  await ribbon(page)
    .getByRole('radio', { name: /^Our pictures/ })
    .click();
  const board = page.getByRole('article', { name: 'Board' });
  await expect(board).toContainText('Hooks today.');
  await expect(board).not.toContainText('Leaves touch.');
});

test('a question of many words widens no stage, on a desk and on a phone', async ({ teacher: page }) => {
  const { origin } = new URL(page.url());
  const id = randomUUID();
  const question = 'Do oats beside the radiator of the classroom grow as tall as those at the window? '
    .repeat(3)
    .trim();
  const draft = await page.request.put(`${origin}/api/experiments/${id}`, {
    data: { question, cropId: 'oat' },
  });
  expect(draft.status()).toBe(200);
  await page.request.put(`${origin}/api/experiments/${id}/sowing`, { data: { sownOn: dayFromToday(-5) } });
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 844 });
    for (const stage of ['plan', 'sow', 'record', 'compare', 'teach', 'lesson/papers', 'lesson/journal']) {
      await follow(page, `/experiments/${id}/${stage}`);
      await page.locator('main').first().waitFor();
      await rests(page);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect([stage, width, wide <= 0]).toEqual([stage, width, true]);
    }
  }
});

/** Waits until a lesson is stored that holds this. */
async function lessonSaved(page: Page, text = ''): Promise<void> {
  const answer = await page.waitForResponse(
    (one) =>
      one.request().method() === 'PUT' &&
      one.url().endsWith('/lesson') &&
      (one.request().postData() ?? '').includes(text),
  );
  expect(answer.status()).toBe(200);
}
