import { type ChildProcess, execFileSync, spawn, type SpawnOptions } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { Trouble } from './tools.ts';

/** A process that was started here. Numbers are given again to strangers, so it is known by when it began as well. */
export interface OwnProcess {
  readonly pid: number;
  readonly began: string;
}

/** When a process began, with the boot it belongs to; empty when there is none. */
export function beginningOf(pid: number): string {
  if (!isThere(pid)) return '';
  const stat = `/proc/${pid}/stat`;
  try {
    if (existsSync(stat)) {
      const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
      // The name of the program stands in brackets and may hold anything; the 20th word behind them is the start.
      const words = readFileSync(stat, 'utf8')
        .replace(/^.*\) /s, '')
        .split(' ');
      return words[0] === 'Z' ? '' : `${boot} ${words[19] ?? ''}`;
    }
    return execFileSync('ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' }).trim();
  } catch {
    return '';
  }
}

/** A child as it can be written down and found again. */
export function ownProcess(child: Pick<ChildProcess, 'pid'>): OwnProcess {
  const pid = child.pid ?? 0;
  return { pid, began: beginningOf(pid) };
}

/** True while this very process runs; another one that got its number does not count. */
export function isRunning({ pid, began }: OwnProcess): boolean {
  return began !== '' && beginningOf(pid) === began;
}

/** Asks a process to stop, waits, and ends it when it does not listen. A stranger is never touched. */
export async function stopProcess(own: OwnProcess, patienceMs = 20_000): Promise<void> {
  if (!isRunning(own)) return;
  process.kill(own.pid, 'SIGTERM');
  for (let waited = 0; waited < patienceMs; waited += 25) {
    if (!isRunning(own)) return;
    await sleep(25);
  }
  if (isRunning(own)) process.kill(own.pid, 'SIGKILL');
}

function isThere(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 1) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** A script that ends by an error takes the process that it started with it. */
export function endWithThisProcess(child: ChildProcess): void {
  const end = (): void => {
    if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
  };
  process.once('exit', end);
  child.once('exit', () => process.off('exit', end));
}

/** Commands that run at this moment, each in a group of its own with whatever it starts. */
const running = new Set<ChildProcess>();

/** True once all is being stopped: what would come next is no longer begun. */
let isStopping = false;

/** Asks every command that {@link runToEnd} started, and what those started, to stop; after `patienceMs` ends them. */
export async function stopCommands(signal: NodeJS.Signals, patienceMs = 10_000): Promise<void> {
  isStopping = true;
  const groups = [...running].flatMap((child) => child.pid ?? []);
  for (const group of groups) signalGroup(group, signal);
  for (let waited = 0; waited < patienceMs && running.size > 0; waited += 50) await sleep(50);
  for (const group of groups) signalGroup(group, 'SIGKILL');
}

function signalGroup(group: number, signal: NodeJS.Signals): void {
  try {
    process.kill(-group, signal);
  } catch {
    // Nobody of the group is left.
  }
}

/** Calls `end` when the process that started this one is gone: npm does not pass every signal on. */
export function watchParent(end: () => void): void {
  const parent = process.ppid;
  if (parent === 1) return;
  setInterval(() => {
    if (process.ppid !== parent) end();
  }, 500).unref();
}

/** Runs a command to its end and gives its exit code; output goes to this terminal. */
export function runToEnd(
  command: string,
  args: readonly string[],
  options: SpawnOptions = {},
): Promise<number> {
  return new Promise((resolve, reject) => {
    if (isStopping) return;
    const child: ChildProcess = spawn(command, [...args], { stdio: 'inherit', detached: true, ...options });
    follow(child);
    child.once('error', reject);
    child.once('exit', (code) => resolve(code ?? 1));
  });
}

/** Runs a command to its end and gives its exit code and all that it printed. */
export function runAndCollect(
  command: string,
  args: readonly string[],
  options: SpawnOptions = {},
): Promise<{ code: number; output: string }> {
  return new Promise((resolve, reject) => {
    if (isStopping) return;
    const child = spawn(command, [...args], {
      detached: true,
      ...options,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    follow(child);
    const parts: Buffer[] = [];
    child.stdout.on('data', (part: Buffer) => parts.push(part));
    child.stderr.on('data', (part: Buffer) => parts.push(part));
    child.once('error', reject);
    child.once('close', (code) => resolve({ code: code ?? 1, output: Buffer.concat(parts).toString() }));
  });
}

let tellCommand: (pid: number | undefined) => void = () => undefined;

/** Has every command told that {@link runToEnd}, {@link runAndCollect} or a private database starts. */
export function onCommand(listener: (pid: number | undefined) => void): void {
  tellCommand = listener;
}

/** Tells of a process that was started. */
export function commandStarted({ pid }: ChildProcess): void {
  tellCommand(pid);
}

function follow(child: ChildProcess): void {
  commandStarted(child);
  running.add(child);
  endWithThisProcess(child);
  child.once('exit', () => running.delete(child));
  child.once('error', () => running.delete(child));
}

/** A TCP port on loopback that nobody listens on at this moment. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** @throws Trouble when something listens on the port already */
export function requireFreePort(port: number, host: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', (error: NodeJS.ErrnoException) => {
      const taken = `Port ${port} is taken by another program. Stop it, or choose another port:\n\n  PORT=${port + 1} npm start\n`;
      const words =
        error.code === 'EADDRINUSE'
          ? taken
          : error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND'
            ? `HOST is "${host}", which is no address of this machine. Leave HOST out, or use 127.0.0.1, ::1 or 0.0.0.0.`
            : `Port ${port} cannot be used (${error.code}). Choose another: PORT=8081 npm start`;
      reject(new Trouble(words));
    });
    server.listen(port, host, () => server.close(() => resolve()));
  });
}

/** A web address; an address of IPv6 stands in brackets. */
export function addressOf(host: string, port: number, isSafe = false): string {
  return `${isSafe ? 'https' : 'http'}://${host.includes(':') ? `[${host}]` : host}:${port}`;
}
