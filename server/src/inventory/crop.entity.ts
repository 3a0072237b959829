import type { Crop as CropFigures } from '@bright-sprout/core/design';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Teacher } from '../accounts/index.ts';
import { asJson } from '../shared/index.ts';

/** A crop of the inventory with its typical figures. */
@Entity('crop')
export class Crop {
  @PrimaryColumn('varchar', { length: 40 })
  id: string;

  /** Whose crop it is; nobody's for those that ship. */
  @Index('ix_crop_teacher')
  @Column('uuid', { nullable: true })
  teacherId: string | null;

  @ManyToOne(() => Teacher, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'teacher_id', foreignKeyConstraintName: 'fk_crop_teacher' })
  teacher: Relation<Teacher> | null;

  @Column('varchar', { length: 80 })
  commonName: string;

  @Column('varchar', { length: 80 })
  scientificName: string;

  @Column('varchar', { length: 20 })
  habit: CropFigures['habit'];

  @Column('text', { transformer: asJson })
  figures: CropFigures;
}
