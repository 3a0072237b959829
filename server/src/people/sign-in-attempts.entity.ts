import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** Tries counted against one account or address, shared by all servers. */
@Entity('sign_in_attempts')
export class SignInAttempts {
  @PrimaryColumn('varchar', { length: 120 })
  bucket: string;

  @Column('int')
  hits: number;

  @Index('ix_attempts_end')
  @Column('datetime', { precision: 3 })
  windowEndsAt: Date;
}
