import type { ExperimentView } from '@bright-sprout/contract/plans';
import { INVESTIGATION_KINDS } from '@bright-sprout/core/design';
import { STARTING_TEMPLATES } from '@bright-sprout/core/templates';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CROP, dayFromToday, LOT, planOf, SIZE, startDraft } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
afterAll(() => server.close());

describe('crops of one’s own', () => {
  test('are kept, changed, planned with, and nobody else’s', async () => {
    const id = uuid();
    await teacher.put(`/api/crops/${id}`).send(CROP).expect(200);
    const changed = await teacher
      .put(`/api/crops/${id}`)
      .send({ ...CROP, germinationPercent: 75 })
      .expect(200);
    expect(changed.body).toEqual({
      ...CROP,
      germinationPercent: 75,
      id,
      isOwn: true,
      measuredSpread: null,
    });
    const started = await teacher
      .put(`/api/experiments/${uuid()}`)
      .send({ question: 'Why?', cropId: id })
      .expect(200);
    expect(started.body.crop.commonName).toBe('Moonflower');
    const stranger = await server.teacher();
    const crops = (await stranger.get('/api/crops')).body as { id: string }[];
    expect(crops.map((crop) => crop.id)).not.toContain(id);
    await stranger.put(`/api/experiments/${uuid()}`).send({ question: 'Why?', cropId: id }).expect(400);
  });

  test.each([
    ['days the wrong way round', { daysToEmergence: { min: 9, max: 5 } }, 'daysToEmergence'],
    ['temperatures out of order', { temperatureC: { min: 25, best: 22, max: 32 } }, 'temperatureC'],
    ['more than every seed', { germinationPercent: 101 }, 'germinationPercent'],
    ['no name', { commonName: ' ' }, 'commonName'],
  ])('are not kept with %s', async (_, changes, field) => {
    const answer = await teacher.put(`/api/crops/${uuid()}`).send({ ...CROP, ...changes });
    expect([answer.status, answer.body.fields[0]?.field]).toEqual([400, field]);
  });
});

describe('packets', () => {
  test('are kept with their tests, changed and taken out', async () => {
    const id = uuid();
    const tests = [{ on: '2026-05-04', sown: 20, up: 13 }];
    const kept = await teacher
      .put(`/api/seed-lots/${id}`)
      .send({ ...LOT, tests })
      .expect(200);
    expect(kept.body).toMatchObject({ id, cropName: 'Oat', tests, experimentTests: [] });
    await teacher
      .put(`/api/seed-lots/${id}`)
      .send({ ...LOT, name: 'Green packet' })
      .expect(200);
    expect((await teacher.get('/api/seed-lots')).body).toMatchObject([
      { id, name: 'Green packet', tests: [] },
    ]);
    await teacher.delete(`/api/seed-lots/${id}`).expect(204);
    expect((await teacher.get('/api/seed-lots')).body).toEqual([]);
  });

  test('cannot have more up than sown, or a crop that is not there', async () => {
    const tests = [{ on: '2026-05-04', sown: 20, up: 21 }];
    const answer = await teacher.put(`/api/seed-lots/${uuid()}`).send({ ...LOT, tests });
    expect(answer.body.fields[0].field).toBe('tests.0.up');
    await teacher
      .put(`/api/seed-lots/${uuid()}`)
      .send({ ...LOT, cropId: 'moon-cheese' })
      .expect(400);
  });

  test('learn from a finished packet test on the shelf, by each cell’s last count', async () => {
    const lotId = uuid();
    await teacher.put(`/api/seed-lots/${lotId}`).send(LOT).expect(200);
    const started = { question: 'Is it still good?', cropId: 'oat', kind: 'packet_test' };
    const draft = (await teacher.put(`/api/experiments/${uuid()}`).send(started).expect(200))
      .body as ExperimentView;
    const plan = planOf(draft, { lotId, replicates: 2, seedsPerUnit: 5 });
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(plan).expect(200);
    const sowing = { sownOn: dayFromToday(-10) };
    const sown = (await teacher.put(`/api/experiments/${draft.id}/sowing`).send(sowing).expect(200))
      .body as ExperimentView;
    expect(sown.variables).toMatchObject([{ name: 'seeds up', kind: 'count', unit: 'seeds', step: 1 }]);
    const count = (unit: number, day: number, value: number | null) =>
      teacher
        .put(`/api/experiments/${draft.id}/readings/${uuid()}`)
        .send({
          unitId: sown.units[unit]!.id,
          variableId: sown.variables[0]!.id,
          observedOn: dayFromToday(day),
          state: value === null ? 'not_emerged' : 'emerged',
          value,
          entered: String(value ?? ''),
          unitOfMeasure: 'seeds',
          precision: 1,
        })
        .expect(200);
    await count(0, -3, 2);
    await count(0, -1, 4);
    await count(1, -1, null);
    const experimentTests = async () => (await teacher.get('/api/seed-lots')).body[0].experimentTests;
    expect(await experimentTests()).toEqual([]);
    await teacher.put(`/api/experiments/${draft.id}/finish`).send({ finished: true }).expect(200);
    expect(await experimentTests()).toEqual([{ on: dayFromToday(-1), sown: 10, up: 4 }]);
    await teacher.delete(`/api/seed-lots/${lotId}`).expect(204);
  });
});

test('container sizes are kept, changed and taken away', async () => {
  const id = uuid();
  await teacher.put(`/api/container-sizes/${id}`).send(SIZE).expect(200);
  await teacher
    .put(`/api/container-sizes/${id}`)
    .send({ ...SIZE, rows: 3 })
    .expect(200);
  expect((await teacher.get('/api/container-sizes')).body).toEqual([{ ...SIZE, rows: 3, id }]);
  await teacher.delete(`/api/container-sizes/${id}`).expect(204);
  expect((await teacher.get('/api/container-sizes')).body).toEqual([]);
});

describe('starting', () => {
  test.each(INVESTIGATION_KINDS)('a plan of kind %s', async (kind) => {
    const body = { question: 'Why?', cropId: 'radish', kind };
    const answer = await teacher.put(`/api/experiments/${uuid()}`).send(body).expect(200);
    expect(answer.body.plan.kind).toBe(kind);
    const again = await teacher
      .put(`/api/experiments/${answer.body.id}/plan`)
      .send(planOf(answer.body))
      .expect(200);
    expect(again.body.units).toEqual(answer.body.units);
  });

  test.each(STARTING_TEMPLATES.map(({ id, cropId, question }) => [id, cropId, question]))(
    'from the template %s gives a plan that is saved as it is',
    async (templateId, cropId, question) => {
      const body = { question, cropId, templateId };
      const started = (await teacher.put(`/api/experiments/${uuid()}`).send(body).expect(200))
        .body as ExperimentView;
      const saved = await teacher
        .put(`/api/experiments/${started.id}/plan`)
        .send(planOf(started))
        .expect(200);
      expect(saved.body.plan).toEqual(started.plan);
    },
  );

  test('from a template of one’s own: the same design, dates to come, no data', async () => {
    const draft = await startDraft(teacher);
    const plan = planOf(draft, { constants: ['one thing'], replicates: 4 });
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(plan).expect(200);
    await teacher
      .put(`/api/experiments/${draft.id}/sowing`)
      .send({ sownOn: dayFromToday(-30) })
      .expect(200);
    const templateId = uuid();
    await teacher
      .put(`/api/experiments/${draft.id}/templates/${templateId}`)
      .send({ about: 'Good for March' })
      .expect(200);
    const [own] = (await teacher.get('/api/templates')).body;
    expect(own).toMatchObject({ id: templateId, about: 'Good for March', isOwn: true, cropName: 'Oat' });
    const body = { question: 'Again?', cropId: 'pea', templateId };
    const started = (await teacher.put(`/api/experiments/${uuid()}`).send(body).expect(200)).body;
    expect(started.plan).toMatchObject({
      question: 'Again?',
      cropId: 'pea',
      constants: ['one thing'],
      replicates: 4,
    });
    expect(started).toMatchObject({ status: 'draft' });
    expect(started.sowOn > dayFromToday(-1) && started.lessonOn > started.sowOn).toBe(true);
    await teacher.delete(`/api/templates/${templateId}`).expect(204);
    await teacher.put(`/api/experiments/${uuid()}`).send(body).expect(400);
  });

  test('as a copy leaves the first alone', async () => {
    const draft = await startDraft(teacher);
    const id = uuid();
    const copy = await teacher.put(`/api/experiments/${draft.id}/copies/${id}`).expect(200);
    expect(copy.body.plan.factors).toEqual(draft.plan!.factors);
    expect(copy.body.units.map((unit: { id: string }) => unit.id)).not.toContain(draft.units[0]!.id);
    expect((await teacher.get(`/api/experiments/${draft.id}`)).body).toEqual(draft);
    expect((await teacher.put(`/api/experiments/${draft.id}/copies/${id}`).expect(200)).body).toEqual(
      copy.body,
    );
  });

  test('with a lesson that is past is told', async () => {
    const body = { question: 'Why?', cropId: 'oat', lessonOn: '2020-01-01' };
    const answer = await teacher.put(`/api/experiments/${uuid()}`).send(body);
    expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'lessonOn']);
  });
});
