import { startTemporaryApplication } from '@bright-sprout/scripts';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { makeSchool } from '../school.ts';
import { settle, watchTransactions, workAtOnce } from './class-at-work.ts';

const TABLETS = 30;

/** Less than the ten seconds after which those who stop servers usually kill them. */
const MOST_STOP_MS = 8000;

/** The server is killed, and asked to stop, while everything goes on at once. */
export async function tryServerStopped(isShort: boolean): Promise<Outcome[]> {
  const outcomes: Outcome[] = [];
  for (const [name, signal] of [
    ['server killed', 'SIGKILL'],
    ['server asked to stop', 'SIGTERM'],
  ] as const) {
    outcomes.push(await tryOne(name, signal, isShort ? 150 : 600));
  }
  return outcomes;
}

async function tryOne(name: string, signal: 'SIGKILL' | 'SIGTERM', after: number): Promise<Outcome> {
  const application = await startTemporaryApplication(LIMITS, true);
  try {
    const school = await makeSchool(application.address, TABLETS);
    const watch = watchTransactions(application.rootUrl);
    let ended: Promise<number> | undefined;
    const sent = await workAtOnce(school, application.databaseUrl, (acknowledged) => {
      if (acknowledged >= after) ended ??= timed(() => application.endServer(signal));
      return ended !== undefined;
    });
    const idle = await watch.stop();
    // Only once the old one is gone: else it may answer for the new one that it is ready, and then go.
    const stopMs = await ended;
    if (stopMs === undefined) throw new Error('the server was never stopped: the trial tries nothing');
    await application.startServerAgain();
    return await settle(name, school, application.databaseUrl, sent, {
      figures: { 'idle in a transaction': idle, 'stopped within ms': Math.round(stopMs) },
      faults: [
        ...(idle > 0 ? [`${idle} connections were idle inside a transaction`] : []),
        ...(stopMs > MOST_STOP_MS ? [`stopping took ${Math.round(stopMs)} ms`] : []),
      ],
    });
  } finally {
    await application.stop();
  }
}

async function timed(work: () => Promise<void>): Promise<number> {
  const begun = performance.now();
  await work();
  return performance.now() - begun;
}
