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

test('a server killed in the middle of saving loses no acknowledged reading, and trying again doubles none', async () => {
  const path = `/experiments/${uuid()}`;
  const experiment = await (await send('PUT', path, { question: 'Will it last?', cropId: 'oat' })).json();
  await send('PUT', `${path}/sowing`, { sowedOn: dayFromToday(-3) });
  const readings = Array.from({ length: SAVES }, (_, index) => ({
    id: uuid(),
    body: {
      unitId: experiment.units[index % 10].id,
      variableId: experiment.variables[0].id,
      observedOn: dayFromToday(-1),
      state: 'up',
      value: index,
      entered: String(index),
      unitOfMeasure: 'mm',
      precision: 1,
    },
  }));
  const acknowledged: string[] = [];
  let restarted: Promise<void> | undefined;
  const save = async ({ id, body }: (typeof readings)[number]): Promise<void> => {
    const answer = await send('PUT', `${path}/readings/${id}`, body).catch(() => undefined);
    if (!answer?.ok) return;
    acknowledged.push(id);
    if (acknowledged.length === CRASH_AFTER) restarted = application.crashAndRestart();
  };
  await Promise.all(readings.map(save));
  await restarted;
  expect(acknowledged.length).toBeGreaterThanOrEqual(CRASH_AFTER);
  expect(acknowledged.length).toBeLessThan(SAVES);

  const stored = async (): Promise<string[]> =>
    ((await (await send('GET', `${path}/readings`)).json()) as { id: string }[]).map(({ id }) => id);
  const afterCrash = await stored();
  expect(acknowledged.filter((id) => !afterCrash.includes(id))).toEqual([]);

  for (const { id, body } of readings)
    expect((await send('PUT', `${path}/readings/${id}`, body)).status).toBe(200);
  const all = await stored();
  expect(all.sort()).toEqual(readings.map(({ id }) => id).sort());
});
