import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { PACE_MS } from '../student/class-code-limiter.ts';
import { CLASS, planOf, readingOf, startDraft, startSown } from './testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from './testing/server.ts';

const TRIES = 4;

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ signInTries: TRIES });
});
afterAll(() => server.close());

async function forget(): Promise<void> {
  await server.query('DELETE FROM sign_in_attempts');
}

function signIn(email: string): Promise<number> {
  return server
    .client()
    .post('/api/session')
    .send({ email, password: 'not this one' })
    .then(({ status }) => status);
}

const times = (statuses: readonly number[], status: number): number =>
  statuses.filter((one) => one === status).length;

describe('tries', () => {
  test('that come at once are counted one by one, for an account', async () => {
    await forget();
    const statuses = await Promise.all(Array.from({ length: 12 }, () => signIn('at-once@school.example')));
    expect([times(statuses, 401), times(statuses, 429)]).toEqual([TRIES, 12 - TRIES]);
  });

  test('are limited for an address too, at six times as many', async () => {
    await forget();
    const statuses = await Promise.all(
      Array.from({ length: 30 }, (_, index) => signIn(`one-of-many-${index}@school.example`)),
    );
    expect([times(statuses, 401), times(statuses, 429)]).toEqual([6 * TRIES, 30 - 6 * TRIES]);
  });

  test('count anew when their time is over', async () => {
    await forget();
    for (let attempt = 0; attempt < TRIES + 1; attempt += 1) await signIn('again@school.example');
    expect(await signIn('again@school.example')).toBe(429);
    await server.query('UPDATE sign_in_attempts SET expire = 1');
    expect(await signIn('again@school.example')).toBe(401);
  });

  test('of class codes at once are counted before they are compared, beyond them slowly; right ones cost nothing', async () => {
    await forget();
    const teacher = await server.teacher();
    const { code } = (await teacher.put(`/api/classes/${uuid()}`).send(CLASS).expect(200)).body;
    await forget();
    const join = (typed: string): Promise<number> =>
      server
        .client()
        .post('/api/device')
        .send({ code: typed })
        .then(({ status }) => status);
    for (let round = 0; round < 3; round += 1) {
      expect(times(await Promise.all(Array.from({ length: 20 }, () => join(code))), 200)).toBe(20);
    }
    const beyond = 2;
    const begun = performance.now();
    const wrong = Array.from({ length: 8 * TRIES + beyond }, () => join('NOPE00'));
    expect(times(await Promise.all(wrong), 404)).toBe(8 * TRIES + beyond);
    expect(await join(code)).toBe(200);
    // A floor, which no machine goes below: each of those beyond waits its pause, and so does the right one.
    expect(performance.now() - begun).toBeGreaterThan((beyond + 1) * PACE_MS - 5);
    await forget();
  });

  test('leave no connection inside a transaction', async () => {
    const open = await server.query(
      `SELECT p.id FROM information_schema.innodb_trx t
       JOIN information_schema.processlist p ON p.id = t.trx_mysql_thread_id
       WHERE p.db = DATABASE() AND p.command = 'Sleep'`,
    );
    expect(open).toEqual([]);
  });
});

describe('a device', () => {
  test('is out once its twelve hours are over', async () => {
    await forget();
    const teacher = await server.teacher();
    const { code } = (await teacher.put(`/api/classes/${uuid()}`).send(CLASS).expect(200)).body;
    const device = server.client();
    await device.post('/api/device').send({ code }).expect(200);
    await device.get('/api/device').expect(200);
    await server.query('UPDATE student_device SET expires_at = NOW() - INTERVAL 1 SECOND');
    const answer = await device.get('/api/device');
    expect([answer.status, answer.body.code]).toEqual([401, 'not_joined']);
  });
});

describe('bodies', () => {
  let teacher: Client;
  beforeAll(async () => {
    await forget();
    teacher = await server.teacher();
  });

  test.each([
    ['sign-in', 'post', '/api/session', { email: 'x'.repeat(5000), password: 'x' }],
    ['a logger', 'post', '/api/logger-samples', { key: 'k'.repeat(24), samples: Array(20_000).fill({}) }],
    ['a reading', 'put', `/api/experiments/${uuid()}/readings/${uuid()}`, { entered: 'x'.repeat(40_000) }],
  ] as const)('longer than %s may be are refused', async (_, method, path, body) => {
    const answer = await teacher[method](path).send(body);
    expect([answer.status, answer.body.code]).toEqual([413, 'too_large']);
    expect(answer.text.length).toBeLessThan(200);
  });

  test('with a thousand unknown fields are refused without being repeated', async () => {
    const body = Object.fromEntries(Array.from({ length: 200 }, (_, at) => [`f${at}${'y'.repeat(9)}`, 1]));
    const answer = await teacher.post('/api/session').send(body);
    expect(answer.status).toBe(400);
    expect(answer.body.fields.length).toBeLessThanOrEqual(50);
    const long = await teacher.post('/api/session').send({ ['z'.repeat(3000)]: 1 });
    expect(long.text.length).toBeLessThan(400);
  });

  test('with a list that is too long are refused at the list, before its entries are looked at', async () => {
    const answer = await teacher
      .post('/api/logger-samples')
      .send({ key: 'k'.repeat(24), samples: Array(5000).fill({}) });
    expect(answer.body.fields).toEqual([{ field: 'samples', message: 'At most 250 values.' }]);
  });

  test('without parts that must be there are refused by name', async () => {
    const draft = await startDraft(teacher);
    const rest: Record<string, unknown> = { ...planOf(draft) };
    delete rest.measure;
    delete rest.calendar;
    const answer = await teacher.put(`/api/experiments/${draft.id}/plan`).send(rest);
    expect(answer.body.fields.map(({ field }: { field: string }) => field)).toEqual(['measure', 'calendar']);
    const odd = await teacher
      .put(`/api/experiments/${draft.id}/plan`)
      .send({ ...planOf(draft), steps: [[], null] });
    expect(odd.body.fields.map(({ field }: { field: string }) => field)).toEqual(['steps.0', 'steps.1']);
  });

  test.each([
    ['half a character', { question: 'x\ud800' }, 'question'],
    ['nothing that can be seen', { question: '\u200b\u2060 \u00ad' }, 'question'],
    ['more code points than fit', { question: 'e\uFE0F'.repeat(200) }, 'question'],
    ['a name of the language', { question: { constructor: 1 } }, 'question'],
    ['a list for a text', { question: ['Why?'] }, 'question'],
    ['a day that is none', { sowOn: '2026-02-30' }, 'sowOn'],
    ['a year far away', { lessonOn: '9999-12-31' }, 'lessonOn'],
    ['a part that is a text', { measure: 'height' }, 'measure'],
    ['a list of lists', { constants: [['a']] }, 'constants'],
  ])('with %s are refused at the field', async (_, changes, field) => {
    const draft = await startDraft(teacher);
    const answer = await teacher
      .put(`/api/experiments/${draft.id}/plan`)
      .send({ ...planOf(draft), ...changes });
    expect([answer.status, answer.body.fields?.[0]?.field]).toEqual([400, field]);
  });

  test.each(['2026-W10-1', '20260302T093000Z', '9999-12-31T23:59:59Z', '2026-03-02', '2026-03-02T25:00:00Z'])(
    'with the instant %s are refused',
    async (sampledAt) => {
      const experiment = await startSown(teacher);
      const samples = [{ sampledAt, sensor: 'air temperature', value: 20 }];
      const answer = await teacher.put(`/api/experiments/${experiment.id}/logger-samples`).send({ samples });
      expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'samples.0.sampledAt']);
      await teacher.get(`/api/experiments/${experiment.id}/logger-days`).expect(200);
    },
  );

  test('with a unit that is none are refused, and the export stays whole', async () => {
    const experiment = await startSown(teacher);
    const path = `/api/experiments/${experiment.id}`;
    for (const unitOfMeasure of ['furlong', '', 'seeds']) {
      const answer = await teacher
        .put(`${path}/readings/${uuid()}`)
        .send(readingOf(experiment, 0, { unitOfMeasure }));
      expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'unitOfMeasure']);
    }
    expect((await teacher.get(`${path}/tidy.csv`)).text).not.toContain('NaN');
  });
});

describe('a run of the plan in another class', () => {
  test('cannot take over another experiment of the same teacher', async () => {
    await forget();
    const teacher = await server.teacher();
    const classId = uuid();
    await teacher.put(`/api/classes/${classId}`).send(CLASS).expect(200);
    const [first, other] = [await startDraft(teacher, 'First?'), await startDraft(teacher, 'Other?')];
    const run = (id: string) => teacher.put(`/api/experiments/${first.id}/runs/${id}`).send({ classId });
    const taken = await run(other.id);
    expect([taken.status, taken.body.code]).toEqual([409, 'id_in_use']);
    const after = (await teacher.get(`/api/experiments/${other.id}`)).body;
    expect([after.classId, after.question, after.version]).toEqual([null, 'Other?', other.version]);
    const id = uuid();
    const made = await run(id).expect(200);
    expect(made.body).toMatchObject({ classId, question: 'First?' });
    expect((await run(id).expect(200)).body).toEqual(made.body);
  });
});

describe('quotas', () => {
  test('a browser that writes without end is told to wait, and can still look', async () => {
    const busy = await startTestServer({ writesAMinute: 30 });
    try {
      const teacher = await busy.teacher();
      const experiment = await startSown(teacher);
      const statuses: number[] = [];
      for (let at = 0; at < 40; at += 1) {
        const path = `/api/experiments/${experiment.id}/readings/${uuid()}`;
        statuses.push((await teacher.put(path).send(readingOf(experiment, 0))).status);
      }
      expect(times(statuses, 429)).toBeGreaterThan(5);
      await teacher.get(`/api/experiments/${experiment.id}`).expect(200);
      const other = await busy.teacher();
      await startDraft(other);
      // Strangers with a cookie of their own making are strangers, and what they send takes nothing from who is known.
      const strangers = await Promise.all(
        Array.from({ length: 30 }, (_, at) =>
          busy
            .client()
            .post('/api/logger-samples')
            .set('Cookie', `bright_sprout_session=made-up-${at}`)
            .send({ key: 'k'.repeat(24), samples: [] }),
        ),
      );
      expect(
        times(
          strangers.map(({ status }) => status),
          429,
        ),
      ).toBeGreaterThan(15);
      await startDraft(other);
      const { code } = (await other.put(`/api/classes/${uuid()}`).send(CLASS).expect(200)).body;
      await busy.client().post('/api/device').send({ code }).expect(200);
    } finally {
      await busy.close();
    }
  });

  test('parts of files are limited by what waits', async () => {
    const teacher = await server.teacher();
    const classId = uuid();
    const { code } = (await teacher.put(`/api/classes/${classId}`).send(CLASS).expect(200)).body;
    const students = [{ id: uuid(), displayName: 'Ada', avatar: 'fox', teamId: null }];
    await teacher.put(`/api/classes/${classId}/roster`).send({ teams: [], students }).expect(200);
    const device = server.client();
    await device.post('/api/device').send({ code }).expect(200);
    await device.put('/api/device/student').send({ studentId: students[0]!.id }).expect(200);
    await sendFile(device, 'x', '/api/device/uploads');
    // Sixteen devices with 15 MB each: none has more than the one that asks, when that has as much itself.
    const ids = Array.from({ length: 16 }, () => uuid());
    const [joined] = await server.query<{ id: string }>('SELECT id FROM student_device WHERE class_id = ?', [
      classId,
    ]);
    const ownDevice = joined?.id ?? '';
    const fill = async (deviceIds: readonly string[], size: number): Promise<void> => {
      for (const deviceId of deviceIds)
        await server.query(
          "INSERT INTO upload_part (upload_id, starts_at, owner_id, device_id, size, bytes) VALUES (UUID(), 0, ?, ?, ?, 'x')",
          [classId, deviceId, size],
        );
    };
    await fill([ownDevice, ...ids.slice(1)], 15_000_000);
    const answer = await device
      .put(`/api/device/uploads/${uuid()}/parts/0`)
      .type('application/octet-stream')
      .send(Buffer.alloc(500_000, 1));
    expect([answer.status, answer.body.code]).toEqual([413, 'too_large']);

    // One device that took the room of its class gives way; nothing of others falls.
    await server.query('DELETE FROM upload_part');
    await fill([...ids.slice(0, 8), ...ids.slice(0, 8)], 14_000_000);
    await fill(ids.slice(0, 1), 16_000_000);
    await sendFile(device, 'x', '/api/device/uploads');
    const devices = await server.query('SELECT DISTINCT device_id FROM upload_part');
    expect(devices).toHaveLength(8);
    await fill([ownDevice], 119_900_000);
    const whole = await device
      .put(`/api/device/uploads/${uuid()}/parts/0`)
      .type('application/octet-stream')
      .send(Buffer.alloc(200_000, 1));
    expect([whole.status, whole.body.code]).toEqual([413, 'too_large']);
    await server.query('DELETE FROM upload_part');
    await fill([ownDevice, ...ids.slice(1)], 15_000_000);

    // What was left for more than a day makes room; a file that is being sent keeps its parts.
    const going = uuid();
    const part = (at: number) =>
      device
        .put(`/api/device/uploads/${going}/parts/${at}`)
        .type('application/octet-stream')
        .send(Buffer.alloc(500_000, 1));
    await server.query('UPDATE upload_part SET kept_at = kept_at - INTERVAL 2 DAY');
    await part(0).expect(204);
    await part(500_000).expect(204);
    const rows = await server.query<{ upload_id: string }>('SELECT upload_id FROM upload_part');
    expect(rows.map(({ upload_id }) => upload_id)).toEqual([going, going]);
    await server.query('DELETE FROM upload_part');
  });
});
