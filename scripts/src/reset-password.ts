import { dataFolder, runCommand, withPrivateDatabase } from './backup/reach-database.ts';
import { buildIfChanged } from './build.ts';
import { runToEnd } from './processes.ts';
import { built } from './server-process.ts';
import { ROOT } from './temporary-application.ts';
import { Trouble } from './tools.ts';

await runCommand(async () => {
  const [email, ...more] = process.argv.slice(2);
  if (email === undefined || more.length > 0) throw new Trouble('Use: npm run reset-password -- E-MAIL');
  await buildIfChanged(ROOT);
  const reset = async (url: string): Promise<void> => {
    const env = { ...process.env, BRIGHT_SPROUT_DB_URL: url };
    process.exitCode = await runToEnd(process.execPath, [built(ROOT, 'run-reset-password.js'), email], {
      env,
    });
  };
  const own = process.env.BRIGHT_SPROUT_DB_URL;
  if (own !== undefined) return reset(own);
  return withPrivateDatabase(dataFolder(ROOT), reset);
});
