import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** A package that is installed, by what it says of itself. */
export interface LicensedPackage {
  readonly name: string;
  readonly version: string;
  /** As an SPDX expression where the package gives one; empty where it says nothing. */
  readonly licence: string;
  /** True of what is only needed to build or test. */
  readonly isForMaking: boolean;
}

interface Manifest {
  readonly name?: string;
  readonly version?: string;
  readonly license?: string | LicenceObject | readonly LicenceObject[];
  readonly licenses?: readonly LicenceObject[];
}

/** As old packages say it. */
interface LicenceObject {
  readonly type?: string;
}

interface Locked {
  readonly link?: boolean;
  readonly dev?: boolean;
  readonly devOptional?: boolean;
}

/** Every package of the lock file that is installed on this machine, in the order of their names. */
export function installedPackages(root: string): LicensedPackage[] {
  const { packages } = read(join(root, 'package-lock.json')) as { packages: Record<string, Locked> };
  return Object.entries(packages)
    .filter(([place, { link }]) => place.includes('node_modules/') && !link)
    .map(([place, locked]) => ({ manifest: join(root, place, 'package.json'), locked }))
    .filter(({ manifest }) => existsSync(manifest))
    .map(({ manifest, locked }) => {
      const found = read(manifest) as Manifest;
      return {
        name: found.name ?? '',
        version: found.version ?? '',
        licence: licenceOf(found),
        isForMaking: locked.dev === true || locked.devOptional === true,
      };
    })
    .sort((one, other) => one.name.localeCompare(other.name));
}

function licenceOf({ license, licenses }: Manifest): string {
  if (typeof license === 'string') return license;
  const several = [license ?? licenses ?? []].flat();
  return several.map(({ type }) => type ?? '').join(' OR ');
}

function read(path: string): unknown {
  return JSON.parse(readFileSync(path, 'utf8'));
}
