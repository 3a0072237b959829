import type { LessonDocument, ShowingRequest } from '@bright-sprout/contract/lessons';
import {
  Column,
  Entity,
  Index,
  JoinColumn,
  ManyToOne,
  OneToOne,
  PrimaryColumn,
  type Relation,
} from 'typeorm';
import { Student } from '../classes/index.ts';
import { Experiment } from '../plans/index.ts';
import { asJson } from '../shared/index.ts';

/** The lesson of an experiment, and what is shown of it now. */
@Entity('lesson')
export class LessonRow {
  @PrimaryColumn('uuid')
  experimentId: string;

  @OneToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_lesson_experiment' })
  experiment: Relation<Experiment>;

  /** Counts changes of the boards; 0 until the first. */
  @Column('int', { default: 0 })
  version: number;

  @Column('longtext', { nullable: true, transformer: asJson })
  document: LessonDocument | null;

  /** `null` while no lesson is given. */
  @Column('text', { nullable: true, transformer: asJson })
  showing: ShowingRequest | null;

  @Column('datetime', { precision: 3, nullable: true })
  begunAt: Date | null;

  @Index('ix_lesson_shown')
  @Column('datetime', { precision: 3, nullable: true })
  shownAt: Date | null;
}

/** A question asked of the whole class. */
@Entity('poll')
export class Poll {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_poll_experiment')
  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_poll_experiment' })
  experiment: Relation<Experiment>;

  @Column('varchar', { length: 200 })
  prompt: string;

  @Column('text', { transformer: asJson })
  choices: string[];

  /** Hands counted in the room, by choice. */
  @Column('text', { transformer: asJson })
  hands: number[];

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  openedAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  closedAt: Date | null;

  @Index('ix_poll_changed')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  changedAt: Date;
}

/** A vote. A student's newest one counts; who it was is only kept for that. */
@Entity('vote')
export class Vote {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_vote_poll')
  @Column('uuid')
  pollId: string;

  @ManyToOne(() => Poll, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'poll_id', foreignKeyConstraintName: 'fk_vote_poll' })
  poll: Relation<Poll>;

  @Index('ix_vote_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_vote_student' })
  student: Relation<Student> | null;

  @Column('int')
  choice: number;

  @Index('ix_vote_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
