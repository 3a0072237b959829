import type { Crop as CropFigures } from '@bright-sprout/core/design';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A crop of the drawer with its typical figures. */
@Entity('crop')
export class Crop {
  @PrimaryColumn('varchar', { length: 40 })
  id: string;

  @Column('varchar', { length: 80 })
  commonName: string;

  @Column('varchar', { length: 80 })
  scientificName: string;

  @Column('varchar', { length: 20 })
  habit: CropFigures['habit'];

  @Column('text', {
    transformer: {
      to: (figures: CropFigures) => JSON.stringify(figures),
      from: (text: string) => JSON.parse(text) as CropFigures,
    },
  })
  figures: CropFigures;
}
