import { AxeBuilder } from '@axe-core/playwright';
import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  expect,
  type Page,
  test as base,
} from '@playwright/test';
import type { RunOptions } from 'axe-core';
import { DEMO_EMAIL } from '@bright-sprout/scripts';

/** What every browser test has at hand. */
interface Tools {
  /** A page whose errors fail the test. */
  readonly app: Page;
  /** The same, signed in as the demo teacher among the experiments. */
  readonly demo: Page;
  /** The same, signed in as a new teacher with no experiments yet. */
  readonly teacher: Page;
}

let teachers = 0;

const ADDRESS = process.env.E2E_ADDRESS ?? '';

export const test = base.extend<Tools>({
  // In a trial of another date this process sees it already; the clocks of pages are set to go on from there.
  context: async ({ context }, use) => {
    await onThisDate(context);
    await use(context);
  },
  page: async ({ page }, use) => {
    const problems: string[] = [];
    page.on('pageerror', (error) => problems.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !message.text().startsWith('Failed to load resource')) {
        problems.push(message.text());
      }
    });
    await use(page);
    expect(problems).toEqual([]);
  },
  app: async ({ page }, use) => {
    await page.goto(ADDRESS);
    await use(page);
  },
  demo: async ({ page }, use) => {
    const data = { email: DEMO_EMAIL, password: process.env.E2E_PASSWORD ?? '' };
    await enter(page, '/session', data);
    await page.getByLabel('Your question').waitFor();
    await use(page);
  },
  teacher: async ({ page }, use) => {
    teachers += 1;
    await enter(page, '/teachers', {
      displayName: 'Mx Fennel',
      email: `new-${process.pid}-${teachers}@school.example`,
      password: 'a long password',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    });
    await page.getByRole('heading', { name: 'Start your first experiment' }).waitFor();
    await use(page);
  },
});

/** Signs in or opens an account as the form would, which tests of accounts drive, and shows the shelf. */
async function enter(page: Page, path: '/session' | '/teachers', data: object): Promise<void> {
  expect((await page.request.post(`${ADDRESS}/api${path}`, { data })).status()).toBe(200);
  await page.goto(ADDRESS);
}

export { expect } from '@playwright/test';

/** Another browser or tablet beside the page of a test. */
export async function otherContext(
  browser: Browser,
  options: BrowserContextOptions = {},
): Promise<BrowserContext> {
  const context = await browser.newContext(options);
  await onThisDate(context);
  return context;
}

async function onThisDate(context: BrowserContext): Promise<void> {
  if (process.env.E2E_OTHER_DATE) await context.clock.install({ time: Date.now() });
}

/** What axe looks at: WCAG 2.2 A and AA, or of it what another width of the same page can change. */
const LOOKED_AT = {
  all: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
  'of the width': {
    type: 'rule',
    values: [
      'target-size',
      'scrollable-region-focusable',
      'link-in-text-block',
      'label',
      'button-name',
      'link-name',
    ],
  },
} satisfies Record<string, RunOptions['runOnly']>;

/** Fails on anything that axe finds; in legacy mode, as no page holds frames of another origin. */
export async function expectAccessible(page: Page, what: keyof typeof LOOKED_AT = 'all'): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ runOnly: LOOKED_AT[what], resultTypes: ['violations'] })
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`),
  ).toEqual([]);
}

/** The day `days` from today (UTC) as YYYY-MM-DD. */
export function dayFromToday(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}

/** Opens a stage by its name. */
export async function openStage(
  page: Page,
  stage: 'Plan' | 'Sow' | 'Record' | 'Compare' | 'Teach',
): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: new RegExp(`^${stage}`) })
    .click();
}

/** Goes to an address as a link of the page would: what is loaded stays. */
export async function follow(page: Page, address: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, address);
}

/** Waits until a page has loaded what it shows: nothing is busy, nothing new arrives, and its height stays. */
export async function rests(page: Page): Promise<void> {
  let before = '';
  await expect
    .poll(
      async () => {
        const now = await page.evaluate(() => {
          const isBusy = document.querySelector('[aria-busy="true"]') !== null;
          const loaded = performance.getEntriesByType('resource').length;
          return isBusy ? '' : `${loaded} ${document.documentElement.scrollHeight} ${location.href}`;
        });
        const isSame = now !== '' && now === before;
        before = now;
        return isSame;
      },
      { intervals: [60], timeout: 15_000 },
    )
    .toBe(true);
}

/** Opens a part of the plan by its name. */
export async function openPart(page: Page, part: string): Promise<void> {
  await page.getByRole('tab', { name: part }).click();
}
