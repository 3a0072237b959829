import { startTemporaryApplication } from '@bright-sprout/scripts';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { makeSchool } from '../school.ts';
import { settle, watchTransactions, workAtOnce } from './class-at-work.ts';

const TABLETS = 30;

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
    let isEnded = false;
    let stopMs = 0;
    const sent = await workAtOnce(school, application.databaseUrl, (acknowledged) => {
      if (acknowledged >= after && !isEnded) {
        isEnded = true;
        const begun = performance.now();
        void application.endServer(signal).then(() => (stopMs = performance.now() - begun));
      }
      return isEnded;
    });
    const idle = await watch.stop();
    await application.startServerAgain();
    return await settle(name, school, application.databaseUrl, sent, {
      figures: { 'idle in a transaction': idle, 'stopped within ms': Math.round(stopMs) },
      faults: [
        ...(idle > 0 ? [`${idle} connections were idle inside a transaction`] : []),
        ...(stopMs > 3000 ? [`stopping took ${Math.round(stopMs)} ms`] : []),
      ],
    });
  } finally {
    await application.stop();
  }
}
