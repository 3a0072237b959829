import { setTimeout as sleep } from 'node:timers/promises';
import { Trouble } from './tools.ts';

const FIRST_PAUSE_MS = 300;
const LONGEST_PAUSE_MS = 30_000;

/** One that has run for so long is well: the next pause is short again. */
const WELL_AFTER_MS = 60_000;

/** Something that is started, may end by itself, and is then started again. */
export interface Kept {
  readonly name: string;
  /** Starts it; `ended` is called when it ends without being asked to. */
  readonly start: (ended: () => void) => Promise<void>;
  /** True once all is being stopped. */
  readonly isStopping: () => boolean;
  readonly say: (words: string) => void;
}

/**
 * Starts something again whenever it ends, after a pause that grows while it keeps ending. It never gives up: a disk
 * that was full, or a port that was taken, may be free in a while.
 */
export function keepRunning(kept: Kept): () => void {
  let pause = FIRST_PAUSE_MS;
  let startedAt = performance.now();
  const again = (): void => void restart();
  const restart = async (): Promise<void> => {
    if (performance.now() - startedAt > WELL_AFTER_MS) pause = FIRST_PAUSE_MS;
    let lastWords = '';
    kept.say(`${kept.name} ended by itself; starting it again …`);
    while (!kept.isStopping()) {
      await sleep(pause);
      pause = Math.min(LONGEST_PAUSE_MS, pause * 2);
      if (kept.isStopping()) return;
      try {
        startedAt = performance.now();
        await kept.start(again);
        kept.say(`${kept.name} runs again`);
        return;
      } catch (error) {
        const words = error instanceof Trouble ? error.message : String(error);
        if (words !== lastWords) kept.say(`${words}\nIt is tried again by itself.`);
        lastWords = words;
      }
    }
  };
  return again;
}
