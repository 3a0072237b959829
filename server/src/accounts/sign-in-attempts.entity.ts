import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** Tries counted against one account or address, with the end of the time they count in; shared by all servers. */
@Entity('sign_in_attempts')
export class SignInAttempts {
  @PrimaryColumn('varchar', { length: 255 })
  key: string;

  @Column('int', { default: 0 })
  points: number;

  /** End of the window, in milliseconds since 1970. */
  @Index('ix_attempts_expire')
  @Column('bigint', { unsigned: true, nullable: true })
  expire: string | null;
}
