import type { ExperimentView } from '@bright-sprout/contract/plans';
import { PLAIN_LEVEL, usualContainer } from '@bright-sprout/core/design';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { CROP, dayFromToday, factorOf, LOT, planOf, startDraft } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

function twoControls() {
  const factor = factorOf('F', ['a', 'b']);
  return { ...factor, levels: factor.levels.map((level) => ({ ...level, isControl: true })) };
}

function backwards() {
  return {
    meetingDays: [1],
    holidays: [{ name: 'Trip', from: '2026-05-04', to: '2026-05-01' }],
    rhythm: 'class_days',
    waterEveryDays: 2,
    helper: '',
    potsOn: false,
    lastFrostOn: null,
    isHarvested: false,
  };
}

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

describe('ids within a plan', () => {
  test('of another teacher’s crop are refused field by field, of their packet are left out', async () => {
    const stranger = await server.teacher();
    const [cropId, lotId, ownLot] = [uuid(), uuid(), uuid()];
    await stranger.put(`/api/crops/${cropId}`).send(CROP).expect(200);
    await stranger.put(`/api/seed-lots/${lotId}`).send(LOT).expect(200);
    await teacher.put(`/api/seed-lots/${ownLot}`).send(LOT).expect(200);
    const factor = factorOf('Crop', ['a', 'b']);
    const levelsOf = (changes: object) =>
      factor.levels.map((level, at) => (at === 1 ? { ...level, ...changes } : level));
    const foreignCrop = { factors: [{ ...factor, levels: levelsOf({ cropId }) }] };
    expect((await save(foreignCrop, 400)).fields[0].field).toBe('factors.0.levels.1.cropId');
    expect((await save({ cropId }, 400)).fields[0].field).toBe('cropId');
    const kept = await save({ lotId, factors: [{ ...factor, levels: levelsOf({ lotId }) }] });
    expect([kept.plan.lotId, kept.plan.factors[0].levels[1].lotId]).toEqual([null, null]);
    draft = kept;
    const own = await save({ lotId: ownLot, factors: [{ ...factor, levels: levelsOf({ lotId: ownLot }) }] });
    expect([own.plan.lotId, own.plan.factors[0].levels[1].lotId]).toEqual([ownLot, ownLot]);
  });
});

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

  test('is headed by the crops that are grown, whatever the plan’s own crop is', async () => {
    const draft = await startDraft(teacher, 'Which is first?');
    const crops = (await teacher.get('/api/crops').expect(200)).body as { id: string; commonName: string }[];
    const [first, second] = ['pea', 'onion'].map((id) => crops.find((crop) => crop.id === id)!);
    const levels = [first!, second!].map(({ id, commonName }) => ({
      ...PLAIN_LEVEL,
      name: commonName,
      cropId: id,
    }));
    const plan = planOf(draft, { cropId: 'oat', factors: [{ name: 'Crop', aspect: 'crop', levels }] });
    const saved = await teacher.put(`/api/experiments/${draft.id}/plan`).send(plan).expect(200);
    const { cropName, crop } = saved.body as ExperimentView;
    expect([cropName, crop?.id]).toEqual([
      `${first!.commonName} and ${second!.commonName.toLowerCase()}`,
      'pea',
    ]);
    const foreign = { ...plan, version: (saved.body as ExperimentView).version, cropId: uuid() };
    await teacher.put(`/api/experiments/${draft.id}/plan`).send(foreign).expect(400);
  });

  test('gets new units when its design changes, and keeps them when only words change', async () => {
    const names = ['Dry', 'Damp', 'Wet', 'Flooded'];
    const design = {
      replicates: 3,
      containers: [usualContainer('cups')],
      factors: [factorOf('Water', names)],
    };
    const changed = await save(design);
    expect(changed.units).toHaveLength(12);
    expect(
      changed.treatments.map(({ code, isControl }: { code: string; isControl: boolean }) => [
        code,
        isControl,
      ]),
    ).toEqual([
      ['A', true],
      ['B', false],
      ['C', false],
      ['D', false],
    ]);
    expect(changed.containers).toMatchObject([{ kind: 'cups', rows: 3, columns: 5 }]);
    const factors = [
      factorOf(
        'Moisture',
        names.map((name) => `${name}!`),
      ),
    ];
    const renamed = await save({ ...design, factors, version: 1 });
    expect(renamed.units).toEqual(changed.units);
    expect(renamed.factors).toEqual([{ name: 'Moisture', levels: ['Dry!', 'Damp!', 'Wet!', 'Flooded!'] }]);
    expect(renamed.plan.factors).toEqual(factors);
  });

  test('of crossed factors has every combination, or those chosen', async () => {
    const factors = [factorOf('Water', ['Dry', 'Wet']), factorOf('Light', ['Sun', 'Shade'])];
    const all = await save({ factors, replicates: 2 });
    const name = ({ name }: { name: string }) => name;
    expect(all.treatments.map(name)).toEqual(['Dry · Sun', 'Dry · Shade', 'Wet · Sun', 'Wet · Shade']);
    expect([all.units.length, all.factors.length]).toEqual([8, 2]);
    const some = await save({ factors, replicates: 2, leftOut: ['1.1'], version: 1 });
    expect(some.treatments.map(name)).toEqual(['Dry · Sun', 'Dry · Shade', 'Wet · Sun']);
  });

  test('in complete blocks says so on every unit', async () => {
    const blocked = await save({ layoutMethod: 'blocks' });
    const blocks = blocked.units.map(({ block }: { block: string }) => block);
    expect(blocks).toEqual(['1', '1', '2', '2', '3', '3', '4', '4', '5', '5']);
  });

  test('of several containers fills one after the other, and remembers their names', async () => {
    const containers = [
      { ...usualContainer('pots'), name: 'Sill', rows: 1, columns: 4 },
      { ...usualContainer('pots'), name: 'Shelf', rows: 2, columns: 3, brightSide: 'left' },
    ];
    const changed = await save({ containers });
    expect(changed.containers).toMatchObject(
      containers.map(({ name, brightSide }) => ({ name, brightSide })),
    );
    const [layout] = changed.containers;
    const inLayout = changed.units.filter((unit: { containerId: string }) => unit.containerId === layout.id);
    expect(inLayout).toHaveLength(4);
  });

  test('of 200 pots is saved; of more than there may be it is not', async () => {
    const containers = [{ ...usualContainer('flat'), rows: 10, columns: 20 }];
    expect((await save({ containers, replicates: 100 })).units).toHaveLength(200);
    const many = Array.from({ length: 3 }, () => containers[0]);
    await save(
      { containers: many, replicates: 200, factors: [factorOf('F', ['a', 'b', 'c'])], version: 1 },
      400,
    );
  });

  test.each([
    ['more pots than places', { replicates: 6 }, 'replicates'],
    ['no pots', { replicates: 0 }, 'replicates'],
    ['half a pot', { replicates: 2.5 }, 'replicates'],
    ['one level', { factors: [factorOf('F', ['a'])] }, 'factors.0.levels'],
    ['nine levels', { factors: [factorOf('F', [...'abcdefghi'])] }, 'factors.0.levels'],
    ['the same level twice', { factors: [factorOf('F', ['Salt', 'salt'])] }, 'factors.0.levels.1.name'],
    ['two controls', { factors: [twoControls()] }, 'factors.0.levels'],
    ['no combination at all', { leftOut: ['0', '1'] }, 'leftOut'],
    [
      'more combinations than anybody can grow',
      { factors: ['x', 'y', 'z'].map((name) => factorOf(name, [...'abc'])), replicates: 1 },
      'factors',
    ],
    ['a holiday that ends before it begins', { calendar: backwards() }, 'calendar.holidays.0.to'],
    [
      'no meeting day',
      { calendar: { ...backwards(), meetingDays: [], holidays: [] } },
      'calendar.meetingDays',
    ],
    ['no container', { containers: [] }, 'containers'],
    ['a lesson before sowing', { lessonOn: '2020-01-01' }, 'lessonOn'],
    ['a lesson in the next century', { lessonOn: '2126-01-01' }, 'lessonOn'],
    ['31 February', { sowOn: '2026-02-31' }, 'sowOn'],
    [
      'an unknown container',
      { containers: [{ ...usualContainer('cups'), kind: 'bathtub' }] },
      'containers.0.kind',
    ],
    ['a ruler of its own', { measure: { variable: 'height', unit: 'ell', step: 1 } }, 'measure.unit'],
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
      .send({ sownOn: dayFromToday(-3) })
      .expect(200);
  });

  test('keeps its design, and says what no longer can change', async () => {
    const sown = (await teacher.get(`/api/experiments/${draft.id}`)).body;
    const answer = await teacher
      .put(`/api/experiments/${draft.id}/plan`)
      .send(planOf(sown, { replicates: 4, cropId: 'pea' }));
    expect([answer.status, answer.body.code]).toEqual([409, 'already_planted']);
    expect(answer.body.message).toContain('the crop, the number of pots');
    const assignments = draft.units.map(({ id, treatmentId }) => ({ unitId: id, treatmentId }));
    const arranged = await teacher
      .put(`/api/experiments/${draft.id}/layout`)
      .send({ version: 1, assignments });
    expect(arranged.body.code).toBe('already_planted');
  });

  test('may still change names, steps and the calendar', async () => {
    const sown = (await teacher.get(`/api/experiments/${draft.id}`)).body as ExperimentView;
    const [factor] = sown.plan!.factors;
    const levels = factor!.levels.map((level) => ({ ...level, name: `${level.name}, renamed` }));
    const calendar = { ...sown.plan!.calendar, helper: 'Caretaker' };
    const request = planOf(sown, { factors: [{ ...factor!, levels }], calendar, steps: [] });
    const saved = await teacher.put(`/api/experiments/${draft.id}/plan`).send(request).expect(200);
    expect(saved.body.treatments[0].name).toBe('As usual, renamed');
    expect(saved.body.plan).toMatchObject({ steps: [], calendar: { helper: 'Caretaker' } });
    expect(saved.body.units).toEqual(sown.units);
  });

  test('takes a pot more in a free place, once', async () => {
    const wider = await startDraft(teacher);
    const containers = [usualContainer('cups')];
    await teacher.put(`/api/experiments/${wider.id}/plan`).send(planOf(wider, { containers })).expect(200);
    const sowing = { sownOn: dayFromToday(-3) };
    const sown = (await teacher.put(`/api/experiments/${wider.id}/sowing`).send(sowing))
      .body as ExperimentView;
    const unit = {
      treatmentId: sown.treatments[0]!.id,
      containerId: sown.containers[0]!.id,
      row: 3,
      column: 5,
      sownOn: dayFromToday(-1),
    };
    const path = `/api/experiments/${wider.id}/units/${uuid()}`;
    const added = await teacher.put(path).send(unit).expect(200);
    expect(added.body.units.at(-1)).toMatchObject({ number: 11, replicate: 6, sownOn: unit.sownOn });
    expect((await teacher.put(path).send(unit).expect(200)).body.units).toHaveLength(11);
    for (const wrong of [{ ...unit }, { ...unit, row: 9 }, { ...unit, treatmentId: uuid(), row: 2 }]) {
      await teacher.put(`/api/experiments/${wider.id}/units/${uuid()}`).send(wrong).expect(400);
    }
  });

  test('may be sown in part: the rest waits for its day', async () => {
    const other = await startDraft(teacher);
    const unitIds = other.units.slice(0, 4).map(({ id }) => id);
    const path = `/api/experiments/${other.id}/sowing`;
    const first = await teacher
      .put(path)
      .send({ sownOn: dayFromToday(-6), unitIds })
      .expect(200);
    expect(first.body).toMatchObject({ status: 'planted', sowOn: dayFromToday(-6) });
    const sownOn = first.body.units.map((unit: { sownOn: string | null }) => unit.sownOn);
    expect(sownOn.filter((day: string | null) => day === null)).toHaveLength(6);
    const rest = other.units.slice(4).map(({ id }) => id);
    const second = await teacher
      .put(path)
      .send({ sownOn: dayFromToday(-1), unitIds: rest })
      .expect(200);
    expect(second.body.sowOn).toBe(dayFromToday(-6));
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
  const ofExperiments = async (): Promise<string[]> =>
    (await teacher.get('/api/experiments')).body.map(({ id }: { id: string }) => id);
  await teacher.delete(`/api/experiments/${draft.id}`).expect(204);
  expect(await ofExperiments()).not.toContain(draft.id);
  await teacher.post(`/api/experiments/${draft.id}/return`).expect(204);
  expect(await ofExperiments()).toContain(draft.id);
});
