import type { ClassView } from '@bright-sprout/contract/classes';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { StudentPotView, StudentSowingView } from '@bright-sprout/contract/student';
import { randomGenerator } from '@bright-sprout/core/shared';
import { practiceTask } from '@bright-sprout/core/simulate';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { CLASS, dayFromToday, planOf, readingOf, startDraft, startSown } from '../app/testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

const HOUR_MS = 3_600_000;
let server: TestServer;
let teacher: Client;
let own: ClassView;
let sown: ExperimentView;
const ids = { otters: uuid(), herons: uuid(), ada: uuid(), ben: uuid() };

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  const classId = uuid();
  await teacher
    .put(`/api/classes/${classId}`)
    .send({ ...CLASS, timeZone: 'UTC' })
    .expect(200);
  const teams = [
    { id: ids.otters, name: 'Otters' },
    { id: ids.herons, name: 'Herons' },
  ];
  const students = [
    { id: ids.ada, displayName: 'Ada', avatar: 'snail', teamId: ids.otters, pin: '1234' },
    { id: ids.ben, displayName: 'Ben', avatar: 'fish', teamId: ids.herons, pin: '9876' },
  ];
  own = (await teacher.put(`/api/classes/${classId}/roster`).send({ teams, students }).expect(200)).body;
  sown = await give(await startSown(teacher));
});
afterAll(() => server.close());

async function give(experiment: ExperimentView): Promise<ExperimentView> {
  const units = experiment.units.map(({ id }, index) => ({
    unitId: id,
    teamId: index < 4 ? ids.otters : ids.herons,
  }));
  const path = `/api/experiments/${experiment.id}/class`;
  return (await teacher.put(path).send({ classId: own.id, units }).expect(200)).body;
}

async function deviceOf(studentId: string, pin?: string): Promise<Client> {
  const device = server.client();
  await device.post('/api/device').send({ code: own.code }).expect(200);
  await device.put('/api/device/student').send({ studentId, pin }).expect(200);
  return device;
}

/** The student's pots of the experiment that was sown ten days ago. */
async function potsOf(device: Client): Promise<StudentPotView[]> {
  const pots = (await device.get('/api/device/pots').expect(200)).body as StudentPotView[];
  return pots.filter((pot) => pot.experimentId === sown.id);
}

function reading(pot: StudentPotView, changes: object = {}) {
  return {
    unitId: pot.unitId,
    variableId: pot.variable.id,
    observedOn: dayFromToday(0),
    state: 'emerged',
    value: 35,
    entered: '3.5',
    unitOfMeasure: 'cm',
    precision: 0.5,
    ...changes,
  };
}

/** Made some hours ago, by a clock that is wrong by some hours. */
function made(studentId: string, hoursAgo: number, wrongBy = 0) {
  const sentAt = new Date(Date.now() + wrongBy * HOUR_MS);
  return {
    studentId,
    sentAt: sentAt.toISOString(),
    madeAt: new Date(sentAt.getTime() - hoursAgo * HOUR_MS).toISOString(),
  };
}

describe('the code of a pot that is not to be read', () => {
  const about = async (device: Client, unitId: string) => device.get(`/api/device/units/${unitId}`);

  test('of another team, not sown, dead, finished, or nobody’s says so', async () => {
    const device = await deviceOf(ids.ada);
    const [theirs, mine] = [sown.units[6]!, sown.units[0]!];
    expect((await about(device, theirs.id)).body).toMatchObject({
      why: 'other_team',
      team: 'Herons',
      number: 7,
    });
    expect((await about(device, mine.id)).status).toBe(404);
    expect((await about(device, uuid())).status).toBe(404);

    const draft = await give(await startDraft(teacher));
    expect((await about(device, draft.units[0]!.id)).body.why).toBe('not_sown');

    const other = await give(await startSown(teacher));
    const dead = readingOf(other, 0, {
      state: 'dead',
      value: null,
      entered: '',
      observedOn: dayFromToday(-1),
    });
    await teacher.put(`/api/experiments/${other.id}/readings/${uuid()}`).send(dead).expect(200);
    expect((await about(device, other.units[0]!.id)).body.why).toBe('dead');
    await teacher.put(`/api/experiments/${other.id}/finish`).send({ finished: true }).expect(200);
    expect((await about(device, other.units[1]!.id)).body.why).toBe('finished');

    const foreign = await startSown(await server.teacher());
    expect((await about(device, foreign.units[0]!.id)).status).toBe(404);
  });
});

describe('a reading made without network', () => {
  test.each([
    ['a right clock', 0],
    ['a clock a day fast', 24],
    ['a clock a day slow', -24],
  ])('goes to the day it was made on: %s', async (_, wrongBy) => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const body = { ...reading(pot!, { observedOn: '2020-01-01' }), made: made(ids.ada, 24, wrongBy) };
    const answer = await device.put(`/api/device/readings/${uuid()}`).send(body).expect(200);
    expect(answer.body).toMatchObject({ observedOn: dayFromToday(-1), observer: 'Ada' });
  });

  test('is taken from who was at the device then, and from nobody else', async () => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    await device.put('/api/device/student').send({ studentId: ids.ben }).expect(200);
    const send = (studentId: string) =>
      device.put(`/api/device/readings/${uuid()}`).send({ ...reading(pot!), made: made(studentId, 1) });
    expect((await send(ids.ada).expect(200)).body.observer).toBe('Ada');
    expect((await send(ids.ben)).status).toBe(404);
    const other = await deviceOf(ids.ben);
    const refused = await other
      .put(`/api/device/readings/${uuid()}`)
      .send({ ...reading(pot!), made: made(ids.ada, 1) });
    expect([refused.status, refused.body.code]).toEqual([409, 'no_student']);
  });

  test('is refused in words after two weeks', async () => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const body = { ...reading(pot!), made: made(ids.ada, 15 * 24) };
    const answer = await device.put(`/api/device/readings/${uuid()}`).send(body).expect(400);
    expect(answer.body.fields[0].message).toContain('Show it to your teacher');
  });
});

describe('a closed day', () => {
  test('takes nothing more, but what was read before it was closed', async () => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const path = `/api/experiments/${sown.id}/days/${dayFromToday(0)}`;
    await teacher.put(path).send({ isClosed: true }).expect(200);
    expect((await potsOf(device))[0]!.isClosed).toBe(true);
    const refused = await device.put(`/api/device/readings/${uuid()}`).send(reading(pot!));
    expect([refused.status, refused.body.code]).toEqual([409, 'day_closed']);
    const before = { ...reading(pot!), made: made(ids.ada, 0.01) };
    const onItsWay = await device.put(`/api/device/readings/${uuid()}`).send(before).expect(200);
    expect(onItsWay.body).toMatchObject({ counts: true, setAside: null });
    await teacher.put(path).send({ isClosed: false }).expect(200);
    await device.put(`/api/device/readings/${uuid()}`).send(reading(pot!)).expect(200);
  });
});

describe('what arrives long after its day was closed', () => {
  test('is kept, but set aside until the teacher looks at it: a clock can be made to say anything', async () => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const halfAnHourAgo = made(ids.ada, 0.5);
    // Early after midnight, the day before.
    const path = `/api/experiments/${sown.id}/days/${halfAnHourAgo.madeAt.slice(0, 10)}`;
    await teacher.put(path).send({ isClosed: true }).expect(200);
    await server.query('UPDATE closed_day SET recorded_at = recorded_at - INTERVAL 10 MINUTE');
    const id = uuid();
    const body = { ...reading(pot!), made: halfAnHourAgo };
    for (let time = 0; time < 2; time += 1) {
      const kept = await device.put(`/api/device/readings/${id}`).send(body).expect(200);
      expect(kept.body).toMatchObject({ counts: false, setAside: 'arrived after this day was closed' });
    }
    const back = await teacher.delete(`/api/experiments/${sown.id}/readings/${id}/set-aside`).expect(200);
    expect(back.body.counts).toBe(true);
    const again = await device.put(`/api/device/readings/${id}`).send(body).expect(200);
    expect(again.body.counts).toBe(true);
    await teacher.put(path).send({ isClosed: false }).expect(200);
  });
});

describe('a PIN', () => {
  test('is asked when the class asks, and never told', async () => {
    await teacher
      .put(`/api/classes/${own.id}`)
      .send({ ...CLASS, timeZone: 'UTC', asksPin: true })
      .expect(200);
    const device = server.client();
    const joined = (await device.post('/api/device').send({ code: own.code }).expect(200)).body;
    expect(JSON.stringify(joined)).not.toContain('1234');
    for (const pin of [undefined, '9876']) {
      const refused = await device.put('/api/device/student').send({ studentId: ids.ada, pin });
      expect([refused.status, refused.body.code]).toEqual([403, 'wrong_pin']);
    }
    expect((await device.get('/api/device/pots')).body.code).toBe('no_student');
    await device.put('/api/device/student').send({ studentId: ids.ada, pin: '1234' }).expect(200);
    await teacher
      .put(`/api/classes/${own.id}`)
      .send({ ...CLASS, timeZone: 'UTC', asksPin: false })
      .expect(200);
  });

  test('is made for a student who has none', async () => {
    const { students } = (await teacher.get('/api/classes')).body[0] as ClassView;
    const roster = {
      teams: own.teams,
      students: [...students, { id: uuid(), displayName: 'Cy', avatar: 'fox', teamId: null }],
    };
    const kept = (await teacher.put(`/api/classes/${own.id}/roster`).send(roster).expect(200))
      .body as ClassView;
    expect(kept.students.map(({ pin }) => pin)).toEqual(['1234', '9876', expect.stringMatching(/^\d{4}$/)]);
  });
});

describe('more than one variable', () => {
  test('is asked of each pot, kept with scores, and stays once it was read', async () => {
    const plan = planOf(sown, { alsoRead: ['leaves', 'stage'] });
    const changed = (await teacher.put(`/api/experiments/${sown.id}/plan`).send(plan).expect(200))
      .body as ExperimentView;
    expect(changed.variables.map(({ name, kind }) => [name, kind])).toEqual([
      ['height', 'length'],
      ['leaves', 'count'],
      ['stage', 'score'],
    ]);
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const stage = pot!.others.find(({ variable }) => variable.name === 'stage')!.variable;
    const send = (value: number) =>
      device
        .put(`/api/device/readings/${uuid()}`)
        .send(reading(pot!, { variableId: stage.id, value, entered: 'x', unitOfMeasure: '', precision: 1 }));
    expect((await send(0)).body.fields).toEqual([{ field: 'value', message: 'Choose one of the scores.' }]);
    await send(2).expect(200);
    const again = (await potsOf(device))[0]!.others.find(({ variable }) => variable.id === stage.id)!;
    expect(again.own).toMatchObject({ value: 2, observer: 'Ada' });
    const without = planOf(changed, { alsoRead: [] });
    const refused = await teacher.put(`/api/experiments/${sown.id}/plan`).send(without);
    expect(refused.body.fields).toEqual([
      { field: 'alsoRead', message: 'There are readings of stage, so it stays.' },
    ]);
  });
});

describe('sowing day', () => {
  test('is ticked by the team for its own pots, live for the teacher', async () => {
    const draft = await startDraft(teacher);
    const today = planOf(draft, { sowOn: dayFromToday(0) as never, lessonOn: dayFromToday(20) as never });
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(today).expect(200);
    const given = await give(draft);
    const device = await deviceOf(ids.ada);
    const sowing = async (): Promise<StudentSowingView[]> =>
      (await device.get('/api/device/sowing').expect(200)).body;
    const [view] = await sowing();
    expect(view).toMatchObject({ experimentId: draft.id, question: draft.question });
    expect(view!.steps.length).toBeGreaterThan(0);
    expect(view!.pots.map(({ unitId }) => unitId)).toEqual(given.units.slice(0, 4).map(({ id }) => id));
    const unitIds = [view!.pots[0]!.unitId];
    await device.put('/api/device/sowing/ticks').send({ unitIds, item: 'seeds', isDone: true }).expect(200);
    await device.put('/api/device/sowing/ticks').send({ unitIds, item: 'seeds', isDone: true }).expect(200);
    expect((await sowing())[0]!.pots[0]!.ticked).toEqual(['seeds']);
    const ticks = `/api/experiments/${draft.id}/sowing/ticks`;
    expect((await teacher.get(ticks)).body).toEqual([{ unitId: unitIds[0], item: 'seeds', by: 'Ada' }]);
    const foreign = { unitIds: [given.units[5]!.id], item: 'seeds', isDone: true };
    await device.put('/api/device/sowing/ticks').send(foreign).expect(404);
    const note = { unitId: unitIds[0], seedsSown: 4, note: 'one seed rolled away' };
    const noted = await teacher.put(`/api/experiments/${draft.id}/sowing/notes`).send(note).expect(200);
    expect(noted.body.units[0]).toMatchObject({ seedsSown: 4, sowingNote: 'one seed rolled away' });
    await teacher
      .put(`/api/experiments/${draft.id}/sowing`)
      .send({ sownOn: dayFromToday(0), unitIds })
      .expect(200);
    expect((await sowing())[0]!.pots).toHaveLength(3);
    expect((await teacher.get(ticks).expect(200)).body).toHaveLength(1);
  });
});

describe('sowing before its planned day', () => {
  test('reaches the tablets once something is ticked, and not before', async () => {
    const draft = await startDraft(teacher);
    const later = planOf(draft, { sowOn: dayFromToday(2) as never, lessonOn: dayFromToday(20) as never });
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(later).expect(200);
    const given = await give(draft);
    const device = await deviceOf(ids.ada);
    const isShown = async (): Promise<boolean> =>
      ((await device.get('/api/device/sowing').expect(200)).body as StudentSowingView[]).some(
        ({ experimentId }) => experimentId === draft.id,
      );
    expect(await isShown()).toBe(false);
    const tick = { unitIds: [given.units[5]!.id], item: 'label', isDone: true };
    await teacher.put(`/api/experiments/${draft.id}/sowing/ticks`).send(tick).expect(200);
    expect(await isShown()).toBe(true);
    await teacher
      .put(`/api/experiments/${draft.id}/sowing/ticks`)
      .send({ ...tick, isDone: false })
      .expect(200);
    expect(await isShown()).toBe(false);
  });
});

describe('what else a student adds', () => {
  test('care and sentences of the own pots, and of no others', async () => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const foreign = sown.units[6]!.id;
    const care = (unitIds: string[] | null) =>
      device.put(`/api/device/care/${uuid()}`).send({
        experimentId: sown.id,
        kind: 'watered',
        happenedOn: dayFromToday(0),
        unitIds,
        amount: 20,
        note: '',
      });
    expect((await care([pot!.unitId]).expect(200)).body.observer).toBe('Ada');
    await care([foreign]).expect(404);
    await care(null).expect(404);
    const entry = (unitId: string, experimentId = sown.id) =>
      device.put(`/api/device/journal/${uuid()}`).send({
        experimentId,
        unitId,
        happenedOn: dayFromToday(0),
        kind: 'note',
        note: 'A bud.',
        picture: null,
      });
    await entry(pot!.unitId).expect(200);
    await entry(foreign).expect(404);
    await entry(pot!.unitId, (await startSown(teacher)).id).expect(404);
    expect((await device.get(`/api/device/units/${pot!.unitId}/journal`).expect(200)).body).toHaveLength(1);
    await device.get(`/api/device/units/${foreign}/journal`).expect(404);
  });

  test('a drawing keeps its lines, for the student who drew it and nobody else', async () => {
    const device = await deviceOf(ids.ada);
    const [pot] = await potsOf(device);
    const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#fff' } })
      .png()
      .withExif({ IFD0: { Software: 'a tablet' } })
      .toBuffer();
    const line = { colour: '#1e2b26', thickness: 3, erases: false, points: [1, 2, 30, 40] };
    const drawing = { width: 800, height: 420, lines: [line], labels: [{ word: 'stem', x: 0.5, y: 0.2 }] };
    const id = uuid();
    const body = {
      ...{
        experimentId: sown.id,
        unitId: pot!.unitId,
        happenedOn: dayFromToday(0),
        kind: 'drawing',
        note: '',
      },
      ...{ picture: await sendFile(device, picture, '/api/device/uploads'), drawing },
    };
    const wild = { ...drawing, lines: [{ ...line, colour: 'url(x)', points: [1] }] };
    await device
      .put(`/api/device/journal/${id}`)
      .send({ ...body, drawing: wild })
      .expect(400);
    await device.put(`/api/device/journal/${id}`).send(body).expect(200);
    const seen = (await device.get(`/api/device/units/${pot!.unitId}/journal`)).body as {
      id: string;
      canGoOn: boolean;
    }[];
    expect(seen.find((entry) => entry.id === id)?.canGoOn).toBe(true);
    expect((await device.get(`/api/device/journal/${id}/drawing`).expect(200)).body).toEqual(drawing);
    const drawn = await device.get(`/api/device/journal/${id}/picture`).expect(200);
    expect(drawn.headers['content-type']).toBe('image/png');
    const { format, width, exif } = await sharp(drawn.body as Buffer).metadata();
    expect({ format, width, exif }).toEqual({ format: 'png', width: 60, exif: undefined });
    await device.get(`/api/device/journal/${uuid()}/drawing`).expect(404);
    const other = await deviceOf(ids.ben);
    await other.get(`/api/device/journal/${id}/drawing`).expect(404);
    const [all] = [(await teacher.get(`/api/experiments/${sown.id}/journal`)).body as { canGoOn: boolean }[]];
    expect(all.every(({ canGoOn }) => !canGoOn)).toBe(true);
  });

  test('leaves no name behind when the student is removed', async () => {
    const { students, teams } = (await teacher.get('/api/classes')).body[0] as ClassView;
    const left = students.filter(({ id }) => id !== ids.ada);
    await teacher.put(`/api/classes/${own.id}/roster`).send({ teams, students: left }).expect(200);
    for (const [table, column] of [
      ['reading', 'observer'],
      ['care_event', 'observer'],
      ['journal_entry', 'observer'],
      ['sowing_tick', 'observer'],
    ]) {
      const rows = await server.query(`SELECT ${column} AS name FROM ${table} WHERE ${column} = 'Ada'`);
      expect([table, rows]).toEqual([table, []]);
      expect(await server.query(`SELECT 1 FROM ${table} WHERE ${column} = 'a student'`)).not.toEqual([]);
    }
  });

  test('readings of drawn rulers, from which the class’s error is known', async () => {
    const device = await deviceOf(ids.ben);
    const path = `/api/classes/${own.id}/practice`;
    expect((await teacher.get(path)).body).toEqual({
      ...{ n: 0, biasMm: null, typicalMm: null, careful: [] },
    });
    for (const [seed, off] of [
      [11, 3],
      [12, -1],
    ] as const) {
      const { trueMm } = practiceTask('bent', randomGenerator(seed));
      await device
        .put(`/api/device/practice/${uuid()}`)
        .send({ kind: 'bent', seed, readMm: trueMm + off })
        .expect(204);
    }
    const { n, biasMm, typicalMm } = (await teacher.get(path)).body;
    expect([n, biasMm, typicalMm]).toEqual([2, 1, expect.closeTo(Math.sqrt(5), 9)]);
    expect((await potsOf(device))[0]!.readingErrorMm).toBeCloseTo(Math.sqrt(5), 9);
    for (const [seed, off] of [0.5, 0, 1, 0.2].entries()) {
      const { trueMm } = practiceTask('bent', randomGenerator(seed + 20));
      expect((await teacher.get(path)).body.careful).toEqual([]);
      await device
        .put(`/api/device/practice/${uuid()}`)
        .send({ kind: 'bent', seed: seed + 20, readMm: trueMm + off })
        .expect(204);
    }
    expect((await teacher.get(path)).body.careful).toEqual([{ studentId: ids.ben, displayName: 'Ben' }]);
  });
});

describe('another class', () => {
  test('runs the same plan as one study', async () => {
    const other = uuid();
    await teacher
      .put(`/api/classes/${other}`)
      .send({ ...CLASS, name: '5c', timeZone: 'UTC' })
      .expect(200);
    const newId = uuid();
    const run = `/api/experiments/${sown.id}/runs/${newId}`;
    const copy = (await teacher.put(run).send({ classId: other }).expect(200)).body as ExperimentView;
    expect(copy).toMatchObject({ id: newId, classId: other, studyId: sown.id, status: 'draft' });
    expect((await teacher.put(run).send({ classId: other }).expect(200)).body.id).toBe(newId);
    expect((await teacher.get(`/api/experiments/${sown.id}`)).body.studyId).toBe(sown.id);
    const answer = await teacher.put(`/api/experiments/${sown.id}/runs/${uuid()}`).send({ classId: uuid() });
    expect(answer.body.fields[0].field).toBe('classId');
  });
});
