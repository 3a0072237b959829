import { spawn } from 'node:child_process';
import { join } from 'node:path';
import {
  endWithThisProcess,
  ensureTool,
  findProgram,
  freePort,
  HAPROXY,
  ownProcess,
  ROOT,
  stopProcess,
} from '@bright-sprout/scripts';

/** HAProxy before two servers, by the configuration that the documentation gives to schools. */
export interface Proxy {
  readonly address: string;
  stop(): Promise<void>;
}

const TRIES = 200;

/** @param servers the ports of two servers on loopback */
export async function startProxy([one, two]: readonly [number, number]): Promise<Proxy> {
  ensureTool(HAPROXY);
  const port = await freePort();
  const child = spawn(
    findProgram('haproxy') ?? 'haproxy',
    ['-db', '-q', '-f', join(ROOT, 'deploy', 'haproxy.cfg')],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        SPROUT_BIND: `127.0.0.1:${port}`,
        SPROUT_SERVER_1: `127.0.0.1:${one}`,
        SPROUT_SERVER_2: `127.0.0.1:${two}`,
      },
    },
  );
  endWithThisProcess(child);
  const own = ownProcess(child);
  const address = `http://127.0.0.1:${port}`;
  for (let attempt = 0; attempt < TRIES; attempt += 1) {
    const isUp = await fetch(`${address}/api/health`)
      .then(({ ok }) => ok)
      .catch(() => false);
    if (isUp) return { address, stop: () => stopProcess(own) };
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  await stopProcess(own);
  throw new Error('no server was found well by the proxy');
}
