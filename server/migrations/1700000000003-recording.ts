import type { MigrationInterface, QueryRunner } from 'typeorm';

const NOW = 'datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)';
const ofExperiment = (table: string): string =>
  `CONSTRAINT fk_${table}_experiment FOREIGN KEY (experiment_id) REFERENCES experiment (id) ON DELETE CASCADE ON UPDATE NO ACTION`;
const ofStudent = (table: string): string =>
  `CONSTRAINT fk_${table}_student FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE SET NULL ON UPDATE NO ACTION`;

const TABLES = {
  device_student: `
    device_id uuid NOT NULL,
    student_id uuid NOT NULL,
    PRIMARY KEY (device_id, student_id),
    KEY ix_device_student_student (student_id),
    CONSTRAINT fk_device_student_device FOREIGN KEY (device_id) REFERENCES student_device (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_device_student_student FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  set_aside: `
    id uuid NOT NULL PRIMARY KEY,
    reading_id uuid NOT NULL,
    reason varchar(200) NOT NULL,
    by_name varchar(60) NOT NULL,
    set_at ${NOW},
    lifted_at datetime(3) NULL,
    lifted_by varchar(60) NULL,
    KEY ix_set_aside_reading (reading_id),
    KEY ix_set_aside_set_at (set_at),
    CONSTRAINT fk_set_aside_reading FOREIGN KEY (reading_id) REFERENCES reading (id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  closed_day: `
    experiment_id uuid NOT NULL,
    day date NOT NULL,
    by_name varchar(60) NOT NULL,
    closed_at ${NOW},
    PRIMARY KEY (experiment_id, day),
    ${ofExperiment('closed_day')}`,
  care_event: `
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    unit_ids text NULL,
    happened_on date NOT NULL,
    kind varchar(16) NOT NULL,
    amount double NULL,
    words varchar(500) NOT NULL DEFAULT '',
    observer varchar(60) NOT NULL,
    student_id uuid NULL,
    recorded_at ${NOW},
    undone_at datetime(3) NULL,
    KEY ix_care_event_experiment (experiment_id),
    KEY ix_care_event_student (student_id),
    KEY ix_care_event_recorded (recorded_at),
    CONSTRAINT ck_care_event_units CHECK (unit_ids IS NULL OR json_valid(unit_ids)),
    ${ofExperiment('care_event')},
    ${ofStudent('care_event')}`,
  logger: `
    experiment_id uuid NOT NULL PRIMARY KEY,
    key_hash binary(32) NOT NULL,
    created_at ${NOW},
    UNIQUE KEY uq_logger_key (key_hash),
    ${ofExperiment('logger')}`,
  logger_sample: `
    experiment_id uuid NOT NULL,
    sensor varchar(16) NOT NULL,
    sampled_at datetime NOT NULL,
    value double NOT NULL,
    PRIMARY KEY (experiment_id, sensor, sampled_at),
    ${ofExperiment('logger_sample')}`,
  journal_entry: `
    id uuid NOT NULL PRIMARY KEY,
    experiment_id uuid NOT NULL,
    unit_id uuid NULL,
    happened_on date NOT NULL,
    kind varchar(8) NOT NULL,
    words varchar(1000) NOT NULL DEFAULT '',
    picture mediumblob NULL,
    observer varchar(60) NOT NULL,
    student_id uuid NULL,
    recorded_at ${NOW},
    KEY ix_journal_entry_experiment (experiment_id),
    KEY ix_journal_entry_unit (unit_id),
    KEY ix_journal_entry_student (student_id),
    KEY ix_journal_entry_recorded (recorded_at),
    ${ofExperiment('journal_entry')},
    CONSTRAINT fk_journal_entry_unit FOREIGN KEY (unit_id) REFERENCES unit (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    ${ofStudent('journal_entry')}`,
  sowing_tick: `
    unit_id uuid NOT NULL,
    item varchar(12) NOT NULL,
    by_name varchar(60) NOT NULL,
    student_id uuid NULL,
    ticked_at ${NOW},
    PRIMARY KEY (unit_id, item),
    KEY ix_sowing_tick_student (student_id),
    KEY ix_sowing_tick_ticked (ticked_at),
    CONSTRAINT fk_sowing_tick_unit FOREIGN KEY (unit_id) REFERENCES unit (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    ${ofStudent('sowing_tick')}`,
  practice_reading: `
    id uuid NOT NULL PRIMARY KEY,
    class_id uuid NOT NULL,
    student_id uuid NULL,
    kind varchar(12) NOT NULL,
    true_mm double NOT NULL,
    read_mm double NOT NULL,
    made_at ${NOW},
    KEY ix_practice_reading_class (class_id),
    KEY ix_practice_reading_student (student_id),
    CONSTRAINT fk_practice_reading_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    ${ofStudent('practice_reading')}`,
} as const;

const CHANGES = [
  'ALTER TABLE reading ADD COLUMN IF NOT EXISTS is_reread tinyint NOT NULL DEFAULT 0, ADD KEY IF NOT EXISTS ix_reading_recorded (recorded_at)',
  'ALTER TABLE school_class ADD COLUMN IF NOT EXISTS asks_pin tinyint NOT NULL DEFAULT 0',
  'ALTER TABLE student ADD COLUMN IF NOT EXISTS pin varchar(4) NULL',
  "ALTER TABLE unit ADD COLUMN IF NOT EXISTS sowing_note varchar(300) NOT NULL DEFAULT ''",
  'ALTER TABLE experiment ADD COLUMN IF NOT EXISTS study_id uuid NULL, ADD KEY IF NOT EXISTS ix_experiment_study (study_id)',
  `ALTER TABLE variable DROP CONSTRAINT IF EXISTS ck_variable_kind,
    ADD CONSTRAINT ck_variable_kind CHECK (kind IN ('length', 'count', 'number', 'score'))`,
];

/** What a class does from sowing day on: ticks, care, journal, practice, setting aside, closed days, loggers. */
export class Recording1700000000003 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [name, columns] of Object.entries(TABLES)) {
      await runner.query(
        `CREATE TABLE IF NOT EXISTS ${name} (${columns}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
      );
    }
    for (const change of CHANGES) await runner.query(change);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query("DELETE FROM variable WHERE kind = 'score'");
    await runner.query(
      `ALTER TABLE variable DROP CONSTRAINT IF EXISTS ck_variable_kind,
        ADD CONSTRAINT ck_variable_kind CHECK (kind IN ('length', 'count', 'number'))`,
    );
    for (const name of Object.keys(TABLES).reverse()) await runner.query(`DROP TABLE IF EXISTS ${name}`);
    await runner.query(
      'ALTER TABLE experiment DROP KEY IF EXISTS ix_experiment_study, DROP COLUMN IF EXISTS study_id',
    );
    await runner.query('ALTER TABLE unit DROP COLUMN IF EXISTS sowing_note');
    await runner.query('ALTER TABLE student DROP COLUMN IF EXISTS pin');
    await runner.query('ALTER TABLE school_class DROP COLUMN IF EXISTS asks_pin');
    await runner.query(
      'ALTER TABLE reading DROP KEY IF EXISTS ix_reading_recorded, DROP COLUMN IF EXISTS is_reread',
    );
  }
}
