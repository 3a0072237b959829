import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Devices that teachers signed in on before, what is known of a session, and what was done that matters. */
export class AccountSafety1700000000017 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE session ADD COLUMN IF NOT EXISTS device varchar(80) NOT NULL DEFAULT '',
        ADD COLUMN IF NOT EXISTS confirmed_at datetime(3) NULL`,
    );
    await runner.query(
      `CREATE TABLE IF NOT EXISTS known_device (
        id uuid NOT NULL,
        teacher_id uuid NOT NULL,
        token_hash binary(32) NOT NULL,
        seen_at datetime(3) NOT NULL DEFAULT current_timestamp(3),
        PRIMARY KEY (id),
        UNIQUE KEY uq_known_device_token (token_hash),
        KEY ix_known_device_teacher (teacher_id),
        CONSTRAINT fk_known_device_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION
      ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
    );
    await runner.query(
      `CREATE TABLE IF NOT EXISTS audit_event (
        id uuid NOT NULL,
        kind varchar(24) NOT NULL,
        teacher_id uuid NULL,
        subject_id varchar(64) NOT NULL DEFAULT '',
        happened_at datetime(3) NOT NULL DEFAULT current_timestamp(3),
        PRIMARY KEY (id),
        KEY ix_audit_event_teacher (teacher_id),
        KEY ix_audit_event_happened (happened_at)
      ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE IF EXISTS audit_event');
    await runner.query('DROP TABLE IF EXISTS known_device');
    await runner.query(
      'ALTER TABLE session DROP COLUMN IF EXISTS device, DROP COLUMN IF EXISTS confirmed_at',
    );
  }
}
