import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runToEnd } from './processes.ts';
import { Trouble } from './tools.ts';

/** The compiler; tools that look into programs still need the one of before, which is written in JavaScript. */
export const TSC = 'node_modules/typescript-7/bin/tsc';

const SOURCES = [
  'words/src',
  'core/src',
  'contract/src',
  'demo/src',
  'server/src',
  'server/migrations',
  'server/rolldown.config.ts',
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'web/read-texts.ts',
  'tsconfig.base.json',
  'package-lock.json',
];

/** What the schemas of requests and answers are made from. */
const API_SOURCES = [
  'core/src',
  'contract/src',
  'scripts/src/answer-schemas.ts',
  'scripts/src/request-schemas.ts',
  'package-lock.json',
];

/** A short text that changes when any source changes (path, size or time of change). */
export function sourceStamp(root: string, sources: readonly string[] = SOURCES): string {
  const hash = createHash('sha256');
  for (const source of sources) addTo(hash, join(root, source));
  return hash.digest('hex').slice(0, 16);
}

/** Makes the schemas of requests and answers in a process of their own, unless nothing changed since. */
export async function describeApi(root: string): Promise<void> {
  const stamp = sourceStamp(root, API_SOURCES);
  await step(root, 'the description of the API', [
    '--conditions=brightsprout-src',
    'scripts/run.mjs',
    'scripts/src/describe-api.ts',
    stamp,
  ]);
}

function addTo(hash: ReturnType<typeof createHash>, path: string): void {
  if (!existsSync(path)) return;
  const stat = statSync(path);
  if (stat.isDirectory()) {
    for (const name of readdirSync(path).sort()) addTo(hash, join(path, name));
    return;
  }
  hash.update(`${path}|${stat.size}|${stat.mtimeMs}\n`);
}

/** Builds what is served, unless nothing changed since the last build. Gives the stamp of the build. */
export async function buildIfChanged(root: string): Promise<string> {
  const stamp = sourceStamp(root);
  const stampFile = join(root, '.build', 'stamp');
  const isBuilt = existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp;
  if (isBuilt && existsSync(join(root, 'web', 'dist', 'index.html'))) return stamp;
  console.log('building …');
  await step(root, 'the server', [TSC, '-b', 'server']);
  await Promise.all([
    packServer(root),
    describeApi(root),
    step(root, 'the interface', ['node_modules/vite/bin/vite.js', 'build', 'web', '--logLevel', 'warn']),
  ]);
  mkdirSync(join(root, '.build'), { recursive: true });
  writeFileSync(stampFile, stamp);
  return stamp;
}

/** Puts the compiled server into the few files that are run. */
export async function packServer(root: string): Promise<void> {
  const packing = ['node_modules/rolldown/bin/cli.mjs', '-c', 'server/rolldown.config.ts'];
  await step(root, 'the server', packing, 'ignore');
}

async function step(
  root: string,
  what: string,
  args: readonly string[],
  said: 'inherit' | 'ignore' = 'inherit',
): Promise<void> {
  const code = await runToEnd(process.execPath, args, { cwd: root, stdio: ['ignore', said, 'inherit'] });
  if (code !== 0) throw new Trouble(`Building ${what} failed; the lines above say why.`);
}
