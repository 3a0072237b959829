import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import type { ComparedGroup, Comparison } from '../comparison/index.ts';
import { nameOf } from './speech.ts';
import { figuresText, TEST_NAMES } from './test-words.ts';
import { undefinedWords } from './undefined-words.ts';

/** How a comparison was judged: the test over all groups, what the model takes into account, and how pairs were tested. */
export function modelWords(
  { overall, pairs, spread, ownSpread, hasBlocks, questions }: Comparison,
  groups: readonly Pick<ComparedGroup, 'id' | 'name'>[],
): string {
  if (!overall.defined)
    return say('noTestOverAllTreatmentsEachPot', { undefinedWords: undefinedWords(overall.reason) });
  const methods = [
    ...new Set(pairs.flatMap((pair) => (pair.test.defined ? [TEST_NAMES[pair.test.value.method].name] : []))),
  ];
  const lines = [
    say('allAtOnce', {
      testNames: TEST_NAMES[overall.value.method].name,
      figuresText: figuresText(overall.value),
    }),
    hasBlocks ? say('potsAreComparedWithinTheirBlocks') : '',
    spread === null ? '' : SPREAD_WORDS[spread],
    ownSpread.length === 0
      ? ''
      : say('judgedByTheirOwnSpread', { names: allOf(ownSpread.map((id) => nameOf(groups, id))) }),
    methods.length > 0 && pairs.length > 1
      ? say('pairsWhichAllowForHowManyThere', { methods: methods.join('; ') })
      : '',
    questions.length > 0 ? say('theAnswerAboveTakesEachFactorOver') : '',
    say('eachPotCountsOnce'),
  ];
  return lines.filter(Boolean).join(' ');
}

const SPREAD_WORDS = {
  own: say('eachTreatmentKeepsItsOwnSpread'),
  equal: say('oneSpreadForAllTreatments'),
  with_mean: say('spreadIsTakenToGrowWithThe'),
} as const;
