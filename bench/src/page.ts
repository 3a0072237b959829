import { gzipSync } from 'node:zlib';
import { BROWSER_LAUNCH, DEMO_EMAIL, type TemporaryApplication } from '@bright-sprout/scripts';
import { type Browser, type BrowserContext, chromium, type Page } from '@playwright/test';

const SLOW_DOWN = 4;
const ROUNDS = 5;

/** First load of the interface. */
export interface FirstLoad {
  /** JavaScript fetched until the e-mail can be typed, gzipped, in bytes. */
  readonly deviceBytes: number;
  /** JavaScript that a pot needs to be read, opened by its address by somebody signed in. */
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
      const scripts = scriptsOf(page);
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
      const record = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Record/ });
      const path = (await record.getAttribute('href')) ?? '';
      const storageState = await page.context().storageState();
      await page.close();
      recordBytes = await neededBy(browser, storageState, `${application.address}${path}`);
    }
  } finally {
    await browser.close();
  }
  return { deviceBytes, recordBytes, deviceMs, experimentsMs };
}

/** JavaScript that is fetched until a pot can be read, by a browser that holds nothing yet. */
async function neededBy(
  browser: Browser,
  storageState: Awaited<ReturnType<BrowserContext['storageState']>>,
  address: string,
): Promise<number> {
  const context = await browser.newContext({ storageState, serviceWorkers: 'block' });
  const page = await context.newPage();
  const scripts = scriptsOf(page);
  await page.goto(address);
  await page.getByRole('region', { name: /Read pot/ }).waitFor();
  const bytes = await sum(scripts);
  await context.close();
  return bytes;
}

/** Gzipped sizes of the scripts that a page fetches from now on. */
function scriptsOf(page: Page): Promise<number>[] {
  const scripts: Promise<number>[] = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) {
      const size = response.body().then((body) => gzipSync(body).length);
      // What is fetched ahead may still be on its way when the page closes; it is not summed.
      size.catch(() => undefined);
      scripts.push(size);
    }
  });
  return scripts;
}

async function sum(sizes: readonly Promise<number>[]): Promise<number> {
  return (await Promise.all(sizes)).reduce((total, size) => total + size, 0);
}
