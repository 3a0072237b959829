import { gzipSync } from 'node:zlib';
import { BROWSER_LAUNCH, DEMO_EMAIL, type TemporaryApplication } from '@bright-sprout/scripts';
import { chromium } from '@playwright/test';

const SLOW_DOWN = 4;
const ROUNDS = 5;

/** First load of the interface. */
export interface FirstLoad {
  /** JavaScript fetched until the e-mail can be typed, gzipped, in bytes. */
  readonly deviceBytes: number;
  /** JavaScript fetched from there to a pot that can be read, with the stages fetched ahead. */
  readonly recordBytes: number;
  /** Milliseconds from opening the address until the e-mail is typed. */
  readonly deviceMs: readonly number[];
  /** Milliseconds from the sign-in button to a list of experiments that can be used. */
  readonly experimentsMs: readonly number[];
}

/** Loads the interface in a browser with the processor slowed down, without any cache. */
export async function firstLoad(application: TemporaryApplication): Promise<FirstLoad> {
  const browser = await chromium.launch(BROWSER_LAUNCH);
  const deviceMs: number[] = [];
  const experimentsMs: number[] = [];
  let [deviceBytes, recordBytes] = [0, 0];
  try {
    for (let round = 0; round < ROUNDS; round += 1) {
      const page = await browser.newPage();
      const session = await page.context().newCDPSession(page);
      await session.send('Emulation.setCPUThrottlingRate', { rate: SLOW_DOWN });
      const scripts: Promise<number>[] = [];
      page.on('response', (response) => {
        if (response.url().endsWith('.js'))
          scripts.push(response.body().then((body) => gzipSync(body).length));
      });
      const opened = performance.now();
      await page.goto(application.address);
      await page.getByLabel('E-mail').fill(DEMO_EMAIL);
      deviceMs.push(performance.now() - opened);
      deviceBytes = await sum(scripts);
      await page.getByLabel('Password').fill(application.password);
      const signedIn = performance.now();
      await page.getByRole('button', { name: 'Sign in' }).click();
      const link = page.getByRole('link', { name: 'Does seaweed' });
      await link.waitFor();
      experimentsMs.push(performance.now() - signedIn);
      await link.click();
      await page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link', { name: /^Record/ })
        .click();
      await page.getByRole('region', { name: /Read pot/ }).waitFor();
      recordBytes = await sum(scripts);
      await page.close();
    }
  } finally {
    await browser.close();
  }
  return { deviceBytes, recordBytes, deviceMs, experimentsMs };
}

async function sum(sizes: readonly Promise<number>[]): Promise<number> {
  return (await Promise.all(sizes)).reduce((total, size) => total + size, 0);
}
