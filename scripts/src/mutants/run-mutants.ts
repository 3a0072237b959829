import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { dirname, join, relative, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import type { MutantResult } from '@stryker-mutator/api/core';
import { Stryker } from '@stryker-mutator/core';
import { describeApi } from '../build.ts';
import { startPrivateDatabase } from '../private-database.ts';
import { PARTS, type MutatedPart } from './parts.ts';

const root = dirname(dirname(dirname(import.meta.dirname)));

/** Where it is remembered which mutant was killed by which test: what did not change is not tried again. */
const REMEMBERED = join('.build', 'mutants');

const { values } = parseArgs({ options: { only: { type: 'string' }, write: { type: 'boolean' } } });
process.chdir(root);
mkdirSync(REMEMBERED, { recursive: true });
const folder = mkdtempSync(join(tmpdir(), 'sprout-mutants-'));
await describeApi(root);
const database = await startPrivateDatabase(folder, { durable: false });
process.env.BRIGHT_SPROUT_TEST_DB_URL = database.rootUrl;
const lines: string[] = [];
const alive: string[] = [];
try {
  for (const part of PARTS.filter(({ name }) => !values.only || name.includes(values.only))) {
    const mutants = await triedOn(part);
    const survivors = mutants.filter(({ status }) => status === 'Survived' || status === 'NoCoverage');
    const killed = mutants.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
    const share = Math.round((100 * killed) / (killed + survivors.length));
    lines.push(`| ${part.name} | ${killed + survivors.length} | ${killed} | ${share} % |`);
    console.log(lines.at(-1));
    alive.push(...survivors.map(told));
  }
  console.log(alive.join('\n'));
} catch (error) {
  // StrykerJS listens to what nobody catches, and says nothing of it.
  console.error(error);
  process.exitCode = 1;
} finally {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
if (values.write) writeFileSync(join(root, 'docs', 'mutants.md'), report());

function triedOn({ name, project, sources, tests, conditions }: MutatedPart): Promise<MutantResult[]> {
  return new Stryker({
    mutate: [...sources],
    testRunner: 'native',
    plugins: [join(root, 'scripts', 'stryker', 'test-runner.mjs')],
    nativeTests: { project, tests },
    testRunnerNodeArgs: ['brightsprout-src', ...conditions].map((one) => `--conditions=${one}`),
    coverageAnalysis: 'perTest',
    concurrency: availableParallelism(),
    checkers: [],
    ignorePatterns: [
      '.data',
      '.build/demos',
      '.build/mutants',
      'docs',
      'e2e',
      'bench',
      'web/dist',
      'test-results',
    ],
    tempDirName: join('.build', 'mutants', 'sandbox'),
    incremental: true,
    incrementalFile: join(REMEMBERED, `${name.replaceAll(/\W+/g, '-')}.json`),
    reporters: ['progress-append-only'],
    warnings: {
      unknownOptions: false,
      slow: false,
      preprocessorErrors: true,
      unserializableOptions: true,
    },
    allowConsoleColors: false,
    allowEmpty: false,
  }).runMutationTest();
}

function told({ fileName, location, mutatorName, replacement }: MutantResult): string {
  const { start, end } = location;
  const text = readFileSync(resolve(root, fileName), 'utf8')
    .split('\n')
    .slice(start.line - 1, end.line);
  const was =
    text.length === 1
      ? text[0]?.slice(start.column - 1, end.column - 1)
      : `${text[0]?.slice(start.column - 1)} …`;
  const shown = (code: string | undefined): string =>
    (code ?? '').replaceAll(/\s+/g, ' ').replaceAll('`', "'").slice(0, 70);
  return `- \`${relative(root, resolve(root, fileName))}:${start.line}\` ${mutatorName}: \`${shown(was)}\` → \`${shown(replacement)}\``;
}

function report(): string {
  return `# Mutants

\`npm run mutants -- --write\` wrote this with StrykerJS: one change at a time is made to a source (another operator, a condition that always holds, a call left out), and the tests that run it must notice. Which mutant was killed by which test is remembered in \`${REMEMBERED}\`; the next run tries what changed since.

| part | mutants | killed | score |
|---|---|---|---|
${lines.join('\n')}

Alive, each a test that is missing, or a change that changes nothing: a bound that no value meets, a number that only steers how fast a sum ends.

${alive.join('\n')}
`;
}
