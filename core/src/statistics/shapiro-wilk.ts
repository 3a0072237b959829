import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { meanOf } from './describe.ts';
import { normalCdf } from './normal.ts';
import { normalQuantile } from './normal-quantile.ts';

const FEWEST = 3;
const SMALL_SAMPLE = 11;

/** How straight a sample is against a normal one. */
export interface ShapiroWilk {
  readonly w: number;
  readonly p: number;
}

/**
 * The test for a normal shape of Shapiro and Wilk (1965) in the approximation of Royston (1995, AS R94;
 * R `shapiro.test`). It holds up to 5000 values. Undefined for fewer than 3, or when all are the same.
 */
export function shapiroWilk(values: readonly number[]): Outcome<ShapiroWilk> {
  const n = values.length;
  if (n < FEWEST) return notDefined('group_too_small');
  const sorted = [...values].sort((a, b) => a - b);
  const range = (sorted[n - 1] as number) - (sorted[0] as number);
  if (range <= 1e-12 * Math.max(Math.abs(sorted[0] as number), Math.abs(sorted[n - 1] as number))) {
    return notDefined('no_spread');
  }
  const weights = weightsOf(n);
  const mean = meanOf(sorted);
  const along = sorted.reduce((sum, value, index) => sum + (weights[index] as number) * (value - mean), 0);
  const squares = sorted.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const w = Math.min(1, along ** 2 / squares);
  return defined({ w, p: pOf(w, n) });
}

function weightsOf(n: number): number[] {
  if (n === 3) return [-Math.SQRT1_2, 0, Math.SQRT1_2];
  const m = Array.from({ length: n }, (_, index) => normalQuantile((index + 1 - 0.375) / (n + 0.25)));
  const squares = m.reduce((sum, value) => sum + value ** 2, 0);
  const size = Math.sqrt(squares);
  const u = 1 / Math.sqrt(n);
  const last =
    polynomial([-2.706056, 4.434685, -2.07119, -0.147981, 0.221157, 0], u) + (m[n - 1] as number) / size;
  if (n <= 5) {
    const scale = Math.sqrt((squares - 2 * (m[n - 1] as number) ** 2) / (1 - 2 * last ** 2));
    return m.map((value, index) => (index === 0 ? -last : index === n - 1 ? last : value / scale));
  }
  const next =
    polynomial([-3.582633, 5.682633, -1.752461, -0.293762, 0.042981, 0], u) + (m[n - 2] as number) / size;
  const scale = Math.sqrt(
    (squares - 2 * (m[n - 1] as number) ** 2 - 2 * (m[n - 2] as number) ** 2) /
      (1 - 2 * last ** 2 - 2 * next ** 2),
  );
  return m.map((value, index) => {
    const fromEnd = Math.min(index, n - 1 - index);
    const sign = index < n / 2 ? -1 : 1;
    if (fromEnd === 0) return sign * last;
    return fromEnd === 1 ? sign * next : value / scale;
  });
}

function pOf(w: number, n: number): number {
  if (n === 3) {
    const p = (6 / Math.PI) * (Math.asin(Math.sqrt(w)) - Math.asin(Math.sqrt(0.75)));
    return Math.max(0, Math.min(1, p));
  }
  const logN = Math.log(n);
  const isSmall = n <= SMALL_SAMPLE;
  const gamma = -2.273 + 0.459 * n;
  const y = Math.log(1 - w);
  if (isSmall && y >= gamma) return 0;
  const value = isSmall ? -Math.log(gamma - y) : y;
  const mean = isSmall
    ? polynomial([-0.0006714, 0.025054, -0.39978, 0.544], n)
    : polynomial([0.0038915, -0.083751, -0.31082, -1.5861], logN);
  const sd = Math.exp(
    isSmall
      ? polynomial([-0.0020322, 0.062767, -0.77857, 1.3822], n)
      : polynomial([0.0030302, -0.082676, -0.4803], logN),
  );
  return normalCdf(-(value - mean) / sd);
}

/** A polynomial by its coefficients, the highest power first. */
function polynomial(coefficients: readonly number[], x: number): number {
  return coefficients.reduce((value, coefficient) => value * x + coefficient, 0);
}
