import { pf, pt, qt } from 'lib-r-math.js';

/** P(|T| ≥ |t|) for Student's t with `df` degrees of freedom (fractional allowed). */
export function twoSidedT(t: number, df: number): number {
  return Math.min(1, 2 * pt(-Math.abs(t), df));
}

/** The t that leaves (1 − level)/2 in each tail. */
export function tForInterval(level: number, df: number): number {
  return qt(1 - (1 - level) / 2, df);
}

/** P(F ≥ f) for the F distribution. */
export function upperF(f: number, df1: number, df2: number): number {
  return pf(f, df1, df2, undefined, false);
}
