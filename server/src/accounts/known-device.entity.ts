import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation, Unique } from 'typeorm';
import { Teacher } from './teacher.entity.ts';

/** A device on which a teacher signed in before: what strangers try elsewhere does not count against it. */
@Entity('known_device')
@Unique('uq_known_device_token', ['tokenHash'])
export class KnownDevice {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_known_device_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_known_device_teacher' })
  teacher: Relation<Teacher>;

  /** SHA-256 of the cookie's token. */
  @Column('binary', { length: 32 })
  tokenHash: Buffer;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  seenAt: Date;
}
