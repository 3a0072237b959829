import { existsSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { startPrivateDatabase } from '../private-database.ts';
import { RunLock } from '../run-lock.ts';
import { ROOT } from '../temporary-application.ts';
import { Trouble } from '../tools.ts';
import { tableNames } from './copy-database.ts';
import { checkCopy, restoreCopy } from './copy.ts';
import { dataFolder, ownDatabase, passphrase, runCommand } from './reach-database.ts';

await runCommand(async () => {
  const [name, ...more] = process.argv.slice(2);
  if (name === undefined || more.length > 0) throw new Trouble('Use: npm run restore -- FILE');
  const path = resolve(process.env.INIT_CWD ?? process.cwd(), name);
  const rows = await checkCopy(path, passphrase());
  console.log(`${path} is whole: ${rows} rows`);
  const own = ownDatabase();
  if (own) {
    const tables = await tableNames(own);
    if (tables.length > 0)
      throw new Trouble(
        `The database has ${tables.length} tables already. Restore into an empty one, so that nothing is overwritten.`,
      );
    await restoreCopy(own, path, passphrase());
  } else await restoreIntoFolder(dataFolder(ROOT), path);
  console.log('Restored. Start with npm start: an older copy is brought up to date then.');
});

/** Restores into a data folder; the database that was there stays beside it, and comes back where restoring fails. */
async function restoreIntoFolder(folder: string, path: string): Promise<void> {
  const holder = RunLock.holder(folder);
  if (holder !== undefined)
    throw new Trouble(`Bright Sprout is running: ${holder}\nStop it there with Ctrl-C first.`);
  const data = join(folder, 'mariadb');
  const before = join(folder, `mariadb.before-${new Date().toISOString().replaceAll(/[:.]/g, '-')}`);
  const hadData = existsSync(data);
  if (hadData) renameSync(data, before);
  try {
    const database = await startPrivateDatabase(folder);
    try {
      await restoreCopy(database.migrationUrl, path, passphrase());
    } finally {
      await database.stop();
    }
  } catch (thrown) {
    rmSync(data, { recursive: true, force: true });
    if (hadData) renameSync(before, data);
    throw thrown;
  }
  rmSync(join(folder, 'prepared'), { force: true });
  if (hadData) console.log(`What was there before is kept in ${before}; remove it once all is well.`);
}
