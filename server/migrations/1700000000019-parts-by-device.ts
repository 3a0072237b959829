import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The device that sent a part, so that one device cannot take the room of its whole class. */
export class PartsByDevice1700000000019 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE upload_part ADD COLUMN IF NOT EXISTS device_id uuid NULL');
    await runner.query(
      'ALTER TABLE upload_part ADD INDEX IF NOT EXISTS ix_upload_part_device (owner_id, device_id, size)',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE upload_part DROP INDEX IF EXISTS ix_upload_part_device');
    await runner.query('ALTER TABLE upload_part DROP COLUMN IF EXISTS device_id');
  }
}
