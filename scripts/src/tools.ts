import { spawnSync } from 'node:child_process';
import { existsSync, renameSync, writeFileSync } from 'node:fs';
import { delimiter, join } from 'node:path';

/** Something that stops the script, said in words that tell what to do. */
export class Trouble extends Error {}

/**
 * Writes a file whole or not at all, readable by its owner only: a run that is cut short leaves the old one.
 * @throws Trouble when it cannot be written
 */
export function writeWhole(path: string, text: string): void {
  try {
    writeFileSync(`${path}.new`, text, { mode: 0o600 });
    renameSync(`${path}.new`, path);
  } catch (error) {
    throw new Trouble(inWords(path, error as NodeJS.ErrnoException));
  }
}

function inWords(path: string, error: NodeJS.ErrnoException): string {
  const why =
    error.code === 'ENOSPC'
      ? 'the disk is full. Make room'
      : error.code === 'EROFS' || error.code === 'EACCES' || error.code === 'EPERM'
        ? 'the folder cannot be written to. Allow it'
        : `${error.message}. Mend it`;
  return `${path} could not be written: ${why}, or choose another folder with BRIGHT_SPROUT_DATA.`;
}

/** A Debian package and the programs that it brings. */
export interface Tool {
  readonly what: string;
  readonly programs: readonly string[];
  /** Libraries that it needs beside them. */
  readonly libraries?: readonly string[];
  /** A program that does as well, only slower; used when the packages cannot be installed. */
  readonly orElse?: string;
  readonly packages: readonly string[];
}

/** The database server. */
export const MARIADB: Tool = {
  what: 'MariaDB',
  programs: ['mariadbd', 'mariadb-install-db'],
  packages: ['mariadb-server-core', 'mariadb-client-core'],
};

/** What makes several MariaDB servers a cluster; for trials. */
export const GALERA: Tool = {
  what: 'Galera',
  programs: ['rsync', 'lsof'],
  libraries: ['libgalera_smm.so'],
  packages: ['galera-4', 'rsync', 'lsof'],
};

/** What stands before several servers; for trials. */
export const HAPROXY: Tool = { what: 'HAProxy', programs: ['haproxy'], packages: ['haproxy'] };

/** What makes certificates. */
export const OPENSSL: Tool = { what: 'OpenSSL', programs: ['openssl'], packages: ['openssl'] };

/** Lets programs see another time; for trials. */
export const FAKETIME: Tool = { what: 'faketime', programs: ['faketime'], packages: ['faketime'] };

/** The browser of the end-to-end tests: without a window it starts and draws a third faster. */
export const CHROMIUM: Tool = {
  what: 'Chromium',
  programs: ['chromium-headless-shell'],
  orElse: 'chromium',
  packages: ['chromium-headless-shell'],
};

/** Full path of a program; undefined when it is not installed. */
export function findProgram(name: string): string | undefined {
  const folders = [...(process.env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/bin'];
  return folders.map((folder) => join(folder, name)).find((path) => existsSync(path));
}

const LIBRARY_FOLDERS = [
  '/usr/lib/galera',
  '/usr/lib/x86_64-linux-gnu/faketime',
  '/usr/lib/aarch64-linux-gnu/faketime',
];

/** Full path of a tool's first library; undefined when it is not installed. */
export function findLibrary({ libraries = [] }: Tool): string | undefined {
  return LIBRARY_FOLDERS.map((folder) => join(folder, libraries[0] ?? '')).find((path) => existsSync(path));
}

/**
 * Makes sure that a tool is there; as root it is installed from Debian's packages.
 * @throws Trouble with the exact command when it is missing and cannot be installed
 */
export function ensureTool(tool: Tool): void {
  const hasLibraries = tool.libraries === undefined || findLibrary(tool) !== undefined;
  if (hasLibraries && tool.programs.every(findProgram)) return;
  try {
    installTool(tool);
  } catch (error) {
    if (tool.orElse === undefined || !findProgram(tool.orElse)) throw error;
  }
}

function installTool(tool: Tool): void {
  const install = `apt-get install -y --no-install-recommends ${tool.packages.join(' ')}`;
  const canInstall = process.getuid?.() === 0 && findProgram('apt-get') !== undefined;
  if (!canInstall)
    throw new Trouble(
      `${tool.what} is missing. Install it with:\n\n  sudo ${install}\n\nthen run this again.`,
    );
  console.log(`installing ${tool.what} (${tool.packages.join(', ')}) …`);
  for (const command of ['apt-get update -qq', `${install} -qq`]) {
    const run = spawnSync('sh', ['-c', command], {
      stdio: ['ignore', 'ignore', 'pipe'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (run.status !== 0) {
      throw new Trouble(
        `${tool.what} could not be installed: "${command}" failed.\n${run.stderr.toString().trim()}`,
      );
    }
  }
}
