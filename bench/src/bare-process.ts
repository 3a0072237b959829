import { fork } from 'node:child_process';
import { once } from 'node:events';
import type { Server } from 'node:http';
import { join } from 'node:path';
import { ROOT } from '@bright-sprout/scripts';

/** A server in a process of its own that does one thing and nothing else: what the application is measured beside. */
export interface BareServer {
  readonly address: string;
  readonly pid: number;
  stop(): void;
}

/** Starts one. @param file of this folder, ends with {@link serve} */
export async function startBareServer(file: string, argument: string): Promise<BareServer> {
  const child = fork(join(ROOT, 'scripts/run.mjs'), [join(ROOT, 'bench/src', file), argument]);
  const [port] = (await once(child, 'message')) as [number];
  return { address: `http://127.0.0.1:${port}`, pid: child.pid ?? 0, stop: () => child.disconnect() };
}

/** Lets a server of a process that was started so listen, tell where, and end with who started it. */
export function serve(server: Server): void {
  server.listen(0, '127.0.0.1', () => {
    const address = server.address();
    process.send?.(typeof address === 'object' ? address?.port : undefined);
  });
  process.once('disconnect', () => process.exit());
}
