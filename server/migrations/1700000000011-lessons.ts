import type { MigrationInterface, QueryRunner } from 'typeorm';

const NOW = 'datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)';
const ofExperiment = (table: string): string =>
  `CONSTRAINT fk_${table}_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION`;

const TABLES = {
  lesson: `
    experiment_id uuid NOT NULL PRIMARY KEY,
    version int NOT NULL DEFAULT 0,
    document longtext NULL,
    showing text NULL,
    begun_at datetime(3) NULL,
    shown_at datetime(3) NULL,
    KEY ix_lesson_shown (shown_at),
    ${ofExperiment('lesson')}`,
  poll: `
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    prompt varchar(200) NOT NULL,
    choices text NOT NULL,
    hands text NOT NULL,
    opened_at ${NOW},
    closed_at datetime(3) NULL,
    changed_at ${NOW},
    KEY ix_poll_experiment (experiment_id),
    KEY ix_poll_changed (changed_at),
    ${ofExperiment('poll')}`,
  vote: `
    id uuid NOT NULL PRIMARY KEY,
    poll_id uuid NOT NULL,
    student_id uuid NULL,
    choice int NOT NULL,
    recorded_at ${NOW},
    KEY ix_vote_poll (poll_id),
    KEY ix_vote_student (student_id),
    KEY ix_vote_recorded (recorded_at),
    CONSTRAINT fk_vote_poll FOREIGN KEY (poll_id) REFERENCES poll (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_vote_student FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE SET NULL ON UPDATE NO ACTION`,
} as const;

/** Lessons, what is shown of them, and votes; entries of the journal that only their author still sees. */
export class Lessons1700000000011 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [name, columns] of Object.entries(TABLES)) {
      await runner.query(
        `CREATE TABLE IF NOT EXISTS ${name} (${columns}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
      );
    }
    await runner.query('ALTER TABLE journal_entry ADD COLUMN IF NOT EXISTS hidden_at datetime(3) NULL');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE journal_entry DROP COLUMN IF EXISTS hidden_at');
    for (const name of Object.keys(TABLES).reverse()) await runner.query(`DROP TABLE IF EXISTS ${name}`);
  }
}
