import { ensureTool, FAKETIME, ROOT, runToEnd } from '@bright-sprout/scripts';

/** A moment that the suite must pass at, and why. */
const MOMENTS = [
  ['2027-03-01 09:00:00', 'a Monday'],
  ['2027-03-02 09:00:00', 'a Tuesday'],
  ['2027-03-03 09:00:00', 'a Wednesday'],
  ['2027-03-04 09:00:00', 'a Thursday'],
  ['2027-03-05 09:00:00', 'a Friday'],
  ['2027-03-06 09:00:00', 'a Saturday'],
  ['2027-03-07 09:00:00', 'a Sunday'],
  ['2027-12-31 22:00:00', 'the end of a year'],
  ['2028-01-01 00:30:00', 'the beginning of a year'],
  ['2028-02-29 09:00:00', '29 February'],
  ['2027-03-28 01:30:00', 'clocks go forward in Europe'],
  ['2027-10-31 01:30:00', 'clocks go back in Europe'],
] as const;

/** Moments of the short run: the day of the week on which nobody has read. */
const SHORT: readonly string[] = ['a Saturday'];

/** The tests that depend on the day most. */
const SHORT_SPECS = ['comparison/comparison.spec', '--grep', 'the ribbon moves|size first'];

/**
 * Runs the browser tests as if it were another day: server, database and tests see it by faketime, pages by a clock of
 * their own, as a browser under faketime stands still.
 * @param args `--short` for one moment and the tests that depend on the day most; `--only WORDS` for one moment
 */
export async function tryDates(args: readonly string[]): Promise<number> {
  ensureTool(FAKETIME);
  const isShort = args.includes('--short');
  const only = args.includes('--only') ? args[args.indexOf('--only') + 1] : undefined;
  const moments = MOMENTS.filter(([, why]) => (only ? why === only : !isShort || SHORT.includes(why)));
  let failed = 0;
  for (const [moment, why] of moments) {
    console.log(`\n== as if it were ${why}, ${moment}`);
    const specs = isShort ? SHORT_SPECS : [];
    const code = await runToEnd(
      'faketime',
      [
        '-f',
        `@${moment}`,
        process.execPath,
        'node_modules/@playwright/test/cli.js',
        'test',
        '--config',
        'e2e/playwright.config.ts',
        '--reporter',
        'list',
        '--timeout',
        '180000',
        ...specs,
      ],
      { cwd: ROOT, env: { ...process.env, FAKETIME_DONT_FAKE_MONOTONIC: '1', E2E_OTHER_DATE: moment } },
    );
    if (code !== 0) failed += 1;
  }
  console.log(`${moments.length - failed} passed, ${failed} failed`);
  return failed === 0 ? 0 : 1;
}
