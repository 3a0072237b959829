import { defined, notDefined, type Outcome } from '../shared/index.ts';
import type { Interval } from './describe.ts';
import { betaQuantile } from './distributions.ts';

const Z95 = 1.959963984540054;

/** A share with its 95 % interval. */
export interface Share extends Interval {
  readonly share: number;
}

/**
 * A proportion with its 95 % interval by Wilson (1927), without continuity correction.
 * @returns undefined for no tries
 */
export function wilson(count: number, of: number): Outcome<Share> {
  if (of < 1) return notDefined('no_values');
  const share = count / of;
  const scale = 1 + Z95 ** 2 / of;
  const middle = (share + Z95 ** 2 / (2 * of)) / scale;
  const half = (Z95 / scale) * Math.sqrt((share * (1 - share)) / of + Z95 ** 2 / (4 * of * of));
  return defined({ share, low: Math.max(0, middle - half), high: Math.min(1, middle + half) });
}

/**
 * A proportion after a test, from what was believed before: Beta(prior·weight + up, (1 − prior)·weight + not up).
 * @param prior what the packet says, 0–1
 * @param weight how many seeds that counts for, > 0
 * @returns its mean and central 95 % interval; a flat side of the prior (0 or 1) counts half a seed
 */
export function updatedShare(prior: number, weight: number, up: number, sown: number): Share {
  const a = Math.max(prior * weight, 0.5) + up;
  const b = Math.max((1 - prior) * weight, 0.5) + sown - up;
  return { share: a / (a + b), low: betaQuantile(0.025, a, b), high: betaQuantile(0.975, a, b) };
}
