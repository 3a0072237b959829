import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isRunning, stopProcess } from './processes.ts';
import { Trouble } from './tools.ts';

interface LockFile {
  readonly pid: number;
  readonly address: string;
  serverPid?: number;
}

/** The mark of one running Bright Sprout in a data folder. */
export class RunLock {
  readonly #path: string;
  #content: LockFile;

  private constructor(path: string, content: LockFile) {
    this.#path = path;
    this.#content = content;
  }

  /**
   * Takes the lock. A run that was killed leaves its file; what it started and still runs is ended first.
   * @throws Trouble when another run holds the lock
   */
  static async take(folder: string, address: string): Promise<RunLock> {
    const path = join(folder, 'running.json');
    const earlier = readLock(path);
    if (earlier && isRunning(earlier.pid, 'start.mjs')) {
      throw new Trouble(
        `Bright Sprout is running already: ${earlier.address}\nStop it there with Ctrl-C, or use another data folder with BRIGHT_SPROUT_DATA.`,
      );
    }
    if (earlier?.serverPid !== undefined) await stopProcess(earlier.serverPid, 'main.js');
    const lock = new RunLock(path, { pid: process.pid, address });
    lock.#write();
    return lock;
  }

  /** Notes the server that this run started. */
  noteServer(serverPid: number | undefined): void {
    if (serverPid !== undefined) this.#content = { ...this.#content, serverPid };
    this.#write();
  }

  /** Gives the lock back. */
  release(): void {
    rmSync(this.#path, { force: true });
  }

  #write(): void {
    writeFileSync(this.#path, JSON.stringify(this.#content), { mode: 0o600 });
  }
}

function readLock(path: string): LockFile | undefined {
  if (!existsSync(path)) return undefined;
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as LockFile;
  } catch {
    return undefined;
  }
}
