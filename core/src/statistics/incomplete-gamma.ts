import { logGamma } from './incomplete-beta.ts';

const SETTLED = 1e-16;
const MOST_TERMS = 10_000;
const TINY = 1e-300;

/**
 * The regularised upper incomplete gamma function Q(a, x): by its series below a + 1, else by its continued
 * fraction (NIST DLMF 8.7.1 and 8.9.2, evaluated by the method of Lentz 1976).
 * @param a > 0
 * @param x ≥ 0
 */
export function upperIncompleteGamma(a: number, x: number): number {
  if (x <= 0) return 1;
  const front = Math.exp(a * Math.log(x) - x - logGamma(a));
  return x < a + 1 ? 1 - front * series(a, x) : front * continuedFraction(a, x);
}

/** P(X ≥ x) for the chi-square distribution with `df` degrees of freedom. */
export function chiSquareSurvival(x: number, df: number): number {
  return upperIncompleteGamma(df / 2, x / 2);
}

function series(a: number, x: number): number {
  let term = 1 / a;
  let sum = term;
  for (let n = 1; n < MOST_TERMS && term > sum * SETTLED; n += 1) {
    term *= x / (a + n);
    sum += term;
  }
  return sum;
}

function continuedFraction(a: number, x: number): number {
  let b = x + 1 - a;
  let c = 1 / TINY;
  let d = 1 / b;
  let value = d;
  for (let n = 1; n < MOST_TERMS; n += 1) {
    const numerator = -n * (n - a);
    b += 2;
    d = 1 / away(numerator * d + b);
    c = away(b + numerator / c);
    value *= c * d;
    if (Math.abs(c * d - 1) < SETTLED) break;
  }
  return value;
}

function away(value: number): number {
  return Math.abs(value) < TINY ? TINY : value;
}
