import type { CareKind, NoShowReason } from '@bright-sprout/core/shared';
import type { Sensor } from '@bright-sprout/core/simulate';
import {
  Column,
  Entity,
  Index,
  JoinColumn,
  ManyToOne,
  OneToMany,
  PrimaryColumn,
  type Relation,
  Unique,
} from 'typeorm';
import { Student } from '../classes/index.ts';
import { Container, Experiment, Unit } from '../plans/index.ts';

/** Something done to units on a day. Rows are only ever added, and marked when they are taken back. */
@Entity('care_event')
export class CareEvent {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_care_event_experiment')
  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_care_event_experiment' })
  experiment: Relation<Experiment>;

  /** Done to every unit; else to those of {@link CareUnit}. */
  @Column('boolean', { default: false })
  isForAll: boolean;

  @OneToMany(() => CareUnit, (unit) => unit.event)
  units: Relation<CareUnit>[];

  @Column('date')
  happenedOn: string;

  @Column('varchar', { length: 16 })
  kind: CareKind;

  @Column('double', { nullable: true })
  amount: number | null;

  /** Why nothing came up; of kind `cause` only. */
  @Column('varchar', { length: 12, nullable: true })
  reason: NoShowReason | null;

  @OneToMany(() => CareMove, (move) => move.event)
  moves: Relation<CareMove>[];

  @Column('varchar', { length: 500, default: '' })
  note: string;

  @Column('varchar', { length: 60 })
  observer: string;

  @Index('ix_care_event_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_care_event_student' })
  student: Relation<Student> | null;

  @Index('ix_care_event_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  undoneAt: Date | null;
}

/** One unit that something was done to. */
@Entity('care_unit')
export class CareUnit {
  @PrimaryColumn('uuid')
  careEventId: string;

  @ManyToOne(() => CareEvent, (event) => event.units, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'care_event_id', foreignKeyConstraintName: 'fk_care_unit_event' })
  event: Relation<CareEvent>;

  @Index('ix_care_unit_unit')
  @PrimaryColumn('uuid')
  unitId: string;

  @ManyToOne(() => Unit, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'unit_id', foreignKeyConstraintName: 'fk_care_unit_unit' })
  unit: Relation<Unit>;
}

/** Where a unit was moved to. */
@Entity('care_move')
export class CareMove {
  @PrimaryColumn('uuid')
  careEventId: string;

  @ManyToOne(() => CareEvent, (event) => event.moves, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'care_event_id', foreignKeyConstraintName: 'fk_care_move_event' })
  event: Relation<CareEvent>;

  @Index('ix_care_move_unit')
  @PrimaryColumn('uuid')
  unitId: string;

  @ManyToOne(() => Unit, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'unit_id', foreignKeyConstraintName: 'fk_care_move_unit' })
  unit: Relation<Unit>;

  @Index('ix_care_move_container')
  @Column('uuid')
  containerId: string;

  @ManyToOne(() => Container, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'container_id', foreignKeyConstraintName: 'fk_care_move_container' })
  container: Relation<Container>;

  @Column('int')
  placeRow: number;

  @Column('int')
  placeColumn: number;
}

/** The key that a logger of an experiment sends with. */
@Entity('logger')
@Unique('uq_logger_key', ['keyHash'])
export class Logger {
  @PrimaryColumn('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_logger_experiment' })
  experiment: Relation<Experiment>;

  /** SHA-256 of the key. */
  @Column('binary', { length: 32 })
  keyHash: Buffer;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}

/** One value of one sensor. */
@Entity('logger_sample')
export class LoggerSample {
  @PrimaryColumn('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_logger_sample_experiment' })
  experiment: Relation<Experiment>;

  @PrimaryColumn('varchar', { length: 16 })
  sensor: Sensor;

  @PrimaryColumn('datetime', { precision: 0 })
  sampledAt: Date;

  @Column('double')
  value: number;
}
