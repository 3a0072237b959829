import type { SeedLot as SeedLotFigures } from '@bright-sprout/core/design';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Teacher } from '../accounts/index.ts';
import { asJson } from '../shared/index.ts';
import { Crop } from './crop.entity.ts';

/** What a packet says, with the tests made of it. */
export type LotFigures = Omit<SeedLotFigures, 'id' | 'cropId' | 'name'>;

/** One packet of a crop. */
@Entity('seed_lot')
export class SeedLot {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_seed_lot_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_seed_lot_teacher' })
  teacher: Relation<Teacher>;

  @Index('ix_seed_lot_crop')
  @Column('varchar', { length: 40 })
  cropId: string;

  @ManyToOne(() => Crop, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'crop_id', foreignKeyConstraintName: 'fk_seed_lot_crop' })
  crop: Relation<Crop>;

  @Column('varchar', { length: 60 })
  name: string;

  @Column('text', { transformer: asJson })
  figures: LotFigures;

  @Column('datetime', { precision: 3, default: () => 'CURRENT_TIMESTAMP(3)' })
  createdAt: Date;
}

/** A container size of one's own. */
@Entity('container_size')
export class ContainerSize {
  @PrimaryColumn('uuid')
  id: string;

  @Index('ix_container_size_teacher')
  @Column('uuid')
  teacherId: string;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_container_size_teacher' })
  teacher: Relation<Teacher>;

  @Column('varchar', { length: 40 })
  name: string;

  @Column('varchar', { length: 30 })
  kind: string;

  @Column('int')
  gridRows: number;

  @Column('int')
  gridColumns: number;

  @Column('double')
  cellMl: number;
}
