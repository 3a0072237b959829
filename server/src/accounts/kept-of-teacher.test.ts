import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { demoTeacher } from '../app/testing/demo-teacher.ts';
import { startSown } from '../app/testing/experiments.ts';
import { bytesOf, type Client, startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
let demo: Client;
beforeAll(async () => {
  server = await startTestServer();
  demo = await demoTeacher(server);
});
afterAll(() => server.close());

/** Of the machine and of nobody: what the migrations did, tries by address, uploads of the last day. */
const OF_NOBODY = ['migrations', 'migration_lease', 'sign_in_attempts', 'upload_part'];

test('the file of an account has every row of every table while there is one teacher, and no secret', async () => {
  const [{ id }] = (await demo.get('/api/experiments').expect(200)).body as [{ id: string }];
  const picture = Buffer.from([137, 80, 78, 71, 0, 255, 1, 2]);
  const entry = { kind: 'note', happenedOn: '2026-01-05', unitId: null, note: 'It leans' };
  const entryId = uuid();
  await demo.put(`/api/experiments/${id}/journal/${entryId}`).send(entry).expect(200);
  await server.query('UPDATE journal_entry SET picture = ? WHERE id = ?', [picture, entryId]);
  await demo.put(`/api/experiments/${id}/shares/${uuid()}`).send({ may: 'see' }).expect(200);
  const text = (await bytesOf(demo, '/api/teacher/kept.json')).toString();
  const kept = JSON.parse(text) as Record<string, { id?: string; picture?: string }[]>;
  const tables = await server.query<{ name: string }>(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'",
  );
  const wrong: string[] = [];
  let all = 0;
  for (const { name } of tables) {
    if (OF_NOBODY.includes(name)) continue;
    const own = name === 'crop' ? ' WHERE teacher_id IS NOT NULL' : '';
    const [{ n }] = (await server.query<{ n: string }>(`SELECT COUNT(*) AS n FROM ${name}${own}`)) as [
      { n: string },
    ];
    all += Number(n);
    if ((kept[name]?.length ?? -1) !== Number(n)) wrong.push(`${name}: ${kept[name]?.length} of ${n}`);
  }
  expect(wrong).toEqual([]);
  expect(all).toBeGreaterThan(2000);
  const told = kept.journal_entry!.find((one) => one.id === entryId);
  expect(Buffer.from(told!.picture!, 'base64').equals(picture)).toBe(true);
  expect(text).not.toMatch(/Hash"/);
});

test('it has nothing of another teacher, and asks for the password', async () => {
  const other = await server.teacher('Quagga');
  await startSown(other);
  const own = (await bytesOf(demo, '/api/teacher/kept.json')).toString();
  expect(own).not.toContain('Quagga');
  const theirs = JSON.parse((await bytesOf(other, '/api/teacher/kept.json')).toString()) as Record<
    string,
    object[]
  >;
  expect([theirs.teacher!.length, theirs.experiment!.length, theirs.student!.length]).toEqual([1, 1, 0]);
  await server.query('UPDATE session SET confirmed_at = NOW(3) - INTERVAL 1 HOUR');
  expect((await other.get('/api/teacher/kept.json')).body.code).toBe('confirm_password');
});
