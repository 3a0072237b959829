import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { ROOT } from './temporary-application.ts';

interface Locked {
  readonly version?: string;
  readonly integrity?: string;
  readonly link?: boolean;
}

test('every package of the lock file has its sum, so that nothing else is installed in its place', () => {
  const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8')) as {
    packages: Record<string, Locked>;
  };
  const installed = Object.entries(packages).filter(
    ([place, { link }]) => place.includes('node_modules/') && !link,
  );
  expect(installed.length).toBeGreaterThan(500);
  const bare = installed.filter(([, { integrity }]) => !integrity?.startsWith('sha512-'));
  expect(bare.map(([place]) => place)).toEqual([]);
});
