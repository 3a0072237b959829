import type { CareView, SensorDayView } from '@bright-sprout/contract/care';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { dayFromToday, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher('Mr Chard');
  experiment = await startSown(teacher);
});
afterAll(() => server.close());

const path = (end = ''): string => `/api/experiments/${experiment.id}/care${end}`;

function care(changes: object = {}) {
  return { kind: 'watered', happenedOn: dayFromToday(-1), unitIds: null, amount: 10, note: '', ...changes };
}

describe('care', () => {
  test('is kept once however often it is sent, taken back, and put there again', async () => {
    const id = uuid();
    const unitIds = [experiment.units[0]!.id, experiment.units[1]!.id];
    const first = await teacher
      .put(path(`/${id}`))
      .send(care({ unitIds }))
      .expect(200);
    expect(first.body).toMatchObject({ kind: 'watered', amount: 10, unitIds, observer: 'Mr Chard' });
    expect(
      (
        await teacher
          .put(path(`/${id}`))
          .send(care({ unitIds }))
          .expect(200)
      ).body,
    ).toEqual(first.body);
    await teacher
      .put(path(`/${id}/undone`))
      .send({ isUndone: true })
      .expect(200);
    const all = (await teacher.get(path())).body as CareView[];
    expect(all.map((one) => [one.id, one.isUndone])).toEqual([[id, true]]);
    const again = await teacher
      .put(path(`/${id}/undone`))
      .send({ isUndone: false })
      .expect(200);
    expect(again.body.isUndone).toBe(false);
    await teacher
      .put(path(`/${uuid()}/undone`))
      .send({ isUndone: true })
      .expect(404);
  });

  test.each([
    ['a day to come', { happenedOn: dayFromToday(2) }, 'happenedOn'],
    ['a day that does not exist', { happenedOn: '2026-02-31' }, 'happenedOn'],
    ['a day before sowing', { happenedOn: dayFromToday(-30) }, 'happenedOn'],
    ['a pH of 20', { kind: 'ph', amount: 20 }, 'amount'],
    ['no pH', { kind: 'ph', amount: null }, 'amount'],
    ['an amount of turning', { kind: 'turned', amount: 3 }, 'amount'],
    ['a note without words', { kind: 'note', amount: null }, 'note'],
    ['ten thousand characters', { note: 'x'.repeat(10_000) }, 'note'],
    ['a pot of nobody', { unitIds: [uuid()] }, 'unitIds'],
    ['a kind of its own', { kind: 'sung to' }, 'kind'],
  ])('%s is refused in words at its field', async (_, changes, field) => {
    const answer = await teacher.put(path(`/${uuid()}`)).send(care(changes));
    expect([answer.status, answer.body.fields.map((one: { field: string }) => one.field)]).toEqual([
      400,
      [field],
    ]);
  });
});

describe('a logger', () => {
  const samples = [
    { sensor: 'temperature', value: 20, sampledAt: '2027-03-01T08:00:00Z' },
    { sensor: 'temperature', value: 24, sampledAt: '2027-03-01T14:30:00Z' },
    { sensor: 'light', value: 6, sampledAt: '2027-03-02T12:00:00Z' },
  ];

  test('sends with its key, twice without harm, and its days are summed up', async () => {
    const { key } = (await teacher.post(`/api/experiments/${experiment.id}/logger`).expect(200)).body;
    const device = server.client();
    await device.post('/api/logger-samples').send({ key, samples }).expect(204);
    await device.post('/api/logger-samples').send({ key, samples }).expect(204);
    const days = (await teacher.get(`/api/experiments/${experiment.id}/logger-days`)).body as SensorDayView[];
    expect(days).toEqual([
      { sensor: 'temperature', day: '2027-03-01', mean: 22, least: 20, most: 24 },
      { sensor: 'light', day: '2027-03-02', mean: 6, least: 6, most: 6 },
    ]);
    const stored = await server.query('SELECT HEX(key_hash) AS hash FROM logger');
    expect(JSON.stringify(stored)).not.toContain(key);
  });

  test('is refused with a wrong key, and with the key before the last', async () => {
    const { key } = (await teacher.post(`/api/experiments/${experiment.id}/logger`).expect(200)).body;
    await teacher.post(`/api/experiments/${experiment.id}/logger`).expect(200);
    for (const wrong of [key, 'x'.repeat(30)]) {
      const answer = await server.client().post('/api/logger-samples').send({ key: wrong, samples });
      expect([answer.status, answer.body.code]).toEqual([404, 'wrong_code']);
    }
  });

  test('may come as a file, whose bad values are named', async () => {
    const file = `/api/experiments/${experiment.id}/logger-samples`;
    await teacher.put(file).send({ samples }).expect(204);
    const bad = [{ sensor: 'noise', value: 'loud', sampledAt: '31.2.2027' }];
    const answer = await teacher.put(file).send({ samples: bad }).expect(400);
    expect(answer.body.fields.map((one: { field: string }) => one.field)).toEqual([
      'samples.0.sampledAt',
      'samples.0.sensor',
      'samples.0.value',
    ]);
  });
});
