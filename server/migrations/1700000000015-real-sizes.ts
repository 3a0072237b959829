import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How large a photographed container is. */
export class RealSizes1700000000015 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE photo ADD COLUMN IF NOT EXISTS size text NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE photo DROP COLUMN IF EXISTS size');
  }
}
