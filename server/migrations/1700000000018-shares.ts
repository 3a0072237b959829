import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Classes and experiments that another teacher may see or change. */
export class Shares1700000000018 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE IF NOT EXISTS share (
        id uuid NOT NULL,
        class_id uuid NULL,
        experiment_id uuid NULL,
        may varchar(8) NOT NULL,
        code varchar(12) NULL,
        expires_at datetime(3) NOT NULL,
        teacher_id uuid NULL,
        created_at datetime(3) NOT NULL DEFAULT current_timestamp(3),
        PRIMARY KEY (id),
        UNIQUE KEY uq_share_code (code),
        UNIQUE KEY uq_share_teacher_class (teacher_id, class_id),
        UNIQUE KEY uq_share_teacher_experiment (teacher_id, experiment_id),
        KEY ix_share_class (class_id),
        KEY ix_share_experiment (experiment_id),
        CONSTRAINT fk_share_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE ON UPDATE NO ACTION,
        CONSTRAINT fk_share_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
        CONSTRAINT fk_share_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION
      ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE IF EXISTS share');
  }
}
