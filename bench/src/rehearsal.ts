import type { ExperimentView } from '@bright-sprout/contract/plans';
import { addDays, calendarDay } from '@bright-sprout/core/shared';
import { BROWSER_LAUNCH, DEMO_EMAIL, type TemporaryApplication } from '@bright-sprout/scripts';
import { chromium } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import type { ApiClient } from './client.ts';

const CLASSES = 500;
const ROUNDS = 3;
const DAYS = 15;
/** As long as anybody reads before trying. */
const READ_MS = 1500;
const QUESTION = 'Rehearsed over and over?';

/** A rehearsal in the worker of a page. */
export interface RehearsalBench {
  readonly classes: number;
  readonly units: number;
  readonly days: number;
  /** Milliseconds for the classes of the plan itself. */
  readonly ms: readonly number[];
  /** The longest task of the page's own thread meanwhile, in ms; 0 when none took 50 ms. */
  readonly longestTaskMs: number;
}

/** Rehearses 500 classes of a 12-unit, 15-day plan in the real interface and watches its main thread. */
export async function rehearsal(
  application: TemporaryApplication,
  client: ApiClient,
): Promise<RehearsalBench> {
  const path = `/experiments/${uuid()}`;
  const body = { question: QUESTION, cropId: 'white-mustard', templateId: 'coffee-mustard' };
  const draft = (await client.put(path, body)) as ExperimentView;
  if (!draft.plan) throw new Error('no plan was started');
  const plan = {
    ...draft.plan,
    version: draft.version,
    replicates: 4,
    lessonOn: addDays(calendarDay(draft.sowOn), DAYS),
    calendar: { ...draft.plan.calendar, meetingDays: [1, 2, 3, 4, 5, 6, 7] },
  };
  const { units } = (await client.put(`${path}/plan`, plan)) as ExperimentView;
  const browser = await chromium.launch(BROWSER_LAUNCH);
  try {
    const page = await browser.newPage();
    await page.goto(application.address);
    await page.getByLabel('E-mail').fill(DEMO_EMAIL);
    await page.getByLabel('Password').fill(application.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('link', { name: QUESTION }).click();
    await page.getByRole('tab', { name: 'Rehearse' }).click();
    await page.getByLabel('Classes').selectOption(String(CLASSES));
    await page.waitForTimeout(READ_MS);
    await page.evaluate(() => {
      const tasks: number[] = [];
      Object.assign(globalThis, { longTasks: tasks });
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) tasks.push(duration);
      }).observe({ entryTypes: ['longtask'] });
    });
    const ms: number[] = [];
    let longestTaskMs = 0;
    for (let round = 0; round < ROUNDS; round += 1) {
      await page.evaluate(() => (globalThis as unknown as { longTasks: number[] }).longTasks.splice(0));
      const started = performance.now();
      await page.getByRole('button', { name: 'Try it' }).click();
      await page.waitForFunction((all) => (document.querySelector('progress')?.value ?? 0) >= all, CLASSES);
      ms.push(performance.now() - started);
      const tasks = await page.evaluate(() => (globalThis as unknown as { longTasks: number[] }).longTasks);
      longestTaskMs = Math.max(longestTaskMs, ...tasks);
      await page.locator('.rehearsal-words').waitFor();
    }
    return { classes: CLASSES, units: units.length, days: DAYS, ms, longestTaskMs };
  } finally {
    await browser.close();
    await client.remove(path);
  }
}
