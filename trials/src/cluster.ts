import { spawnSync } from 'node:child_process';
import { chmodSync, copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { delimiter, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import {
  ensureTool,
  findLibrary,
  findProgram,
  freePort,
  GALERA,
  type PrivateDatabase,
  startPrivateDatabase,
  Trouble,
} from '@bright-sprout/scripts';
import mysql from 'mysql2/promise';

/** Nodes of a MariaDB Galera cluster on loopback, each with a folder of its own. */
export interface Cluster {
  readonly nodes: readonly PrivateDatabase[];
  /** All nodes in one address, for the application. */
  readonly appUrl: string;
  /** All nodes in one address, for migrations. */
  readonly migrationUrl: string;
  /** Kills a node as a power cut would. */
  kill(at: number): void;
  stop(): Promise<void>;
}

const READY_TRIES = 300;

/** Nodes share their accounts, so each begins with the same passwords. */
const SECRETS = 'database-secrets.json';

/**
 * Sets up a cluster of Debian's packages, the first node alone, the others joining it.
 * @throws Trouble when Galera is missing and cannot be installed
 */
export async function startCluster(count = 3): Promise<Cluster> {
  ensureTool(GALERA);
  bringTransferScripts();
  const folder = mkdtempSync(join(tmpdir(), 'sprout-cluster-'));
  const ports = await Promise.all(Array.from({ length: count * 3 }, () => freePort()));
  const nodes: PrivateDatabase[] = [];
  const options = (at: number, others: string): { durable: boolean; more: string[] } => {
    const group = ports[at * 3] ?? 0;
    return {
      durable: true,
      more: [
        '--wsrep-on=ON',
        `--wsrep-provider=${findLibrary(GALERA) ?? ''}`,
        `--wsrep-cluster-address=gcomm://${others}`,
        `--wsrep-node-address=127.0.0.1:${group}`,
        `--wsrep-provider-options=base_port=${group};ist.recv_addr=127.0.0.1:${ports[at * 3 + 1] ?? 0};gmcast.listen_addr=tcp://127.0.0.1:${group}`,
        '--wsrep-sst-method=rsync',
        `--wsrep-sst-receive-address=127.0.0.1:${ports[at * 3 + 2] ?? 0}`,
        '--binlog-format=ROW',
        '--innodb-autoinc-lock-mode=2',
      ],
    };
  };
  const place = (at: number): string => join(folder, `node-${at}`);
  for (let at = 0; at < count; at += 1) {
    const others = nodes.map((_, index) => `127.0.0.1:${ports[index * 3] ?? 0}`).join(',');
    if (at > 0) {
      mkdirSync(place(at), { recursive: true });
      copyFileSync(join(place(0), SECRETS), join(place(at), SECRETS));
    }
    await openForTransfer(folder, place(at));
    nodes.push(await startPrivateDatabase(place(at), options(at, others)));
    await waitForSize(nodes[at] as PrivateDatabase, at + 1);
  }
  return {
    nodes,
    appUrl: together(nodes.map(({ appUrl }) => appUrl)),
    migrationUrl: together(nodes.map(({ migrationUrl }) => migrationUrl)),
    kill: (at) => void process.kill(nodes[at]?.pid ?? 0, 'SIGKILL'),
    stop: async () => {
      for (const node of [...nodes].reverse()) await node.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Addresses that differ by their host alone, in one. */
function together([first = '', ...others]: readonly string[]): string {
  const hosts = others.map((one) => new URL(one).host);
  const { host } = new URL(first);
  return first.replace(host, [host, ...hosts].join(','));
}

/** Makes a node's folder that the program which takes over the state can write to: it gives up the rights of root. */
async function openForTransfer(folder: string, place: string): Promise<void> {
  await (await startPrivateDatabase(place, { durable: false })).stop();
  for (const one of [folder, place]) chmodSync(one, 0o711);
  for (const name of readdirSync(join(place, 'mariadb'), { recursive: true }))
    chmodSync(join(place, 'mariadb', String(name)), 0o777);
  chmodSync(join(place, 'mariadb'), 0o777);
}

/**
 * The scripts with which a node takes over the state of another are in the package of the whole server, which would set
 * up a service when it is installed: they are taken out of it.
 */
function bringTransferScripts(): void {
  if (findProgram('wsrep_sst_rsync')) return;
  const place = mkdtempSync(join(tmpdir(), 'sprout-scripts-'));
  const run = spawnSync(
    'sh',
    ['-c', 'apt-get download -qq mariadb-server && dpkg-deb -x mariadb-server_*.deb out'],
    { cwd: place, stdio: 'pipe' },
  );
  if (run.status !== 0)
    throw new Trouble(`The scripts of a cluster could not be fetched: ${run.stderr.toString().trim()}`);
  process.env.PATH = `${join(place, 'out', 'usr', 'bin')}${delimiter}${process.env.PATH ?? ''}`;
}

async function waitForSize({ rootUrl }: PrivateDatabase, size: number): Promise<void> {
  const connection = await mysql.createConnection(rootUrl);
  try {
    for (let attempt = 0; attempt < READY_TRIES; attempt += 1) {
      const [rows] = await connection.query(
        "SHOW STATUS WHERE Variable_name IN ('wsrep_cluster_size', 'wsrep_ready')",
      );
      const status = new Map(
        (rows as { Variable_name: string; Value: string }[]).map((row) => [row.Variable_name, row.Value]),
      );
      if (status.get('wsrep_ready') === 'ON' && Number(status.get('wsrep_cluster_size')) >= size) return;
      await pause(100);
    }
    throw new Error(`the cluster did not grow to ${size} nodes`);
  } finally {
    await connection.end();
  }
}
