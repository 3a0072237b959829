import type { ExperimentView } from '@bright-sprout/contract/plan';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { dayFromToday, planOf, startDraft } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;
let draft: ExperimentView;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
beforeEach(async () => {
  draft = await startDraft(teacher);
});
afterAll(() => server.close());

async function save(changes: object, expected = 200) {
  const answer = await teacher
    .put(`/api/experiments/${draft.id}/plan`)
    .send({ ...planOf(draft), ...changes });
  expect([answer.status, answer.body.fields ?? []]).toEqual([
    expected,
    expected === 200 ? [] : expect.anything(),
  ]);
  return answer.body;
}

describe('a draft', () => {
  test('starts as a valid plan, and starting it again changes nothing', async () => {
    expect(draft).toMatchObject({ status: 'draft', version: 0, crop: { id: 'oat' } });
    expect(draft.units).toHaveLength(10);
    const again = await teacher
      .put(`/api/experiments/${draft.id}`)
      .send({ question: 'Other?', cropId: 'pea' })
      .expect(200);
    expect(again.body).toEqual(draft);
  });

  test.each([
    [{ question: '  ' }, 'question'],
    [{ question: 'x'.repeat(301) }, 'question'],
    [{ cropId: 'moon-cheese' }, 'cropId'],
  ])('is not started with %p', async (changes, field) => {
    const body = { question: 'Why?', cropId: 'oat', ...changes };
    const answer = await teacher.put(`/api/experiments/${uuid()}`).send(body);
    expect([answer.status, answer.body.fields[0]?.field]).toEqual([400, field]);
  });

  test('is laid out by its seed: the same seed the same layout, also after another', async () => {
    const layout = (experiment: ExperimentView): string =>
      experiment.units.map(({ treatmentId }) => treatmentId).join();
    const first = await save({ layoutSeed: 77 });
    const second = await save({ layoutSeed: 78, version: 1 });
    const third = await save({ layoutSeed: 77, version: 2 });
    expect(layout(second)).not.toBe(layout(first));
    expect(layout(third)).toBe(layout(first));
    expect(third.units.map(({ id }: { id: string }) => id)).toEqual(draft.units.map(({ id }) => id));
  });

  test('gets new units when its design changes, and keeps them when only words change', async () => {
    const levels = ['Dry', 'Damp', 'Wet', 'Flooded'].map((name, index) => ({ name, isControl: index === 1 }));
    const changed = await save({ levels, replicates: 3, containerKind: 'cups' });
    expect(changed.units).toHaveLength(12);
    expect(
      changed.treatments.map(({ code, isControl }: { code: string; isControl: boolean }) => [
        code,
        isControl,
      ]),
    ).toEqual([
      ['A', false],
      ['B', true],
      ['C', false],
      ['D', false],
    ]);
    expect(changed.containers).toMatchObject([{ kind: 'cups', rows: 3, columns: 5 }]);
    const renamed = await save({
      levels: levels.map((level) => ({ ...level, name: `${level.name}!` })),
      replicates: 3,
      containerKind: 'cups',
      version: 1,
    });
    expect(renamed.units).toEqual(changed.units);
    expect(renamed.factors[0].levels).toEqual(['Dry!', 'Damp!', 'Wet!', 'Flooded!']);
  });

  test.each([
    ['more pots than places', { replicates: 6 }, 'replicates'],
    ['no pots', { replicates: 0 }, 'replicates'],
    ['half a pot', { replicates: 2.5 }, 'replicates'],
    ['one level', { levels: [{ name: 'a', isControl: false }] }, 'levels'],
    ['five levels', { levels: [...'abcde'].map((name) => ({ name, isControl: false })) }, 'levels'],
    [
      'the same level twice',
      {
        levels: [
          { name: 'Salt', isControl: false },
          { name: 'salt', isControl: false },
        ],
      },
      'levels.1.name',
    ],
    ['two controls', { levels: [...'ab'].map((name) => ({ name, isControl: true })) }, 'levels'],
    ['a lesson before sowing', { lessonOn: '2020-01-01' }, 'lessonOn'],
    ['a lesson in the next century', { lessonOn: '2126-01-01' }, 'lessonOn'],
    ['31 February', { sowOn: '2026-02-31' }, 'sowOn'],
    ['an unknown container', { containerKind: 'bathtub' }, 'containerKind'],
    ['a ruler of its own', { measure: { unit: 'ell', step: 1 } }, 'measure.unit'],
    ['something unknown', { colour: 'red' }, 'colour'],
  ])('is not saved with %s', async (_, changes, field) => {
    const body = await save(changes, 400);
    expect(body.fields.map((problem: { field: string }) => problem.field)).toContain(field);
    expect((await teacher.get(`/api/experiments/${draft.id}`)).body).toEqual(draft);
  });

  test('changed in two windows at once: the second is told, nothing is lost', async () => {
    const both = await Promise.all(
      ['one', 'two'].map((question) =>
        teacher.put(`/api/experiments/${draft.id}/plan`).send(planOf(draft, { question })),
      ),
    );
    expect(both.map((answer) => answer.status).sort()).toEqual([200, 409]);
    expect(both.find((answer) => answer.status === 409)?.body.code).toBe('changed_elsewhere');
  });
});

describe('a layout by hand', () => {
  const swapped = (experiment: ExperimentView) => {
    const [first] = experiment.units;
    const other = experiment.units.find((unit) => unit.treatmentId !== first!.treatmentId)!;
    const wanted = new Map(experiment.units.map((unit) => [unit.id, unit.treatmentId]));
    wanted.set(first!.id, other.treatmentId).set(other.id, first!.treatmentId);
    return [...wanted].map(([unitId, treatmentId]) => ({ unitId, treatmentId }));
  };

  test('swaps two pots and numbers the replicates anew', async () => {
    const assignments = swapped(draft);
    const answer = await teacher
      .put(`/api/experiments/${draft.id}/layout`)
      .send({ version: 0, assignments })
      .expect(200);
    expect(answer.body.units.map(({ treatmentId }: { treatmentId: string }) => treatmentId)).toEqual(
      assignments.map(({ treatmentId }) => treatmentId),
    );
    for (const treatment of draft.treatments) {
      const own = answer.body.units.filter(
        (unit: { treatmentId: string }) => unit.treatmentId === treatment.id,
      );
      expect(own.map((unit: { replicate: number }) => unit.replicate)).toEqual([1, 2, 3, 4, 5]);
    }
  });

  test('cannot give one treatment more pots, or name a pot twice or not at all', async () => {
    const all = swapped(draft);
    const [first, second, ...rest] = all;
    for (const assignments of [
      all.map(({ unitId }) => ({ unitId, treatmentId: first!.treatmentId })),
      [first, first, ...rest],
      [second, ...rest],
      all.map((one, index) => (index === 0 ? { ...one, treatmentId: uuid() } : one)),
    ]) {
      const answer = await teacher
        .put(`/api/experiments/${draft.id}/layout`)
        .send({ version: 0, assignments });
      expect(answer.status).toBe(400);
    }
  });
});

describe('a planted experiment', () => {
  beforeEach(async () => {
    await teacher
      .put(`/api/experiments/${draft.id}/sowing`)
      .send({ sowedOn: dayFromToday(-3) })
      .expect(200);
  });

  test('keeps its design', async () => {
    const answer = await teacher.put(`/api/experiments/${draft.id}/plan`).send(planOf(draft, { version: 1 }));
    expect([answer.status, answer.body.code]).toEqual([409, 'already_planted']);
    const assignments = draft.units.map(({ id, treatmentId }) => ({ unitId: id, treatmentId }));
    const arranged = await teacher
      .put(`/api/experiments/${draft.id}/layout`)
      .send({ version: 1, assignments });
    expect(arranged.body.code).toBe('already_planted');
  });

  test('may change its words and its lesson, but not before the sowing', async () => {
    const path = `/api/experiments/${draft.id}/description`;
    const body = {
      version: 1,
      question: 'Better words?',
      hypothesis: 'Because.',
      lessonOn: dayFromToday(20),
    };
    expect((await teacher.put(path).send(body).expect(200)).body).toMatchObject({
      question: 'Better words?',
      version: 2,
    });
    const early = await teacher.put(path).send({ ...body, version: 2, lessonOn: dayFromToday(-5) });
    expect(early.body.fields[0].field).toBe('lessonOn');
  });

  test('is finished and opened again', async () => {
    const path = `/api/experiments/${draft.id}/finish`;
    expect((await teacher.put(path).send({ finished: true })).body.status).toBe('finished');
    expect((await teacher.put(path).send({ finished: true })).body.status).toBe('finished');
    expect((await teacher.put(path).send({ finished: false })).body.status).toBe('growing');
  });
});

test('an experiment taken off the shelf can be put back', async () => {
  const onShelf = async (): Promise<string[]> =>
    (await teacher.get('/api/experiments')).body.map(({ id }: { id: string }) => id);
  await teacher.delete(`/api/experiments/${draft.id}`).expect(204);
  expect(await onShelf()).not.toContain(draft.id);
  await teacher.post(`/api/experiments/${draft.id}/return`).expect(204);
  expect(await onShelf()).toContain(draft.id);
});
