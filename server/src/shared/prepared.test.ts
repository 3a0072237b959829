import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { DataSource } from 'typeorm';
import { databaseOptions } from '../app/database.ts';
import { prepared } from './prepared.ts';
import { isConnectionLoss, isDuplicate } from './transactions.ts';

const ROW = {
  id: '01a2298f-a959-708f-8d73-f719025c789c',
  day: '2026-02-28',
  at: new Date('2026-03-29T01:30:00.123Z'),
  value: 0.1 + 0.2,
  least: 5e-324,
  note: "ü “seed” 😀 \\ ' \n",
  nothing: null,
  isReread: true,
  count: 4_294_967_295,
};
const INSERT = 'INSERT INTO held VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)';
const SELECT = 'SELECT * FROM held WHERE id = ?';

const ADDRESS = process.env.BRIGHT_SPROUT_TEST_DB_URL ?? '';

let source: DataSource;

beforeAll(async () => {
  // One connection: a table of its own, and a statement that did not give it back would wait for ever.
  source = await new DataSource(databaseOptions(ADDRESS, 1)).initialize();
});
afterAll(() => source.destroy());

beforeEach(() =>
  source.query(
    `CREATE OR REPLACE TEMPORARY TABLE held (id CHAR(36) PRIMARY KEY, day DATE, at DATETIME(3), value DOUBLE,
     least DOUBLE, note TEXT CHARACTER SET utf8mb4, nothing DOUBLE, is_reread TINYINT(1), count INT UNSIGNED)`,
  ),
);

describe('a prepared statement', () => {
  test('keeps what it is given, and answers as one that is sent as text', async () => {
    await prepared(source, INSERT, Object.values(ROW));
    const [row] = await prepared<object[]>(source, SELECT, [ROW.id]);
    const { isReread, ...rest } = ROW;
    expect(row).toEqual({ ...rest, is_reread: Number(isReread) });
    expect(await source.query(SELECT, [ROW.id])).toEqual([row]);
  });

  test('is parsed once by a connection', async () => {
    const parsed = async (): Promise<number> => {
      const [{ Value }] = await source.query<[{ Value: string }]>("SHOW STATUS LIKE 'Com_stmt_prepare'");
      return Number(Value);
    };
    const before = await parsed();
    for (const id of ['a', 'b', 'c']) await prepared(source, `${SELECT} LIMIT 7`, [id]);
    expect(await parsed()).toBe(before + 1);
  });

  test('follows a table that was changed since', async () => {
    await prepared(source, INSERT, Object.values(ROW));
    await prepared(source, SELECT, [ROW.id]);
    await source.query("ALTER TABLE held ADD COLUMN more VARCHAR(9) DEFAULT 'new' FIRST");
    expect(await prepared<object[]>(source, SELECT, [ROW.id])).toMatchObject([{ more: 'new', day: ROW.day }]);
  });

  test('that is refused says why, and the connection is used again', async () => {
    await prepared(source, INSERT, Object.values(ROW));
    const refused = await prepared(source, INSERT, Object.values(ROW)).catch((thrown: unknown) => thrown);
    expect(isDuplicate(refused)).toBe(true);
    await expect(prepared(source, 'SELECT nonsense', [])).rejects.toMatchObject({
      code: 'ER_BAD_FIELD_ERROR',
    });
    expect(await prepared(source, 'SELECT ? AS one', ['1'])).toEqual([{ one: '1' }]);
  });

  test('whose connection is cut is told as a loss, and the next has a new one', async () => {
    const [{ id }] = await source.query<[{ id: number }]>('SELECT CONNECTION_ID() AS id');
    const cut = prepared(source, 'SELECT SLEEP(?)', [20]).catch((thrown: unknown) => thrown);
    const other = await new DataSource(databaseOptions(ADDRESS, 1)).initialize();
    const waiting = "SELECT id FROM information_schema.processlist WHERE id = ? AND state = 'User sleep'";
    while ((await other.query<unknown[]>(waiting, [id])).length === 0);
    await other.query(`KILL ${id}`);
    expect(isConnectionLoss(await cut)).toBe(true);
    await other.destroy();
    expect(await prepared(source, 'SELECT ? AS one', ['1'])).toEqual([{ one: '1' }]);
  });
});
