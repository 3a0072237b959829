import type { ClassView } from '@bright-sprout/contract/classes';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { ROUTES } from '@bright-sprout/contract/routes';
import { fillPath, rightFor, type Route } from '@bright-sprout/contract/shared';
import type { StudentPotView } from '@bright-sprout/contract/student';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, dayFromToday, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let own: ClassView;
let sown: ExperimentView;

const IDS_IN_PATHS = {
  voteId: uuid(),
  predictionId: uuid(),
  conclusionId: uuid(),
  readingId: uuid(),
  careId: uuid(),
  entryId: uuid(),
  unitId: uuid(),
  practiceId: uuid(),
  newUploadId: uuid(),
  offsetKey: '0',
};

const IDS = { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() };

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  own = await classOf(teacher, IDS);
  sown = await startSown(teacher);
  const units = sown.units.map(({ id }, index) => ({
    unitId: id,
    teamId: index < 4 ? IDS.otters : IDS.herons,
  }));
  await teacher.put(`/api/experiments/${sown.id}/class`).send({ classId: own.id, units }).expect(200);
});
afterAll(() => server.close());

async function classOf(client: Client, ids: typeof IDS): Promise<ClassView> {
  const id = uuid();
  await client
    .put(`/api/classes/${id}`)
    .send({ ...CLASS, timeZone: 'UTC' })
    .expect(200);
  const teams = [
    { id: ids.otters, name: 'Otters' },
    { id: ids.herons, name: 'Herons' },
  ];
  const students = [
    { id: ids.ada, displayName: 'Ada', avatar: 'snail', teamId: ids.otters },
    { id: ids.ben, displayName: 'Ben', avatar: 'fish', teamId: ids.herons },
  ];
  return (await client.put(`/api/classes/${id}/roster`).send({ teams, students }).expect(200)).body;
}

async function deviceOf(studentId: string, code = own.code): Promise<Client> {
  const device = server.client();
  await device.post('/api/device').send({ code }).expect(200);
  await device.put('/api/device/student').send({ studentId }).expect(200);
  return device;
}

async function potsOf(device: Client): Promise<StudentPotView[]> {
  return (await device.get('/api/device/pots').expect(200)).body;
}

function readingOf(pot: StudentPotView, changes: object = {}) {
  return {
    unitId: pot.unitId,
    variableId: pot.variable.id,
    observedOn: dayFromToday(0),
    state: 'emerged',
    value: 55,
    entered: '5.5',
    unitOfMeasure: 'cm',
    precision: 0.5,
    ...changes,
  };
}

describe('joining a class', () => {
  test('opens to the code in any writing, and shows names and pictures only', async () => {
    const device = server.client();
    const lower = `${own.code.slice(0, 3).toLowerCase()} ${own.code.slice(3)}`;
    const joined = (await device.post('/api/device').send({ code: lower }).expect(200)).body;
    expect(Object.keys(joined).sort()).toEqual([
      'asksPin',
      'classId',
      'className',
      'readingLevel',
      'studentId',
      'students',
      'today',
    ]);
    expect(joined).toMatchObject({ className: '5b', readingLevel: '8-10', studentId: null });
    expect((await device.get('/api/device/pots')).body.code).toBe('no_student');
  });

  test('stays shut to a wrong code, an old code, and a student of another class', async () => {
    const device = server.client();
    expect((await device.post('/api/device').send({ code: 'AAAAAA' })).body.code).toBe('wrong_code');
    const other = await classOf(teacher, { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() });
    await teacher.post(`/api/classes/${other.id}/code`).expect(200);
    expect((await device.post('/api/device').send({ code: other.code })).body.code).toBe('wrong_code');
    await device.post('/api/device').send({ code: own.code }).expect(200);
    await device.put('/api/device/student').send({ studentId: other.students[0]!.id }).expect(400);
    await device.delete('/api/device').expect(204);
    expect((await device.get('/api/device')).body.code).toBe('not_joined');
  });

  test('an address with too many wrong codes goes on slowly, and the right code still gets in', async () => {
    const limited = await startTestServer({ signInTries: 1 });
    try {
      const client = limited.client();
      const join = (code: string) => client.post('/api/device').send({ code });
      const wrong = await Promise.all(Array.from({ length: 8 }, (_, at) => join(`WRONG${at}`)));
      expect(wrong.map(({ status }) => status)).toEqual(Array.from({ length: 8 }, () => 404));
      expect((await join('WRONG8')).status).toBe(404);
      const owner = await limited.teacher();
      const { code } = await classOf(owner, { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() });
      expect((await join(code)).status).toBe(200);
    } finally {
      await limited.close();
    }
  });

  test('three hundred PINs at once: no more are compared than are allowed, and who was there comes back', async () => {
    const limited = await startTestServer({ signInTries: 5 });
    try {
      const owner = await limited.teacher();
      const ids = { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() };
      const schoolClass = await classOf(owner, ids);
      const { teams, students, ...rest } = schoolClass;
      await owner
        .put(`/api/classes/${schoolClass.id}`)
        .send({ ...CLASS, name: rest.name, asksPin: true })
        .expect(200);
      const pin = students.find(({ id }) => id === ids.ada)!.pin;
      expect(teams).toHaveLength(2);
      const device = async () => {
        const client = limited.client();
        await client.post('/api/device').send({ code: schoolClass.code }).expect(200);
        return client;
      };
      const own = await device();
      await own.put('/api/device/student').send({ studentId: ids.ada, pin }).expect(200);
      const stranger = await device();
      const guesses = await Promise.all(
        Array.from({ length: 300 }, (_, at) =>
          stranger
            .put('/api/device/student')
            .send({ studentId: ids.ada, pin: String((Number(pin) + 1 + at) % 10_000).padStart(4, '0') }),
        ),
      );
      const codes = guesses.map(({ body }) => body.code);
      expect(codes.filter((code) => code === 'wrong_pin')).toHaveLength(5);
      expect(codes.filter((code) => code === 'too_many_tries')).toHaveLength(295);
      // The right PIN from the device that guessed waits as well; at all others children go on at once.
      const late = await stranger.put('/api/device/student').send({ studentId: ids.ada, pin });
      expect(late.body.code).toBe('too_many_tries');
      await own.put('/api/device/student').send({ studentId: ids.ada, pin }).expect(200);
      const other = students.find(({ id }) => id === ids.ben)!;
      const fresh = await device();
      await fresh.put('/api/device/student').send({ studentId: other.id, pin: other.pin }).expect(200);
      await fresh.put('/api/device/student').send({ studentId: ids.ada, pin }).expect(200);
    } finally {
      await limited.close();
    }
  });
});

describe('one tablet that guesses', () => {
  test('keeps none of its school from joining, however many wrong codes it keeps on their way', async () => {
    const limited = await startTestServer({ signInTries: 5 });
    try {
      const owner = await limited.teacher();
      const { code } = await classOf(owner, { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() });
      const join = async (typed: string): Promise<number> =>
        (await limited.client().post('/api/device').send({ code: typed })).status;
      await Promise.all(Array.from({ length: 45 }, (_, at) => join(`WRO${at}`)));
      let isOver = false;
      const guessing = Array.from({ length: 20 }, async () => {
        while (!isOver) await join('WRONG1');
      });
      const joined = await Promise.all(Array.from({ length: 12 }, () => join(code)));
      isOver = true;
      await Promise.all(guessing);
      expect(joined).toEqual(Array.from({ length: 12 }, () => 200));
    } finally {
      await limited.close();
    }
  });

  test('fills no table with devices that no student is at, and puts out none that one is at', async () => {
    const owner = await server.teacher();
    const { id, code, students } = await classOf(owner, {
      otters: uuid(),
      herons: uuid(),
      ada: uuid(),
      ben: uuid(),
    });
    const used = server.client();
    await used.post('/api/device').send({ code }).expect(200);
    await used.put('/api/device/student').send({ studentId: students[0]?.id }).expect(200);
    await server.query(
      `INSERT INTO student_device (id, token_hash, class_id, created_at, expires_at)
       WITH RECURSIVE n AS (SELECT 1 AS at UNION ALL SELECT at + 1 FROM n WHERE at < 700)
       SELECT UUID(), UNHEX(SHA2(CONCAT(?, at), 256)), ?, NOW(3) - INTERVAL 1 MINUTE, NOW(3) + INTERVAL 1 HOUR FROM n`,
      [id, id],
    );
    await server.client().post('/api/device').send({ code }).expect(200);
    expect(await server.query('SELECT 1 FROM student_device WHERE class_id = ?', [id])).toHaveLength(402);
    await used.get('/api/device').expect(200);
  });

  test('locks no PIN of its class, though it joins anew for each guess; what it guesses is bounded', async () => {
    const limited = await startTestServer({ signInTries: 1 });
    try {
      const owner = await limited.teacher();
      const ids = { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() };
      const { id, name, code, students } = await classOf(owner, ids);
      await owner
        .put(`/api/classes/${id}`)
        .send({ ...CLASS, name, asksPin: true })
        .expect(200);
      const device = async () => {
        const client = limited.client();
        await client.post('/api/device').send({ code }).expect(200);
        return client;
      };
      const choose = async (at: Client, studentId: string, pin: string): Promise<string> => {
        const { status, body } = await at.put('/api/device/student').send({ studentId, pin });
        return status === 200 ? 'chosen' : String(body.code);
      };
      const tablets = await Promise.all(students.map(() => device()));
      const wrong = (pin: string): string => String((Number(pin) + 1) % 10_000).padStart(4, '0');
      const [first] = students;
      if (!first) throw new Error('a class without students');
      const guesses: string[] = [];
      for (let at = 0; at < 24; at += 1)
        guesses.push(await choose(await device(), first.id, wrong(first.pin ?? '')));
      // Twenty for each try of a device, and that of the device by which it was noticed.
      expect(guesses.filter((code) => code === 'wrong_pin').length).toBeLessThanOrEqual(21);
      const chosen = await Promise.all(
        tablets.map((tablet, at) => choose(tablet, students[at]?.id ?? '', students[at]?.pin ?? '')),
      );
      expect(new Set(chosen)).toEqual(new Set(['chosen']));
    } finally {
      await limited.close();
    }
  });
});

describe('a student', () => {
  test('sees the pots of the own team, reads one under the own name, and puts it right', async () => {
    const device = await deviceOf(IDS.ada);
    const pots = await potsOf(device);
    expect(pots.map((pot) => pot.number)).toEqual([1, 2, 3, 4]);
    const id = uuid();
    const kept = await device.put(`/api/device/readings/${id}`).send(readingOf(pots[0]!)).expect(200);
    expect(kept.body).toMatchObject({ observer: 'Ada', value: 55, counts: true });
    const again = await device.put(`/api/device/readings/${id}`).send(readingOf(pots[0]!)).expect(200);
    expect(again.body).toEqual(kept.body);
    const right = readingOf(pots[0]!, { value: 60, entered: '6', supersedesId: id });
    await device.put(`/api/device/readings/${uuid()}`).send(right).expect(200);
    expect((await potsOf(device))[0]).toMatchObject({
      isReadToday: true,
      own: { value: 60, supersedesId: id },
    });
    const seen = (await teacher.get(`/api/experiments/${sown.id}/readings`)).body;
    expect(seen).toHaveLength(2);
  });

  test('reads today only, own pots only, and corrects nobody else', async () => {
    const ben = await deviceOf(IDS.ben);
    const [pot] = await potsOf(ben);
    const put = (body: object) => ben.put(`/api/device/readings/${uuid()}`).send(body);
    for (const day of [-1, 1]) {
      const answer = await put(readingOf(pot!, { observedOn: dayFromToday(day) }));
      expect(answer.body.fields[0].field).toBe('observedOn');
    }
    await put(readingOf(pot!, { unitId: sown.units[0]!.id })).expect(404);
    await put(readingOf(pot!, { unitId: uuid() })).expect(404);
    const [adas] = (await teacher.get(`/api/experiments/${sown.id}/readings`)).body;
    await put(readingOf(pot!, { supersedesId: adas.id })).expect(400);
    const stranger = await server.teacher();
    const foreign = await startSown(stranger);
    await put(readingOf(pot!, { unitId: foreign.units[0]!.id })).expect(404);
  });

  test('reaches no route of a teacher, and a teacher’s session opens no student’s', async () => {
    const device = await deviceOf(IDS.ada);
    const routes = Object.values(ROUTES) as Route[];
    for (const route of routes.filter((one) => one.access === 'teacher' || rightFor(one) !== undefined)) {
      const names = [...route.path.matchAll(/:(\w+)/g)].map(([, name]) => [name, sown.id] as const);
      const path = `/api${fillPath(route.path, Object.fromEntries(names))}`;
      const method = route.method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
      const answer = await (route.body ? device[method](path).send({}) : device[method](path));
      expect([route.path, answer.status, answer.body.code]).toEqual([route.path, 401, 'not_signed_in']);
    }
    for (const route of routes.filter(({ access }) => access === 'student')) {
      const method = route.method.toLowerCase() as 'get' | 'put' | 'delete';
      const path = `/api${fillPath(route.path, IDS_IN_PATHS)}`;
      const answer = await (route.body ? teacher[method](path).send({}) : teacher[method](path));
      expect([route.path, answer.status, answer.body.code]).toEqual([route.path, 401, 'not_joined']);
    }
  });

  test('who is removed is gone from device and readings; the readings stay', async () => {
    const device = await deviceOf(IDS.ada);
    const { teams, students } = own;
    const left = students.filter((student) => student.id !== IDS.ada);
    await teacher.put(`/api/classes/${own.id}/roster`).send({ teams, students: left }).expect(200);
    expect((await device.get('/api/device/pots')).body.code).toBe('no_student');
    const seen = (await teacher.get(`/api/experiments/${sown.id}/readings`)).body;
    expect(seen.map(({ observer }: { observer: string }) => observer)).toEqual(['a student', 'a student']);
  });
});
