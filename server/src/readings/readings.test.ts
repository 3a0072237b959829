import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import {
  dayFromToday,
  factorOf,
  planOf,
  readingOf,
  startDraft,
  startSown,
} from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let experiment: ExperimentView;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher('Mr Reed');
});
beforeEach(async () => {
  experiment = await startSown(teacher);
});
afterAll(() => server.close());

const keep = (id: string, body: object) =>
  teacher.put(`/api/experiments/${experiment.id}/readings/${id}`).send(body);
const all = async () => (await teacher.get(`/api/experiments/${experiment.id}/readings`).expect(200)).body;

describe('a reading', () => {
  test('is kept with its text, unit, precision and observer', async () => {
    const id = uuid();
    const kept = (await keep(id, readingOf(experiment, 0)).expect(200)).body;
    expect(kept).toMatchObject({
      id,
      value: 42.5,
      entered: '4.25',
      unitOfMeasure: 'cm',
      precision: 0.5,
      observer: 'Mr Reed',
      isReread: false,
      counts: true,
    });
    expect(await all()).toEqual([kept]);
  });

  test('sent twice is stored once; another one under its id is refused', async () => {
    const id = uuid();
    const body = readingOf(experiment, 0);
    const answers = await Promise.all([keep(id, body), keep(id, body), keep(id, body)]);
    expect(answers.map((answer) => answer.status)).toEqual([200, 200, 200]);
    expect(await all()).toHaveLength(1);
    const other = await keep(id, { ...body, value: 50 });
    expect([other.status, other.body.code]).toEqual([409, 'id_in_use']);
    expect((await all())[0].value).toBe(42.5);
  });

  test('under the id of another is refused whatever differs, and changes nothing', async () => {
    const [first, ofOther] = [uuid(), uuid()];
    const body = readingOf(experiment, 0);
    await keep(first, body).expect(200);
    await keep(ofOther, readingOf(experiment, 1)).expect(200);
    const before = await all();
    for (const changes of [
      { unitId: experiment.units[1]!.id },
      { observedOn: dayFromToday(-2) },
      { state: 'dead', value: null },
      { value: 43 },
      { supersedesId: ofOther },
    ]) {
      const answer = await keep(first, { ...body, ...changes });
      expect([changes, answer.status >= 400]).toEqual([changes, true]);
    }
    expect(await all()).toEqual(before);
  });

  test('under the id of another is refused where only its state or what was read differs', async () => {
    const plan = planOf(experiment, { alsoRead: ['leaves', 'stage'] });
    const changed = (await teacher.put(`/api/experiments/${experiment.id}/plan`).send(plan).expect(200))
      .body as ExperimentView;
    const variable = (name: string) => changed.variables.find((one) => one.name === name)!.id;
    const [state, read] = [uuid(), uuid()];
    const dead = readingOf(experiment, 0, { state: 'dead', value: null });
    await keep(state, dead).expect(200);
    const leaves = {
      variableId: variable('leaves'),
      value: 3,
      entered: '3',
      unitOfMeasure: 'leaves',
      precision: 1,
    };
    await keep(read, readingOf(experiment, 1, leaves)).expect(200);
    const before = await all();
    const answers = await Promise.all([
      keep(state, { ...dead, state: 'removed' }),
      keep(read, readingOf(experiment, 1, { ...leaves, variableId: variable('stage') })),
    ]);
    for (const { status } of answers) expect(status).toBeGreaterThanOrEqual(400);
    expect(answers[0].body.code).toBe('id_in_use');
    expect(await all()).toEqual(before);
  });

  test('of a stage does not make the experiment grow', async () => {
    const plan = planOf(experiment, { alsoRead: ['stage'] });
    const changed = (await teacher.put(`/api/experiments/${experiment.id}/plan`).send(plan).expect(200))
      .body as ExperimentView;
    const stage = changed.variables.find(({ name }) => name === 'stage')!;
    const status = async () => (await teacher.get(`/api/experiments/${experiment.id}`)).body.status;
    const scored = { variableId: stage.id, value: 1, entered: '1', unitOfMeasure: stage.unit, precision: 1 };
    await keep(uuid(), readingOf(experiment, 0, scored)).expect(200);
    expect(await status()).toBe('planted');
  });

  test('of the same pot on the same day is a second reading, and both count', async () => {
    await keep(uuid(), readingOf(experiment, 0)).expect(200);
    await keep(uuid(), readingOf(experiment, 0, { value: 44 })).expect(200);
    expect((await all()).map((reading: { counts: boolean }) => reading.counts)).toEqual([true, true]);
    const compared = (await teacher.get(`/api/experiments/${experiment.id}/comparison`)).body;
    expect(
      compared.groups.flatMap((group: { points: { value: number }[] }) =>
        group.points.map(({ value }) => value),
      ),
    ).toEqual([43.25]);
  });

  test('is corrected by a newer one, and the older stays', async () => {
    const [first, second] = [uuid(), uuid()];
    await keep(first, readingOf(experiment, 0)).expect(200);
    await keep(second, readingOf(experiment, 0, { value: 24.5, supersedesId: first })).expect(200);
    expect(
      (await all()).map(({ id, counts, value }: { id: string; counts: boolean; value: number }) => [
        id,
        counts,
        value,
      ]),
    ).toEqual([
      [first, false, 42.5],
      [second, true, 24.5],
    ]);
    const again = await keep(first, readingOf(experiment, 0)).expect(200);
    expect(again.body.counts).toBe(false);
  });

  test('is put right once: of two corrections at once one wins, the other is told, and either may be repeated', async () => {
    const first = uuid();
    await keep(first, readingOf(experiment, 0)).expect(200);
    const made = [20, 21, 22, 23].map((value) => ({
      id: uuid(),
      body: readingOf(experiment, 0, { value, supersedesId: first }),
    }));
    const answers = await Promise.all(made.map(({ id, body }) => keep(id, body)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    expect(answers.flatMap(({ status, body }) => (status === 409 ? [body.code] : []))).toEqual(
      Array(3).fill('already_corrected'),
    );
    const won = answers.findIndex(({ status }) => status === 200);
    await keep(made[won]!.id, made[won]!.body).expect(200);
    const counting = (await all()).filter(({ counts }: { counts: boolean }) => counts);
    expect(counting.map(({ id }: { id: string }) => id)).toEqual([made[won]!.id]);
  });

  test('above what the crop of its own pot ever reaches is refused, and says so', async () => {
    const draft = await startDraft(teacher, 'Barley beside a tree');
    const levels = [
      { ...factorOf('Crop', ['Low', 'Tall']).levels[0]!, cropId: 'cress' },
      { ...factorOf('Crop', ['Low', 'Tall']).levels[1]!, cropId: 'sunflower' },
    ];
    const plan = planOf(draft, { factors: [{ name: 'Crop', aspect: 'crop', levels }], replicates: 2 });
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(plan).expect(200);
    experiment = (
      await teacher
        .put(`/api/experiments/${draft.id}/sowing`)
        .send({ sownOn: dayFromToday(-10) })
        .expect(200)
    ).body as ExperimentView;
    const potOf = (name: string) =>
      experiment.units.findIndex(
        ({ treatmentId }) => experiment.treatments.find(({ id }) => id === treatmentId)?.name === name,
      );
    const answers = async (name: string, value: number) =>
      (await keep(uuid(), readingOf(experiment, potOf(name), { value }))).status;
    expect(await answers('Low', 600)).toBe(200);
    expect(await answers('Low', 5000)).toBe(400);
    expect(await answers('Tall', 5000)).toBe(200);
    const refused = await keep(uuid(), readingOf(experiment, potOf('Low'), { value: 5000 }));
    expect(refused.body.fields[0]).toMatchObject({ field: 'value' });
    expect(refused.body.fields[0].message).toMatch(/taller than \d+ cm/);
  });

  test('cannot correct a reading of another pot or day', async () => {
    const first = uuid();
    await keep(first, readingOf(experiment, 0)).expect(200);
    for (const [unit, changes] of [
      [1, {}],
      [0, { observedOn: dayFromToday(-2) }],
    ] as const) {
      const answer = await keep(uuid(), readingOf(experiment, unit, { supersedesId: first, ...changes }));
      expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'supersedesId']);
    }
  });

  test.each([
    ['before the sowing', { observedOn: dayFromToday(-11) }, 'observedOn'],
    ['in the future', { observedOn: dayFromToday(2) }, 'observedOn'],
    ['on 31 February', { observedOn: '2026-02-31' }, 'observedOn'],
    ['with a value beside a state', { state: 'dead' }, 'value'],
    ['below the soil', { value: -5 }, 'value'],
    ['taller than 30 m', { value: 30_001 }, 'value'],
    ['with a word for a value', { value: 'tall' }, 'value'],
    ['with an unknown state', { state: 'sleepy', value: null }, 'state'],
    ['with 10 000 characters', { entered: 'x'.repeat(10_000) }, 'entered'],
    ['of no precision', { precision: 0 }, 'precision'],
  ])('%s is refused in words', async (_, changes, field) => {
    const answer = await keep(uuid(), readingOf(experiment, 0, changes));
    expect([answer.status, answer.body.fields[0].field]).toEqual([400, field]);
    expect(answer.body.fields[0].message.length).toBeGreaterThan(10);
    expect(await all()).toEqual([]);
  });

  test('of a pot or of something that is read in another experiment is not taken', async () => {
    const other = await startSown(teacher);
    const body = readingOf(experiment, 0);
    const of = readingOf(other, 0);
    await keep(uuid(), { ...body, unitId: of.unitId }).expect(404);
    await keep(uuid(), { ...body, variableId: of.variableId }).expect(404);
    expect(await all()).toEqual([]);
  });

  test('needs a pot that is sown, and an experiment that is open', async () => {
    const draft = await startDraft(teacher);
    const unsown = await teacher
      .put(`/api/experiments/${draft.id}/readings/${uuid()}`)
      .send(readingOf(draft, 0));
    expect([unsown.status, unsown.body.code]).toEqual([409, 'not_planted']);
    await teacher.put(`/api/experiments/${experiment.id}/finish`).send({ finished: true }).expect(200);
    const late = await keep(uuid(), readingOf(experiment, 0));
    expect([late.status, late.body.code]).toEqual([409, 'experiment_finished']);
  });

  test('the first one that is up makes the experiment grow', async () => {
    const status = async () => (await teacher.get(`/api/experiments/${experiment.id}`)).body.status;
    await keep(uuid(), readingOf(experiment, 0, { state: 'not_emerged', value: null })).expect(200);
    expect(await status()).toBe('planted');
    await keep(uuid(), readingOf(experiment, 1)).expect(200);
    expect(await status()).toBe('growing');
  });

  test('many at once: none lost, none double', async () => {
    const ids = Array.from({ length: 60 }, () => uuid());
    const sent = [...ids, ...ids.slice(0, 20)];
    const answers = await Promise.all(
      sent.map((id, index) => keep(id, readingOf(experiment, index % 10 === 0 ? 0 : ids.indexOf(id) % 10))),
    );
    expect(answers.filter((answer) => answer.status !== 200 && answer.body.code !== 'id_in_use')).toEqual([]);
    const stored = (await all()).map(({ id }: { id: string }) => id);
    expect(stored.sort()).toEqual([...ids].sort());
  });
});

describe('the database itself', () => {
  test.each([
    ['a value beside a state', "UPDATE reading SET state = 'dead'"],
    ['an unknown state', "UPDATE reading SET state = 'sleepy', value = NULL"],
    ['a precision of 0', 'UPDATE reading SET `precision` = 0'],
    ['a unit that is not there', `UPDATE reading SET unit_id = '${uuid()}'`],
  ])('refuses %s', async (_, sql) => {
    await keep(uuid(), readingOf(experiment, 0)).expect(200);
    await expect(server.query(sql)).rejects.toThrow(/CONSTRAINT|constraint/);
  });
});

describe('sowing', () => {
  const sow = (sownOn: string) => teacher.put(`/api/experiments/${experiment.id}/sowing`).send({ sownOn });

  test('dates every unit, and can be put right until a reading stands against it', async () => {
    const moved = (await sow(dayFromToday(-8)).expect(200)).body;
    expect(new Set(moved.units.map(({ sownOn }: { sownOn: string }) => sownOn))).toEqual(
      new Set([dayFromToday(-8)]),
    );
    await keep(uuid(), readingOf(moved, 0, { observedOn: dayFromToday(-5) })).expect(200);
    const late = await sow(dayFromToday(-4));
    expect([late.status, late.body.code]).toEqual([409, 'readings_exist']);
    await sow(dayFromToday(-9)).expect(200);
  });

  test.each([
    ['the day after tomorrow', dayFromToday(2), /has not come yet/],
    ['a slip of the year', dayFromToday(-400), /more than a year ago/],
    ['no day of the calendar', '2026-02-31', /./],
  ])('is not %s', async (_, day, words) => {
    expect((await sow(day).expect(400)).body.fields).toEqual([
      { field: 'sownOn', message: expect.stringMatching(words) },
    ]);
  });
});
