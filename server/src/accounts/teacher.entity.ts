import { Column, Entity, PrimaryColumn, Unique } from 'typeorm';

/** An account. */
@Entity('teacher')
@Unique('uq_teacher_email', ['email'])
export class Teacher {
  @PrimaryColumn('uuid')
  id: string;

  @Column('varchar', { length: 254 })
  email: string;

  @Column('varchar', { length: 60 })
  displayName: string;

  @Column('varchar', { length: 255 })
  passwordHash: string;

  /** IANA name. */
  @Column('varchar', { length: 64 })
  timeZone: string;

  @Column('boolean', { default: false })
  isDemo: boolean;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}

/** The teacher who makes a request. */
export type KnownTeacher = Pick<Teacher, 'id' | 'email' | 'displayName' | 'timeZone' | 'isDemo'>;
