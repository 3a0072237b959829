import { availableParallelism } from 'node:os';
import { BROWSER_LAUNCH } from '@bright-sprout/scripts';
import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  testMatch: '**/*.spec.ts',
  outputDir: '../test-results',
  globalSetup: './support/global-setup.ts',
  // Browsers wait for pages more than pages wait for them.
  workers: availableParallelism() + 1,
  fullyParallel: true,
  forbidOnly: true,
  // Generous: a slow machine makes a test late, not wrong.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '../.build/playwright.json' }],
  ],
  use: {
    launchOptions: BROWSER_LAUNCH,
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    acceptDownloads: true,
    serviceWorkers: 'block',
  },
});
