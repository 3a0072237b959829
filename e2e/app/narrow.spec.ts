import type { Page } from '@playwright/test';
import { expect, expectAccessible, follow, openStage, rests, test } from '../support/test.ts';

/** Pages of an experiment behind links of its stages. */
const PAGES = [
  ...['together', 'sheet', 'history', 'progress', 'care'].map((view) => `record?view=${view}`),
  ...['growth', 'emergence', 'treatments', 'teams', 'predictions', 'data'].map((tab) => `compare?tab=${tab}`),
  ...['labels', 'rows', 'recording', 'helper'].map((sheet) => `print?sheet=${sheet}`),
  ...['report', 'students', 'certificates', 'families', 'weekly', 'wall'].map(
    (paper) => `lesson/papers?paper=${paper}`,
  ),
  'compare/print',
  'lesson/remote',
  'lesson/journal',
  'lesson/show',
  'pictures',
];

const STAGES = ['Plan', 'Sow', 'Record', 'Compare', 'Teach'] as const;

const SETTLED_MS = 5000;

/** Elements that reach beyond the window or their panel to the right, and are in no box of their own that scrolls. */
function beyond(): string[] {
  const wide = document.documentElement.clientWidth;
  const scrolls = (element: Element | null): boolean => {
    for (let at = element; at && at !== document.body; at = at.parentElement) {
      const { overflowX } = getComputedStyle(at);
      if (overflowX === 'auto' || overflowX === 'scroll' || overflowX === 'hidden' || overflowX === 'clip')
        return true;
    }
    return false;
  };
  return [...document.body.querySelectorAll('*')]
    .filter((element) => {
      const box = element.getBoundingClientRect();
      const panel = element.parentElement?.closest('.panel')?.getBoundingClientRect().right ?? wide;
      const isBeyond = box.right > Math.min(wide, panel) + 1;
      return box.width > 0 && box.height > 0 && isBeyond && !scrolls(element.parentElement);
    })
    .map((element) => element.outerHTML.slice(0, 120))
    .slice(0, 3);
}

async function expectFits(page: Page, where: string): Promise<void> {
  await page.waitForFunction(() => document.querySelector('[aria-busy="true"]') === null);
  // Charts follow a window that became narrower after a moment.
  await expect(async () => {
    const found = await page.evaluate(beyond);
    const width = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect([where, found, width <= 0]).toEqual([where, [], true]);
  }).toPass({ timeout: SETTLED_MS });
}

/** Every tab of the page, or none. */
async function eachTab(page: Page, look: (name: string) => Promise<void>): Promise<void> {
  const tabs = await page.getByRole('tab').allInnerTexts();
  if (tabs.length === 0) return look('');
  for (const name of tabs) {
    await page.getByRole('tab', { name, exact: true }).click();
    await look(name);
  }
}

/** A phone, and a window of 1280 pixels at 200 %. */
const NARROW = [
  { width: 640, height: 400 },
  { width: 390, height: 844 },
] as const;

/** Looks at what is shown in each narrow window, last on a phone. */
async function inEach(page: Page, look: (width: number) => Promise<void>): Promise<void> {
  for (const size of NARROW) {
    await page.setViewportSize(size);
    await look(size.width);
  }
}

test('every page fits a phone and a window at 200 %, and the head of an experiment leaves most to it', async ({
  demo: page,
}) => {
  test.slow();
  const expectEachFits = (where: string): Promise<void> =>
    inEach(page, (width) => expectFits(page, `${where} at ${width}`));
  await expectEachFits('shelf');
  for (const path of ['classes', 'inventory', 'account', 'invited']) {
    await follow(page, `/${path}`);
    await rests(page);
    await expectEachFits(path);
    await inEach(page, (width) => expectAccessible(page, width === 390 ? 'all' : 'of the width'));
  }
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('link', { name: 'Does seaweed feed make zinnias taller?' }).click();
  for (const stage of STAGES) {
    await openStage(page, stage);
    await page.waitForURL(new RegExp(`/${stage.toLowerCase()}`));
    await rests(page);
    await eachTab(page, (tab) => expectEachFits(`${stage} ${tab}`));
    await inEach(page, async (width) => {
      const head = await page.locator('.frame-head').boundingBox();
      expect([stage, width, (head?.height ?? 0) < 140]).toEqual([stage, width, true]);
      await expectAccessible(page, width === 390 ? 'all' : 'of the width');
    });
  }
  const experiment = page.url().replace(/\/teach.*/, '');
  for (const address of PAGES) {
    await follow(page, `${experiment}/${address}`);
    await rests(page);
    // Paper is as wide as paper, and is shown in a box that scrolls.
    await expectEachFits(address);
    await expectAccessible(page);
  }
});

/** What is printed, with the sheet that it is printed from. */
const PRINTED = PAGES.filter((page) => /print|papers/.test(page));
/** A4 and US Letter less margins of 14 mm, in CSS pixels. */
const SHEETS = [
  ['A4', 688],
  ['Letter', 710],
] as const;

test('on paper nothing is cut off, no chart or picture goes over a page, and what was folded is open', async ({
  demo: page,
}) => {
  test.slow();
  await page.getByRole('link', { name: 'Does seaweed feed make zinnias taller?' }).click();
  await page.waitForURL(/experiments/);
  const experiment = page.url().replace(/(experiments\/[^/]+).*/, '$1');
  for (const address of PRINTED) {
    await page.setViewportSize({ width: 1280, height: 900 });
    await page.emulateMedia({ media: 'screen' });
    await follow(page, `${experiment}/${address}`);
    await rests(page);
    await page.emulateMedia({ media: 'print' });
    for (const [sheet, width] of SHEETS) {
      await page.setViewportSize({ width, height: 1000 });
      await expectFits(page, `${address} on ${sheet}`);
    }
    const wrong = await page.evaluate(() => {
      const shown = (element: Element): boolean => element.getClientRects().length > 0;
      const broken = [...document.querySelectorAll('.figure, .chart-card, svg[role="img"], figure')].filter(
        (element) => shown(element) && !breaksAvoided(element),
      );
      const folded = [...document.querySelectorAll('details')].filter(
        (element) => shown(element) && !element.open,
      );
      function breaksAvoided(element: Element): boolean {
        for (let at: Element | null = element; at; at = at.parentElement)
          if (getComputedStyle(at).breakInside.startsWith('avoid')) return true;
        return false;
      }
      return [...broken, ...folded].map((element) => element.outerHTML.slice(0, 100));
    });
    expect([address, wrong]).toEqual([address, []]);
  }
});
