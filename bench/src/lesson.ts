import { BROWSER_LAUNCH, DEMO_EMAIL, type TemporaryApplication } from '@bright-sprout/scripts';
import { chromium, type Page } from '@playwright/test';
import type mysql from 'mysql2/promise';
import { makeRuns } from './study.ts';
import { median } from './timing.ts';

const QUESTION = 'Two hundred in a row?';
const DEMO = 'Does seaweed feed make zinnias taller?';
const ROUNDS = 9;
const REORDER_MS = 900;
const PLAY_MS = 5000;

/** A lesson in a browser without a graphics card. */
export interface LessonBench {
  readonly units: number;
  /** Frames a second while the row is put in another order, the slowest of the orders. */
  readonly reorderFrames: number;
  /** Frames a second while the days are played. */
  readonly playFrames: number;
  /** From a click on the stage to its words and the answer of the server, medians of turns, ms. */
  readonly teachMs: number;
  readonly compareMs: number;
}

/** Opens the demo's Teach and Compare turn by turn, and puts two hundred plants in order. */
export async function lesson(
  application: TemporaryApplication,
  connection: mysql.Connection,
): Promise<LessonBench> {
  const ids = await makeRuns(connection, QUESTION, { runs: 1, units: 200, days: 30 });
  const browser = await chromium.launch(BROWSER_LAUNCH);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(application.address);
    await page.getByLabel('E-mail').fill(DEMO_EMAIL);
    await page.getByLabel('Password').fill(application.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('link', { name: DEMO }).click();
    const [teachMs, compareMs] = await stagesInTurn(page);
    await page.getByRole('link', { name: 'To the shelf' }).click();
    await page.getByRole('link', { name: QUESTION }).click();
    await stage(page, 'Teach').click();
    await page.getByRole('radio', { name: /^Line-up/ }).click();
    await page.getByRole('button', { name: 'treatment', exact: true }).waitFor();
    await page.waitForTimeout(1000);
    const orders: number[] = [];
    for (const order of ['treatment', 'place on the sill', 'height']) {
      orders.push(await framesAfter(page, order, REORDER_MS));
    }
    const playFrames = await framesAfter(page, 'Play the days', PLAY_MS);
    return { units: 200, reorderFrames: Math.min(...orders), playFrames, teachMs, compareMs };
  } finally {
    await browser.close();
    await connection.query('DELETE FROM experiment WHERE id IN (?)', [ids]);
  }
}

function stage(page: Page, name: string) {
  return page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^${name}`) });
}

/** Opens each stage anew, nothing kept of the one before, and gives the medians of both. */
async function stagesInTurn(page: Page): Promise<[number, number]> {
  const times = { Teach: [] as number[], Compare: [] as number[] };
  const shown = { Teach: '.board-question, .board-headline', Compare: '.headline' } as const;
  for (let round = -1; round < ROUNDS; round += 1) {
    for (const name of ['Teach', 'Compare'] as const) {
      await stage(page, 'Plan').click();
      await page.getByLabel('What we expect').waitFor();
      await page.reload();
      await page.getByLabel('What we expect').waitFor();
      await page.waitForTimeout(2500);
      const start = performance.now();
      const compared = page.waitForResponse((answer) => answer.url().includes('/comparison'));
      await stage(page, name).click();
      await Promise.all([compared, page.locator(shown[name]).first().waitFor()]);
      if (round >= 0) times[name].push(performance.now() - start);
    }
  }
  return [median(times.Teach), median(times.Compare)];
}

function framesAfter(page: Page, button: string, ms: number): Promise<number> {
  return page.evaluate(
    async ([name, span]) => {
      [...document.querySelectorAll('button')].find((one) => one.textContent.trim() === name)?.click();
      const start = performance.now();
      let frames = 0;
      while (performance.now() - start < span) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        frames += 1;
      }
      return (1000 * frames) / (performance.now() - start);
    },
    [button, ms] as const,
  );
}
