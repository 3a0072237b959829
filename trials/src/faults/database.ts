import { startTemporaryApplication } from '@bright-sprout/scripts';
import { LIMITS } from '../hostile.ts';
import type { Outcome } from '../report.ts';
import { makeSchool } from '../school.ts';
import { settle, workAtOnce } from './class-at-work.ts';

/** The database is killed while a class saves; the server stays, says so, and goes on by itself. */
export async function tryDatabaseKilled(isShort: boolean): Promise<Outcome[]> {
  const application = await startTemporaryApplication(LIMITS, true);
  try {
    const school = await makeSchool(application.address, 30);
    const serverPid = application.serverPid();
    const half = isShort ? 100 : 400;
    let back: Promise<void> | undefined;
    let isBack = false;
    const sent = await workAtOnce(
      school,
      application.databaseUrl,
      (acknowledged) => {
        if (acknowledged >= half) back ??= application.crashDatabase(800).then(() => void (isBack = true));
        return isBack && acknowledged >= half;
      },
      { signIns: 4, wrongCodes: 4, comparisons: 1, streams: 10 },
    );
    await back;
    const isSame = application.serverPid() === serverPid;
    return [
      await settle('database killed', school, application.databaseUrl, sent, {
        faults: isSame ? [] : ['the server did not outlive it'],
      }),
    ];
  } finally {
    await application.stop();
  }
}
