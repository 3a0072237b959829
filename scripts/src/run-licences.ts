import { installedPackages, type LicensedPackage } from './licences.ts';
import { ROOT } from './temporary-application.ts';

const byLicence = new Map<string, LicensedPackage[]>();
for (const found of installedPackages(ROOT)) {
  const licence = found.licence || 'says nothing';
  byLicence.set(licence, [...(byLicence.get(licence) ?? []), found]);
}
for (const [licence, packages] of [...byLicence].sort(([, one], [, other]) => other.length - one.length)) {
  const shipped = packages.filter(({ isForMaking }) => !isForMaking);
  console.log(`\n${licence}: ${packages.length}, ${shipped.length} of them in what is served`);
  for (const { name, version, isForMaking } of packages)
    console.log(`  ${name} ${version}${isForMaking ? ' (to build and test)' : ''}`);
}
