import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** What is written down of what matters for safety. */
export const AUDIT_KINDS = [
  'registered',
  'signed_in',
  'sign_in_refused',
  'signed_out',
  'signed_out_everywhere',
  'password_changed',
  'password_reset',
  'confirm_refused',
  'class_removed',
  'class_code_renewed',
  'account_removed',
  'exported',
  'shared',
  'share_taken',
  'share_ended',
  'handed_over',
] as const;
export type AuditKind = (typeof AUDIT_KINDS)[number];

/** Something that matters for safety: what, by which account, on which row. Ids only, no names, addresses or words. */
@Entity('audit_event')
export class AuditEvent {
  @PrimaryColumn('uuid')
  id: string;

  @Column('varchar', { length: 24 })
  kind: AuditKind;

  /** Stays when the account is removed, as an id that stands for nobody. */
  @Index('ix_audit_event_teacher')
  @Column('uuid', { nullable: true })
  teacherId: string | null;

  @Column('varchar', { length: 64, default: '' })
  subjectId: string;

  @Index('ix_audit_event_happened')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  happenedAt: Date;
}
