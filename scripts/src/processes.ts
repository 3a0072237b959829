import { type ChildProcess, spawn, type SpawnOptions } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { Trouble } from './tools.ts';

/** True when a process with this id is running and its command line mentions `mark`. */
export function isRunning(pid: number, mark: string): boolean {
  try {
    process.kill(pid, 0);
  } catch {
    return false;
  }
  const path = `/proc/${pid}/cmdline`;
  return !existsSync(path) || readFileSync(path, 'utf8').includes(mark);
}

/** Asks a process to stop, waits, and ends it when it does not listen. */
export async function stopProcess(pid: number, mark: string, patienceMs = 20_000): Promise<void> {
  if (!isRunning(pid, mark)) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; waited < patienceMs; waited += 50) {
    if (!isRunning(pid, mark)) return;
    await sleep(50);
  }
  if (isRunning(pid, mark)) process.kill(pid, 'SIGKILL');
}

/** A script that ends by an error takes the process that it started with it. */
export function endWithThisProcess(child: ChildProcess): void {
  const end = (): void => {
    if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
  };
  process.once('exit', end);
  child.once('exit', () => process.off('exit', end));
}

/** Runs a command to its end and gives its exit code; output goes to this terminal. */
export function runToEnd(
  command: string,
  args: readonly string[],
  options: SpawnOptions = {},
): Promise<number> {
  return new Promise((resolve, reject) => {
    const child: ChildProcess = spawn(command, [...args], { stdio: 'inherit', ...options });
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
    const child = spawn(command, [...args], { ...options, stdio: ['ignore', 'pipe', 'pipe'] });
    const parts: Buffer[] = [];
    child.stdout.on('data', (part: Buffer) => parts.push(part));
    child.stderr.on('data', (part: Buffer) => parts.push(part));
    child.once('error', reject);
    child.once('close', (code) => resolve({ code: code ?? 1, output: Buffer.concat(parts).toString() }));
  });
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
          : `Port ${port} cannot be used (${error.code}). Choose another: PORT=8081 npm start`;
      reject(new Trouble(words));
    });
    server.listen(port, host, () => server.close(() => resolve()));
  });
}
