import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { mersenne } from 'pure-rand/generator/mersenne';

/** A source of repeatable chance: the same seed gives the same draws on every machine. */
export interface RandomGenerator {
  /** Uniform on [0, 1). */
  uniform(): number;
  /** Uniform whole number from `low` to `high`, both included. */
  integer(low: number, high: number): number;
  /** Normal with mean 0 and SD 1 (Box and Muller 1958). */
  normal(): number;
  /** True with probability `p`. */
  happens(p: number): boolean;
}

/**
 * The Mersenne Twister (Matsumoto and Nishimura 1998) started from a 32-bit seed. Its seeding mixes every bit, so that
 * seeds in a row, as those of rehearsed classes, give unrelated draws; xoroshiro128+ begins with the seed itself, and its
 * first draws are then nearly the same.
 */
export function randomGenerator(seed: number): RandomGenerator {
  const generator = mersenne(seed);
  const uniform = (): number => uniformFloat64(generator);
  return {
    uniform,
    integer: (low, high) => uniformInt(generator, low, high),
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    happens: (p) => uniform() < p,
  };
}

/** A shuffled copy (Fisher and Yates; Durstenfeld 1964): every order equally likely. */
export function shuffled<T>(items: readonly T[], chance: RandomGenerator): T[] {
  const result = [...items];
  for (let last = result.length - 1; last > 0; last -= 1) {
    const other = chance.integer(0, last);
    [result[last], result[other]] = [result[other] as T, result[last] as T];
  }
  return result;
}
