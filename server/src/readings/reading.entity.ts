import type { ReadingState } from '@bright-sprout/core/shared';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Student } from '../classes/index.ts';
import { Unit, Variable } from '../plans/index.ts';

/** One reading. Rows are only ever added; a correction names the row that it supersedes. */
@Entity('reading')
@Index('ix_reading_unit', ['unitId', 'variableId', 'observedOn'])
export class Reading {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  unitId: string;

  @ManyToOne(() => Unit, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'unit_id', foreignKeyConstraintName: 'fk_reading_unit' })
  unit: Relation<Unit>;

  @Index('ix_reading_variable')
  @Column('uuid')
  variableId: string;

  @ManyToOne(() => Variable, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'variable_id', foreignKeyConstraintName: 'fk_reading_variable' })
  variable: Relation<Variable>;

  @Column('date')
  observedOn: string;

  @Column('varchar', { length: 14 })
  state: ReadingState;

  /** In the base unit of the variable: mm for lengths. */
  @Column('double', { nullable: true })
  value: number | null;

  @Column('varchar', { length: 60 })
  entered: string;

  @Column('varchar', { length: 20 })
  unitOfMeasure: string;

  @Column('double')
  precision: number;

  @Column('varchar', { length: 60 })
  observer: string;

  /** The student who read it; empty for a teacher, and for a student who was removed. */
  @Index('ix_reading_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_reading_student' })
  student: Relation<Student> | null;

  @Index('ix_reading_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;

  /** True when the reader looked again before keeping it. */
  @Column('boolean', { default: false })
  isReread: boolean;

  /** Unique: of two corrections of one reading the first wins, the other is told. */
  @Index('uq_reading_supersedes', { unique: true })
  @Column('uuid', { nullable: true })
  supersedesId: string | null;

  @ManyToOne(() => Reading, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'supersedes_id', foreignKeyConstraintName: 'fk_reading_supersedes' })
  supersedes: Relation<Reading> | null;
}

/** A reading left out of comparisons, until it is put back. */
@Entity('set_aside')
@Index('uq_set_aside_active', ['readingId', 'isActive'], { unique: true })
export class SetAside {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  readingId: string;

  @ManyToOne(() => Reading, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'reading_id', foreignKeyConstraintName: 'fk_set_aside_reading' })
  reading: Relation<Reading>;

  @Column('varchar', { length: 200 })
  reason: string;

  @Column('varchar', { length: 60 })
  observer: string;

  @Index('ix_set_aside_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  liftedAt: Date | null;

  @Column('varchar', { length: 60, nullable: true })
  liftedBy: string | null;

  /** 1 until it is lifted, then empty: unique together with the reading, so that one is set aside once at a time. */
  @Column('tinyint', { nullable: true })
  isActive: number | null;
}
