import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** A part of a file that is being sent; removed once the file is used, or after some weeks. */
@Entity('upload_part')
@Index('ix_upload_part_owner', ['ownerId', 'size'])
export class UploadPartRow {
  @PrimaryColumn('uuid')
  uploadId: string;

  /** Place of its first byte in the file. */
  @PrimaryColumn('int')
  startsAt: number;

  /** The teacher, or the class of the device, that sent it. */
  @Column('uuid')
  ownerId: string;

  /** Its bytes, so that many can be added up without reading them. */
  @Column('int', { default: 0 })
  size: number;

  @Column('mediumblob')
  bytes: Buffer;

  @Index('ix_upload_part_kept')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  keptAt: Date;
}
