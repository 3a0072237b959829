import { monitorEventLoopDelay } from 'node:perf_hooks';
import { Worker } from 'node:worker_threads';

const RESOLUTION_MS = 5;

/** A thread that has nothing to do, and tells how late it was all the same: so long the machine itself was busy. */
const BYSTANDER = `
  const { monitorEventLoopDelay } = require('node:perf_hooks');
  const { parentPort } = require('node:worker_threads');
  const delay = monitorEventLoopDelay({ resolution: ${RESOLUTION_MS} });
  delay.enable();
  parentPort.on('message', () => parentPort.postMessage(delay.max / 1e6));
  parentPort.postMessage('ready');
`;

/** Measures how long the event loop was held at a time at most, beyond what the machine held a bystander. */
export async function heldAtMost<T>(work: () => Promise<T>): Promise<{ result: T; heldMs: number }> {
  const bystander = new Worker(BYSTANDER, { eval: true });
  const next = (): Promise<unknown> => new Promise((resolve) => bystander.once('message', resolve));
  await next();
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
  delay.enable();
  const result = await work();
  delay.disable();
  const answer = next();
  bystander.postMessage('how late?');
  const machineMs = Number(await answer);
  await bystander.terminate();
  return { result, heldMs: Math.max(0, delay.max / 1e6 - machineMs) };
}
