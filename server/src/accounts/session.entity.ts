import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation, Unique } from 'typeorm';
import { Teacher } from './teacher.entity.ts';

/** A sign-in on one device; only the hash of its token is kept. */
@Entity('session')
@Unique('uq_session_token', ['tokenHash'])
export class Session {
  @PrimaryColumn('uuid')
  id: string;

  /** SHA-256 of the cookie's token. */
  @Column('binary', { length: 32 })
  tokenHash: Buffer;

  @Index('ix_session_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_session_teacher' })
  teacher: Relation<Teacher>;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  lastSeenAt: Date;

  /** The browser and system, so that its owner knows it again. */
  @Column('varchar', { length: 80, default: '' })
  device: string;

  /** When the password was last given on it; what cannot be taken back asks for a fresh one. */
  @Column('datetime', { precision: 3, nullable: true })
  confirmedAt: Date | null;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  revokedAt: Date | null;
}
