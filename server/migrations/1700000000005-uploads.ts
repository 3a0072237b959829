import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Parts of files on their way. */
export class Uploads1700000000005 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE IF NOT EXISTS upload_part (
        upload_id uuid NOT NULL,
        starts_at int NOT NULL,
        owner_id uuid NOT NULL,
        bytes mediumblob NOT NULL,
        kept_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
        PRIMARY KEY (upload_id, starts_at),
        KEY ix_upload_part_owner (owner_id),
        KEY ix_upload_part_kept (kept_at)
      ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE IF EXISTS upload_part');
  }
}
