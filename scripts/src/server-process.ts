import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { endWithThisProcess, type OwnProcess, ownProcess, runToEnd, stopProcess } from './processes.ts';
import { Trouble } from './tools.ts';

const START_TRIES = 1800;

/** The server closes what is open within two seconds; a little more for a busy machine. */
const STOP_PATIENCE_MS = 8000;

/** Where a server finds its database and what it listens on. */
export interface ServerSettings {
  readonly root: string;
  readonly host: string;
  readonly port: number;
  readonly appUrl: string;
  readonly migrationUrl: string;
  readonly extra?: Readonly<Record<string, string>>;
}

/** A server that answers. */
export interface RunningServer {
  readonly child: ChildProcess;
  readonly own: OwnProcess;
  /** Tells it whether there is room where the data is kept. */
  tellDisk(isDiskFull: boolean): void;
  /** Called when it ends without being asked to. */
  onUnexpectedEnd(listener: () => void): void;
  stop(): Promise<void>;
}

function environment(settings: ServerSettings): NodeJS.ProcessEnv {
  return {
    ...process.env,
    NODE_ENV: 'production',
    HOST: settings.host,
    PORT: String(settings.port),
    BRIGHT_SPROUT_DB_URL: settings.appUrl,
    BRIGHT_SPROUT_MIGRATION_DB_URL: settings.migrationUrl,
    BRIGHT_SPROUT_WEB: join(settings.root, 'web', 'dist'),
    ...settings.extra,
  };
}

/** A program of the built server. */
export function built(root: string, name: string): string {
  return join(root, 'server', 'dist', 'packed', name);
}

/** Brings the database up to date. */
export async function runMigrations(settings: ServerSettings): Promise<void> {
  const code = await runToEnd(process.execPath, [built(settings.root, 'run-migrate.js')], {
    env: environment(settings),
  });
  if (code !== 0)
    throw new Trouble(
      'The database could not be brought up to date; the lines above say why. Nothing was lost.',
    );
}

const DEMO_MADE_ELSEWHERE = 3;

/**
 * Loads the made-up school when there is no teacher yet, or anew with `fresh`. False when the demo that is there
 * has another password: a server that shares this database made it.
 */
export async function runLoadDemo(
  settings: ServerSettings,
  password: string,
  fresh: boolean,
): Promise<boolean> {
  const env = { ...environment(settings), BRIGHT_SPROUT_DEMO_PASSWORD: password };
  const args = [built(settings.root, 'run-load-demo.js'), ...(fresh ? ['--fresh'] : [])];
  const code = await runToEnd(process.execPath, args, { env });
  if (code !== 0 && code !== DEMO_MADE_ELSEWHERE) {
    throw new Trouble('The demo could not be loaded; the lines above say why.');
  }
  return code === 0;
}

/** Starts the server and waits until it answers. */
export async function startServer(settings: ServerSettings): Promise<RunningServer> {
  const child = spawn(process.execPath, [built(settings.root, 'main.js')], {
    env: environment(settings),
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  });
  endWithThisProcess(child);
  const own = ownProcess(child);
  let stopping = false;
  const stop = async (): Promise<void> => {
    stopping = true;
    await stopProcess(own, STOP_PATIENCE_MS);
  };
  const listening = new AbortController();
  child.on('message', (message) => {
    if (message === 'listening') listening.abort();
  });
  for (let attempt = 0; attempt < START_TRIES; attempt += 1) {
    if (child.exitCode !== null || child.signalCode !== null) break;
    // It says so itself once it listens: a database that is away for a moment is no reason to end it.
    if (listening.signal.aborted) {
      const onUnexpectedEnd = (listener: () => void): void => {
        if (child.exitCode !== null || child.signalCode !== null) listener();
        else child.once('exit', () => stopping || listener());
      };
      const tellDisk = (isDiskFull: boolean): void => {
        if (child.connected) child.send({ isDiskFull });
      };
      return { child, own, tellDisk, onUnexpectedEnd, stop };
    }
    await sleep(100);
  }
  await stop();
  throw new Trouble('The server did not start; the lines above say why.');
}
