import mysql from 'mysql2/promise';
import { v7 as uuid } from 'uuid';
import { type Answer, Client } from '../client.ts';
import type { Outcome } from '../report.ts';
import { readingOf, type School, type SownExperiment } from '../school.ts';

/** Readings that were sent, and what the server said. */
export interface Sent {
  readonly id: string;
  readonly body: Record<string, unknown>;
  isAcknowledged: boolean;
  /** True of an acknowledged one that another connection did not see at once. */
  isUnseen: boolean;
  /** How often it was sent, and how long it took until it was acknowledged. */
  tries: number;
  ms: number;
}

/** What else goes on while readings are saved. */
export interface Meanwhile {
  readonly signIns: number;
  readonly wrongCodes: number;
  readonly comparisons: number;
  readonly streams: number;
  /** True for tablets that send a reading again until it is acknowledged, as the application's do. */
  readonly isPatient?: boolean;
}

/** A node of a cluster answers only once it has what the others committed before. */
const IN_STEP = 'SET SESSION wsrep_sync_wait = 1';

/** What goes on in a class that works hard. */
export const BUSY: Meanwhile = { signIns: 12, wrongCodes: 12, comparisons: 2, streams: 10 };

/**
 * Has every tablet save one reading after another, with sign-ins, wrong codes, comparisons and streams beside it, until
 * `isOver` says so. Each acknowledged row is looked for at once over a connection of its own.
 */
export async function workAtOnce(
  school: School,
  databaseUrl: string,
  isOver: (acknowledged: number) => boolean,
  meanwhile: Meanwhile = BUSY,
): Promise<Sent[]> {
  const sent: Sent[] = [];
  const eyes = mysql.createPool({ uri: databaseUrl, connectionLimit: 4 });
  eyes.pool.on('connection', (connection) => void connection.query(IN_STEP));
  const stops = school.tablets.slice(0, meanwhile.streams).map((tablet) => tablet.listen('/device/changes'));
  let acknowledged = 0;
  const goOn = (): boolean => !isOver(acknowledged);
  const tablet = async (client: Client): Promise<void> => {
    while (goOn()) {
      const { reading } = await saveNext(client, '/device/readings', school.experiment, sent);
      if (meanwhile.isPatient) await sendUntilKept(client, '/device/readings', reading);
      if (!reading.isAcknowledged) continue;
      acknowledged += 1;
      const [rows] = await eyes
        .query('SELECT id FROM reading WHERE id = ?', [reading.id])
        .catch(() => [[{}]]);
      reading.isUnseen = (rows as unknown[]).length === 0;
    }
  };
  const repeat = async (work: () => Promise<unknown>): Promise<void> => {
    while (goOn()) await work();
  };
  const { email } = school;
  const signIn = (index: number) => () =>
    new Client(school.teacher.address).send('POST', '/session', {
      email: `${index}${email}`,
      password: 'not this one',
    });
  const wrongCode = () => new Client(school.teacher.address).send('POST', '/device', { code: 'WRONG1' });
  const compare = () =>
    school.teacher.send('GET', `/experiments/${school.experiment.id}/comparison?parts=answer`);
  await Promise.all([
    ...school.tablets.map(tablet),
    ...Array.from({ length: meanwhile.signIns }, (_, index) => repeat(signIn(index))),
    ...Array.from({ length: meanwhile.wrongCodes }, () => repeat(wrongCode)),
    ...Array.from({ length: meanwhile.comparisons }, () => repeat(compare)),
  ]);
  for (const stop of stops) stop();
  await eyes.end();
  return sent;
}

/** Saves one more reading, and notes what became of it. */
export async function saveNext(
  client: Client,
  path: string,
  experiment: SownExperiment,
  sent: Sent[],
): Promise<{ reading: Sent; answer: Answer }> {
  const body = readingOf(experiment, sent.length);
  const reading: Sent = { id: uuid(), body, isAcknowledged: false, isUnseen: false, tries: 1, ms: 0 };
  sent.push(reading);
  const answer = await client.send('PUT', `${path}/${reading.id}`, body);
  reading.isAcknowledged = answer.status === 200;
  reading.ms = answer.ms;
  return { reading, answer };
}

/** Tablets wait so long before they send again. */
const AGAIN_MS = 500;
const MOST_TRIES = 120;

/** Sends a reading again until it is acknowledged, or for a minute. */
async function sendUntilKept(client: Client, path: string, reading: Sent): Promise<void> {
  const begun = performance.now() - reading.ms;
  while (!reading.isAcknowledged && reading.tries < MOST_TRIES) {
    await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    reading.tries += 1;
    const { status } = await client.send('PUT', `${path}/${reading.id}`, reading.body);
    reading.isAcknowledged = status === 200;
    reading.ms = performance.now() - begun;
  }
}

/** Looks every few milliseconds for a connection that does nothing inside a transaction. */
export function watchTransactions(rootUrl: string): { stop: () => Promise<number> } {
  const watching = { isOn: true };
  const watched = (async () => {
    const connection = await mysql.createConnection(rootUrl);
    const idleSince = new Map<string, number>();
    let found = 0;
    while (watching.isOn) {
      const [rows] = await connection
        .query(
          `SELECT CONCAT(t.trx_mysql_thread_id, ' ', t.trx_id) AS id FROM information_schema.innodb_trx t
           JOIN information_schema.processlist p ON p.id = t.trx_mysql_thread_id
           WHERE p.command = 'Sleep' AND p.time_ms > 400`,
        )
        .catch(() => [[]]);
      for (const { id } of rows as { id: string }[]) {
        const times = (idleSince.get(id) ?? 0) + 1;
        idleSince.set(id, times);
        if (times === 3) found += 1;
      }
      await new Promise((resolve) => setTimeout(resolve, 40));
    }
    await connection.end().catch(() => undefined);
    return found;
  })();
  return {
    stop: () => {
      watching.isOn = false;
      return watched.catch(() => 0);
    },
  };
}

/** Compares what was acknowledged with what is stored, then sends all again, as tablets do. */
export async function settle(
  name: string,
  school: School,
  databaseUrl: string,
  sent: readonly Sent[],
  more: { readonly figures?: Outcome['figures']; readonly faults?: readonly string[] } = {},
): Promise<Outcome> {
  const database = await mysql.createConnection(databaseUrl);
  await database.query(IN_STEP);
  const stored = async (): Promise<Map<string, number>> => {
    const ids = sent.map(({ id }) => id);
    const [rows] =
      ids.length === 0 ? [[]] : await database.query('SELECT id, value FROM reading WHERE id IN (?)', [ids]);
    return new Map((rows as { id: string; value: number }[]).map(({ id, value }) => [id, value]));
  };
  const before = await stored();
  const acknowledged = sent.filter(({ isAcknowledged }) => isAcknowledged);
  const lost = acknowledged.filter(({ id }) => !before.has(id)).length;
  const wrong = sent.filter(({ id, body }) => before.has(id) && before.get(id) !== body.value).length;
  const unseen = sent.filter(({ isUnseen }) => isUnseen).length;
  let refused = 0;
  const [tablet] = school.tablets;
  for (const { id, body } of sent) {
    const answer = await tablet?.send('PUT', `/device/readings/${id}`, body);
    if (answer?.status !== 200) refused += 1;
  }
  const [[count]] = (await database.query(
    'SELECT COUNT(*) AS n FROM reading r JOIN unit u ON u.id = r.unit_id WHERE u.experiment_id = ?',
    [school.experiment.id],
  )) as unknown as [[{ n: number }]];
  const doubled = count.n - sent.length;
  await database.end();
  const faults = [
    ...(lost > 0 ? [`${lost} acknowledged readings are gone`] : []),
    ...(doubled > 0 ? [`${doubled} readings are there twice`] : []),
    ...(wrong > 0 ? [`${wrong} readings have another value`] : []),
    ...(unseen > 0 ? [`${unseen} acknowledged readings were not seen at once`] : []),
    ...(refused > 0 ? [`${refused} readings could not be sent again`] : []),
    ...(acknowledged.length === 0 ? ['nothing was acknowledged: the trial tries nothing'] : []),
    ...(more.faults ?? []),
  ];
  const figures = {
    acknowledged: acknowledged.length,
    stored: before.size,
    lost,
    doubled: Math.max(0, doubled),
    wrong,
    ...more.figures,
  };
  return { name, figures, faults };
}
