import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Student } from '../classes/index.ts';
import { Experiment } from '../plans/index.ts';

/** A guess. A student's newest one counts; the older ones stay. */
@Entity('prediction')
export class Prediction {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_prediction_experiment')
  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_prediction_experiment' })
  experiment: Relation<Experiment>;

  @Index('ix_prediction_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_prediction_student' })
  student: Relation<Student> | null;

  @Column('varchar', { length: 80 })
  choice: string;

  @Column('varchar', { length: 60 })
  observer: string;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}

/** What somebody claims, on which evidence, and why. Writing it anew adds a row. */
@Entity('conclusion')
export class Conclusion {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_conclusion_experiment')
  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_conclusion_experiment' })
  experiment: Relation<Experiment>;

  @Index('ix_conclusion_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_conclusion_student' })
  student: Relation<Student> | null;

  @Column('varchar', { length: 600 })
  claim: string;

  @Column('text')
  evidence: string;

  @Column('varchar', { length: 600 })
  reasoning: string;

  @Column('varchar', { length: 60 })
  observer: string;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
