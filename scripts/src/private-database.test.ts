import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, expect, test } from '@jest/globals';
import mysql from 'mysql2/promise';
import { startPrivateDatabase } from './private-database.ts';

const opened: (() => unknown)[] = [];
afterEach(async () => {
  for (const close of opened.splice(0).reverse()) await close();
});

async function temporaryFolderOf(name: string): Promise<[string, string]> {
  const folder = mkdtempSync(join(tmpdir(), name));
  opened.push(() => rmSync(folder, { recursive: true, force: true }));
  const database = await startPrivateDatabase(folder, { durable: false });
  opened.push(() => database.stop());
  const connection = await mysql.createConnection(database.rootUrl);
  const [rows] = await connection.query('SELECT @@tmpdir AS place');
  await connection.end();
  return [folder, (rows as [{ place: string }])[0].place];
}

test('databases that are made and started at once keep their temporary tables apart', async () => {
  const [[one, ofOne], [other, ofOther]] = await Promise.all([
    temporaryFolderOf('sprout own place-'),
    temporaryFolderOf('sprout:other-'),
  ]);
  expect(ofOne.startsWith(one)).toBe(true);
  expect(other).toContain(':');
  expect([tmpdir(), ofOne]).not.toContain(ofOther);
}, 60_000);
