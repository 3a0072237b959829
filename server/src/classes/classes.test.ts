import type { ClassView, SavedClass } from '@bright-sprout/contract/classes';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, startDraft } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let own: ClassView;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
beforeEach(async () => {
  own = (await teacher.put(`/api/classes/${uuid()}`).send(CLASS).expect(200)).body;
});
afterAll(() => server.close());

const team = (name: string) => ({ id: uuid(), name });
const student = (displayName: string, teamId: string | null = null) => ({
  id: uuid(),
  displayName,
  avatar: 'snail',
  teamId,
});

function saveRoster(students: object[], teams: object[] = [], of = own) {
  return teacher.put(`/api/classes/${of.id}/roster`).send({ students, teams });
}

describe('a class', () => {
  test('is kept with a code of its own, changed, and removed', async () => {
    expect(own).toMatchObject({ ...CLASS, students: [], teams: [] });
    expect(own.code).toMatch(/^[A-Z0-9]{6}$/);
    expect(own.quietSince).toBe(new Date().toISOString().slice(0, 10));
    const changed = await teacher
      .put(`/api/classes/${own.id}`)
      .send({ ...CLASS, name: '5c' })
      .expect(200);
    expect(changed.body).toMatchObject({ name: '5c', code: own.code });
    const recoded = await teacher.post(`/api/classes/${own.id}/code`).expect(200);
    expect(recoded.body.code).not.toBe(own.code);
    await teacher.delete(`/api/classes/${own.id}`).expect(204);
    expect((await teacher.get('/api/classes')).body.map(({ id }: ClassView) => id)).not.toContain(own.id);
  });

  test('that is sent three times at once is kept once', async () => {
    const id = uuid();
    const answers = await Promise.all([1, 2, 3].map(() => teacher.put(`/api/classes/${id}`).send(CLASS)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(new Set(answers.map(({ body }) => body.code)).size).toBe(1);
  });

  test('is quiet since its last lesson that was not put away, and no sooner than it was made', async () => {
    await server.query("UPDATE school_class SET created_at = '2024-09-01' WHERE id = ?", [own.id]);
    const quiet = async () =>
      ((await teacher.get('/api/classes').expect(200)).body as ClassView[]).find(({ id }) => id === own.id)!
        .quietSince;
    expect(await quiet()).toBe('2024-09-01');
    for (const lesson of ['2025-03-04', '2024-10-04', '2023-01-01', '2025-06-30']) {
      const { id } = await startDraft(teacher);
      await teacher.put(`/api/experiments/${id}/class`).send({ classId: own.id, units: [] }).expect(200);
      await server.query('UPDATE experiment SET lesson_on = ? WHERE id = ?', [lesson, id]);
      if (lesson === '2025-06-30') await teacher.delete(`/api/experiments/${id}`).expect(204);
    }
    expect(await quiet()).toBe('2025-03-04');
  });

  test.each([
    ['no name', { name: ' ' }, 'name'],
    ['no meeting day', { meetingDays: [] }, 'meetingDays'],
    ['an eighth day', { meetingDays: [8] }, 'meetingDays'],
    ['a time zone that is none', { timeZone: 'Moon/Tranquility' }, 'timeZone'],
    ['an age that is none', { readingLevel: '99' }, 'readingLevel'],
    ['31 February', { holidays: [{ name: 'x', from: '2027-02-31', to: '2027-03-01' }] }, 'holidays.0.from'],
    [
      'a holiday backwards',
      { holidays: [{ name: 'x', from: '2027-03-02', to: '2027-03-01' }] },
      'holidays.0.to',
    ],
  ])('is not kept with %s', async (_, changes, field) => {
    const answer = await teacher.put(`/api/classes/${uuid()}`).send({ ...CLASS, ...changes });
    expect([answer.status, answer.body.fields[0]?.field]).toEqual([400, field]);
  });
});

describe('a roster', () => {
  test('keeps its order, its teams and whoever stays; who is left out is gone', async () => {
    const teams = [team('Otters'), team('Herons')];
    const all = [student('Ada', teams[0]!.id), student('Ben', teams[1]!.id), student('<b>Cy</b>')];
    const kept = await saveRoster(all, teams).expect(200);
    expect(kept.body).toMatchObject({ teams, students: all });
    const [ada, , cy] = all;
    const fewer = await saveRoster(
      [cy!, { ...ada!, teamId: null, displayName: 'Ada L.' }],
      [teams[1]!],
    ).expect(200);
    expect(fewer.body.students.map(({ displayName }: { displayName: string }) => displayName)).toEqual([
      '<b>Cy</b>',
      'Ada L.',
    ]);
    expect(fewer.body.teams).toEqual([teams[1]]);
  });

  test('refuses two of one name, a team of another class, too many, and students of another class', async () => {
    const twice = await saveRoster([student('Ada'), student('ada')]);
    expect(twice.body.fields).toEqual([
      { field: 'students.1.displayName', message: 'Another student has this name. Add an initial.' },
    ]);
    const foreignTeam = await saveRoster([student('Ada', uuid())]);
    expect(foreignTeam.body.fields[0].field).toBe('students.0.teamId');
    await saveRoster(Array.from({ length: 61 }, (_, index) => student(`S${index}`))).expect(400);
    const ada = student('Ada');
    await saveRoster([ada]).expect(200);
    const other = (await teacher.put(`/api/classes/${uuid()}`).send(CLASS).expect(200)).body as ClassView;
    const stolen = await saveRoster([ada], [], other);
    expect([stolen.status, stolen.body.code]).toEqual([409, 'id_in_use']);
  });
});

describe('an experiment given to a class', () => {
  let draft: ExperimentView;
  let teams: { id: string; name: string }[];

  const give = (body: object) => teacher.put(`/api/experiments/${draft.id}/class`).send(body);
  beforeEach(async () => {
    draft = await startDraft(teacher);
    teams = [team('Otters'), team('Herons')];
    await saveRoster([], teams).expect(200);
  });

  test('has its units in teams, takes the class’s days, and gives both back', async () => {
    const units = draft.units.map(({ id }, index) => ({ unitId: id, teamId: teams[index % 2]!.id }));
    const given = (await give({ classId: own.id, units }).expect(200)).body as ExperimentView;
    expect(given.classId).toBe(own.id);
    expect(given.units.map((unit) => unit.team).slice(0, 3)).toEqual(['Otters', 'Herons', 'Otters']);
    expect(given.plan!.calendar).toMatchObject({ meetingDays: [1, 3, 5], holidays: CLASS.holidays });
    const back = (await give({ classId: null, units: [] }).expect(200)).body as ExperimentView;
    expect([back.classId, ...new Set(back.units.map((unit) => unit.team))]).toEqual([null, '']);
  });

  test('follows the days of its class until it is finished', async () => {
    const other = (await give({ classId: own.id, units: [] }).expect(200)).body as ExperimentView;
    const trip = { name: 'Trip', from: draft.sowOn, to: draft.sowOn };
    const save = (changes: object) => teacher.put(`/api/classes/${own.id}`).send({ ...CLASS, ...changes });
    const saved = await save({ meetingDays: [2, 4], holidays: [trip] }).expect(200);
    const [moved] = (saved.body as SavedClass).movedPlans;
    expect(moved).toMatchObject({ experimentId: draft.id, question: draft.question });
    expect(moved!.offClassDay).toContain('sowing');
    const days = moved!.moved.filter(({ task }) => task === 'read');
    expect(days.length).toBeGreaterThan(0);
    for (const { to } of days) if (to) expect([2, 4]).toContain(new Date(to).getUTCDay());
    const follows = (await teacher.get(`/api/experiments/${draft.id}`).expect(200)).body as ExperimentView;
    expect(follows.plan!.calendar).toMatchObject({ meetingDays: [2, 4], holidays: [trip] });
    expect(follows.version).toBe(other.version + 1);
    const alike = await save({ meetingDays: [2, 4], holidays: [trip] }).expect(200);
    expect((alike.body as SavedClass).movedPlans).toEqual([]);
    const again = (await teacher.get(`/api/experiments/${draft.id}`).expect(200)).body as ExperimentView;
    expect(again.version).toBe(follows.version);
    await give({ classId: null, units: [] }).expect(200);
    await save({}).expect(200);
    const left = (await teacher.get(`/api/experiments/${draft.id}`).expect(200)).body as ExperimentView;
    expect(left.plan!.calendar).toMatchObject({ meetingDays: [2, 4], holidays: [trip] });
  });

  test('stays, with its readings’ units, when the class is removed', async () => {
    const units = draft.units.map(({ id }) => ({ unitId: id, teamId: teams[0]!.id }));
    await give({ classId: own.id, units }).expect(200);
    await teacher.delete(`/api/classes/${own.id}`).expect(204);
    const left = (await teacher.get(`/api/experiments/${draft.id}`).expect(200)).body as ExperimentView;
    expect([left.classId, left.units[0]!.teamId, left.units.length]).toEqual([null, null, 10]);
  });

  test('refuses another teacher’s class, teams of another class, and pots of another experiment', async () => {
    const stranger = await server.teacher();
    const foreign = (await stranger.put(`/api/classes/${uuid()}`).send(CLASS).expect(200)).body as ClassView;
    expect((await give({ classId: foreign.id, units: [] })).body.fields[0].field).toBe('classId');
    const unitId = draft.units[0]!.id;
    await give({ classId: own.id, units: [{ unitId, teamId: uuid() }] }).expect(400);
    await give({ classId: own.id, units: [{ unitId: uuid(), teamId: teams[0]!.id }] }).expect(400);
    expect((await teacher.get(`/api/experiments/${draft.id}`)).body).toEqual(draft);
  });
});
