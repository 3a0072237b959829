import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Where pots were moved to, and why something never came up. */
export class MovesAndReasons1700000000016 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE care_event ADD COLUMN IF NOT EXISTS reason varchar(12) NULL');
    await runner.query(
      `CREATE TABLE IF NOT EXISTS care_move (
        care_event_id uuid NOT NULL,
        unit_id uuid NOT NULL,
        container_id uuid NOT NULL,
        place_row int NOT NULL,
        place_column int NOT NULL,
        PRIMARY KEY (care_event_id, unit_id),
        KEY ix_care_move_unit (unit_id),
        KEY ix_care_move_container (container_id),
        CONSTRAINT fk_care_move_event FOREIGN KEY (care_event_id) REFERENCES care_event (id) ON DELETE CASCADE ON UPDATE NO ACTION,
        CONSTRAINT fk_care_move_unit FOREIGN KEY (unit_id) REFERENCES unit (id) ON DELETE CASCADE ON UPDATE NO ACTION,
        CONSTRAINT fk_care_move_container FOREIGN KEY (container_id) REFERENCES container (id) ON DELETE CASCADE ON UPDATE NO ACTION
      ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE IF EXISTS care_move');
    await runner.query('ALTER TABLE care_event DROP COLUMN IF EXISTS reason');
  }
}
