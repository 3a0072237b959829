import { incompleteBeta } from './incomplete-beta.ts';

const HALVINGS = 200;

/** P(|T| ≥ |t|) for Student's t with `df` degrees of freedom (fractional allowed). */
export function twoSidedT(t: number, df: number): number {
  return incompleteBeta(df / (df + t * t), df / 2, 0.5);
}

const knownT = new Map<number, number>();

/** The t that leaves (1 − level)/2 in each tail. Those of 95 % for whole degrees of freedom are kept. */
export function tForInterval(level: number, df: number): number {
  const isKept = level === 0.95 && Number.isInteger(df);
  const known = isKept ? knownT.get(df) : undefined;
  if (known !== undefined) return known;
  const t = rootAbove((candidate) => twoSidedT(candidate, df) - (1 - level));
  if (isKept) knownT.set(df, t);
  return t;
}

/** P(F ≥ f) for the F distribution. */
export function upperF(f: number, df1: number, df2: number): number {
  return incompleteBeta(df2 / (df2 + df1 * f), df2 / 2, df1 / 2);
}

/** The value that a Beta(a, b) variable stays below with probability `p`. */
export function betaQuantile(p: number, a: number, b: number): number {
  return halved((x) => p - incompleteBeta(x, a, b), 0, 1);
}

/** Where a falling function of x > 0 crosses 0. */
function rootAbove(f: (x: number) => number): number {
  let high = 1;
  while (f(high) > 0 && high < 1e12) high *= 2;
  return halved(f, 0, high);
}

function halved(f: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let step = 0; step < HALVINGS && high - low > Number.EPSILON * high; step += 1) {
    const middle = (low + high) / 2;
    if (f(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
