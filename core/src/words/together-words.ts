import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import { isClearTogether, type Within, type WithinLevel } from '../comparison/index.ts';
import { valueOr } from '../shared/index.ts';
import { ALPHA } from '../statistics/index.ts';
import { levelKey } from './level-key.ts';
import { luckWords, pText } from './luck-words.ts';
import { judgedText, plantsSaid } from './pair-words.ts';
import { type ComparisonSpeech, nameOf, whenText } from './speech.ts';
import { aboutText, differenceSize, differenceText } from './value-style.ts';

/**
 * That what one factor does depends on another: what it did at each level of the other, where two depend on each other;
 * else which they are.
 */
export function togetherSentence(speech: ComparisonSpeech): string {
  const { together } = speech.comparison;
  const said = { level: levelKey(speech.level), when: whenText(speech) };
  const within = together?.within;
  if (!within) return say('factorsDependOnEachOther', { ...said, names: allOf(together?.factors ?? []) });
  const clearFirst = [...within.levels].sort((a, b) => Number(isClear(b)) - Number(isClear(a)));
  const parts = clearFirst.map((one, at) => partOf(speech, within, one, at === 0)).join('; ');
  return say('oneDependsOnTheOther', { ...said, asked: within.asked, other: within.other, parts });
}

/** What the factor did at one level: taller by so much, or no difference that these pots show. */
function partOf(speech: ComparisonSpeech, within: Within, one: WithinLevel, isFirst: boolean): string {
  const { level, style, comparison } = speech;
  const at = one.level.name;
  if (!one.difference.defined) return say('noValueAtLevel', { at });
  const difference = valueOr(one.difference, 0);
  const groups = comparison.questions.find(({ name }) => name === within.asked)?.groups ?? [];
  const isExact = level === '14+';
  const size = (isExact ? differenceSize : aboutText)(difference, style);
  const judged = isExact && one.test.defined ? judgedText(one.test.value, style) : '';
  const [, plants] = plantsSaid(speech);
  return say('atLevel', {
    ...{ at, plants, isFirst: isFirst ? 'yes' : 'no', isClear: isClear(one) ? 'yes' : 'no' },
    first: nameOf(groups, within.firstId),
    second: nameOf(groups, within.secondId),
    gap: differenceText(size, difference, style, level !== '5-7'),
    ...{ size, hasSize: level === '5-7' || Math.abs(difference) < 1e-9 ? 'no' : 'yes' },
    ...{ judged, isJudged: judged === '' ? 'no' : 'yes' },
  });
}

function isClear({ test }: WithinLevel): boolean {
  return test.defined && test.value.p < ALPHA;
}

/** How often luck alone would make factors look as if they depended on each other; empty where it was not judged. */
export function togetherLuck({ comparison, level }: ComparisonSpeech): string {
  const test = comparison.together?.test;
  if (!test?.defined) return '';
  const method = say('interactionByTheModelOfTheDesign');
  return luckWords(test.value.p, level, say('aPatternThisUneven'), method);
}

/** That nobody could see it depend on the other factors; empty where it could be seen or was not judged. */
export function notDependingSentence({ comparison, level }: ComparisonSpeech, factor: string): string {
  const { together, questions } = comparison;
  if (!together?.test.defined || isClearTogether(together)) return '';
  const others = allOf(questions.filter(({ name }) => name !== factor).map(({ name }) => name));
  return say('notSeenToDepend', { level: levelKey(level), others, p: pText(together.test.value.p) });
}
