import { normalCdf, normalDensity } from './normal.ts';

const FIRST_GUESS = [2.515517, 0.802853, 0.010328];
const FIRST_GUESS_BELOW = [1.432788, 0.189269, 0.001308];
const STEPS = 6;

/**
 * The value that a standard normal variable stays below with probability `p`: a rational first guess
 * (Hastings 1955), made exact by the method of Halley on {@link normalBelow}.
 * @param p above 0, below 1
 */
export function normalQuantile(p: number): number {
  const isLow = p < 0.5;
  const tail = isLow ? p : 1 - p;
  const t = Math.sqrt(-2 * Math.log(tail));
  const [a0, a1, a2] = FIRST_GUESS as [number, number, number];
  const [b1, b2, b3] = FIRST_GUESS_BELOW as [number, number, number];
  let z = -(t - (a0 + t * (a1 + t * a2)) / (1 + t * (b1 + t * (b2 + t * b3))));
  for (let step = 0; step < STEPS; step += 1) {
    const move = (normalCdf(z) - tail) / normalDensity(z);
    z -= move / (1 + (z * move) / 2);
  }
  return isLow ? z : -z;
}
