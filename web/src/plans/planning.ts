import { type Remote, wrap } from 'comlink';
import type { Planning } from './planning.worker.ts';

let shared: Remote<Planning> | undefined;

/** The worker that judges plans as they are changed. */
export function planning(): Remote<Planning> {
  shared ??= wrap<Planning>(makeWorker());
  return shared;
}

/** A worker of its own for long work, which ends when it is cancelled. */
export function ownPlanning(): { readonly ask: Remote<Planning>; readonly end: () => void } {
  const worker = makeWorker();
  return { ask: wrap<Planning>(worker), end: () => worker.terminate() };
}

function makeWorker(): Worker {
  return new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module' });
}
