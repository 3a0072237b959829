import 'reflect-metadata';
import { setTimeout as pause } from 'node:timers/promises';
import { STARTING_CROPS } from '@bright-sprout/core/design';
import { DataSource } from 'typeorm';
import { Crop } from '../inventory/index.ts';
import { addressesOf, isConnectionLoss, retried } from '../shared/index.ts';
import { databaseOptions } from './database.ts';
import { MigrationLease } from './migration-lease.ts';

/** A database that a later version of Bright Sprout has changed: this one would not understand it. */
export class NewerDatabase extends Error {
  constructor(names: readonly string[]) {
    super(
      `This database was changed by a later version of Bright Sprout (${names.join(', ')}). Nothing was touched. Start that version or a later one, or restore a backup of before.`,
    );
  }
}

const PATIENCE_MS = 120_000;
const ASK_MS = 500;

/**
 * Brings the schema up to date, then the starting crops. Safe to run again after it was cut short at any moment, as
 * each statement is skipped when it was done before, and safe from several servers and cluster nodes at once: one of
 * them works, the others wait.
 * @throws NewerDatabase
 */
export async function migrate(url: string): Promise<void> {
  const source = await connected(url);
  const lease = await takeLease(source);
  try {
    await refuseNewer(source);
    await source.runMigrations();
    await retried(() =>
      source.getRepository(Crop).upsert(
        STARTING_CROPS.map((figures) => ({
          id: figures.id,
          commonName: figures.commonName,
          scientificName: figures.scientificName,
          habit: figures.habit,
          figures,
        })),
        ['id'],
      ),
    );
  } finally {
    await lease.giveBack();
    await source.destroy();
  }
}

/** A connection to the first address of the database that answers. */
async function connected(url: string): Promise<DataSource> {
  for (let left = addressesOf(url).count; ; left -= 1) {
    try {
      return await new DataSource(databaseOptions(url)).initialize();
    } catch (thrown) {
      if (left <= 1 || !isConnectionLoss(thrown)) throw thrown;
    }
  }
}

async function takeLease(source: DataSource): Promise<MigrationLease> {
  for (let waited = 0; ; waited += ASK_MS) {
    const lease = await MigrationLease.take(source);
    if (lease) return lease;
    if (waited >= PATIENCE_MS) {
      throw new Error('Another server has been changing the database for two minutes. Try again in a while.');
    }
    await pause(ASK_MS);
  }
}

async function refuseNewer(source: DataSource): Promise<void> {
  const known = new Set(source.migrations.map((migration) => migration.name ?? migration.constructor.name));
  const runner = source.createQueryRunner();
  try {
    if (!(await runner.hasTable('migrations'))) return;
    const done = (await runner.query('SELECT name FROM migrations')) as { name: string }[];
    const unknown = done.map(({ name }) => name).filter((name) => !known.has(name));
    if (unknown.length > 0) throw new NewerDatabase(unknown);
  } finally {
    await runner.release();
  }
}
