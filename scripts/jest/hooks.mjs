// Node's own module hooks for tests: TypeScript is compiled once and remembered, styles are left out.
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { transformSync, version } from '@swc/core';

const require = createRequire(import.meta.url);
const ROOT = dirname(dirname(import.meta.dirname));
const CACHE = join(ROOT, 'node_modules', '.cache', 'tests');
const GLOBALS = new URL('globals.mjs', import.meta.url).href;
const STYLES = new URL('styles.mjs', import.meta.url).href;

const OPTIONS = {
  jsc: {
    target: 'es2022',
    parser: { syntax: 'typescript', tsx: true, decorators: true },
    transform: {
      legacyDecorator: true,
      decoratorMetadata: true,
      react: { runtime: 'automatic' },
      useDefineForClassFields: false,
    },
  },
  module: { type: 'es6' },
  sourceMaps: 'inline',
  swcrc: false,
  configFile: false,
};
const BEGINNING = createHash('sha256').update(JSON.stringify(OPTIONS)).update(version);

/** Modules of the interface hold what a page knows: each test file, which has a number, gets its own. */
export async function resolve(specifier, context, next) {
  if (specifier === '@jest/globals') return { url: GLOBALS, format: 'module', shortCircuit: true };
  if (/\.(scss|css|svg)$/.test(specifier)) return { url: STYLES, format: 'module', shortCircuit: true };
  // Its parts are folders, which Node does not import; bundlers read what they name.
  if (specifier.startsWith('react-bootstrap/')) return partOf(specifier);
  const found = await next(specifier, context);
  const file = context.parentURL?.match(/[?&]file=(\d+)/)?.[1];
  if (!file || !found.url.includes('/web/src/')) return found;
  return { ...found, url: `${found.url}?file=${file}` };
}

function partOf(specifier) {
  const url = pathToFileURL(require.resolve(specifier)).href;
  return { url: `${url}?default`, format: 'module', shortCircuit: true };
}

/** Compiles TypeScript; what was compiled before is read. */
export async function load(url, context, next) {
  const path = url.split('?', 1)[0];
  if (url.endsWith('?default')) {
    const source = `import part from ${JSON.stringify(path)}; export default part.default ?? part;`;
    return { format: 'module', source, shortCircuit: true };
  }
  if (!isOurs(url) || !/\.tsx?$/.test(path)) return next(url, context);
  return { format: 'module', source: compiled(fileURLToPath(path)), shortCircuit: true };
}

function isOurs(url) {
  return url.startsWith('file:') && !url.includes('/node_modules/') && !url.includes('/dist/');
}

function compiled(path) {
  const source = readFileSync(path, 'utf8');
  const name = BEGINNING.copy().update(path).update('\0').update(source).digest('hex');
  const cached = join(CACHE, name.slice(0, 2), name);
  try {
    return readFileSync(cached, 'utf8');
  } catch {
    const { code } = transformSync(source, { ...OPTIONS, filename: path });
    mkdirSync(dirname(cached), { recursive: true });
    writeFileSync(`${cached}.${process.pid}`, code);
    renameSync(`${cached}.${process.pid}`, cached);
    return code;
  }
}
