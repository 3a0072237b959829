import type { ClassView, SavedClass } from '@bright-sprout/contract/classes';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { demoTeacher } from '../app/testing/demo-teacher.ts';
import { bytesOf, type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let demo: Client;
beforeAll(async () => {
  server = await startTestServer();
  demo = await demoTeacher(server);
});
afterAll(() => server.close());

interface Kept {
  class: ClassView;
  made: Record<string, Record<string, { id?: string; picture?: string }[]>>;
}

async function keptOf(id: string): Promise<Kept> {
  return JSON.parse((await bytesOf(demo, `/api/classes/${id}/kept.json`)).toString()) as Kept;
}

test('what is kept of a class has each row of each table that names a student, and drawings to the byte', async () => {
  const classes = (await demo.get('/api/classes').expect(200)).body as ClassView[];
  const { id, students } = classes.toSorted((one, other) => other.students.length - one.students.length)[0]!;
  const { id: experimentId } = (await demo.get('/api/experiments').expect(200)).body[0];
  const entry = { kind: 'note', happenedOn: '2026-01-05', unitId: null, note: 'It leans to the light' };
  const entryId = uuid();
  await demo.put(`/api/experiments/${experimentId}/journal/${entryId}`).send(entry).expect(200);
  const picture = Buffer.from([137, 80, 78, 71, 0, 255, 1, 2]);
  await server.query('UPDATE journal_entry SET picture = ?, student_id = ? WHERE id = ?', [
    picture,
    students[0]!.id,
    entryId,
  ]);
  await server.query('UPDATE reading SET student_id = ? ORDER BY id LIMIT 150', [students[0]!.id]);
  await server.query('UPDATE prediction SET student_id = ? LIMIT 1', [students[1]!.id]);
  const kept = await keptOf(id);
  expect(kept.class).toEqual(classes.find((one) => one.id === id));

  const tables = await server.query<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.columns
     WHERE table_schema = DATABASE() AND column_name = 'student_id' AND table_name <> 'student_device'`,
  );
  expect(tables.length).toBeGreaterThan(7);
  const counts = new Map<string, number>();
  for (const { name } of tables) {
    const rows = await server.query<{ student: string; n: string }>(
      `SELECT t.student_id AS student, COUNT(*) AS n FROM ${name} t JOIN student s ON s.id = t.student_id
       WHERE s.class_id = ? GROUP BY t.student_id`,
      [id],
    );
    const told = Object.fromEntries(rows.map(({ student, n }) => [student, Number(n)]));
    const found = Object.entries(kept.made).map(([student, made]) => [student, made[name]?.length] as const);
    expect([name, Object.fromEntries(found.filter(([, n]) => n !== 0))]).toEqual([name, told]);
    counts.set(
      name,
      Object.values(told).reduce((sum, n) => sum + n, 0),
    );
  }
  expect(counts.get('reading')).toBeGreaterThan(100);
  const told = kept.made[students[0]!.id]!.journal_entry!.find((one) => one.id === entryId);
  expect(Buffer.from(told!.picture!, 'base64').equals(picture)).toBe(true);
});

test('a class without students has nothing, and devices are told without what lets them in', async () => {
  const id = uuid();
  const body = {
    ...{ name: '7a', readingLevel: '8-10', timeZone: 'UTC', asksPin: false },
    ...{ meetingDays: [1], holidays: [] },
  };
  const saved = (await demo.put(`/api/classes/${id}`).send(body).expect(200)).body as SavedClass;
  const { movedPlans: _, ...own } = saved;
  await server.client().post('/api/device').send({ code: own.code }).expect(200);
  const kept = await keptOf(id);
  expect(kept).toEqual({ class: own, made: {} });
  expect(JSON.stringify(kept)).not.toContain('tokenHash');
  const [{ n } = { n: 0 }] = await server.query<{ n: string }>(
    "SELECT COUNT(*) AS n FROM audit_event WHERE kind = 'exported' AND subject_id = ?",
    [id],
  );
  expect(Number(n)).toBe(1);
});
