import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, meanOf, varianceOf } from './describe.ts';
import { tForInterval, twoSidedT } from './distributions.ts';
import { normalCdf } from './normal.ts';
import { ranksOf, tieSum } from './ranks.ts';
import { isNegligible, type WelchT } from './welch-t.ts';

type Pairs = readonly (readonly [number, number])[];

const MOST_EXACT_PAIRS = 49;
/** Digits of a value that count. */
const DIGITS = 10;

/**
 * The paired t test (Student 1908; R `t.test(paired = TRUE)`), second minus first.
 * Undefined with fewer than two pairs, or when all differences are the same.
 */
export function pairedT(pairs: Pairs): Outcome<WelchT> {
  const differences = pairs.map(([first, second]) => second - first);
  if (differences.length < 2) return notDefined('group_too_small');
  const se = Math.sqrt(varianceOf(differences) / differences.length);
  if (isNegligible(se, pairs.flat())) return notDefined('no_spread');
  const df = differences.length - 1;
  const difference = meanOf(differences);
  const t = difference / se;
  const interval = around(difference, tForInterval(0.95, df) * se);
  return defined({ difference, interval, t, df, p: twoSidedT(t, df) });
}

/** Pairs compared by the ranks of their differences. */
export interface SignedRank {
  /** Sum of the ranks of positive differences. */
  readonly v: number;
  /** Pairs that differ. */
  readonly n: number;
  readonly p: number;
  readonly isExact: boolean;
}

/**
 * The signed-rank test of Wilcoxon (1945), two-sided; pairs without difference are dropped. Exact up to 49 pairs
 * without ties or zeros, else by the normal distribution with correction for ties and continuity (R `wilcox.test`).
 * @returns undefined when no pair differs
 */
export function signedRank(pairs: Pairs): Outcome<SignedRank> {
  const differences = differencesOf(pairs).filter((difference) => difference !== 0);
  const n = differences.length;
  if (n === 0) return notDefined(pairs.length === 0 ? 'no_values' : 'no_spread');
  const { of, ties } = ranksOf(differences.map(Math.abs));
  const v = of.reduce((sum, rank, index) => sum + ((differences[index] as number) > 0 ? rank : 0), 0);
  if (ties.length === 0 && n === pairs.length && n <= MOST_EXACT_PAIRS) {
    return defined({ v, n, p: exactP(v, n), isExact: true });
  }
  const variance = (n * (n + 1) * (2 * n + 1)) / 24 - tieSum(ties) / 48;
  const away = Math.abs(v - (n * (n + 1)) / 4);
  const z = Math.max(0, away - 0.5) / Math.sqrt(variance);
  return defined({ v, n, p: Math.min(1, 2 * normalCdf(-z)), isExact: false });
}

/** Second minus first, in whole grains, without the rounding of binary fractions: equal differences of decimal readings must tie. */
function differencesOf(pairs: Pairs): number[] {
  const largest = Math.max(...pairs.flat().map(Math.abs), Number.MIN_VALUE);
  const grain = 10 ** (Math.ceil(Math.log10(largest)) - DIGITS);
  return pairs.map(([first, second]) => Math.round((second - first) / grain));
}

function exactP(v: number, n: number): number {
  const most = (n * (n + 1)) / 2;
  let chances = [1];
  for (let rank = 1; rank <= n; rank += 1) {
    const next = new Array<number>((rank * (rank + 1)) / 2 + 1).fill(0);
    chances.forEach((chance, sum) => {
      next[sum] = (next[sum] as number) + chance / 2;
      next[sum + rank] = (next[sum + rank] as number) + chance / 2;
    });
    chances = next;
  }
  const low = Math.min(v, most - v);
  return Math.min(1, 2 * chances.slice(0, low + 1).reduce((sum, chance) => sum + chance, 0));
}
