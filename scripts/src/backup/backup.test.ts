import { randomBytes } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import mysql from 'mysql2/promise';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { checkCopy, makeCopy, restoreCopy } from './copy.ts';
import { copyOfDay } from './daily-copies.ts';

const ROOT_URL = process.env.BRIGHT_SPROUT_TEST_DB_URL ?? '';
const NOW = new Date('2027-03-01T08:00:00Z');
const names = ['from', 'to', 'again', 'sealed'].map(
  (name) => `copy_${name}_${randomBytes(4).toString('hex')}`,
);
const [from = '', to = '', again = '', sealed = ''] = names;
const at = (name: string): string => ROOT_URL.replace(/\/mysql$/, `/${name}`);

let root: mysql.Connection;
let folder: string;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sprout-copies-'));
  root = await mysql.createConnection({ uri: ROOT_URL, multipleStatements: true });
  for (const name of names) await root.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  await root.query(`USE ${from};
    CREATE TABLE pot (id uuid PRIMARY KEY, number int NOT NULL, value double NULL, share decimal(20,10) NULL,
      day date NULL, at datetime(3) NULL, note varchar(500) NULL, picture longblob NULL, hash binary(4) NULL,
      twice int GENERATED ALWAYS AS (number * 2) STORED);
    CREATE TABLE reading (id int PRIMARY KEY AUTO_INCREMENT, pot_id uuid NOT NULL, n bigint unsigned NOT NULL,
      CONSTRAINT fk_pot FOREIGN KEY (pot_id) REFERENCES pot (id));
    CREATE TABLE empty_table (id int PRIMARY KEY);`);
  const rows = Array.from({ length: 300 }, (_, index) => [
    `00000000-0000-7000-8000-${String(index).padStart(12, '0')}`,
    index,
    [0.1, 1 / 3, -1e-300, 1.7976931348623157e308, null][index % 5],
    ['0.1234567890', '-99999.0000000001', null][index % 3],
    index % 7 === 0 ? null : '2027-02-28',
    '2027-02-28 23:59:59.999',
    ['plain', 'line\nend, "quoted", \\ back', '🌱 ñ ß 中', '', null][index % 5],
    index % 50 === 0 ? randomBytes(200_000) : Buffer.from([0, 255, 10, 13, index % 256]),
    randomBytes(4),
  ]);
  await root.query(
    `INSERT INTO ${from}.pot (id, number, value, share, day, at, note, picture, hash) VALUES ?`,
    [rows],
  );
});
afterAll(async () => {
  for (const name of names) await root.query(`DROP DATABASE ${name}`);
  await root.end();
  rmSync(folder, { recursive: true, force: true });
});

/** Every row of a table, by the database's own checksum of all its values. */
async function sumOf(database: string, table: string): Promise<unknown> {
  const [[row]] = (await root.query(`CHECKSUM TABLE ${database}.${table} EXTENDED`)) as unknown as [
    [{ Checksum: unknown }],
  ];
  return row.Checksum;
}

describe('a copy', () => {
  test('is of one moment while rows are written, and comes back to the byte', async () => {
    const writer = await mysql.createConnection(at(from));
    const done = new AbortController();
    // A pot and its readings are one transaction: half of it in the copy would be a reading without its pot.
    const writing = (async () => {
      for (let count = 0; !done.signal.aborted; count += 1) {
        const id = `11111111-0000-7000-8000-${String(count).padStart(12, '0')}`;
        await writer.beginTransaction();
        await writer.query(
          'INSERT INTO reading (pot_id, n) SELECT id, 18446744073709551615 FROM pot WHERE number = 0',
        );
        await writer.query('INSERT INTO pot (id, number) VALUES (?, ?)', [id, 1000 + count]);
        await writer.query('INSERT INTO reading (pot_id, n) VALUES (?, 1)', [id]);
        await writer.commit();
      }
    })();
    const path = join(folder, 'one.copy');
    await makeCopy(at(from), path, '', NOW);
    done.abort();
    await writing;
    await writer.end();
    const rows = await checkCopy(path, '');
    const counts = await restoreCopy(at(to), path, '');
    expect([...counts.values()].reduce((sum, count) => sum + count, 0)).toBe(rows);
    const [[half]] = (await root.query(
      `SELECT (SELECT COUNT(*) FROM ${to}.pot WHERE number >= 1000) AS pots, (SELECT COUNT(*) FROM ${to}.reading) AS readings`,
    )) as unknown as [[{ pots: number; readings: number }]];
    expect(half.readings).toBe(half.pots * 2);
    await root.query(`DELETE FROM ${from}.reading; DELETE FROM ${from}.pot WHERE number >= 1000`);
    await root.query(`DELETE FROM ${to}.reading; DELETE FROM ${to}.pot WHERE number >= 1000`);
    for (const table of ['pot', 'reading', 'empty_table'])
      expect([table, await sumOf(to, table)]).toEqual([table, await sumOf(from, table)]);
    await expect(root.query(`INSERT INTO ${to}.reading (pot_id, n) VALUES (UUID(), 1)`)).rejects.toThrow(
      'foreign key',
    );
  });

  test('that is sealed opens with its passphrase alone', async () => {
    const path = join(folder, 'sealed.copy');
    await makeCopy(at(from), path, 'three quiet otters', NOW);
    expect(readFileSync(path).includes('CREATE TABLE')).toBe(false);
    await expect(checkCopy(path, '')).rejects.toThrow('give its passphrase');
    await expect(checkCopy(path, 'three loud otters')).rejects.toThrow('passphrase is another one');
    await restoreCopy(at(sealed), path, 'three quiet otters');
    expect(await sumOf(sealed, 'pot')).toEqual(await sumOf(from, 'pot'));
  });

  test.each(['', 'three quiet otters'])(
    'that was cut short or changed is not used (passphrase “%s”)',
    async (passphrase) => {
      const path = join(folder, 'whole.copy');
      await makeCopy(at(from), path, passphrase, NOW);
      const whole = readFileSync(path);
      const broken = join(folder, 'broken.copy');
      for (const bytes of [
        whole.subarray(0, whole.length - 1),
        whole.subarray(0, Math.floor(whole.length / 2)),
        Buffer.concat([whole.subarray(0, 4000), Buffer.from([whole[4000]! ^ 1]), whole.subarray(4001)]),
      ]) {
        writeFileSync(broken, bytes);
        await expect(checkCopy(broken, passphrase)).rejects.toThrow(/not whole|was changed/);
      }
      writeFileSync(broken, 'a shopping list\n');
      await expect(checkCopy(broken, passphrase)).rejects.toThrow('no copy of Bright Sprout');
      await expect(restoreCopy(at(again), broken, passphrase)).rejects.toThrow('no copy');
    },
  );

  test('that the disk or a folder does not take is refused, leaves nothing and ends nothing else', async () => {
    const full = join(folder, 'full.copy');
    symlinkSync('/dev/full', `${full}.part`);
    await expect(makeCopy(at(from), full, '', NOW)).rejects.toThrow('ENOSPC');
    await expect(makeCopy(at(from), join(folder, 'gone', 'one.copy'), '', NOW)).rejects.toThrow('ENOENT');
    expect(readdirSync(folder).filter((name) => /full|gone|part/.test(name))).toEqual([]);
  });

  test('is made once a day, and only so many are kept', async () => {
    const into = join(folder, 'daily');
    const day = (date: string) => copyOfDay(at(from), { into, kept: 2 }, new Date(`${date}T10:00:00Z`));
    expect(await day('2027-03-01')).toContain('bright-sprout-2027-03-01.copy');
    expect(await day('2027-03-01')).toBeUndefined();
    await day('2027-03-02');
    await day('2027-03-03');
    expect(readdirSync(into)).toEqual(['bright-sprout-2027-03-02.copy', 'bright-sprout-2027-03-03.copy']);
    expect(await copyOfDay(at(from), { into: join(folder, 'none'), kept: 0 }, NOW)).toBeUndefined();
  });
});
