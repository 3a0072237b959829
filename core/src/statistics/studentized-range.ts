import { gaussLegendre, integrate } from './gauss-legendre.ts';
import { normalCdf, normalDensity } from './normal.ts';
import { StudentizedTail } from './studentized-tail.ts';

const INNER = gaussLegendre(24);
const NORMAL_END = 8.5;

/**
 * P(W ≥ w) for the range W of `groups` independent standard normal values:
 * 1 − [2Φ(w/2) − 1]^k − 2k ∫ φ(z) [Φ(z) − Φ(z − w)]^(k−1) dz from w/2 on (Hartley 1942).
 */
function rangeAbove(w: number, groups: number): number {
  if (w <= 0) return 1;
  const half = w / 2;
  if (half >= NORMAL_END) return 0;
  const inside = (2 * normalCdf(half) - 1) ** groups;
  const share = (z: number): number => normalDensity(z) * (normalCdf(z) - normalCdf(z - w)) ** (groups - 1);
  const outside = integrate(INNER, half, NORMAL_END, share);
  return Math.max(0, 1 - inside - 2 * groups * outside);
}

const tails = new Map<number, StudentizedTail>();

function tailOf(groups: number): StudentizedTail {
  const known = tails.get(groups);
  if (known) return known;
  const tail = new StudentizedTail((w) => rangeAbove(w, groups), 2 * NORMAL_END);
  tails.set(groups, tail);
  return tail;
}

/**
 * P(Q ≥ q) for the studentised range of `groups` means with `df` degrees of freedom: the range divided by an
 * independent estimate of the standard deviation (Tukey 1949), integrated over that estimate.
 * @param groups 2 or more
 * @param df 1 or more, fractional allowed
 */
export function studentizedRangeSurvival(q: number, groups: number, df: number): number {
  return tailOf(groups).above(q, df);
}

/** The studentised range that leaves `tail` above it. */
export function studentizedRangeLeaving(tail: number, groups: number, df: number): number {
  return tailOf(groups).leaving(tail, df);
}
