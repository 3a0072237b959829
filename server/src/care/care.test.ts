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

describe('where pots stand', () => {
  const moved = (moves: object[], changes: object = {}) =>
    care({
      kind: 'moved',
      amount: null,
      unitIds: moves.map((move) => (move as { unitId: string }).unitId),
      moves,
      ...changes,
    });
  const placeOf = (at: number) => {
    const { id, containerId, row, column } = experiment.units[at]!;
    return { unitId: id, containerId, row, column };
  };
  const inOrder = (moves: CareView['moves']) => [...moves].sort((a, b) => (a.unitId < b.unitId ? -1 : 1));
  const send = (body: object, id = uuid()) => teacher.put(path(`/${id}`)).send(body);

  test('is changed by a move or a swap with its day, and never one place for two', async () => {
    const swap = [
      { ...placeOf(1), unitId: experiment.units[0]!.id },
      { ...placeOf(0), unitId: experiment.units[1]!.id },
    ];
    const id = uuid();
    const kept = (await send(moved(swap), id).expect(200)).body as CareView;
    expect(kept.moves).toEqual(inOrder(swap));
    expect((await send(moved(swap), id).expect(200)).body).toEqual(kept);
    const onto = [{ ...placeOf(3), unitId: experiment.units[2]!.id }];
    expect((await send(moved(onto))).body.code).toBe('place_taken');
    const all = (await teacher.get(path())).body as CareView[];
    expect(all.filter(({ kind }) => kind === 'moved').map(({ moves }) => moves)).toEqual([inOrder(swap)]);
    const undo = await teacher
      .put(path(`/${id}/undone`))
      .send({ isUndone: true })
      .expect(200);
    expect(undo.body).toMatchObject({ isUndone: true, moves: inOrder(swap) });
  });

  test('a move that is taken back may not land on a pot that was put there since', async () => {
    const [a, b, c] = [placeOf(2), placeOf(3), placeOf(4)];
    const first = uuid();
    await send(
      moved([
        { ...b, unitId: a.unitId },
        { ...a, unitId: b.unitId },
      ]),
      first,
    ).expect(200);
    await send(
      moved([
        { ...c, unitId: a.unitId },
        { ...b, unitId: c.unitId },
      ]),
    ).expect(200);
    const undone = await teacher.put(path(`/${first}/undone`)).send({ isUndone: true });
    expect([undone.status, undone.body.code]).toEqual([409, 'place_taken']);
    const all = (await teacher.get(path())).body as CareView[];
    expect(all.find(({ id }) => id === first)?.isUndone).toBe(false);
  });

  test('two moves at once to one place: one is kept', async () => {
    const [a, b, c] = [placeOf(5), placeOf(6), placeOf(7)];
    const swapWith = (first: typeof a, second: typeof b) =>
      moved([
        { ...second, unitId: first.unitId },
        { ...first, unitId: second.unitId },
      ]);
    const answers = await Promise.all([send(swapWith(a, b)), send(swapWith(b, c))]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  test.each([
    ['a place beyond the container', () => moved([{ ...placeOf(0), row: 99 }])],
    ['a container of nobody', () => moved([{ ...placeOf(0), containerId: uuid() }])],
    ['a pot twice', () => moved([placeOf(0), placeOf(0)])],
    ['places without their kind', () => ({ ...moved([placeOf(0)]), kind: 'turned' })],
    ['other pots than were moved', () => ({ ...moved([placeOf(0)]), unitIds: null })],
  ])('%s is refused', async (_, body) => {
    const answer = await send(body());
    expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'moves']);
  });
});

describe('why nothing came up', () => {
  test('is noted for pots, and told in Compare until it is taken back', async () => {
    const [pot] = experiment.units;
    const answer = {
      unitId: pot!.id,
      variableId: experiment.variables[0]!.id,
      observedOn: dayFromToday(-1),
      ...{ state: 'not_emerged', entered: '', unitOfMeasure: 'cm', precision: 0.5 },
    };
    await teacher.put(`/api/experiments/${experiment.id}/readings/${uuid()}`).send(answer).expect(200);
    const id = uuid();
    const cause = care({ kind: 'cause', amount: null, unitIds: [pot!.id], reason: 'mould' });
    expect(
      (
        await teacher
          .put(path(`/${id}`))
          .send(cause)
          .expect(200)
      ).body.reason,
    ).toBe('mould');
    const reasons = async () => {
      const query = { day: dayFromToday(-1) };
      const compared = await teacher
        .get(`/api/experiments/${experiment.id}/comparison`)
        .query(query)
        .expect(200);
      return compared.body.fates.groups.flatMap((group: { reasons: unknown[] }) => group.reasons);
    };
    expect(await reasons()).toEqual([{ reason: 'mould', numbers: [pot!.number] }]);
    await teacher
      .put(path(`/${id}/undone`))
      .send({ isUndone: true })
      .expect(200);
    expect(await reasons()).toEqual([]);
  });

  test.each([
    ['for no pot', { unitIds: null, reason: 'dry' }],
    ['without a reason', { unitIds: ['own'], reason: null }],
    ['of another kind', { kind: 'turned', unitIds: ['own'], reason: 'dry' }],
  ])('%s is refused', async (_, changes) => {
    const unitIds = changes.unitIds && [experiment.units[0]!.id];
    const body = care({ kind: 'cause', amount: null, ...changes, unitIds });
    const answer = await teacher.put(path(`/${uuid()}`)).send(body);
    expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'reason']);
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
