import type { SowingItem } from '@bright-sprout/core/shared';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Student } from '../classes/index.ts';
import { Unit } from '../plans/index.ts';

/** One item of the sowing of one unit, done. */
@Entity('sowing_tick')
export class SowingTick {
  @PrimaryColumn('uuid')
  unitId: string;

  @ManyToOne(() => Unit, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'unit_id', foreignKeyConstraintName: 'fk_sowing_tick_unit' })
  unit: Relation<Unit>;

  @PrimaryColumn('varchar', { length: 12 })
  item: SowingItem;

  @Column('varchar', { length: 60 })
  observer: string;

  @Index('ix_sowing_tick_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_sowing_tick_student' })
  student: Relation<Student> | null;

  @Index('ix_sowing_tick_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
