import { execFileSync } from 'node:child_process';
import { relatedTests } from './related-tests.ts';
import { browserTests, builtForBrowser, jestTests, sourceChecks } from './suites.ts';
import { sumOf, type Tally } from './tally.ts';

/** Types and lint, and the tests that what changed since the last commit touches. */
export async function testChanged(root: string): Promise<Tally> {
  const git = (...args: string[]): string[] =>
    execFileSync('git', args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean);
  const changed = [
    ...git('diff', '--name-only', 'HEAD'),
    ...git('ls-files', '--others', '--exclude-standard'),
  ];
  const files = [...new Set([...git('ls-files'), ...changed])];
  const { units, specs } = relatedTests(root, files, changed);
  console.log(
    `${changed.length} changed files: ${units.length} files of unit tests, ${specs.length} of browser tests`,
  );
  const looked = sourceChecks(root, ['lint', 'format']);
  const tallies = await sourceChecks(root, ['types']);
  if (units.length > 0) tallies.push(await jestTests(root, ['--runTestsByPath', ...units]));
  if (specs.length > 0) {
    tallies.push(await builtForBrowser(root));
    tallies.push(await browserTests(root, specs));
  }
  return sumOf([...(await looked), ...tallies]);
}
