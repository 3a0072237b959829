import { fileURLToPath } from 'node:url';
import { Worker } from 'jest-worker';

const WORKER = fileURLToPath(new URL('native-worker.mjs', import.meta.url));

/**
 * A Jest runner whose test files run as Node's own modules, some files after the other in one process, in place of a
 * module world of its own for each: what they import is loaded once a process, and figures run as quickly as elsewhere.
 */
export default class NativeRunner {
  #config;

  constructor(globalConfig) {
    this.#config = globalConfig;
  }

  async runTests(tests, watcher, onStart, onResult, onFailure) {
    const conditions = ['brightsprout-src', ...this.conditions];
    const worker = new Worker(WORKER, {
      numWorkers: Math.min(this.#config.maxWorkers, tests.length),
      exposedMethods: ['runFile'],
      maxRetries: 0,
      forkOptions: {
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        execArgv: [
          ...conditions.map((one) => `--conditions=${one}`),
          '--disable-warning=ExperimentalWarning',
        ],
      },
    });
    const run = async (test) => {
      if (watcher.isInterrupted()) return;
      await onStart(test);
      try {
        await onResult(test, await worker.runFile(test.path, test.context.config, this.#config));
      } catch (error) {
        await onFailure(test, { message: error.message, stack: error.stack, type: error.type ?? '' });
      }
    };
    await Promise.all(tests.map(run));
    await worker.end();
  }

  /** Conditions by which packages are resolved, beside our own. */
  get conditions() {
    return [];
  }
}
