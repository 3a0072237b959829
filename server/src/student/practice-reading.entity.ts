import type { PracticeKind } from '@bright-sprout/core/simulate';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { SchoolClass, Student } from '../classes/index.ts';

/** A reading of a drawn ruler of which the truth is known. */
@Entity('practice_reading')
export class PracticeReading {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_practice_reading_class')
  @Column('uuid')
  classId: string;

  @ManyToOne(() => SchoolClass, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'class_id', foreignKeyConstraintName: 'fk_practice_reading_class' })
  schoolClass: Relation<SchoolClass>;

  @Index('ix_practice_reading_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_practice_reading_student' })
  student: Relation<Student> | null;

  @Column('varchar', { length: 12 })
  kind: PracticeKind;

  @Column('double')
  trueMm: number;

  @Column('double')
  readMm: number;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
