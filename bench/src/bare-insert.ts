import { fork } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { ROOT } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';

/** Keeps a reading, and nothing else. */
export const INSERT = `INSERT INTO reading (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`, observer)
  VALUES (?, ?, ?, ?, 'emerged', 12.5, '1.25', 'cm', 0.1, 'bench')`;

/** Values of {@link INSERT} under a new id. */
export function insertValues(
  unitId: string | undefined,
  variableId: string | undefined,
  observedOn: string | undefined,
): (string | null)[] {
  return [uuid(), unitId ?? null, variableId ?? null, observedOn ?? null];
}

/** A server of a process of its own that does nothing but {@link INSERT}: what no save over HTTP can be quicker than. */
export interface BareServer {
  readonly address: string;
  stop(): void;
}

/** Starts one. */
export async function startBareServer(databaseUrl: string): Promise<BareServer> {
  const child = fork(join(ROOT, 'scripts/run.mjs'), [join(ROOT, 'bench/src/bare-server.ts'), databaseUrl]);
  const [port] = (await once(child, 'message')) as [number];
  return { address: `http://127.0.0.1:${port}`, stop: () => child.disconnect() };
}
