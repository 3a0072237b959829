import type { DataSource, Logger } from 'typeorm';

/** Tables that grow for as long as a school works with them. */
const GROWING: readonly string[] = [
  'reading',
  'set_aside',
  'session',
  'student_device',
  'device_student',
  'care_event',
  'journal_entry',
  'logger_sample',
  'prediction',
  'conclusion',
  'upload_part',
  'practice_reading',
  'sowing_tick',
  'task',
  'unit',
  'experiment',
  'closed_day',
];

/** A kind of query: its text without its values, how often it was asked, and once with values. */
export interface AskedQuery {
  readonly sql: string;
  readonly values: readonly unknown[];
  readonly count: number;
}

/** Notes the queries that `work` asks of a database, the most frequent first. */
export async function queriesOf(source: DataSource, work: () => Promise<unknown>): Promise<AskedQuery[]> {
  const asked = new Map<string, AskedQuery>();
  const before = source.logger;
  const ignore = (): void => undefined;
  const listening: Logger = {
    logQuery: (sql, values = []) => {
      if (!/^\s*(SELECT|UPDATE|DELETE|\()/i.test(sql)) return;
      asked.set(sql, { sql, values: values as unknown[], count: (asked.get(sql)?.count ?? 0) + 1 });
    },
    logQueryError: ignore,
    logQuerySlow: ignore,
    logSchemaBuild: ignore,
    logMigration: ignore,
    log: ignore,
  };
  source.logger = listening;
  try {
    await work();
  } finally {
    source.logger = before;
  }
  return [...asked.values()].sort((a, b) => b.count - a.count);
}

/** Growing tables that a query reads from end to end because no index would do. */
export async function fullScansOf(source: DataSource, { sql, values }: AskedQuery): Promise<string[]> {
  const plan = await source.query<
    { table: string | null; type: string | null; possible_keys: string | null }[]
  >(`EXPLAIN ${sql}`, [...values]);
  const names = new Map(
    [...sql.matchAll(/(?:FROM|JOIN|UPDATE)\s+`?(\w+)`?\s+(?:AS\s+)?`?(\w+)`?/gi)].map(
      ([, table = '', alias = '']): [string, string] => [alias, table],
    ),
  );
  return plan.flatMap(({ table, type, possible_keys: keys }) => {
    const name = names.get(table ?? '') ?? table ?? '';
    return type === 'ALL' && keys === null && GROWING.includes(name) ? [name] : [];
  });
}
