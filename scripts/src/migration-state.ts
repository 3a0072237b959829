import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import mysql from 'mysql2/promise';

/** Times of the migrations that this code has, which begin the names of their files. */
export function migrationNames(root: string): string[] {
  return readdirSync(join(root, 'server', 'migrations')).flatMap((name) => /^\d+/.exec(name) ?? []);
}

/** True when a database has had exactly these migrations; a backup put back may have had fewer, a later version more. */
export async function isUpToDate(url: string, times: readonly string[]): Promise<boolean> {
  const connection = await mysql.createConnection(url);
  try {
    const [rows] = await connection.query('SELECT timestamp FROM migrations');
    const done = new Set(
      (rows as { timestamp: number | string }[]).map(({ timestamp }) => String(timestamp)),
    );
    return done.size === times.length && times.every((time) => done.has(time));
  } catch {
    return false;
  } finally {
    await connection.end();
  }
}
