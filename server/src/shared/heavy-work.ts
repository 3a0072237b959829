import { say } from '@bright-sprout/words/refusals';
import { setTimeout as pause } from 'node:timers/promises';
import { Inject, Injectable, Logger, type OnModuleDestroy, StreamableFile, type Type } from '@nestjs/common';
import { Piscina } from 'piscina';
import { ApiError } from './api-error.ts';
import { SETTINGS, type Settings } from './settings.ts';
import { isConnectionLoss } from './transactions.ts';
import { type SentFailure, failureFrom } from './worker-failure.ts';

/** Where a task finds the services that do it. */
export interface Services {
  get<S>(type: Type<S>): S;
}

/** Work of one service that would hold others up, done in a thread of its own. */
export interface HeavyTask<Input, Output> {
  readonly name: string;
  /** Threads it runs in: figures are many and quick, files are strangers' and have less memory. */
  readonly pool: keyof typeof POOLS;
  /** Where its own work takes longer than that of others in its pool. */
  readonly mostMs?: number;
  run(services: Services, input: Input): Promise<Output>;
}

/** What a thread is asked. */
export interface WorkerJob {
  readonly task: string;
  readonly input: unknown;
}

/** What a thread answers: a file, or JSON, as bytes that are handed over, so that nobody else has to make or copy them. */
export type WorkerAnswer = Uint8Array | { readonly failure: SentFailure };

/** How a pool is run; times are for work that is stuck, far above what the largest class takes. */
const POOLS = {
  figures: { maxThreads: 2, memoryMb: 768, mostMs: 60_000 },
  files: { maxThreads: 2, memoryMb: 256, mostMs: 60_000 },
} as const;

const MOST_WAITING = 200;
const TRIES = 3;
const IDLE_MS = 5 * 60_000;

function readyIn(pool: keyof typeof POOLS): HeavyTask<undefined, string> {
  return { name: `ready-${pool}`, pool, run: () => pause(READY_MS, 'ready') };
}

/** Long enough that each thread takes one, and none takes two. */
const READY_MS = 30;

/** Does nothing, in threads that are ready to do something. */
export const READY = { figures: readyIn('figures'), files: readyIn('files') } as const;

/** Injection token of the file that threads run. */
export const WORKER_FILE = Symbol('worker file');

/** Where and how threads are started. */
export interface WorkerFile {
  readonly url: URL;
  readonly execArgv: readonly string[];
}

/** Runs heavy tasks in pools of threads. A task that takes too long, or too much, ends its thread and nothing else. */
@Injectable()
export class HeavyWork implements OnModuleDestroy {
  readonly #log = new Logger('HeavyWork');
  readonly #pools = new Map<string, Piscina<WorkerJob, WorkerAnswer>>();
  #isEnding = false;

  constructor(
    @Inject(SETTINGS) private readonly settings: Settings,
    @Inject(WORKER_FILE) private readonly file: WorkerFile,
  ) {}

  /** Starts all threads and waits until they can work, or until they are not wanted any more. */
  async warm(): Promise<void> {
    for (const task of Object.values(READY)) this.#pool(task.pool, POOLS[task.pool].maxThreads);
    try {
      await Promise.all(
        Object.values(READY).flatMap((task) =>
          Array.from({ length: POOLS[task.pool].maxThreads }, () => this.bytes(task, undefined)),
        ),
      );
    } catch (thrown) {
      if (!this.#isEnding) throw thrown;
    }
  }

  /**
   * The answer of a task as bytes: a file as it is, anything else as JSON.
   * @throws ApiError what the task threw; `took_too_long`, `too_busy`
   */
  async bytes<Input, Output>(task: HeavyTask<Input, Output>, input: Input): Promise<Uint8Array> {
    for (let attempt = 1; ; attempt += 1) {
      const answer = await this.#run(task, input);
      if (!('failure' in answer)) return answer;
      const failure = failureFrom(answer.failure);
      // Every task may be repeated; a thread may only have slept through a restart of the database.
      if (attempt === TRIES || !isConnectionLoss(failure)) throw failure;
    }
  }

  async #run<Input, Output>(task: HeavyTask<Input, Output>, input: Input): Promise<WorkerAnswer> {
    const tooLong = AbortSignal.timeout(task.mostMs ?? POOLS[task.pool].mostMs);
    try {
      return await this.#pool(task.pool).run({ task: task.name, input }, { signal: tooLong });
    } catch (thrown) {
      throw this.#inWords(task.name, thrown, tooLong.aborted);
    }
  }

  /** The answer of a task; small ones only, as it is read here. */
  async value<Input, Output>(task: HeavyTask<Input, Output>, input: Input): Promise<Awaited<Output>> {
    const text = Buffer.from(await this.bytes(task, input)).toString();
    return (text === '' ? undefined : JSON.parse(text)) as Awaited<Output>;
  }

  async onModuleDestroy(): Promise<void> {
    this.#isEnding = true;
    await Promise.all([...this.#pools.values()].map((pool) => pool.destroy()));
  }

  #inWords(name: string, thrown: unknown, isTooLong: boolean): unknown {
    const { code, message } = thrown as { code?: unknown; message?: string };
    if (isTooLong || code === 'ERR_WORKER_OUT_OF_MEMORY') {
      this.#log.warn(`${name} was ended: ${isTooLong ? 'it took too long' : 'it took too much memory'}`);
      return new ApiError('took_too_long', say('thisIsTooMuchToWorkThrough'));
    }
    if (message?.includes('queue') === true) {
      return new ApiError('too_busy', say('tooMuchIsAskedAtOnceWait'));
    }
    return thrown;
  }

  #pool(name: keyof typeof POOLS, minThreads = 0): Piscina<WorkerJob, WorkerAnswer> {
    const known = this.#pools.get(name);
    if (known) return known;
    const { maxThreads, memoryMb } = POOLS[name];
    const pool = new Piscina<WorkerJob, WorkerAnswer>({
      filename: this.file.url.href,
      execArgv: [...this.file.execArgv],
      minThreads,
      maxThreads,
      idleTimeout: IDLE_MS,
      // A thread that waits must hear that its database connections were closed.
      atomics: 'disabled',
      maxQueue: MOST_WAITING,
      workerData: this.settings,
      resourceLimits: { maxOldGenerationSizeMb: memoryMb },
    });
    pool.on('error', (thrown) => this.#log.error(thrown instanceof Error ? thrown.stack : String(thrown)));
    this.#pools.set(name, pool);
    return pool;
  }
}

/** JSON that a thread made, as an answer. */
export function jsonFile(json: Uint8Array): StreamableFile {
  return new StreamableFile(json, { type: 'application/json; charset=utf-8', length: json.byteLength });
}
