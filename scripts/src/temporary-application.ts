import { createHash, randomBytes } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { startPrivateDatabase } from './private-database.ts';
import { freePort } from './processes.ts';
import { runLoadDemo, runMigrations, type ServerSettings, startServer } from './server-process.ts';

/** Root of the repository. */
export const ROOT = dirname(dirname(import.meta.dirname));

/** E-mail of the demo teacher. */
export const DEMO_EMAIL = 'tansy.holloway@fernhollow.example';

/** The built application with the demo, in a folder and on ports of its own. */
export interface TemporaryApplication {
  readonly address: string;
  readonly password: string;
  readonly databaseUrl: string;
  readonly rootUrl: string;
  /** Where its database is. */
  readonly folder: string;
  serverPid(): number;
  /** Sends the server a signal and waits until it has ended. */
  endServer(signal: NodeJS.Signals): Promise<void>;
  startServerAgain(): Promise<void>;
  /** Ends the server as a power cut would and starts it again on the same database. */
  crashAndRestart(): Promise<void>;
  /** Kills the database as a power cut would, waits, and starts it again on the same port; the server stays. */
  crashDatabase(downMs: number): Promise<void>;
  stop(): Promise<void>;
}

const PASSWORD_FILE = 'demo-password';

/** A data folder with the demo loaded, made once for each build and day; temporary applications begin with a copy. */
async function preparedDemo(): Promise<string> {
  const { FAKETIME = '' } = process.env;
  const build = readFileSync(join(ROOT, '.build', 'stamp'), 'utf8');
  const key = createHash('sha256').update(`${build} ${new Date().toDateString()} ${FAKETIME}`).digest('hex');
  const all = join(ROOT, '.build', 'demos');
  const prepared = join(all, key.slice(0, 16));
  if (existsSync(prepared)) return prepared;
  const folder = `${prepared}.${process.pid}`;
  mkdirSync(folder, { recursive: true });
  const database = await startPrivateDatabase(folder, { durable: false });
  const password = randomBytes(12).toString('base64url');
  const settings: ServerSettings = {
    root: ROOT,
    host: '127.0.0.1',
    port: 0,
    appUrl: database.appUrl,
    migrationUrl: database.migrationUrl,
  };
  await runMigrations(settings);
  await runLoadDemo(settings, password, true);
  await database.stop();
  writeFileSync(join(folder, PASSWORD_FILE), password, { mode: 0o600 });
  for (const name of readdirSync(all)) {
    if (!name.includes('.')) rmSync(join(all, name), { recursive: true, force: true });
  }
  renameSync(folder, prepared);
  return prepared;
}

/**
 * Starts the built application with the demo loaded.
 * @param extra environment of the server
 * @param durable false skips the flush to disk at each commit, for tests
 * @param folder where the data is kept; removed at the end
 */
export async function startTemporaryApplication(
  extra: Readonly<Record<string, string>> = {},
  durable = false,
  folder = mkdtempSync(join(tmpdir(), 'sprout-e2e-')),
): Promise<TemporaryApplication> {
  const prepared = await preparedDemo();
  const password = readFileSync(join(prepared, PASSWORD_FILE), 'utf8');
  cpSync(prepared, folder, { recursive: true });
  let database = await startPrivateDatabase(folder, { durable });
  const port = await freePort();
  const settings: ServerSettings = {
    root: ROOT,
    host: '127.0.0.1',
    port,
    appUrl: database.appUrl,
    migrationUrl: database.migrationUrl,
    extra,
  };
  let server = await startServer(settings);
  return {
    address: `http://127.0.0.1:${port}`,
    password,
    databaseUrl: database.appUrl,
    rootUrl: database.rootUrl,
    serverPid: () => server.own.pid,
    folder,
    endServer: async (signal) => {
      const ended = new Promise((resolve) => server.child.once('exit', resolve));
      server.child.kill(signal);
      await ended;
    },
    startServerAgain: async () => {
      server = await startServer(settings);
    },
    crashAndRestart: async () => {
      server.child.kill('SIGKILL');
      server = await startServer(settings);
    },
    crashDatabase: async (downMs) => {
      const databasePort = Number(new URL(database.rootUrl).port);
      process.kill(database.pid, 'SIGKILL');
      await sleep(downMs);
      database = await startPrivateDatabase(folder, { durable, port: databasePort });
    },
    stop: async () => {
      await server.stop();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
