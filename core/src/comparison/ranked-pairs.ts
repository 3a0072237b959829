import { defined, notDefined } from '../shared/index.ts';
import { holm, shuffledRanks } from '../statistics/index.ts';
import { pairOf } from './pairs.ts';
import { lineOf, testLine, type TestOutcome } from './test-line.ts';
import type { ComparedGroup, PairTest, TreatmentGroup, TreatmentPair } from './types.ts';

const SEED = 1947;

/**
 * Each two groups compared by the ranks of ordered scores, shuffled between them; Holm (1979) over the pairs with the
 * control, or over all where there is none. The mean says which way, the test does not rest on it.
 */
export function rankedPairs(
  named: readonly ComparedGroup[],
  groups: readonly TreatmentGroup[],
): TreatmentPair[] {
  const control = named.find((group) => group.isControl)?.id;
  const raw = groups.flatMap((one, index) =>
    groups.slice(index + 1).map((other) => {
      const swap = other.groupId === control && one.groupId !== control;
      const [first, second] = swap ? [other, one] : [one, other];
      const values = [first, second].map((group) => group.points.map((point) => point.value));
      const isFew = values.some((own) => own.length < 2);
      return { first, second, ranks: isFew ? notDefined('group_too_small') : shuffledRanks(values, SEED) };
    }),
  );
  const isOfFamily = ({ first }: { first: TreatmentGroup }, family: boolean): boolean =>
    control === undefined || (first.groupId === control) === family;
  const corrected = new Map<object, number>();
  for (const family of control === undefined ? [true] : [true, false]) {
    const own = raw.filter((pair) => pair.ranks.defined && isOfFamily(pair, family));
    const ps = holm(own.map(({ ranks }) => (ranks.defined ? ranks.value.p : 1)));
    own.forEach((pair, index) => corrected.set(pair, ps[index] as number));
  }
  return raw.map((pair) => {
    const test = pair.ranks.defined
      ? defined<PairTest>({
          difference: 0,
          interval: null,
          t: null,
          df: null,
          p: corrected.get(pair) ?? 1,
          method: 'ranks_shuffled',
        })
      : pair.ranks;
    return pairOf(pair.first, pair.second, test);
  });
}

/** All groups at once by their ranks. */
export function rankedOverall(groups: readonly TreatmentGroup[]): TestOutcome {
  const values = groups.map((group) => group.points.map((point) => point.value));
  return lineOf(shuffledRanks(values, SEED), ({ p, h }) => testLine('ranks_shuffled', p, h));
}
