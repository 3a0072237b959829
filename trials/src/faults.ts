import type { Outcome } from './report.ts';
import { tryCluster } from './faults/cluster.ts';
import { tryDatabaseKilled } from './faults/database.ts';
import { tryFullDisk } from './faults/full-disk.ts';
import { tryMigrations } from './faults/migrations.ts';
import { tryServerStopped } from './faults/server.ts';
import { trySlowLine } from './faults/slow-line.ts';
import { tryTwoWindows } from './faults/two-windows.ts';

/** Every fault by the name that it is asked for. */
const FAULTS: Readonly<Record<string, (isShort: boolean) => Promise<Outcome[]>>> = {
  server: tryServerStopped,
  database: tryDatabaseKilled,
  disk: tryFullDisk,
  line: trySlowLine,
  windows: tryTwoWindows,
  migrations: tryMigrations,
  cluster: tryCluster,
};

/**
 * Breaks something while a class is at work, and counts what was acknowledged, stored, lost, doubled and wrong.
 * @param args names of faults, all when none is given; `--short` for fewer rounds
 */
export async function tryFaults(args: readonly string[]): Promise<Outcome[]> {
  const isShort = args.includes('--short');
  const names = args.filter((name) => name in FAULTS);
  const outcomes: Outcome[] = [];
  for (const name of names.length > 0 ? names : Object.keys(FAULTS)) {
    console.log(`trying: ${name} …`);
    outcomes.push(...((await FAULTS[name]?.(isShort)) ?? []));
  }
  return outcomes;
}
