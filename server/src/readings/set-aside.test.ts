import type { ExperimentView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { dayFromToday, readingOf, startSown } from '../app/testing/experiments.ts';
import { type Client, sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';
import { ReadingsService } from './readings.service.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher('Ms Dill');
  experiment = await startSown(teacher);
});
afterAll(() => server.close());

const readingsPath = (): string => `/api/experiments/${experiment.id}/readings`;

async function keep(unit: number, value: number): Promise<string> {
  const id = uuid();
  await teacher
    .put(`${readingsPath()}/${id}`)
    .send(readingOf(experiment, unit, { value }))
    .expect(200);
  return id;
}

async function valuesCompared(): Promise<number[]> {
  const { body } = await teacher.get(`/api/experiments/${experiment.id}/comparison`).expect(200);
  const groups = body.groups as { points: { value: number }[] }[];
  return groups.flatMap(({ points }) => points.map(({ value }) => value)).sort((a, b) => a - b);
}

describe('setting a reading aside', () => {
  test('takes it out of comparisons with a reason, and back', async () => {
    await keep(0, 40);
    const odd = await keep(1, 900);
    expect(await valuesCompared()).toEqual([40, 900]);
    const path = `${readingsPath()}/${odd}/set-aside`;
    const aside = await teacher.put(path).send({ reason: 'measured from the table' }).expect(200);
    expect(aside.body).toMatchObject({ counts: false, setAside: 'measured from the table', value: 900 });
    await teacher.put(path).send({ reason: 'again' }).expect(200);
    expect(await valuesCompared()).toEqual([40]);
    const kept = (await teacher.get(readingsPath())).body as ReadingView[];
    expect(kept.find(({ id }) => id === odd)?.setAside).toBe('measured from the table');
    const back = await teacher.delete(path).expect(200);
    expect(back.body).toMatchObject({ counts: true, setAside: null });
    expect(await valuesCompared()).toEqual([40, 900]);
    const rows = await server.query('SELECT observer, lifted_by FROM set_aside WHERE reading_id = ?', [odd]);
    expect(rows).toEqual([{ observer: 'Ms Dill', lifted_by: 'Ms Dill' }]);
  });

  test('happens once, however many ask at once, and is undone as one', async () => {
    const odd = await keep(2, 700);
    const path = `${readingsPath()}/${odd}/set-aside`;
    const reasons = ['bent', 'read twice', 'wet', 'late'];
    const answers = await Promise.all(
      reasons.map((reason) => teacher.put(path).send({ reason }).expect(200)),
    );
    const [kept] = new Set(answers.map(({ body }) => body.setAside as string));
    expect(reasons).toContain(kept);
    await teacher.delete(path).expect(200);
    const back = (await teacher.get(readingsPath())).body as ReadingView[];
    expect(back.find(({ id }) => id === odd)?.counts).toBe(true);
    await teacher.put(path).send({ reason: 'after all' }).expect(200);
    await teacher.delete(path).expect(200);
  });

  test('by itself leaves what a person decided, of this reading and of no other', async () => {
    const [decided, fresh] = [await keep(4, 300), await keep(5, 310)];
    const path = `${readingsPath()}/${decided}/set-aside`;
    await teacher.put(path).send({ reason: 'bent' }).expect(200);
    await teacher.delete(path).expect(200);
    const service = server.app.get(ReadingsService, { strict: false });
    const late = (id: string) => service.setAsideAtFirst(experiment.id, id, 'late', 'nobody');
    expect((await late(decided)).setAside).toBeNull();
    expect((await late(fresh)).setAside).toBe('late');
    for (const id of [decided, fresh]) await teacher.delete(`${readingsPath()}/${id}/set-aside`).expect(200);
  });

  test('needs a reason, and a reading of this experiment', async () => {
    const id = await keep(2, 41);
    const answer = await teacher.put(`${readingsPath()}/${id}/set-aside`).send({ reason: ' ' });
    expect(answer.body.fields).toEqual([{ field: 'reason', message: 'Say why in up to 200 characters.' }]);
    await teacher.put(`${readingsPath()}/${uuid()}/set-aside`).send({ reason: 'x' }).expect(404);
    await teacher.delete(`${readingsPath()}/${uuid()}/set-aside`).expect(404);
    const other = await server.teacher();
    const foreign = await startSown(other);
    await other
      .put(`/api/experiments/${foreign.id}/readings/${id}/set-aside`)
      .send({ reason: 'x' })
      .expect(404);
  });

  test('goes out with the file and comes back with it', async () => {
    const [, second] = (await teacher.get(readingsPath())).body as ReadingView[];
    await teacher.put(`${readingsPath()}/${second!.id}/set-aside`).send({ reason: 'pot fell' }).expect(200);
    const { text } = await teacher.get(`/api/experiments/${experiment.id}/tidy.csv`).expect(200);
    const copy = uuid();
    await teacher
      .put(`/api/files/${copy}`)
      .send({ fileName: 'a.csv', ...(await sendFile(teacher, text)) })
      .expect(200);
    const readings = (await teacher.get(`/api/experiments/${copy}/readings`)).body as ReadingView[];
    expect(readings.filter((reading) => !reading.counts).map((reading) => reading.setAside)).toEqual([
      'pot fell',
    ]);
  });
});

describe('closing a day', () => {
  test('closes no other day and no other experiment', async () => {
    const service = server.app.get(ReadingsService, { strict: false });
    const other = await startSown(teacher);
    const day = dayFromToday(-1);
    const put = (isClosed: boolean) =>
      teacher.put(`/api/experiments/${experiment.id}/days/${day}`).send({ isClosed }).expect(200);
    await put(true);
    expect(await service.closedAt(experiment.id, day)).toBeInstanceOf(Date);
    expect(await service.closedAt(experiment.id, dayFromToday(-2))).toBeUndefined();
    expect(await service.closedAt(other.id, day)).toBeUndefined();
    await put(false);
    expect(await service.closedAt(experiment.id, day)).toBeUndefined();
  });

  test('is undone, repeated, and shown with the experiment', async () => {
    const day = dayFromToday(0);
    const path = `/api/experiments/${experiment.id}/days/${day}`;
    expect((await teacher.put(path).send({ isClosed: true }).expect(200)).body.closedDays).toEqual([day]);
    await teacher.put(path).send({ isClosed: true }).expect(200);
    expect((await teacher.put(path).send({ isClosed: false }).expect(200)).body.closedDays).toEqual([]);
    await teacher
      .put(`/api/experiments/${experiment.id}/days/2026-02-31`)
      .send({ isClosed: true })
      .expect(400);
  });
});
