import type { WorkerFile } from '../shared/index.ts';

/** True when the sources run as they are, as in tests. */
const isSource = import.meta.url.endsWith('.ts');

/** True when tests run beside a build of the same sources, whose threads start faster. */
const isBuilt = process.env.BRIGHT_SPROUT_THREADS === 'built';

/** What threads run: the built file, or its source read by the compiler that the scripts use. */
export const WORKER_FILE: WorkerFile =
  isSource && !isBuilt
    ? {
        url: new URL('./heavy-worker.ts', import.meta.url),
        execArgv: ['--import=@swc-node/register/esm-register', '--conditions=brightsprout-src'],
      }
    : {
        url: new URL(isSource ? '../../dist/packed/heavy-worker.js' : './heavy-worker.js', import.meta.url),
        execArgv: [],
      };
