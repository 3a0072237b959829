import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { networkInterfaces } from 'node:os';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { keepDailyCopies } from './backup/daily-copies.ts';
import { buildIfChanged } from './build.ts';
import { demoPassword } from './demo-password.ts';
import { isUpToDate, migrationNames } from './migration-state.ts';
import { type PrivateDatabase, runningPrivateDatabase, startPrivateDatabase } from './private-database.ts';
import { type Kept, keepRunning } from './keep-running.ts';
import { addressOf, requireFreePort, stopCommands, watchParent } from './processes.ts';
import { type RoomCertificate, roomCertificate } from './room-certificate.ts';
import { serveTrustPage } from './trust-page.ts';
import { RunLock } from './run-lock.ts';
import {
  type RunningServer,
  runLoadDemo,
  runMigrations,
  type ServerSettings,
  startServer,
} from './server-process.ts';
import { DEMO_EMAIL } from './temporary-application.ts';
import { Trouble, writeWhole } from './tools.ts';
import { watchDisk } from './watch-disk.ts';

/** What was started, in the order in which it is to be stopped. */
const started: {
  lock?: RunLock;
  server?: RunningServer;
  database?: PrivateDatabase;
  trust?: Server | undefined;
} = {};
const KNOWN_ARGUMENTS: readonly string[] = ['--fresh', '--yes', '--classroom', '--https'];
let isStopping = false;
let isDiskFull = false;

/** Starts everything and stays until it is told to stop. */
export async function start(root: string, args: readonly string[]): Promise<void> {
  stopOnSignals();
  watchParent(() => void stopAll(0));
  try {
    await run(root, args);
  } catch (error) {
    if (isStopping) return;
    console.error(error instanceof Trouble ? `\n${error.message}\n` : error);
    await stopAll(1);
  }
}

const REGISTRATION: Readonly<Record<string, string>> = {
  open: 'Whoever reaches the address can open an account; BRIGHT_SPROUT_REGISTRATION=closed ends that.',
  invitation: 'An account is opened with the invitation in BRIGHT_SPROUT_INVITATION.',
  closed: 'Nobody can open an account now.',
};

async function run(root: string, args: readonly string[]): Promise<void> {
  const unknown = args.find((argument) => !KNOWN_ARGUMENTS.includes(argument));
  if (unknown)
    throw new Trouble(
      `"${unknown}" is not known. Use: npm start, with any of ${KNOWN_ARGUMENTS.join(', ')} after --`,
    );
  const fresh = args.includes('--fresh') && (args.includes('--yes') || (await askForReset()));
  const folder = resolve(root, process.env.BRIGHT_SPROUT_DATA ?? '.data');
  const isClassroom = args.includes('--classroom');
  const host = process.env.HOST ?? (isClassroom ? '0.0.0.0' : '127.0.0.1');
  const port = portFrom(process.env.PORT);
  const isSafe = args.includes('--https') || process.env.BRIGHT_SPROUT_TLS_CERT !== undefined;
  const address = addressOf(isClassroom ? '127.0.0.1' : host, port, isSafe);
  makeFolder(folder);
  started.lock = await RunLock.take(folder, address);
  await requireFreePort(port, host);

  const room =
    args.includes('--https') && process.env.BRIGHT_SPROUT_TLS_CERT === undefined
      ? roomCertificate(folder, roomAddresses(), new Date())
      : undefined;
  const external = process.env.BRIGHT_SPROUT_DB_URL;
  const [database, stamp] = await Promise.all([
    external ? undefined : startPrivateDatabase(folder).then((it) => (started.database = it)),
    buildIfChanged(root),
  ]);
  const settings: ServerSettings = {
    root,
    host,
    port,
    appUrl: external ?? (database as PrivateDatabase).appUrl,
    migrationUrl:
      process.env.BRIGHT_SPROUT_MIGRATION_DB_URL ?? external ?? (database as PrivateDatabase).migrationUrl,
    ...(room
      ? { extra: { BRIGHT_SPROUT_TLS_CERT: room.certPath, BRIGHT_SPROUT_TLS_KEY: room.keyPath } }
      : {}),
  };
  const password = demoPassword(folder);
  const hasDemo = await prepare(settings, folder, stamp, password, fresh, external !== undefined);
  if (isStopping) return;
  await startKept({
    name: 'the server',
    start: async (ended) => {
      started.server = await startServer(settings);
      started.lock?.noteServer(started.server.own);
      started.server.onUnexpectedEnd(ended);
      started.server.tellDisk(isDiskFull);
    },
  });
  watchDisk(folder, (isFull, freeMb) => {
    isDiskFull = isFull;
    started.server?.tellDisk(isFull);
    KEPT.say(
      isFull
        ? `only ${freeMb} MB are free where the data is kept (${folder}): nothing more is saved until there is room`
        : 'there is room again: saving works',
    );
  });
  if (database) {
    const databasePort = Number(new URL(database.appUrl).port);
    const again = keepRunning({
      ...KEPT,
      name: 'the database',
      start: async (ended) => {
        started.database = await startPrivateDatabase(folder, { port: databasePort });
        started.database.onUnexpectedEnd(ended);
      },
    });
    database.onUnexpectedEnd(again);
  }
  const copied = external ? settings.migrationUrl : await runningPrivateDatabase(folder);
  if (copied) keepDailyCopies(copied, folder, KEPT.say);
  console.log(`\nBright Sprout is ready: ${address}`);
  if (isClassroom) await tellClassroom({ host, port, isSafe, room });
  console.log(
    hasDemo ? `Sign in: ${DEMO_EMAIL} / ${password}` : 'Open an account there, or sign in with yours.',
  );
  console.log(REGISTRATION[process.env.BRIGHT_SPROUT_REGISTRATION ?? 'open'] ?? '');
  console.log('Stop with Ctrl-C.\n');
}

/** Addresses of this machine in the networks that it is in. */
function roomAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((one) => one ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/** Says where tablets open it, and, with a certificate of the room, where they are told to trust it. */
async function tellClassroom({
  host,
  port,
  isSafe,
  room,
}: {
  readonly host: string;
  readonly port: number;
  readonly isSafe: boolean;
  readonly room: RoomCertificate | undefined;
}): Promise<void> {
  const addresses = roomAddresses().filter((one) => host === '0.0.0.0' || host === one);
  const origins = addresses.map((one) => addressOf(one, port, isSafe));
  if (origins.length === 0) {
    console.log('This machine is in no network: only it can open Bright Sprout.');
    return;
  }
  console.log(`Tablets open: ${origins.map((origin) => `${origin}/join`).join('  or  ')}`);
  if (!room) return;
  started.trust = await serveTrustPage(room, origins, port + 1, host).catch(() => undefined);
  console.log(
    started.trust
      ? `First, once for each tablet: ${addressOf(addresses[0] ?? '', port + 1, false)}`
      : `Port ${port + 1} is taken: the page that helps tablets trust this room is not shown.`,
  );
  console.log(`SHA-256 of the room’s certificate: ${room.fingerprint}`);
}

/**
 * Migrations and the demo, skipped when this very build prepared this very folder before and nobody has put other data
 * into it since, as from a backup. Gives whether the demo
 * teacher can sign in with the password of this folder.
 */
async function prepare(
  settings: ServerSettings,
  folder: string,
  stamp: string,
  password: string,
  fresh: boolean,
  isExternal: boolean,
): Promise<boolean> {
  const mark = join(folder, 'prepared');
  const wantsDemo = process.env.BRIGHT_SPROUT_DEMO !== 'off' || fresh;
  const prepared = `${stamp} ${wantsDemo ? 'with' : 'without'} demo`;
  const isPrepared =
    !isExternal &&
    existsSync(mark) &&
    readFileSync(mark, 'utf8') === prepared &&
    (await isUpToDate(settings.migrationUrl, migrationNames(settings.root)));
  if (isPrepared && !fresh) return wantsDemo;
  await runMigrations(settings);
  const hasDemo = wantsDemo && (await runLoadDemo(settings, password, fresh));
  if (hasDemo === wantsDemo) writeWhole(mark, prepared);
  return hasDemo;
}

async function askForReset(): Promise<boolean> {
  if (!process.stdin.isTTY) throw new Trouble('Resetting the demo needs a yes: npm start -- --fresh --yes');
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await terminal.question(
    'Reset the demo teacher and all experiments of that account? Others stay. Type yes: ',
  );
  terminal.close();
  if (answer.trim().toLowerCase() !== 'yes') console.log('The demo stays as it is.');
  return answer.trim().toLowerCase() === 'yes';
}

function portFrom(text: string | undefined): number {
  const port = Number(text ?? '8080');
  if (Number.isInteger(port) && port > 0 && port < 65_536) return port;
  throw new Trouble(`PORT is "${text}": give a number from 1 to 65535.`);
}

function makeFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  } catch (error) {
    throw new Trouble(`The data folder ${folder} cannot be made: ${(error as Error).message}`);
  }
}

const KEPT: Pick<Kept, 'isStopping' | 'say'> = {
  isStopping: () => isStopping,
  say: (words) => {
    if (!isStopping) console.error(words);
  },
};

/** Starts something for the first time, when it must succeed, and keeps it running from then on. */
async function startKept(kept: Pick<Kept, 'name' | 'start'>): Promise<void> {
  const again = keepRunning({ ...KEPT, ...kept });
  await kept.start(again);
}

function stopOnSignals(): void {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => void stopAll(signal === 'SIGINT' ? 130 : 0));
  }
}

async function stopAll(code: number): Promise<void> {
  if (isStopping) return;
  isStopping = true;
  console.log('stopping …');
  started.trust?.close();
  await stopCommands('SIGTERM', 3000);
  await started.server?.stop();
  await started.database?.stop();
  started.lock?.release();
  process.exit(code);
}
