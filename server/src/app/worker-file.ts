import type { WorkerFile } from '../shared/index.ts';

/** True when the sources run as they are, as in tests. */
const isSource = import.meta.url.endsWith('.ts');

/** What threads run: the built file, or its source read by the compiler that the scripts use. */
export const WORKER_FILE: WorkerFile = {
  url: new URL(isSource ? './heavy-worker.ts' : './heavy-worker.js', import.meta.url),
  execArgv: isSource ? ['--import=@swc-node/register/esm-register', '--conditions=brightsprout-src'] : [],
};
