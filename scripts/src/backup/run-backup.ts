import { resolve } from 'node:path';
import { ROOT } from '../temporary-application.ts';
import { Trouble } from '../tools.ts';
import { checkCopy, makeCopy } from './copy.ts';
import { dataFolder, ownDatabase, passphrase, runCommand, withPrivateDatabase } from './reach-database.ts';

await runCommand(async () => {
  const [name, ...more] = process.argv.slice(2);
  if (name === undefined || more.length > 0) throw new Trouble('Use: npm run backup -- FILE');
  const path = resolve(process.env.INIT_CWD ?? process.cwd(), name);
  const copy = (url: string): Promise<void> => makeCopy(url, path, passphrase(), new Date());
  const own = ownDatabase();
  await (own ? copy(own) : withPrivateDatabase(dataFolder(ROOT), copy));
  const rows = await checkCopy(path, passphrase());
  console.log(`${path}: ${rows} rows${passphrase() === '' ? '' : ', sealed'}, read again and whole`);
});
