import { existsSync, readdirSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { join } from 'node:path';
import { cpuSeconds, ROOT, type TemporaryApplication } from '@bright-sprout/scripts';
import { startBareServer } from './bare-process.ts';

const TABLETS = 25;
/** Lines that a browser opens to one address. */
const LINES = 6;
const ROUNDS = 3;

/** A class that opens its tablets for the first time, at once. */
export interface FirstVisitBench {
  readonly tablets: number;
  /** Files that each fetches, and their bytes as they are sent. */
  readonly files: number;
  readonly bytes: number;
  /** Processor time of the server for all of them in each round, in seconds; of a bare one beside it. */
  readonly server: number[];
  readonly bare: number[];
}

/** Fetches what a service worker keeps, as the tablets of a class do, from the application and from a bare server of files. */
export async function firstVisit(application: TemporaryApplication): Promise<FirstVisitBench> {
  const assets = join(ROOT, 'web', 'dist', 'assets');
  const paths = readdirSync(assets).filter((name) => existsSync(join(assets, `${name}.gz`)));
  const beside = await startBareServer('bare-files.ts', assets);
  const server: number[] = [];
  const bare: number[] = [];
  let bytes = 0;
  try {
    // The first is not counted: a server that has just started still starts its threads.
    for (let round = -1; round < ROUNDS; round += 1) {
      const asked = paths.map((name) => `${application.address}/assets/${name}`);
      const ours = await fetchedBy(application.serverPid(), asked);
      const same = await fetchedBy(
        beside.pid,
        paths.map((name) => `${beside.address}/${name}`),
      );
      if (same.bytes !== ours.bytes) throw new Error('the application and the bare server sent other bytes');
      bytes = ours.bytes;
      if (round < 0) continue;
      server.push(ours.seconds);
      bare.push(same.seconds);
    }
  } finally {
    beside.stop();
  }
  return { tablets: TABLETS, files: paths.length, bytes, server, bare };
}

/** Lets all tablets fetch some files: bytes of one of them, and seconds of a processor that the server took for all. */
async function fetchedBy(
  pid: number,
  addresses: readonly string[],
): Promise<{ bytes: number; seconds: number }> {
  const before = cpuSeconds(pid) ?? NaN;
  const [bytes = 0] = await Promise.all(Array.from({ length: TABLETS }, () => tablet(addresses)));
  return { bytes, seconds: (cpuSeconds(pid) ?? NaN) - before };
}

async function tablet(addresses: readonly string[]): Promise<number> {
  const agent = new Agent({ keepAlive: true, maxSockets: LINES });
  const sizes = await Promise.all(addresses.map((address) => sizeOf(agent, address)));
  agent.destroy();
  return sizes.reduce((sum, size) => sum + size, 0);
}

/** Bytes of a file as it is sent over plain HTTP, where browsers take gzip. */
function sizeOf(agent: Agent, address: string): Promise<number> {
  return new Promise((resolve, reject) => {
    get(address, { agent, headers: { 'Accept-Encoding': 'gzip, deflate' } }, (response) => {
      let size = 0;
      response.on('data', (part: Buffer) => (size += part.length));
      response.on('end', () => {
        if (response.statusCode === 200) resolve(size);
        else reject(new Error(`${address} answered ${response.statusCode}`));
      });
    }).on('error', reject);
  });
}
