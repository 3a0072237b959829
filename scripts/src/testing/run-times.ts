import { AsyncLocalStorage } from 'node:async_hooks';
import { availableParallelism } from 'node:os';
import { CpuMeter, machineCpuSeconds } from '../cpu-seconds.ts';
import { onCommand } from '../processes.ts';

/** How long a test file, or a test in a browser, took. */
export interface FileTime {
  readonly name: string;
  readonly seconds: number;
}

interface PartTime {
  readonly name: string;
  readonly wall: number;
  readonly cpu: number;
}

const SLOWEST = 20;

/** Measures the parts of a run, which may overlap: wall time, and processor time with all that they start. */
export class RunTimes {
  readonly #begun = performance.now();
  readonly #cpuBefore = machineCpuSeconds();
  readonly #meter = new CpuMeter();
  readonly #current = new AsyncLocalStorage<string>();
  readonly #parts: PartTime[] = [];
  readonly #files: FileTime[] = [];

  /** @param installSeconds what installing the packages took before */
  constructor(private readonly installSeconds: number) {
    onCommand((pid) => this.#meter.watch(pid, this.#current.getStore() ?? ''));
  }

  /** Runs a part of the run under its name. */
  async part<T>(name: string, work: () => Promise<T>): Promise<T> {
    const begun = performance.now();
    try {
      return await this.#current.run(name, work);
    } finally {
      const wall = (performance.now() - begun) / 1000;
      this.#parts.push({ name, wall, cpu: this.#meter.secondsOf(name) });
    }
  }

  addFiles(files: readonly FileTime[]): void {
    this.#files.push(...files);
  }

  /** The figures as tables. */
  report(): string {
    this.#meter.stop();
    const wall = (performance.now() - this.#begun) / 1000;
    const cpu = (machineCpuSeconds() ?? 0) - (this.#cpuBefore ?? 0);
    const rows: PartTime[] = [
      { name: 'install', wall: this.installSeconds, cpu: NaN },
      ...this.#parts,
      { name: 'all after the install, the whole machine', wall, cpu },
    ];
    const slowest = this.#files.toSorted((a, b) => b.seconds - a.seconds).slice(0, SLOWEST);
    return [
      `Seconds on ${availableParallelism()} processors; parts run beside each other.`,
      '',
      '| part | wall | processor |',
      '|---|---|---|',
      ...rows.map(({ name, wall: own, cpu: taken }) => `| ${name} | ${own.toFixed(0)} | ${shown(taken)} |`),
      '',
      `The slowest ${SLOWEST} files of unit tests and tests in a browser, beside others:`,
      '',
      '| file or test | seconds |',
      '|---|---|',
      ...slowest.map(({ name, seconds }) => `| ${name} | ${seconds.toFixed(1)} |`),
    ].join('\n');
  }
}

function shown(seconds: number): string {
  return Number.isFinite(seconds) && seconds > 0 ? seconds.toFixed(0) : 'not measured';
}
