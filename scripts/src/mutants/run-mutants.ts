import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { describeApi } from '../build.ts';
import { startPrivateDatabase } from '../private-database.ts';
import { type Mutation, mutationsOf } from './mutations.ts';

const root = dirname(dirname(dirname(import.meta.dirname)));

/** A run that takes this long hangs, as in a loop that no longer ends. */
const LONGEST_MS = 45_000;

/** Sources that are mutated, and the tests that should notice. */
interface Part {
  readonly name: string;
  readonly sources: readonly string[];
  readonly tests: readonly string[];
}

const PARTS: readonly Part[] = [
  { name: 'core/statistics', sources: filesOf('core/src/statistics'), tests: ['core/src/statistics'] },
  {
    name: 'the save on the device',
    sources: ['outbox.ts', 'use-keep.ts'].map((file) => `web/src/shared/outbox/${file}`),
    tests: ['web/src/shared/outbox'],
  },
  {
    name: 'the save on the server',
    sources: ['readings.service.ts', 'check-reading.ts'].map((file) => `server/src/readings/${file}`),
    tests: ['server/src/readings'],
  },
];

/** A mutant that lives: no test failed. */
interface Survivor extends Mutation {
  readonly source: string;
}

const { values } = parseArgs({
  options: { each: { type: 'string', default: '60' }, only: { type: 'string' }, write: { type: 'boolean' } },
});
const each = Number(values.each);
const running = new Set<ChildProcess>();
const folder = mkdtempSync(join(tmpdir(), 'sprout-mutants-'));
await describeApi(root);
const database = await startPrivateDatabase(folder, { durable: false });
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
  process.on(signal, () => {
    for (const child of running) child.kill('SIGKILL');
    void database.stop().finally(() => process.exit(130));
  });
}
const lines: string[] = [];
const alive: string[] = [];
try {
  for (const part of PARTS.filter(({ name }) => !values.only || name.includes(values.only))) {
    if (!(await passes(part, undefined))) throw new Error(`${part.name}: the tests fail without a mutation`);
    const all = part.sources.flatMap((source) =>
      mutationsOf(readFileSync(join(root, source), 'utf8')).map((mutation) => ({ ...mutation, source })),
    );
    const chosen = spread(all, each);
    const survivors = await survivorsOf(part, chosen);
    const killed = chosen.length - survivors.length;
    lines.push(
      `| ${part.name} | ${all.length} | ${chosen.length} | ${killed} | ${Math.round((100 * killed) / chosen.length)} % |`,
    );
    console.log(lines.at(-1));
    for (const { source, line, what } of survivors) {
      alive.push(`- \`${source}:${line}\` \`${what}\``);
      console.log(alive.at(-1));
    }
  }
} finally {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
if (values.write) writeFileSync(join(root, 'docs', 'mutants.md'), report());

function report(): string {
  return `# Mutants

\`npm run mutants -- --write\` wrote this. Of every change that it knows (operators swapped, conditions fixed, numbers off by one, calls left out) an even spread was made, one at a time, and the tests beside it ran: a mutant is killed when one fails.

| part | mutations | made | killed | score |
|---|---|---|---|---|
${lines.join('\n')}

Alive, each looked at by hand when it appears: a bound that no value meets, a number that only steers how fast a sum ends, or a test that is missing.

${alive.join('\n')}
`;
}

function filesOf(path: string): string[] {
  return readdirSync(join(root, path))
    .filter((file) => file.endsWith('.ts') && !file.includes('.test.') && basename(file) !== 'index.ts')
    .map((file) => `${path}/${file}`);
}

/** So many of all, evenly spread, the same in each run. */
function spread<T>(all: readonly T[], count: number): T[] {
  if (all.length <= count) return [...all];
  return Array.from({ length: count }, (_, at) => all[Math.floor(((at + 0.5) * all.length) / count)] as T);
}

async function survivorsOf(part: Part, mutants: readonly Survivor[]): Promise<Survivor[]> {
  const waiting = [...mutants];
  const survivors: Survivor[] = [];
  const work = async (): Promise<void> => {
    for (let mutant = waiting.shift(); mutant; mutant = waiting.shift()) {
      if (await passes(part, mutant)) survivors.push(mutant);
    }
  };
  await Promise.all([work(), work()]);
  return survivors;
}

function passes(part: Part, mutant: Survivor | undefined): Promise<boolean> {
  const child = spawn(
    process.execPath,
    ['node_modules/jest/bin/jest.js', '--runInBand', '--bail', '--forceExit', ...part.tests],
    {
      cwd: root,
      stdio: 'ignore',
      env: {
        ...process.env,
        BRIGHT_SPROUT_TEST_DB_URL: database.rootUrl,
        ...(mutant ? { BRIGHT_SPROUT_MUTANT: JSON.stringify(mutant) } : {}),
      },
    },
  );
  running.add(child);
  return new Promise((resolve) => {
    const timer = setTimeout(() => child.kill('SIGKILL'), LONGEST_MS);
    child.on('exit', (code) => {
      clearTimeout(timer);
      running.delete(child);
      resolve(code === 0);
    });
  });
}
