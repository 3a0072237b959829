import { existsSync, readdirSync, readFileSync } from 'node:fs';

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

/** Processor time that the whole machine spent so far, in seconds; undefined where the system does not tell. */
export function machineCpuSeconds(): number | undefined {
  if (!existsSync('/proc/stat')) return undefined;
  const [all = ''] = readFileSync('/proc/stat', 'utf8').split('\n', 1);
  const [user = 0, nice = 0, system = 0, , , irq = 0, softirq = 0] = all.split(/\s+/).slice(1).map(Number);
  return (user + nice + system + irq + softirq) / TICKS;
}

interface Seen {
  readonly parent: number;
  readonly seconds: number;
}

const LOOK_MS = 500;

/** Adds up the processor time of processes with all that they start, by looking at them again and again. */
export class CpuMeter {
  readonly #names = new Map<number, string>();
  /** What each process took when it was last seen, by its number and its beginning. */
  readonly #taken = new Map<string, { readonly name: string; readonly seconds: number }>();
  readonly #timer = setInterval(() => this.#look(), LOOK_MS).unref();

  /** Counts a process, and what it starts, under a name. */
  watch(pid: number | undefined, name: string): void {
    if (pid !== undefined) this.#names.set(pid, name);
  }

  /** Seconds under a name so far; what a process took after it was last seen is missing. */
  secondsOf(name: string): number {
    let sum = 0;
    for (const one of this.#taken.values()) if (one.name === name) sum += one.seconds;
    return sum;
  }

  stop(): void {
    clearInterval(this.#timer);
  }

  #look(): void {
    const seen = new Map<number, Seen & { readonly began: string }>();
    for (const entry of readProcesses()) seen.set(entry.pid, entry);
    for (const [pid, { seconds, began }] of seen) {
      const key = `${pid} ${began}`;
      const name = this.#taken.get(key)?.name ?? this.#nameOf(pid, seen);
      if (name !== undefined) this.#taken.set(key, { name, seconds });
    }
  }

  #nameOf(pid: number, seen: ReadonlyMap<number, Seen>): string | undefined {
    for (let at = pid; at > 1; at = seen.get(at)?.parent ?? 0) {
      const name = this.#names.get(at);
      if (name !== undefined) return name;
    }
    return undefined;
  }
}

function readProcesses(): (Seen & { readonly pid: number; readonly began: string })[] {
  if (!existsSync('/proc/stat')) return [];
  return readdirSync('/proc').flatMap((name) => {
    const pid = Number(name);
    if (!Number.isInteger(pid)) return [];
    try {
      const [, after = ''] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ');
      const fields = after.split(' ');
      const seconds = (Number(fields[11]) + Number(fields[12])) / TICKS;
      return [{ pid, parent: Number(fields[1]), began: fields[19] ?? '', seconds }];
    } catch {
      return [];
    }
  });
}
