import { gaussLegendre, integrate } from './gauss-legendre.ts';
import { normalCdf, normalDensity } from './normal.ts';
import { StudentizedTail } from './studentized-tail.ts';

const RULE = gaussLegendre(48);
const NORMAL_END = 8.5;
/** Correlations are rounded to this, so that few tails are tabulated; p changes by less than one in a hundred of itself. */
export const CORRELATION_STEP = 0.05;
const MOST_CORRELATION = 0.95;

/**
 * P(max |Zᵢ| ≥ t) of `comparisons` standard normal values that share a correlation:
 * 1 − ∫ φ(z) [Φ((t + √ρ z)/√(1 − ρ)) − Φ((−t + √ρ z)/√(1 − ρ))]^m dz (Dunnett 1955).
 */
function largestAbove(t: number, comparisons: number, correlation: number): number {
  const [shared, own] = [Math.sqrt(correlation), Math.sqrt(1 - correlation)];
  const within = integrate(
    RULE,
    -NORMAL_END,
    NORMAL_END,
    (z) =>
      normalDensity(z) *
      (normalCdf((t + shared * z) / own) - normalCdf((-t + shared * z) / own)) ** comparisons,
  );
  return Math.min(1, Math.max(0, 1 - within));
}

const tails = new Map<string, StudentizedTail>();

function tailOf(comparisons: number, correlation: number): StudentizedTail {
  const step = Math.round(Math.min(correlation, MOST_CORRELATION) / CORRELATION_STEP);
  const key = `${comparisons} ${step}`;
  const known = tails.get(key);
  if (known) return known;
  const tail = new StudentizedTail((t) => largestAbove(t, comparisons, step * CORRELATION_STEP), NORMAL_END);
  tails.set(key, tail);
  return tail;
}

/**
 * P(at least one of `comparisons` t values against one control is as large as t, in size), by Dunnett (1955).
 * @param correlation of any two of them, 0–1; 0.5 when control and treatments have equally many units
 * @param df 1 or more, fractional allowed
 */
export function dunnettSurvival(t: number, comparisons: number, correlation: number, df: number): number {
  return tailOf(comparisons, correlation).above(t, df);
}

/** The t that leaves `tail` above it. */
export function dunnettLeaving(tail: number, comparisons: number, correlation: number, df: number): number {
  return tailOf(comparisons, correlation).leaving(tail, df);
}
