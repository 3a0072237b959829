import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = [
  `ALTER TABLE crop
    ADD COLUMN IF NOT EXISTS teacher_id uuid NULL,
    ADD KEY IF NOT EXISTS ix_crop_teacher (teacher_id),
    ADD CONSTRAINT fk_crop_teacher FOREIGN KEY IF NOT EXISTS (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE experiment
    ADD COLUMN IF NOT EXISTS plan_document longtext NULL,
    ADD CONSTRAINT IF NOT EXISTS ck_experiment_plan CHECK (plan_document IS NULL OR json_valid(plan_document))`,
  `ALTER TABLE container
    ADD COLUMN IF NOT EXISTS name varchar(40) NOT NULL DEFAULT '',
    ADD COLUMN IF NOT EXISTS bright_side varchar(6) NOT NULL DEFAULT 'top',
    ADD CONSTRAINT IF NOT EXISTS ck_container_bright CHECK (bright_side IN ('top', 'right', 'bottom', 'left', 'none'))`,
  `ALTER TABLE unit ADD COLUMN IF NOT EXISTS sow_on date NULL`,
];

const TABLES = [
  `CREATE TABLE IF NOT EXISTS seed_lot (
    id uuid NOT NULL PRIMARY KEY,
    teacher_id uuid NOT NULL,
    crop_id varchar(40) NOT NULL,
    name varchar(60) NOT NULL,
    figures text NOT NULL,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    KEY ix_seed_lot_teacher (teacher_id),
    KEY ix_seed_lot_crop (crop_id),
    CONSTRAINT fk_seed_lot_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_seed_lot_crop FOREIGN KEY (crop_id) REFERENCES crop (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_seed_lot_figures CHECK (json_valid(figures))
  )`,
  `CREATE TABLE IF NOT EXISTS plan_template (
    id uuid NOT NULL PRIMARY KEY,
    teacher_id uuid NOT NULL,
    about varchar(200) NOT NULL,
    plan_document longtext NOT NULL,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    KEY ix_plan_template_teacher (teacher_id),
    CONSTRAINT fk_plan_template_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_plan_template_plan CHECK (json_valid(plan_document))
  )`,
  `CREATE TABLE IF NOT EXISTS container_size (
    id uuid NOT NULL PRIMARY KEY,
    teacher_id uuid NOT NULL,
    name varchar(40) NOT NULL,
    kind varchar(30) NOT NULL,
    grid_rows int NOT NULL,
    grid_columns int NOT NULL,
    cell_ml double NOT NULL,
    KEY ix_container_size_teacher (teacher_id),
    CONSTRAINT fk_container_size_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS task (
    experiment_id uuid NOT NULL,
    task_key varchar(60) NOT NULL,
    moved_to date NULL,
    done_on date NULL,
    who varchar(60) NOT NULL DEFAULT '',
    title varchar(120) NOT NULL DEFAULT '',
    PRIMARY KEY (experiment_id, task_key),
    CONSTRAINT fk_task_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
];

/** Whole plans, the seed drawer, templates, container sizes and the calendar. */
export class Plans1700000000001 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const change of CHANGES) await runner.query(change);
    for (const table of TABLES) {
      await runner.query(`${table} ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of ['task', 'container_size', 'plan_template', 'seed_lot']) {
      await runner.query(`DROP TABLE IF EXISTS ${name}`);
    }
    await runner.query('ALTER TABLE unit DROP COLUMN IF EXISTS sow_on');
    await runner.query(
      'ALTER TABLE container DROP CONSTRAINT IF EXISTS ck_container_bright, DROP COLUMN IF EXISTS name, DROP COLUMN IF EXISTS bright_side',
    );
    await runner.query(
      'ALTER TABLE experiment DROP CONSTRAINT IF EXISTS ck_experiment_plan, DROP COLUMN IF EXISTS plan_document',
    );
    await runner.query(
      'ALTER TABLE crop DROP FOREIGN KEY IF EXISTS fk_crop_teacher, DROP KEY IF EXISTS ix_crop_teacher, DROP COLUMN IF EXISTS teacher_id',
    );
  }
}
