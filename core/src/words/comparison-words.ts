import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/statements';
import {
  clearDose,
  type Comparison,
  type DoseQuestion,
  type FactorQuestion,
  isClearTogether,
  type Lead,
  type TreatmentPair,
} from '../comparison/index.ts';
import { claimOf, doseLuck, doseSentence } from './dose-words.ts';
import { fateLuck, fateSentence, otherFates, reasonSentence } from './fate-words.ts';
import { chanceOf, luckWords } from './luck-words.ts';
import { notKnownWords } from './not-known-words.ts';
import { intervalWords, pairSentence } from './pair-words.ts';
import { type ComparisonSpeech, nameOf, whenText } from './speech.ts';
import { TEST_NAMES } from './test-words.ts';
import { seedsLuck, seedsSentence } from './seeds-words.ts';
import { notDependingSentence, togetherLuck, togetherSentence } from './together-words.ts';
import { undefinedWords } from './undefined-words.ts';
import { computedText, roundedText } from './value-style.ts';

/** A comparison said in words: the answer with its size first, how sure it is, and what it cannot say. */
export interface ComparisonWords {
  readonly headline: string;
  readonly others: readonly string[];
  readonly howSure: string;
  /** How often luck alone would make what the headline tells, 0–1; `null` where it was not judged. */
  readonly luck: number | null;
  readonly notKnown: readonly string[];
  /** The evidence as a class could write it down: each group in figures, then the answer. */
  readonly evidence: readonly string[];
}

/** The answer and what goes with it. */
type Answer = Pick<ComparisonWords, 'headline' | 'others' | 'howSure' | 'luck'>;

/** Says a comparison at a reading level. The level changes vocabulary, never what is claimed. */
export function comparisonWords(speech: ComparisonSpeech): ComparisonWords {
  const { lead, together } = speech.comparison;
  const reasons = [reasonSentence(speech)].filter((sentence) => sentence !== '');
  const answer = lead && !speech.comparison.seeds ? answerOf(speech, lead) : nothingToCompare(speech);
  return {
    ...answer,
    others: [
      ...answer.others,
      ...(lead && lead.kind !== 'together' && isClearTogether(together) ? [togetherSentence(speech)] : []),
      ...otherFates(speech, lead?.kind === 'fate' ? lead.fate : null),
      ...reasons,
    ],
    notKnown: notKnownWords(speech),
    evidence: [...groupSentences(speech), ...(lead ? [answer.headline] : [])],
  };
}

function answerOf(speech: ComparisonSpeech, lead: Lead): Answer {
  const { comparison } = speech;
  switch (lead.kind) {
    case 'fate':
      return {
        headline: fateSentence(speech, lead.fate),
        others: heights(speech),
        howSure: fateLuck(speech, lead.fate) || NOTHING_SURE,
        luck: chanceOf(comparison.fates[lead.fate]),
      };
    case 'together':
      return {
        headline: togetherSentence(speech),
        others: [],
        howSure: togetherLuck(speech) || NOTHING_SURE,
        luck: comparison.together ? chanceOf(comparison.together.test) : null,
      };
    case 'dose': {
      const dose = comparison.dose as DoseQuestion;
      const claim = claimOf(dose);
      return {
        headline: doseSentence(speech, dose),
        others: amounts(speech),
        howSure: doseLuck(speech, dose) || NOTHING_SURE,
        luck: claim?.p ?? null,
      };
    }
    case 'factor': {
      const question = comparison.questions[lead.question] as FactorQuestion;
      const others = comparison.questions.flatMap((one) =>
        oneOfEach(speech, one, one === question ? lead.pair : null),
      );
      const answer = pairAnswer(speech, question.pairs[lead.pair] as TreatmentPair, {
        tell: (pair) => questionSentence(speech, question, pair, MAIN),
        name: (id) => nameOf(question.groups, id),
        others,
      });
      return { ...answer, headline: answer.headline + notDependingSentence(speech, question.name) };
    }
    case 'pair': {
      const main = comparison.pairs[lead.pair] as TreatmentPair;
      return pairAnswer(speech, main, {
        tell: (pair) => treatmentSentence(speech, pair, MAIN),
        name: (id) => nameOf(speech.treatments, id),
        others: besides(speech, main),
      });
    }
  }
}

const NOTHING_SURE = say('thereIsNoDifferenceToBeSure');

/** The sentence that heads an answer names the day; how sure it is stands beside it. */
const MAIN = { withDay: true, isJudgedBeside: true };
/** The first of others under a headline of something else. */
const FIRST = { withDay: true, isJudgedBeside: false };
const OTHER = { withDay: false, isJudgedBeside: false };

function pairAnswer(
  speech: ComparisonSpeech,
  main: TreatmentPair,
  {
    tell,
    name,
    others,
  }: {
    readonly tell: (pair: TreatmentPair) => string;
    readonly name: (groupId: string) => string;
    readonly others: readonly string[];
  },
): Answer {
  const about = others.length > 0 ? say('and', { name: name(main.secondId), name2: name(main.firstId) }) : '';
  return {
    headline: tell(main),
    others,
    howSure: `${about}${intervalWords(speech, main)}${luckOf(speech, main)}`,
    luck: chanceOf(main.test),
  };
}

function luckOf({ comparison, level }: ComparisonSpeech, pair: TreatmentPair): string {
  if (!pair.test.defined)
    return say('luckCannotBeJudgedYet', { undefinedWords: undefinedWords(pair.test.reason) });
  const { p, method } = pair.test.value;
  const questions = comparison.questions.length > 0 ? say('allowingForAllQuestionsOfTheDesign') : '';
  return luckWords(p, level, say('aGapThisBig'), `${TEST_NAMES[method].name}${questions}`);
}

/** Each amount beside the control, or beside the amount that differs from others the most, but for what was said. */
function amounts(speech: ComparisonSpeech): string[] {
  const { comparison } = speech;
  const main = comparison.mainPair === null ? undefined : comparison.pairs[comparison.mainPair];
  if (!main) return [];
  return comparison.pairs
    .filter((pair) => pair.firstId === main.firstId && pair.difference.defined && !isOfBest(comparison, pair))
    .map((pair) => treatmentSentence(speech, pair, OTHER));
}

/** True of a pair that the headline tells of already: the best amount in between, with the least or the most. */
function isOfBest({ dose }: Comparison, { firstId, secondId }: TreatmentPair): boolean {
  if (!dose?.turning || clearDose(dose) !== 'turning') return false;
  const ends = [dose.groupIds[0], dose.groupIds.at(-1)];
  const other = [firstId, secondId].find((id) => id !== dose.turning?.groupId);
  return [firstId, secondId].includes(dose.turning.groupId) && ends.includes(other);
}

/** What the pots that have a value say, beside what became of the others. */
function heights(speech: ComparisonSpeech): string[] {
  const { comparison } = speech;
  // Where factors depend on each other no effect of one alone is true.
  if (isClearTogether(comparison.together)) return [];
  if (comparison.questions.length > 0) {
    return comparison.questions.flatMap((question) => oneOfEach(speech, question, null));
  }
  const main = comparison.mainPair === null ? undefined : comparison.pairs[comparison.mainPair];
  return main?.difference.defined ? [treatmentSentence(speech, main, FIRST), ...besides(speech, main)] : [];
}

/** Pairs from the same first group as the leading one. */
function besides(speech: ComparisonSpeech, main: TreatmentPair): string[] {
  return speech.comparison.pairs
    .filter((pair) => pair !== main && pair.difference.defined && pair.firstId === main.firstId)
    .map((pair) => treatmentSentence(speech, pair, OTHER));
}

function treatmentSentence(speech: ComparisonSpeech, pair: TreatmentPair, how: typeof MAIN): string {
  const pots = (id: string): number =>
    speech.comparison.groups.find((group) => group.groupId === id)?.points.length ?? 0;
  return pairSentence(speech, pair, { groups: speech.treatments, pots, ...how, over: '' });
}

function questionSentence(
  speech: ComparisonSpeech,
  question: FactorQuestion,
  pair: TreatmentPair,
  how: typeof MAIN,
): string {
  const others = speech.comparison.questions.filter((one) => one !== question).map((one) => one.name);
  const over = say('allLevelsOfTakenTogether', { others: allOf(others) });
  return pairSentence(speech, pair, { groups: question.groups, pots: () => null, ...how, over });
}

/** Each pair of a question that begins with the control, or with its first level; but one that was said. */
function oneOfEach(speech: ComparisonSpeech, question: FactorQuestion, said: number | null): string[] {
  const from = question.groups.find((group) => group.isControl)?.id ?? question.groups[0]?.id;
  return question.pairs.flatMap((pair, index) =>
    index !== said && pair.firstId === from && pair.difference.defined
      ? [questionSentence(speech, question, pair, OTHER)]
      : [],
  );
}

/** Each group with a value in one sentence: its average, and from where to where its pots reach. */
function groupSentences({ level, style, comparison, treatments }: ComparisonSpeech): string[] {
  return comparison.groups.flatMap(({ groupId, description }) => {
    const { n, mean, min, max } = description;
    if (!mean.defined || !min.defined || !max.defined) return [];
    const average = (level === '14+' ? computedText : roundedText)(mean.value, style);
    const spread =
      n === 1
        ? ''
        : say('fromTo', {
            roundedText: roundedText(min.value, style),
            roundedText2: roundedText(max.value, style),
          });
    const word =
      level === '5-7' ? say('aFairShareOf') : level === '8-10' ? say('anAverageFairShareOf') : say('aMeanOf');
    return [say('potsWith2', { nameOf: nameOf(treatments, groupId), n, word, average, spread })];
  });
}

function nothingToCompare(speech: ComparisonSpeech): Answer {
  const { comparison, treatments, style } = speech;
  const only = comparison.groups.find((group) => group.points.length > 0);
  const when = whenText(speech);
  const nothing = { others: [], howSure: NOTHING_SURE, luck: null };
  if (!only) return { ...nothing, headline: say('noPotHasAValueYet', { when }) };
  const { seeds } = comparison;
  if (seeds) {
    return {
      headline: seedsSentence(speech, seeds),
      others: [],
      howSure: seedsLuck(speech, seeds) || NOTHING_SURE,
      luck: seeds.rate === null ? null : chanceOf(seeds.test),
    };
  }
  if (treatments.length === 1) {
    const mean = only.description.mean;
    const average = mean.defined ? computedText(mean.value, style) : '';
    return {
      ...nothing,
      headline: say('allPotsWereTreatedTheSameThe', { pointsCount: only.points.length, when, average }),
    };
  }
  return {
    ...nothing,
    headline: say('onlyPotsWithHaveAValueSo', { nameOf: nameOf(treatments, only.groupId), when }),
  };
}
