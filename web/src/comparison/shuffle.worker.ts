import { randomGenerator } from '@bright-sprout/core/shared';
import { shuffledDifferences } from '@bright-sprout/core/statistics';
import { expose } from 'comlink';

/** Shuffles labels off the page's own thread. */
const shuffling = {
  /** Differences of means of `draws` shuffles; the same seed gives the same ones. */
  draw(first: readonly number[], second: readonly number[], draws: number, seed: number): number[] {
    return shuffledDifferences(first, second, draws, randomGenerator(seed));
  },
};

/** What the worker can be asked. */
export type Shuffling = typeof shuffling;

expose(shuffling);
