import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { stopCommands, watchParent } from '../processes.ts';
import { CHROMIUM, ensureTool, MARIADB, Trouble } from '../tools.ts';
import { testChanged } from './changed.ts';
import { RunTimes } from './run-times.ts';
import { browserTests, builtForBrowser, jestTests, sourceChecks, type SuiteResult, trial } from './suites.ts';
import { sumOf, type Tally } from './tally.ts';

/** Trials of `trials/`, as much of each as there is time for; `npm run trials` runs them whole. */
const TRIALS = [
  ['faults', '--short', 'server', 'windows'],
  ['fuzz', '--requests', '2000'],
  ['hostile', '--short'],
  ['dates', '--short'],
] as const;

/**
 * Runs every suite, prints what took how long and `N passed, N failed` over all, and gives the exit code.
 * @param args `--changed` for what the changes since the last commit touch; `--write` for docs/test-times.md
 */
export async function testAll(root: string, args: readonly string[]): Promise<number> {
  stopOnSignals();
  try {
    ensureTool(MARIADB);
    ensureTool(CHROMIUM);
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    console.error(`\n${error.message}\n\n0 passed, 1 failed`);
    return 1;
  }
  // Threads of servers run what is built, in all suites.
  process.env.BRIGHT_SPROUT_THREADS = 'built';
  const total = args.includes('--changed') ? await testChanged(root) : await testWhole(root, args);
  console.log(`\n${total.passed} passed, ${total.failed} failed`);
  return total.failed === 0 ? 0 : 1;
}

/** All suites. */
async function testWhole(root: string, args: readonly string[]): Promise<Tally> {
  const times = new RunTimes(Number(process.env.BRIGHT_SPROUT_INSTALL_SECONDS ?? 0));
  const suite = async (name: string, run: () => Promise<SuiteResult>): Promise<Tally> => {
    const result = await times.part(name, run);
    times.addFiles(result.files);
    return result;
  };
  const types = await times.part('types', () => sourceChecks(root, ['types']));
  const build = await times.part('build', () => builtForBrowser(root));
  const inProcess = async (): Promise<Tally[]> => {
    const units = await suite('unit and server tests', () => jestTests(root, []));
    const looks = ['lint', 'lint of structure', 'format'] as const;
    return [units, ...(await times.part('lint and format', () => sourceChecks(root, looks)))];
  };
  const fromOutside = async (): Promise<Tally[]> => {
    const tallies = [await suite('tests in a browser', () => browserTests(root))];
    for (const args of TRIALS) tallies.push(await times.part(`trial: ${args[0]}`, () => trial(root, args)));
    return tallies;
  };
  // Each waits for its servers and browsers part of its time: together they leave no processor idle.
  const suites = await Promise.all([inProcess(), fromOutside()]);
  const report = times.report();
  console.log(`\n${report}`);
  if (args.includes('--write')) {
    const text = `# What the tests take\n\n\`npm test -- --write\` wrote this.\n\n${report}\n`;
    writeFileSync(join(root, 'docs', 'test-times.md'), text);
  }
  return sumOf([...types, build, ...suites.flat()]);
}

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
