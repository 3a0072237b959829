import { isClearFate } from './fates.ts';
import { isClearPair, mainPair } from './pairs.ts';
import { isClearTogether, type Questions } from './questions.ts';
import type { GroupBy } from './grouping.ts';
import type { ComparedGroup, DoseQuestion, Fates, Lead, TreatmentPair } from './types.ts';

/**
 * What a comparison answers first. Plants that died or never came up under some treatments are the news before the
 * heights of those that are left; factors that work together before what each does, as no effect of one alone is then
 * true; what more of something does, where treatments are amounts of it, before each amount; what can be told apart before what cannot.
 * @param by how units are sorted: by the levels of a factor, it is asked about that factor
 * @returns `null` when there is nothing to compare
 */
export function leadOf(
  groups: readonly ComparedGroup[],
  pairs: readonly TreatmentPair[],
  questions: Questions,
  fates: Fates,
  by: GroupBy,
  dose: DoseQuestion | null,
): Lead | null {
  if (isClearFate(fates.dead)) return { kind: 'fate', fate: 'dead' };
  if (isClearFate(fates.up)) return { kind: 'fate', fate: 'up' };
  if (isClearTogether(questions.together)) return { kind: 'together' };
  if (dose) return { kind: 'dose' };
  const factors = by === 'treatment' ? questions.factors : [];
  const [answered] = factors
    .flatMap((question, at) => {
      const pair = mainPair(question.groups, question.pairs);
      const found = pair === null ? undefined : question.pairs[pair];
      if (pair === null || !found?.difference.defined) return [];
      return [{ at, pair, isClear: isClearPair(found), size: Math.abs(found.difference.value) }];
    })
    .sort((a, b) => Number(b.isClear) - Number(a.isClear) || b.size - a.size);
  if (answered) return { kind: 'factor', question: answered.at, pair: answered.pair };
  const pair = mainPair(groups, pairs);
  if (pair !== null) return { kind: 'pair', pair };
  if (fates.groups.some((fate) => fate.dead.length > 0)) return { kind: 'fate', fate: 'dead' };
  return fates.groups.some((fate) => fate.looked > 0 && fate.notUp.length > 0)
    ? { kind: 'fate', fate: 'up' }
    : null;
}
