import type { Plan } from '@bright-sprout/core/design';
import type { ExperimentStatus } from '@bright-sprout/core/calendar';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { SchoolClass } from '../classes/index.ts';
import { Teacher } from '../accounts/index.ts';
import { asJson } from '../shared/index.ts';
import { Crop } from '../inventory/index.ts';

/** A question and the plan to answer it. */
@Entity('experiment')
export class Experiment {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_experiment_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_experiment_teacher' })
  teacher: Relation<Teacher>;

  /** The class that runs it. */
  @Index('ix_experiment_class')
  @Column('uuid', { nullable: true })
  classId: string | null;

  @ManyToOne(() => SchoolClass, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'class_id', foreignKeyConstraintName: 'fk_experiment_class' })
  schoolClass: Relation<SchoolClass> | null;

  /** Shared by runs of the same plan in several classes. */
  @Index('ix_experiment_study')
  @Column('uuid', { nullable: true })
  studyId: string | null;

  /** Counts changes of the plan; a change states the version it was made on. */
  @Column('int', { default: 0 })
  version: number;

  @Column('varchar', { length: 12, default: 'draft' })
  status: ExperimentStatus;

  @Column('varchar', { length: 300 })
  question: string;

  @Column('varchar', { length: 1000, default: '' })
  hypothesis: string;

  @Index('ix_experiment_crop')
  @Column('varchar', { length: 40, nullable: true })
  cropId: string | null;

  @ManyToOne(() => Crop, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'crop_id', foreignKeyConstraintName: 'fk_experiment_crop' })
  crop: Relation<Crop> | null;

  @Column('varchar', { length: 80 })
  cropName: string;

  @Column('date')
  sowOn: string;

  @Column('date')
  lessonOn: string;

  @Column('int')
  replicates: number;

  @Column('int')
  seedsPerUnit: number;

  @Column('int', { unsigned: true })
  layoutSeed: number;

  /** The whole plan; absent for a design from a file. Its rows are made from it. */
  @Column('longtext', { nullable: true, transformer: asJson })
  planDocument: Plan | null;

  @Column('datetime', { precision: 3, nullable: true })
  discardedAt: Date | null;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}

/** A day to which students add nothing more. */
@Entity('closed_day')
export class ClosedDay {
  @PrimaryColumn('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_closed_day_experiment' })
  experiment: Relation<Experiment>;

  @PrimaryColumn('date')
  day: string;

  @Column('varchar', { length: 60 })
  observer: string;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
