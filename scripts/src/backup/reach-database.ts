import { resolve } from 'node:path';
import { type PrivateDatabase, runningPrivateDatabase, startPrivateDatabase } from '../private-database.ts';

/** The data folder that the settings name. */
export function dataFolder(root: string): string {
  return resolve(root, process.env.BRIGHT_SPROUT_DATA ?? '.data');
}

/** The address of a school's own database, where the settings name one. */
export function ownDatabase(): string | undefined {
  return process.env.BRIGHT_SPROUT_MIGRATION_DB_URL ?? process.env.BRIGHT_SPROUT_DB_URL;
}

/** Does something with the private database of a folder: as it runs, or started for it and stopped again. */
export async function withPrivateDatabase<T>(folder: string, work: (url: string) => Promise<T>): Promise<T> {
  const running = await runningPrivateDatabase(folder);
  if (running) return work(running);
  const started: PrivateDatabase = await startPrivateDatabase(folder);
  try {
    return await work(started.migrationUrl);
  } finally {
    await started.stop();
  }
}

/** The passphrase that seals copies; empty where there is none. */
export function passphrase(): string {
  return process.env.BRIGHT_SPROUT_PASSPHRASE ?? '';
}

/** Runs a command to its end: what is in the way is said in words. */
export async function runCommand(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    console.error(
      error instanceof Error && error.name !== 'Error' ? error : `\n${(error as Error).message}\n`,
    );
    process.exitCode = 1;
  }
}
