import type { MigrationInterface, QueryRunner } from 'typeorm';

const TABLES = [
  `CREATE TABLE IF NOT EXISTS teacher (
    id uuid NOT NULL PRIMARY KEY,
    email varchar(254) NOT NULL,
    display_name varchar(60) NOT NULL,
    password_hash varchar(255) NOT NULL,
    time_zone varchar(64) NOT NULL,
    is_demo tinyint(1) NOT NULL DEFAULT 0,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    UNIQUE KEY uq_teacher_email (email),
    CONSTRAINT ck_teacher_email CHECK (email LIKE '%_@_%')
  )`,
  `CREATE TABLE IF NOT EXISTS session (
    id uuid NOT NULL PRIMARY KEY,
    token_hash binary(32) NOT NULL,
    teacher_id uuid NOT NULL,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    last_seen_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    expires_at datetime(3) NOT NULL,
    revoked_at datetime(3) NULL,
    UNIQUE KEY uq_session_token (token_hash),
    KEY ix_session_teacher (teacher_id),
    CONSTRAINT fk_session_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS sign_in_attempts (
    \`key\` varchar(255) NOT NULL PRIMARY KEY,
    points int NOT NULL DEFAULT 0,
    expire bigint unsigned NULL,
    KEY ix_attempts_expire (expire)
  )`,
  `CREATE TABLE IF NOT EXISTS crop (
    id varchar(40) NOT NULL PRIMARY KEY,
    common_name varchar(80) NOT NULL,
    scientific_name varchar(80) NOT NULL,
    habit varchar(20) NOT NULL,
    figures text NOT NULL,
    CONSTRAINT ck_crop_figures CHECK (json_valid(figures))
  )`,
  `CREATE TABLE IF NOT EXISTS experiment (
    id uuid NOT NULL PRIMARY KEY,
    teacher_id uuid NOT NULL,
    version int NOT NULL DEFAULT 0,
    status varchar(12) NOT NULL DEFAULT 'draft',
    question varchar(300) NOT NULL,
    hypothesis varchar(1000) NOT NULL DEFAULT '',
    crop_id varchar(40) NULL,
    crop_name varchar(80) NOT NULL,
    sow_on date NOT NULL,
    lesson_on date NOT NULL,
    replicates int NOT NULL,
    seeds_per_unit int NOT NULL,
    layout_seed int unsigned NOT NULL,
    discarded_at datetime(3) NULL,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    KEY ix_experiment_teacher (teacher_id),
    KEY ix_experiment_crop (crop_id),
    CONSTRAINT fk_experiment_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_experiment_crop FOREIGN KEY (crop_id) REFERENCES crop (id) ON DELETE SET NULL ON UPDATE NO ACTION,
    CONSTRAINT ck_experiment_status CHECK (status IN ('draft', 'planted', 'growing', 'finished')),
    CONSTRAINT ck_experiment_question CHECK (question <> ''),
    CONSTRAINT ck_experiment_replicates CHECK (replicates >= 1),
    CONSTRAINT ck_experiment_seeds CHECK (seeds_per_unit >= 1)
  )`,
  `CREATE TABLE IF NOT EXISTS factor (
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    position int NOT NULL,
    name varchar(60) NOT NULL,
    UNIQUE KEY uq_factor_position (experiment_id, position),
    CONSTRAINT fk_factor_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS level (
    id uuid NOT NULL PRIMARY KEY,
    factor_id uuid NOT NULL,
    position int NOT NULL,
    name varchar(60) NOT NULL,
    UNIQUE KEY uq_level_position (factor_id, position),
    CONSTRAINT fk_level_factor FOREIGN KEY (factor_id) REFERENCES factor (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS treatment (
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    position int NOT NULL,
    code varchar(4) NOT NULL,
    name varchar(120) NOT NULL,
    is_control tinyint(1) NOT NULL DEFAULT 0,
    UNIQUE KEY uq_treatment_position (experiment_id, position),
    CONSTRAINT fk_treatment_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_treatment_name CHECK (name <> '')
  )`,
  `CREATE TABLE IF NOT EXISTS treatment_level (
    treatment_id uuid NOT NULL,
    level_id uuid NOT NULL,
    PRIMARY KEY (treatment_id, level_id),
    KEY ix_treatment_level_level (level_id),
    CONSTRAINT fk_treatment_level_treatment FOREIGN KEY (treatment_id) REFERENCES treatment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_treatment_level_level FOREIGN KEY (level_id) REFERENCES level (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS container (
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    position int NOT NULL,
    kind varchar(30) NOT NULL,
    grid_rows int NOT NULL,
    grid_columns int NOT NULL,
    UNIQUE KEY uq_container_position (experiment_id, position),
    CONSTRAINT fk_container_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_container_grid CHECK (grid_rows BETWEEN 1 AND 500 AND grid_columns BETWEEN 1 AND 500)
  )`,
  `CREATE TABLE IF NOT EXISTS unit (
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    number int NOT NULL,
    container_id uuid NOT NULL,
    place_row int NOT NULL,
    place_column int NOT NULL,
    treatment_id uuid NOT NULL,
    replicate int NOT NULL,
    block varchar(40) NOT NULL DEFAULT '',
    team varchar(60) NOT NULL DEFAULT '',
    sowed_on date NULL,
    seeds_sown int NULL,
    UNIQUE KEY uq_unit_number (experiment_id, number),
    UNIQUE KEY uq_unit_place (container_id, place_row, place_column),
    KEY ix_unit_treatment (treatment_id),
    CONSTRAINT fk_unit_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_unit_container FOREIGN KEY (container_id) REFERENCES container (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_unit_treatment FOREIGN KEY (treatment_id) REFERENCES treatment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_unit_counts CHECK (number >= 1 AND place_row >= 1 AND place_column >= 1 AND replicate >= 1),
    CONSTRAINT ck_unit_seeds CHECK (seeds_sown IS NULL OR seeds_sown >= 0)
  )`,
  `CREATE TABLE IF NOT EXISTS variable (
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    position int NOT NULL,
    name varchar(60) NOT NULL,
    kind varchar(10) NOT NULL,
    unit varchar(20) NOT NULL,
    step double NOT NULL,
    UNIQUE KEY uq_variable_position (experiment_id, position),
    CONSTRAINT fk_variable_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_variable_kind CHECK (kind IN ('length', 'count', 'number')),
    CONSTRAINT ck_variable_step CHECK (step > 0)
  )`,
  `CREATE TABLE IF NOT EXISTS reading (
    id uuid NOT NULL PRIMARY KEY,
    unit_id uuid NOT NULL,
    variable_id uuid NOT NULL,
    observed_on date NOT NULL,
    state varchar(10) NOT NULL,
    value double NULL,
    entered varchar(60) NOT NULL,
    unit_of_measure varchar(20) NOT NULL,
    \`precision\` double NOT NULL,
    observer varchar(60) NOT NULL,
    recorded_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    supersedes_id uuid NULL,
    KEY ix_reading_unit (unit_id, variable_id, observed_on),
    KEY ix_reading_variable (variable_id),
    KEY ix_reading_supersedes (supersedes_id),
    CONSTRAINT fk_reading_unit FOREIGN KEY (unit_id) REFERENCES unit (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_reading_variable FOREIGN KEY (variable_id) REFERENCES variable (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_reading_supersedes FOREIGN KEY (supersedes_id) REFERENCES reading (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_reading_state CHECK (state IN ('not_up', 'up', 'dead', 'removed', 'not_read')),
    CONSTRAINT ck_reading_value CHECK (value IS NULL OR state = 'up'),
    CONSTRAINT ck_reading_precision CHECK (\`precision\` > 0)
  )`,
];

const NAMES = [
  'teacher',
  'session',
  'sign_in_attempts',
  'crop',
  'experiment',
  'factor',
  'level',
  'treatment',
  'treatment_level',
  'container',
  'unit',
  'variable',
  'reading',
];

/** The first tables: teachers, plans and readings. */
export class FirstTables1700000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) {
      await runner.query(`${table} ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const name of [...NAMES].reverse()) await runner.query(`DROP TABLE IF EXISTS ${name}`);
  }
}
