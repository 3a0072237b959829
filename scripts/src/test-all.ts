import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildIfChanged, describeApi, packServer, TSC } from './build.ts';
import { startPrivateDatabase } from './private-database.ts';
import { runAndCollect, runToEnd, stopCommands, watchParent } from './processes.ts';
import { CHROMIUM, ensureTool, MARIADB, Trouble } from './tools.ts';

/** Tests that passed and failed in one suite. */
interface Tally {
  passed: number;
  failed: number;
}

/** Runs every suite, prints `N passed, N failed` over all, and gives the exit code. */
export async function testAll(root: string): Promise<number> {
  stopOnSignals();
  try {
    ensureTool(MARIADB);
    ensureTool(CHROMIUM);
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    console.error(`\n${error.message}\n\n0 passed, 1 failed`);
    return 1;
  }
  const looks = sourceChecks(root, ['lint', 'lint of structure', 'format']);
  // The threads of the server's tests run what is built.
  const types = await sourceChecks(root, ['types']);
  await packServer(root);
  const [checks, units] = await Promise.all([looks, jestTests(root, [], BUILT_THREADS)]);
  const build = await builtForBrowser(root);
  const browsers = await browserTests(root);
  const faults = await trial(root, FAULTS);
  // A browser on another date waits most of the time; what is slow in the others is tried again.
  const [dates, ...others] = await Promise.all([trial(root, DATES), ...inTurn(root, [FUZZ, HOSTILE])]);
  const tallies: Tally[] = [...types, ...checks, units, build, browsers, faults, dates, ...others];
  const total = tallies.reduce((sum, one) => ({
    passed: sum.passed + one.passed,
    failed: sum.failed + one.failed,
  }));
  console.log(`\n${total.passed} passed, ${total.failed} failed`);
  return total.failed === 0 ? 0 : 1;
}

/** Trials of `trials/`, as much of each as there is time for. */
const FAULTS = ['faults', '--short', 'server', 'windows'] as const;
const FUZZ = ['fuzz', '--requests', '2000'] as const;
const DATES = ['dates', '--short'] as const;
const HOSTILE = ['hostile', '--short'] as const;

/** Trials one after the other. */
function inTurn(root: string, trials: readonly (readonly string[])[]): Promise<Tally>[] {
  const begun: Promise<Tally>[] = [];
  for (const args of trials) {
    const before = begun.at(-1) ?? Promise.resolve();
    begun.push(before.then(() => trial(root, args)));
  }
  return begun;
}

/** Runs a trial; its own closing line is its tally. */
async function trial(root: string, args: readonly string[]): Promise<Tally> {
  console.log(`\n== trial: ${args.join(' ')}`);
  const { code, output } = await runAndCollect(
    process.execPath,
    ['scripts/run.mjs', 'trials/src/run.ts', ...args],
    {
      cwd: root,
    },
  );
  const lines = output.split('\n').filter((line) => /^\||^FAULT| passed, /.test(line));
  console.log((code === 0 ? lines : output.split('\n').slice(-60)).join('\n'));
  const [, passed = '0', failed = '0'] = /^(\d+) passed, (\d+) failed$/m.exec(output) ?? [];
  const tally = { passed: Number(passed), failed: Number(failed) };
  return code !== 0 && tally.failed === 0 ? { ...tally, failed: 1 } : tally;
}

const BUILT_THREADS = { BRIGHT_SPROUT_THREADS: 'built' };

/** What ESLint looks at: where imports have a direction and texts stand in catalogues. */
const STRUCTURED = ['core/src', 'contract/src', 'server/src', 'web/src'];

const CHECKS = {
  types: [TSC, '-b'],
  lint: ['node_modules/oxlint/bin/oxlint'],
  'lint of structure': ['node_modules/eslint/bin/eslint.js', '--max-warnings', '0', ...STRUCTURED],
  format: ['node_modules/oxfmt/bin/oxfmt', '--check', '.'],
} as const;

/** Whatever way the tests are stopped, nothing that they started is left running. */
function stopOnSignals(): void {
  let isStopping = false;
  const stop = (): void => {
    if (isStopping) return;
    isStopping = true;
    void stopCommands('SIGINT').then(() => process.exit(130));
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
  watchParent(stop);
}

/** Types, lint and format, one after the other; each tells what it found when it is done. */
async function sourceChecks(root: string, names: readonly (keyof typeof CHECKS)[]): Promise<Tally[]> {
  const tallies: Tally[] = [];
  for (const name of names) {
    const args = CHECKS[name];
    const { code, output } = await runAndCollect(process.execPath, args, { cwd: root });
    console.log(`\n== ${name}: ${code === 0 ? 'nothing found' : `failed\n${output}`}`);
    tallies.push(code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });
  }
  return tallies;
}

/** Unit and server tests, the latter against a MariaDB of their own on loopback. */
export async function jestTests(
  root: string,
  extra: readonly string[],
  more: Readonly<Record<string, string>> = {},
): Promise<Tally> {
  console.log('\n== unit and server tests');
  await describeApi(root);
  const folder = mkdtempSync(join(tmpdir(), 'sprout-test-'));
  const database = await startPrivateDatabase(folder, { durable: false });
  try {
    const report = join(folder, 'jest.json');
    const code = await runToEnd(
      process.execPath,
      [
        '--experimental-vm-modules',
        '--disable-warning=ExperimentalWarning',
        'node_modules/jest/bin/jest.js',
        '--json',
        `--outputFile=${report}`,
        // One more than there are processors: tests of servers wait for them, and for the database, part of their time.
        `--maxWorkers=${availableParallelism() + 1}`,
        ...extra,
      ],
      {
        cwd: root,
        env: { ...process.env, ...more, BRIGHT_SPROUT_TEST_DB_URL: database.rootUrl },
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    );
    return fromReport(report, code, (json) => {
      const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = json as Record<string, number>;
      return {
        passed: numPassedTests ?? 0,
        failed: (numFailedTests ?? 0) + (numRuntimeErrorTestSuites ?? 0),
      };
    });
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The interface in a made-up language, built before the browsers are busy. */
const MADE_UP = ['node_modules/vite/bin/vite.js', 'build', 'web', '--mode', 'made-up', '--logLevel', 'error'];

async function builtForBrowser(root: string): Promise<Tally> {
  console.log('\n== build');
  try {
    const [code] = await Promise.all([
      runToEnd(process.execPath, MADE_UP, { cwd: root }),
      buildIfChanged(root),
    ]);
    return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
  } catch (error) {
    console.error(error instanceof Trouble ? error.message : error);
    return { passed: 0, failed: 1 };
  }
}

async function browserTests(root: string): Promise<Tally> {
  console.log('\n== browser tests');
  const report = join(root, '.build', 'playwright.json');
  mkdirSync(join(root, '.build'), { recursive: true });
  rmSync(report, { force: true });
  const code = await runToEnd(
    process.execPath,
    ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts'],
    {
      cwd: root,
      env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report, E2E_MADE_UP_IS_BUILT: '1' },
    },
  );
  return fromReport(report, code, (json) => {
    const { stats } = json as { stats: { expected: number; unexpected: number; flaky: number } };
    return { passed: stats.expected, failed: stats.unexpected + stats.flaky };
  });
}

/** Reads a suite's own report; a suite that ended badly without saying why counts as one failure. */
function fromReport(path: string, code: number, read: (json: unknown) => Tally): Tally {
  if (!existsSync(path)) return { passed: 0, failed: 1 };
  const tally = read(JSON.parse(readFileSync(path, 'utf8')));
  return code !== 0 && tally.failed === 0 ? { ...tally, failed: 1 } : tally;
}
