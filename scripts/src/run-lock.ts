import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { isRunning, type OwnProcess, ownProcess, stopProcess } from './processes.ts';
import { Trouble, writeWhole } from './tools.ts';

interface LockFile {
  readonly run: OwnProcess;
  readonly address: string;
  readonly server?: OwnProcess;
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
    if (earlier && isRunning(earlier.run)) {
      throw new Trouble(
        `Bright Sprout is running already: ${earlier.address}\nStop it there with Ctrl-C, or use another data folder with BRIGHT_SPROUT_DATA.`,
      );
    }
    if (earlier?.server) await stopProcess(earlier.server);
    const lock = new RunLock(path, { run: ownProcess(process), address });
    lock.#write();
    return lock;
  }

  /** The address of the run that holds a folder; undefined where none does. */
  static holder(folder: string): string | undefined {
    const held = readLock(join(folder, 'running.json'));
    return held && isRunning(held.run) ? held.address : undefined;
  }

  /** Notes the server that this run started. */
  noteServer(server: OwnProcess): void {
    this.#content = { ...this.#content, server };
    this.#write();
  }

  /** Gives the lock back. */
  release(): void {
    rmSync(this.#path, { force: true });
  }

  #write(): void {
    writeWhole(this.#path, JSON.stringify(this.#content));
  }
}

function readLock(path: string): LockFile | undefined {
  try {
    const content = JSON.parse(readFileSync(path, 'utf8')) as Partial<LockFile>;
    return isProcess(content.run) ? (content as LockFile) : undefined;
  } catch {
    return undefined;
  }
}

function isProcess(value: Partial<OwnProcess> | undefined): boolean {
  return typeof value?.pid === 'number' && typeof value.began === 'string';
}
