import { existsSync, readFileSync } from 'node:fs';
import { cpuSeconds } from '@bright-sprout/scripts';
import type { Connection } from 'mysql2/promise';

/** Memory that a process holds, in MB; 0 where the system does not tell. */
export function memoryMb(pid: number): number {
  const path = `/proc/${pid}/status`;
  if (!existsSync(path)) return 0;
  const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(path, 'utf8'))?.[1];
  return Number(kb ?? 0) / 1024;
}

/** Seconds of a core that a process has taken. @throws Error where the system does not tell */
export function secondsOf(pid: number): number {
  const seconds = cpuSeconds(pid);
  if (seconds === undefined) throw new Error('this system does not tell how much time a process takes');
  return seconds;
}

/** The process of a database on this machine. */
export async function pidOfDatabase(database: Connection): Promise<number> {
  const [rows] = await database.query('SELECT @@pid_file AS file, @@datadir AS folder');
  const [{ file, folder }] = rows as [{ file: string; folder: string }];
  return Number(readFileSync(file.startsWith('/') ? file : `${folder}${file}`, 'utf8'));
}

/** Runs `work` over a list, so many at a time, in order of the list. */
export async function atOnce<T>(
  items: readonly T[],
  many: number,
  work: (item: T) => Promise<void>,
): Promise<void> {
  let next = 0;
  const lane = async (): Promise<void> => {
    while (next < items.length) {
      const item = items[next] as T;
      next += 1;
      await work(item);
    }
  };
  await Promise.all(Array.from({ length: Math.min(many, items.length) }, lane));
}
