import type { Comparison, ComparedGroup, LeftOutReason, TreatmentPair } from '../comparison/index.ts';
import { valueOr } from '../shared/index.ts';
import { luckWords } from './luck-words.ts';
import type { ReadingLevel } from './reading-level.ts';
import { undefinedWords } from './undefined-words.ts';
import { computedText, differenceText, roundedText, type ValueStyle } from './value-style.ts';

/** A comparison said in words: the answer with its size first, how sure it is, and what it cannot say. */
export interface ComparisonWords {
  readonly headline: string;
  readonly others: readonly string[];
  readonly howSure: string;
  readonly notKnown: readonly string[];
  /** The evidence as a class could write it down: each group in figures, then the answer. */
  readonly evidence: readonly string[];
}

/** What the words need to know beside the result. */
export interface ComparisonSpeech {
  readonly comparison: Comparison;
  readonly treatments: readonly ComparedGroup[];
  readonly style: ValueStyle;
  readonly level: ReadingLevel;
}

/** Says a comparison at a reading level. The level changes vocabulary, never what is claimed. */
export function comparisonWords(speech: ComparisonSpeech): ComparisonWords {
  const { comparison } = speech;
  const main = comparison.mainPair === null ? undefined : comparison.pairs[comparison.mainPair];
  if (!main?.difference.defined) {
    return {
      headline: nothingToCompare(speech),
      others: [],
      howSure: 'There is no difference to be sure about yet.',
      notKnown: notKnown(speech),
      evidence: groupSentences(speech),
    };
  }
  const rest = comparison.pairs.filter(
    (pair) => pair !== main && pair.difference.defined && pair.firstId === main.firstId,
  );
  return {
    headline: pairSentence(speech, main, true),
    others: rest.map((pair) => pairSentence(speech, pair, false)),
    howSure: `${intervalWords(speech, main)}${luckWords(main.test, speech.level, comparedCount(comparison))}`,
    notKnown: notKnown(speech),
    evidence: [...groupSentences(speech), pairSentence(speech, main, true)],
  };
}

/** Each group with a value in one sentence: its average, and from where to where its pots reach. */
function groupSentences(speech: ComparisonSpeech): string[] {
  const { level, style, comparison } = speech;
  return comparison.groups.flatMap(({ groupId, description }) => {
    const { n, mean, min, max } = description;
    if (!mean.defined || !min.defined || !max.defined) return [];
    const name = capital(nameOf(speech, groupId));
    const pots = n === 1 ? '1 pot' : `${n} pots`;
    const average = (level === '14+' ? computedText : roundedText)(mean.value, style);
    const spread =
      n === 1 ? '' : `, from ${roundedText(min.value, style)} to ${roundedText(max.value, style)}`;
    const word =
      level === '5-7' ? 'a fair share of' : level === '8-10' ? 'an average (fair share) of' : 'a mean of';
    return [`${name}: ${pots} with ${word} ${average}${spread}.`];
  });
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** True when the 95 % interval of the pair's difference leaves out zero. */
export function isClear(pair: TreatmentPair): boolean {
  if (!pair.test.defined) return false;
  const { low, high } = pair.test.value.interval;
  return low > 0 || high < 0;
}

function comparedCount(comparison: Comparison): number {
  return comparison.pairs.filter((pair) => pair.test.defined).length;
}

/** A treatment's name within a sentence. */
function nameOf(speech: ComparisonSpeech, groupId: string): string {
  const name = speech.treatments.find((treatment) => treatment.id === groupId)?.name ?? '';
  return /^\p{Lu}\p{Ll}/u.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;
}

function whenText({ comparison }: ComparisonSpeech): string {
  if (comparison.summary !== 'day')
    return comparison.age === null ? 'by this day' : `by day ${comparison.age}`;
  return comparison.age === null ? 'on this day' : `on day ${comparison.age}`;
}

function nothingToCompare(speech: ComparisonSpeech): string {
  const filled = speech.comparison.groups.filter((group) => group.points.length > 0);
  const [only] = filled;
  if (!only) return `No pot has a value ${whenText(speech)} yet.`;
  if (speech.treatments.length === 1) {
    const average = only.description.mean.defined
      ? computedText(only.description.mean.value, speech.style)
      : '';
    return `All pots are alike: the average of ${only.points.length === 1 ? '1 pot' : `${only.points.length} pots`} ${whenText(speech)} is ${average}.`;
  }
  return `Only pots with ${nameOf(speech, only.groupId)} have a value ${whenText(speech)}, so there is nothing to compare them with yet.`;
}

function pairSentence(speech: ComparisonSpeech, pair: TreatmentPair, withDay: boolean): string {
  const { level, style } = speech;
  const difference = valueOr(pair.difference, 0);
  const [first, second] = [nameOf(speech, pair.firstId), nameOf(speech, pair.secondId)];
  const size = (level === '14+' ? computedText : roundedText)(Math.abs(difference), style);
  const when = withDay ? ` ${whenText(speech)}` : '';
  const sameOnAverage = Math.abs(difference) < 1e-9;
  if (sameOnAverage) {
    return `Pots with ${second} and pots with ${first} had the same average${when}.`;
  }
  if (level === '14+') {
    const gap = differenceText(size, difference, style, ' on average');
    return exactSentence(speech, pair, `Pots with ${second} ${gap} than pots with ${first}${when}`);
  }
  const rounded = size.startsWith('less') ? size : `about ${size}`;
  const gap = differenceText(rounded, difference, style, level === '5-7' ? '' : ' on average');
  const about = `Pots with ${second} ${gap} than pots with ${first}${when}`;
  if (!pair.test.defined) return `${about}, but there are too few pots to tell more.`;
  if (isClear(pair)) return `${about}.`;
  return {
    '5-7': `${about}. That could just be luck.`,
    '8-10': `${about}, but pots treated the same differ that much too, so we cannot tell yet.`,
    '11-13': `${about}, but that is within what plant-to-plant luck can do, so we cannot tell them apart yet.`,
  }[level];
}

function exactSentence(speech: ComparisonSpeech, pair: TreatmentPair, lead: string): string {
  const counts = [pair.secondId, pair.firstId].map(
    (id) => speech.comparison.groups.find((group) => group.groupId === id)?.points.length ?? 0,
  );
  const sizes = `n = ${counts[0]} and ${counts[1]} pots`;
  if (!pair.test.defined) return `${lead} (${sizes}; ${undefinedWords(pair.test.reason)}).`;
  const doubt = isClear(pair) ? '' : ' These pots do not tell the two apart.';
  return `${lead} (${sizes}).${doubt}`;
}

/** The interval of the main difference, for those who can read one. */
function intervalWords({ level, style }: ComparisonSpeech, pair: TreatmentPair): string {
  if (level !== '14+' || !pair.test.defined) return '';
  const { low, high } = pair.test.value.interval;
  return `The 95 % interval of the difference is ${computedText(low, style)} to ${computedText(high, style)}. `;
}

const LEFT_OUT_WORDS: Record<LeftOutReason, string> = {
  not_up: 'not up yet',
  up_without_value: 'up but not measured',
  dead: 'dead',
  removed: 'removed',
  not_read: 'not read',
  too_few_values: 'read too few times',
};

/** With so few pots, one odd plant can turn a mean round. */
const FEW_POTS = 2;

function fewPots(speech: ComparisonSpeech): string[] {
  const few = speech.comparison.groups.filter(({ points }) => points.length > 0 && points.length <= FEW_POTS);
  if (few.length === 0) return [];
  const names = few.map(({ groupId, points }) => `${points.length} of ${nameOf(speech, groupId)}`);
  return [`Very few pots count (${names.join(', ')}): one odd plant could change this.`];
}

function notKnown(speech: ComparisonSpeech): string[] {
  const { comparison } = speech;
  const leftOut = comparison.groups.flatMap((group) => group.counts.leftOut);
  const lines = (Object.keys(LEFT_OUT_WORDS) as LeftOutReason[]).flatMap((reason) => {
    const numbers = leftOut.filter((unit) => unit.reason === reason).map((unit) => unit.number);
    if (numbers.length === 0) return [];
    return [
      `Left out, ${LEFT_OUT_WORDS[reason]}: ${numbers.length === 1 ? 'pot' : 'pots'} ${listed(numbers)}.`,
    ];
  });
  const zeros = comparison.groups.reduce((sum, group) => sum + group.counts.countedAsZero, 0);
  if (zeros > 0) lines.push(`${zeros} ${zeros === 1 ? 'pot' : 'pots'} not up yet counted as 0.`);
  if (comparison.age === null && comparison.groups.some((group) => group.points.length > 0)) {
    lines.push(
      comparison.unitCurves.length === 0
        ? 'When the pots were sown is not written down, so their ages are not known.'
        : 'The pots were not all sown on the same day, so their ages differ.',
    );
  }
  lines.push(...fewPots(speech), 'One class, one place, one time: another could turn out differently.');
  return lines;
}

function listed(numbers: readonly number[]): string {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted.length < 2 ? String(sorted[0]) : `${sorted.slice(0, -1).join(', ')} and ${sorted.at(-1)}`;
}
