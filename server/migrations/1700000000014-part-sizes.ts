import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The size of a part stands beside it, as a sum over many large files would else read them all; and the lines of a
 * drawing beside its picture.
 */
export class PartSizes1700000000014 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE upload_part ADD COLUMN IF NOT EXISTS size int NOT NULL DEFAULT 0');
    await runner.query('ALTER TABLE journal_entry ADD COLUMN IF NOT EXISTS drawing mediumtext NULL');
    await runner.query('UPDATE upload_part SET size = LENGTH(bytes) WHERE size = 0');
    await runner.query('ALTER TABLE upload_part DROP INDEX IF EXISTS ix_upload_part_owner');
    await runner.query(
      'ALTER TABLE upload_part ADD INDEX IF NOT EXISTS ix_upload_part_owner (owner_id, size)',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE upload_part DROP INDEX IF EXISTS ix_upload_part_owner');
    await runner.query('ALTER TABLE upload_part ADD INDEX IF NOT EXISTS ix_upload_part_owner (owner_id)');
    await runner.query('ALTER TABLE upload_part DROP COLUMN IF EXISTS size');
    await runner.query('ALTER TABLE journal_entry DROP COLUMN IF EXISTS drawing');
  }
}
