import { defined, notDefined, type Outcome } from '../shared/index.ts';
import { around, type FittedDesign, tForInterval, ALPHA, twoSidedT } from '../statistics/index.ts';
import type { Design } from './grouping.ts';
import { mainPair } from './pairs.ts';
import type { FactorQuestion, PairTest, Within, WithinLevel } from './types.ts';

/**
 * What the first of two factors does at each level of the other: its main pair of levels, by the model of the design,
 * over what else was changed. Allows by Bonferroni (1936) for every difference that could have been told so.
 * @param names the two factors that depend on each other
 * @returns null where more than two do, or a level has no value
 */
export function withinLevels(
  design: Design,
  fit: FittedDesign,
  questions: readonly FactorQuestion[],
  names: readonly string[],
): Within | null {
  if (names.length !== 2) return null;
  const [asked, other] = questions.filter((question) => names.includes(question.name));
  if (!asked || !other) return null;
  const at = mainPair(asked.groups, asked.pairs);
  const main = at === null ? undefined : asked.pairs[at];
  if (!main) return null;
  const times = other.groups.length * (asked.groups.length - 1);
  const levelOf = (groupId: string): number => asked.groups.findIndex((group) => group.id === groupId);
  const [first, second] = [levelOf(main.firstId), levelOf(main.secondId)];
  const levels = other.groups.map((level, index): WithinLevel => {
    const shown = pairWithin(design, fit, [asked.factor, first, second], [other.factor, index]);
    return { level, ...judged(fit, shown, times) };
  });
  return { asked: asked.name, other: other.name, firstId: main.firstId, secondId: main.secondId, levels };
}

/** Weights of the treatments in second minus first at one level of the other factor; `null` where nothing is grown on both sides. */
function pairWithin(
  { treatments }: Design,
  fit: FittedDesign,
  [factor, first, second]: readonly [number, number, number],
  [other, level]: readonly [number, number],
): number[] | null {
  const weights = treatments.map(() => 0);
  const restOf = (levels: readonly number[]): string =>
    levels.filter((_, index) => index !== factor && index !== other).join(' ');
  const sides = [first, second].map(
    (own) =>
      new Map(
        treatments.flatMap(({ levels }, cell): [string, number][] =>
          levels[factor] === own && levels[other] === level && fit.means[cell] !== undefined
            ? [[restOf(levels), cell]]
            : [],
        ),
      ),
  );
  const shared = [...(sides[0] ?? [])].flatMap(([rest, cell]): [number, number][] => {
    const beside = sides[1]?.get(rest);
    return beside === undefined ? [] : [[cell, beside]];
  });
  for (const [cell, beside] of shared) {
    weights[cell] = -1 / shared.length;
    weights[beside] = 1 / shared.length;
  }
  return shared.length === 0 ? null : weights;
}

function judged(
  fit: FittedDesign,
  weights: number[] | null,
  times: number,
): { difference: Outcome<number>; test: Outcome<PairTest> } {
  if (weights === null) return { difference: notDefined('missing_cells'), test: notDefined('missing_cells') };
  const contrast = fit.contrast(weights);
  if (!contrast.defined) {
    const estimate = weights.reduce((sum, weight, cell) => sum + weight * (fit.means[cell] ?? 0), 0);
    return { difference: defined(estimate), test: contrast };
  }
  const { estimate, se, df } = contrast.value;
  const t = estimate / se;
  return {
    difference: defined(estimate),
    test: defined({
      difference: estimate,
      interval: around(estimate, tForInterval(1 - ALPHA / times, df) * se),
      ...{ t, df, p: Math.min(1, twoSidedT(t, df) * times), method: 'design_t' },
    }),
  };
}
