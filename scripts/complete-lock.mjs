// Run after each change of the packages: a registry may lack binaries for other systems, the lock file then
// misses these optional packages, and a clean install refuses it. Each gets an entry that no other system uses.
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './bootstrap.mjs';

const SYSTEMS = [
  'aix',
  'android',
  'darwin',
  'freebsd',
  'linux',
  'netbsd',
  'openbsd',
  'openharmony',
  'sunos',
  'win32',
];
const CPUS = ['arm64', 'arm', 'ia32', 'loong64', 'mips64el', 'ppc64', 'riscv64', 's390x', 'x64', 'wasm32'];

const path = join(root, 'package-lock.json');
const lock = JSON.parse(readFileSync(path, 'utf8'));
let added = 0;

for (const [place, entry] of Object.entries(lock.packages)) {
  for (const [name, range] of Object.entries(entry.optionalDependencies ?? {})) {
    const version = /\d+\.\d+\.\d+\S*/.exec(range)?.[0] ?? '0.0.0';
    const near = `${place}/node_modules/${name}`;
    const far = `node_modules/${name}`;
    if (
      lock.packages[near] ||
      (lock.packages[far] && (range !== version || lock.packages[far].version === version))
    )
      continue;
    const words = name.split(/[-/]/);
    const system = SYSTEMS.find((candidate) => words.includes(candidate)) ?? 'none';
    const cpu = CPUS.find((candidate) => words.some((word) => word.startsWith(candidate))) ?? 'none';
    lock.packages[lock.packages[far] ? near : far] = { version, cpu: [cpu], os: [system], optional: true };
    added += 1;
  }
}

// A registry in between may leave out what the packages' sums are; each entry gets the one that its registry gives.
const registry = execFileSync('npm', ['config', 'get', 'registry'], { stdio: ['ignore', 'pipe', 'ignore'] })
  .toString()
  .trim()
  .replace(/\/$/, '');
const SUMMARY = { accept: 'application/vnd.npm.install-v1+json' };
const bare = Object.entries(lock.packages).filter(
  ([place, { link, integrity }]) => place.includes('node_modules/') && !link && !integrity,
);
const nameOf = ([place, { name }]) => name ?? place.slice(place.lastIndexOf('node_modules/') + 13);
const versionsOf = new Map();
for (const name of new Set(bare.map(nameOf))) {
  const answer = await fetch(`${registry}/${name.replace('/', '%2f')}`, { headers: SUMMARY });
  if (answer.ok) versionsOf.set(name, (await answer.json()).versions);
}
let summed = 0;
for (const entry of bare) {
  const [, locked] = entry;
  const integrity = versionsOf.get(nameOf(entry))?.[locked.version]?.dist?.integrity;
  if (!integrity) continue;
  locked.integrity = integrity;
  summed += 1;
}

lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(path, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} optional packages and ${summed} sums added to the lock file`);
