import { readFileSync } from 'node:fs';

/**
 * The longest that the event loop was held at one go, as processor time of this thread: what other programs of the
 * machine take away meanwhile does not count.
 * @returns in units of `yardstickMs`
 */
export async function heldDuring(work: () => Promise<void>): Promise<number> {
  let last = processorMs();
  let most = 0;
  const look = (): void => {
    const now = processorMs();
    most = Math.max(most, now - last);
    last = now;
  };
  const looking = setInterval(look, 1);
  try {
    await work();
    look();
  } finally {
    clearInterval(looking);
  }
  return most / yardstickMs();
}

const ROUNDS = 5;

/** Processor time of a fixed piece of work, so that a bound holds on a slow machine as on a quick one: its median. */
function yardstickMs(): number {
  const rows = Array.from({ length: 20_000 }, (_, index) => ({ id: `r${index}`, value: index * 1.37 }));
  const rounds = Array.from({ length: ROUNDS }, () => {
    const begun = processorMs();
    JSON.parse(JSON.stringify(rows));
    return processorMs() - begun;
  });
  return rounds.sort((a, b) => a - b)[(ROUNDS - 1) / 2] as number;
}

/** Processor time of the first thread of this process so far, in ms; Node counts only that of all threads together. */
function processorMs(): number {
  const [ns] = readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ');
  return Number(ns) / 1e6;
}
