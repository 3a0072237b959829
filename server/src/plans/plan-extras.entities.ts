import type { Plan } from '@bright-sprout/core/design';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Teacher } from '../accounts/index.ts';
import { asJson } from '../shared/index.ts';
import { Experiment } from './experiment.entity.ts';

/** A plan kept to start from. */
@Entity('plan_template')
export class PlanTemplate {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_plan_template_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_plan_template_teacher' })
  teacher: Relation<Teacher>;

  @Column('varchar', { length: 200 })
  about: string;

  @Column('longtext', { transformer: asJson })
  planDocument: Plan;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}

/** What was moved, done or added of an experiment's calendar. */
@Entity('task')
export class Task {
  @PrimaryColumn('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_task_experiment' })
  experiment: Relation<Experiment>;

  @PrimaryColumn('varchar', { length: 60 })
  taskKey: string;

  @Column('date', { nullable: true })
  movedTo: string | null;

  @Column('date', { nullable: true })
  doneOn: string | null;

  @Column('varchar', { length: 60, default: '' })
  who: string;

  @Column('varchar', { length: 120, default: '' })
  title: string;
}
