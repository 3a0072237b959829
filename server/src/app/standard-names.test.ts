import { getDataSourceToken } from '@nestjs/typeorm';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { StandardNames1700000000007 } from '../../migrations/1700000000007-standard-names.ts';
import { CareUnits1700000000008 } from '../../migrations/1700000000008-care-units.ts';
import { Emerged1700000000009 } from '../../migrations/1700000000009-emerged.ts';
import { WhoAndWhen1700000000010 } from '../../migrations/1700000000010-who-and-when.ts';
import { CLASS, dayFromToday, readingOf, startSown } from './testing/experiments.ts';
import { startTestServer, type TestServer } from './testing/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('columns with older names and what is in them are carried over, also when it is tried again', async () => {
  const teacher = await server.teacher();
  const experiment = await startSown(teacher);
  const { id, units } = experiment;
  const [classId, studentId] = [uuid(), uuid()];
  await teacher.put(`/api/classes/${classId}`).send(CLASS).expect(200);
  const students = [{ id: studentId, displayName: 'Ada', avatar: 'snail', teamId: null }];
  await teacher.put(`/api/classes/${classId}/roster`).send({ teams: [], students }).expect(200);
  const care = { kind: 'watered', happenedOn: dayFromToday(-1), unitIds: null, amount: 10, note: 'By can' };
  await teacher.put(`/api/experiments/${id}/care/${uuid()}`).send(care).expect(200);
  const entry = { unitId: null, happenedOn: dayFromToday(-1), kind: 'note', note: 'Hooks', picture: null };
  await teacher.put(`/api/experiments/${id}/journal/${uuid()}`).send(entry).expect(200);
  const [first, second] = units;
  const ofTwo = {
    kind: 'turned',
    happenedOn: dayFromToday(-1),
    unitIds: [second!.id, first!.id],
    amount: null,
    note: '',
  };
  await teacher.put(`/api/experiments/${id}/care/${uuid()}`).send(ofTwo).expect(200);
  for (const changes of [{ state: 'not_emerged', value: null, entered: '' }, {}]) {
    const body = readingOf(experiment, 0, changes);
    await teacher.put(`/api/experiments/${id}/readings/${uuid()}`).send(body).expect(200);
  }
  const before = await answers();

  const runner = server.app.get<DataSource>(getDataSourceToken()).createQueryRunner();
  const migrations = [
    new StandardNames1700000000007(),
    new CareUnits1700000000008(),
    new Emerged1700000000009(),
    new WhoAndWhen1700000000010(),
  ];
  for (const migration of migrations.toReversed()) await migration.down(runner);
  const [older] = await server.query<{ sowed: string; tile: string; words: string; unitIds: string }>(
    `SELECT (SELECT sowed_on FROM unit LIMIT 1) AS sowed, (SELECT tile FROM student) AS tile,
            (SELECT words FROM care_event WHERE unit_ids IS NULL) AS words,
            (SELECT unit_ids FROM care_event WHERE unit_ids IS NOT NULL) AS unitIds, (SELECT kind FROM journal_entry) AS kind,
            (SELECT GROUP_CONCAT(state ORDER BY state) FROM reading) AS states`,
  );
  expect(older).toMatchObject({ tile: 'snail', words: 'By can', kind: 'words', states: 'not_up,up' });
  expect(JSON.parse(older!.unitIds)).toHaveLength(2);
  for (const migration of [...migrations, ...migrations]) await migration.up(runner);
  await runner.release();
  expect(await answers()).toEqual(before);

  async function answers(): Promise<unknown[]> {
    const paths = [
      `/experiments/${id}`,
      `/experiments/${id}/readings`,
      `/experiments/${id}/care`,
      `/experiments/${id}/journal`,
      '/classes',
    ];
    return Promise.all(paths.map(async (path) => (await teacher.get(`/api${path}`).expect(200)).body));
  }
});
