import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { buildIfChanged, describeApi, TSC } from '../build.ts';
import { startPrivateDatabase } from '../private-database.ts';
import { runAndCollect, runToEnd } from '../processes.ts';
import { Trouble } from '../tools.ts';
import type { FileTime } from './run-times.ts';
import { fromReport, orOneFailed, type Tally, tallyOf } from './tally.ts';

/** A suite that was run, and what its files took. */
export interface SuiteResult extends Tally {
  readonly files: readonly FileTime[];
}

/** What ESLint looks at: where imports have a direction and texts stand in catalogues. */
const STRUCTURED = ['core/src', 'contract/src', 'server/src', 'web/src'];

const CHECKS = {
  types: [TSC, '-b'],
  lint: ['node_modules/oxlint/bin/oxlint'],
  'lint of structure': ['node_modules/eslint/bin/eslint.js', '--max-warnings', '0', ...STRUCTURED],
  format: ['node_modules/oxfmt/bin/oxfmt', '--check', '.'],
} as const;

/** A check of the sources. */
export type SourceCheck = keyof typeof CHECKS;

/** Checks one after the other; each tells what it found when it is done. */
export async function sourceChecks(root: string, names: readonly SourceCheck[]): Promise<Tally[]> {
  const tallies: Tally[] = [];
  for (const name of names) {
    const { code, output } = await runAndCollect(process.execPath, CHECKS[name], { cwd: root });
    console.log(`\n== ${name}: ${code === 0 ? 'nothing found' : `failed\n${output}`}`);
    tallies.push(tallyOf(code === 0));
  }
  return tallies;
}

interface JestReport {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly numRuntimeErrorTestSuites: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly startTime: number;
    readonly endTime: number;
  }[];
}

/** Unit and server tests, the latter against a MariaDB of their own on loopback, with threads that are built. */
export async function jestTests(root: string, extra: readonly string[]): Promise<SuiteResult> {
  await describeApi(root);
  const folder = mkdtempSync(join(tmpdir(), 'sprout-test-'));
  const database = await startPrivateDatabase(folder, { durable: false });
  const files: FileTime[] = [];
  try {
    const report = join(folder, 'jest.json');
    const args = ['node_modules/jest/bin/jest.js', '--json', `--outputFile=${report}`];
    const workers = `--maxWorkers=${availableParallelism()}`;
    const code = await runToEnd(process.execPath, [...args, workers, ...extra], {
      cwd: root,
      env: { ...process.env, BRIGHT_SPROUT_TEST_DB_URL: database.rootUrl },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    const tally = fromReport(report, code, (read) => {
      const json = read as JestReport;
      for (const { name, startTime, endTime } of json.testResults) {
        files.push({ name: relative(root, name), seconds: (endTime - startTime) / 1000 });
      }
      return { passed: json.numPassedTests, failed: json.numFailedTests + json.numRuntimeErrorTestSuites };
    });
    return { ...tally, files };
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The interface in a made-up language. */
const MADE_UP = ['node_modules/vite/bin/vite.js', 'build', 'web', '--mode', 'made-up', '--logLevel', 'error'];

/** Builds what is served, and the interface in a made-up language. */
export async function builtForBrowser(root: string): Promise<Tally> {
  try {
    const [code] = await Promise.all([
      runToEnd(process.execPath, MADE_UP, { cwd: root }),
      buildIfChanged(root),
    ]);
    return tallyOf(code === 0);
  } catch (error) {
    console.error(error instanceof Trouble ? error.message : error);
    return tallyOf(false);
  }
}

interface BrowserSuite {
  readonly suites?: readonly BrowserSuite[];
  readonly specs?: readonly {
    readonly title: string;
    readonly file: string;
    readonly tests: readonly { readonly results: readonly { readonly duration: number }[] }[];
  }[];
}

interface BrowserReport extends BrowserSuite {
  readonly stats: { readonly expected: number; readonly unexpected: number; readonly flaky: number };
}

/** Tests that drive the built application in a browser. */
export async function browserTests(root: string, specs: readonly string[] = []): Promise<SuiteResult> {
  const report = join(root, '.build', 'playwright.json');
  mkdirSync(join(root, '.build'), { recursive: true });
  rmSync(report, { force: true });
  const files: FileTime[] = [];
  const args = ['node_modules/@playwright/test/cli.js', 'test', '--config', 'e2e/playwright.config.ts'];
  const code = await runToEnd(process.execPath, [...args, ...specs], {
    cwd: root,
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report, E2E_MADE_UP_IS_BUILT: '1' },
  });
  const tally = fromReport(report, code, (read) => {
    const json = read as BrowserReport;
    files.push(...timesIn(json));
    const { expected, unexpected, flaky } = json.stats;
    return { passed: expected, failed: unexpected + flaky };
  });
  return { ...tally, files };
}

function timesIn({ suites = [], specs = [] }: BrowserSuite): FileTime[] {
  const own = specs.map(({ title, file, tests }) => ({
    name: `${file}: ${title}`,
    seconds: tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0) / 1000,
  }));
  return [...own, ...suites.flatMap(timesIn)];
}

/** Runs a trial of `trials/`; its own closing line is its tally. */
export async function trial(root: string, args: readonly string[]): Promise<Tally> {
  const command = ['scripts/run.mjs', 'trials/src/run.ts', ...args];
  const { code, output } = await runAndCollect(process.execPath, command, { cwd: root });
  const lines = output.split('\n').filter((line) => /^\||^FAULT| passed, /.test(line));
  const told = code === 0 ? lines : output.split('\n').slice(-60);
  console.log(`\n== trial: ${args.join(' ')}\n${told.join('\n')}`);
  const [, passed = '0', failed = '0'] = /^(\d+) passed, (\d+) failed$/m.exec(output) ?? [];
  return orOneFailed({ passed: Number(passed), failed: Number(failed) }, code);
}
