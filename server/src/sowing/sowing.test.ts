import type { ExperimentView } from '@bright-sprout/contract/plans';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { dayFromToday, readingOf, startDraft, startSown } from '../app/testing/experiments.ts';
import { type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let teacher: Client;

beforeAll(async () => {
  server = await startTestServer();
  teacher = await server.teacher();
});
afterAll(() => server.close());

const takeBack = (of: ExperimentView, unitIds?: string[], client = teacher) =>
  client.put(`/api/experiments/${of.id}/sowing/taken-back`).send(unitIds ? { unitIds } : {});

describe('a sowing that was marked by mistake', () => {
  test('is taken back whole, and the plan is a draft again that can be changed', async () => {
    const sown = await startSown(teacher);
    expect(sown.status).toBe('planted');
    const back = (await takeBack(sown).expect(200)).body as ExperimentView;
    expect(back.status).toBe('draft');
    expect(back.version).toBe(sown.version + 1);
    expect(back.units.every(({ sownOn }) => sownOn === null)).toBe(true);
    const changed = { ...back.plan!, version: back.version, replicates: 4 };
    await teacher.put(`/api/experiments/${sown.id}/plan`).send(changed).expect(200);
  });

  test('of one pot leaves the others sown, and the day is that of the first left', async () => {
    const draft = await startDraft(teacher);
    const [first, second] = draft.units;
    const sow = (unit: { id: string }, sownOn: string) =>
      teacher
        .put(`/api/experiments/${draft.id}/sowing`)
        .send({ sownOn, unitIds: [unit.id] })
        .expect(200);
    await sow(first!, dayFromToday(-6));
    await sow(second!, dayFromToday(-4));
    const back = (await takeBack(draft, [first!.id]).expect(200)).body as ExperimentView;
    expect(back).toMatchObject({ status: 'planted', sowOn: dayFromToday(-4) });
    expect(back.plan!.sowOn).toBe(dayFromToday(-4));
    expect(back.units.filter(({ sownOn }) => sownOn !== null).map(({ id }) => id)).toEqual([second!.id]);
  });

  test('stays once something was read, for those pots alone, and says of which', async () => {
    const sown = await startSown(teacher);
    await teacher.put(`/api/experiments/${sown.id}/readings/${uuid()}`).send(readingOf(sown, 2)).expect(200);
    const refused = await takeBack(sown);
    expect([refused.status, refused.body.code]).toEqual([409, 'readings_exist']);
    expect(refused.body.message).toMatch(/pot 3\b/);
    await takeBack(sown, [sown.units[0]!.id]).expect(200);
  });

  test('is nobody else’s to take back, nor that of a finished experiment', async () => {
    const sown = await startSown(teacher);
    await takeBack(sown, undefined, await server.teacher()).expect(404);
    await teacher.put(`/api/experiments/${sown.id}/finish`).send({ finished: true });
    const finished = await takeBack(sown);
    expect([finished.status, finished.body.code]).toEqual([409, 'experiment_finished']);
  });
});
