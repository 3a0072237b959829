// Run after each change of the packages: a registry may lack binaries for other systems, the lock file then
// misses these optional packages, and a clean install refuses it. Each gets an entry that no other system uses.
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

lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(path, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} optional packages added to the lock file`);
