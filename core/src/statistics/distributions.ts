import { incompleteBeta, logGamma } from './incomplete-beta.ts';
import { normalCdf } from './normal.ts';

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

/** P(T ≤ t), t ≥ 0, for the noncentral t distribution (Lenth 1989, AS 243). */
export function noncentralTBelow(t: number, df: number, noncentrality: number): number {
  const x = (t * t) / (df + t * t);
  const mean = (noncentrality * noncentrality) / 2;
  const count = termsOf(mean);
  const even = fallingBetas(x, 0.5, df / 2, count);
  const odd = fallingBetas(x, 1, df / 2, count);
  let sum = 0;
  for (let j = 0; j < count; j += 1) {
    const shared = logPower(mean, j) - mean;
    sum += Math.exp(shared - logGamma(j + 1)) * (even[j] as number);
    sum += (noncentrality / Math.SQRT2) * Math.exp(shared - logGamma(j + 1.5)) * (odd[j] as number);
  }
  return Math.min(1, normalCdf(-noncentrality) + sum / 2);
}

/** Terms of a Poisson mixture beyond which nothing is left to add. */
function termsOf(mean: number): number {
  return Math.ceil(mean + 12 * Math.sqrt(mean) + 40);
}

/** ln(meanʲ), with 0⁰ = 1. */
function logPower(mean: number, j: number): number {
  return j === 0 ? 0 : j * Math.log(mean);
}

/** I_x(a, b) − I_x(a + 1, b). */
function betaStep(x: number, a: number, b: number): number {
  return Math.exp(a * Math.log(x) + b * Math.log1p(-x) + logGamma(a + b) - logGamma(a + 1) - logGamma(b));
}

/** I_x(a + j, b) for j = 0 … count − 1, from the last one down by adding steps, which loses no digits. */
function fallingBetas(x: number, a: number, b: number, count: number): number[] {
  const values = new Array<number>(count).fill(0);
  if (x <= 0) return values;
  let at = a + count - 1;
  let value = incompleteBeta(x, at, b);
  let step = betaStep(x, at - 1, b);
  for (let j = count - 1; j >= 0; j -= 1) {
    values[j] = value;
    value += step;
    at -= 1;
    step *= at / ((at + b - 1) * x);
  }
  return values;
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
