import { once } from 'node:events';
import mysql, { type Connection } from 'mysql2';
import mysqlPromise from 'mysql2/promise';
import { reachable } from './reachable.ts';

/** A table in a copy: how it is made, and its columns in the order of its rows. */
interface TableLine {
  readonly table: string;
  readonly create: string;
  readonly columns: readonly string[];
  /** Places of columns that hold bytes, which rows have as base64. */
  readonly bytes: readonly number[];
}

/** A value of a row: text as the database writes it, or nothing. */
type Cell = string | null;

const BYTE_TYPES: readonly string[] = ['binary', 'varbinary', 'tinyblob', 'blob', 'mediumblob', 'longblob'];

/** Rows are sent to the database in pieces of so many characters. */
const PIECE = 2_000_000;
const MOST_ROWS = 1000;

interface ColumnRow {
  readonly TABLE_NAME: string;
  readonly COLUMN_NAME: string;
  readonly DATA_TYPE: string;
}

/**
 * Everything in a database as lines, all of one moment however much is written meanwhile: a line for each table, then its
 * rows, then how many there were.
 * @param url of an account that may read every table
 */
export async function* linesOf(url: string): AsyncGenerator<string> {
  const connection = mysql.createConnection({
    uri: await reachable(url),
    dateStrings: true,
    supportBigNumbers: true,
    bigNumberStrings: true,
    charset: 'utf8mb4',
  });
  const ask = connection.promise();
  try {
    await ask.query("SET SESSION time_zone = '+00:00'");
    await ask.query('SET SESSION TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await ask.query('START TRANSACTION WITH CONSISTENT SNAPSHOT');
    for (const table of await tablesOf(ask)) {
      yield JSON.stringify(table);
      let rows = 0;
      for await (const row of rowsOf(connection, table)) {
        rows += 1;
        yield JSON.stringify(row);
      }
      yield JSON.stringify({ rows });
    }
    await ask.query('COMMIT');
  } finally {
    connection.destroy();
  }
}

async function tablesOf(ask: mysqlPromise.Connection): Promise<TableLine[]> {
  const [columns] = await ask.query(
    `SELECT c.TABLE_NAME, c.COLUMN_NAME, c.DATA_TYPE FROM information_schema.COLUMNS c
     JOIN information_schema.TABLES t ON t.TABLE_SCHEMA = c.TABLE_SCHEMA AND t.TABLE_NAME = c.TABLE_NAME
     WHERE c.TABLE_SCHEMA = DATABASE() AND t.TABLE_TYPE = 'BASE TABLE' AND c.GENERATION_EXPRESSION IS NULL
     ORDER BY c.TABLE_NAME, c.ORDINAL_POSITION`,
  );
  const byTable = new Map<string, ColumnRow[]>();
  for (const column of columns as ColumnRow[])
    byTable.set(column.TABLE_NAME, [...(byTable.get(column.TABLE_NAME) ?? []), column]);
  const tables: TableLine[] = [];
  for (const [table, own] of byTable) {
    const [[shown]] = (await ask.query(`SHOW CREATE TABLE ${mysql.escapeId(table)}`)) as unknown as [
      [{ 'Create Table': string }],
    ];
    tables.push({
      table,
      create: shown['Create Table'],
      columns: own.map(({ COLUMN_NAME }) => COLUMN_NAME),
      bytes: own.flatMap(({ DATA_TYPE }, at) => (BYTE_TYPES.includes(DATA_TYPE) ? [at] : [])),
    });
  }
  return tables;
}

async function* rowsOf(connection: Connection, { table, columns, bytes }: TableLine): AsyncGenerator<Cell[]> {
  const isBytes = new Set(bytes.map((at) => columns[at]));
  const query = connection.query({
    sql: `SELECT ${columns.map((column) => mysql.escapeId(column)).join(', ')} FROM ${mysql.escapeId(table)}`,
    rowsAsArray: true,
    // Text as the database writes it comes back as the same value; bytes do not survive as text.
    typeCast: (field) =>
      isBytes.has(field.name) ? (field.buffer()?.toString('base64') ?? null) : field.string('utf8'),
  });
  for await (const row of query.stream({ highWaterMark: 50 })) yield row as Cell[];
}

/**
 * Puts a copy into an empty database, table by table.
 * @returns rows of each table
 */
export async function putLines(
  url: string,
  lines: AsyncIterable<string>,
): Promise<ReadonlyMap<string, number>> {
  const connection = await mysqlPromise.createConnection({ uri: await reachable(url), charset: 'utf8mb4' });
  const counts = new Map<string, number>();
  try {
    await connection.query("SET SESSION time_zone = '+00:00', foreign_key_checks = 0, unique_checks = 0");
    let table: TableLine | undefined;
    let waiting: (Cell | Buffer)[][] = [];
    let size = 0;
    const put = async (): Promise<void> => {
      if (!table || waiting.length === 0) return;
      const columns = table.columns.map((column) => mysql.escapeId(column)).join(', ');
      await connection.query(`INSERT INTO ${mysql.escapeId(table.table)} (${columns}) VALUES ?`, [waiting]);
      counts.set(table.table, (counts.get(table.table) ?? 0) + waiting.length);
      [waiting, size] = [[], 0];
    };
    for await (const line of lines) {
      const read = JSON.parse(line) as TableLine | Cell[] | { rows: number };
      if (Array.isArray(read)) {
        const bytes = new Set(table?.bytes);
        waiting.push(
          read.map((cell, at) => (cell !== null && bytes.has(at) ? Buffer.from(cell, 'base64') : cell)),
        );
        size += line.length;
        if (size >= PIECE || waiting.length >= MOST_ROWS) await put();
      } else if ('rows' in read) {
        await put();
        const got = counts.get(table?.table ?? '') ?? 0;
        if (got !== read.rows) throw new Error(`${table?.table}: ${got} of ${read.rows} rows`);
      } else {
        await connection.query(read.create);
        table = read;
        counts.set(read.table, 0);
      }
    }
    await connection.query('SET SESSION foreign_key_checks = 1');
    return counts;
  } finally {
    await connection.end();
  }
}

/** Names of the tables of a database. */
export async function tableNames(url: string): Promise<string[]> {
  const connection = mysql.createConnection(await reachable(url));
  try {
    await once(connection, 'connect');
    const [rows] = await connection.promise().query('SHOW TABLES');
    return (rows as object[]).flatMap((row) => Object.values(row) as string[]);
  } finally {
    connection.destroy();
  }
}
