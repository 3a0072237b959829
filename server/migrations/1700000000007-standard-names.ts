import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Columns get the names that the field and the code use; what is in them stays. */
const COLUMNS = [
  ['unit', 'sowed_on', 'sown_on'],
  ['student', 'tile', 'avatar'],
  ['care_event', 'words', 'note'],
  ['journal_entry', 'words', 'note'],
] as const;

/** Standard names for columns, and one code for a sentence in the journal. */
export class StandardNames1700000000007 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, from, to] of COLUMNS) {
      await runner.query(`ALTER TABLE ${table} RENAME COLUMN IF EXISTS ${from} TO ${to}`);
    }
    await runner.query("UPDATE journal_entry SET kind = 'note' WHERE kind = 'words'");
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("UPDATE journal_entry SET kind = 'words' WHERE kind = 'note'");
    for (const [table, from, to] of COLUMNS) {
      await runner.query(`ALTER TABLE ${table} RENAME COLUMN IF EXISTS ${to} TO ${from}`);
    }
  }
}
