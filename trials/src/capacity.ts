import { setTimeout as pause } from 'node:timers/promises';
import { startTemporaryApplication, type TemporaryApplication } from '@bright-sprout/scripts';
import mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { LIMITS } from './hostile.ts';
import { pidOfDatabase, secondsOf } from './machine.ts';
import type { Outcome } from './report.ts';
import { makeSchool, readingOf, type School } from './school.ts';

/** Tablets of a class, and how often each keeps a reading: twice as fast as children read. */
const TABLETS = 30;
const SAVE_EVERY_MS = 15_000;
const TEACHER_EVERY_MS = 15_000;
const SECONDS = 60;
/** Classes at work at once. */
const CLASSES = [1, 4, 8] as const;
/** Readings that are copied to see how much room one takes. */
const COPIES = 200_000;

/** What a class at work costs, with its tablets' streams open and its teacher looking on; and the room of a reading. */
export async function measureCapacity(): Promise<Outcome[]> {
  const application = await startTemporaryApplication(LIMITS, true);
  const database = await mysql.createConnection(application.rootUrl.replace(/\/mysql$/, '/bright_sprout'));
  try {
    const schools: School[] = [];
    const outcomes: Outcome[] = [];
    for (const count of CLASSES) {
      while (schools.length < count) schools.push(await makeSchool(application.address, TABLETS));
      outcomes.push(await classesAtWork(schools, application, database));
    }
    return [...outcomes, await roomOfReadings(database)];
  } finally {
    await database.end();
    await application.stop();
  }
}

async function classesAtWork(
  schools: readonly School[],
  application: TemporaryApplication,
  database: mysql.Connection,
): Promise<Outcome> {
  const stops = schools.flatMap(({ tablets }) => tablets.map((tablet) => tablet.listen('/device/changes')));
  const server = application.serverPid();
  const mariadb = await pidOfDatabase(database);
  const before = {
    queries: await questions(database),
    server: secondsOf(server),
    database: secondsOf(mariadb),
  };
  const times: number[] = [];
  let refused = 0;
  const until = performance.now() + SECONDS * 1000;
  const everySo = async (ms: number, at: number, work: () => Promise<void>): Promise<void> => {
    await pause(at * ms);
    while (performance.now() < until) {
      const next = performance.now() + ms;
      await work();
      await pause(Math.max(0, next - performance.now()));
    }
  };
  await Promise.all(
    schools.flatMap(({ tablets, teacher, experiment }) => [
      ...tablets.map((tablet, at) =>
        everySo(SAVE_EVERY_MS, at / TABLETS, async () => {
          const body = readingOf(experiment, at);
          const { status, ms } = await tablet.send('PUT', `/device/readings/${uuid()}`, body);
          if (status === 200) times.push(ms);
          else refused += 1;
        }),
      ),
      everySo(TEACHER_EVERY_MS, 0.5, async () => {
        const { status } = await teacher.send('GET', `/experiments/${experiment.id}/comparison?parts=answer`);
        if (status !== 200) refused += 1;
      }),
    ]),
  );
  const minutes = (SECONDS / 60) * schools.length;
  const queries = (await questions(database)) - before.queries;
  const spent = (pid: number, was: number): number => (secondsOf(pid) - was) / minutes;
  for (const stop of stops) stop();
  times.sort((a, b) => a - b);
  const share = (of: number): string => (times[Math.floor((times.length - 1) * of)] ?? 0).toFixed(1);
  return {
    name: `${schools.length} ${schools.length === 1 ? 'class' : 'classes'} at work`,
    figures: {
      'saves a minute and class': (times.length / minutes).toFixed(0),
      'queries a minute and class': (queries / minutes).toFixed(0),
      'server, core seconds': spent(server, before.server).toFixed(2),
      'database, core seconds': spent(mariadb, before.database).toFixed(2),
      'a save, median ms': share(0.5),
      '99 of 100 below': share(0.99),
    },
    faults: refused > 0 ? [`${refused} requests were refused`] : [],
  };
}

async function questions(database: mysql.Connection): Promise<number> {
  const [rows] = await database.query("SHOW GLOBAL STATUS LIKE 'Questions'");
  return Number((rows as { Value: string }[])[0]?.Value ?? 0);
}

/** How much room a reading takes with its indexes. */
async function roomOfReadings(database: mysql.Connection): Promise<Outcome> {
  const room = async (): Promise<number> => {
    await database.query('ANALYZE TABLE reading');
    const [rows] = await database.query(
      `SELECT SUM(file_size) AS bytes FROM information_schema.innodb_sys_tablespaces
       WHERE name = 'bright_sprout/reading'`,
    );
    return Number((rows as { bytes: string }[])[0]?.bytes ?? 0);
  };
  const before = await room();
  const [made] = await database.query(
    `INSERT INTO reading (id, unit_id, variable_id, observed_on, state, value, entered, unit_of_measure, \`precision\`, observer)
     SELECT UUID(), r.unit_id, r.variable_id, r.observed_on, r.state, r.value, r.entered, r.unit_of_measure, r.\`precision\`, r.observer
     FROM reading r JOIN reading other LIMIT ${COPIES}`,
  );
  const { affectedRows } = made as { affectedRows: number };
  const bytes = ((await room()) - before) / affectedRows;
  return { name: 'a reading', figures: { 'bytes with indexes': bytes.toFixed(0) }, faults: [] };
}
