import { getDataSourceToken } from '@nestjs/typeorm';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { OneCorrection1700000000006 } from '../../migrations/1700000000006-one-correction.ts';
import { WhoAndWhen1700000000010 } from '../../migrations/1700000000010-who-and-when.ts';
import { readingOf, startSown } from './testing/experiments.ts';
import { startTestServer, type TestServer } from './testing/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('what was put right or set aside twice in older data is put in a row, and nothing is lost', async () => {
  const teacher = await server.teacher();
  const experiment = await startSown(teacher);
  const runner = server.app.get<DataSource>(getDataSourceToken()).createQueryRunner();
  const migration = new OneCorrection1700000000006();
  const later = new WhoAndWhen1700000000010();
  await later.down(runner);
  await migration.down(runner);
  const ids = Array.from({ length: 5 }, () => uuid());
  const links = [null, 0, 1, 0, 0];
  for (const [at, id] of ids.entries()) {
    await teacher
      .put(`/api/experiments/${experiment.id}/readings/${id}`)
      .send(readingOf(experiment, 0, { value: 10 + at }))
      .expect(200);
    const from = links[at];
    await server.query('UPDATE reading SET supersedes_id = ?, recorded_at = ? WHERE id = ?', [
      from === null ? null : ids[from!],
      new Date(Date.UTC(2026, 4, 4, 9, at)),
      id,
    ]);
  }
  const aside = 'INSERT INTO set_aside (id, reading_id, reason, by_name, set_at) VALUES (?, ?, ?, ?, ?)';
  for (const [at, reason] of ['first', 'second'].entries()) {
    await server.query(aside, [uuid(), ids[4], reason, 'Ms Dill', new Date(Date.UTC(2026, 4, 5, 9, at))]);
  }
  await migration.up(runner);
  await migration.up(runner);
  await later.up(runner);
  await runner.release();
  const rows = await server.query<{ id: string; link: string | null }>(
    'SELECT id, supersedes_id AS link FROM reading ORDER BY recorded_at',
  );
  expect(rows.map(({ link }) => (link === null ? null : ids.indexOf(link)))).toEqual([null, 0, 1, 2, 3]);
  const active = await server.query<{ reason: string }>(
    'SELECT reason FROM set_aside WHERE lifted_at IS NULL',
  );
  expect(active.map(({ reason }) => reason)).toEqual(['first']);
});
