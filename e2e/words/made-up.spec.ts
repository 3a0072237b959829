import { recipeOf } from '@bright-sprout/core/design';
import { readFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import type { Page, Response } from '@playwright/test';
import { ROOT, runToEnd } from '@bright-sprout/scripts';
import { expect, follow, otherContext, test } from '../support/test.ts';

const BUILT = join(ROOT, '.build', 'made-up');
const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
};

/** Words of these stand in no catalogue: the name of the application, days and months, what keys and units are called. */
const NOT_TRANSLATED = new RegExp(
  [
    'Bright Sprout|XLSX|AICc|Kruskal–Wallis|Tukey–Kramer|Bland–Altman|Kaplan–Meier|Timson',
    ...['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
    ...[
      'January',
      'February',
      'March',
      'April',
      'June',
      'July',
      'August',
      'September',
      'October',
      'November',
    ],
    'December|Sept',
    // Where the page stands is an address, not a text.
    String.raw`http://[\d.:]+`,
    String.raw`in \d+ days?|\d+ days? ago|tomorrow|yesterday`,
  ].join('|'),
  'gi',
);

test.beforeAll(async () => {
  if (process.env.E2E_MADE_UP_IS_BUILT) return;
  test.setTimeout(300_000);
  const args = ['node_modules/vite/bin/vite.js', 'build', 'web', '--mode', 'made-up', '--logLevel', 'error'];
  expect(await runToEnd(process.execPath, args, { cwd: ROOT })).toBe(0);
});

/** No text holds it. */
const BETWEEN = '\u0001';

/** What the server answered as data: names and notes of people stand as they were written. */
class Data {
  readonly #texts = new Set<string>();
  readonly #coming = new Set<Promise<void>>();

  hear(response: Response): void {
    if (!response.headers()['content-type']?.startsWith('application/json')) return;
    const coming = response
      .json()
      .catch(() => null)
      .then((body) => this.#add(body));
    this.#coming.add(coming);
  }

  /** Waits for the answers that a page may show already: it has them before the test has. */
  async heard(): Promise<void> {
    await Promise.all(this.#coming);
  }

  #add(value: unknown): void {
    if (typeof value === 'string' && /[A-Za-z]{4}/.test(value)) {
      this.#texts.add(value.toLowerCase());
      // Supplies name what a mix is made of by itself.
      for (const { material } of recipeOf(value)) this.#texts.add(material.toLowerCase());
    } else if (value !== null && typeof value === 'object')
      Object.values(value).forEach((one) => this.#add(one));
  }

  /** Texts without what is data in them. */
  without(texts: readonly string[]): string[] {
    let left = texts.join(BETWEEN).toLowerCase();
    for (const one of [...this.#texts].sort((a, b) => b.length - a.length)) left = left.replaceAll(one, ' ');
    return left.split(BETWEEN);
  }
}

/** Serves the made-up language in place of what the server serves. */
async function madeUp(page: Page): Promise<Data> {
  const data = new Data();
  // A page of before may still fetch its own parts.
  await page.goto('about:blank');
  await page.route(
    ({ pathname }) => !pathname.startsWith('/api/'),
    (route) => {
      const { pathname } = new URL(route.request().url());
      const path = extname(pathname) === '' ? 'index.html' : pathname;
      return route.fulfill({
        body: readFileSync(join(BUILT, path)),
        contentType: TYPES[extname(path)] ?? '',
      });
    },
  );
  page.on('response', (response) => data.hear(response));
  return data;
}

/** Texts that are shown or read out, and what of them is cut off. */
function shown(page: Page): Promise<{ texts: string[]; cut: string[] }> {
  return page.evaluate(() => {
    const texts: string[] = [];
    const cut: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const element = walker.currentNode.parentElement;
      const text = walker.currentNode.textContent?.trim() ?? '';
      if (!element || text === '' || /^(SCRIPT|STYLE|CODE)$/.test(element.tagName)) continue;
      if (!element.checkVisibility() || element.closest('svg.main-svg')) continue;
      texts.push(text);
      const { overflowX } = getComputedStyle(element);
      const isHidden = overflowX === 'hidden' || overflowX === 'clip';
      if (isHidden && element.clientWidth > 2 && element.scrollWidth > element.clientWidth + 1)
        cut.push(text);
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt']) {
      for (const element of document.querySelectorAll(`[${name}]`))
        texts.push(element.getAttribute(name) ?? '');
    }
    if (document.documentElement.scrollWidth > window.innerWidth + 1)
      cut.push('the page is wider than the window');
    return { texts, cut };
  });
}

/** Waits until nothing is busy and what is written has stayed the same for a moment. */
async function settled(page: Page): Promise<void> {
  await page.locator('main').first().waitFor();
  await page.evaluate(() => delete (window as unknown as { written?: string }).written);
  await page.waitForFunction(
    (stillMs) => {
      const now = document.querySelector('[aria-busy="true"]') ? null : document.body.textContent;
      const known = window as unknown as { written?: string | null; since?: number };
      if (now === null || now !== known.written) Object.assign(known, { written: now, since: Date.now() });
      return now !== null && Date.now() - (known.since ?? 0) >= stillMs;
    },
    STILL_MS,
    { polling: 50 },
  );
}

const STILL_MS = 300;

async function expectTranslated(page: Page, data: Data, where: string): Promise<void> {
  await settled(page);
  const { texts, cut } = await shown(page);
  await data.heard();
  const left = data
    .without(texts)
    .map((text) => text.replace(NOT_TRANSLATED, ' '))
    .filter((text) => /(^|[^a-zà-žṽ-ẏ])[a-z]{4,}/.test(text));
  expect.soft([where, [...new Set(left)]]).toEqual([where, []]);
  expect.soft([where, cut]).toEqual([where, []]);
}

/** Every tab of a page, or every page behind the buttons that choose one. */
async function everyTab(page: Page, data: Data, where: string): Promise<void> {
  await expectTranslated(page, data, where);
  const tabs = page.locator('[role="tab"], .view-choice button, [role="group"] > button.btn');
  const count = Math.min(await tabs.count(), MOST_TABS);
  for (let at = 0; at < count; at += 1) {
    if (!(await tabs.nth(at).isEnabled())) continue;
    await tabs.nth(at).click();
    await expectTranslated(page, data, `${where}, tab ${at + 1}`);
  }
}

const MOST_TABS = 12;

test('a made-up language shows on the pages of a teacher that are of no experiment', async ({
  demo: page,
}) => {
  const origin = new URL(page.url()).origin;
  const data = await madeUp(page);
  await page.goto(origin);
  for (const path of ['', 'classes', 'inventory', 'account', 'invited', 'nowhere']) {
    await follow(page, `/${path}`);
    await expectTranslated(page, data, path);
  }
});

const STAGES = [
  'plan',
  'sow',
  'record',
  'compare',
  'print',
  'compare/print',
  'teach',
  'lesson/papers',
  'lesson/journal',
];

/** Pages that are different before anything is sown, and once all is over: each as it opens. */
const FIRST_PAGES = ['plan', 'sow', 'record', 'compare', 'teach'];

for (const status of ['draft', 'growing', 'finished']) {
  test(`a made-up language shows on every page of an experiment that is ${status}, and nothing is cut`, async ({
    demo: page,
  }) => {
    const origin = new URL(page.url()).origin;
    const data = await madeUp(page);
    const answer = await page.request.get(`${origin}/api/experiments`);
    const experiments = (await answer.json()) as { id: string; status: string; question: string }[];
    const isPan = ({ question }: { question: string }): boolean => question.includes('clear lid');
    const id = experiments.find((one) => one.status === status && !isPan(one))?.id;
    expect(id).toBeDefined();
    await page.goto(origin);
    const isGrowing = status === 'growing';
    for (const stage of isGrowing ? STAGES : FIRST_PAGES) {
      await follow(page, `/experiments/${id}/${stage}`);
      // What is planned has its parts at their fullest before sowing.
      const look = isGrowing || stage === 'plan' ? everyTab : expectTranslated;
      await look(page, data, stage);
    }
    const pan = experiments.find((one) => one.status === status && isPan(one))?.id;
    if (!pan) return;
    await follow(page, `/experiments/${pan}/pictures`);
    await everyTab(page, data, 'pictures');
  });
}

test('a made-up language shows on every page of a tablet and at the sign-in', async ({
  demo: page,
  browser,
}) => {
  const origin = new URL(page.url()).origin;
  const classes = (await (await page.request.get(`${origin}/api/classes`)).json()) as {
    code: string;
    students: { displayName: string }[];
  }[];
  const context = await otherContext(browser, {
    viewport: { width: 820, height: 1180 },
    serviceWorkers: 'block',
  });
  const tablet = await context.newPage();
  const data = await madeUp(tablet);
  await tablet.goto(origin);
  await expectTranslated(tablet, data, 'sign-in');
  const school = classes.find(({ students }) => students.length > 0);
  await tablet.goto(`${origin}/join?code=${school?.code ?? ''}`);
  await expectTranslated(tablet, data, 'code');
  await tablet.locator('form button[type="submit"]').click();
  await expectTranslated(tablet, data, 'who are you');
  await tablet.getByRole('button', { name: school?.students[0]?.displayName ?? '' }).click();
  await expectTranslated(tablet, data, 'pots');
  const buttons = tablet.locator('main button');
  const count = await buttons.count();
  for (let at = 0; at < count; at += 1) {
    await tablet.goto(`${origin}/join`);
    await settled(tablet);
    // Other tests use the demo's class meanwhile: what is to be done may have become less.
    if (at >= (await buttons.count()) || !(await buttons.nth(at).isEnabled())) continue;
    await buttons.nth(at).click();
    await expectTranslated(tablet, data, `button ${at + 1} of the pots`);
  }
  await context.close();
});
