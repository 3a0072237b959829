import type { MigrationInterface, QueryRunner } from 'typeorm';

const NOW = 'datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)';
const keysOf = (table: string): string => `
    KEY ix_${table}_experiment (experiment_id),
    KEY ix_${table}_student (student_id),
    CONSTRAINT fk_${table}_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_${table}_student FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE SET NULL ON UPDATE NO ACTION`;

const TABLES = {
  prediction: `
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    student_id uuid NULL,
    choice varchar(80) NOT NULL,
    observer varchar(60) NOT NULL,
    made_at ${NOW},${keysOf('prediction')}`,
  conclusion: `
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    student_id uuid NULL,
    claim varchar(600) NOT NULL,
    evidence text NOT NULL,
    reasoning varchar(600) NOT NULL,
    observer varchar(60) NOT NULL,
    written_at ${NOW},${keysOf('conclusion')}`,
} as const;

/** What people think: guesses before, conclusions after. */
export class Ideas1700000000004 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [name, columns] of Object.entries(TABLES)) {
      await runner.query(
        `CREATE TABLE IF NOT EXISTS ${name} (${columns}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
      );
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of Object.keys(TABLES).reverse()) await runner.query(`DROP TABLE IF EXISTS ${name}`);
  }
}
