import { findProgram } from './tools.ts';

/** How Debian's Chromium is started: no window, no network of its own, no graphics card. */
export const BROWSER_LAUNCH = {
  executablePath: findProgram('chromium-headless-shell') ?? findProgram('chromium') ?? '',
  env: withoutFaketime(process.env),
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

/** The browser sees the time of the machine, also where a trial shows another one to the programs around it. */
function withoutFaketime(all: NodeJS.ProcessEnv): Record<string, string> {
  const known = Object.entries(all).filter((entry): entry is [string, string] => entry[1] !== undefined);
  return Object.fromEntries(known.filter(([name]) => name !== 'LD_PRELOAD' && !name.startsWith('FAKETIME')));
}
