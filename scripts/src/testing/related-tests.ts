import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';

const IMPORTED = /(?:from|import\(?)\s*'((?:\.|@bright-sprout\/)[^']+)'/g;

/**
 * The tests that a change touches: unit tests that import a changed file, however far away, and browser tests of the
 * features whose files do.
 * @param files every source file, as a path from the root
 * @param changed those of them that changed
 */
export function relatedTests(
  root: string,
  files: readonly string[],
  changed: readonly string[],
): { readonly units: string[]; readonly specs: string[] } {
  const importers = importersOf(root, files);
  const touched = new Set(changed);
  for (const file of touched) for (const one of importers.get(file) ?? []) touched.add(one);
  const isThere = (file: string): boolean => existsSync(join(root, file));
  const units = [...touched].filter((file) => /\.test\.tsx?$/.test(file) && isThere(file)).sort();
  const specs = new Set([...touched].filter((file) => file.endsWith('.spec.ts')));
  // What a feature of the interface or the server changed by itself is looked at in the browser.
  for (const file of changed) {
    const [, feature = ''] = /^(?:web|server|words)\/src\/(?:en\/)?([a-z-]+)/.exec(file) ?? [];
    for (const spec of files) if (spec.startsWith(`e2e/${feature}/`) && feature !== '') specs.add(spec);
  }
  return { units, specs: [...specs].filter((file) => file.endsWith('.spec.ts') && isThere(file)).sort() };
}

/** Which files import each file. */
function importersOf(root: string, files: readonly string[]): Map<string, string[]> {
  const known = new Set(files);
  const importers = new Map<string, string[]>();
  for (const file of files) {
    if (!/\.tsx?$/.test(file) || !existsSync(join(root, file))) continue;
    for (const [, name = ''] of readFileSync(join(root, file), 'utf8').matchAll(IMPORTED)) {
      const target = targetOf(root, file, name);
      if (known.has(target)) importers.set(target, [...(importers.get(target) ?? []), file]);
    }
  }
  return importers;
}

/** The file that an import names, as a path from the root. */
function targetOf(root: string, file: string, name: string): string {
  if (name.startsWith('.')) return resolve(join(root, dirname(file)), name).slice(root.length + 1);
  const [, owner = '', part = ''] = /^@bright-sprout\/([a-z0-9-]+)\/?(.*)$/.exec(name) ?? [];
  if (owner === 'words') return `words/src/${part}.ts`;
  return part === '' ? `${owner}/src/index.ts` : `${owner}/src/${part}/index.ts`;
}
