import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a brush leaves out of a photo. */
export class LeftOut1700000000013 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE photo ADD COLUMN IF NOT EXISTS left_out mediumtext NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE photo DROP COLUMN IF EXISTS left_out');
  }
}
