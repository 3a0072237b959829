import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a brush leaves out of a photo, what tells the same photo, and photos by when they came, for news of them. */
export class LeftOut1700000000013 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE photo ADD COLUMN IF NOT EXISTS left_out mediumtext NULL');
    await runner.query("ALTER TABLE photo ADD COLUMN IF NOT EXISTS digest char(64) NOT NULL DEFAULT ''");
    await runner.query('ALTER TABLE photo ADD INDEX IF NOT EXISTS ix_photo_recorded (recorded_at)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE photo DROP INDEX IF EXISTS ix_photo_recorded');
    await runner.query('ALTER TABLE photo DROP COLUMN IF EXISTS digest');
    await runner.query('ALTER TABLE photo DROP COLUMN IF EXISTS left_out');
  }
}
