import { expect, test } from '@playwright/test';
import { DEMO_EMAIL } from '@bright-sprout/scripts';
import { v7 as uuid } from 'uuid';
import { dayFromToday } from '../support/test.ts';

const STUDENTS = 60;
const READINGS = 8;
const WITHIN_MS = 60_000;

const ADDRESS = process.env.E2E_ADDRESS ?? '';

/** One browser: it keeps its cookies. */
function browserOf() {
  let cookie = '';
  return async (method: string, path: string, body?: object): Promise<Response> => {
    const answer = await fetch(`${ADDRESS}/api${path}`, {
      method,
      headers: { Cookie: cookie, 'Content-Type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const [set] = answer.headers.getSetCookie();
    if (set) cookie = set.split(';')[0] ?? '';
    return answer;
  };
}

test('sixty students who save eight readings each lose none and double none', async () => {
  test.setTimeout(WITHIN_MS * 2);
  const teacher = browserOf();
  await teacher('POST', '/session', { email: DEMO_EMAIL, password: process.env.E2E_PASSWORD });
  const classId = uuid();
  const days = { meetingDays: [1, 2, 3, 4, 5, 6, 7], holidays: [] };
  const about = { name: 'All of year 5', readingLevel: '8-10', timeZone: 'UTC', ...days };
  const { code } = (await (await teacher('PUT', `/classes/${classId}`, about)).json()) as { code: string };
  const students = Array.from({ length: STUDENTS }, (_, index) => ({
    id: uuid(),
    displayName: `S${index}`,
    avatar: 'snail',
    teamId: null,
  }));
  await teacher('PUT', `/classes/${classId}/roster`, { teams: [], students });
  const path = `/experiments/${uuid()}`;
  const experiment = await (await teacher('PUT', path, { question: 'All at once?', cropId: 'oat' })).json();
  await teacher('PUT', `${path}/class`, { classId, units: [] });
  await teacher('PUT', `${path}/sowing`, { sownOn: dayFromToday(-3) });

  const devices = await Promise.all(
    students.map(async ({ id }) => {
      const device = browserOf();
      await device('POST', '/device', { code });
      expect((await device('PUT', '/device/student', { studentId: id })).status).toBe(200);
      return device;
    }),
  );
  const sent: string[] = [];
  const started = Date.now();
  await Promise.all(
    devices.map(async (device, index) => {
      for (let turn = 0; turn < READINGS; turn += 1) {
        const id = uuid();
        const answer = await device('PUT', `/device/readings/${id}`, {
          unitId: experiment.units[(index + turn) % experiment.units.length].id,
          variableId: experiment.variables[0].id,
          observedOn: dayFromToday(0),
          state: 'emerged',
          value: 10 + turn,
          entered: String(10 + turn),
          unitOfMeasure: 'mm',
          precision: 1,
        });
        expect(answer.status).toBe(200);
        sent.push(id);
      }
    }),
  );
  expect(Date.now() - started).toBeLessThan(WITHIN_MS);
  const stored = (await (await teacher('GET', `${path}/readings`)).json()) as { id: string }[];
  expect(stored.map(({ id }) => id).sort()).toEqual(sent.sort());
});
