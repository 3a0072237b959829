import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who recorded something and when is called the same in every table. */
const RENAMED: readonly (readonly [table: string, older: string, name: string])[] = [
  ['closed_day', 'by_name', 'observer'],
  ['closed_day', 'closed_at', 'recorded_at'],
  ['sowing_tick', 'by_name', 'observer'],
  ['sowing_tick', 'ticked_at', 'recorded_at'],
  ['set_aside', 'by_name', 'observer'],
  ['set_aside', 'set_at', 'recorded_at'],
  ['prediction', 'made_at', 'recorded_at'],
  ['conclusion', 'written_at', 'recorded_at'],
  ['practice_reading', 'made_at', 'recorded_at'],
];

const INDEXES: readonly (readonly [table: string, older: string, name: string])[] = [
  ['sowing_tick', 'ix_sowing_tick_ticked', 'ix_sowing_tick_recorded'],
  ['set_aside', 'ix_set_aside_set_at', 'ix_set_aside_recorded'],
];

export class WhoAndWhen1700000000010 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, older, name] of RENAMED) await rename(runner, table, 'COLUMN', older, name);
    for (const [table, older, name] of INDEXES) await rename(runner, table, 'INDEX', older, name);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table, older, name] of INDEXES) await rename(runner, table, 'INDEX', name, older);
    for (const [table, older, name] of RENAMED) await rename(runner, table, 'COLUMN', name, older);
  }
}

function rename(
  runner: QueryRunner,
  table: string,
  what: 'COLUMN' | 'INDEX',
  from: string,
  to: string,
): Promise<unknown> {
  return runner.query(`ALTER TABLE ${table} RENAME ${what} IF EXISTS ${from} TO ${to}`);
}
