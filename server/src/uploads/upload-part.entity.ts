import { Column, Entity, Index, PrimaryColumn } from 'typeorm';

/** A part of a file that is being sent; removed once the file is used, or after some weeks. */
@Entity('upload_part')
@Index('ix_upload_part_owner', ['ownerId', 'size'])
@Index('ix_upload_part_device', ['ownerId', 'deviceId', 'size'])
export class UploadPartRow {
  @PrimaryColumn('uuid')
  uploadId: string;

  /** Place of its first byte in the file. */
  @PrimaryColumn('int')
  startsAt: number;

  /** The teacher, or the class of the device, that sent it. */
  @Column('uuid')
  ownerId: string;

  /** The device of a class that sent it; `null` for a teacher. */
  @Column('uuid', { nullable: true })
  deviceId: string | null;

  /** Its bytes, so that many can be added up without reading them. */
  @Column('int', { default: 0 })
  size: number;

  @Column('mediumblob')
  bytes: Buffer;

  @Index('ix_upload_part_kept')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  keptAt: Date;
}
