import type { LessonRequest, LessonView, PollView, ShowingRequest } from '@bright-sprout/contract/lessons';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { plainBoard } from '@bright-sprout/core/lessons';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, dayFromToday, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;
let code: string;
let path: string;
const IDS = { classId: uuid(), ada: uuid(), ben: uuid() };

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
  code = (await teacher.put(`/api/classes/${IDS.classId}`).send(CLASS).expect(200)).body.code;
  const students = [
    { id: IDS.ada, displayName: 'Ada', avatar: 'snail', teamId: null },
    { id: IDS.ben, displayName: 'Ben', avatar: 'bird', teamId: null },
  ];
  await teacher.put(`/api/classes/${IDS.classId}/roster`).send({ teams: [], students }).expect(200);
});
beforeEach(async () => {
  experiment = await startSown(teacher);
  path = `/api/experiments/${experiment.id}`;
  await teacher.put(`${path}/class`).send({ classId: IDS.classId, units: [] }).expect(200);
  await server.query('UPDATE poll SET closed_at = NOW(3) WHERE closed_at IS NULL');
});
afterAll(() => server.close());

function boards(...notes: string[]): LessonRequest['boards'] {
  return notes.map((note) => ({
    ...plainBoard(uuid(), 'line_up', 2),
    note,
    unitIds: [],
    entryIds: [],
    talkCodes: [],
  }));
}

const showing = (boardId: string, changes: Partial<ShowingRequest> = {}): ShowingRequest => ({
  boardId,
  isBlank: false,
  isRevealed: false,
  hidesTreatments: false,
  order: 'height',
  level: '8-10',
  day: dayFromToday(-1),
  ...changes,
});

async function tablet(studentId: string): Promise<Client> {
  const device = server.client();
  await device.post('/api/device').send({ code }).expect(200);
  await device.put('/api/device/student').send({ studentId }).expect(200);
  return device;
}

describe('the boards of a lesson', () => {
  test('are kept with a version, and a change on an older one is refused without losing anything', async () => {
    expect((await teacher.get(`${path}/lesson`).expect(200)).body).toEqual({
      version: 0,
      document: null,
      begunAt: null,
      showing: null,
    });
    const first = { level: '8-10', boards: boards('first'), version: 0 };
    const kept = (await teacher.put(`${path}/lesson`).send(first).expect(200)).body as LessonView;
    expect(kept).toMatchObject({ version: 1, document: { level: '8-10', boards: [{ note: 'first' }] } });
    const late = { level: '14+', boards: boards('late'), version: 0 };
    const refused = await teacher.put(`${path}/lesson`).send(late).expect(409);
    expect(refused.body.code).toBe('changed_elsewhere');
    expect((await teacher.get(`${path}/lesson`)).body).toEqual(kept);
  });

  test('two changes at once: one is kept, the other told', async () => {
    const change = (note: string) =>
      teacher.put(`${path}/lesson`).send({ level: '8-10', boards: boards(note), version: 0 });
    const answers = await Promise.all([change('a'), change('b'), change('c')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    expect((await teacher.get(`${path}/lesson`)).body.version).toBe(1);
  });

  test.each([
    ['a kind that there is not', { kind: 'slide' }],
    ['no minute', { minutes: 0 }],
    ['three pots to watch', { unitIds: [uuid(), uuid(), uuid()] }],
    ['a pot that is no id', { unitIds: ["1' OR 1"] }],
    ['a note as long as a book', { note: 'x'.repeat(2001) }],
  ])('%s is refused with the field', async (_, changes) => {
    const [board] = boards('');
    const body = { level: '8-10', boards: [{ ...board, ...changes }], version: 0 };
    const { body: problem } = await teacher.put(`${path}/lesson`).send(body).expect(400);
    expect([problem.code, problem.fields[0].field]).toEqual([
      'invalid_fields',
      expect.stringMatching(/^boards/),
    ]);
  });

  test('one id twice is refused', async () => {
    const [board] = boards('');
    const body = { level: '8-10', boards: [board, board], version: 0 };
    await teacher.put(`${path}/lesson`).send(body).expect(400);
  });
});

describe('what is shown', () => {
  test('the first board begins the lesson, the next goes on with it, and it ends', async () => {
    const [a, b] = [uuid(), uuid()];
    const first = (await teacher.put(`${path}/lesson/showing`).send(showing(a)).expect(200)).body;
    const second = (
      await teacher
        .put(`${path}/lesson/showing`)
        .send(showing(b, { isBlank: true }))
        .expect(200)
    ).body;
    expect(second).toMatchObject({ boardId: b, isBlank: true, begunAt: first.begunAt });
    expect((await teacher.get(`${path}/lesson`)).body.showing).toEqual(second);
    await teacher.delete(`${path}/lesson/showing`).expect(204);
    expect((await teacher.get(`${path}/lesson`)).body).toMatchObject({
      version: 0,
      begunAt: first.begunAt,
      showing: null,
    });
    const again = (await teacher.put(`${path}/lesson/showing`).send(showing(a)).expect(200)).body;
    expect(Date.parse(again.begunAt)).toBeGreaterThanOrEqual(Date.parse(second.shownAt));
  });
});

describe('a vote', () => {
  const poll = (changes = {}) => ({
    prompt: 'Which is tallest?',
    choices: ['Plain', 'Half', 'None of them'],
    isOpen: true,
    hands: [],
    ...changes,
  });

  test('is counted live, the newest of each student, beside hands, and nobody is named', async () => {
    const id = uuid();
    await teacher.put(`${path}/polls/${id}`).send(poll()).expect(200);
    const [ada, ben] = [await tablet(IDS.ada), await tablet(IDS.ben)];
    expect((await ada.get('/api/device/polls').expect(200)).body).toEqual([
      {
        id,
        experimentId: experiment.id,
        prompt: 'Which is tallest?',
        choices: poll().choices,
        ownChoice: null,
      },
    ]);
    const vote = (who: Client, choice: number, voteId = uuid()) =>
      who.put(`/api/device/votes/${voteId}`).send({ pollId: id, choice });
    const own = uuid();
    await vote(ada, 0, own).expect(204);
    await vote(ada, 0, own).expect(204);
    await vote(ben, 1).expect(204);
    await vote(ada, 1).expect(204);
    const hands = poll({ hands: [4, 0, 2] });
    const { body } = await teacher.put(`${path}/polls/${id}`).send(hands).expect(200);
    expect(body as PollView).toMatchObject({ tablets: [0, 2, 0], hands: [4, 0, 2], isOpen: true });
    expect(JSON.stringify(body)).not.toMatch(/Ada|Ben|student/);
    expect((await ada.get('/api/device/polls')).body[0].ownChoice).toBe(1);
    await vote(ben, 3).expect(400);
    expect((await vote(ben, 1, own)).body.code).toBe('id_in_use');
    expect((await vote(ada, 2, own)).body.code).toBe('id_in_use');
    const beyond = (await vote(ada, 3)).body;
    expect(beyond.fields[0].field).toBe('choice');
    await ada.put(`/api/device/votes/${uuid()}`).send({ pollId: uuid(), choice: 0 }).expect(404);
  });

  test('keeps when it was asked; hands that are counted after its end close no other', async () => {
    const [early, late] = [uuid(), uuid()];
    const view = async (id: string) =>
      (await teacher.get(`${path}/polls/${id}`).expect(200)).body as PollView;
    await teacher.put(`${path}/polls/${early}`).send(poll()).expect(200);
    const { openedAt } = await view(early);
    await teacher.put(`${path}/polls/${late}`).send(poll()).expect(200);
    const counted = poll({ isOpen: false, hands: [1, 2, 3] });
    expect((await teacher.put(`${path}/polls/${early}`).send(counted).expect(200)).body).toMatchObject({
      openedAt,
      isOpen: false,
      hands: [1, 2, 3],
    });
    expect((await view(late)).isOpen).toBe(true);
  });

  test.each([
    [4_000, 204],
    [6_000, 409],
  ])('made %d ms after it was closed answers %d', async (afterMs, status) => {
    const id = uuid();
    await teacher.put(`${path}/polls/${id}`).send(poll()).expect(200);
    await teacher
      .put(`${path}/polls/${id}`)
      .send(poll({ isOpen: false }))
      .expect(200);
    const ada = await tablet(IDS.ada);
    const sentAt = new Date();
    await server.query(`UPDATE poll SET closed_at = ? WHERE id = '${id}'`, [
      new Date(sentAt.getTime() - 30_000),
    ]);
    const made = {
      studentId: IDS.ada,
      madeAt: new Date(sentAt.getTime() - 30_000 + afterMs).toISOString(),
      sentAt: sentAt.toISOString(),
    };
    const answer = await ada.put(`/api/device/votes/${uuid()}`).send({ pollId: id, choice: 0, made });
    expect(answer.status).toBe(status);
  });

  test('made before it was closed counts though it is sent later; one made afterwards does not', async () => {
    const id = uuid();
    await teacher.put(`${path}/polls/${id}`).send(poll()).expect(200);
    const ada = await tablet(IDS.ada);
    const ben = await tablet(IDS.ben);
    await teacher
      .put(`${path}/polls/${id}`)
      .send(poll({ isOpen: false }))
      .expect(200);
    expect((await ada.get('/api/device/polls')).body).toEqual([]);
    await server.query(`UPDATE poll SET closed_at = closed_at - INTERVAL 60 SECOND WHERE id = '${id}'`);
    const now = Date.now();
    const made = (studentId: string, agoMs: number) => ({
      studentId,
      madeAt: new Date(now - agoMs).toISOString(),
      sentAt: new Date(now).toISOString(),
    });
    const voteOf = (who: Client, studentId: string, agoMs: number) =>
      who.put(`/api/device/votes/${uuid()}`).send({ pollId: id, choice: 2, made: made(studentId, agoMs) });
    expect((await voteOf(ada, IDS.ada, 90_000)).status).toBe(204);
    expect((await voteOf(ben, IDS.ben, 1_000)).body.code).toBe('vote_closed');
    expect((await teacher.get(`${path}/polls/${id}`).expect(200)).body.tablets).toEqual([0, 0, 1]);
  });

  test('asked anew closes the one before, also of another experiment of the class, and keeps its answers', async () => {
    const [first, second] = [uuid(), uuid()];
    const other = `/api/experiments/${(await startSown(teacher)).id}`;
    await teacher.put(`${other}/class`).send({ classId: IDS.classId, units: [] }).expect(200);
    const before = uuid();
    await teacher.put(`${other}/polls/${before}`).send(poll()).expect(200);
    await teacher.put(`${path}/polls/${first}`).send(poll()).expect(200);
    await teacher.put(`${path}/polls/${second}`).send(poll()).expect(200);
    expect((await teacher.get(`${path}/polls/${first}`)).body.isOpen).toBe(false);
    expect((await teacher.get(`${other}/polls/${before}`)).body.isOpen).toBe(false);
    const changed = poll({ choices: ['A', 'B'] });
    const refused = (await teacher.put(`${path}/polls/${second}`).send(changed).expect(400)).body;
    expect(refused.fields[0].field).toBe('choices');
  });

  test('of another class or experiment is not there', async () => {
    const foreign = await startSown(teacher);
    const id = uuid();
    await teacher.put(`/api/experiments/${foreign.id}/polls/${id}`).send(poll()).expect(200);
    const ada = await tablet(IDS.ada);
    expect((await ada.get('/api/device/polls')).body).toEqual([]);
    await ada.put(`/api/device/votes/${uuid()}`).send({ pollId: id, choice: 0 }).expect(404);
    await teacher.get(`${path}/polls/${id}`).expect(404);
    expect((await teacher.put(`${path}/polls/${id}`).send(poll())).body.code).toBe('id_in_use');
  });
});

describe('an entry of the journal', () => {
  test('is seen by who made it, by others once it is chosen for a board, and not while it is hidden', async () => {
    const [unit] = experiment.units;
    const [ada, ben] = [await tablet(IDS.ada), await tablet(IDS.ben)];
    const id = uuid();
    const entry = {
      unitId: unit!.id,
      happenedOn: dayFromToday(0),
      kind: 'note',
      note: 'Mine',
      picture: null,
    };
    const address = `/api/device/units/${unit!.id}/journal`;
    await ada
      .put(`/api/device/journal/${id}`)
      .send({ ...entry, experimentId: experiment.id })
      .expect(200);
    const seen = async (who: Client) => ((await who.get(address).expect(200)).body as unknown[]).length;
    expect([await seen(ada), await seen(ben)]).toEqual([1, 0]);
    const { version } = (await teacher.get(`${path}/lesson`)).body as LessonView;
    const [board] = boards('chosen');
    const chosen = { level: '8-10', boards: [{ ...board, kind: 'pictures', entryIds: [id] }], version };
    await teacher.put(`${path}/lesson`).send(chosen).expect(200);
    expect([await seen(ada), await seen(ben)]).toEqual([1, 1]);
    const hidden = await teacher.put(`${path}/journal/${id}/hidden`).send({ isHidden: true }).expect(200);
    expect(hidden.body).toMatchObject({ id, isHidden: true });
    expect([await seen(ada), await seen(ben)]).toEqual([1, 0]);
    await teacher.put(`${path}/journal/${id}/hidden`).send({ isHidden: false }).expect(200);
    expect(await seen(ben)).toBe(1);
    await teacher.put(`${path}/journal/${uuid()}/hidden`).send({ isHidden: true }).expect(404);
  });
});
