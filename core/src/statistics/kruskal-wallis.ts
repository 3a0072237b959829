import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { holm } from './holm.ts';
import { chiSquareSurvival } from './incomplete-gamma.ts';
import { normalCdf } from './normal.ts';
import { ranksOf, tieSum } from './ranks.ts';

type Groups = readonly (readonly number[])[];

/** Several groups compared by ranks. */
export interface KruskalWallis {
  /** Corrected for ties. */
  readonly h: number;
  readonly df: number;
  readonly p: number;
}

/** A pair of groups compared by the ranks over all groups. */
export interface DunnPair {
  readonly first: number;
  readonly second: number;
  /** Standard normal; above 0 when the second group ranks higher. */
  readonly z: number;
  /** Holm's correction over all pairs. */
  readonly p: number;
}

/**
 * The rank test of Kruskal and Wallis (1952) with correction for ties, p by the chi-square distribution
 * (R `kruskal.test`). Undefined with fewer than two groups, an empty group, or no spread.
 */
export function kruskalWallis(groups: Groups): Outcome<KruskalWallis> {
  const ranked = ranksByGroup(groups);
  if (!ranked.defined) return ranked;
  const { means, n, correction } = ranked.value;
  const between = groups.reduce(
    (sum, group, index) => sum + group.length * ((means[index] as number) - (n + 1) / 2) ** 2,
    0,
  );
  const h = (12 * between) / (n * (n + 1)) / correction;
  const df = groups.length - 1;
  return defined({ h, df, p: chiSquareSurvival(h, df) });
}

/** All pairs after Dunn (1964) with correction for ties, p by Holm (1979). Undefined as {@link kruskalWallis} is. */
export function dunnPairs(groups: Groups): Outcome<readonly DunnPair[]> {
  const ranked = ranksByGroup(groups);
  if (!ranked.defined) return ranked;
  const { means, n, correction } = ranked.value;
  const variance = ((n * (n + 1)) / 12) * correction;
  const pairs = groups.flatMap((one, first) =>
    groups.slice(first + 1).map((other, offset) => {
      const second = first + 1 + offset;
      const se = Math.sqrt(variance * (1 / one.length + 1 / other.length));
      return { first, second, z: ((means[second] as number) - (means[first] as number)) / se };
    }),
  );
  const ps = holm(pairs.map(({ z }) => 2 * normalCdf(-Math.abs(z))));
  return defined(pairs.map((pair, index) => ({ ...pair, p: ps[index] as number })));
}

interface Ranked {
  /** Mean rank of each group. */
  readonly means: readonly number[];
  readonly n: number;
  /** 1 without ties, less with them. */
  readonly correction: number;
}

function ranksByGroup(groups: Groups): Outcome<Ranked> {
  if (groups.length < 2) return notDefined('too_few_groups');
  if (groups.some((group) => group.length === 0)) return notDefined('group_too_small');
  const values = groups.flat();
  const n = values.length;
  const { of, ties } = ranksOf(values);
  const correction = 1 - tieSum(ties) / (n ** 3 - n);
  if (!(correction > 0)) return notDefined('no_spread');
  let start = 0;
  const means = groups.map((group) => {
    const own = of.slice(start, start + group.length);
    start += group.length;
    return own.reduce((sum, rank) => sum + rank, 0) / group.length;
  });
  return defined({ means, n, correction });
}
