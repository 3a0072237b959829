import 'reflect-metadata';
import { STARTING_CROPS } from '@bright-sprout/core/design';
import { DataSource } from 'typeorm';
import { Crop } from '../plan/index.ts';
import { databaseOptions } from './database.ts';

/** Brings the schema up to date, then the starting crops. Safe to run again and from several servers. */
export async function migrate(url: string): Promise<void> {
  const source = await new DataSource(databaseOptions(url)).initialize();
  try {
    const [lock] = await source.query<{ taken: number }[]>(
      "SELECT GET_LOCK('bright_sprout_migrate', 60) AS taken",
    );
    if (lock?.taken !== 1)
      throw new Error('another server has been changing the database for a minute; try again');
    await source.runMigrations();
    await source.getRepository(Crop).upsert(
      STARTING_CROPS.map((figures) => ({
        id: figures.id,
        commonName: figures.commonName,
        scientificName: figures.scientificName,
        habit: figures.habit,
        figures,
      })),
      ['id'],
    );
  } finally {
    await source.destroy();
  }
}
