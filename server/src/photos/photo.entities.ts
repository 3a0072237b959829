import type { MeasureMethodPart, RealSizePart, StrokePart } from '@bright-sprout/contract/photos';
import type { PhotoView } from '@bright-sprout/core/shared';
import {
  Column,
  Entity,
  Index,
  JoinColumn,
  ManyToOne,
  OneToOne,
  PrimaryColumn,
  type Relation,
} from 'typeorm';
import { Container, Experiment, Unit } from '../plans/index.ts';
import { Reading } from '../readings/index.ts';
import { asJson } from '../shared/index.ts';

/** A photo of a container, or of one pot. */
@Entity('photo')
export class Photo {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_photo_experiment')
  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_photo_experiment' })
  experiment: Relation<Experiment>;

  @Index('ix_photo_container')
  @Column('uuid', { nullable: true })
  containerId: string | null;

  @ManyToOne(() => Container, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'container_id', foreignKeyConstraintName: 'fk_photo_container' })
  container: Relation<Container> | null;

  @Index('ix_photo_unit')
  @Column('uuid', { nullable: true })
  unitId: string | null;

  @ManyToOne(() => Unit, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'unit_id', foreignKeyConstraintName: 'fk_photo_unit' })
  unit: Relation<Unit> | null;

  @Column('varchar', { length: 8 })
  view: PhotoView;

  @Column('date')
  takenOn: string;

  /** Size in pixels of the picture that is kept. */
  @Column('int')
  width: number;

  @Column('int')
  height: number;

  /** x and y of the container's corners as shares of width and height; `null` until they are marked. */
  @Column('text', { nullable: true, transformer: asJson })
  corners: number[] | null;

  @Column('text', { nullable: true, transformer: asJson })
  greyPatch: number[] | null;

  /** Strokes over what is no plant; `null` for none. */
  @Column('mediumtext', { nullable: true, transformer: asJson })
  leftOut: StrokePart[] | null;

  /** How large the container is; `null` where it is not known. */
  @Column('text', { nullable: true, transformer: asJson })
  size: RealSizePart | null;

  /** SHA-256 of the bytes that were sent, as hexadecimal: the same photo is kept once. Empty where it is not known. */
  @Column('char', { length: 64, default: '' })
  digest: string;

  /** JPEG without any metadata; `null` once it was deleted for good. */
  @Column('mediumblob', { nullable: true, select: false })
  picture: Buffer | null;

  @Column('varchar', { length: 60 })
  observer: string;

  @Index('ix_photo_recorded')
  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}

/** How a reading was measured on a photo. */
@Entity('measure')
export class Measure {
  @PrimaryColumn('uuid')
  readingId: string;

  @OneToOne(() => Reading, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'reading_id', foreignKeyConstraintName: 'fk_measure_reading' })
  reading: Relation<Reading>;

  @Index('ix_measure_photo')
  @Column('uuid')
  photoId: string;

  @ManyToOne(() => Photo, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'photo_id', foreignKeyConstraintName: 'fk_measure_photo' })
  photo: Relation<Photo>;

  @Column('text', { transformer: asJson })
  method: MeasureMethodPart;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  recordedAt: Date;
}
