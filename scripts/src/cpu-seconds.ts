import { existsSync, readFileSync } from 'node:fs';

/** Ticks of the kernel's clock in a second, as Linux reports processor time. */
const TICKS = 100;

/** Processor time that a process took so far, in seconds; undefined where the system does not tell. */
export function cpuSeconds(pid: number): number | undefined {
  const path = `/proc/${pid}/stat`;
  if (!existsSync(path)) return undefined;
  const [, after = ''] = readFileSync(path, 'utf8').split(') ');
  const fields = after.split(' ');
  return (Number(fields[11]) + Number(fields[12])) / TICKS;
}
