import type { DrawingPart } from '@bright-sprout/contract/journal';
import type { EntryKind } from '@bright-sprout/core/shared';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Student } from '../classes/index.ts';
import { Experiment, Unit } from '../plans/index.ts';
import { asJson } from '../shared/index.ts';

/** A photo, a drawing or a sentence. */
@Entity('journal_entry')
export class JournalEntry {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_journal_entry_experiment')
  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_journal_entry_experiment' })
  experiment: Relation<Experiment>;

  /** All pots when `null`. */
  @Index('ix_journal_entry_unit')
  @Column('uuid', { nullable: true })
  unitId: string | null;

  @ManyToOne(() => Unit, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'unit_id', foreignKeyConstraintName: 'fk_journal_entry_unit' })
  unit: Relation<Unit> | null;

  @Column('date')
  happenedOn: string;

  @Column('varchar', { length: 8 })
  kind: EntryKind;

  @Column('varchar', { length: 1000, default: '' })
  note: string;

  /** JPEG without any metadata. */
  @Column('mediumblob', { nullable: true, select: false })
  picture: Buffer | null;

  /** The lines of a drawing; `null` where they were not kept. */
  @Column('mediumtext', { nullable: true, select: false, transformer: asJson })
  drawing: DrawingPart | null;

  @Column('varchar', { length: 60 })
  observer: string;

  @Index('ix_journal_entry_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_journal_entry_student' })
  student: Relation<Student> | null;

  /** Since when only who made it still sees it, beside the teacher; `null` while everybody does. */
  @Column('datetime', { precision: 3, nullable: true })
  hiddenAt: Date | null;

  @Index('ix_journal_entry_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
