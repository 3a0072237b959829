import type { SharedRight } from '@bright-sprout/contract/sharing';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation, Unique } from 'typeorm';
import { Teacher } from '../accounts/index.ts';

/** A class or an experiment that another teacher may see or change: offered by a code until someone takes it. */
@Entity('share')
@Unique('uq_share_code', ['code'])
@Unique('uq_share_teacher_class', ['teacherId', 'classId'])
@Unique('uq_share_teacher_experiment', ['teacherId', 'experimentId'])
export class Share {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_share_class')
  @Column('uuid', { nullable: true })
  classId: string | null;

  @ManyToOne('SchoolClass', { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'class_id', foreignKeyConstraintName: 'fk_share_class' })
  schoolClass: unknown;

  @Index('ix_share_experiment')
  @Column('uuid', { nullable: true })
  experimentId: string | null;

  @ManyToOne('Experiment', { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_share_experiment' })
  experiment: unknown;

  @Column('varchar', { length: 8 })
  may: SharedRight;

  /** What the invited teacher types; once it is taken it stands for that teacher alone. */
  @Column('varchar', { length: 12, nullable: true })
  code: string | null;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;

  /** Who took it. */
  @Column('uuid', { nullable: true })
  teacherId: string | null;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_share_teacher' })
  teacher: Relation<Teacher> | null;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}
