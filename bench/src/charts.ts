import { BROWSER_LAUNCH, DEMO_EMAIL, type TemporaryApplication } from '@bright-sprout/scripts';
import { chromium } from '@playwright/test';
import type mysql from 'mysql2/promise';
import { makeRuns } from './study.ts';

const QUESTION = 'Two hundred pots?';
const STEPS = 40;

/** Charts of a large experiment in a browser. */
export interface ChartsBench {
  readonly units: number;
  readonly days: number;
  /** From the answer of the server to both charts drawn, ms. */
  readonly drawnMs: number;
  /** Frames a second while the timeline is scrubbed from day to day, one step a frame. */
  readonly framesPerSecond: number;
  readonly longestFrameMs: number;
}

/** Opens Compare of 200 pots read on 60 days, then scrubs the timeline with the arrow keys. */
export async function charts(
  application: TemporaryApplication,
  connection: mysql.Connection,
): Promise<ChartsBench> {
  const [units, days] = [200, 60];
  const ids = await makeRuns(connection, QUESTION, { runs: 1, units, days });
  const browser = await chromium.launch(BROWSER_LAUNCH);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(application.address);
    await page.getByLabel('E-mail').fill(DEMO_EMAIL);
    await page.getByLabel('Password').fill(application.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('link', { name: 'Does seaweed' }).click();
    await page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('link', { name: /^Compare/ })
      .click();
    await page.locator('.figure .main-svg').first().waitFor();
    await page.getByRole('link', { name: 'To the shelf' }).click();
    await page.getByRole('link', { name: QUESTION }).waitFor();
    const answered = page.waitForResponse((response) => response.url().includes('/comparison'));
    await page.getByRole('link', { name: QUESTION }).click();
    await answered;
    const drawnMs = await page.evaluate(async () => {
      const start = performance.now();
      const isDrawn = (): boolean => document.querySelectorAll('.figure .scatterlayer .trace').length > 4;
      while (!isDrawn()) await new Promise((resolve) => requestAnimationFrame(resolve));
      await new Promise((resolve) => requestAnimationFrame(resolve));
      return performance.now() - start;
    });
    await page.waitForTimeout(1500);
    const frames = await page.evaluate(async (steps) => {
      const radios = [...document.querySelectorAll<HTMLElement>('[role=radiogroup] [role=radio]')];
      const middle = Math.max(0, radios.length - steps - 8);
      const times: number[] = [];
      let last = performance.now();
      for (let step = 0; step < steps; step += 1) {
        radios[middle + step]?.click();
        await new Promise((resolve) => requestAnimationFrame(resolve));
        const now = performance.now();
        times.push(now - last);
        last = now;
      }
      return times;
    }, STEPS);
    const total = frames.reduce((sum, time) => sum + time, 0);
    return {
      units,
      days,
      drawnMs,
      framesPerSecond: (1000 * frames.length) / total,
      longestFrameMs: Math.max(...frames),
    };
  } finally {
    await browser.close();
    await connection.query('DELETE FROM experiment WHERE id IN (?)', [ids]);
  }
}
