import { existsSync, readFileSync } from 'node:fs';

/** Memory that a process holds, in MB; 0 where the system does not tell. */
export function memoryMb(pid: number): number {
  const path = `/proc/${pid}/status`;
  if (!existsSync(path)) return 0;
  const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(path, 'utf8'))?.[1];
  return Number(kb ?? 0) / 1024;
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
