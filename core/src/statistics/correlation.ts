import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, type Interval, meanOf } from './describe.ts';
import { tForInterval, twoSidedT } from './distributions.ts';
import { ranksOf } from './ranks.ts';

const Z95 = 1.959963984540054;

type Points = readonly (readonly [x: number, y: number])[];

/** A straight line through points. */
export interface Line {
  readonly intercept: number;
  readonly slope: number;
  readonly slopeError: number;
  /** 95 % interval of the slope. */
  readonly slopeInterval: Interval;
  /** Residual standard error, n − 2 degrees of freedom. */
  readonly residualError: number;
  readonly rSquared: number;
  /** Two-sided, of a slope of 0. */
  readonly p: number;
}

/** How two measures go together. */
export interface Correlation {
  readonly r: number;
  readonly p: number;
}

/**
 * The least-squares line of y on x (Gauss 1809; R `lm`).
 * Undefined with fewer than three points, or when either does not vary.
 */
export function lineThrough(points: Points): Outcome<Line> {
  const n = points.length;
  if (n < 3) return notDefined('too_few_points');
  const { sxx, syy, sxy, meanX, meanY } = momentsOf(points);
  if (sxx === 0 || syy === 0) return notDefined('no_spread');
  const slope = sxy / sxx;
  const left = Math.max(0, syy - slope * sxy);
  const residualError = Math.sqrt(left / (n - 2));
  const slopeError = residualError / Math.sqrt(sxx);
  return defined({
    intercept: meanY - slope * meanX,
    slope,
    slopeError,
    slopeInterval: around(slope, tForInterval(0.95, n - 2) * slopeError),
    residualError,
    rSquared: sxy ** 2 / (sxx * syy),
    p: twoSidedT(slope / slopeError, n - 2),
  });
}

/** Pearson's correlation (1895) with its 95 % interval by Fisher's z (1921; R `cor.test`); the interval needs four points. */
export function pearson(points: Points): Outcome<Correlation & { readonly interval: Outcome<Interval> }> {
  const plain = correlationOf(points);
  if (!plain.defined) return plain;
  const { r } = plain.value;
  const n = points.length;
  if (n < 4 || Math.abs(r) >= 1) return defined({ ...plain.value, interval: notDefined('too_few_points') });
  const reach = Z95 / Math.sqrt(n - 3);
  const interval = { low: Math.tanh(Math.atanh(r) - reach), high: Math.tanh(Math.atanh(r) + reach) };
  return defined({ ...plain.value, interval: defined(interval) });
}

/**
 * Spearman's rank correlation (1904), ties by midranks, p by Student's t with n − 2 degrees of freedom
 * (SciPy `spearmanr`; R's default counts exactly for few points without ties).
 */
export function spearman(points: Points): Outcome<Correlation> {
  const x = ranksOf(points.map(([value]) => value)).of;
  const y = ranksOf(points.map(([, value]) => value)).of;
  return correlationOf(x.map((rank, index) => [rank, y[index] as number]));
}

function correlationOf(points: Points): Outcome<Correlation> {
  const n = points.length;
  if (n < 3) return notDefined('too_few_points');
  const { sxx, syy, sxy } = momentsOf(points);
  if (sxx === 0 || syy === 0) return notDefined('no_spread');
  const r = Math.max(-1, Math.min(1, sxy / Math.sqrt(sxx * syy)));
  const p = twoSidedT(r * Math.sqrt((n - 2) / (1 - r * r)), n - 2);
  return defined({ r, p });
}

function momentsOf(points: Points): { sxx: number; syy: number; sxy: number; meanX: number; meanY: number } {
  const meanX = meanOf(points.map(([x]) => x));
  const meanY = meanOf(points.map(([, y]) => y));
  let [sxx, syy, sxy] = [0, 0, 0];
  for (const [x, y] of points) {
    sxx += (x - meanX) ** 2;
    syy += (y - meanY) ** 2;
    sxy += (x - meanX) * (y - meanY);
  }
  return { sxx, syy, sxy, meanX, meanY };
}
