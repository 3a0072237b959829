import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { normalCdf } from './normal.ts';
import { ranksOf, tieSum } from './ranks.ts';

/** The most values in a group for which the exact distribution is counted. */
export const MOST_EXACT_RANKS = 20;

/** Two groups compared by ranks. */
export interface MannWhitney {
  /** Pairs in which the second group's value is the larger, ties as half: 0 to n₁·n₂. */
  readonly u: number;
  /** `u` ÷ (n₁·n₂): how often a pot of the second group beats one of the first. */
  readonly share: number;
  readonly p: number;
  readonly isExact: boolean;
}

/**
 * The rank-sum test of Mann and Whitney (1947), two-sided. Exact without ties when neither group has more than
 * 20 values; else by the normal distribution with correction for ties and continuity (R `wilcox.test`, which
 * counts exactly up to 49).
 * @returns undefined for an empty group, or when all values are the same
 */
export function mannWhitney(first: readonly number[], second: readonly number[]): Outcome<MannWhitney> {
  const [n1, n2] = [first.length, second.length];
  if (n1 === 0 || n2 === 0) return notDefined('group_too_small');
  const { of, ties } = ranksOf([...first, ...second]);
  const rankSum = of.slice(n1).reduce((sum, rank) => sum + rank, 0);
  const u = rankSum - (n2 * (n2 + 1)) / 2;
  const share = u / (n1 * n2);
  if (ties.length === 0 && Math.max(n1, n2) <= MOST_EXACT_RANKS) {
    return defined({ u, share, p: exactP(u, n1, n2), isExact: true });
  }
  const n = n1 + n2;
  const variance = ((n1 * n2) / 12) * (n + 1 - tieSum(ties) / (n * (n - 1)));
  if (!(variance > 0)) return notDefined('no_spread');
  const away = Math.abs(u - (n1 * n2) / 2);
  const z = Math.max(0, away - 0.5) / Math.sqrt(variance);
  return defined({ u, share, p: Math.min(1, 2 * normalCdf(-z)), isExact: false });
}

/** Two-sided tail of U, every order of the values equally likely. */
function exactP(u: number, n1: number, n2: number): number {
  const counts = waysOfU(n1, n2);
  const all = counts.reduce((sum, ways) => sum + ways, 0);
  const low = Math.min(u, n1 * n2 - u);
  let tail = 0;
  for (let value = 0; value <= low; value += 1) tail += counts[value] as number;
  return Math.min(1, (2 * tail) / all);
}

/** Number of orders of n₁ + n₂ values with each U, by the recurrence over which group the largest belongs to. */
function waysOfU(n1: number, n2: number): number[] {
  const most = n1 * n2;
  let rows = Array.from({ length: n2 + 1 }, () => filled(most, 1));
  for (let i = 1; i <= n1; i += 1) {
    const next = [filled(most, 1)];
    for (let j = 1; j <= n2; j += 1) {
      const [without, within] = [rows[j] as number[], next[j - 1] as number[]];
      next.push(without.map((_, u) => (u >= j ? (without[u - j] as number) : 0) + (within[u] as number)));
    }
    rows = next;
  }
  return rows[n2] as number[];
}

/** Counts with one way of a U of 0 and none of any other. */
function filled(most: number, atZero: number): number[] {
  const counts = new Array<number>(most + 1).fill(0);
  counts[0] = atZero;
  return counts;
}
