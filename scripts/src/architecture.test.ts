import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { describe, expect, test } from '@jest/globals';

const ROOT = dirname(dirname(import.meta.dirname));
const { ORDER } = (await import(join(ROOT, 'eslint.config.mjs'))) as {
  ORDER: Record<'core' | 'contract' | 'server' | 'web', (string | string[])[]>;
};
const PACKAGES = ['words', 'core', 'contract', 'demo', 'server', 'web'];

function sourceFiles(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.test\.|\.d\.ts$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));
}

const SOURCE_IMPORT = /^(?:import|export) (?!type\b)[^;]*?from '(\.[^']+)'/gm;

/** Files that a file imports at run time, from its own package. */
function importsOf(file: string): string[] {
  const source = readFileSync(file, 'utf8');
  return [...source.matchAll(SOURCE_IMPORT)].map(([, path]) => resolve(dirname(file), path ?? ''));
}

/** The first circle of imports, or undefined. */
function circle(files: readonly string[]): string[] | undefined {
  const done = new Set<string>();
  const visit = (file: string, path: string[]): string[] | undefined => {
    if (path.includes(file)) return [...path.slice(path.indexOf(file)), file];
    if (done.has(file)) return undefined;
    for (const next of importsOf(file).filter((target) => files.includes(target))) {
      const found = visit(next, [...path, file]);
      if (found) return found;
    }
    done.add(file);
    return undefined;
  };
  for (const file of files) {
    const found = visit(file, []);
    if (found) return found.map((one) => one.slice(ROOT.length + 1));
  }
  return undefined;
}

describe.each(PACKAGES)('%s', (name) => {
  const files = sourceFiles(join(ROOT, name, 'src'));

  test('has files that import each other, but never in a circle', () => {
    expect(files.length).toBeGreaterThan(2);
    expect(files.flatMap(importsOf).filter((target) => files.includes(target)).length).toBeGreaterThan(1);
    expect(circle(files)).toBeUndefined();
  });
});

test('the interface and the server never meet', () => {
  for (const [from, other] of [
    ['web', 'server'],
    ['server', 'web'],
  ] as const) {
    for (const file of sourceFiles(join(ROOT, from, 'src'))) {
      expect([file, readFileSync(file, 'utf8').includes(`@bright-sprout/${other}`)]).toEqual([file, false]);
    }
  }
});

test.each(['core', 'contract', 'server', 'web'] as const)(
  'every folder of %s has its place in the order',
  (name) => {
    const folders = readdirSync(join(ROOT, name, 'src'), { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map((entry) => entry.name)
      .sort();
    expect(ORDER[name].flat().sort()).toEqual(folders);
    const map = readFileSync(join(ROOT, 'CONTRIBUTING.md'), 'utf8');
    const lines = new RegExp(`^${name} +(shared.*(?:\\n +←.*)*)`, 'm').exec(map)?.[1] ?? '';
    expect(
      lines
        .replaceAll('|', '←')
        .split('←')
        .map((step) => step.trim()),
    ).toEqual(ORDER[name].flat());
  },
);
