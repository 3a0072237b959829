import { randomGenerator } from '@bright-sprout/core/shared';
import { shuffledGaps, type ShuffleQuestion } from '@bright-sprout/core/comparison';
import { expose } from 'comlink';

/** Shuffles labels off the page's own thread. */
const shuffling = {
  /** The largest gap after each of `draws` shuffles; the same seed gives the same ones. */
  draw(question: ShuffleQuestion, draws: number, seed: number): number[] {
    return shuffledGaps(question, draws, randomGenerator(seed));
  },
};

/** What the worker can be asked. */
export type Shuffling = typeof shuffling;

expose(shuffling);
