import type { MigrationInterface, QueryRunner } from 'typeorm';

const NOW = 'datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)';
const reference = (table: string, column: string, to: string, onDelete: string): string =>
  `CONSTRAINT fk_${table}_${to} FOREIGN KEY (${column}) REFERENCES ${to} (id) ON DELETE ${onDelete} ON UPDATE NO ACTION`;

const TABLES = {
  photo: `
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    container_id uuid NULL,
    unit_id uuid NULL,
    view varchar(8) NOT NULL,
    taken_on date NOT NULL,
    width int NOT NULL,
    height int NOT NULL,
    corners text NULL,
    grey_patch text NULL,
    picture mediumblob NULL,
    observer varchar(60) NOT NULL,
    recorded_at ${NOW},
    KEY ix_photo_experiment (experiment_id),
    KEY ix_photo_container (container_id),
    KEY ix_photo_unit (unit_id),
    ${reference('photo', 'experiment_id', 'experiment', 'CASCADE')},
    ${reference('photo', 'container_id', 'container', 'SET NULL')},
    ${reference('photo', 'unit_id', 'unit', 'SET NULL')}`,
  measure: `
    reading_id uuid NOT NULL PRIMARY KEY,
    photo_id uuid NOT NULL,
    method text NOT NULL,
    recorded_at ${NOW},
    KEY ix_measure_photo (photo_id),
    ${reference('measure', 'reading_id', 'reading', 'CASCADE')},
    ${reference('measure', 'photo_id', 'photo', 'CASCADE')}`,
} as const;

/** Photos of plants, and how readings were measured on them. */
export class Photos1700000000012 implements MigrationInterface {
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
