import type { MigrationInterface, QueryRunner } from 'typeorm';

const TABLES = [
  `CREATE TABLE IF NOT EXISTS school_class (
    id uuid NOT NULL PRIMARY KEY,
    teacher_id uuid NOT NULL,
    name varchar(60) NOT NULL,
    code varchar(12) NOT NULL,
    reading_level varchar(6) NOT NULL,
    time_zone varchar(64) NOT NULL,
    meeting_days text NOT NULL,
    holidays text NOT NULL,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    UNIQUE KEY uq_school_class_code (code),
    KEY ix_school_class_teacher (teacher_id),
    CONSTRAINT fk_school_class_teacher FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT ck_school_class_days CHECK (json_valid(meeting_days) AND json_valid(holidays))
  )`,
  `CREATE TABLE IF NOT EXISTS team (
    id uuid NOT NULL PRIMARY KEY,
    class_id uuid NOT NULL,
    position int NOT NULL,
    name varchar(40) NOT NULL,
    KEY ix_team_class (class_id),
    CONSTRAINT fk_team_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS student (
    id uuid NOT NULL PRIMARY KEY,
    class_id uuid NOT NULL,
    position int NOT NULL,
    display_name varchar(40) NOT NULL,
    tile varchar(20) NOT NULL,
    team_id uuid NULL,
    KEY ix_student_class (class_id),
    KEY ix_student_team (team_id),
    CONSTRAINT fk_student_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_student_team FOREIGN KEY (team_id) REFERENCES team (id) ON DELETE SET NULL ON UPDATE NO ACTION
  )`,
  `CREATE TABLE IF NOT EXISTS student_device (
    id uuid NOT NULL PRIMARY KEY,
    token_hash binary(32) NOT NULL,
    class_id uuid NOT NULL,
    student_id uuid NULL,
    created_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    expires_at datetime(3) NOT NULL,
    UNIQUE KEY uq_student_device_token (token_hash),
    KEY ix_student_device_class (class_id),
    KEY ix_student_device_student (student_id),
    CONSTRAINT fk_student_device_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT fk_student_device_student FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE SET NULL ON UPDATE NO ACTION
  )`,
];

const CHANGES = [
  `ALTER TABLE experiment
    ADD COLUMN IF NOT EXISTS class_id uuid NULL,
    ADD KEY IF NOT EXISTS ix_experiment_class (class_id),
    ADD CONSTRAINT fk_experiment_class FOREIGN KEY IF NOT EXISTS (class_id) REFERENCES school_class (id) ON DELETE SET NULL ON UPDATE NO ACTION`,
  `ALTER TABLE unit
    ADD COLUMN IF NOT EXISTS team_id uuid NULL,
    ADD KEY IF NOT EXISTS ix_unit_team (team_id),
    ADD CONSTRAINT fk_unit_team FOREIGN KEY IF NOT EXISTS (team_id) REFERENCES team (id) ON DELETE SET NULL ON UPDATE NO ACTION`,
  `ALTER TABLE reading
    ADD COLUMN IF NOT EXISTS student_id uuid NULL,
    ADD KEY IF NOT EXISTS ix_reading_student (student_id),
    ADD CONSTRAINT fk_reading_student FOREIGN KEY IF NOT EXISTS (student_id) REFERENCES student (id) ON DELETE SET NULL ON UPDATE NO ACTION`,
];

/** Classes, teams and students, and which class runs an experiment. */
export class Classes1700000000002 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) {
      await runner.query(`${table} ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    }
    for (const change of CHANGES) await runner.query(change);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'ALTER TABLE reading DROP FOREIGN KEY IF EXISTS fk_reading_student, DROP KEY IF EXISTS ix_reading_student, DROP COLUMN IF EXISTS student_id',
    );
    await runner.query(
      'ALTER TABLE unit DROP FOREIGN KEY IF EXISTS fk_unit_team, DROP KEY IF EXISTS ix_unit_team, DROP COLUMN IF EXISTS team_id',
    );
    await runner.query(
      'ALTER TABLE experiment DROP FOREIGN KEY IF EXISTS fk_experiment_class, DROP KEY IF EXISTS ix_experiment_class, DROP COLUMN IF EXISTS class_id',
    );
    for (const name of ['student_device', 'student', 'team', 'school_class'])
      await runner.query(`DROP TABLE IF EXISTS ${name}`);
  }
}
