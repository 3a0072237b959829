import { expect, test } from '@jest/globals';
import { installedPackages } from './licences.ts';
import { ROOT } from './temporary-application.ts';

/** Licences that let a school run, change and give on what is built with them; fonts have their own, OFL. */
const FREE =
  /^(MIT|MIT-0|ISC|Apache-2\.0|BSD-[23]-Clause|0BSD|BlueOak-1\.0\.0|CC0-1\.0|PSF-2\.0|Zlib|Public Domain|OFL-1\.1|Unlicense)$/;

/** Free as well, with duties for who changes the package itself, which nobody here does. */
const FREE_AS_IT_IS = /^(LGPL-2\.1\+|LGPL-3\.0-or-later|MPL-2\.0|CC-BY-4\.0)$/;

test('every package that is installed has a licence that a school may rely on', () => {
  const packages = installedPackages(ROOT);
  expect(packages.length).toBeGreaterThan(500);
  expect(packages.filter(({ isForMaking }) => !isForMaking).length).toBeGreaterThan(100);
  const isFree = (part: string): boolean => FREE.test(part) || FREE_AS_IT_IS.test(part);
  // Of several to choose from one is enough; AND binds closer.
  const isFreeAsAWhole = (licence: string): boolean =>
    licence
      .replaceAll(/[()]/g, '')
      .split(' OR ')
      .some((choice) => choice.split(' AND ').every(isFree));
  const odd = packages.filter(({ licence }) => !isFreeAsAWhole(licence));
  expect(odd).toEqual([]);
});
