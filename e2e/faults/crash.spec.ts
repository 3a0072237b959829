import { expect, test } from '@playwright/test';
import { DEMO_EMAIL, startTemporaryApplication, type TemporaryApplication } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';
import { dayFromToday } from '../support/test.ts';

const SAVES = 160;
const CRASH_AFTER = 40;

let application: TemporaryApplication;
let cookie = '';

test.beforeAll(async () => {
  application = await startTemporaryApplication({ BRIGHT_SPROUT_SIGN_IN_TRIES: '100' }, true);
  const answer = await send('POST', '/session', { email: DEMO_EMAIL, password: application.password });
  cookie = (answer.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
});
test.afterAll(() => application.stop());

function send(method: string, path: string, body?: object): Promise<Response> {
  return fetch(`${application.address}/api${path}`, {
    method,
    headers: { Cookie: cookie, 'Content-Type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
}

interface Reading {
  readonly id: string;
  readonly body: object;
}

/** An experiment, and readings of it to be saved. */
async function prepare(): Promise<{ path: string; readings: Reading[] }> {
  const path = `/experiments/${uuid()}`;
  const experiment = await (await send('PUT', path, { question: 'Will it last?', cropId: 'oat' })).json();
  await send('PUT', `${path}/sowing`, { sownOn: dayFromToday(-3) });
  const readings = Array.from({ length: SAVES }, (_, index) => ({
    id: uuid(),
    body: {
      unitId: experiment.units[index % 10].id,
      variableId: experiment.variables[0].id,
      observedOn: dayFromToday(-1),
      state: 'emerged',
      value: index,
      entered: String(index),
      unitOfMeasure: 'mm',
      precision: 1,
    },
  }));
  return { path, readings };
}

/** Saves all at once and crashes something in the middle; gives the ids that were acknowledged. */
async function saveThrough(
  path: string,
  readings: readonly Reading[],
  crash: () => Promise<void>,
): Promise<string[]> {
  const acknowledged: string[] = [];
  let crashed: Promise<void> | undefined;
  const save = async ({ id, body }: Reading): Promise<void> => {
    const answer = await send('PUT', `${path}/readings/${id}`, body).catch(() => undefined);
    if (!answer?.ok) return;
    acknowledged.push(id);
    if (acknowledged.length === CRASH_AFTER) crashed = crash();
  };
  await Promise.all(readings.map(save));
  await crashed;
  expect(acknowledged.length).toBeGreaterThanOrEqual(CRASH_AFTER);
  return acknowledged;
}

/** Everything acknowledged is there, and sending all again stores the rest once. */
async function expectNothingLost(
  path: string,
  readings: readonly Reading[],
  acknowledged: readonly string[],
): Promise<void> {
  const stored = async (): Promise<string[]> =>
    ((await (await send('GET', `${path}/readings`)).json()) as { id: string }[]).map(({ id }) => id);
  const afterCrash = await stored();
  expect(acknowledged.filter((id) => !afterCrash.includes(id))).toEqual([]);
  for (const { id, body } of readings)
    expect((await send('PUT', `${path}/readings/${id}`, body)).status).toBe(200);
  expect((await stored()).sort()).toEqual(readings.map(({ id }) => id).sort());
}

test.describe.configure({ mode: 'serial' });

test('a server killed in the middle of saving loses no acknowledged reading, and trying again doubles none', async () => {
  const { path, readings } = await prepare();
  const acknowledged = await saveThrough(path, readings, () => application.crashAndRestart());
  expect(acknowledged.length).toBeLessThan(SAVES);
  await expectNothingLost(path, readings, acknowledged);
});

test('a database killed in the middle of saving is said in words, and loses nothing either', async () => {
  const { path, readings } = await prepare();
  let whileDown: { status: number; code: string } | undefined;
  const acknowledged = await saveThrough(path, readings, async () => {
    const back = application.crashDatabase(1500);
    await new Promise((resolve) => setTimeout(resolve, 300));
    const answer = await send('GET', path);
    whileDown = { status: answer.status, code: ((await answer.json()) as { code: string }).code };
    await back;
  });
  expect(whileDown).toEqual({ status: 503, code: 'database_unavailable' });
  await expect.poll(async () => (await send('GET', path)).status).toBe(200);
  await expectNothingLost(path, readings, acknowledged);
});
