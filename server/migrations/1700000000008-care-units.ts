import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The units of care are rows of their own, in place of a list of ids in a text. */
export class CareUnits1700000000008 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE IF NOT EXISTS care_unit (
        care_event_id uuid NOT NULL,
        unit_id uuid NOT NULL,
        PRIMARY KEY (care_event_id, unit_id),
        KEY ix_care_unit_unit (unit_id),
        CONSTRAINT fk_care_unit_event FOREIGN KEY (care_event_id) REFERENCES care_event (id) ON DELETE CASCADE ON UPDATE NO ACTION,
        CONSTRAINT fk_care_unit_unit FOREIGN KEY (unit_id) REFERENCES unit (id) ON DELETE CASCADE ON UPDATE NO ACTION
      ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
    );
    await runner.query(
      'ALTER TABLE care_event ADD COLUMN IF NOT EXISTS is_for_all tinyint NOT NULL DEFAULT 0',
    );
    if (!(await runner.hasColumn('care_event', 'unit_ids'))) return;
    await runner.query('UPDATE care_event SET is_for_all = (unit_ids IS NULL)');
    await runner.query(
      `INSERT IGNORE INTO care_unit (care_event_id, unit_id)
       SELECT e.id, u.id FROM care_event e
       JOIN JSON_TABLE(e.unit_ids, '$[*]' COLUMNS (id varchar(36) PATH '$')) listed
       JOIN unit u ON u.id = listed.id AND u.experiment_id = e.experiment_id`,
    );
    await runner.query(
      'ALTER TABLE care_event DROP CONSTRAINT IF EXISTS ck_care_event_units, DROP COLUMN IF EXISTS unit_ids',
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE care_event ADD COLUMN IF NOT EXISTS unit_ids text NULL AFTER experiment_id,
        ADD CONSTRAINT IF NOT EXISTS ck_care_event_units CHECK (unit_ids IS NULL OR json_valid(unit_ids))`,
    );
    if (await runner.hasColumn('care_event', 'is_for_all')) {
      await runner.query(
        `UPDATE care_event e SET unit_ids = IF(e.is_for_all, NULL,
           (SELECT CONCAT('["', GROUP_CONCAT(c.unit_id SEPARATOR '","'), '"]') FROM care_unit c WHERE c.care_event_id = e.id))`,
      );
    }
    await runner.query('ALTER TABLE care_event DROP COLUMN IF EXISTS is_for_all');
    await runner.query('DROP TABLE IF EXISTS care_unit');
  }
}
