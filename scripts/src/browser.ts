import { findProgram } from './tools.ts';

/** How Debian's Chromium is started: no window, no network of its own, no graphics card. */
export const BROWSER_LAUNCH = {
  executablePath: findProgram('chromium-headless-shell') ?? findProgram('chromium') ?? '',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
