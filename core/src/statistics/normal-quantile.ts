import { normalCdf, normalDensity } from './normal.ts';

const STEPS = 8;

/**
 * The value that a standard normal variable stays below with probability `p`: begun where the tail is bounded by
 * exp(−z²/2)/2 (Chernoff 1952), made exact by the method of Halley on {@link normalCdf}.
 * @param p above 0, below 1
 */
export function normalQuantile(p: number): number {
  const isLow = p < 0.5;
  const tail = isLow ? p : 1 - p;
  let z = -Math.sqrt(-2 * Math.log(2 * tail));
  for (let step = 0; step < STEPS; step += 1) {
    const move = (normalCdf(z) - tail) / normalDensity(z);
    z -= move / (1 + (z * move) / 2);
  }
  return isLow ? z : -z;
}
