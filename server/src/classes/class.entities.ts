import type { Holiday } from '@bright-sprout/core/design';
import type { ReadingLevel } from '@bright-sprout/core/words';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation, Unique } from 'typeorm';
import { Teacher } from '../accounts/index.ts';
import { asJson } from '../shared/index.ts';

/** A class and when it meets. */
@Entity('school_class')
@Unique('uq_school_class_code', ['code'])
export class SchoolClass {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_school_class_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_school_class_teacher' })
  teacher: Relation<Teacher>;

  @Column('varchar', { length: 60 })
  name: string;

  /** What students type to join. */
  @Column('varchar', { length: 12 })
  code: string;

  @Column('varchar', { length: 6 })
  readingLevel: ReadingLevel;

  @Column('varchar', { length: 64 })
  timeZone: string;

  /** True when each student types a PIN. */
  @Column('boolean', { default: false })
  asksPin: boolean;

  @Column('text', { transformer: asJson })
  meetingDays: number[];

  @Column('text', { transformer: asJson })
  holidays: Holiday[];

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}

/** Some students of a class, who own units together. */
@Entity('team')
export class Team {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_team_class')
  @Column('uuid')
  classId: string;

  @ManyToOne(() => SchoolClass, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'class_id', foreignKeyConstraintName: 'fk_team_class' })
  schoolClass: Relation<SchoolClass>;

  @Column('int')
  position: number;

  @Column('varchar', { length: 40 })
  name: string;
}

/** A student: a display name and a picture. */
@Entity('student')
export class Student {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_student_class')
  @Column('uuid')
  classId: string;

  @ManyToOne(() => SchoolClass, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'class_id', foreignKeyConstraintName: 'fk_student_class' })
  schoolClass: Relation<SchoolClass>;

  @Column('int')
  position: number;

  @Column('varchar', { length: 40 })
  displayName: string;

  @Column('varchar', { length: 20 })
  avatar: string;

  /** Four digits that the teacher can read out; keeps classmates apart, nothing more. */
  @Column('varchar', { length: 4, nullable: true })
  pin: string | null;

  @Index('ix_student_team')
  @Column('uuid', { nullable: true })
  teamId: string | null;

  @ManyToOne(() => Team, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'team_id', foreignKeyConstraintName: 'fk_student_team' })
  team: Relation<Team> | null;
}

/** A device that joined a class by its code, and the student who chose a picture on it. */
@Entity('student_device')
@Unique('uq_student_device_token', ['tokenHash'])
export class StudentDevice {
  @PrimaryColumn('uuid')
  id: string;

  /** SHA-256 of the cookie's token. */
  @Column('binary', { length: 32 })
  tokenHash: Buffer;

  @Index('ix_student_device_class')
  @Column('uuid')
  classId: string;

  @ManyToOne(() => SchoolClass, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'class_id', foreignKeyConstraintName: 'fk_student_device_class' })
  schoolClass: Relation<SchoolClass>;

  @Index('ix_student_device_student')
  @Column('uuid', { nullable: true })
  studentId: string | null;

  @ManyToOne(() => Student, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_student_device_student' })
  student: Relation<Student> | null;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;

  @Column('datetime', { precision: 3 })
  expiresAt: Date;
}

/** A student who chose a picture on a device, and may send from it what was made there before. */
@Entity('device_student')
export class DeviceStudent {
  @PrimaryColumn('uuid')
  deviceId: string;

  @ManyToOne(() => StudentDevice, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'device_id', foreignKeyConstraintName: 'fk_device_student_device' })
  device: Relation<StudentDevice>;

  @Index('ix_device_student_student')
  @PrimaryColumn('uuid')
  studentId: string;

  @ManyToOne(() => Student, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'student_id', foreignKeyConstraintName: 'fk_device_student_student' })
  student: Relation<Student>;
}
