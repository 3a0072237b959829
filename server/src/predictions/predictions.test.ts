import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { StudentIdeasView } from '@bright-sprout/contract/predictions';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CLASS, dayFromToday, readingOf, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;
let code: string;
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
  experiment = await startSown(teacher);
  await teacher
    .put(`/api/experiments/${experiment.id}/class`)
    .send({ classId: IDS.classId, units: [] })
    .expect(200);
});
afterAll(() => server.close());

async function deviceOf(studentId: string): Promise<Client> {
  const device = server.client();
  await device.post('/api/device').send({ code }).expect(200);
  await device.put('/api/device/student').send({ studentId }).expect(200);
  return device;
}

const choices = (): string[] => [...(experiment.plan?.prediction.choices ?? [])];
const predictions = async () =>
  (await teacher.get(`/api/experiments/${experiment.id}/predictions`).expect(200)).body as {
    choice: string;
    isEarly: boolean;
  }[];

describe('guesses', () => {
  test('a student guesses, changes it, and counts once; hands count one each', async () => {
    const device = await deviceOf(IDS.ada);
    const [first, second] = choices() as [string, string];
    const guess = (choice: string, id = uuid()) =>
      device.put(`/api/device/predictions/${id}`).send({ choice, experimentId: experiment.id });
    const id = uuid();
    await guess(first, id).expect(204);
    await guess(first, id).expect(204);
    await guess(second).expect(204);
    await teacher
      .put(`/api/experiments/${experiment.id}/predictions/${uuid()}`)
      .send({ choice: first })
      .expect(204);
    expect((await predictions()).map(({ choice }) => choice).sort()).toEqual([first, second].sort());
    expect((await device.get('/api/device/ideas').expect(200)).body[0]).toMatchObject({
      ownChoice: second,
      canGuess: true,
    });
  });

  test('tablets take none after the day that the teacher set, and say so', async () => {
    const device = await deviceOf(IDS.ben);
    const { plan, version } = (await teacher.get(`/api/experiments/${experiment.id}`).expect(200)).body;
    const close = (closesOn: string | null, at: number) =>
      teacher
        .put(`/api/experiments/${experiment.id}/plan`)
        .send({ ...plan, version: at, prediction: { ...plan.prediction, closesOn } });
    const closed = (await close(dayFromToday(-1), version).expect(200)).body;
    const body = { experimentId: experiment.id, choice: plan.prediction.choices[0] };
    const refused = await device.put(`/api/device/predictions/${uuid()}`).send(body);
    expect([refused.status, refused.body.code]).toEqual([409, 'guessing_closed']);
    const ideas = (await device.get('/api/device/ideas').expect(200)).body as StudentIdeasView[];
    expect(ideas.find(({ experimentId }) => experimentId === experiment.id)?.canGuess).toBe(false);
    await close(null, closed.version).expect(200);
    await device.put(`/api/device/predictions/${uuid()}`).send(body).expect(204);
  });

  test('a guess after something is up says so', async () => {
    await teacher
      .put(`/api/experiments/${experiment.id}/readings/${uuid()}`)
      .send(readingOf(experiment, 0))
      .expect(200);
    const device = await deviceOf(IDS.ben);
    await device
      .put(`/api/device/predictions/${uuid()}`)
      .send({ choice: choices()[0], experimentId: experiment.id })
      .expect(204);
    expect((await predictions()).filter(({ isEarly }) => !isEarly)).toHaveLength(1);
  });

  test('an answer that the plan does not have is refused, and so is the experiment of another class', async () => {
    const device = await deviceOf(IDS.ada);
    const put = (experimentId: string, choice: string) =>
      device.put(`/api/device/predictions/${uuid()}`).send({ choice, experimentId });
    expect((await put(experiment.id, 'Something else')).status).toBe(400);
    const other = await startSown(await server.teacher());
    expect((await put(other.id, choices()[0]!)).status).toBe(404);
  });
});

describe('conclusions', () => {
  test('a student sees the evidence, concludes, writes it anew; the name goes when the student goes', async () => {
    const device = await deviceOf(IDS.ben);
    const [idea] = (await device.get('/api/device/ideas').expect(200)).body;
    expect(idea.measured).toBe(1);
    expect(idea.evidence.length).toBeGreaterThan(0);
    const body = {
      claim: 'It grew.',
      evidence: idea.evidence.join(' '),
      reasoning: '',
      experimentId: experiment.id,
    };
    await device.put(`/api/device/conclusions/${uuid()}`).send(body).expect(200);
    const again = { ...body, claim: 'It grew a little <b>.' };
    const id = uuid();
    await device.put(`/api/device/conclusions/${id}`).send(again).expect(200);
    await device.put(`/api/device/conclusions/${id}`).send(again).expect(200);
    const list = () => teacher.get(`/api/experiments/${experiment.id}/conclusions`).expect(200);
    expect((await list()).body).toMatchObject([
      { claim: 'It grew a little <b>.', observer: 'Ben', isStudent: true },
    ]);
    const students = [{ id: IDS.ada, displayName: 'Ada', avatar: 'snail', teamId: null }];
    await teacher.put(`/api/classes/${IDS.classId}/roster`).send({ teams: [], students }).expect(200);
    const names = (await list()).body.map((one: { observer: string }) => one.observer);
    expect(new Set(names)).toEqual(new Set(['a student']));
    expect(await server.query('SELECT COUNT(*) AS count FROM conclusion')).toEqual([{ count: 2 }]);
  });

  test.each([
    ['an empty claim', { claim: ' ', evidence: '', reasoning: '' }],
    ['a claim of 10 000 characters', { claim: 'x'.repeat(10_000), evidence: '', reasoning: '' }],
  ])('%s is refused in words', async (_, body) => {
    const answer = await teacher.put(`/api/experiments/${experiment.id}/conclusions/${uuid()}`).send(body);
    expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'claim']);
  });
});
